<script lang="ts">
  import type { BaleField, BaleWinter, Outline, Point } from '../api/client';
  import { pathOf, xOf, yOf } from '../land/geometry';
  import { shortDate, today } from '../units/dates';
  import type { System } from '../units/units';
  import Flag from './Flag.svelte';
  import { behindAt } from './layout';
  import PlaceMarks from './PlaceMarks.svelte';
  import Sheet from './Sheet.svelte';

  let {
    outline,
    bales,
    chosen,
    summary,
    system,
    onchoose,
    onwire,
    places,
    onplace,
    onEnd,
    rowsDeg,
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
    /** Round from above, or lying across the row. */
    onEnd: boolean;
    rowsDeg: number;
    places: BaleField['places'];
    /** Something that stands there is drawn elsewhere; left out: it stays. */
    onplace?: (place: number, at: Point) => void;
  } = $props();

  /** A bale on its side is as wide as that, of its diameter. */
  const LIES = 0.8;
  const now = today();
  const eaten = (to: string | null) => to !== null && to <= now;
  let taken = $state(-1);
  let takenPlace = $state(-1);

  function take(e: PointerEvent & { currentTarget: SVGElement }, place: number) {
    onchoose(place);
    if (!onwire) return;
    taken = place;
    e.currentTarget.ownerSVGElement!.setPointerCapture(e.pointerId);
    e.preventDefault();
  }
  function takePlace(e: PointerEvent & { currentTarget: SVGElement }, place: number) {
    if (!onplace) return;
    takenPlace = place;
    e.currentTarget.ownerSVGElement!.setPointerCapture(e.pointerId);
    e.preventDefault();
  }
  function draw(at: Point) {
    if (taken >= 0) onwire?.(taken, behindAt(bales.sections, at));
    if (takenPlace >= 0) onplace?.(takenPlace, at);
  }
</script>

<Sheet
  {outline}
  ground={bales.ground}
  {summary}
  {system}
  testid="bale-drawing"
  onmove={draw}
  onlet={() => (taken = takenPlace = -1)}
>
  {#snippet drawn(view)}
    {@const radius = Math.max(3, Math.min(9, 2.4 * view.scale))}
    {#each bales.sections as s, i (i)}
      {#if s.wire.length && i !== chosen}
        <path class="wire" d={s.wire.map((w) => pathOf(view, w, false)).join(' ')} />
      {/if}
      {#each s.spots as spot, n (`${spot.row} ${spot.place}`)}
        <!-- the list below chooses a section for the keyboard -->
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <rect
          class="bale"
          class:other={s.others.includes(n)}
          class:eaten={eaten(s.toExclusive)}
          class:closed={s.from === null}
          class:chosen={i === chosen}
          x={xOf(view, spot.at) - radius}
          y={yOf(view, spot.at) - (onEnd ? radius : LIES * radius)}
          width={2 * radius}
          height={2 * (onEnd ? radius : LIES * radius)}
          rx={onEnd ? radius : 1}
          transform={onEnd
            ? undefined
            : `rotate(${rowsDeg} ${xOf(view, spot.at)} ${yOf(view, spot.at)})`}
          onclick={() => onchoose(i)}
        />
      {/each}
    {/each}
    {#each bales.sections as s, i (i)}
      {#if s.wire.length && (i === chosen || bales.sections.length <= 16)}
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
      {@const next = bales.sections[i + 1]?.from}
      {#if s.wire.length && next && (i === chosen || bales.sections.length <= 9)}
        <Flag wire={s.wire} text={shortDate(next)} now={i === chosen} {view} />
      {/if}
    {/each}
    <PlaceMarks {places} {view} ontake={takePlace} />
  {/snippet}
</Sheet>

<style>
  .bale {
    fill: #b5673c;
    stroke: #7a3f1d;
    cursor: pointer;
  }
  .bale.other {
    fill: #e8c65a;
    stroke: #8a6d12;
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
  .grip {
    fill: none;
    stroke: transparent;
    stroke-width: 22;
    cursor: grab;
    touch-action: none;
  }
</style>
