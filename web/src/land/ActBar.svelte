<script lang="ts">
  import type { Field } from '../api/client';
  import { thePlan } from '../plan/context';
  import { ROLES } from '../words/roles';
  import { effectWords } from '../words/year';

  const open = thePlan();

  let {
    label,
    ready = true,
    mates = [],
    block = '',
    whole = false,
    onwhole = () => {},
    onput,
    ondone,
  }: {
    label: string;
    ready?: boolean;
    /** The other fields of the block on which the same can be done. */
    mates?: Field[];
    block?: string;
    /** Done on those too. */
    whole?: boolean;
    onwhole?: (on: boolean) => void;
    onput: () => void;
    ondone: () => void;
  } = $props();
</script>

{#if open.trialError}<p class="wrong" role="alert" data-testid="act-refusal">
    {open.trialError}
  </p>{/if}
{#if mates.length}
  <label class="whole"
    ><input
      type="checkbox"
      class="checkbox"
      checked={whole}
      onchange={(e) => onwhole(e.currentTarget.checked)}
    />
    {block}, the whole block: also {mates.map((f) => f.name).join(', ')}</label
  >
{/if}
{#if open.trial}
  <p class="effect" aria-live="polite" data-testid="act-effect">
    {effectWords(open.view!.year, open.trial, open.system)}
  </p>
{/if}
<div>
  <button
    class="btn preset-filled-primary-500"
    disabled={!ready || !open.mayPlan || open.trialError !== ''}
    onclick={onput}>{label}</button
  >
  <button class="btn plain" onclick={ondone}>Leave it</button>
  <span class="quiet"
    >{open.mayPlan
      ? 'The year shows it; it is not in the plan yet.'
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
