<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Outline, Point } from '../api/client';
  import Ground from '../land/Ground.svelte';
  import { fit, frameOf, pathOf, pointAt, xOf, yOf, type MapView } from '../land/geometry';
  import type { System } from '../units/units';
  import { barLength, paperScale } from './layout';

  let {
    outline,
    ground,
    summary,
    system,
    testid,
    onmove = () => {},
    onlet = () => {},
    drawn,
  }: {
    outline: Outline;
    /** Rings of the ground that is used, outer and inner ones. */
    ground: Point[][];
    summary: string;
    system: System;
    testid: string;
    /** Where on the farm a pointer moves that was taken on the sheet. */
    onmove?: (at: Point) => void;
    onlet?: () => void;
    /** What lies on the ground. */
    drawn: Snippet<[MapView]>;
  } = $props();

  let width = $state(800);
  const height = $derived(Math.max(260, Math.min(520, Math.round(width * 0.62))));
  const view = $derived(fit(frameOf(outline.edge, 0.05), width, height));
  const bar = $derived(barLength(width / view.scale, system));
  const scale = $derived(paperScale(width / view.scale, height / view.scale));
  const mm = (px: number) => `${((px / view.scale) * 1000) / scale}mm`;
  let sheet: SVGSVGElement;

  function move(e: PointerEvent) {
    const box = sheet.getBoundingClientRect();
    onmove(pointAt(view, e.clientX - box.left, e.clientY - box.top, 0.1));
  }
</script>

<div bind:clientWidth={width} class="sheet" style:--wide={mm(width)} style:--high={mm(height)}>
  <svg
    bind:this={sheet}
    {width}
    {height}
    viewBox="0 0 {width} {height}"
    role="img"
    aria-label={summary}
    data-testid={testid}
    onpointermove={move}
    onpointerup={onlet}
    onpointercancel={onlet}
  >
    <path class="field" d={pathOf(view, outline.edge, true)} />
    <path
      class="ground"
      fill-rule="evenodd"
      d={ground.map((ring) => pathOf(view, ring, true)).join(' ')}
    />
    <Ground {outline} {view} />
    {#each outline.off as off, i (i)}
      {#if off.name}<text class="off" x={xOf(view, off.points[0])} y={yOf(view, off.points[0]) - 5}
          >{off.name}</text
        >{/if}
    {/each}
    {@render drawn(view)}
    <g class="scale">
      <path d={`M14 ${height - 12} h${bar.m * view.scale} m0 -4 v8 M14 ${height - 16} v8`} />
      <text x={14 + (bar.m * view.scale) / 2} y={height - 18}>{bar.text}</text>
      <path class="north" d={`M22 ${height - 62} l8 22 l-8 -5 l-8 5 z`} />
      <text x="22" y={height - 66}>N</text>
    </g>
  </svg>
  <p class="on-paper fine">One to {scale.toLocaleString('en-US')}.</p>
</div>

<style>
  .sheet {
    min-width: 0;
    background: var(--panel);
    border: 1px solid var(--line);
  }
  svg {
    display: block;
    touch-action: pan-y;
  }
  .field {
    fill: #f3f6ee;
    stroke: var(--cobalt);
    stroke-width: 2;
  }
  .ground {
    fill: #e2f0dc;
    stroke: #86a877;
    stroke-dasharray: 5 4;
  }
  svg :global(text) {
    font-size: 12px;
    text-anchor: middle;
    fill: var(--ink);
  }
  svg :global(text.off) {
    text-anchor: start;
    fill: #23527f;
  }
  svg :global(.flag) {
    pointer-events: none;
  }
  svg :global(.flag rect) {
    fill: var(--panel);
    stroke: #6f8fc9;
  }
  svg :global(.flag.now rect) {
    fill: var(--cobalt);
  }
  svg :global(.flag.now text) {
    fill: #ffffff;
  }
  svg :global(.wire) {
    fill: none;
    stroke: #6f8fc9;
    stroke-width: 1.25;
    stroke-dasharray: 4 4;
  }
  svg :global(.wire.now) {
    stroke: var(--cobalt);
    stroke-width: 3;
    stroke-dasharray: none;
  }
  .scale path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .scale .north {
    fill: var(--ink);
  }
  .on-paper {
    display: none;
  }
  @media print {
    svg {
      width: var(--wide);
      height: var(--high);
    }
    .on-paper {
      display: block;
    }
  }
</style>
