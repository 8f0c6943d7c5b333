<script lang="ts">
  import type { GroupCurve, PlanView, YearView } from '../api/client';
  import { shortDay } from '../units/dates';
  import { figure, unitOf, type System } from '../units/units';
  import { labelSpot, roundTicks, rulerScale, stack, stepBand, stepLine } from './scale';

  let {
    year,
    ghost: before,
    farm,
    system,
    chosenId,
    onchoose,
    onbirth,
  }: {
    year: YearView;
    /** The year to compare with, or null. */
    ghost: YearView | null;
    farm: PlanView['farm'];
    system: System;
    chosenId: string | null;
    onchoose: (id: string) => void;
    /** Moves the births of a group by some days. */
    onbirth: (id: string, days: number) => void;
  } = $props();

  type Measure = 'mass' | 'aud' | 'energy';
  const HEADS = 62;
  const DEMAND = 150;
  const HANDLES = 40;
  const TINTS = ['#c3cfe3', '#dde5f0', '#aebdd6', '#e9eef5', '#cdd7e7', '#b8c5dc'];
  let width = $state(1280);
  let measure = $state<Measure>('mass');
  let grabbed = $state<{ id: string; day: number; from: number } | null>(null);

  const narrow = $derived(width < 700);
  const scale = $derived(rulerScale(width, year.days, narrow ? 92 : 184));
  const name = (id: string) => farm.groups.find((g) => g.id === id)?.name ?? 'new group';
  const asked = $derived((g: GroupCurve): number[] =>
    measure === 'energy'
      ? g.energyNeedMj
      : measure === 'aud'
        ? g.needKg.map((kg) => kg / farm.audKg)
        : g.needKg,
  );
  const total = $derived(sum(year.groups.map(asked)));
  const ghost = $derived(before?.days === year.days ? sum(before.groups.map(asked)) : null);
  const peak = $derived(Math.max(1, ...total, ...(ghost ?? [])) * 1.06);
  const y = $derived((v: number) => DEMAND - (v / peak) * (DEMAND - 12));
  const ticks = $derived(
    roundTicks(measure === 'mass' && system === 'IMPERIAL' ? peak / 0.45359237 : peak, 3).map(
      (t) => ({
        at: measure === 'mass' && system === 'IMPERIAL' ? t * 0.45359237 : t,
        text: Math.round(t).toLocaleString('en-US'),
      }),
    ),
  );
  const bands = $derived(looks(year.groups.length ? stack(year.groups.map(asked)) : [], y));
  const mostHead = $derived(
    Math.max(1, ...sum(year.groups.map((g) => g.head.map((n, d) => n + g.youngHead[d])))) * 1.05,
  );
  const yHead = $derived((n: number) => HEADS - (n / mostHead) * (HEADS - 10));
  const heads = $derived(
    looks(
      year.groups.length
        ? stack(year.groups.flatMap((g) => [g.head, g.youngHead])).filter((_, i) => i % 2 === 0)
        : [],
      yHead,
    ),
  );
  const young = $derived(
    year.groups.length
      ? stack(year.groups.flatMap((g) => [g.head, g.youngHead]))
          .filter((_, i) => i % 2 === 1)
          .map((b) => stepBand(scale, b.lower, b.upper, yHead))
      : [],
  );
  const bare = $derived(
    measure === 'energy'
      ? ''
      : stepBand(
          scale,
          total.map((t, d) => t - year.bareKg[d] / (measure === 'aud' ? farm.audKg : 1)),
          total,
          y,
          peak / 400,
        ),
  );
  const unit = $derived(
    measure === 'mass'
      ? `${unitOf('mass', system)} a day`
      : measure === 'aud'
        ? 'animal units'
        : 'MJ a day',
  );
  const births = $derived(
    year.groups.flatMap((g) =>
      g.births.map(([from, to], i) => ({
        id: g.id,
        key: `${g.id}-${i}`,
        from: Math.max(0, from),
        to: Math.min(year.days, to + 1),
        moves: from >= 0 && from < year.days,
        day: from,
      })),
    ),
  );
  const most = $derived(total.reduce((b, v, i) => (v > total[b] ? i : b), 0));
  const least = $derived(total.reduce((b, v, i) => (v < total[b] ? i : b), 0));
  const summary = $derived(
    `What the herd asks for, ${unit}, group upon group. Most on ${shortDay(year.start, most)}, ${Math.round(shownMass(total[most]))}; least on ${shortDay(year.start, least)}, ${Math.round(shownMass(total[least]))}.`,
  );

  function shownMass(v: number): number {
    return measure === 'mass' && system === 'IMPERIAL' ? v / 0.45359237 : v;
  }
  function sum(series: number[][]): number[] {
    const out = new Array<number>(year.days).fill(0);
    for (const s of series) for (let d = 0; d < out.length; d++) out[d] += s[d] ?? 0;
    return out;
  }
  function looks(bandsOf: { lower: number[]; upper: number[] }[], at: (v: number) => number) {
    return bandsOf.map((band, i) => {
      const g = year.groups[i];
      const text = name(g.id);
      return {
        id: g.id,
        text,
        path: stepBand(scale, band.lower, band.upper, at),
        fill: g.id === chosenId ? '#1b3a93' : TINTS[i % TINTS.length],
        spot: labelSpot(scale, band.lower, band.upper, at, text.length * 7.2, 15),
      };
    });
  }
  function grab(e: PointerEvent, id: string, day: number) {
    (e.currentTarget as Element).setPointerCapture(e.pointerId);
    if (id !== chosenId) onchoose(id);
    grabbed = { id, day, from: day };
  }
  function drag(e: PointerEvent) {
    if (!grabbed) return;
    const svg = (e.currentTarget as SVGElement).ownerSVGElement!;
    const day = Math.min(year.days - 1, scale.day(e.clientX - svg.getBoundingClientRect().left));
    if (day !== grabbed.day) {
      onbirth(grabbed.id, day - grabbed.day);
      grabbed = { ...grabbed, day };
    }
  }
  function nudge(e: KeyboardEvent, id: string) {
    const step = { ArrowLeft: -1, ArrowRight: 1, PageDown: -7, PageUp: 7 }[e.key];
    if (step === undefined) return;
    e.preventDefault();
    if (id !== chosenId) onchoose(id);
    onbirth(id, step);
  }
