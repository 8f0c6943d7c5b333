<script lang="ts">
  import type { GroupCurve, YearView } from '../api/client';
  import { shortDay } from '../units/dates';
  import { figure, unitOf, type System } from '../units/units';
  import { rulerScale, runs, stepBand, stepLine } from './scale';

  let {
    year,
    curve,
    floor,
    system,
  }: {
    year: YearView;
    curve: GroupCurve;
    /** Lowest condition that is accepted, or null. */
    floor: number | null;
    system: System;
  } = $props();

  const LANE = 34;
  const MET = 97;
  let width = $state(800);
  const narrow = $derived(width < 560);
  const scale = $derived(rulerScale(width, year.days, narrow ? 84 : 130, narrow ? 4 : 128));
  const full = $derived(new Array<number>(year.days).fill(100));

  const needs = $derived(
    [
      { name: 'Energy', values: curve.energyPercentOfNeed, of: 'need' },
      { name: 'Protein', values: curve.proteinPercentOfNeed, of: 'need' },
      { name: 'Calcium', values: curve.calciumPercentOfNeed, of: 'need' },
      { name: 'Phosphorus', values: curve.phosphorusPercentOfNeed, of: 'need' },
      { name: 'Fibre', values: curve.fibrePercentOfLeast, of: 'least' },
    ]
      .filter((n) => n.values.some((v) => v >= 0))
      .map((n) => {
        const shown = n.values.map((v) => (v < 0 ? 100 : Math.max(40, Math.min(170, v))));
        const known = n.values.map((v, d) => ({ v, d })).filter((x) => x.v >= 0);
        const low = known.reduce((a, b) => (b.v < a.v ? b : a));
        const shortDays = known.filter((x) => x.v < MET).length;
        return {
          ...n,
          low,
          shortDays,
          over: stepBand(scale, full, shown, yNeed, 0.5),
          under: stepBand(scale, shown, full, yNeed, 100 - MET),
        };
      }),
  );
  const gain = $derived.by(() => {
    if (!curve.hasEnergy) return null;
    const top = Math.max(200, ...curve.gainG.map(Math.abs));
    const zero = new Array<number>(year.days).fill(0);
    const y = (v: number) => LANE / 2 - (v / top) * (LANE / 2 - 3);
    const plus = curve.gainG.map((v) => Math.max(0, v));
    const minus = curve.gainG.map((v) => Math.min(0, v));
    return {
      plus: stepBand(scale, zero, plus, y, 1),
      minus: stepBand(scale, minus, zero, y, 1),
      low: curve.gainG.reduce((b, v, d) => (v < curve.gainG[b] ? d : b), 0),
      high: curve.gainG.reduce((b, v, d) => (v > curve.gainG[b] ? d : b), 0),
      y0: y(0),
    };
  });
  const body = $derived.by(() => {
    const values = curve.hasScore ? curve.scoreTenths.map((t) => t / 10) : curve.weightKg;
    const there = runs(year.days, (d) => values[d] > 0);
    if (!curve.hasEnergy || there.length === 0) return null;
    const known = values.filter((v) => v > 0);
    const low = curve.hasScore ? curve.scale.lowest : Math.min(...known) * 0.95;
    const high = curve.hasScore ? curve.scale.highest : Math.max(...known) * 1.05;
    const y = (v: number) => LANE - 3 - ((v - low) / Math.max(1e-9, high - low)) * (LANE - 6);
    const [from] = there[0];
    const last = there[there.length - 1][1] - 1;
    return {
      paths: there.map(([a, b]) =>
        stepLine(
          { ...scale, days: b - a, x: (d: number) => scale.x(d + a) },
          values.slice(a, b),
          y,
        ),
      ),
      floorY: curve.hasScore && floor !== null ? y(floor) : null,
      text: curve.hasScore
        ? `${values[from].toFixed(1)} to ${values[last].toFixed(1)}`
        : `${figure(values[from], 'weight', system)} to ${figure(values[last], 'weight', system)} ${unitOf('weight', system)}`,
    };
  });
  const perDay = (g: number) => `${figure(g / 1000, 'gain', system)}`;

  function yNeed(percent: number): number {
    return LANE - 3 - ((percent - 40) / 130) * (LANE - 6);
  }
</script>

