<script lang="ts" module>
  /** A reading on the trace: what it said, and between what it lies. */
  export interface Dot {
    day: number;
    kgPerHa: number;
    lowKgPerHa: number;
    highKgPerHa: number;
    /** Not written down yet. */
    now?: boolean;
  }
</script>

<script lang="ts">
  import { isoOf, shortDay } from '../units/dates';
  import { figure, unitOf, type System } from '../units/units';

  let {
    covers,
    start,
    at,
    dots,
    stays = [],
    rain = [],
    leaveKgPerHa,
    enterKgPerHa,
    system,
    summary,
  }: {
    /** Cover as the plan has it, a value a day. */
    covers: number[];
    start: string;
    at: number;
    dots: Dot[];
    /** Days on which stock were there, as it was written down. */
    stays?: { from: number; to: number }[];
    /** Rain in the gauge. */
    rain?: { day: number; mm: number }[];
    leaveKgPerHa: number;
    enterKgPerHa: number;
    system: System;
    summary: string;
  } = $props();

  const BACK = 90;
  const AHEAD = 45;
  const [WIDTH, HEIGHT, LEFT, TOP, FOOT] = [360, 150, 44, 12, 20];

  const from = $derived(Math.max(0, at - BACK));
  const to = $derived(Math.min(covers.length - 1, at + AHEAD));
  const seen = $derived(dots.filter((d) => d.day >= from && d.day <= to));
  const peak = $derived(
    1.08 *
      Math.max(
        enterKgPerHa,
        500,
        ...covers.slice(from, to + 1),
        ...seen.map((d) => Math.min(d.highKgPerHa, 1.5 * d.kgPerHa)),
      ),
  );
  const x = $derived(
    (day: number) => LEFT + ((day - from) / Math.max(1, to - from)) * (WIDTH - LEFT - 8),
  );
  const y = $derived((kg: number) => TOP + (1 - Math.min(1, kg / peak)) * (HEIGHT - TOP - FOOT));
  const line = $derived((a: number, b: number) =>
    covers
      .slice(a, b + 1)
      .map((kg, i) => `${i ? 'L' : 'M'}${x(a + i).toFixed(1)} ${y(kg).toFixed(1)}`)
      .join(''),
  );
  /** First days of the months in sight. */
  const months = $derived(
    Array.from({ length: to - from + 1 }, (_, i) => from + i).filter((d) =>
      isoOf(start, d).endsWith('-01'),
    ),
  );
</script>

<svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={summary}>
  {#each [['leave', leaveKgPerHa, 12], ['come in', enterKgPerHa, -3]] as const as [name, kg, off] (name)}
    <line x1={LEFT} x2={WIDTH - 8} y1={y(kg)} y2={y(kg)} class="level" />
    <text x={LEFT - 4} y={y(kg) + 4} text-anchor="end">{figure(kg, 'massPerArea', system)}</text>
    <text x={WIDTH - 8} y={y(kg) + off} text-anchor="end" class="name">{name}</text>
  {/each}
  {#each months as d (d)}
    <line x1={x(d)} x2={x(d)} y1={HEIGHT - FOOT} y2={HEIGHT - FOOT + 4} class="tick" />
    {#if x(d) < WIDTH - 30}<text x={x(d) + 2} y={HEIGHT - 5}
        >{shortDay(start, d).split(' ')[1]}</text
      >{/if}
  {/each}
  <line x1={LEFT} x2={WIDTH - 8} y1={HEIGHT - FOOT} y2={HEIGHT - FOOT} class="tick" />
  <path d={line(from, at)} class="cover" />
  <path d={line(at, to)} class="cover ahead" />
  <line x1={x(at)} x2={x(at)} y1={TOP} y2={HEIGHT - FOOT} class="day" />
  {#each stays.filter((s) => s.to >= from && s.from <= to) as s (s.from)}
    <rect
      class="stay"
      x={x(Math.max(from, s.from))}
      width={Math.max(3, x(Math.min(to, s.to + 1)) - x(Math.max(from, s.from)))}
      y={HEIGHT - FOOT - 6}
      height="6"
    />
  {/each}
  {#each rain.filter((r) => r.mm > 0 && r.day >= from && r.day <= to) as r (r.day)}
    <line class="rain" x1={x(r.day)} x2={x(r.day)} y1={TOP} y2={TOP + Math.min(30, r.mm)} />
  {/each}
  {#each seen as d (`${d.day} ${d.now}`)}
    <line x1={x(d.day)} x2={x(d.day)} y1={y(d.lowKgPerHa)} y2={y(d.highKgPerHa)} class="error" />
    <circle cx={x(d.day)} cy={y(d.kgPerHa)} r="5" class:now={d.now} />
  {/each}
  <text x="4" y={TOP - 2} class="name">{unitOf('massPerArea', system)}</text>
</svg>

<style>
  svg {
    width: 100%;
    max-width: 34rem;
    display: block;
    background: var(--panel);
  }
  text {
    font-size: 11px;
    fill: var(--ink);
  }
  .name {
    fill: var(--quiet);
  }
  .level {
    stroke: var(--growing-dark);
    stroke-dasharray: 4 3;
  }
  .tick {
    stroke: #93a3bb;
  }
  .stay {
    fill: var(--put-by);
  }
  .rain {
    stroke: #3f73b8;
    stroke-width: 3;
  }
  .day {
    stroke: var(--line);
  }
  .cover {
    fill: none;
    stroke: var(--growing-dark);
    stroke-width: 2.2;
  }
  .ahead {
    stroke-dasharray: 5 3;
  }
  .error {
    stroke: var(--cobalt);
    stroke-width: 1.4;
  }
  circle {
    fill: var(--panel);
    stroke: var(--cobalt);
    stroke-width: 2;
  }
  circle.now {
    fill: var(--cobalt);
  }
</style>
