<script lang="ts">
  import { untrack } from 'svelte';
  import type { Edit, Field, LightPass } from '../api/client';
  import { endAfter, isoOf, lastDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { passText } from '../words/land';
  import Choice from '../form/Choice.svelte';
  import TiedDate from '../form/TiedDate.svelte';
  import NumberField from '../form/NumberField.svelte';
  import ActBar from './ActBar.svelte';
  import { Deed } from './deed.svelte';

  const open = thePlan();

  let {
    field,
    day,
    changeId,
    ondone,
  }: { field: Field; day: number | null; changeId: string | null; ondone: () => void } = $props();

  const WINTER_DAYS = 120;
  const view = untrack(() => open.view!);
  const before = untrack(() => view.plan.passes.find((p) => p.id === changeId));
  const forage = untrack(() => open.forages.find((f) => f.id === field.stand.forageId)!);
  let pass = $state<LightPass>(untrack(() => structuredClone($state.snapshot(before)) ?? fresh()));
  const tried = $derived(open.trial?.passes.find((p) => p.passId === pass.id));

  /** From the first frost on, while what stands above shades what is to grow below. */
  function fresh(): LightPass {
    const { start, days, bands } = view.year;
    const frost = bands.find((b) => b.kind === 'FIRST_FROST')?.midDay ?? 0;
    const from = day ?? Math.min(frost, days - 30);
    return {
      id: freshId(
        `pass-${field.id}`,
        view.plan.passes.map((p) => p.id),
      ),
      fieldId: field.id,
      groupId: view.farm.groups[0].id,
      fromInclusive: isoOf(start, from),
      toExclusive: isoOf(start, Math.min(days, from + WINTER_DAYS)),
      whenKgPerHa: Math.round(forage.entryKgPerHa * 1.3),
      leaveKgPerHa: Math.round(forage.entryKgPerHa),
    };
  }
  function set(change: Partial<LightPass>) {
    pass = { ...$state.snapshot(pass), ...change };
    tryOut();
  }
  const edit = (): Edit => ({ putPass: $state.snapshot(pass) });
  const deed = untrack(() => new Deed(open, field, 'pass', changeId, edit));
  const tryOut = () => deed.tryOut();
  untrack(tryOut);
</script>

<div class="input-grid">
  <Choice
    label="Who"
    value={pass.groupId}
    options={open.view!.farm.groups}
    onchange={(v) => set({ groupId: v })}
  />
  <TiedDate
    label="From"
    fieldId={field.id}
    tie={deed.tie('FROM')}
    ontie={(t) => deed.tieTo('FROM', t)}
    name="pass.fromInclusive"
    value={pass.fromInclusive}
    onchange={(v) => v && set({ fromInclusive: v })}
  />
  <TiedDate
    label="To"
    shownAfter={-1}
    fieldId={field.id}
    tie={deed.tie('TO')}
    ontie={(t) => deed.tieTo('TO', t)}
    name="pass.dates"
    value={lastDay(pass.toExclusive)}
    onchange={(v) => v && set({ toExclusive: endAfter(v) })}
  />
  <NumberField
    name="pass.whenKgPerHa"
    value={pass.whenKgPerHa}
    onchange={(v) => v !== null && set({ whenKgPerHa: v })}
  />
  <NumberField
    name="pass.leaveKgPerHa"
    value={pass.leaveKgPerHa}
    onchange={(v) => v !== null && set({ leaveKgPerHa: v })}
  />
</div>
{#if tried}
  <p class="tells" role="status">In this season: {passText(tried, open.system)}.</p>
{/if}
<p class="quiet fine">
  A pass takes little and lets light down to what grows below, also while the field is shut. The
  season says how many there are.
</p>
<ActBar {deed} label={before ? 'Save it' : 'Plan them'} {ondone} />
