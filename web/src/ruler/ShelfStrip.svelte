<script lang="ts">
  import type { YearView } from '../api/client';
  import { rulerScale, stack, stepBand } from './scale';
  import { SHELVES, shelfSeries } from './shelf';

  let { year, width, height = 22 }: { year: YearView; width: number; height?: number } = $props();

  /** The whole width is the year: there is nothing to read at its left. */
  const scale = $derived(rulerScale(width, year.days, 0, 0));
  const y = $derived((share: number) => (1 - share) * height);
  const bands = $derived(
    stack(
      shelfSeries(year).map((series) =>
        series.map((kg, d) => (year.needKg[d] > 0 ? Math.min(1, kg / year.needKg[d]) : 0)),
      ),
    ).map((band, i) => ({
      ...SHELVES[i],
      path: stepBand(scale, band.lower, band.upper, y, 0.01),
    })),
  );
</script>

<svg {width} {height} aria-hidden="true" class="block">
  <rect {width} {height} fill="#ffffff" />
  {#each bands as b (b.name)}
    {#if b.path}<path d={b.path} fill={b.fill} stroke={b.stroke} />{/if}
  {/each}
</svg>
