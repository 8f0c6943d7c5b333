<script lang="ts">
  import type { Fan } from '../api/client';
  import type { Quantity, System } from '../units/units';
  import { figure, shown, toSi, unitOf } from '../units/units';
  import { roundTicks, stepBand, stepLine, type RulerScale } from './scale';

  let {
    title,
    fan,
    scale,
    quantity,
    system,
    colour,
    height = 150,
    summary,
  }: {
    title: string;
    fan: Fan;
    scale: RulerScale;
    quantity: Quantity;
    system: System;
    /** Of the middle line; the bands are paler. */
    colour: string;
    height?: number;
    /** What a screen reader says of the picture. */
    summary: string;
  } = $props();

  const TOP = 16;
  const narrow = $derived(scale.left < 120);
  const peak = $derived(Math.max(1e-6, ...fan.p90) * 1.06);
  const y = $derived((v: number) => TOP + (1 - Math.min(1, v / peak)) * (height - TOP - 2));
  const ticks = $derived(
    roundTicks(shown(peak, quantity, system), 3).map((t) => toSi(t, quantity, system)),
  );
</script>

{#if narrow}
  <p class="key"><strong>{title}</strong> {unitOf(quantity, system)}</p>
{/if}
<svg width={scale.width} {height} role="img" aria-label={summary} class="block">
  <rect
    x={scale.left}
    y="2"
    width={Math.max(0, scale.width - scale.left - scale.right)}
    height={height - 4}
    fill="#ffffff"
  />
  {#if !narrow}
    <text x="20" y="18" class="title">{title}</text>
    <text x="20" y="34" class="note">{unitOf(quantity, system)}</text>
    <rect x="20" y="44" width="14" height="12" fill={colour} opacity="0.45" />
    <text x="39" y="54" class="note">half of all years</text>
    <rect x="20" y="62" width="14" height="12" fill={colour} opacity="0.18" />
    <text x="39" y="72" class="note">8 of 10</text>
  {/if}
  {#each ticks as t (t)}
    <path d={`M${scale.left} ${y(t)}H${scale.width - scale.right}`} stroke="#d4d9e2" />
    <text x={scale.left - 8} y={y(t) + 4} text-anchor="end" class="tick"
      >{figure(t, quantity, system)}</text
    >
  {/each}
  <g>
    <path d={stepBand(scale, fan.p10, fan.p90, y)} fill={colour} opacity="0.18" />
    <path d={stepBand(scale, fan.p25, fan.p75, y)} fill={colour} opacity="0.32" />
    <path d={stepLine(scale, fan.p50, y)} fill="none" stroke={colour} stroke-width="2" />
  </g>
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
  .key {
    padding: 0.3rem 8px 0;
    font-size: 13px;
  }
</style>
