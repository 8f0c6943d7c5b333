<script lang="ts">
  import type { AnimalGroup } from '../api/client';
  import { endAfter, lastDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { inKeepersOrder, kindName } from '../words/year';
  import { about } from '../form/said';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import MonthDayField from '../form/MonthDayField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';
  import { usualGroup } from './usual';

  const open = thePlan();

  let { group, onchange }: { group: AnimalGroup; onchange: (group: AnimalGroup) => void } =
    $props();

  about(() => group.id);
  const kind = $derived(open.catalogue!.kinds.find((k) => k.id === group.kind)!);
  const kinds = $derived(
    inKeepersOrder(open.catalogue!.kinds).map((k) => ({
      id: k.id,
      name: kindName(k.id),
    })),
  );

  function set<K extends keyof AnimalGroup>(key: K, value: AnimalGroup[K]) {
    onchange({ ...group, [key]: value });
  }
  /** Another kind comes with its own weight, gain, births and weaning; the rest stays. */
  function setKind(id: string) {
    const usual = usualGroup(open, group.id, group.name, id, group.head);
    onchange({
      ...group,
      kind: id,
      weightKg: usual.weightKg,
      gainKgPerDay: usual.gainKgPerDay,
      birthStart: usual.birthStart,
      birthSpreadDays: usual.birthSpreadDays,
      youngPerDam: usual.youngPerDam,
      weaning: null,
      youngLeave: null,
    });
  }
</script>

<div class="grid">
  <TextField name="group.name" value={group.name} oninput={(v) => set('name', v)} />
  <Choice label="Kind" value={group.kind} options={kinds} onchange={setKind} />
  <NumberField
    name="group.head"
    value={group.head}
    onchange={(v) => v !== null && set('head', Math.round(v))}
  />
  <NumberField
    name="group.weightKg"
    value={group.weightKg}
    hint={kind.dam ? '' : 'On the day it comes in'}
    onchange={(v) => v !== null && set('weightKg', v)}
  />
  {#if kind.dam}
    <MonthDayField
      label="First birth"
      value={group.birthStart}
      none="no births"
      onchange={(v) => set('birthStart', v)}
    />
    {#if group.birthStart}
      <NumberField
        name="group.birthSpreadDays"
        value={group.birthSpreadDays}
        onchange={(v) => v !== null && set('birthSpreadDays', Math.round(v))}
      />
      <NumberField
        name="group.youngPerDam"
        value={group.youngPerDam}
        onchange={(v) => v !== null && set('youngPerDam', v)}
      />
      <MonthDayField
        label="Weaning"
        name="group.weaning"
        value={group.weaning}
        none={`${kind.weaningDayDefault} days after`}
        onchange={(v) => set('weaning', v)}
      />
      <MonthDayField
        label="Young leave"
        name="group.youngLeave"
        value={group.youngLeave}
        none="at weaning"
        onchange={(v) => set('youngLeave', v)}
      />
    {/if}
  {:else}
    <NumberField
      name="group.gainKgPerDay"
      value={group.gainKgPerDay}
      onchange={(v) => v !== null && set('gainKgPerDay', v)}
    />
  {/if}
  <DateField
    label="Here from"
    value={group.fromInclusive}
    onchange={(v) => set('fromInclusive', v)}
  />
  <DateField
    label="Here to, last day"
    name="group.dates"
    value={group.toExclusive ? lastDay(group.toExclusive) : null}
    onchange={(v) => set('toExclusive', v ? endAfter(v) : null)}
  />
</div>
<p class="quiet">
  Dry matter is feed less its water. Intake by weight and stage is a product default, give or take a
  tenth; your own flat figure wins.
</p>

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(11.5rem, 1fr));
    gap: 0.75rem;
  }
  p {
    font-size: 13px;
    margin-top: 0.5rem;
  }
</style>
