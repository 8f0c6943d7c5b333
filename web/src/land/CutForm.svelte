<script lang="ts">
  import { untrack } from 'svelte';
  import type { Edit, Field } from '../api/client';
  import { isoOf, shortDate } from '../units/dates';
  import { nothingSaid } from '../store/usual';
  import { thePlan } from '../plan/context';
  import { cutOutcome } from '../plan/planned';
  import { freshId } from '../plan/session.svelte';
  import { doubtText } from '../words/doubts';
  import Choice from '../form/Choice.svelte';
  import TiedDate from '../form/TiedDate.svelte';
  import NumberField from '../form/NumberField.svelte';
  import ActBar from './ActBar.svelte';
  import { Deed } from './deed.svelte';
  import { fullestDay } from './acts';

  const open = thePlan();

  let {
    field,
    day,
    changeId,
    ondone,
  }: { field: Field; day: number | null; changeId: string | null; ondone: () => void } = $props();

  const view = $derived(open.view!);
  const before = untrack(() => open.view!.plan.cuts.find((c) => c.id === changeId));
  const losses = (stage: string) => open.catalogue!.losses.filter((l) => l.stage === stage);
  const BEFORE_FULLEST_DAYS = 7;
  let date = $state(untrack(() => before?.date ?? usualDate()));
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
  const kindBefore = KINDS.find((k) => k.unitName === before?.lot.unitName);
  let kindId = $state(kindBefore?.id ?? 'hay');
  const kind = $derived(KINDS.find((k) => k.id === kindId)!);
  let weightKg = $state(before?.lot.kgPerUnitAsFed ?? 365);
  let dmShare = $state(before?.lot.dmShare ?? 0.87);
  let harvest = $state(before?.harvestMethodId ?? 'h_hay_conditioned_grass');
  let storage = $state(before?.lot.storageMethodId ?? 's_barn');
  let feeding = $state(before?.lot.feedingMethodId ?? 'f_ring_open');
  let making = $state<number | null>(before?.lot.origin.makingPerUnit ?? null);
  const draft = untrack(() => ({
    id:
      changeId ??
      freshId(
        `cut-${field.id}`,
        view.plan.cuts.map((c) => c.id),
      ),
    lotId:
      before?.lot.id ??
      freshId(
        `hay-${field.id}`,
        [...view.farm.lots, ...[...view.plan.cuts, ...view.plan.purchases].map((x) => x.lot)].map(
          (l) => l.id,
        ),
      ),
  }));
  const tried = $derived(open.trial ? cutOutcome(edit().putCut!.lot, open.trial, open.system) : '');

  /** A little before the field stands fullest: then most of it is still worth cutting. */
  function usualDate(): string {
    const year = open.view!.year;
    const due = Math.max(0, fullestDay(year, field.id) - BEFORE_FULLEST_DAYS);
    return isoOf(year.start, day ?? due);
  }

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
    return {
      putCut: {
        id: draft.id,
        fieldId: field.id,
        date,
        harvestMethodId: harvest,
        lot: {
          ...nothingSaid(),
          ...before?.lot,
          id: draft.lotId,
          name: date === before?.date ? before.lot.name : `${field.name}, ${shortDate(date)}`,
          unitName: before && kindId === kindBefore?.id ? before.lot.unitName : kind.unitName,
          units: 0,
          kgPerUnitAsFed: weightKg,
          dmShare,
          storageMethodId: storage,
          feedingMethodId: feeding,
          pricePerTonneAsFed: before?.lot.pricePerTonneAsFed ?? null,
          note: before?.lot.note ?? '',
          origin: { ...(before?.lot.origin ?? nothingSaid().origin), makingPerUnit: making },
        },
      },
    };
  }
  const deed = untrack(() => new Deed(open, field, 'cut', changeId, edit));
  const tryOut = () => deed.tryOut();
  untrack(tryOut);
</script>

<div class="input-grid">
  <TiedDate
    label="Cut on"
    fieldId={field.id}
    tie={deed.tie('FROM')}
    ontie={(t) => deed.tieTo('FROM', t)}
    value={date}
    onchange={(v) => {
      if (v) date = v;
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
</div>
{#if tried}
  <p class="tells" role="status" data-testid="cut-tried">{tried}</p>
{/if}
<p class="quiet fine">
  Protein and energy are those of what stands that day, less what the way of making loses; a test
  says more. Hay stored damp can heat and burn: check moisture before stacking, and ask your
  adviser.
</p>
<ActBar {deed} label={before ? 'Save it' : 'Cut it'} {ondone} />
