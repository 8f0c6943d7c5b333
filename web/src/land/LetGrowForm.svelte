<script lang="ts">
  import { untrack } from 'svelte';
  import { type Field, type LetGrow } from '../api/client';
  import { isoOf, shortDay, todayWithin } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { amount, figure, unitOf } from '../units/units';
  import { enoughText, purposes, stageWord } from '../words/land';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';

  const open = thePlan();

  let { field, day, ondone }: { field: Field; day: number | null; ondone: () => void } = $props();

  const start = $derived(open.view!.plan.year.start);
  const ways = $derived(open.catalogue!.losses.filter((l) => l.stage === 'HARVEST'));
  let from = $state<string | null>(untrack(() => usualDate()));
  let way = $state('h_hay_conditioned_grass');
  let grown = $state<LetGrow | null>(null);
  let wrong = $state('');

  function usualDate(): string {
    const { year } = open.view!.plan;
    const days = open.view!.year.days;
    return day === null ? todayWithin({ start: year.start, days }) : isoOf(year.start, day);
  }

  async function look() {
    if (!from) return;
    wrong = '';
    try {
      grown = await open.api.letGrow(open.view!.id, field.id, from, way);
    } catch (e) {
      grown = null;
      wrong = open.explain(e);
    }
  }
  $effect(() => {
    void open.view?.revision;
    untrack(() => void look());
  });
</script>

<div class="input-grid">
  <DateField
    label="Left alone from"
    name="from"
    value={from}
    onchange={(v) => {
      from = v;
      void look();
    }}
  />
  <Choice
    label="If cut, made as"
    value={way}
    options={ways}
    onchange={(v) => {
      way = v;
      void look();
    }}
  />
</div>
{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
{#if grown}
  <ul data-testid="let-grow">
    {#each purposes(grown, start) as line (line)}<li>{line}</li>{/each}
    {#each grown.enough as e (e.groupId)}
      <li>{enoughText(e, open.view!.farm, start)}</li>
    {/each}
  </ul>
  <div class="months-scroll">
    <table class="months-table">
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">Stands, {unitOf('massPerArea', open.system)}</th>
          <th scope="col">Stage</th><th scope="col">Protein, %</th><th scope="col">TDN, %</th>
          <th scope="col">A cut brings, {unitOf('bulk', open.system)}</th>
          <th scope="col">of it protein, %</th><th scope="col">TDN, %</th>
        </tr>
      </thead>
      <tbody>
        {#each grown.rows as r (r.day)}
          <tr>
            <th scope="row">{shortDay(start, r.day)}</th>
            <td>{figure(r.coverKgPerHa, 'massPerArea', open.system)}</td>
            <td>{stageWord(r.ripeness)}</td>
            <td>{r.proteinPct?.toFixed(0) ?? '-'}</td><td>{r.tdnPct?.toFixed(0) ?? '-'}</td>
            <td>{r.cutKg > 0 ? amount(r.cutKg, 'bulk', open.system).split(' ')[0] : '-'}</td>
            <td>{r.cutKg > 0 ? (r.cutProteinPct?.toFixed(0) ?? '-') : '-'}</td>
            <td>{r.cutKg > 0 ? (r.cutTdnPct?.toFixed(0) ?? '-') : '-'}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <p class="quiet fine">
    Tried in the season looked at; nothing is planned by it. Stages are reckoned from heat and are
    assumptions: stems split in the field say more.
  </p>
{/if}
<button class="btn plain" onclick={ondone}>Close</button>

<style>
  ul {
    margin-top: 0.6rem;
    border-left: 4px solid var(--cobalt);
    padding-left: 0.8rem;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
