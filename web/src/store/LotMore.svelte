<script lang="ts">
  import type { Lot, Origin, UnitSize } from '../api/client';
  import { thePlan } from '../plan/context';
  import { amount, rounded, toSi, unitOf, lengthsIn } from '../units/units';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import MonthDayField from '../form/MonthDayField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';
  import { habits, smallStock } from './usual';

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

  const catalogue = $derived(open.catalogue!);
  const result = $derived(open.year.lots.find((l) => l.id === lot.id));
  const weighed = $derived(
    (lot.size?.weighedKg ?? []).map((kg) => rounded(kg, 'weight', open.system)).join(', '),
  );
  const BLANK: UnitSize = {
    packageId: null,
    weighedKg: [],
    diameterM: null,
    widthM: null,
    lengthM: null,
    heightM: null,
    densityKgPerM3: null,
    rindCm: null,
  };
  const size = $derived(lot.size ?? BLANK);
  const round = $derived(size.diameterM !== null || size.packageId?.includes('rb_') === true);

  function said<K extends keyof Origin>(key: K, value: Origin[K]) {
    onchange('origin', { ...lot.origin, [key]: value });
  }
  function sized(change: Partial<UnitSize>) {
    onchange('size', { ...size, ...change });
  }
  function like(id: string) {
    const p = catalogue.packages.find((x) => x.id === id);
    if (!p) return onchange('size', null);
    const kept = { weighedKg: [...size.weighedKg], rindCm: size.rindCm };
    onchange(
      'size',
      p.size ? { ...p.size, ...kept } : { ...BLANK, ...kept, rindCm: null, packageId: p.id },
    );
    if (size.weighedKg.length === 0) onchange('kgPerUnitAsFed', p.typicalKg);
    // another shape is counted, stored and fed in another way
    const usual = habits(p, smallStock(open.view!.farm.groups.map((g) => g.kind)));
    if (usual.unitName !== lot.unitName) {
      onchange('unitName', usual.unitName);
      onchange('dmShare', usual.dmShare);
      onchange('storageMethodId', usual.storageMethodId);
      onchange('feedingMethodId', usual.feedingMethodId);
    }
  }
  function weigh(text: string) {
    const kg = text
      .split(/[\s,;]+/)
      .map(Number)
      .filter((n) => Number.isFinite(n) && n > 0)
      .map((n) => toSi(n, 'weight', open.system));
    sized({ weighedKg: kg });
  }
</script>

<section class="part" aria-label="What it is and where it stands">
  <h2>What it is and where it stands</h2>
  <div class="input-grid">
    <Choice
      label="Feed"
      value={lot.origin.feedId ?? ''}
      options={[
        { id: '', name: 'not said: taken as common grass hay' },
        ...catalogue.storedFeeds.map((f) => ({ id: f.id, name: f.name })),
      ]}
      onchange={(v) => said('feedId', v || null)}
    />
    <DateField label="Cut on" value={lot.origin.cutOn} onchange={(v) => said('cutOn', v)} />
    <Choice
      label="Wrap"
      value={lot.origin.wrap}
      options={[
        { id: 'NOT_SAID', name: 'not said' },
        { id: 'NONE', name: 'none' },
        { id: 'TWINE', name: 'twine' },
        { id: 'NET', name: 'net' },
        { id: 'FILM', name: 'film' },
        { id: 'SHEET', name: 'sheet' },
      ]}
      onchange={(v) => said('wrap', v as Origin['wrap'])}
    />
    <TextField label="Place" value={lot.origin.place} oninput={(v) => said('place', v)} />
    <NumberField
      label={`Making one, ${currency}`}
      name="origin.makingPerUnit"
      placeholder="not said"
      value={lot.origin.makingPerUnit}
      onchange={(v) => said('makingPerUnit', v)}
    />
    <NumberField
      label={`Hauling one, ${currency}`}
      name="origin.haulingPerUnit"
      placeholder="none"
      hint="None where it is left where it was made"
      value={lot.origin.haulingPerUnit}
      onchange={(v) => said('haulingPerUnit', v)}
    />
    <label class="tick">
      <input
        type="checkbox"
        class="checkbox"
        checked={lot.origin.movable}
        onchange={(e) => said('movable', e.currentTarget.checked)}
      /> It can be moved
    </label>
  </div>
