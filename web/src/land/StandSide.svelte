<script lang="ts">
  import type { Field, Stand } from '../api/client';
  import { endAfter, lastDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import type { Draft } from '../form/draft.svelte';
  import NumberField from '../form/NumberField.svelte';
  import GrowthRates from './GrowthRates.svelte';

  const open = thePlan();

  let { draft }: { draft: Draft<Field> } = $props();

  const field = $derived(draft.item!);
  const stand = $derived(field.stand);
  const forage = $derived(open.forages.find((f) => f.id === stand.forageId)!);
  const curve = $derived(forage.curves[open.view!.farm.climateId] ?? null);
  const growth = $derived(
    stand.monthlyKgPerHaDay ? 'rates' : stand.yieldKgPerHa !== null ? 'yield' : 'climate',
  );
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
