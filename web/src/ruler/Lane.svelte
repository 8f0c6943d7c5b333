<script lang="ts">
  import type { Attachment } from 'svelte/attachments';
  import type { Edit, Field, FieldYear, PlanView, YearView } from '../api/client';
  import { shortDay } from '../units/dates';
  import { amount, type System } from '../units/units';
  import { flagged } from '../words/conflicts';
  import { plural } from '../words/year';
  import { dayDrag } from './drag';
  import { marksOf, type Mark } from './marks';
  import { runs, stepBand, type RulerScale } from './scale';

  let {
    field,
    stand,
    dead = false,
    result,
    year,
    plan,
    scale,
    system,
    farmMostKgPerHa,
    at = -1,
    may,
    onshift,
    onsettle,
    onback,
  }: {
    field: Field;
    stand: string;
    /** What stands is residue: nothing of it grows. */
    dead?: boolean;
    result: FieldYear;
    year: YearView;
    /** As it is stored, or as it is being moved. */
    plan: PlanView['plan'];
    scale: RulerScale;
    system: System;
    /** The most that stands on any field: lanes are drawn half as high as that at least. */
    farmMostKgPerHa: number;
    /** The day that is read off, or -1. */
    at?: number;
    /** Whether marks may be taken and moved. */
    may: boolean;
    onshift: (edit: Edit) => void;
    onsettle: (edit: Edit) => void;
    onback: () => void;
  } = $props();

  const HEIGHT = 34;
  const BAR = 5;
  const narrow = $derived(scale.left < 120);
  let held = $state<{ id: string; edge: 'from' | 'to' | 'whole'; day: number } | null>(null);

  const top = $derived(Math.max(1, farmMostKgPerHa / 2, ...result.coverKgPerHa));
  const y = $derived((cover: number) => HEIGHT - 2 - (Math.min(cover, top) / top) * (HEIGHT - 5));
  const netHa = $derived(field.areaHa - (field.deductedHa ?? 0));
  // apart from the year, of which each answer brings a new one
  const days = $derived(year.days);
  const start = $derived(year.start);
  const zero = $derived(new Array<number>(days).fill(0));
  const cover = $derived(stepBand(scale, zero, result.coverKgPerHa, y));
  /** Each sowing with what it stands at and when it may be grazed. */
  const sown = $derived(
    plan.sowings
      .filter((s) => s.fieldId === field.id)
      .flatMap((s) => {
        const outcome = year.sowings.find((o) => o.sowingId === s.id);
        return outcome && outcome.daysLate !== null
          ? [
              {
                id: s.id,
                ready: outcome.readyDay,
                failed: outcome.failed,
                cover: stepBand(scale, zero, outcome.coverKgPerHa, y),
              },
            ]
          : [];
      }),
  );
  const grazed = $derived(runs(days, (d) => result.grazedKg[d] > 0));
  const holds = $derived(
    year.cautions.filter((c) => c.blocks && c.fieldId === field.id && !c.groupId),
  );
  const marks = $derived(marksOf(plan, field.id, start, days));
  const summary = $derived(
    `${field.name}: grown ${amount(result.grownKg / netHa, 'massPerArea', system)}, ` +
      `eaten ${amount(result.eatenKg / netHa, 'massPerArea', system)}, grazed on ${result.grazedKg.filter((k) => k > 0).length} days.`,
  );

  /** What stands beside a mark; nothing where the next one would lie under it. */
  function labelOf(mark: Mark): string {
    if (mark.kind === 'cut') {
      const cut = plan.cuts.find((c) => c.id === mark.id)!;
      const units = year.lots.find((l) => l.id === cut.lot.id)?.units[mark.from] ?? 0;
      return `${shortDay(year.start, mark.from)}, ${units} ${plural('bale', units)}`;
    }
    if (mark.kind === 'sow') {
      const s = sown.find((x) => x.id === mark.id);
      if (s?.failed) return 'sown, fails';
      return s && s.ready >= 0 ? `ready ${shortDay(year.start, s.ready)}` : 'sown';
    }
    if (mark.kind === 'nitrogen') return 'nitrogen';
    if (mark.kind === 'water') return 'watered';
    return `${mark.said} to ${shortDay(year.start, mark.to! - 1)}`;
  }
  /** Labels that keep clear of each other: those that would overlap are left out. */
  const labels = $derived.by(() => {
    let free = -Infinity;
    return marks
      .filter((m) => m.from < scale.to && (m.to ?? m.from + 1) > scale.from)
      .map((m) => ({ mark: m, text: flagged(year.conflicts, m.id) + labelOf(m) }))
      .map(({ mark, text }) => {
        const width = text.length * 6.1 + 8;
        const inside = mark.to !== null && scale.x(mark.to) - scale.x(mark.from) > width + 12;
        const x = inside
          ? (scale.x(mark.from) + scale.x(mark.to!)) / 2
          : scale.x(mark.to ?? mark.from) + 7;
        const left = inside ? x - width / 2 : x;
        const right = left + width;
        const roomy = !inside && right > scale.width - scale.right;
        const start = roomy ? scale.x(mark.from) - 7 - width : left;
        return {
          mark,
          text,
          x: roomy ? scale.x(mark.from) - 7 : x,
          anchor: inside ? 'middle' : roomy ? 'end' : 'start',
          start,
          end: start + width,
        };
      })
      .sort((a, b) => a.start - b.start)
      .filter((l) => {
        if (l.start < free) return false;
        free = l.end;
        return true;
      });
  });

  const EDGES: Record<Mark['kind'], ('from' | 'to' | 'whole')[]> = {
    shut: ['whole', 'from', 'to'],
    pass: ['whole', 'from', 'to'],
    cut: ['from'],
    sow: ['from'],
    nitrogen: ['from'],
    water: ['from'],
  };
  const COLOUR: Record<Mark['kind'], string> = {
    shut: '#16233a',
    pass: '#2b6e2f',
    cut: '#7a3f1c',
    sow: '#1b3a93',
    nitrogen: '#574a87',
    water: '#1b6fa8',
  };

  /** The same one for a mark as long as it is there: it is being dragged while its day changes. */
  const handles: Record<string, Attachment<SVGElement>> = {};
  function handle(
    id: string,
    edge: 'from' | 'to' | 'whole',
    part: 'grip' | 'mark' = 'mark',
  ): Attachment<SVGElement> {
    const key = `${id} ${edge} ${part}`;
    const made =
      handles[key] ??
      dayDrag(() => {
        const mark = marks.find((m) => m.id === id)!;
        return {
          scale,
          day: edge === 'to' ? mark.to! : mark.from,
          onmove: (to) => {
            held = { id, edge, day: to };
            onshift(mark.moved(edge, to));
          },
          ondrop: (to) => {
            held = null;
            onsettle(mark.moved(edge, to));
          },
          onback: () => {
            held = null;
            onback();
          },
        };
      });
    handles[key] = made;
    return made;
  }
  function saidOf(mark: Mark, edge: 'from' | 'to' | 'whole'): string {
    if (mark.to === null) return `${field.name}, ${mark.said} on`;
    if (mark.kind === 'shut') return `${field.name}, ${edge === 'to' ? 'open from' : 'shut from'}`;
    return `${field.name}, ${mark.said} ${edge === 'to' ? 'to' : 'from'}`;
  }
