<script lang="ts">
  import type { Point } from '../api/client';
  import { thePlan } from '../plan/context';
  import { figure, unitOf } from '../units/units';
  import Ground from './Ground.svelte';
  import {
    allPoints,
    fit,
    frameOf,
    gridLines,
    middle,
    moved,
    onFence,
    pathOf,
    pointAt,
    roomAt,
    wrapped,
    xOf,
    yOf,
    zoomedAt,
    type MapView,
  } from './geometry';
  import { mapHand } from './gestures';
  import type { Sketch } from './sketch.svelte';

  const open = thePlan();

  let { sketch }: { sketch: Sketch } = $props();

  const HEIGHT = 540;
  let width = $state(700);
  let held = $state<number | null>(null);
  const metric = $derived(open.system === 'METRIC');
  /** Points fall on the nearest 5 m or 10 ft, grid lines on every 100 m or 500 ft. */
  const snap = $derived(metric ? 5 : 3.048);
  const step = $derived(metric ? 100 : 152.4);
  const others = $derived(
    open.view!.farm.fields.filter((f) => f.outline && f.id !== sketch.fieldId),
  );
  let looking = $state<MapView | null>(null);
  const whole = $derived(fit(frameOf(allPoints(open.view!.farm.fields)), width, HEIGHT));
  const view = $derived(looking ?? whole);
  const east = $derived(gridLines(view.west, view.west + width / view.scale, step));
  const north = $derived(gridLines(view.north - HEIGHT / view.scale, view.north, step));

  /** Fences are shared: so near to another field's, a point falls on it. */
  const FENCE_PX = 10;
  const fences = $derived(others.map((f) => f.outline!.edge));

  function under(event: PointerEvent | MouseEvent): Point {
    const box = (event.currentTarget as Element).closest('svg')!.getBoundingClientRect();
    const [x, y] = [event.clientX - box.left, event.clientY - box.top];
    return (
      onFence(pointAt(view, x, y, 0.1), fences, FENCE_PX / view.scale) ?? pointAt(view, x, y, snap)
    );
  }
  const hand = mapHand(() => ({
    onzoom: (factor, x, y) => (looking = zoomedAt(view, factor, x, y)),
    onpan: (right, down) => (looking = moved(view, 1, -right / view.width, down / view.height)),
  }));
  function set(event: MouseEvent) {
    if (held === null) sketch.put(under(event));
  }
  function grab(event: PointerEvent, index: number) {
    event.stopPropagation();
    sketch.remember();
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    held = index;
  }
  function nudge(event: KeyboardEvent, index: number) {
    const p = sketch.outline.edge[index];
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[
      event.key
    ];
    if (event.key === 'Delete') sketch.drop(index);
    else if (by) {
      sketch.remember();
      sketch.move(index, { eastM: p.eastM + by[0] * snap, northM: p.northM + by[1] * snap });
    } else return;
    event.preventDefault();
  }
  export function nearField() {
    looking = sketch.outline.edge.length ? fit(frameOf(sketch.outline.edge), width, HEIGHT) : null;
  }
</script>

