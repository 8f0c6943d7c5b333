<script lang="ts">
  import type { BaleField } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { thePlan } from '../plan/context';
  import { unitOf } from '../units/units';
  import { madeApartM } from './layout';

  const open = thePlan();

  let { bales, onchange }: { bales: BaleField; onchange: (bales: BaleField) => void } = $props();

  const farm = $derived(open.view!.farm);
  const drawn = $derived(farm.fields.filter((f) => f.outline));
  const lots = $derived(open.year.lots);
  const set = (part: Partial<BaleField>) => onchange({ ...bales, ...part });
  const space = (part: Partial<BaleField['spacing']>) =>
    set({ spacing: { ...bales.spacing, ...part } });
  const others = $derived([
    { id: '', name: 'all of one lot' },
    ...lots.filter((l) => l.id !== bales.lotId),
  ]);
  const COME = [
    { id: 'out', name: 'set out by tractor' },
    { id: 'made', name: 'left where they were made' },
  ];
  const unitKg = $derived.by(() => {
    const plan = open.view!.plan;
    const all = [...farm.lots, ...plan.cuts.map((c) => c.lot), ...plan.purchases.map((p) => p.lot)];
    const lot = all.find((l) => l.id === bales.lotId);
    return lot ? lot.kgPerUnitAsFed * lot.dmShare : 0;
  });
  const STANDS = [
    { id: 'side', name: 'on their round side' },
    { id: 'end', name: 'on their flat end' },
  ];
  const STRINGS = [
    { id: 'before', name: 'all before the freeze' },
    { id: 'day', name: 'each on its day' },
  ];
  const EDGES = $derived([
    { id: 'first', name: 'first row' },
    { id: 'last', name: 'last row' },
  ]);
</script>

<div class="input-grid">
  <Choice
    label="Field"
    value={bales.fieldId}
    options={drawn}
    onchange={(v) => set({ fieldId: v, counts: [] })}
  />
  <Choice
    label="Bales of"
    value={bales.lotId}
    options={lots}
    onchange={(v) =>
      set({ lotId: v, counts: [], mixed: bales.mixed?.lotId === v ? null : bales.mixed })}
  />
  {#if others.length > 1}
    <Choice
      label="Among them"
      value={bales.mixed?.lotId ?? ''}
      options={others}
      onchange={(v) => set({ mixed: v ? { lotId: v, every: bales.mixed?.every ?? 5 } : null })}
    />
  {/if}
  {#if bales.mixed}
    <NumberField
      name="mixed.every"
      value={bales.mixed.every}
      onchange={(v) => v && set({ mixed: { ...bales.mixed!, every: v } })}
    />
  {/if}
  <NumberField name="bales.bales" value={bales.bales} onchange={(v) => v && set({ bales: v })} />
  <NumberField
    name="bales.atOnce"
    value={bales.atOnce}
    onchange={(v) => v && set({ atOnce: v, counts: [] })}
  />
  <NumberField
    name="spacing.alongM"
    value={bales.spacing.alongM}
    onchange={(v) => v && space({ alongM: v })}
  />
  <NumberField
    name="spacing.acrossM"
    value={bales.spacing.acrossM}
    onchange={(v) => v && space({ acrossM: v })}
  />
  <Choice
    label="They come there"
    value={bales.asMade ? 'made' : 'out'}
    options={COME}
    onchange={(v) => set({ asMade: v === 'made' })}
  />
  {#if bales.asMade}
    <NumberField
      label={`Hay made, ${unitOf('massPerArea', open.system)}`}
      quantity="massPerArea"
      value={null}
      placeholder="for the spacing"
      onchange={(v) =>
        v && v > 0 && space({ alongM: madeApartM(unitKg, v, bales.spacing.acrossM) })}
    />
  {/if}
  <NumberField name="bales.edgeM" value={bales.edgeM} onchange={(v) => set({ edgeM: v ?? 0 })} />
  <NumberField name="bales.waterM" value={bales.waterM} onchange={(v) => set({ waterM: v ?? 0 })} />
  <NumberField
    name="spacing.rowsDeg"
    value={bales.spacing.rowsDeg}
    onchange={(v) => v !== null && space({ rowsDeg: v })}
  />
  <Choice
    label="Opened from"
    value={bales.fromLast ? 'last' : 'first'}
    options={EDGES}
    onchange={(v) => set({ fromLast: v === 'last', counts: [] })}
  />
  <NumberField
    name="spacing.shiftAlongM"
    value={bales.spacing.shiftAlongM}
    onchange={(v) => space({ shiftAlongM: v ?? 0 })}
  />
  <NumberField
    name="spacing.shiftAcrossM"
    value={bales.spacing.shiftAcrossM}
    onchange={(v) => space({ shiftAcrossM: v ?? 0 })}
  />
  <NumberField
    name="bales.padWinters"
    value={bales.padWinters}
    onchange={(v) => set({ padWinters: v ?? 0 })}
  />
  <Choice
    label="They stand"
    value={bales.onEnd ? 'end' : 'side'}
    options={STANDS}
    onchange={(v) => set({ onEnd: v === 'end' })}
  />
  <Choice
    label="Strings and net come off"
    value={bales.stringsOnDay ? 'day' : 'before'}
    options={STRINGS}
    onchange={(v) => set({ stringsOnDay: v === 'day' })}
  />
  <NumberField
    name="bales.mostHeadDaysPerHa"
    value={bales.mostHeadDaysPerHa}
    onchange={(v) => set({ mostHeadDaysPerHa: v })}
  />
</div>
