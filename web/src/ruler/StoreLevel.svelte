<script lang="ts">
  import type { YearView } from '../api/client';
  import { shortDay } from '../units/dates';
  import { amount, figure, unitOf, type System } from '../units/units';
  import { unitsLeft } from '../words/year';
  import { stack, stepBand, type RulerScale } from './scale';

  let { year, scale, system }: { year: YearView; scale: RulerScale; system: System } = $props();

  const HEIGHT = 84;
  const TOP = 24;
  const narrow = $derived(scale.left < 120);
  const at = $derived(narrow ? 8 : 20);
  const peak = $derived(Math.max(1, ...year.storeKg));
  const y = $derived((kg: number) => TOP + (1 - kg / peak) * (HEIGHT - TOP - 4));
  const bands = $derived(year.lots.length ? stack(year.lots.map((l) => l.levelKg)) : []);
  const emptyFrom = $derived.by(() => {
    const first = year.storeKg.findIndex(
      (kg, d) => kg < 1 && (d === 0 || year.storeKg[d - 1] >= 1),
    );
    return first > 0 ? first : -1;
  });
  const summary = $derived(
    `Store: ${amount(year.storeKg[0] ?? 0, 'bulk', system)} dry matter at the start` +
      (emptyFrom >= 0 ? `, empty ${shortDay(year.start, emptyFrom)}` : '') +
      `, ${amount(year.storeKg[year.days - 1] ?? 0, 'bulk', system)} at the end.`,
  );
</script>

<svg width={scale.width} height={HEIGHT} role="img" aria-label={summary} class="block">
  <text x={at} y="28" class="title">Store</text>
  <text x={at} y="45" class="note">{unitOf('bulk', system)}{narrow ? '' : ' dry matter'}</text>
  <text x={scale.left - 8} y={TOP + 5} text-anchor="end" class="tick"
    >{figure(peak, 'bulk', system)}</text
  >
  <rect
    x={scale.left}
    y="4"
    width={scale.width - scale.left - scale.right}
    height={HEIGHT - 8}
    fill="#ffffff"
  />
  {#each year.lots as lot, i (lot.id)}
    <path
      d={stepBand(scale, bands[i].lower, bands[i].upper, y)}
      fill={lot.origin === 'BOUGHT' ? 'url(#t-bought)' : 'url(#t-put-by)'}
      stroke={lot.origin === 'BOUGHT' ? '#574a87' : '#7a3f1c'}
      stroke-width="0.7"
    />
  {/each}
  <text x={scale.left + 6} y="18" class="note">{unitsLeft(year.lots, 0)}</text>
  {#if emptyFrom >= 0}
    <text x={scale.x(emptyFrom) + 6} y={HEIGHT - 10} class="empty"
      >empty {shortDay(year.start, emptyFrom)}</text
    >
  {/if}
</svg>

<style>
  .title {
    font-size: 14px;
    font-weight: 700;
    fill: #16233a;
  }
  .note {
    font-size: 12px;
    fill: #3d4b63;
  }
  .tick {
    font-family: var(--mono);
    font-size: 12px;
    fill: #51617a;
  }
  .empty {
    font-size: 13px;
    font-weight: 700;
    fill: #b3330f;
  }
</style>
