<script lang="ts">
  import type { Deed } from './deed.svelte';
  import { thePlan } from '../plan/context';
  import { conflictText, isConflict } from '../words/conflicts';
  import { ROLES } from '../words/roles';
  import { effectWords } from '../words/year';

  const open = thePlan();

  let {
    label,
    deed,
    ready = true,
    ondone,
  }: { label: string; deed: Deed; ready?: boolean; ondone: () => void } = $props();

  /** What stands in its own way, and what it puts in the way of others. */
  const against = $derived.by(() => {
    if (!open.trial) return [];
    const stood = open.view!.year.conflicts.map((c) => c.code + c.itemId);
    return open.trial.conflicts.filter(
      (c) => c.itemId === deed.itemId || (isConflict(c) && !stood.includes(c.code + c.itemId)),
    );
  });

  async function put() {
    if (await deed.put()) ondone();
  }
</script>

{#if open.trialError}<p class="wrong" role="alert" data-testid="act-refusal">
    {open.trialError}
  </p>{/if}
{#if deed.mates.length}
  <label class="whole"
    ><input
      type="checkbox"
      class="checkbox"
      checked={deed.whole}
      onchange={(e) => deed.onWhole(e.currentTarget.checked)}
    />
    {deed.field.block}, the whole block: also {deed.mates.map((f) => f.name).join(', ')}</label
  >
{/if}
<div>
  <button
    class="btn preset-filled-primary-500"
    disabled={!ready || !open.mayPlan || open.trialError !== ''}
    onclick={put}>{label}</button
  >
  <button class="btn plain" onclick={ondone}>Leave it</button>
  <span class="quiet"
    >{open.mayPlan
      ? 'The year shows it; it is not in the plan yet.'
      : `You are ${ROLES[open.view!.role].one} of this farm: try things out here, nothing is saved.`}</span
  >
</div>
<!-- below the buttons, which so stay under the hand while answers come -->
{#each against as c, i (i)}
  <p class="tells" data-testid="act-conflict">
    {conflictText(c, open.view!.farm, open.year.start, open.system)}
  </p>
{/each}
{#if open.trial}
  <p class="effect" aria-live="polite" data-testid="act-effect">
    {effectWords(open.view!.year, open.trial, open.system)}
  </p>
{/if}

<style>
  div {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: center;
    margin-top: 0.75rem;
  }
  .whole {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    margin-top: 0.75rem;
  }
  .effect {
    margin-top: 0.75rem;
    font-weight: 600;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
    margin-top: 0.75rem;
  }
</style>