{#snippet lane(name: string, sub: string)}
  <text x="0" y="15" class="name">{name}</text>
  <text x="0" y="28" class="note">{sub}</text>
  <rect
    x={scale.left}
    y="1"
    width={scale.width - scale.left - scale.right}
    height={LANE - 3}
    fill="#fff"
    stroke="#c5d0e0"
    stroke-width="0.6"
  />
{/snippet}

<div bind:clientWidth={width} data-testid="diet-lanes">
  {#each needs as n (n.name)}
    <svg
      {width}
      height={LANE}
      role="img"
      class="block"
      aria-label={`${n.name} eaten, percent of ${n.of === 'need' ? 'what they need' : 'the least'}: lowest ${n.low.v} on ${shortDay(year.start, n.low.d)}, short on ${n.shortDays} days`}
    >
      {@render lane(n.name, n.of === 'need' ? '% of need' : '% of least')}
      <path d={n.over} fill="#cfe5cf" />
      <path d={n.under} fill="url(#t-bare)" stroke="#d6401f" stroke-width="0.7" />
      <path d={`M${scale.left} ${yNeed(100)}H${width - scale.right}`} stroke="#16233a" />
      {#if !narrow}
        <text x={width - scale.right + 8} y="15" class={['note', n.shortDays > 0 && 'short']}
          >{n.shortDays > 0 ? `short on ${n.shortDays} days` : 'never short'}</text
        >
        <text x={width - scale.right + 8} y="28" class="note"
          >lowest {n.low.v}%, {shortDay(year.start, n.low.d)}</text
        >
      {/if}
    </svg>
  {/each}
  {#if gain}
    <svg
      {width}
      height={LANE}
      role="img"
      class="block"
      aria-label={`Expected gain of one a day: from ${perDay(curve.gainG[gain.low])} on ${shortDay(year.start, gain.low)} to ${perDay(curve.gainG[gain.high])} ${unitOf('gain', system)}`}
    >
      {@render lane('Gain or loss', unitOf('gain', system))}
      <path d={gain.plus} fill="#4c9a4f" />
      <path d={gain.minus} fill="url(#t-bare)" stroke="#d6401f" stroke-width="0.7" />
      <path d={`M${scale.left} ${gain.y0}H${width - scale.right}`} stroke="#16233a" />
      {#if !narrow}
        <text x={width - scale.right + 8} y="15" class="note"
          >most {perDay(curve.gainG[gain.high])}</text
        >
        <text x={width - scale.right + 8} y="28" class="note"
          >least {perDay(curve.gainG[gain.low])}, {shortDay(year.start, gain.low)}</text
        >
      {/if}
    </svg>
  {/if}
  {#if body}
    <svg
      {width}
      height={LANE}
      role="img"
      class="block"
      aria-label={`Expected ${curve.hasScore ? 'condition' : 'weight'}: ${body.text}`}
    >
      {@render lane(
        curve.hasScore ? 'Condition' : 'Weight',
        curve.hasScore ? `${curve.scale.lowest} to ${curve.scale.highest}` : 'of one',
      )}
      {#each body.paths as path (path)}<path
          d={path}
          fill="none"
          stroke="#1b3a93"
          stroke-width="2"
        />{/each}
      {#if body.floorY !== null}
        <path
          d={`M${scale.left} ${body.floorY}H${width - scale.right}`}
          stroke="#d6401f"
          stroke-dasharray="4 3"
        />
      {/if}
      {#if !narrow}
        <text x={width - scale.right + 8} y="15" class="note">{body.text}</text>
        {#if curve.belowFloorDay >= 0}
          <text x={width - scale.right + 8} y="28" class="note short"
            >too thin from {shortDay(year.start, curve.belowFloorDay)}</text
          >
        {/if}
      {/if}
    </svg>
  {/if}
  <svg {width} height="18" class="block" aria-hidden="true">
    {#each year.ledger as m (m.startDay)}
      <text x={scale.x(m.startDay) + 2} y="13" class="note"
        >{shortDay(year.start, m.startDay)
          .slice(-3)
          .slice(0, narrow ? 1 : 3)}</text
      >
    {/each}
  </svg>
</div>

<style>
  .name {
    font-size: 13px;
    font-weight: 700;
    fill: #16233a;
  }
  .note {
    font-size: 11px;
    fill: #3d4b63;
  }
  .short {
    fill: #b3330f;
    font-weight: 700;
  }
</style>