<div class="panel">
  <div class="tools" role="group" aria-label="Look at">
    <button class="btn plain" onclick={() => (looking = null)}>Whole farm</button>
    <button class="btn plain" onclick={nearField}>This field</button>
    <button class="btn plain" aria-label="Nearer" onclick={() => (looking = moved(view, 1.4))}
      >+</button
    >
    <button class="btn plain" aria-label="Further" onclick={() => (looking = moved(view, 1 / 1.4))}
      >&minus;</button
    >
    <button class="btn plain" disabled={!sketch.mayTakeBack} onclick={() => sketch.takeBack()}
      >Take back the last point</button
    >
    <button class="btn plain" onclick={() => (looking = moved(view, 1, -0.25))}>West</button>
    <button class="btn plain" onclick={() => (looking = moved(view, 1, 0.25))}>East</button>
    <button class="btn plain" onclick={() => (looking = moved(view, 1, 0, 0.25))}>North</button>
    <button class="btn plain" onclick={() => (looking = moved(view, 1, 0, -0.25))}>South</button>
  </div>
  <div bind:clientWidth={width}>
    <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
    <svg
      {width}
      height={HEIGHT}
      class="block board"
      role="group"
      aria-label="Drawing board; corners can also be typed in the table"
      data-testid="board"
      onclick={set}
      {@attach hand}
    >
      {#each east as m (m)}
        <line
          x1={(m - view.west) * view.scale}
          x2={(m - view.west) * view.scale}
          y1="0"
          y2={HEIGHT}
        />
        <text class="axis" x={(m - view.west) * view.scale + 3} y={HEIGHT - 5}
          >{figure(m, 'distance', open.system)}</text
        >
      {/each}
      {#each north as m (m)}
        <line
          y1={(view.north - m) * view.scale}
          y2={(view.north - m) * view.scale}
          x1="0"
          x2={width}
        />
        <text class="axis" x="3" y={(view.north - m) * view.scale - 3}
          >{figure(m, 'distance', open.system)}</text
        >
      {/each}
      <text class="axis" x={width - 4} y="14" text-anchor="end"
        >grid of {figure(step, 'distance', open.system)}
        {unitOf('distance', open.system)}, north up</text
      >
      {#each others as f (f.id)}
        {@const c = middle(f.outline!.edge)}
        <path class="other" d={pathOf(view, f.outline!.edge, true)} />
        <Ground outline={f.outline!} {view} />
        {#each wrapped(f.name, roomAt(view, f.outline!.edge)) as line, i (i)}
          <text class="name" x={xOf(view, c)} y={yOf(view, c) + 14 * i}>{line}</text>
        {/each}
      {/each}
      <path class="mine" d={pathOf(view, sketch.outline.edge, sketch.outline.edge.length > 2)} />
      <Ground outline={sketch.outline} {view} />
      {#if sketch.line.length}
        <path class="drawn" d={pathOf(view, sketch.line, false)} />
        {#each sketch.line as p, i (i)}
          <circle cx={xOf(view, p)} cy={yOf(view, p)} r="4" class="dot" />
        {/each}
      {/if}
      {#if sketch.tool === 'CORNERS'}
        {#each sketch.outline.edge as p, i (i)}
          <circle
            role="button"
            tabindex="0"
            aria-label={`Corner ${i + 1}: arrow keys move it, Delete takes it out`}
            cx={xOf(view, p)}
            cy={yOf(view, p)}
            r="7"
            class="corner"
            onclick={(e) => e.stopPropagation()}
            onpointerdown={(e) => grab(e, i)}
            onpointermove={(e) => held === i && sketch.move(i, under(e))}
            onpointerup={() => (held = null)}
            onkeydown={(e) => nudge(e, i)}
          />
        {/each}
      {/if}
    </svg>
  </div>
</div>

<style>
  .panel {
    padding: 0.4rem;
  }
  .tools {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
    margin-bottom: 0.4rem;
  }
  .board {
    cursor: crosshair;
    background: #fbfcfe;
    touch-action: none;
  }
  line {
    stroke: #dfe6f0;
  }
  .axis {
    font-size: 11px;
    fill: var(--quiet);
    font-family: var(--mono);
  }
  .other {
    fill: #e8edf5;
    stroke: #93a3bb;
  }
  .mine {
    fill: #cfe5cf;
    fill-opacity: 0.7;
    stroke: var(--cobalt);
    stroke-width: 2.5;
  }
  .drawn {
    fill: none;
    stroke: var(--bare-dark);
    stroke-width: 2.5;
    stroke-dasharray: 6 4;
  }
  .dot {
    fill: var(--bare-dark);
  }
  .corner {
    fill: var(--cobalt);
    stroke: #ffffff;
    stroke-width: 2;
    cursor: move;
    touch-action: none;
  }
  .name {
    text-anchor: middle;
    font-size: 12px;
    fill: var(--quiet);
  }
</style>
