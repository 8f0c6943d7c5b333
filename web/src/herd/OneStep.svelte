<script lang="ts">
  import type { FeedStep } from '../api/client';
  import { thePlan } from '../plan/context';
  import { shortDay } from '../units/dates';
  import { behind, copiedTo, inTwo, reordered, type Ties } from './feeding';
  import Menu from '../form/Menu.svelte';
  import StepForm from './StepForm.svelte';

  const open = thePlan();

  let {
    steps,
    chosenId,
    ties,
    at = -1,
    onchange,
    onties,
    onchoose,
  }: {
    /** All of the group, in order. */
    steps: FeedStep[];
    chosenId: string | null;
    ties: Ties;
    /** The plan day at which it is parted; in its middle where that is none of its own. */
    at?: number;
    onchange: (steps: FeedStep[]) => void;
    onties: (ties: Ties) => void;
    onchoose: (id: string | null) => void;
  } = $props();

  const i = $derived(steps.findIndex((s) => s.id === chosenId));
  const step = $derived(steps[i]);
  const { start } = $derived(open.year);
  const parted = $derived(
    step ? inTwo(steps, step.id, at, open.year, ties, open.view!.plan.anchors) : null,
  );
  const others = $derived(open.view!.farm.groups.filter((g) => g.id !== step?.groupId));
  let copied = $state('');

  async function copy(groupId: string) {
    const name = others.find((g) => g.id === groupId)?.name;
    const stored = open.view!.plan.steps;
    const theirs = stored.filter((s) => s.groupId === groupId);
    const next = copiedTo(
      groupId,
      theirs,
      $state.snapshot(step) as FeedStep,
      [...stored, ...steps].map((s) => s.id),
    );
    if (await open.edit([{ setFeeding: { groupId, steps: next } }])) copied = `Copied to ${name}.`;
  }
</script>

{#if step}
  <div class="step" data-testid="step">
    <StepForm
      {step}
      number={i + 1}
      behind={behind(steps, i)}
      {ties}
      {onties}
      onchange={(change) =>
        onchange(steps.map((s) => (s.id === step.id ? { ...s, ...change } : s)))}
    />
    <div class="buttons">
      <button
        class="btn plain"
        disabled={i === 0}
        onclick={() => onchange(reordered(steps, step.id, -1))}
        >Earlier<span class="visually-hidden"> step {i + 1}</span></button
      >
      <button
        class="btn plain"
        disabled={i === steps.length - 1}
        onclick={() => onchange(reordered(steps, step.id, 1))}
        >Later<span class="visually-hidden"> step {i + 1}</span></button
      >
      <button
        class="btn plain"
        onclick={() => {
          onchange(steps.filter((s) => s.id !== step.id));
          onchoose(null);
        }}>Drop<span class="visually-hidden"> step {i + 1}</span></button
      >
      {#if parted}
        <button
          class="btn plain"
          onclick={() => {
            const made = parted!;
            onties(made.ties);
            onchange(made.steps);
            onchoose(made.id);
          }}>In two at {shortDay(start, parted.day)}</button
        >
      {/if}
      {#if others.length && open.mayPlan}
        <Menu
          label="Copy to"
          said={`Copy step ${i + 1} to another group`}
          offers={others.map((g) => ({ id: g.id, name: g.name }))}
          onchoose={copy}
        />
        {#if copied}<span class="quiet" role="status">{copied}</span>{/if}
      {/if}
    </div>
  </div>
{/if}

<style>
  .step {
    border: 1px solid var(--line);
    border-left: 4px solid var(--cobalt);
    padding: 0.6rem 0.8rem;
    margin: 0.5rem 0;
    background: var(--panel);
  }
  .buttons {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.4rem;
    margin-top: 0.6rem;
  }
</style>
