<script lang="ts">
  import type { BreakField, Point } from '../api/client';
  import NumberField from '../form/NumberField.svelte';
  import { PLACES, type Stands } from './places';

  type Stand = BreakField['places'][number];

  let {
    places,
    on,
    what: part = 'break',
    fresh,
    onchange,
  }: {
    places: Stand[];
    /** What the part of the field is called, in words. */
    what?: string;
    /** The part on which something new is put, from 1, and where on it. */
    on: number;
    fresh: Point;
    onchange: (places: Stand[]) => void;
  } = $props();

  const stand = (what: Stands) => onchange([...places, { what, at: fresh }]);
  const moved = (i: number, to: Partial<Point>) =>
    onchange(places.map((p, j) => (j === i ? { ...p, at: { ...p.at, ...to } } : p)));
</script>

<h3>What stands there</h3>
{#if places.length}
  <ul class="places">
    {#each places as p, i (i)}
      <li>
        <strong>{PLACES[p.what].name}</strong>
        <NumberField
          name="point.eastM"
          value={p.at.eastM}
          onchange={(v) => v !== null && moved(i, { eastM: v })}
        />
        <NumberField
          name="point.northM"
          value={p.at.northM}
          onchange={(v) => v !== null && moved(i, { northM: v })}
        />
        <button
          class="btn plain"
          aria-label={`Take ${PLACES[p.what].name.toLowerCase()} ${i + 1} away`}
          onclick={() => onchange(places.filter((_, j) => j !== i))}>Take away</button
        >
      </li>
    {/each}
  </ul>
{/if}
<div class="row" role="group" aria-label={`On ${part} ${on}`}>
  {#each Object.entries(PLACES) as [what, p] (what)}
    <button class="btn plain" onclick={() => stand(what as Stands)}>{p.name}</button>
  {/each}
</div>
<p class="quiet fine">
  Put on the {part} that is looked at; drag it on the drawing or type where it stands.
</p>

<style>
  li {
    display: grid;
    grid-template-columns: 9rem repeat(2, minmax(6rem, 12rem)) auto;
    gap: 0.6rem;
    align-items: end;
  }
  h3 {
    font-weight: 600;
  }
  @media (max-width: 760px) {
    li {
      grid-template-columns: 1fr 1fr;
    }
  }
</style>
