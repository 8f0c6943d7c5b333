<script lang="ts">
  import type { FeedStep } from '../api/client';
  import { thePlan } from '../plan/context';
  import MonthAxis from '../ruler/MonthAxis.svelte';
  import { rulerScale } from '../ruler/scale';
  import StepBars from '../ruler/StepBars.svelte';
  import { flagged } from '../words/conflicts';
  import { stepText } from '../words/feeds';
  import { added, type Ties } from './feeding';
  import OneStep from './OneStep.svelte';

  const open = thePlan();

  let {
    groupId,
    name,
    steps,
    ties,
    onchange,
    onties,
  }: {
    groupId: string;
    name: string;
    steps: FeedStep[];
    ties: Ties;
    onchange: (steps: FeedStep[]) => void;
    onties: (ties: Ties) => void;
  } = $props();

  let width = $state(800);
  let chosenId = $state<string | null>(null);
  /** What stood before an end was taken: Escape gives it back. */
  let before: FeedStep[] | null = null;
  const view = $derived(open.view!);
  const scale = $derived(rulerScale(width, open.year.days, 4, 4));

  function add(kind: FeedStep['kind']) {
    const taken = [...view.plan.steps, ...steps].map((s) => s.id);
    const made = added(steps, kind, groupId, taken);
    chosenId = made.id;
    onchange(made.steps);
  }
</script>

<section aria-label="Order of feeds">
  <p class="quiet fine">
    Each day the highest bar that is open feeds the group, then the one below it, until its need is
    met. What is said as exactly or at least so much is given before anything else. Draw an end or a
    bar along the year; choose one to change it.
  </p>
  <div class="bars" bind:clientWidth={width}>
    <MonthAxis year={open.year} {scale} />
    <StepBars
      {steps}
      start={open.year.start}
      {scale}
      {name}
      {chosenId}
      may
      textOf={(s) =>
        flagged(open.year.conflicts, s.id) + stepText(s, view.farm, view.plan, open.system)}
      onchoose={(id) => (chosenId = id)}
      onshift={(next) => {
        before ??= $state.snapshot(steps) as FeedStep[];
        onchange(next);
      }}
      onsettle={(next) => {
        before = null;
        onchange(next);
      }}
      onback={() => {
        if (before) onchange(before);
        before = null;
      }}
    />
  </div>
  <OneStep {steps} {chosenId} {ties} {onchange} {onties} onchoose={(id) => (chosenId = id)} />
  <button class="btn plain" onclick={() => add('GRAZE')}>Add grazing</button>
  <button class="btn plain" onclick={() => add('STORE')}>Add stored feed</button>
</section>

<style>
  .bars {
    margin: 0.5rem 0;
    border: 1px solid var(--line);
    overflow: hidden;
  }
</style>
