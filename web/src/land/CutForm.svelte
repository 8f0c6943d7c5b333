<script lang="ts">
  import type { Edit, Field } from '../api/client';
  import { shortDate } from '../units/dates';
  import { nothingSaid } from '../store/usual';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { amount } from '../units/units';
  import { stageWord } from '../words/land';
  import { doubtText } from '../words/doubts';
  import { plural } from '../words/year';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';

  const open = thePlan();

  let { field }: { field: Field } = $props();

  const view = $derived(open.view!);
  const cuts = $derived(view.plan.cuts.filter((c) => c.fieldId === field.id));
  const losses = (stage: string) => open.catalogue!.losses.filter((l) => l.stage === stage);
  let date = $state<string | null>(null);
  /** What a cut can become: how it is made and kept, what one of it weighs and how dry it is. */
  const KINDS = [
    {
      id: 'hay',
      name: 'Hay, round bales',
      unitName: 'round bale',
      kg: 365,
      dm: 0.87,
      harvest: 'h_hay_conditioned_grass',
      storage: 's_barn',
      feeding: 'f_ring_open',
    },
    {
      id: 'haylage',
      name: 'Haylage, wrapped bales',
      unitName: 'wrapped bale',
      kg: 550,
      dm: 0.5,
      harvest: 'h_haylage',
      storage: 's_wrapped_sound',
      feeding: 'f_ring_open',
    },
    {
      id: 'silage',
      name: 'Silage, in a clamp',
      unitName: 'cubic metre',
      kg: 680,
      dm: 0.32,
      harvest: 'h_silage_wilted',
      storage: 's_clamp_sealed',
      feeding: 'f_bunk',
    },
  ];
  let kindId = $state('hay');
  const kind = $derived(KINDS.find((k) => k.id === kindId)!);
  let weightKg = $state(365);
  let dmShare = $state(0.87);
  let harvest = $state('h_hay_conditioned_grass');
  let storage = $state('s_barn');
  let feeding = $state('f_ring_open');
  let making = $state<number | null>(null);
  let draftLot = $state('');
  const tried = $derived(open.trial?.lots.find((l) => l.id === draftLot));
  const worthText = (l: {
    proteinPct: number | null;
    tdnPct: number | null;
    ripeness: number | null;
  }) =>
    l.tdnPct === null || l.ripeness === null
      ? ''
      : `, cut ${stageWord(l.ripeness)}: ${l.proteinPct?.toFixed(0)}% protein, ${l.tdnPct.toFixed(0)}% TDN`;

  function setKind(id: string) {
    kindId = id;
    weightKg = kind.kg;
    dmShare = kind.dm;
    harvest = kind.harvest;
    storage = kind.storage;
    feeding = kind.feeding;
    tryOut();
  }

  function edit(): Edit {
    const lots = [
      ...view.farm.lots,
      ...view.plan.cuts.map((c) => c.lot),
      ...view.plan.purchases.map((p) => p.lot),
    ];
    draftLot ||= freshId(
      `${kindId}-${field.id}`,
      lots.map((l) => l.id),
    );
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
          id: draftLot,
          name: `${field.name}, ${shortDate(date!)}`,
          unitName: kind.unitName,
          units: 0,
          kgPerUnitAsFed: weightKg,
          dmShare,
          storageMethodId: storage,
          feedingMethodId: feeding,
          pricePerTonneAsFed: null,
          note: '',
          ...made(),
        },
      },
    };
  }
  function made() {
    const said = nothingSaid();
    return { ...said, origin: { ...said.origin, makingPerUnit: making } };
  }
  function tryOut() {
    if (date) open.tryOut([edit()]);
  }
  async function cut() {
    if (await open.edit([edit()])) {
      date = null;
      draftLot = '';
    }
  }
</script>

<section class="part" aria-label="Cut for hay">
  <h2>Cut for hay, haylage or silage</h2>
  {#each cuts as c (c.id)}
    {@const lot = view.year.lots.find((l) => l.id === c.lot.id)}
    {@const units = lot ? Math.max(...lot.units) : 0}
    <p class="row">
      {shortDate(c.date)}: {units}
      {plural(c.lot.unitName, units)} of {amount(c.lot.kgPerUnitAsFed, 'weight', open.system)}{lot
        ? worthText(lot)
        : ''}
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
    <Choice label="For" value={kindId} options={KINDS} onchange={setKind} />
    <NumberField
      name="lot.dmShare"
      value={dmShare}
      onchange={(v) => {
        if (v) dmShare = v;
        tryOut();
      }}
    />
    <NumberField
      label="Weight of one"
      name="lot.kgPerUnitAsFed"
      value={weightKg}
      onchange={(v) => {
        if (v) weightKg = v;
        tryOut();
      }}
    />
    <NumberField
      label={`Making one, ${view.farm.currency}`}
      name="origin.makingPerUnit"
      placeholder="not said"
      value={making}
      onchange={(v) => {
        making = v;
        tryOut();
      }}
    />
    <Choice
      label="Made as"
      value={harvest}
      options={losses('HARVEST')}
      hint={open.year.doubts
        .filter((d) => d.subjectId === field.id && d.field === 'cut.harvestMethodId')
        .map((d) => doubtText(d, open.system))
        .join(' ')}
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
  {#if tried}
    {@const most = Math.max(...tried.units)}
    <p class="tells" role="status" data-testid="cut-tried">
      {most}
      {plural(kind.unitName, most)}{worthText(tried)}.
    </p>
  {/if}
  <p class="quiet fine">
    Protein and energy are those of what stands that day, less what the way of making loses; a test
    says more. Hay stored damp can heat and burn: check moisture before stacking, and ask your
    adviser.
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
