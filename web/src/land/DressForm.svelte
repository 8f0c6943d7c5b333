<script lang="ts">
  import { untrack } from 'svelte';
  import type { Edit, Field } from '../api/client';
  import { isoOf } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { amount } from '../units/units';
  import TiedDate from '../form/TiedDate.svelte';
  import NumberField from '../form/NumberField.svelte';
  import ActBar from './ActBar.svelte';
  import { Deed } from './deed.svelte';
  import { driestDay, growingFrom } from './acts';

  const open = thePlan();

  let {
    field,
    kind,
    day,
    changeId,
    ondone,
  }: {
    field: Field;
    kind: 'nitrogen' | 'water';
    day: number | null;
    changeId: string | null;
    ondone: () => void;
  } = $props();

  const plan = untrack(() => open.view!.plan);
  const dressing = untrack(() => plan.dressings.find((d) => d.id === changeId));
  const irrigation = untrack(() => plan.irrigations.find((i) => i.id === changeId));
  const id = untrack(
    () =>
      changeId ??
      freshId(
        `${kind}-${field.id}`,
        [...plan.dressings, ...plan.irrigations].map((x) => x.id),
      ),
  );
  let date = $state(untrack(() => dressing?.date ?? irrigation?.date ?? usualDate()));
  let nitrogen = $state(dressing?.nitrogenKgPerHa ?? 45);
  let price = $state<number | null>(dressing?.pricePerKg ?? null);
  let water = $state(irrigation?.waterMm ?? 25);

  function usualDate(): string {
    const year = open.view!.year;
    const usual = kind === 'nitrogen' ? growingFrom(year, field.id) : driestDay(year, field.id);
    return isoOf(year.start, day ?? usual);
  }

  const grownMore = $derived.by(() => {
    const grown = (year: typeof open.year) =>
      year.fields.find((f) => f.id === field.id)?.grownKg ?? 0;
    return open.trial && !changeId ? grown(open.trial) - grown(open.view!.year) : null;
  });

  /** Why more nitrogen can grow less: its legumes lose, or what it grew early stands in its light. */
  const lessBecause = $derived.by(() => {
    const forage = open.catalogue!.forages.find((f) => f.id === field.stand.forageId);
    if (kind === 'nitrogen' && (forage?.rules.legumeShare ?? 0) >= 0.2) {
      return 'Nitrogen holds back the legumes that feed this stand, and they lose more than the grass gains.';
    }
    return (
      'What it grows early is not eaten or cut, stands in the way of light and slows what would ' +
      'have come later: graze or cut it sooner.'
    );
  });

  function edit(): Edit {
    return kind === 'nitrogen'
      ? {
          putDressing: {
            id,
            fieldId: field.id,
            date,
            nitrogenKgPerHa: nitrogen,
            pricePerKg: price,
          },
        }
      : { putIrrigation: { id, fieldId: field.id, date, waterMm: water } };
  }
  const deed = untrack(() => new Deed(open, field, kind, changeId, edit));
  const tryOut = () => deed.tryOut();
  untrack(tryOut);
</script>

<div class="input-grid">
  <TiedDate
    label="On"
    fieldId={field.id}
    tie={deed.tie('FROM')}
    ontie={(t) => deed.tieTo('FROM', t)}
    value={date}
    onchange={(v) => {
      if (v) date = v;
      tryOut();
    }}
  />
  {#if kind === 'nitrogen'}
    <NumberField
      name="dressing.nitrogenKgPerHa"
      value={nitrogen}
      onchange={(v) => {
        if (v !== null) nitrogen = v;
        tryOut();
      }}
    />
    <NumberField
      label={`Price, ${open.view!.farm.currency}`}
      name="dressing.pricePerKg"
      placeholder="not said"
      value={price}
      onchange={(v) => {
        price = v;
        tryOut();
      }}
    />
  {:else}
    <NumberField
      name="irrigation.waterMm"
      value={water}
      onchange={(v) => {
        if (v !== null) water = v;
        tryOut();
      }}
    />
  {/if}
</div>
{#if grownMore !== null}
  <p class="tells" role="status">
    The field grows {amount(Math.abs(grownMore), 'mass', open.system)}
    {grownMore < 0 ? 'less' : 'more'} over the plan.
    {#if grownMore < 0}{lessBecause}{/if}
  </p>
{/if}
<p class="quiet fine">
  How much, of what, and how far from water: soil test, label and local code say. The plan only
  reckons what it grows.
</p>
<ActBar {deed} label={changeId ? 'Save it' : 'Put it on'} {ondone} />
