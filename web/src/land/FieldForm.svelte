<script lang="ts">
  import type { Field, Stand } from '../api/client';
  import { endAfter, lastDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { amount, rounded } from '../units/units';
  import { about } from '../form/said';
  import Choice from '../form/Choice.svelte';
  import CoverForm from './CoverForm.svelte';
  import DateField from '../form/DateField.svelte';
  import type { Draft } from '../form/draft.svelte';
  import GrowthRates from './GrowthRates.svelte';
  import HeightsForm from './HeightsForm.svelte';
  import LieForm from './LieForm.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';

  const open = thePlan();

  let { draft }: { draft: Draft<Field> } = $props();

  about(() => draft.item?.id ?? '');
  const field = $derived(draft.item!);
  const stand = $derived(field.stand);
  const forage = $derived(open.forages.find((f) => f.id === stand.forageId)!);
  const curve = $derived(forage.curves[open.view!.farm.climateId] ?? null);
  const growth = $derived(
    stand.monthlyKgPerHaDay ? 'rates' : stand.yieldKgPerHa !== null ? 'yield' : 'climate',
  );
  const table = $derived(
    {
      SET_STOCKED: forage.utilizationSetStocked,
      ROTATIONAL: forage.utilizationRotational,
      STRIP: forage.utilizationStrip,
    }[field.grazing],
  );
  const result = $derived(open.view!.year.fields.find((f) => f.id === field.id));
  /** What the way of grazing comes to on this farm, once it is known. */
  const moves = $derived(
    !result || field.grazing === 'SET_STOCKED' || result.inRound <= 1
      ? ''
      : `Grazed as ${result.pieces} of the ${result.inRound} paddocks of its round.`,
  );
  const defaultOf = (kg: number) => `default ${rounded(kg, 'massPerArea', open.system).toFixed(0)}`;

  const TEXTURES = [
    { id: 'SAND', name: 'Sand' },
    { id: 'LOAMY_SAND', name: 'Loamy sand' },
    { id: 'SANDY_LOAM', name: 'Sandy loam' },
    { id: 'LOAM', name: 'Loam' },
    { id: 'SILT_LOAM', name: 'Silt loam' },
    { id: 'CLAY_LOAM', name: 'Clay loam' },
    { id: 'CLAY', name: 'Clay' },
  ];
  const NO_GROWTH = new Array<number>(12).fill(0);
  const annual = (rates: number[]) =>
    rates.reduce((sum, r, i) => sum + r * [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][i], 0);

  function setStand(change: Partial<Stand>) {
    draft.set('stand', { ...field.stand, ...change });
  }
  function setForage(forageId: string) {
    const next = open.forages.find((f) => f.id === forageId)!;
    const has = next.cropResidue || next.fallow || next.curves[open.view!.farm.climateId];
    setStand({
      forageId,
      yieldKgPerHa: has ? stand.yieldKgPerHa : null,
      monthlyKgPerHaDay: has
        ? stand.monthlyKgPerHaDay
        : (stand.monthlyKgPerHaDay ?? [...NO_GROWTH]),
    });
  }
  function setGrowth(way: string) {
    const shape = stand.monthlyKgPerHaDay ?? curve ?? NO_GROWTH;
    if (way === 'rates') setStand({ yieldKgPerHa: null, monthlyKgPerHaDay: [...shape] });
    else if (way === 'yield')
      setStand({ yieldKgPerHa: Math.round(annual(curve ?? shape)), monthlyKgPerHaDay: null });
    else setStand({ yieldKgPerHa: null, monthlyKgPerHaDay: null });
  }
</script>

<div class="grid">
  <TextField name="field.name" value={field.name} oninput={(v) => draft.set('name', v)} />
  <NumberField
    name="field.areaHa"
    value={field.areaHa}
    onchange={(v) => v !== null && draft.set('areaHa', v)}
  />
  <NumberField
    name="field.deductedHa"
    value={field.deductedHa}
    placeholder="none"
    hint={field.deductedHa
      ? `${amount(field.areaHa - field.deductedHa, 'area', open.system)} grow feed.`
      : ''}
    onchange={(v) => draft.set('deductedHa', v)}
  />
  <Choice
    label="Stand"
    value={stand.forageId}
    options={open.forages.map((f) => ({
      id: f.id,
      name: f.name + (f.id.startsWith('own-') ? ' (my own)' : ''),
    }))}
    onchange={setForage}
  />
  <Choice
    label="Growth"
    value={growth}
    options={[
      ...(curve || forage.cropResidue || forage.fallow
        ? [
            {
              id: 'climate',
              name: forage.cropResidue
                ? 'None, it is residue'
                : forage.fallow
                  ? 'None, nothing is sown'
                  : 'As usual in this climate',
            },
          ]
        : []),
      ...(curve ? [{ id: 'yield', name: 'My yearly growth' }] : []),
      { id: 'rates', name: 'My twelve monthly rates' },
    ]}
    onchange={setGrowth}
  />
</div>
{#if growth === 'yield'}
  <div class="grid">
    <NumberField
      name="stand.yieldKgPerHa"
      value={stand.yieldKgPerHa}
      onchange={(v) => setStand({ yieldKgPerHa: v })}
    />
  </div>
{/if}
<GrowthRates
  rates={stand.monthlyKgPerHaDay ??
    (curve ?? NO_GROWTH).map((r) =>
      stand.yieldKgPerHa && curve ? (r * stand.yieldKgPerHa) / annual(curve) : r,
    )}
  editable={growth === 'rates'}
  onchange={(rates) => setStand({ monthlyKgPerHaDay: rates })}
/>
<div class="grid">
  <NumberField
    name="stand.openingCoverKgPerHa"
    value={stand.openingCoverKgPerHa}
    placeholder="half grown"
    onchange={(v) => setStand({ openingCoverKgPerHa: v })}
  />
  <NumberField
    name="stand.openingDeadShare"
    value={stand.openingDeadShare}
    onchange={(v) => v !== null && setStand({ openingDeadShare: v })}
  />
  <Choice
    label="Grazing"
    value={field.grazing}
    options={[
      { id: 'SET_STOCKED', name: 'Set stocked' },
      { id: 'ROTATIONAL', name: 'Rotation, moves every 3 to 7 days' },
      { id: 'STRIP', name: 'Strips, daily' },
    ]}
    hint={moves}
    onchange={(v) => draft.set('grazing', v as Field['grazing'])}
  />
  {#if field.grazing !== 'SET_STOCKED'}
    <NumberField
      name="field.paddocks"
      value={field.paddocks}
      placeholder="by the moves"
      onchange={(v) => draft.set('paddocks', v)}
    />
  {/if}
  <NumberField
    name="field.utilization"
    value={field.utilization}
    placeholder={`default ${result?.eatenPercent ?? Math.round(table * 100)}`}
    onchange={(v) => draft.set('utilization', v)}
  />
  <NumberField
    name="field.residualKgPerHa"
    value={field.residualKgPerHa}
    placeholder={defaultOf(forage.minResidualKgPerHa)}
    hint="Below the default, regrowth pays for it."
    onchange={(v) => draft.set('residualKgPerHa', v)}
  />
  <NumberField
    name="field.turnInKgPerHa"
    value={field.turnInKgPerHa}
    placeholder={defaultOf(
      (field.residualKgPerHa ?? forage.minResidualKgPerHa) +
        Math.max(0, forage.entryKgPerHa - (field.residualKgPerHa ?? forage.minResidualKgPerHa)) / 3,
    )}
    onchange={(v) => draft.set('turnInKgPerHa', v)}
  />
  <DateField
    label="There from (rented ground)"
    value={stand.fromInclusive}
    onchange={(v) => setStand({ fromInclusive: v })}
  />
  <DateField
    label="There to, last day"
    name="stand.dates"
    value={stand.toExclusive ? lastDay(stand.toExclusive) : null}
    onchange={(v) => setStand({ toExclusive: v ? endAfter(v) : null })}
  />
</div>
{#if !forage.cropResidue && !forage.fallow}
  <HeightsForm heights={field.heights} {forage} onchange={(h) => draft.set('heights', h)} />
{/if}
<CoverForm
  forageId={stand.forageId}
  onmeasured={(kg) => setStand({ openingCoverKgPerHa: Math.round(kg) })}
/>
<LieForm {draft} />
<div class="grid">
  <Choice
    label="Soil"
    value={field.soil?.texture ?? ''}
    options={[{ id: '', name: 'As usual in this climate' }, ...TEXTURES]}
    onchange={(v) =>
      draft.set(
        'soil',
        v
          ? {
              depthCm: null,
              drainsFreely: true,
              ...field.soil,
              texture: v as NonNullable<Field['soil']>['texture'],
            }
          : null,
      )}
  />
  {#if field.soil}
    <NumberField
      name="soil.depthCm"
      value={field.soil.depthCm}
      placeholder="deep"
      onchange={(v) => draft.set('soil', { ...field.soil!, depthCm: v })}
    />
    <Choice
      label="After heavy rain"
      value={field.soil.drainsFreely ? 'free' : 'wet'}
      options={[
        { id: 'free', name: 'It drains freely' },
        { id: 'wet', name: 'Water stands for days' },
      ]}
      onchange={(v) => draft.set('soil', { ...field.soil!, drainsFreely: v === 'free' })}
    />
  {/if}
</div>
<label class="check"
  ><input
    type="checkbox"
    class="checkbox"
    checked={field.hayable}
    onchange={(e) => draft.set('hayable', e.currentTarget.checked)}
  /> Can be cut for hay</label
>
<TextField name="field.note" value={field.note} oninput={(v) => draft.set('note', v)} />
{#if forage.prussicAcid || forage.toxicEndophyte}
  <p class="caution">
    {forage.prussicAcid
      ? 'This stand can hold prussic acid: never graze it below its safe height, around frost or on regrowth after drought. '
      : ''}{forage.toxicEndophyte
      ? 'This fescue carries the toxic endophyte: dilute it in hot weather and keep mares near foaling off it. '
      : ''}Ask your veterinarian or adviser.
  </p>
{/if}
<p class="quiet">Defaults are the product's own, from general tables; your own measurements win.</p>

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(11.5rem, 1fr));
    gap: 0.75rem;
    margin-bottom: 0.75rem;
  }
  .check {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    margin-bottom: 0.5rem;
  }
  .caution {
    border-left: 4px solid var(--bare);
    padding: 0.3rem 0.8rem;
    margin-top: 0.75rem;
  }
  p.quiet {
    font-size: 13px;
    margin-top: 0.5rem;
  }
</style>
