<script lang="ts">
  import type { FeedStep, GroupCurve, YearView } from '../api/client';
  import { steady } from '../form/steady';
  import { added, feedingEdits, type Ties } from '../herd/feeding';
  import OneStep from '../herd/OneStep.svelte';
  import { thePlan } from '../plan/context';
  import type { RulerScale } from '../ruler/scale';
  import { SHELVES } from '../ruler/shelf';
  import StepBars from '../ruler/StepBars.svelte';
  import { flagged } from '../words/conflicts';
  import { stepText } from '../words/feeds';

  const open = thePlan();

  let { year, scale, at }: { year: YearView; scale: RulerScale; at: number } = $props();

  const HEIGHT = 24;
  const narrow = $derived(scale.left < 120);
  let unfolded = $state<string | null>(null);
  let chosenStep = $state<string | null>(null);
  /** The order of feeds as it is being drawn or typed, before it is saved. */
  let drawn = $state<FeedStep[] | null>(null);
  let ties = $state<Ties>({});
  const farm = $derived(open.view!.farm);
  const plan = $derived(open.view!.plan);
  const groups = $derived(
    farm.groups.flatMap((g) => {
      const curve = year.groups.find((c) => c.id === g.id);
      return curve ? [{ group: g, runs: shelfRuns(curve) }] : [];
    }),
  );
  const steps = $derived(drawn ?? plan.steps.filter((s) => s.groupId === unfolded));

  interface Run {
    from: number;
    to: number;
    shelf: number;
    text: string;
  }

  /** Times over which the same shelf gave most, with the fields they were on. */
  function shelfRuns(curve: GroupCurve): Run[] {
    const found: Run[] = [];
    for (let d = 0; d < year.days; d++) {
      const last = found.at(-1);
      if (last && last.shelf === curve.shelf[d]) last.to = d + 1;
      else found.push({ from: d, to: d + 1, shelf: curve.shelf[d], text: '' });
    }
    return found
      .filter((r) => r.shelf >= 0)
      .map((r) => ({ ...r, text: r.shelf <= 1 ? fieldsOf(curve, r) : SHELVES[r.shelf].name }));
  }
  function fieldsOf(curve: GroupCurve, run: Run): string {
    const on: Record<number, number> = {};
    for (let d = run.from; d < run.to; d++) {
      const f = curve.onField[d];
      if (f >= 0) on[f] = (on[f] ?? 0) + 1;
    }
    const names = Object.entries(on)
      .sort((a, b) => b[1] - a[1])
      .map(([f]) => farm.fields[Number(f)]?.name ?? '');
    return names.join(', ');
  }
  /** As many whole names as fit, and how many more there are. */
  function fitted(text: string, room: number): string {
    const most = Math.floor((room - 10) / 6.3);
    if (text.length <= most) return text;
    const names = text.split(', ');
    let shown = '';
    for (let i = 0; i < names.length; i++) {
      const more = ` and ${names.length - i - 1} more`;
      const next = shown ? `${shown}, ${names[i]}` : names[i];
      if (next.length + more.length > most) break;
      shown = next;
    }
    const left = names.length - (shown ? shown.split(', ').length : 0);
    if (shown) return `${shown} and ${left} more`;
    return most > 9 ? `${names.length} fields` : '';
  }

  function unfold(id: string) {
    leave();
    unfolded = unfolded === id ? null : id;
    chosenStep = null;
  }
  const edits = (next: FeedStep[]) => feedingEdits(unfolded!, next, ties, plan.anchors);
  function shift(next: FeedStep[]) {
    drawn = next;
    void open.tryOut(edits(next));
  }
  async function settle(next: FeedStep[]) {
    drawn = next;
    if (!(await open.edit(edits(next)))) open.dropTrial();
    drawn = null;
    ties = {};
  }
  /** A grazing step on the field or the block that it was drawn onto. */
  function onto(step: FeedStep, under: Element): FeedStep | null {
    const place = under.closest<HTMLElement | SVGElement>('[data-field], [data-block]');
    if (!place || step.kind !== 'GRAZE') return null;
    const { field, block } = place.dataset;
    const ids = field ? [field] : farm.fields.filter((f) => f.block === block).map((f) => f.id);
    return ids.length ? { ...step, sourceIds: ids } : null;
  }
  function leave() {
    if (drawn) open.dropTrial();
    drawn = null;
    ties = {};
  }
  function add(kind: FeedStep['kind']) {
    const made = added(
      steps,
      kind,
      unfolded!,
      plan.steps.map((s) => s.id),
    );
    chosenStep = made.id;
    shift(made.steps);
  }
