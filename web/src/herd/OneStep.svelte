<script lang="ts">
  import type { FeedStep } from '../api/client';
  import { behind, reordered, type Ties } from './feeding';
  import StepForm from './StepForm.svelte';

  let {
    steps,
    chosenId,
    ties,
    onchange,
    onties,
    onchoose,
  }: {
    /** All of the group, in order. */
    steps: FeedStep[];
    chosenId: string | null;
    ties: Ties;
    onchange: (steps: FeedStep[]) => void;
    onties: (ties: Ties) => void;
    onchoose: (id: string | null) => void;
  } = $props();

  const i = $derived(steps.findIndex((s) => s.id === chosenId));
  const step = $derived(steps[i]);
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
    gap: 0.4rem;
    margin-top: 0.6rem;
  }
</style>
