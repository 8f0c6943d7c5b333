<script lang="ts">
  import { amount, figure, shown, toSi, unitOf, type System } from '../units/units';
  import { surplus } from '../words/day';
  import { days } from '../words/year';
  import { labelSpot, roundTicks, stack, stepBand, stepLine, type RulerScale } from './scale';
  import { MEASURES, type Shelved } from './measure';
  import { SHELVES, shelfSeries } from './shelf';

  let {
    year,
    ghost = null,
    scale,
    system,
    height = 236,
    beyond = false,
    at = -1,
    measure = MEASURES[0],
    lacks = 'Bare',
  }: {
    year: Shelved;
    ghost?: Shelved | null;
    scale: RulerScale;
    system: System;
    height?: number;
    /** Draws above the need what grows and is not grazed. */
    beyond?: boolean;
    /** The day that is read off, or -1. */
    at?: number;
    /** What is counted. */
    measure?: (typeof MEASURES)[number];
    /** What a day is called on which not all is met. */
    lacks?: string;
  } = $props();

  const TOP = 14;
  /** What grows beyond the need may be drawn so many times as high as the need; then it is cut off. */
  const HIGHEST = 2.4;
  const quantity = $derived(measure.quantity);
  const narrow = $derived(scale.left < 120);
  const need = $derived(Math.max(1, ...year.needKg, ...(ghost?.needKg ?? [])));
  const offered = $derived(
    beyond ? year.needKg.map((kg, d) => kg + Math.max(0, year.grownKg[d] - year.growingKg[d])) : [],
  );
  const most = $derived(Math.max(need, ...offered));
  const peak = $derived(Math.min(most, need * HIGHEST) * 1.06);
  const y = $derived((kg: number) => TOP + (1 - Math.min(1, kg / peak)) * (height - TOP));
  const ticks = $derived(
    roundTicks(shown(peak, quantity, system), height > 160 ? 4 : 2).map((t) =>
      toSi(t, quantity, system),
    ),
  );
  /** On a phone a tick may stand beside the unit, and needs its room. */
  const lowTick = $derived(ticks.some((t) => Math.abs(y(t) - 35) < 14));
  const shelves = $derived.by(() => {
    const bands = stack(shelfSeries(year));
    return bands.map((band, i) => ({
      ...SHELVES[i],
      light: SHELVES[i].name === 'Growing',
      path: stepBand(scale, band.lower, band.upper, y, 0.05),
      spot:
        SHELVES[i].name === 'Bare'
          ? null
          : labelSpot(scale, band.lower, band.upper, y, SHELVES[i].name.length * 8.5, 18),
    }));
  });
  /** Each gap has its own label, above it where it is too narrow to hold one. */
  const bare = $derived(
    clearOfEachOther(
      year.gaps
        .filter((g) => g.kind === 'STORE')
        .map((g) => {
          const [from, to] = [scale.x(g.firstDay), scale.x(g.lastDay + 1)];
          const mid = (Math.max(from, scale.left) + Math.min(to, scale.width - scale.right)) / 2;
          const top = y(year.needKg[g.deepestDay]);
          const bottom = y(year.needKg[g.deepestDay] - g.deepestKg);
          const fits = to - from > 96 && bottom - top > 40;
          return {
            day: g.firstDay,
            x: mid,
            y: fits ? (top + bottom) / 2 - 2 : Math.max(13, top - 8),
            shown: mid > scale.left && mid < scale.width - scale.right && to > from,
            lines: fits
              ? [`${lacks}, ${days(g.shortDays)}`, amountOf(g.shortKg)]
              : [`${lacks}, ${days(g.shortDays)}`],
            rank: g.shortKg,
          };
        }),
    ),
  );
  /** Of labels that would lie over each other the one of the greater gap. */
  function clearOfEachOther<
    T extends { x: number; y: number; lines: string[]; rank: number; shown: boolean },
  >(labels: T[]): T[] {
    const half = (l: T) => Math.max(...l.lines.map((t) => t.length)) * 4.2 + 4;
    const kept: T[] = [];
    for (const label of labels.filter((l) => l.shown).sort((a, b) => b.rank - a.rank)) {
      const clear = kept.every(
        (k) => Math.abs(k.x - label.x) > half(k) + half(label) || Math.abs(k.y - label.y) > 36,
      );
      if (clear) kept.push(label);
    }
    return kept;
  }
  const beyondPath = $derived(beyond ? stepBand(scale, year.needKg, offered, y, peak / 300) : '');
  const flush = $derived(beyond ? surplus(year) : null);
  const flushSpot = $derived.by(() => {
    if (!flush) return null;
    const mid = (flush.fromDay + flush.toDay) / 2;
    const x = scale.x(mid);
    const room = Math.min(scale.x(flush.toDay), scale.width - scale.right) - scale.x(flush.fromDay);
    const top = Math.min(y(offered[Math.round(mid)]), y(year.needKg[Math.round(mid)]) - 30);
    return room > 200 && y(need) - TOP > 34 ? { x, y: Math.max(TOP + 16, top + 22) } : null;
  });
  const needLine = $derived(stepLine(scale, year.needKg, y));
  const ghostLine = $derived(
    ghost && ghost.days === year.days
      ? stepLine(
          scale,
          ghost.needKg.map((n, d) => n - ghost.bareKg[d]),
          y,
        )
      : '',
  );
  const lastShown = $derived(Math.min(year.days, Math.ceil(scale.to)) - 1);
  const amountOf = $derived((si: number) =>
    measure.id === 'mass'
      ? amount(si, 'bulk', system)
      : `${amount(si, quantity, system)} ${measure.summed}`.trim(),
  );
  const summary = $derived(
    `Eaten each day by shelf. Over the year ${amount(year.total.needKg, quantity, system)} ${measure.summed || measure.name} needed: ` +
      `growing ${figure(year.total.growingKg, quantity, system)}, standing ${figure(year.total.standingKg, quantity, system)}, ` +
      `put by ${figure(year.total.putByKg, quantity, system)}, bought in ${figure(year.total.boughtInKg, quantity, system)}, ` +
      `${lacks.toLowerCase()} ${figure(year.total.bareKg, quantity, system)}.`,
  );