</script>

<svg width={scale.width} height={HEIGHT} class="block" role="group" aria-label={summary}>
  {#if !narrow}
    <text x="20" y="29" class="note">{stand.length > 22 ? `${stand.slice(0, 21)}.` : stand}</text>
    <text x={scale.left - 8} y="15" text-anchor="end" class="area"
      >{amount(netHa, 'area', system)}</text
    >
  {/if}
  <rect
    x={scale.left}
    y="1"
    width={Math.max(0, scale.width - scale.left - scale.right)}
    height={HEIGHT - 3}
    fill="#ffffff"
  />
  <g clip-path={scale.clip}>
    <path d={cover} fill={dead ? 'url(#t-standing)' : '#a9d3a9'} />
    {#each sown as s (s.id)}
      <path d={s.cover} fill="#4c9a4f" fill-opacity="0.75" />
      {#if s.ready >= 0}
        <path
          d={`M${scale.x(s.ready)} 3V${HEIGHT - 2}`}
          stroke="#2b6e2f"
          stroke-width="2"
          stroke-dasharray="3 2"
        />
      {/if}
    {/each}
    <path
      d={`M${scale.left} ${y(result.residualKgPerHa)}H${scale.width - scale.right}`}
      stroke="#2b6e2f"
      stroke-dasharray="2 3"
      stroke-width="0.8"
    />
    {#each grazed as [from, to] (from)}
      <rect
        x={scale.x(from)}
        y={HEIGHT - 2 - BAR}
        width={Math.max(1.2, scale.x(to) - scale.x(from))}
        height={BAR}
        fill="#2b6e2f"
      />
    {/each}
    {#each holds as hold, i (i)}
      <rect
        x={scale.x(hold.fromDay)}
        y="2"
        width={Math.max(2, scale.x(Math.min(hold.toDay, year.days)) - scale.x(hold.fromDay))}
        height={HEIGHT - 5}
        fill="url(#t-held)"
        stroke="#d6401f"
        stroke-dasharray="3 2"
      />
    {/each}
    {#each marks as m (m.id)}
      {#if m.to !== null}
        <rect
          x={scale.x(m.from)}
          y="2"
          width={Math.max(2, scale.x(m.to) - scale.x(m.from))}
          height={HEIGHT - 6}
          fill={m.kind === 'shut' ? 'url(#t-standing)' : 'none'}
          fill-opacity="0.6"
          stroke={COLOUR[m.kind]}
          stroke-dasharray={m.kind === 'pass' ? '4 3' : undefined}
        />
      {:else}
        <path
          d={`M${scale.x(m.from)} 1V${HEIGHT - 2}`}
          stroke={COLOUR[m.kind]}
          stroke-width="2.5"
        />
      {/if}
      {#if may}
        {#each EDGES[m.kind] as edge (edge)}
          {@const day = edge === 'to' ? m.to! : m.from}
          {#if edge === 'whole'}
            <rect
              aria-hidden="true"
              x={scale.x(m.from)}
              y="2"
              width={Math.max(2, scale.x(m.to!) - scale.x(m.from))}
              height={HEIGHT - 6}
              class="body"
              {@attach handle(m.id, edge)}
            />
          {:else}
            <rect
              role="slider"
              tabindex="0"
              aria-label={saidOf(m, edge)}
              aria-valuemin="0"
              aria-valuemax={year.days}
              aria-valuenow={day}
              aria-valuetext={shortDay(year.start, day)}
              x={scale.x(day) - 5}
              y={m.to === null ? 1 : 4}
              width="10"
              height={m.to === null ? 12 : HEIGHT - 10}
              rx="2"
              fill={m.to === null ? '#ffffff' : COLOUR[m.kind]}
              stroke={COLOUR[m.kind]}
              stroke-width="2"
              class="handle"
              {@attach handle(m.id, edge)}
            />
            <!-- what a finger takes: as wide as fingers are, seen by nobody -->
            <rect
              aria-hidden="true"
              x={scale.x(day) - 22}
              y="0"
              width="44"
              height={HEIGHT}
              class="grip"
              {@attach handle(m.id, edge, 'grip')}
            />
          {/if}
        {/each}
      {/if}
    {/each}
    {#each labels as l (l.mark.id)}
      <text x={l.x} y="13" text-anchor={l.anchor as 'start'} class="label">{l.text}</text>
    {/each}
    {#if held}
      <text x={scale.x(held.day) + 9} y="28" class="label moved"
        >{shortDay(year.start, Math.max(0, Math.min(year.days - 1, held.day)))}</text
      >
    {/if}
    {#each holds as hold, i (i)}
      <text x={scale.x(Math.min(hold.toDay, year.days)) + 4} y="24" class="note halo"
        >{narrow ? 'hold' : 'hold, not to be grazed'}</text
      >
    {/each}
    {#if at >= 0}
      <path
        d={`M${scale.x(at + 0.5)} 0V${HEIGHT}`}
        stroke="#1b3a93"
        stroke-dasharray="2 3"
        stroke-width="1.5"
      />
    {/if}
  </g>
</svg>

<style>
  .note {
    font-size: 11px;
    fill: #3d4b63;
  }
  .area {
    font-family: var(--mono);
    font-size: 11px;
    fill: #51617a;
  }
  .label {
    font-size: 11.5px;
    font-weight: 700;
    fill: #16233a;
    paint-order: stroke;
    stroke: #ffffff;
    stroke-width: 3.5px;
    pointer-events: none;
  }
  .moved {
    fill: #1b3a93;
  }
  .halo {
    paint-order: stroke;
    stroke: #ffffff;
    stroke-width: 3px;
    pointer-events: none;
  }
  .handle {
    cursor: ew-resize;
    touch-action: none;
  }
  .grip {
    display: none;
    fill: transparent;
    touch-action: none;
  }
  @media (pointer: coarse) {
    .grip {
      display: block;
    }
  }
  .body {
    fill: transparent;
    cursor: grab;
    touch-action: none;
  }
</style>
