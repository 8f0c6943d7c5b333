<script lang="ts">
  import { onMount } from 'svelte';
  import type { Field } from '../api/client';
  import { thePlan } from '../plan/context';
  import type { Doing } from './acts';
  import CutForm from './CutForm.svelte';
  import DressForm from './DressForm.svelte';
  import LetGrowForm from './LetGrowForm.svelte';
  import PartForm from './PartForm.svelte';
  import PassForm from './PassForm.svelte';
  import ShutForm from './ShutForm.svelte';
  import SowForm from './SowForm.svelte';

  const open = thePlan();

  let { field, doing, ondone }: { field: Field; doing: Doing; ondone: () => void } = $props();

  const TITLES = {
    shut: 'Shut for stockpile',
    cut: 'Cut for hay, haylage or silage',
    sow: 'Sow a crop',
    nitrogen: 'Nitrogen',
    water: 'Water',
    pass: 'Passes for light',
    part: 'Part it in two',
    grow: 'Let it grow: for what, and for whom',
  };
  let panel: HTMLElement;
  const asked = $derived({
    field,
    day: doing.day,
    changeId: doing.change?.id ?? null,
    ondone,
  });

  onMount(() => {
    panel.focus();
    panel.scrollIntoView({ block: 'nearest' });
    return () => open.endTrial();
  });
  function key(e: KeyboardEvent) {
    if (e.key === 'Escape' && !e.defaultPrevented) ondone();
  }
</script>

<!-- Escape leaves it, as it leaves a dialog -->
<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<section bind:this={panel} tabindex="-1" aria-label={TITLES[doing.act]} onkeydown={key}>
  <h3>{TITLES[doing.act]}, {field.name}</h3>
  {#if doing.act === 'shut'}<ShutForm {...asked} />
  {:else if doing.act === 'cut'}<CutForm {...asked} />
  {:else if doing.act === 'sow'}<SowForm {...asked} />
  {:else if doing.act === 'pass'}<PassForm {...asked} />
  {:else if doing.act === 'part'}<PartForm {field} {ondone} />
  {:else if doing.act === 'grow'}<LetGrowForm {field} day={doing.day} {ondone} />
  {:else}<DressForm {...asked} kind={doing.act} />{/if}
</section>

<style>
  section {
    border: 2px solid var(--cobalt);
    background: var(--panel);
    padding: 0.75rem 1rem;
    margin-bottom: 1rem;
    scroll-margin-top: 5rem;
  }
  section:focus {
    outline: none;
  }
  h3 {
    font-size: 1.05rem;
  }
</style>
