<script lang="ts">
  import type { Edit, Field, OwnForage, Stand } from '../api/client';
  import { endAfter, lastDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import Choice from '../form/Choice.svelte';
  import Search from '../form/Search.svelte';
  import DateField from '../form/DateField.svelte';
  import type { Draft } from '../form/draft.svelte';
  import NumberField from '../form/NumberField.svelte';
  import OwnForageForm, { noFigures } from './OwnForageForm.svelte';
  import { freshId } from '../plan/session.svelte';
  import GroundForm from './GroundForm.svelte';
  import GrowthRates from './GrowthRates.svelte';

  const open = thePlan();

  let { draft }: { draft: Draft<Field> } = $props();

  const field = $derived(draft.item!);
  const stand = $derived(field.stand);
  /** While an undo takes away what a field carried, the draft still names it. */
  const forage = $derived(
    open.forages.find((f) => f.id === stand.forageId) ?? open.catalogue!.forages[0],
  );
  const curve = $derived(forage.curves[open.view!.farm.climateId] ?? null);
  const growth = $derived(
    stand.monthlyKgPerHaDay ? 'rates' : stand.yieldKgPerHa !== null ? 'yield' : 'climate',
  );
  const NO_GROWTH = new Array<number>(12).fill(0);
  const annual = (rates: number[]) =>
    rates.reduce((sum, r, i) => sum + r * [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][i], 0);

  /** The sward as this field's own, while it is being stated. */
  let own = $state<OwnForage | null>(null);
  const mine = $derived(open.view!.farm.forages.find((f) => f.id === stand.forageId));
  const others = $derived(
    open
      .view!.farm.fields.filter((f) => f.id !== field.id && f.stand.forageId === stand.forageId)
      .map((f) => f.name),
  );
  const madeOf = $derived.by(() => {
    const parts = mine?.parts ?? [];
    const total = parts.reduce((sum, p) => sum + p.share, 0);
    const nameOf = (id: string) => open.forages.find((f) => f.id === id)?.name ?? id;
    return parts
      .map((p) => `${Math.round((100 * p.share) / total)}% ${nameOf(p.forageId).toLowerCase()}`)
      .join(', ');
  });
  /** The field with the sward that is being stated, where it has another one. */
  const along = $derived<Edit[]>(
    own && own.id !== stand.forageId
      ? [
          {
            putField: {
              ...($state.snapshot(field) as Field),
              stand: { ...($state.snapshot(stand) as Stand), forageId: own.id },
            },
          },
        ]
      : [],
  );
  /** A sward for this field alone, as it is now. */
  function forThisField() {
    const parts = mine?.parts ?? [{ forageId: stand.forageId, share: 1 }];
    own = {
      id: freshId(
        `own-${field.id}`,
        open.view!.farm.forages.map((f) => f.id),
      ),
      name: `Sward of ${field.name}`.slice(0, 60),
      parts: structuredClone($state.snapshot(parts)),
      figures: structuredClone($state.snapshot(mine?.figures ?? noFigures())),
      note: '',
    };
  }

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
  <Search
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
{#if own}
  <OwnForageForm bind:own {along} folded onsaved={() => undefined} />
{:else if !forage.cropResidue && !forage.fallow}
  <div class="sward">
    <p>
      {#if mine}Of your own making: {madeOf}.
        {#if others.length}On {others.join(', ')} too.{/if}
      {:else}By the product’s table of {forage.name.toLowerCase()}.{/if}
    </p>
    {#if open.mayPlan}
      {#if mine}
        <button
          class="btn plain"
          disabled={draft.changed}
          onclick={() => (own = structuredClone($state.snapshot(mine)) as OwnForage)}
          >Change its shares and rules{others.length ? ', on all of them' : ''}</button
        >
      {/if}
      {#if !mine || others.length}
        <button class="btn plain" disabled={draft.changed} onclick={forThisField}
          >State shares and rules of this field’s sward</button
        >
      {/if}
      {#if draft.changed}<span class="quiet">once this field is saved</span>{/if}
    {/if}
    <p class="quiet">
      Does a part of the field carry something else? <a href={`#/plan/${open.view!.id}/land/draw`}
        >Part it on the map</a
      >, or add a field for it and take its area off here.
    </p>
  </div>
{/if}
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
{#if open.view!.farm.fields.some((f) => f.id === field.id)}
  {#key field.id}<GroundForm fieldId={field.id} />{/key}
{/if}
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
  .sward {
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
