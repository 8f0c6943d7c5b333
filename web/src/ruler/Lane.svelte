<script lang="ts">
  import type { Closing, Field, FieldYear, HayCut, LotYear, Sowing, YearView } from '../api/client';
  import { dayOf, isoOf, shortDate, shortDay } from '../units/dates';
  import { amount, type System } from '../units/units';
  import { plural } from '../words/year';
  import { runs, stepBand, type RulerScale } from './scale';

  let {
    field,
    stand,
    result,
    year,
    closings,
    cuts,
    sowings,
    scale,
    system,
    onshift,
    onsettle,
  }: {
    field: Field;
    stand: string;
    result: FieldYear;
    year: YearView;
    closings: Closing[];
    cuts: HayCut[];
    sowings: Sowing[];
    scale: RulerScale;
    system: System;
    onshift: (closing: Closing) => void;
    onsettle: (closing: Closing) => void;
  } = $props();

  const HEIGHT = 30;
  const narrow = $derived(scale.left < 120);
  const LEAST_DAYS = 7;
  const BAR = 5;
  let dragged = $state<Closing | null>(null);
  let edge = $state<'from' | 'to'>('from');

  const y = $derived(
    (cover: number) =>
      HEIGHT - 3 - (Math.min(cover, result.ceilingKgPerHa) / result.ceilingKgPerHa) * (HEIGHT - 5),
  );
  const netHa = $derived(field.areaHa - (field.deductedHa ?? 0));
  const zero = $derived(new Array<number>(year.days).fill(0));
  const cover = $derived(stepBand(scale, zero, result.coverKgPerHa, y));
  /** Each sowing with what it stands at and when it may be grazed. */
  const sown = $derived(
    sowings.flatMap((s) => {
      const outcome = year.sowings.find((o) => o.sowingId === s.id);
      return outcome && outcome.daysLate !== null
        ? [
            {
              id: s.id,
              from: dayOf(year.start, s.sowOn),
              to: outcome.readyDay >= 0 ? outcome.readyDay : outcome.endedDay,
              ready: outcome.readyDay,
              failed: outcome.failed,
              cover: stepBand(scale, zero, outcome.coverKgPerHa, y),
            },
          ]
        : [];
    }),
  );
  const grazed = $derived(runs(year.days, (d) => result.grazedKg[d] > 0));
  const held = $derived(
    year.cautions.filter((c) => c.blocks && c.fieldId === field.id && !c.groupId),
  );
  const shown = $derived(closings.map((c) => (dragged && dragged.id === c.id ? dragged : c)));
  const summary = $derived(
    `${field.name}: grown ${amount(result.grownKg / netHa, 'massPerArea', system)}, ` +
      `eaten ${amount(result.eatenKg / netHa, 'massPerArea', system)}, grazed on ${result.grazedKg.filter((k) => k > 0).length} days.` +
      sown
        .map(
          (s) =>
            ` Sown ${shortDay(year.start, s.from)}, ` +
            (s.ready >= 0 ? `ready ${shortDay(year.start, s.ready)}.` : 'not ready in this year.'),
        )
        .join(''),
  );

  function made(cut: HayCut): LotYear | undefined {
    return year.lots.find((l) => l.id === cut.lot.id);
  }
  function unitsMade(cut: HayCut): number {
    const day = dayOf(year.start, cut.date);
    const lot = made(cut);
    return lot?.units[day] ?? 0;
  }

  function moved(closing: Closing, which: 'from' | 'to', day: number): Closing {
    const from = dayOf(year.start, closing.fromInclusive);
    const to = dayOf(year.start, closing.toExclusive);
    const until = closing.grazeUntilExclusive
      ? dayOf(year.start, closing.grazeUntilExclusive)
      : year.days;
    if (which === 'from') {
      const at = Math.max(0, Math.min(day, to - LEAST_DAYS));
      return { ...closing, fromInclusive: isoOf(year.start, at) };
    }
    const at = Math.min(Math.max(day, from + LEAST_DAYS), until - 1);
    return { ...closing, toExclusive: isoOf(year.start, at) };
  }

  function grab(event: PointerEvent, closing: Closing, which: 'from' | 'to') {
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    dragged = closing;
    edge = which;
  }
  function drag(event: PointerEvent) {
    if (!dragged) return;
    const svg = (event.currentTarget as SVGElement).ownerSVGElement!;
    const next = moved(dragged, edge, scale.day(event.clientX - svg.getBoundingClientRect().left));
    if (next.fromInclusive !== dragged.fromInclusive || next.toExclusive !== dragged.toExclusive) {
      dragged = next;
      onshift(next);
    }
  }
  function release() {
    if (dragged) onsettle(dragged);
    dragged = null;
  }
  function nudge(event: KeyboardEvent, closing: Closing, which: 'from' | 'to') {
    const step = { ArrowLeft: -1, ArrowRight: 1, PageDown: -7, PageUp: 7 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const iso = which === 'from' ? closing.fromInclusive : closing.toExclusive;
    onsettle(moved(closing, which, dayOf(year.start, iso) + step));
  }
</script>

<svg width={scale.width} height={HEIGHT} class="block" role="group" aria-label={summary}>
  <text x={narrow ? 8 : 20} y={narrow ? 19 : 13} class={['name', narrow && 'small']}
    >{narrow && field.name.length > 13 ? `${field.name.slice(0, 12)}.` : field.name}</text
  >
  {#if !narrow}
    <text x="20" y="26" class="note">{stand.length > 28 ? `${stand.slice(0, 27)}.` : stand}</text>
    <text x={scale.left - 8} y="13" text-anchor="end" class="area"
      >{amount(field.areaHa, 'area', system)}</text
    >
  {/if}
  <rect
    x={scale.left}
    y="1"
    width={scale.width - scale.left - scale.right}
    height={HEIGHT - 3}
    fill="#ffffff"
  />
  <path d={cover} fill="#cfe5cf" />
  {#each sown as s (s.id)}
    {@const from = scale.x(Math.max(0, s.from))}
    {@const to = scale.x(s.to >= 0 ? s.to : year.days)}
    <path d={s.cover} fill="#4c9a4f" fill-opacity="0.7" />
    <rect
      x={from}
      y="2"
      width={Math.max(2, to - from)}
      height={HEIGHT - 5}
      fill="none"
      stroke="#2b6e2f"
      stroke-dasharray="2 3"
    />
    <text x={from + 4} y="12" class="note halo"
      >{s.failed ? 'sown, fails' : to - from > 150 ? 'sown, not ready yet' : 'sown'}</text
    >
    {#if s.ready >= 0}
      <path d={`M${to} 1V${HEIGHT - 2}`} stroke="#2b6e2f" stroke-width="2.5" />
      <text x={to + 4} y="12" class="note halo">ready {shortDay(year.start, s.ready)}</text>
    {/if}
  {/each}
  {#each grazed as [from, to] (from)}
    <rect
      x={scale.x(from)}
      y={HEIGHT - 2 - BAR}
      width={Math.max(1.2, scale.x(to) - scale.x(from))}
      height={BAR}
      fill="#2b6e2f"
    />
  {/each}
  {#each held as hold, i (i)}
    <rect
      x={scale.x(hold.fromDay)}
      y="2"
      width={Math.max(2, scale.x(Math.min(hold.toDay, year.days)) - scale.x(hold.fromDay))}
      height={HEIGHT - 5}
      fill="url(#t-held)"
      stroke="#d6401f"
      stroke-dasharray="3 2"
    />
    <text x={scale.x(Math.min(hold.toDay, year.days)) + 4} y="14" class="note halo"
      >{narrow ? 'hold' : 'hold around frost'}</text
    >
  {/each}
  {#each shown as c (c.id)}
    {@const from = Math.max(0, dayOf(year.start, c.fromInclusive))}
    {@const to = Math.min(year.days, dayOf(year.start, c.toExclusive))}
    <rect
      x={scale.x(from)}
      y="2"
      width={Math.max(2, scale.x(to) - scale.x(from))}
      height={HEIGHT - 6}
      fill="url(#t-standing)"
      fill-opacity="0.75"
      stroke="#16233a"
    />
    {#if scale.x(to) - scale.x(from) > 96}
      <text x={(scale.x(from) + scale.x(to)) / 2} y="18" text-anchor="middle" class="label"
        >shut to {shortDay(year.start, to - 1)}</text
      >
    {/if}
    {#each ['from', 'to'] as const as which (which)}
      {@const day = which === 'from' ? from : to}
      <rect
        role="slider"
        tabindex="0"
        aria-label={`${field.name}, ${which === 'from' ? 'shut from' : 'open from'}`}
        aria-valuemin="0"
        aria-valuemax={year.days}
        aria-valuenow={day}
        aria-valuetext={shortDay(year.start, day)}
        x={scale.x(day) - 5}
        y="5"
        width="10"
        height={HEIGHT - 12}
        rx="1"
        class="handle"
        onpointerdown={(e) => grab(e, c, which)}
        onpointermove={drag}
        onpointerup={release}
        onkeydown={(e) => nudge(e, c, which)}
      />
      {#if dragged?.id === c.id && edge === which}
        <text
          x={scale.x(day) + (which === 'from' ? -8 : 8)}
          y="18"
          text-anchor={which === 'from' ? 'end' : 'start'}
          class="label">{shortDate(isoOf(year.start, day))}</text
        >
      {/if}
    {/each}
  {/each}
  {#each cuts as cut (cut.id)}
    {@const day = dayOf(year.start, cut.date)}
    {#if day >= 0 && day < year.days}
      {@const n = unitsMade(cut)}
      <path d={`M${scale.x(day)} 1V${HEIGHT - 2}`} stroke="#7a3f1c" stroke-width="2.5" />
      <text x={scale.x(day) + 5} y="13" class="note halo">cut, {n} {plural('bale', n)}</text>
    {/if}
  {/each}
</svg>

<style>
  .name {
    font-size: 13px;
    font-weight: 700;
    fill: #16233a;
  }
  .small {
    font-size: 11px;
  }
  .note {
    font-size: 11px;
    fill: #3d4b63;
  }
  .area {
    font-family: var(--mono);
    font-size: 11px;
    fill: #51617a;
  }
  .label {
    font-size: 12px;
    font-weight: 700;
    fill: #16233a;
    paint-order: stroke;
    stroke: #ffffff;
    stroke-width: 4px;
    pointer-events: none;
  }
  .halo {
    paint-order: stroke;
    stroke: #ffffff;
    stroke-width: 3px;
  }
  .handle {
    fill: #1b3a93;
    cursor: ew-resize;
    touch-action: none;
  }
</style>
