<script lang="ts">
  import type { BreakField } from '../api/client';
  import TextField from '../form/TextField.svelte';
  import { thePlan } from '../plan/context';
  import { fullDate, today } from '../units/dates';
  import { WRITTEN } from '../words/breaks';
  import { FIELD_NAMES } from '../words/members';
  import { PLACES } from './places';

  const open = thePlan();

  let {
    breaks,
    onchange,
  }: { breaks: BreakField; onchange: (written: BreakField['written']) => void } = $props();

  const said = $derived(WRITTEN.filter((w) => breaks.written[w]));
</script>

<section class="panel form wide" aria-labelledby="written-title" data-testid="written">
  <h2 id="written-title">The written plan</h2>
  <p class="quiet">
    With the drawing, the days and the checks above, to be shown to whoever stands in or asks.
  </p>
  <p class="print-only">
    {open.view!.farm.name}, {open.view!.plan.name}; as it stands on {fullDate(today())}.
  </p>
  <div class="no-print written">
    {#each WRITTEN as w (w)}
      <TextField
        name={`written.${w}`}
        value={breaks.written[w]}
        oninput={(text) => onchange({ ...breaks.written, [w]: text })}
      />
    {/each}
  </div>
  <dl class="print-only said">
    {#each said as w (w)}
      <div>
        <dt>{FIELD_NAMES[`written.${w}`]}</dt>
        <dd>{breaks.written[w]}</dd>
      </div>
    {/each}
    {#each breaks.places as p, i (i)}
      <div>
        <dt>{PLACES[p.what].letter}</dt>
        <dd>{PLACES[p.what].name}</dd>
      </div>
    {/each}
  </dl>
</section>

<style>
  .written {
    display: grid;
    gap: 0.5rem;
  }
  .print-only {
    display: none;
  }
  .said div {
    display: grid;
    grid-template-columns: 1fr 1fr;
  }
  .said dd {
    font-family: inherit;
    text-align: left;
    white-space: normal;
  }
  @media print {
    .print-only {
      display: block;
    }
  }
</style>
