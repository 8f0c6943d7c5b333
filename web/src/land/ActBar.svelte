<script lang="ts">
  import { thePlan } from '../plan/context';
  import { ROLES } from '../words/roles';

  const open = thePlan();

  let {
    label,
    ready = true,
    onput,
    ondone,
  }: { label: string; ready?: boolean; onput: () => void; ondone: () => void } = $props();
</script>

{#if open.trialError}<p class="wrong" role="alert" data-testid="act-refusal">
    {open.trialError}
  </p>{/if}
<div>
  <button
    class="btn preset-filled-primary-500"
    disabled={!ready || !open.mayPlan || open.trialError !== ''}
    onclick={onput}>{label}</button
  >
  <button class="btn plain" onclick={ondone}>Leave it</button>
  <span class="quiet"
    >{open.mayPlan
      ? 'The year above shows it; it is not in the plan yet.'
      : `You are ${ROLES[open.view!.role].one} of this farm: try things out here, nothing is saved.`}</span
  >
</div>

<style>
  div {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: center;
    margin-top: 0.75rem;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
    margin-top: 0.75rem;
  }
</style>
