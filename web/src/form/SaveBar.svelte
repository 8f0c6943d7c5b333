<script lang="ts">
  import { thePlan } from '../plan/context';
  import { ROLES } from '../words/roles';

  const open = thePlan();

  let {
    changed,
    onsave,
    ondiscard,
    onremove = null,
    elsewhere = true,
    what,
  }: {
    changed: boolean;
    /** Told the other plans that are to be changed with this one. */
    onsave: (also: string[]) => void;
    ondiscard: () => void;
    onremove?: ((also: string[]) => void) | null;
    /** Whether the farm's other plans may be changed with this one. */
    elsewhere?: boolean;
    what: string;
  } = $props();

  let chosen = $state<string[]>([]);
  const others = $derived(open.view!.others);
  const also = $derived(chosen.filter((id) => others.some((o) => o.id === id)));

  function choose(id: string, on: boolean) {
    chosen = on ? [...chosen, id] : chosen.filter((c) => c !== id);
  }
</script>

{#if elsewhere && open.mayPlan && others.length}
  <fieldset class="also">
    <legend>Also in</legend>
    {#each others as o (o.id)}
      <label
        ><input
          type="checkbox"
          class="checkbox"
          checked={also.includes(o.id)}
          onchange={(e) => choose(o.id, e.currentTarget.checked)}
        />
        {o.name}</label
      >
    {/each}
  </fieldset>
{/if}
<div>
  {#if open.mayPlan}
    <button
      class="btn preset-filled-primary-500"
      disabled={!changed || open.trialError !== ''}
      onclick={() => onsave(also)}>Save {what}</button
    >
    <button class="btn plain" disabled={!changed} onclick={ondiscard}>Discard</button>
    {#if onremove}<button class="btn plain remove" onclick={() => onremove(also)}
        >Remove {what}</button
      >{/if}
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
{#if open.trialError}<p class="wrong" role="alert" data-testid="refusal">{open.trialError}</p>{/if}

<style>
  div {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: center;
    margin-top: 1rem;
  }
  .also {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1rem;
    align-items: center;
    margin-top: 1rem;
  }
  .also legend {
    float: left;
    font-weight: 600;
  }
  .also label {
    display: flex;
    gap: 0.4rem;
    align-items: center;
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
