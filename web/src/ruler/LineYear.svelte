<script lang="ts" module>
  /** One line of the chart, a value a day. */
  export interface Line {
    name: string;
    values: number[];
    colour: string;
    dash?: string;
  }
</script>

<script lang="ts">
  import type { Quantity, System } from '../units/units';
  import { figure, shown, toSi, unitOf } from '../units/units';
  import { roundTicks, stepBand, stepLine, type RulerScale } from './scale';

  let {
    title,
    lines,
    band = null,
    target = null,
    scale,
    quantity,
    system,
    at = -1,
    height = 150,
    summary,
    unit = unitOf(quantity, system),
  }: {
    title: string;
    lines: Line[];
    /** Filled between two series where the upper lies above the lower. */
    band?: { lower: number[]; upper: number[]; fill: string } | null;
    /** A level band within which the line is where it should be. */
    target?: { from: number; to: number; name: string } | null;
    scale: RulerScale;
    quantity: Quantity;
    system: System;
    at?: number;
    height?: number;
    /** What a screen reader says of the picture. */
    summary: string;
    unit?: string;
  } = $props();

  const TOP = 16;
  const narrow = $derived(scale.left < 120);
  const peak = $derived(
    Math.max(1e-6, target?.to ?? 0, ...lines.map((l) => Math.max(...l.values))) * 1.06,
  );
  const y = $derived((v: number) => TOP + (1 - Math.min(1, v / peak)) * (height - TOP - 2));
  const ticks = $derived(
    roundTicks(shown(peak, quantity, system), height > 120 ? 4 : 2).map((t) =>
      toSi(t, quantity, system),
    ),
  );
  /** The names under the title, each beside its colour; on a phone above the picture. */
  const keyX = $derived(narrow ? 8 : 20);
</script>

{#if narrow}
  <p class="key">
    <strong>{title}</strong>
    {unit}
    {#each lines as l (l.name)}<span><i style:--c={l.colour}></i>{l.name}</span>{/each}
  </p>
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
    <text x={keyX} y="18" class="title">{title}</text>
    <text x={keyX} y="34" class="note">{unit}</text>
    {#each lines as l, i (l.name)}
      <path
        d={`M${keyX} ${52 + i * 18 - 4}h14`}
        stroke={l.colour}
        stroke-width="3"
        stroke-dasharray={l.dash}
      />
      <text x={keyX + 19} y={52 + i * 18} class="note">{l.name}</text>
    {/each}
  {/if}
  {#if target}
    <rect
      x={scale.left}
      y={y(target.to)}
      width={Math.max(0, scale.width - scale.left - scale.right)}
      height={Math.max(0, y(target.from) - y(target.to))}
      fill="#e3efe3"
    />
    <text x={scale.left + 6} y={y(target.from) - 4} class="note">{target.name}</text>
  {/if}
  {#each ticks as t (t)}
    <path
      d={`M${scale.left} ${y(t)}H${scale.width - scale.right}`}
      stroke="#d4d9e2"
      stroke-width="1"
    />
    <text x={scale.left - 8} y={y(t) + 4} text-anchor="end" class="tick"
      >{figure(t, quantity, system)}</text
    >
  {/each}
  <g clip-path={scale.clip}>
    {#if band}
      <path d={stepBand(scale, band.lower, band.upper, y)} fill={band.fill} />
    {/if}
    {#each lines as l (l.name)}
      <path
        d={stepLine(scale, l.values, y)}
        fill="none"
        stroke={l.colour}
        stroke-width="2"
        stroke-dasharray={l.dash}
      />
    {/each}
    {#if at >= 0}
      <path
        d={`M${scale.x(at + 0.5)} 0V${height}`}
        stroke="#1b3a93"
        stroke-dasharray="2 3"
        stroke-width="1.5"
      />
    {/if}
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
  .key span {
    margin-left: 0.75rem;
    white-space: nowrap;
  }
  .key i {
    display: inline-block;
    width: 14px;
    height: 3px;
    margin-right: 5px;
    vertical-align: middle;
    background: var(--c);
  }
</style>