</script>

<section aria-label="Heads and demand" bind:clientWidth={width}>
  <div class="measures" role="group" aria-label="Demand in">
    <span class="quiet">Demand in</span>
    {#each [['mass', 'dry matter'], ['aud', 'animal unit days'], ['energy', 'energy']] as const as [key, text] (key)}
      <button
        class={['btn', 'plain', measure === key && 'on']}
        aria-pressed={measure === key}
        onclick={() => (measure = key)}>{text}</button
      >
    {/each}
    <span class="quiet said"
      >Drag a birth mark, or move it with the arrow keys: demand and the gap above follow.</span
    >
  </div>
  <svg
    {width}
    height={HEADS}
    role="img"
    aria-label="Heads, group upon group, young above their dams"
    class="block"
  >
    <text x={narrow ? 8 : 20} y="22" class="title">Heads</text>
    <text x={scale.left - 8} y="16" text-anchor="end" class="tick"
      >{Math.round(mostHead / 1.05).toLocaleString('en-US')}</text
    >
    <rect
      x={scale.left}
      y="4"
      width={scale.width - scale.left - scale.right}
      height={HEADS - 4}
      fill="#fff"
    />
    {#each heads as band (band.id)}
      <path d={band.path} fill={band.fill} stroke="#51617a" stroke-width="0.5" />
    {/each}
    {#each young as path, i (i)}
      <path d={path} fill="url(#t-young)" stroke="#51617a" stroke-width="0.5" />
    {/each}
  </svg>
  <svg
    {width}
    height={DEMAND + HANDLES}
    role="group"
    aria-label={summary}
    class="block"
    data-testid="demand"
  >
    <defs>
      <pattern id="t-young" width="5" height="5" patternUnits="userSpaceOnUse">
        <rect width="5" height="5" fill="#fff" />
        <circle cx="2.5" cy="2.5" r="0.9" fill="#51617a" />
      </pattern>
    </defs>
    <text x={narrow ? 8 : 20} y="20" class="title">{narrow ? 'Need' : 'What they ask for'}</text>
    <text x={narrow ? 8 : 20} y="36" class="note">{unit}</text>
    <rect
      x={scale.left}
      y="4"
      width={scale.width - scale.left - scale.right}
      height={DEMAND - 4}
      fill="#fff"
    />
    {#each bands as band (band.id)}
      <path d={band.path} fill={band.fill} stroke="#51617a" stroke-width="0.5" />
    {/each}
    {#if bare}<path
        d={bare}
        fill="url(#t-bare)"
        fill-opacity="0.55"
        stroke="#d6401f"
        stroke-width="0.7"
      />{/if}
    <path d={stepLine(scale, total, y)} fill="none" stroke="#16233a" stroke-width="1.6" />
    {#if ghost}
      <path
        d={stepLine(scale, ghost, y)}
        fill="none"
        stroke="#16233a"
        stroke-width="1"
        stroke-dasharray="4 3"
      />
    {/if}
    {#each ticks as tick (tick.at)}
      <path
        d={`M${scale.left} ${y(tick.at)}H${width - scale.right}`}
        stroke="#c5d0e0"
        stroke-width="0.6"
      />
      <text x={scale.left - 8} y={y(tick.at) + 4} text-anchor="end" class="tick">{tick.text}</text>
    {/each}
    {#each bands as band (band.id)}
      {#if band.spot}
        <text
          x={band.spot.x}
          y={band.spot.y + 4}
          text-anchor="middle"
          class={['label', band.id === chosenId && 'light']}>{band.text}</text
        >
      {/if}
    {/each}
    {#each births as b (b.key)}
      <rect
        x={scale.x(b.from)}
        y={DEMAND + 12}
        width={Math.max(2, scale.x(b.to) - scale.x(b.from))}
        height="5"
        fill={b.id === chosenId ? '#1b3a93' : '#7d8ba3'}
      />
    {/each}
    {#each births as b (b.key)}
      {#if b.moves}
        <path
          d={`M${scale.x(b.day)} 4V${DEMAND + 10}`}
          stroke={b.id === chosenId ? '#1b3a93' : '#7d8ba3'}
          stroke-dasharray="2 3"
        />
        <rect
          role="slider"
          tabindex="0"
          aria-label={`First birth of ${name(b.id)}`}
          aria-valuemin="0"
          aria-valuemax={year.days - 1}
          aria-valuenow={b.day}
          aria-valuetext={shortDay(year.start, b.day)}
          x={scale.x(b.day) - 7}
          y={DEMAND + 5}
          width="14"
          height="19"
          rx="2"
          class={['handle', b.id === chosenId && 'own']}
          onpointerdown={(e) => grab(e, b.id, b.day)}
          onpointermove={drag}
          onpointerup={() => (grabbed = null)}
          onkeydown={(e) => nudge(e, b.id)}
        />
        {#if b.id === chosenId || grabbed?.id === b.id}
          <text x={scale.x(b.day) + 12} y={DEMAND + 33} class="note"
            >first birth {shortDay(year.start, b.day)}</text
          >
        {/if}
      {/if}
    {/each}
    {#if !narrow && births.length}<text x="20" y={DEMAND + 18} class="note">births</text>{/if}
  </svg>
  <p class="quiet fine groups">
    {#each year.groups as g, i (g.id)}<span
        ><svg width="12" height="12" aria-hidden="true"
          ><rect
            width="12"
            height="12"
            stroke="#51617a"
            fill={g.id === chosenId ? '#1b3a93' : TINTS[i % TINTS.length]}
          /></svg
        >{name(g.id)}</span
      >{/each}<span><i class="dots"></i>young of the year</span>
    {#if measure === 'energy' && year.groups.some((g) => !g.hasEnergy)}<span
        >horses left out: the tables hold no energy for them</span
      >{/if}
    {#if measure === 'aud'}<span
        >one animal unit day is {figure(farm.audKg, 'mass', system)}
        {unitOf('mass', system)} of dry matter</span
      >{/if}
  </p>
</section>

<style>
  section {
    background: var(--ground);
    border-bottom: 1px solid var(--line);
    padding-bottom: 0.4rem;
  }
  .measures {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 0.5rem;
    align-items: center;
    padding: 0.4rem 20px;
  }
  .measures .btn {
    min-height: 1.9rem;
    font-size: 13px;
    padding: 0.1rem 0.6rem;
  }
  .on {
    border-color: var(--cobalt);
    background: var(--frost);
  }
  .said {
    margin-left: auto;
    font-size: 13px;
  }
  .groups {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1rem;
    padding: 0 20px;
    margin: 0;
  }
  .groups svg,
  i {
    display: inline-block;
    width: 12px;
    height: 12px;
    margin-right: 5px;
    vertical-align: -1px;
  }
  .dots {
    border: 1px solid #51617a;
    background: radial-gradient(#51617a 20%, #fff 22%) 0 0 / 5px 5px;
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
  .label {
    font-size: 12px;
    font-weight: 600;
    fill: #16233a;
    pointer-events: none;
  }
  .light {
    fill: #fff;
  }
  .handle {
    fill: #fff;
    stroke: #51617a;
    stroke-width: 1.6;
    cursor: ew-resize;
    touch-action: none;
  }
  .own {
    stroke: #1b3a93;
    stroke-width: 2.4;
  }
</style>
