<script lang="ts">
  import type { BaleField } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { thePlan } from '../plan/context';

  const open = thePlan();

  let { bales, onchange }: { bales: BaleField; onchange: (bales: BaleField) => void } = $props();

  const farm = $derived(open.view!.farm);
  const drawn = $derived(farm.fields.filter((f) => f.outline));
  const lots = $derived(open.year.lots);
  const set = (part: Partial<BaleField>) => onchange({ ...bales, ...part });
  const space = (part: Partial<BaleField['spacing']>) =>
    set({ spacing: { ...bales.spacing, ...part } });
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
    onchange={(v) => set({ lotId: v, counts: [] })}
  />
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
    name="bales.mostHeadDaysPerHa"
    value={bales.mostHeadDaysPerHa}
    onchange={(v) => set({ mostHeadDaysPerHa: v })}
  />
</div>
