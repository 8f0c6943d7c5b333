<script lang="ts">
  import { untrack } from 'svelte';
  import type { Edit, Field } from '../api/client';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';
  import { amount } from '../units/units';
  import { ROLES } from '../words/roles';
  import { effectWords } from '../words/year';

  const open = thePlan();

  let { field, ondone }: { field: Field; ondone: () => void } = $props();

  let share = $state(0.5);
  let newName = $state(untrack(() => `${field.name} 2`.slice(0, 60)));
  const ids = $derived(open.view!.farm.fields.map((f) => f.id));

  function edit(): Edit {
    const newId = freshId(newName, ids);
    return { partField: { id: field.id, share, newId, newName } };
  }
  const tryOut = () => open.tryOut([edit()]);
  async function put() {
    if (await open.edit([edit()])) ondone();
  }
  untrack(() => void tryOut());
</script>

<div class="input-grid">
  <NumberField
    name="split.share"
    value={share}
    hint={`${amount(field.areaHa * share, 'area', open.system)} of ${amount(field.areaHa, 'area', open.system)}`}
    onchange={(v) => {
      if (v === null) return;
      share = v;
      void tryOut();
    }}
  />
  <TextField name="split.newName" value={newName} oninput={(v) => (newName = v)} />
</div>
<p class="quiet fine">
  {field.outline
    ? 'The line is drawn straight across its length; along a line of your own it is parted on the map.'
    : 'It is not drawn yet, so only the areas are parted.'} Both pieces keep stand, soil and what is planned;
  who grazes one grazes the other.
</p>
{#if open.trialError}<p class="wrong" role="alert">{open.trialError}</p>{/if}
<div class="deeds">
  <button
    class="btn preset-filled-primary-500"
    disabled={!open.mayPlan || open.trialError !== '' || !newName.trim()}
    onclick={put}>Part it</button
  >
  <button class="btn plain" onclick={ondone}>Leave it</button>
  <span class="quiet"
    >{open.mayPlan
      ? 'The year shows it; it is not in the plan yet.'
      : `You are ${ROLES[open.view!.role].one} of this farm: try things out here, nothing is saved.`}</span
  >
</div>
{#if open.trial}
  <p class="effect" aria-live="polite">{effectWords(open.view!.year, open.trial, open.system)}</p>
{/if}

<style>
  .deeds {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: center;
    margin-top: 0.75rem;
  }
</style>
