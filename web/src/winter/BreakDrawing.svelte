<script lang="ts">
  import type { BreakField, BreakWinter, Outline, Point } from '../api/client';
  import { pathOf, xOf, yOf, type MapView } from '../land/geometry';
  import { shortDate, today } from '../units/dates';
  import type { System } from '../units/units';
  import Flag from './Flag.svelte';
  import { middleOf } from './breaks';
  import PlaceMarks from './PlaceMarks.svelte';
  import Sheet from './Sheet.svelte';

  let {
    outline,
    breaks,
    winter,
    chosen,
    summary,
    system,
    onchoose,
    onplace,
  }: {
    outline: Outline;
    breaks: BreakField;
    winter: BreakWinter;
    /** Place of the break that is looked at. */
    chosen: number;
    summary: string;
    system: System;
    onchoose: (place: number) => void;
    /** Something that stands there is drawn elsewhere; left out: it stays. */
    onplace?: (place: number, at: Point) => void;
  } = $props();

  /** More breaks than this and their numbers would lie over each other. */
  const MOST_NUMBERS = 24;

  const now = today();
  const one = $derived(winter.breaks.at(chosen));
  let taken = $state(-1);

  function take(e: PointerEvent & { currentTarget: SVGElement }, place: number) {
    if (!onplace) return;
    taken = place;
    e.currentTarget.ownerSVGElement!.setPointerCapture(e.pointerId);
    e.preventDefault();
  }
  const path = (view: MapView, lines: Point[][], closed: boolean) =>
    lines.map((l) => pathOf(view, l, closed)).join(' ');
  /** In a corner of the sheet: the way that the wire goes. */
  function arrow(view: MapView) {
    const [x, y] = [view.width - 46, view.height - 52];
    const rad = (breaks.towardsDeg * Math.PI) / 180;
    const [dx, dy] = [Math.sin(rad), -Math.cos(rad)];
    const tip = [x + 24 * dx, y + 24 * dy];
    return (
      `M${x - 24 * dx} ${y - 24 * dy} L${tip[0]} ${tip[1]} ` +
      `M${tip[0] - 10 * dx - 7 * dy} ${tip[1] - 10 * dy + 7 * dx} L${tip[0]} ${tip[1]} ` +
      `L${tip[0] - 10 * dx + 7 * dy} ${tip[1] - 10 * dy - 7 * dx}`
    );
  }
</script>

<Sheet
  {outline}
  ground={winter.ground}
  {summary}
  {system}
  testid="break-drawing"
  onmove={(at) => taken >= 0 && onplace?.(taken, at)}
  onlet={() => (taken = -1)}
>
  {#snippet drawn(view)}
    {#each winter.breaks as b, i (i)}
      {#if b.round === (one?.round ?? 1)}
        <!-- the strip below chooses a break for the keyboard -->
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <path
          class="break"
          class:eaten={b.toExclusive <= now}
          class:before={i < chosen}
          class:chosen={i === chosen}
          fill-rule="evenodd"
          d={path(view, b.rings, true)}
          onclick={() => onchoose(i)}
        />
      {/if}
    {/each}
    {#if winter.breaks.length <= MOST_NUMBERS}
      {#each winter.breaks as b, i (i)}
        {@const middle = middleOf(b.rings)}
        {#if b.round === (one?.round ?? 1) && b.rings.length}
          <text class="number" x={xOf(view, middle)} y={yOf(view, middle) + 4}>{i + 1}</text>
        {/if}
      {/each}
    {/if}
    <path class="way" d={arrow(view)} />
    <text x={view.width - 46} y={view.height - 10}>wire goes</text>
    {#if one}
      <path class="behind" d={path(view, one.behind, false)} />
      <path class="wire now" d={path(view, one.wire, false)} />
      {#if one.wire.length}
        <Flag wire={one.wire} text={shortDate(one.toExclusive)} now {view} />
      {/if}
    {/if}
    <PlaceMarks places={breaks.places} {view} ontake={take} />
  {/snippet}
</Sheet>

<style>
  .break {
    fill: #9cc58a;
    fill-opacity: 0.75;
    stroke: var(--panel);
    stroke-width: 1;
    cursor: pointer;
  }
  .break.before {
    fill: #dcd3c4;
  }
  .break.eaten {
    fill: #c9b79c;
  }
  .break.chosen {
    fill: #e5b93f;
    fill-opacity: 0.95;
  }
  .number {
    pointer-events: none;
  }
  .way {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
    pointer-events: none;
  }
  .behind {
    fill: none;
    stroke: var(--bare-dark);
    stroke-width: 2;
    stroke-dasharray: 6 4;
    pointer-events: none;
  }
</style>
