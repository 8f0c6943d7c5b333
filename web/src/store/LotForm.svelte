<script lang="ts">
  import type { Lot } from '../api/client';
  import { thePlan } from '../plan/context';
  import { amount } from '../units/units';
  import { about } from '../form/said';
  import Choice from '../form/Choice.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';

  const open = thePlan();

  let {
    lot,
    onchange,
    currency,
  }: {
    lot: Lot;
    onchange: <K extends keyof Lot>(key: K, value: Lot[K]) => void;
    currency: string;
  } = $props();

  about(() => lot.id);
  const losses = $derived(open.catalogue!.losses);
  const ways = (stage: string) => losses.filter((l) => l.stage === stage);
  const percent = (share: number) => `${Math.round(share * 1000) / 10}%`;
  function lossHint(id: string): string {
    const l = losses.find((x) => x.id === id);
    return l
      ? `Loses ${percent(l.share)} ${l.stage === 'STORAGE' && !/clamp|bag|torn/.test(l.id) ? 'a year' : 'once'}, usually ${percent(l.lowShare)} to ${percent(l.highShare)}`
      : '';
  }
</script>

<div class="grid">
  <TextField name="lot.name" value={lot.name} oninput={(v) => onchange('name', v)} />
  <NumberField
    name="lot.units"
    value={lot.units}
    onchange={(v) => v !== null && onchange('units', Math.round(v))}
  />
  <TextField name="lot.unitName" value={lot.unitName} oninput={(v) => onchange('unitName', v)} />
  <NumberField
    name="lot.kgPerUnitAsFed"
    value={lot.kgPerUnitAsFed}
    hint={lot.size?.weighedKg.length || lot.size?.densityKgPerM3 ? 'Reckoned below' : 'Weigh a few'}
    onchange={(v) => v !== null && onchange('kgPerUnitAsFed', v)}
  />
  <NumberField
    name="lot.dmShare"
    value={lot.dmShare}
    onchange={(v) => v !== null && onchange('dmShare', v)}
  />
  <NumberField
    label={`Price, ${currency}`}
    name="lot.pricePerTonneAsFed"
    value={lot.pricePerTonneAsFed}
    placeholder="unknown"
    onchange={(v) => onchange('pricePerTonneAsFed', v)}
  />
  <Choice
    label="Stored"
    value={lot.storageMethodId}
    options={ways('STORAGE')}
    hint={lossHint(lot.storageMethodId)}
    onchange={(v) => onchange('storageMethodId', v)}
  />
  <Choice
    label="Fed"
    value={lot.feedingMethodId}
    options={ways('FEEDING')}
    hint={lossHint(lot.feedingMethodId)}
    onchange={(v) => onchange('feedingMethodId', v)}
  />
  <TextField name="lot.note" value={lot.note} oninput={(v) => onchange('note', v)} />
</div>
<p class="quiet">
  One unit holds {amount(lot.kgPerUnitAsFed * lot.dmShare, 'weight', open.system)} of dry matter as it
  comes in. Each loss is taken once. Mouldy or heated feed stays shut: ask your veterinarian.
</p>

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
    gap: 0.75rem;
  }
  p {
    font-size: 13px;
    margin-top: 0.5rem;
  }
</style>
