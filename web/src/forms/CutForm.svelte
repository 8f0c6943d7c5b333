<script lang="ts">
  import type { Edit, Field } from '../api/client';
  import { shortDate } from '../dates';
  import { freshId, open } from '../plan.svelte';
  import { amount } from '../units';
  import { plural } from '../words';
  import Choice from './Choice.svelte';
  import DateField from './DateField.svelte';
  import NumberField from './NumberField.svelte';

  let { field }: { field: Field } = $props();

  const view = $derived(open.view!);
  const cuts = $derived(view.plan.cuts.filter((c) => c.fieldId === field.id));
  const losses = (stage: string) => open.catalogue!.losses.filter((l) => l.stage === stage);
  let date = $state<string | null>(null);
  let weightKg = $state(365);
  let harvest = $state('h_hay_conditioned_grass');
  let storage = $state('s_barn');
  let feeding = $state('f_ring_open');

  function edit(): Edit {
    const lots = [
      ...view.farm.lots,
      ...view.plan.cuts.map((c) => c.lot),
      ...view.plan.purchases.map((p) => p.lot),
    ];
    return {
      putCut: {
        id: freshId(
          `cut-${field.id}`,
          view.plan.cuts.map((c) => c.id),
        ),
        fieldId: field.id,
        date: date!,
        harvestMethodId: harvest,
        lot: {
          id: freshId(
            `hay-${field.id}`,
            lots.map((l) => l.id),
          ),
          name: `${field.name}, ${shortDate(date!)}`,
          unitName: 'round bale',
          units: 0,
          kgPerUnitAsFed: weightKg,
          dmShare: 0.87,
          storageMethodId: storage,
          feedingMethodId: feeding,
          pricePerTonneAsFed: null,
          note: '',
        },
      },
    };
  }
  function tryOut() {
    if (date) open.tryOut([edit()]);
  }
  async function cut() {
    if (await open.edit([edit()])) date = null;
  }
</script>

<section class="part" aria-label="Cut for hay">
  <h2>Cut for hay</h2>
  {#each cuts as c (c.id)}
    {@const lot = view.year.lots.find((l) => l.id === c.lot.id)}
    {@const units = lot ? Math.max(...lot.units) : 0}
    <p class="row">
      {shortDate(c.date)}: {units}
      {plural(c.lot.unitName, units)} of {amount(c.lot.kgPerUnitAsFed, 'weight', open.system)}
      <button class="btn plain" onclick={() => open.edit([{ removeCut: c.id }])}>Take back</button>
    </p>
  {/each}
  <div class="input-grid">
    <DateField
      label="Cut on"
      value={date}
      onchange={(v) => {
        date = v;
        tryOut();
      }}
    />
    <NumberField
      label="Bale weight"
      quantity="weight"
      value={weightKg}
      onchange={(v) => {
        if (v) weightKg = v;
        tryOut();
      }}
    />
    <Choice
      label="Made as"
      value={harvest}
      options={losses('HARVEST')}
      onchange={(v) => {
        harvest = v;
        tryOut();
      }}
    />
    <Choice
      label="Stored"
      value={storage}
      options={losses('STORAGE')}
      onchange={(v) => {
        storage = v;
        tryOut();
      }}
    />
    <Choice
      label="Fed"
      value={feeding}
      options={losses('FEEDING')}
      onchange={(v) => {
        feeding = v;
        tryOut();
      }}
    />
    <button class="btn plain" disabled={!date} onclick={cut}>Cut it</button>
  </div>
  <p class="quiet fine">
    Hay stored damp can heat and burn: check moisture before stacking, and ask your adviser.
  </p>
</section>

<style>
  .row {
    display: flex;
    gap: 0.75rem;
    align-items: center;
    margin-top: 0.4rem;
  }
</style>
