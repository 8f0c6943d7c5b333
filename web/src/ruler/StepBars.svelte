<script lang="ts">
  import type { Attachment } from 'svelte/attachments';
  import type { FeedStep } from '../api/client';
  import { shortDay } from '../units/dates';
  import { dayDrag } from './drag';
  import type { RulerScale } from './scale';
  import { barsOf, stepMoved } from './steps';

  let {
    steps,
    start,
    scale,
    name,
    textOf,
    chosenId,
    may,
    onchoose,
    onshift,
    onsettle,
    onback,
    ontarget,
  }: {
    steps: FeedStep[];
    /** First day of the plan. */
    start: string;
    scale: RulerScale;
    /** Of the group that is fed so. */
    name: string;
    /** What a step is, in few words. */
    textOf: (step: FeedStep) => string;
    chosenId: string | null;
    may: boolean;
    onchoose: (id: string) => void;
    onshift: (steps: FeedStep[]) => void;
    onsettle: (steps: FeedStep[]) => void;
    onback: () => void;
    /** The step as it is where it is drawn onto something else; null where that is no place for it. */
    ontarget?: (step: FeedStep, under: Element) => FeedStep | null;
  } = $props();

  const ROW = 26;
  const bars = $derived(barsOf(steps, start, scale.days));
  const rows = $derived(Math.max(1, ...bars.map((b) => b.row + 1)));

  function put(moved: FeedStep): FeedStep[] {
    return steps.map((s) => (s.id === moved.id ? moved : s));
  }
  /** The same one for a bar as long as it is there: it is being dragged while its days change. */
  const handles: Record<string, Attachment<SVGElement>> = {};
  function handle(id: string, edge: 'from' | 'to' | 'whole'): Attachment<SVGElement> {
    const key = `${id} ${edge}`;
    const made =
      handles[key] ??
      dayDrag(() => {
        const bar = bars.find((b) => b.step.id === id)!;
        const moved = (day: number) => put(stepMoved(bar, edge, day, start, scale.days));
        return {
          scale,
          day: edge === 'to' ? bar.to : bar.from,
          onmove: (day) => onshift(moved(day)),
          ondrop: (day) => onsettle(moved(day)),
          onto: (under, dropped) => {
            const there = edge === 'whole' ? ontarget?.(bar.step, under) : null;
            if (there) (dropped ? onsettle : onshift)(put(there));
            return !!there;
          },
          onback: () => {
            onchoose(id);
            onback();
          },
        };
      });
    handles[key] = made;
    return made;
  }
  function clipped(text: string, room: number): string {
    const most = Math.floor((room - 16) / 6.4);
    return text.length <= most ? text : most > 4 ? `${text.slice(0, most - 1)}…` : '';
  }
</script>

<svg
  width={scale.width}
  height={rows * ROW + 2}
  class="block"
  role="group"
  aria-label={`${name}, order of feeds`}
>
  <rect
    x={scale.left}
    y="0"
    width={Math.max(0, scale.width - scale.left - scale.right)}
    height={rows * ROW + 2}
    fill="#ffffff"
  />
  <g clip-path={scale.clip}>
    {#each bars as bar, i (bar.step.id)}
      {@const x = scale.x(bar.from)}
      {@const w = Math.max(3, scale.x(bar.to) - scale.x(bar.from))}
      {@const graze = bar.step.kind === 'GRAZE'}
      {@const text = textOf(bar.step)}
      <rect
        {x}
        y={bar.row * ROW + 2}
        width={w}
        height={ROW - 4}
        rx="2"
        fill={graze ? 'url(#t-growing)' : 'url(#t-put-by)'}
        stroke={bar.step.id === chosenId ? '#1b3a93' : graze ? '#2b6e2f' : '#7a3f1c'}
        stroke-width={bar.step.id === chosenId ? 3 : 1}
      />
      <text
        x={Math.max(x, scale.left) + 9}
        y={bar.row * ROW + 17}
        class={['label', graze ? 'light' : 'halo']}
        >{clipped(text, scale.x(bar.to) - Math.max(x, scale.left))}</text
      >
      <rect
        role="button"
        tabindex="0"
        aria-label={`Step ${i + 1}: ${text}`}
        aria-pressed={bar.step.id === chosenId}
        {x}
        y={bar.row * ROW + 2}
        width={w}
        height={ROW - 4}
        class="body"
        onkeydown={(e) => {
          if (e.key !== 'Enter' && e.key !== ' ') return;
          e.preventDefault();
          onchoose(bar.step.id);
        }}
        {@attach may ? handle(bar.step.id, 'whole') : undefined}
      />
      {#if may}
        {#each ['from', 'to'] as const as edge (edge)}
          {@const day = edge === 'from' ? bar.from : bar.to}
          <rect
            role="slider"
            tabindex="0"
            aria-label={`${name}, step ${i + 1} ${edge}`}
            aria-valuemin="0"
            aria-valuemax={scale.days}
            aria-valuenow={day}
            aria-valuetext={shortDay(start, edge === 'from' ? day : day - 1)}
            x={scale.x(day) - (edge === 'from' ? 1 : 7)}
            y={bar.row * ROW + 4}
            width="8"
            height={ROW - 8}
            rx="2"
            class="handle"
            {@attach handle(bar.step.id, edge)}
          />
        {/each}
      {/if}
    {/each}
  </g>
</svg>

<style>
  .label {
    font-size: 12px;
    font-weight: 700;
    fill: #16233a;
    pointer-events: none;
  }
  .light {
    fill: #ffffff;
    paint-order: stroke;
    stroke: #2b6e2f;
    stroke-width: 3px;
  }
  .halo {
    paint-order: stroke;
    stroke: #ffffff;
    stroke-width: 3px;
  }
  .body {
    fill: transparent;
    cursor: grab;
    touch-action: none;
  }
  .handle {
    fill: #ffffff;
    stroke: #1b3a93;
    stroke-width: 1.5;
    cursor: ew-resize;
    touch-action: none;
  }
</style>
