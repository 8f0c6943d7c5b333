<script lang="ts">
  import { untrack } from 'svelte';
  import type { ShelvesAsked, ShelvesView, YearView } from '../api/client';
  import { thePlan } from '../plan/context';
  import {
    asShelved,
    askedShelves,
    inUnitsOf,
    MEASURES,
    type Measure,
    type Shelved,
  } from '../ruler/measure';
  import { blocksOf } from '../words/blocks';
  import type { RulerScale } from '../ruler/scale';
  import Shelves from '../ruler/Shelves.svelte';

  const open = thePlan();

  let {
    year,
    ghost,
    scale,
    at,
    onask,
    onplain,
  }: {
    year: YearView;
    ghost: YearView | null;
    scale: RulerScale;
    at: number;
    /** What trials are to bring along. */
    onask: (asked: ShelvesAsked | null) => void;
    /** Whether dry matter of all is shown, over which another year can be drawn. */
    onplain: (plain: boolean) => void;
  } = $props();

  /** In what shelves are counted, and for whom. */
  let measure = $state<Measure>('mass');
  /** "group:" or "block:" and which; empty for all. */
  let of = $state('');
  const blocks = $derived(
    blocksOf(open.view!.farm.fields)
      .map((b) => b.name)
      .filter((name) => name !== ''),
  );
  const chosen = (kind: string) => (of.startsWith(kind) ? of.slice(kind.length) : '');
  const counted = $derived(MEASURES.find((m) => m.id === measure)!);
  const wanted = $derived(askedShelves(measure, chosen('group:'), chosen('block:')));
  let asStored = $state.raw<ShelvesView | null>(null);
  $effect(() => {
    const { id, revision } = open.view!;
    void [revision, open.season];
    const asked = wanted;
    asStored = null;
    if (asked)
      open.api
        .shelves(id, asked)
        .then((s) => asked === wanted && (asStored = s))
        .catch((e) => (open.error = open.explain(e)));
  });
  /** The year as it is counted; null until the answer is there. */
  const shelved = $derived.by((): Shelved | null => {
    const other = open.trial?.shelves ?? asStored;
    if (wanted && !other) return null;
    const shown = wanted ? asShelved(year, other!) : year;
    return measure === 'aud' ? inUnitsOf(shown, open.view!.farm.audKg) : shown;
  });
  const plain = $derived(!wanted && measure === 'mass');
  $effect(() => {
    const [asked, is] = [wanted, plain];
    untrack(() => {
      onask(asked);
      onplain(is);
    });
  });
</script>

<div class="counted no-print">
  <label
    >Counted in
    <select class="select" aria-label="Counted in" bind:value={measure}>
      {#each MEASURES as m (m.id)}<option value={m.id}>{m.name}</option>{/each}
    </select></label
  >
  <label
    >for
    <select class="select" aria-label="Shelves for" bind:value={of}>
      <option value="">all groups</option>
      {#each open.view!.farm.groups as g (g.id)}<option value={`group:${g.id}`}>{g.name}</option
        >{/each}
      {#each blocks as name (name)}<option value={`block:${name}`}>all, what {name} gives</option
        >{/each}
    </select></label
  >
  {#if chosen('block:')}
    <span class="quiet">the rest of the need is met from elsewhere, or not at all</span>
  {/if}
  {#if measure === 'energy' && year.groups.some((g) => !g.hasEnergy)}
    <span class="quiet">horses left out: the tables hold no energy for them</span>
  {/if}
</div>
{#if shelved}
  <Shelves
    year={shelved}
    ghost={plain ? ghost : null}
    {scale}
    system={open.system}
    beyond={plain}
    measure={counted}
    lacks={measure === 'mass' || measure === 'aud' ? 'Bare' : 'Short'}
    {at}
  />
{/if}

<style>
  .counted {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 1rem;
    align-items: center;
    padding: 0.2rem 20px;
    font-size: 13px;
  }
  .counted .select {
    display: inline-block;
    width: auto;
    min-height: 1.9rem;
    padding-block: 0;
    font-size: 13px;
  }
  @media (max-width: 760px) {
    .counted .select {
      min-height: 44px;
    }
  }
</style>
