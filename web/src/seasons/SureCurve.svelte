<script lang="ts">
  import { amount, shown, unitOf, type System } from '../units/units';
  import { roundTicks } from '../ruler/scale';
  import { toSi } from '../units/units';

  /** In how many years feed would last with so much more that is eaten. */
  let {
    bareKg,
    dayKg,
    system,
    share,
    beside = null,
  }: {
    bareKg: number[];
    dayKg: number;
    system: System;
    share: number;
    /** Another plan's. */
    beside?: number[] | null;
  } = $props();

  const W = 420;
  const H = 170;
  const LEFT = 62;
  const BOTTOM = 24;
  const most = $derived(Math.max(1, bareKg.at(-1) ?? 1, beside?.at(-1) ?? 1));
  const x = $derived((kg: number) => LEFT + (Math.max(0, kg) / most) * (W - LEFT - 12));
  const y = (s: number) => 8 + (1 - s) * (H - BOTTOM - 8);
  function lineOf(years: number[]): string {
    const n = years.length;
    const at = (kg: number) => years.filter((b) => b - kg < dayKg).length / n;
    let d = `M${x(0)} ${y(at(0))}`;
    for (let i = 1; i <= 60; i++) d += `L${x((most * i) / 60)} ${y(at((most * i) / 60))}`;
    return d;
  }
  const wanted = $derived(
    Math.max(0, bareKg[Math.max(0, Math.ceil(share * bareKg.length - 1e-9) - 1)]),
  );
  const ticks = $derived(
    roundTicks(shown(most, 'bulk', system), 4).map((t) => toSi(t, 'bulk', system)),
  );
</script>

<svg
  viewBox={`0 0 ${W} ${H}`}
  role="img"
  aria-label={`Years in which feed would last with more feed: in ${Math.round(share * 100)} of 100 with ${amount(wanted, 'bulk', system)} more.`}
>
  {#each [0.5, 0.8, 0.9] as s (s)}
    <path class="grid" d={`M${LEFT} ${y(s)}H${W - 12}`} />
    <text x={LEFT - 8} y={y(s) + 4} text-anchor="end">{s * 10} of 10</text>
  {/each}
  {#each ticks as t (t)}
    <text x={x(t)} y={H - 6} text-anchor="middle">{shown(t, 'bulk', system)}</text>
  {/each}
  <text x={W - 4} y={H - 6} text-anchor="end">{unitOf('bulk', system)}</text>
  {#if beside}<path class="line other" d={lineOf(beside)} />{/if}
  <path class="line" d={lineOf(bareKg)} />
  <circle cx={x(wanted)} cy={y(share)} r="6" />
</svg>

<style>
  svg {
    width: 100%;
    max-width: 30rem;
    display: block;
  }
  .grid {
    stroke: #d4d9e2;
  }
  .line {
    fill: none;
    stroke: var(--cobalt);
    stroke-width: 2.5;
  }
  .other {
    stroke: var(--bought);
    stroke-dasharray: 6 4;
  }
  circle {
    fill: var(--cobalt);
  }
  text {
    font-size: 11px;
    fill: #3d4b63;
  }
</style>
