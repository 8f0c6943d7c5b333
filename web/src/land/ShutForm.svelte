<script lang="ts">
  import type { Closing, Field } from '../api/client';
  import { isoOf, lastDay, shortDate } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import DateField from '../form/DateField.svelte';

  const open = thePlan();

  let { field }: { field: Field } = $props();

  const plan = $derived(open.view!.plan);
  const closings = $derived(plan.closings.filter((c) => c.fieldId === field.id));
  let from = $state<string | null>(null);
  let to = $state<string | null>(null);

  function closing(): Closing {
    return {
      id: freshId(
        `shut-${field.id}`,
        plan.closings.map((c) => c.id),
      ),
      fieldId: field.id,
      fromInclusive: from ?? plan.year.start,
      toExclusive: to ?? isoOf(plan.year.start, 100),
      grazedBy: open.view!.farm.groups.map((g) => g.id),
      grazeUntilExclusive: null,
    };
  }
  async function shut() {
    if (await open.edit([{ putClosing: closing() }])) {
      from = null;
      to = null;
    }
  }
</script>

<section class="part" aria-label="Shut for stockpile">
  <h2>Shut for stockpile</h2>
  {#each closings as c (c.id)}
    <p class="row">
      Shut from {shortDate(c.fromInclusive)} to {shortDate(lastDay(c.toExclusive))}
      <button class="btn plain" onclick={() => open.edit([{ removeClosing: c.id }])}
        >Take back</button
      >
    </p>
  {/each}
  <div class="row">
    <DateField
      label="Shut from"
      value={from}
      onchange={(v) => {
        from = v;
        if (from && to) open.tryOut([{ putClosing: closing() }]);
      }}
    />
    <DateField
      label="Open on"
      value={to}
      onchange={(v) => {
        to = v;
        if (from && to) open.tryOut([{ putClosing: closing() }]);
      }}
    />
    <button class="btn plain" disabled={!from || !to} onclick={shut}>Shut it</button>
  </div>
</section>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: end;
    margin-top: 0.4rem;
  }
</style>
