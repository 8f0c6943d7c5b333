<script lang="ts">
  import { open } from '../plan.svelte';
  import { ROLES } from '../words/roles';

  let {
    changed,
    onsave,
    ondiscard,
    onremove = null,
    what,
  }: {
    changed: boolean;
    onsave: () => void;
    ondiscard: () => void;
    onremove?: (() => void) | null;
    what: string;
  } = $props();
</script>

{#if open.trialError}<p class="wrong" role="alert" data-testid="refusal">{open.trialError}</p>{/if}
<div>
  {#if open.mayPlan}
    <button
      class="btn preset-filled-primary-500"
      disabled={!changed || open.trialError !== ''}
      onclick={onsave}>Save {what}</button
    >
    <button class="btn plain" disabled={!changed} onclick={ondiscard}>Discard</button>
    {#if onremove}<button class="btn plain remove" onclick={onremove}>Remove {what}</button>{/if}
    <span class="quiet"
      >{changed ? 'The year above shows this change; it is not saved yet.' : 'Saved.'}</span
    >
  {:else}
    <button class="btn plain" disabled={!changed} onclick={ondiscard}>Put it back</button>
    <span class="quiet"
      >You are {ROLES[open.view!.role].one} of this farm: try things out here, nothing is saved.</span
    >
  {/if}
</div>

<style>
  div {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: center;
    margin-top: 1rem;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
    margin-top: 0.75rem;
  }
  .remove {
    color: var(--bare-dark);
  }
</style>
