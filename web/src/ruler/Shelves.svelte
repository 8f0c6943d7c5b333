<script lang="ts">
  import type { YearView } from '../api/client';
  import { amount, figure, shown, toSi, unitOf, type System } from '../units/units';
  import { days } from '../words/year';
  import { labelSpot, roundTicks, stack, stepBand, stepLine, type RulerScale } from './scale';

  let {
    year,
    ghost = null,
    scale,
    system,
    height = 236,
  }: {
    year: YearView;
    ghost?: YearView | null;
    scale: RulerScale;
    system: System;
    height?: number;
  } = $props();

  const TOP = 14;
  const narrow = $derived(scale.left < 120);
  const peak = $derived(Math.max(1, ...year.needKg, ...(ghost?.needKg ?? [])) * 1.06);
  const y = $derived((kg: number) => TOP + (1 - kg / peak) * (height - TOP));
  const ticks = $derived(
    roundTicks(shown(peak, 'mass', system), height > 160 ? 4 : 2).map((t) =>
      toSi(t, 'mass', system),
    ),
  );
  /** On a phone a tick may stand beside the unit, and needs its room. */
  const lowTick = $derived(ticks.some((t) => Math.abs(y(t) - 35) < 14));
  const shelves = $derived.by(() => {
    const bands = stack([
      year.growingKg,
      year.standingKg,
      year.putByKg,
      year.boughtInKg,
      year.bareKg,
    ]);
    const looks = [
      { name: 'Growing', fill: 'url(#t-growing)', stroke: 'none', light: true },
      { name: 'Standing', fill: 'url(#t-standing)', stroke: 'none', light: false },
      { name: 'Put by', fill: 'url(#t-put-by)', stroke: 'none', light: false },
      { name: 'Bought in', fill: 'url(#t-bought)', stroke: 'none', light: false },
      { name: 'Bare', fill: 'url(#t-bare)', stroke: '#d6401f', light: false },
    ];
    return bands.map((band, i) => ({
      ...looks[i],
      path: stepBand(scale, band.lower, band.upper, y, 0.05),
      spot: labelSpot(scale, band.lower, band.upper, y, looks[i].name.length * 8.5, 18),
    }));
  });
  /** The label stands in one gap and counts that one. */
  const bareDays = $derived.by(() => {
    const at = shelves.find((s) => s.name === 'Bare')?.spot?.day ?? -1;
    const gaps = year.gaps.filter((g) => g.kind === 'STORE');
    return gaps.find((g) => g.firstDay <= at && at <= g.lastDay)?.shortDays ?? 0;
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
  const summary = $derived(
    `Eaten each day by shelf. Over the year ${amount(year.total.needKg, 'mass', system)} dry matter needed: ` +
      `growing ${figure(year.total.growingKg, 'mass', system)}, standing ${figure(year.total.standingKg, 'mass', system)}, ` +
      `put by ${figure(year.total.putByKg, 'mass', system)}, bought in ${figure(year.total.boughtInKg, 'mass', system)}, ` +
      `bare ${figure(year.total.bareKg, 'mass', system)}.`,
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
    width={scale.width - scale.left - scale.right}
    height={height - TOP + 8}
    fill="#ffffff"
  />
  <text x={narrow ? 8 : 20} y="22" class="title">{narrow ? 'Eaten' : 'Eaten each day'}</text>
  <text x={narrow ? 8 : 20} y="39" class="note"
    >{unitOf('mass', system)}{narrow ? (lowTick ? '' : ' a day') : ' dry matter'}</text
  >
  {#each ticks as tick (tick)}
    <path d={`M${scale.left} ${y(tick)}H${scale.width - scale.right}`} stroke="#e8eef6" />
    <text x={scale.left - 8} y={y(tick) + 4} text-anchor="end" class="tick"
      >{figure(tick, 'mass', system)}</text
    >
  {/each}
  {#each shelves as shelf (shelf.name)}
    {#if shelf.path}
      <path d={shelf.path} fill={shelf.fill} stroke={shelf.stroke} stroke-width="1.5" />
    {/if}
  {/each}
  {#if ghostLine}
    <path d={ghostLine} fill="none" stroke="#16233a" stroke-width="1.2" stroke-dasharray="3 3" />
  {/if}
  <path d={needLine} fill="none" stroke="#16233a" stroke-width="2.2" />
  <text
    x={scale.width - scale.right - 8}
    y={Math.max(11, y(year.needKg[year.days - 1]) - 7)}
    text-anchor="end"
    class="label">Need</text
  >
  {#each shelves as shelf (shelf.name)}
    {#if shelf.spot}
      <text
        x={shelf.spot.x}
        y={shelf.spot.y + 5}
        text-anchor="middle"
        class={['label', shelf.light ? 'light' : 'halo', shelf.name === 'Bare' && 'bare']}
        >{shelf.name === 'Bare' ? `Bare, ${days(bareDays)}` : shelf.name}</text
      >
    {/if}
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
  .bare {
    fill: #b3330f;
  }
</style>
