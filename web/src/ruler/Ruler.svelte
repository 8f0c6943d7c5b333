<script lang="ts">
  import type { YearView } from '../api/client';
  import { movesOf } from '../words/moves';
  import { dayOf, monthName, shortDay, today } from '../units/dates';
  import { runs, type RulerScale } from './scale';

  let { year, scale }: { year: YearView; scale: RulerScale } = $props();

  const HEIGHT = 50;
  const narrow = $derived(scale.width < 700);
  const now = $derived(dayOf(year.start, today()));
  const births = $derived.by(() => {
    const windows = year.groups.flatMap((g) => g.births);
    return windows
      .map(([a, b]) => [Math.max(0, a), Math.min(year.days, b + 1)])
      .filter(([a, b]) => b > a);
  });
  /** Days on which a caution shuts some field, as runs. */
  const holds = $derived.by(() => {
    const held = year.cautions.filter((c) => c.blocks && c.fieldId);
    return runs(year.days, (d) => held.some((c) => d >= c.fromDay && d < c.toDay));
  });
  /** Every move of a group is a tick; where they stand closer than that, fewer are drawn. */
  const LEAST_PX = 2.5;
  const moves = $derived.by(() => {
    let path = '';
    let last = -Infinity;
    for (const { day } of movesOf(year.groups)) {
      const x = scale.x(day);
      if (x - last < LEAST_PX) continue;
      last = x;
      path += `M${x.toFixed(1)} ${HEIGHT - 17}v4`;
    }
    return path;
  });
  const weanings = $derived([...new Set(year.groups.flatMap((g) => g.weanings))]);
  /** Where a band's name stands: in its middle, or beside the flag of today. */
  function labelOf(from: number, to: number): { x: number; anchor: 'start' | 'middle' | 'end' } {
    const flag = scale.x(now);
    const middle = (from + to) / 2;
    if (Math.abs(flag + 20 - middle) > 60) return { x: middle, anchor: 'middle' };
    return flag - from > to - flag - 40
      ? { x: flag - 4, anchor: 'end' }
      : { x: flag + 44, anchor: 'start' };
  }
  const summary = $derived(
    `Ruler of the plan year, ${year.ledger.length} months from ${monthName(year.ledger[0].month)}. ` +
      year.bands
        .map(
          (b) =>
            `${b.kind === 'FIRST_FROST' ? 'First' : 'Last'} killing frost usually ${shortDay(year.start, b.midDay)}`,
        )
        .join(', '),
  );
</script>

<svg width={scale.width} height={HEIGHT} role="img" aria-label={summary} class="block">
  {#each year.bands as band (band.kind)}
    <rect
      x={scale.x(band.fromDay)}
      y="0"
      width={scale.x(band.toDay) - scale.x(band.fromDay)}
      height={HEIGHT}
      fill="#dce7f7"
    />
    {#if !narrow}
      {@const label = labelOf(scale.x(band.fromDay), scale.x(band.toDay))}
      <text x={label.x} y="11" text-anchor={label.anchor} class="note"
        >{band.kind === 'FIRST_FROST' ? 'first frost' : 'last frost'}</text
      >
    {/if}
  {/each}
  {#if year.season !== 'normal'}
    {#each year.frosts as [from, to] (from)}
      <rect x={scale.x(from)} y="0" width={scale.x(to) - scale.x(from)} height="3" fill="#51617a" />
    {/each}
  {/if}
  {#if moves}<path d={moves} stroke="#1b3a93" stroke-width="1.4" data-testid="moves" />{/if}
  {#each holds as [from, to] (from)}
    <rect
      x={scale.x(from)}
      y={HEIGHT - 12}
      width={Math.max(2, scale.x(to) - scale.x(from))}
      height="5"
      fill="url(#t-held)"
      stroke="#d6401f"
      stroke-width="0.8"
    />
  {/each}
  {#each births as [from, to], i (i)}
    <rect
      x={scale.x(from)}
      y={HEIGHT - 6}
      width={scale.x(to) - scale.x(from)}
      height="4"
      fill="#16233a"
    />
  {/each}
  {#if !narrow}
    <rect x="20" y="12" width="14" height="4" fill="#16233a" />
    <text x="39" y="18" class="note">births</text>
    <path d="M84 10l4 4l-4 4l-4 -4Z" fill="#16233a" />
    <text x="92" y="18" class="note">weaning</text>
    {#if holds.length}
      <rect
        x="20"
        y="27"
        width="14"
        height="5"
        fill="url(#t-held)"
        stroke="#d6401f"
        stroke-width="0.8"
      />
      <text x="39" y="33" class="note">held by a caution</text>
    {/if}
    {#if moves}
      <path d="M22 41v6m5 -6v6m5 -6v6" stroke="#1b3a93" stroke-width="1.4" />
      <text x="39" y="48" class="note">moves</text>
    {/if}
  {/if}

  {#each weanings as day (day)}
    <path d={`M${scale.x(day)} ${HEIGHT - 9}l4 4l-4 4l-4 -4Z`} fill="#16233a" />
  {/each}
  {#each year.ledger as month (month.startDay)}
    <path d={`M${scale.x(month.startDay)} 16V${HEIGHT}`} stroke="#16233a" />
    {#if scale.x(month.endDay) - scale.x(month.startDay) > 26}
      <text x={scale.x(month.startDay) + 4} y="30" class="month"
        >{monthName(month.month).slice(0, 3)}</text
      >
    {:else if scale.x(month.endDay) - scale.x(month.startDay) > 10}
      <text x={scale.x(month.startDay) + 2} y="30" class="month"
        >{monthName(month.month).slice(0, 1)}</text
      >
    {/if}
  {/each}
  <path d={`M0 ${HEIGHT - 0.5}H${scale.width}`} stroke="#1b3a93" />
  {#if now >= 0 && now < year.days}
    <rect x={scale.x(now)} y="0" width="40" height="14" fill="#1b3a93" />
    <text x={scale.x(now) + 4} y="11" fill="#ffffff" class="note light">today</text>
    <path d={`M${scale.x(now)} 0V${HEIGHT}`} stroke="#1b3a93" stroke-width="1.5" />
  {/if}
</svg>

<style>
  .note {
    font-size: 11px;
    fill: #3d4b63;
  }
  .light {
    fill: #ffffff;
    font-weight: 700;
  }
  .month {
    font-size: 13px;
    font-weight: 700;
    fill: #16233a;
  }
</style>
