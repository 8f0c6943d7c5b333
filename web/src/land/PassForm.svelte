<script lang="ts">
  import type { Edit, Field } from '../api/client';
  import { endAfter, lastDay, shortDate } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { amount } from '../units/units';
  import { passText } from '../words/land';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';

  const open = thePlan();

  let { field }: { field: Field } = $props();

  const view = $derived(open.view!);
  const mine = $derived(view.plan.passes.filter((p) => p.fieldId === field.id));
  const forage = $derived(open.forages.find((f) => f.id === field.stand.forageId)!);
  const groupName = (id: string) => view.farm.groups.find((g) => g.id === id)?.name ?? id;
  let groupId = $state('');
  let from = $state<string | null>(null);
  let to = $state<string | null>(null);
  let when = $state<number | null>(null);
  let leave = $state<number | null>(null);
  let draftId = $state('');
  const group = $derived(groupId || (view.farm.groups[0]?.id ?? ''));
  const whenKg = $derived(when ?? Math.round(forage.entryKgPerHa * 1.3));
  const leaveKg = $derived(leave ?? Math.round(forage.entryKgPerHa));
  const tried = $derived(open.trial?.passes.find((p) => p.passId === draftId));

  function edit(): Edit {
    draftId ||= freshId(
      `pass-${field.id}`,
      view.plan.passes.map((p) => p.id),
    );
    return {
      putPass: {
        id: draftId,
        fieldId: field.id,
        groupId: group,
        fromInclusive: from!,
        toExclusive: endAfter(to!),
        whenKgPerHa: whenKg,
        leaveKgPerHa: leaveKg,
      },
    };
  }
  function tryOut() {
    if (from && to) open.tryOut([edit()]);
  }
  async function plan() {
    if (await open.edit([edit()])) {
      draftId = '';
      from = to = null;
    }
  }
</script>

{#if view.farm.groups.length}
  <section class="part" aria-label="Passes for light">
    <h2>Passes for light</h2>
    {#each mine as p (p.id)}
      {@const made = open.year.passes.find((x) => x.passId === p.id)}
      <p class="row">
        {groupName(p.groupId)} from {shortDate(p.fromInclusive)} to {shortDate(
          lastDay(p.toExclusive),
        )}, from {amount(p.whenKgPerHa, 'massPerArea', open.system)} down to {amount(
          p.leaveKgPerHa,
          'massPerArea',
          open.system,
        )}{made ? `: ${passText(made, open.system)}` : ''}
        <button class="btn plain" onclick={() => open.edit([{ removePass: p.id }])}
          >Take back<span class="visually-hidden"> passes for light</span></button
        >
      </p>
    {/each}
    <div class="input-grid">
      <Choice
        label="Who"
        value={group}
        options={view.farm.groups}
        onchange={(v) => {
          groupId = v;
          tryOut();
        }}
      />
      <DateField
        label="From"
        name="pass.fromInclusive"
        value={from}
        onchange={(v) => {
          from = v;
          tryOut();
        }}
      />
      <DateField
        label="To"
        name="pass.dates"
        value={to}
        onchange={(v) => {
          to = v;
          tryOut();
        }}
      />
      <NumberField
        name="pass.whenKgPerHa"
        value={whenKg}
        onchange={(v) => {
          when = v;
          tryOut();
        }}
      />
      <NumberField
        name="pass.leaveKgPerHa"
        value={leaveKg}
        onchange={(v) => {
          leave = v;
          tryOut();
        }}
      />
      <button class="btn plain" disabled={!from || !to} onclick={plan}>Plan them</button>
    </div>
    {#if tried}
      <p class="tells" role="status">In this season: {passText(tried, open.system)}.</p>
    {/if}
    <p class="quiet fine">
      A pass takes little and lets light down to what grows below, also while the field is shut. The
      season says how many there are.
    </p>
  </section>
{/if}

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: center;
    margin-top: 0.4rem;
  }
</style>
