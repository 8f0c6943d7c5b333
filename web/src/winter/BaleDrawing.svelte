<script lang="ts">
  import type { BaleWinter, Outline, Point } from '../api/client';
  import Ground from '../land/Ground.svelte';
  import { fit, frameOf, pathOf, pointAt, xOf, yOf } from '../land/geometry';
  import { shortDate, today } from '../units/dates';
  import type { System } from '../units/units';
  import { barLength, behindAt, paperScale } from './layout';

  let {
    outline,
    bales,
    chosen,
    summary,
    system,
    onchoose,
    onwire,
  }: {
    outline: Outline;
    bales: BaleWinter;
    /** Place of the section that is looked at. */
    chosen: number;
    summary: string;
    system: System;
    onchoose: (place: number) => void;
    /** The wire of the chosen section is drawn behind so many of all bales; left out: it stands. */
    onwire?: (place: number, behind: number) => void;
  } = $props();

  let width = $state(800);
  const height = $derived(Math.max(260, Math.min(520, Math.round(width * 0.62))));
  const view = $derived(fit(frameOf(outline.edge, 0.05), width, height));
  const bar = $derived(barLength(width / view.scale, system));
  const scale = $derived(paperScale(width / view.scale, height / view.scale));
  const mm = (px: number) => `${((px / view.scale) * 1000) / scale}mm`;
  const radius = $derived(Math.max(3, Math.min(9, 2.4 * view.scale)));
  const now = today();
  const eaten = (to: string | null) => to !== null && to <= now;

  let drawn: SVGSVGElement;
  let taken = $state(-1);

  function point(e: PointerEvent): Point {
    const box = drawn.getBoundingClientRect();
    return pointAt(view, e.clientX - box.left, e.clientY - box.top, 0.1);
  }
  function take(e: PointerEvent, place: number) {
    onchoose(place);
    if (!onwire) return;
    taken = place;
    drawn.setPointerCapture(e.pointerId);
    e.preventDefault();
  }
  function draw(e: PointerEvent) {
    if (taken >= 0) onwire?.(taken, behindAt(bales.sections, point(e)));
  }
  /** Where the flag of a wire stands: its northernmost end. */
  function flag(wire: Point[][]): Point | null {
    const all = wire.flat();
    return all.length ? all.reduce((a, b) => (b.northM > a.northM ? b : a)) : null;
  }
</script>

<div bind:clientWidth={width} class="sheet" style:--wide={mm(width)} style:--high={mm(height)}>
  <svg
    bind:this={drawn}
    {width}
    {height}
    viewBox="0 0 {width} {height}"
    role="img"
    aria-label={summary}
    data-testid="bale-drawing"
    onpointermove={draw}
    onpointerup={() => (taken = -1)}
    onpointercancel={() => (taken = -1)}
  >
    <path class="field" d={pathOf(view, outline.edge, true)} />
    <path
      class="ground"
      fill-rule="evenodd"
      d={bales.ground.map((ring) => pathOf(view, ring, true)).join(' ')}
    />
    <Ground {outline} {view} />
    {#each outline.off as off, i (i)}
      {#if off.name}<text class="off" x={xOf(view, off.points[0])} y={yOf(view, off.points[0]) - 5}
          >{off.name}</text
        >{/if}
    {/each}
    {#each bales.sections as s, i (i)}
      {#if s.wire.length && i !== chosen}
        <path class="wire" d={s.wire.map((w) => pathOf(view, w, false)).join(' ')} />
      {/if}
      {#each s.spots as spot (`${spot.row} ${spot.place}`)}
        <!-- the list below chooses a section for the keyboard -->
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <circle
          class="bale"
          class:eaten={eaten(s.toExclusive)}
          class:closed={s.from === null}
          class:chosen={i === chosen}
          cx={xOf(view, spot.at)}
          cy={yOf(view, spot.at)}
          r={radius}
          onclick={() => onchoose(i)}
        />
      {/each}
    {/each}
    {#each bales.sections as s, i (i)}
      {@const top = flag(s.wire)}
      {#if top && (i === chosen || bales.sections.length <= 16)}
        {@const next = bales.sections[i + 1]}
        {@const d = s.wire.map((w) => pathOf(view, w, false)).join(' ')}
        {#if i === chosen}<path class="wire now" {d} />{/if}
        <!-- numbers beside the drawing do the same for the keyboard -->
        <!-- svelte-ignore a11y_no_static_element_interactions -->
        <path class="grip" {d} onpointerdown={(e) => take(e, i)}
          ><title>Wire until {next?.from ? shortDate(next.from) : 'the end'}</title></path
        >
      {/if}
    {/each}
    {#each bales.sections as s, i (i)}
      {@const top = flag(s.wire)}
      {@const next = bales.sections[i + 1]?.from}
      {#if top && next && (i === chosen || bales.sections.length <= 9)}
        <g class="flag" class:now={i === chosen}>
          <rect
            x={Math.min(width - 58, Math.max(2, xOf(view, top) - 28))}
            y={Math.max(2, yOf(view, top) - 22)}
            width="56"
            height="19"
            rx="3"
          />
          <text
            x={Math.min(width - 30, Math.max(30, xOf(view, top)))}
            y={Math.max(16, yOf(view, top) - 8)}>{shortDate(next)}</text
          >
        </g>
      {/if}
    {/each}
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
  .bale {
    fill: #b5673c;
    stroke: #7a3f1d;
    cursor: pointer;
  }
  .bale.closed {
    fill: #d9c6b8;
  }
  .bale.eaten {
    fill: var(--panel);
    stroke-dasharray: 2 2;
  }
  .bale.chosen {
    stroke: var(--cobalt);
    stroke-width: 3;
  }
  .wire {
    fill: none;
    stroke: #6f8fc9;
    stroke-width: 1.25;
    stroke-dasharray: 4 4;
  }
  .wire.now {
    stroke: var(--cobalt);
    stroke-width: 3;
    stroke-dasharray: none;
  }
  .grip {
    fill: none;
    stroke: transparent;
    stroke-width: 22;
    cursor: grab;
    touch-action: none;
  }
  .flag rect {
    fill: var(--panel);
    stroke: #6f8fc9;
  }
  .flag.now rect {
    fill: var(--cobalt);
  }
  .flag.now text {
    fill: #ffffff;
  }
  text {
    font-size: 12px;
    text-anchor: middle;
    fill: var(--ink);
  }
  .flag {
    pointer-events: none;
  }
  .off {
    text-anchor: start;
    fill: #23527f;
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