</script>

<svg
  width={scale.width}
  {height}
  role="img"
  aria-label={summary}
  class="block"
  data-testid="shelves"
>
  <rect
    x={scale.left}
    y={TOP - 8}
    width={Math.max(0, scale.width - scale.left - scale.right)}
    height={height - TOP + 8}
    fill="#ffffff"
  />
  <text x={narrow ? 8 : 20} y="22" class="title"
    >{narrow ? 'Eaten' : beyond ? 'Eaten and offered' : 'Eaten each day'}</text
  >
  <text x={narrow ? 8 : 20} y="39" class="note"
    >{narrow && measure.id === 'mass'
      ? unitOf('mass', system) + (lowTick ? '' : ' a day')
      : `${unitOf(quantity, system)} ${measure.aDay}`.trim()}</text
  >
  {#each ticks as tick (tick)}
    <path d={`M${scale.left} ${y(tick)}H${scale.width - scale.right}`} stroke="#e8eef6" />
    <text x={scale.left - 8} y={y(tick) + 4} text-anchor="end" class="tick"
      >{figure(tick, quantity, system)}</text
    >
  {/each}
  <g clip-path={scale.clip}>
    {#if beyondPath}
      <path d={beyondPath} fill="url(#t-beyond)" stroke="#4c9a4f" stroke-width="0.6" />
    {/if}
    {#each shelves as shelf (shelf.name)}
      {#if shelf.path}
        <path d={shelf.path} fill={shelf.fill} stroke={shelf.stroke} stroke-width="1.5" />
      {/if}
    {/each}
    {#if ghostLine}
      <path d={ghostLine} fill="none" stroke="#16233a" stroke-width="1.2" stroke-dasharray="3 3" />
    {/if}
    <path d={needLine} fill="none" stroke="#16233a" stroke-width="2.2" />
    {#if at >= 0}
      <path
        d={`M${scale.x(at + 0.5)} ${TOP - 8}V${height}`}
        stroke="#1b3a93"
        stroke-dasharray="2 3"
        stroke-width="1.5"
      />
    {/if}
  </g>
  {#if beyond && most > need * HIGHEST}
    <text x={scale.width - scale.right - 6} y={TOP + 4} text-anchor="end" class="note"
      >grows up to {figure(Math.max(...year.grownKg), 'mass', system)}, cut off here</text
    >
  {/if}
  <text
    x={scale.width - scale.right - 8}
    y={Math.max(11, y(year.needKg[lastShown]) - 7)}
    text-anchor="end"
    class="label halo">Need</text
  >
  {#if flush && flushSpot}
    <text x={flushSpot.x} y={flushSpot.y} text-anchor="middle" class="label flush"
      >Grown and not grazed: {amount(flush.kg, 'bulk', system)}</text
    >
  {/if}
  {#each shelves as shelf (shelf.name)}
    {#if shelf.spot}
      <text
        x={shelf.spot.x}
        y={shelf.spot.y + 5}
        text-anchor="middle"
        class={['label', shelf.light ? 'light' : 'halo']}>{shelf.name}</text
      >
    {/if}
  {/each}
  {#each bare as gap (gap.day)}
    {#each gap.lines as line, i (i)}
      <text x={gap.x} y={gap.y + 17 * i} text-anchor="middle" class="label halo bare">{line}</text>
    {/each}
  {/each}
</svg>

<style>
  .title {
    font-size: 14px;
    font-weight: 700;
    fill: #16233a;
  }
  .note {
    font-size: 12px;
    fill: #51617a;
  }
  .tick {
    font-family: var(--mono);
    font-size: 12px;
    fill: #51617a;
  }
  .label {
    font-size: 14px;
    font-weight: 700;
    fill: #16233a;
  }
  .light {
    fill: #ffffff;
    paint-order: stroke;
    stroke: #2b6e2f;
    stroke-width: 4px;
    stroke-linejoin: round;
  }
  .halo {
    paint-order: stroke;
    stroke: #ffffff;
    stroke-width: 4px;
    stroke-linejoin: round;
  }
  .flush {
    fill: #2b6e2f;
    paint-order: stroke;
    stroke: #ffffff;
    stroke-width: 4px;
    stroke-linejoin: round;
  }
  .bare {
    fill: #b3330f;
  }
</style>