</section>
<section class="part" aria-label="Size and weight">
  <h2>Size and weight of one</h2>
  <div class="input-grid">
    <Choice
      label="Like"
      value={size.packageId ?? ''}
      options={[
        { id: '', name: 'not said' },
        ...catalogue.packages.map((p) => ({ id: p.id, name: lengthsIn(p.name, open.system) })),
      ]}
      onchange={like}
    />
    <label class="field">
      <span>Weighed, {unitOf('weight', open.system)}</span>
      <input
        class="input figure"
        value={weighed}
        placeholder="805, 862, 840"
        onchange={(e) => weigh(e.currentTarget.value)}
      />
      <span class="quiet">A few of them, commas between; their mean holds</span>
    </label>
    {#if round || size.lengthM === null}
      <NumberField
        name="size.diameterM"
        value={size.diameterM}
        onchange={(v) => sized({ diameterM: v })}
      />
    {/if}
    <NumberField name="size.widthM" value={size.widthM} onchange={(v) => sized({ widthM: v })} />
    {#if !round}
      <NumberField
        name="size.lengthM"
        value={size.lengthM}
        onchange={(v) => sized({ lengthM: v })}
      />
      <NumberField
        name="size.heightM"
        value={size.heightM}
        onchange={(v) => sized({ heightM: v })}
      />
    {/if}
    <NumberField
      name="size.densityKgPerM3"
      placeholder="not said"
      hint="Where none were weighed"
      value={size.densityKgPerM3}
      onchange={(v) => sized({ densityKgPerM3: v })}
    />
    <NumberField
      name="size.rindCm"
      placeholder="by way of storing"
      hint="Takes the place of the loss in store"
      value={size.rindCm}
      onchange={(v) => sized({ rindCm: v })}
    />
  </div>
  {#if result}
    <p class="quiet fine" data-testid="unit-weight">
      One weighs {amount(result.kgPerUnitAsFed, 'weight', open.system)}{result.weighedErrorKg !==
      null
        ? ` by those weighed, give or take ${amount(result.weighedErrorKg, 'weight', open.system)}`
        : ''}.
      {#if result.rindShare > 0}The rind is {Math.round(result.rindShare * 100)}% of a bale; nothing
        else is lost in store.{/if}
    </p>
  {/if}
</section>
<section class="part" aria-label="Kept back">
  <h2>Kept back for a season</h2>
  <div class="input-grid">
    <NumberField
      name="reserve.units"
      optional
      placeholder="none"
      value={lot.reserve?.units ?? null}
      onchange={(v) =>
        onchange(
          'reserve',
          v === null || v < 1
            ? null
            : {
                units: Math.round(v),
                fromInclusive: lot.reserve?.fromInclusive ?? '--07-01',
                toExclusive: lot.reserve?.toExclusive ?? '--09-15',
              },
        )}
    />
    {#if lot.reserve}
      <MonthDayField
        label="May be opened from"
        value={lot.reserve.fromInclusive}
        onchange={(v) => v && onchange('reserve', { ...lot.reserve!, fromInclusive: v })}
      />
      <MonthDayField
        label="Season ends before"
        value={lot.reserve.toExclusive}
        onchange={(v) => v && onchange('reserve', { ...lot.reserve!, toExclusive: v })}
      />
    {/if}
  </div>
  <p class="quiet fine">
    Nothing of it is opened before its season. What is unused then rolls into the ordinary stock.
  </p>
</section>

<style>
  .tick {
    display: flex;
    gap: 0.4rem;
    align-items: center;
    min-height: 2.25rem;
  }
</style>
