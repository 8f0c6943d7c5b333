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
    line = null,
    onpoint = undefined,
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
    /** One year over it, at the first mornings of the plan's weeks from the second on. */
    line?: number[] | null;
    /** Where somebody points: plan day and figure. */
    onpoint?: (day: number, value: number) => void;
  } = $props();

  const WEEK = 7;
  const path = $derived(
    (line ?? [])
      .map((v, i) => `${i ? 'L' : 'M'}${scale.x(WEEK * (i + 1)).toFixed(1)} ${y(v).toFixed(1)}`)
      .join(''),
  );
  function point(e: MouseEvent) {
    const box = (e.currentTarget as SVGElement).getBoundingClientRect();
    const x = e.clientX - box.left;
    if (x < scale.left) return;
    const share = 1 - (e.clientY - box.top - TOP) / (height - TOP - 2);
    onpoint?.(scale.day(x), Math.max(0, share * peak));
  }

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
<!-- a year can be chosen by its place below too: the pointer is only the shorter way -->
<!-- svelte-ignore a11y_click_events_have_key_events -->
<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<svg
  width={scale.width}
  {height}
  role="img"
  aria-label={summary}
  class={['block', onpoint && 'points']}
  onclick={point}
>
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
    {#if path}
      <path d={path} fill="none" stroke="#1b3a93" stroke-width="2" stroke-dasharray="6 4" />
    {/if}
  </g>
</svg>

<style>
  .points {
    cursor: crosshair;
  }
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