</script>

<div class="head">
  <h2>Groups</h2>
  <span class="quiet">where they are and what they eat; a name opens the order of their feeds</span>
</div>
{#each groups as { group, runs } (group.id)}
  <div class="row">
    <button
      class="name on-paper"
      style:width={`${scale.left - (narrow ? 10 : 24)}px`}
      aria-expanded={unfolded === group.id}
      onclick={() => unfold(group.id)}
      ><span>{group.name}</span>{#if !narrow}<span class="figure">{group.head}</span>{/if}</button
    >
    <svg
      width={scale.width}
      height={HEIGHT}
      class="block"
      role="img"
      aria-label={`${group.name}, what they eat`}
    >
      <rect
        x={scale.left}
        y="1"
        width={Math.max(0, scale.width - scale.left - scale.right)}
        height={HEIGHT - 3}
        fill="#ffffff"
      />
      <g clip-path={scale.clip}>
        {#each runs as r (r.from)}
          {@const w = scale.x(r.to) - scale.x(r.from)}
          <rect
            x={scale.x(r.from)}
            y="2"
            width={Math.max(1, w)}
            height={HEIGHT - 5}
            fill={SHELVES[r.shelf].fill}
            stroke={SHELVES[r.shelf].stroke}
          />
          {#if w > 40}
            <text
              x={Math.max(scale.x(r.from), scale.left) + 6}
              y="16"
              class={['label', r.shelf === 0 ? 'light' : 'halo', r.shelf === 4 && 'bare']}
              >{fitted(r.text, scale.x(r.to) - Math.max(scale.x(r.from), scale.left))}</text
            >
          {/if}
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
  </div>
  {#if unfolded === group.id}
    <StepBars
      {steps}
      start={year.start}
      {scale}
      name={group.name}
      chosenId={chosenStep}
      may={open.mayPlan}
      textOf={(s) => flagged(year.conflicts, s.id) + stepText(s, farm, plan, open.system)}
      onchoose={(id) => (chosenStep = id)}
      onshift={shift}
      onsettle={settle}
      onback={leave}
      ontarget={onto}
    />
    <div class="under" {@attach steady} style:padding-left={`${narrow ? 10 : scale.left}px`}>
      <OneStep
        {steps}
        chosenId={chosenStep}
        {ties}
        {at}
        onties={(t) => {
          ties = t;
          shift(steps);
        }}
        onchange={shift}
        onchoose={(id) => (chosenStep = id)}
      />
      {#if open.mayPlan}
        {#if drawn}
          <button class="btn preset-filled-primary-500" onclick={() => settle(drawn!)}
            >Save the order of feeds</button
          >
          <button class="btn plain" onclick={leave}>Leave it</button>
        {/if}
        <button class="btn plain" onclick={() => add('GRAZE')}>Add grazing</button>
        <button class="btn plain" onclick={() => add('STORE')}>Add stored feed</button>
      {/if}
      {#if open.trialError}<p class="wrong" role="alert">{open.trialError}</p>{/if}
    </div>
  {/if}
{/each}

<style>
  .head {
    display: flex;
    gap: 0.75rem;
    align-items: baseline;
    padding: 0.6rem 20px 0.25rem;
  }
  h2 {
    font-size: 14px;
  }
  .quiet {
    font-size: 13px;
  }
  .row {
    position: relative;
  }
  .name {
    position: absolute;
    left: 20px;
    top: 0;
    height: 24px;
    display: flex;
    justify-content: space-between;
    gap: 0.5rem;
    font-size: 13px;
    font-weight: 700;
    cursor: pointer;
    overflow: hidden;
    white-space: nowrap;
    text-align: left;
  }
  .name:hover span:first-child {
    color: var(--cobalt);
    text-decoration: underline;
  }
  .figure {
    font-weight: 400;
    font-size: 11px;
    color: var(--quiet);
    line-height: 24px;
  }
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
  .bare {
    fill: #b3330f;
  }
  .under {
    padding: 0.4rem 20px 0.8rem;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
  @media (max-width: 760px) {
    .name {
      left: 8px;
      font-size: 12px;
    }
    .head .quiet {
      display: none;
    }
  }
</style>
