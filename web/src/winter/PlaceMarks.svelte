<script lang="ts">
  import type { BreakField } from '../api/client';
  import { xOf, yOf, type MapView } from '../land/geometry';
  import { PLACES } from './places';

  let {
    places,
    view,
    ontake,
  }: {
    places: BreakField['places'];
    view: MapView;
    ontake: (e: PointerEvent & { currentTarget: SVGElement }, place: number) => void;
  } = $props();
</script>

{#each places as p, i (i)}
  {@const [x, y] = [xOf(view, p.at), yOf(view, p.at)]}
  <!-- distances beside the drawing do the same for the keyboard -->
  <!-- svelte-ignore a11y_no_static_element_interactions -->
  <g class="place" onpointerdown={(e) => ontake(e, i)}>
    <rect x={x - 9} y={y - 9} width="18" height="18" rx={p.what === 'TROUGH' ? 9 : 2} />
    <text {x} y={y + 4}>{PLACES[p.what].letter}</text>
  </g>
{/each}

<style>
  .place {
    cursor: grab;
    touch-action: none;
  }
  .place rect {
    fill: var(--cobalt);
    stroke: var(--panel);
    stroke-width: 1.5;
  }
  .place text {
    fill: #ffffff;
    font-weight: 700;
  }
</style>
