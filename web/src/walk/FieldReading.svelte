<script lang="ts">
  import type { FieldToWalk, ReadingLine, SwardSign, Walk } from '../api/client';
  import { thePlan } from '../plan/context';
  import { heldText } from '../words/seen';
  import { expectedText, youngText } from '../words/walk';
  import CoverReading from './CoverReading.svelte';
  import SeenForm from './SeenForm.svelte';
  import StakeForm from './StakeForm.svelte';
  import StemCheck from './StemCheck.svelte';
  import Ways from './Ways.svelte';

  const open = thePlan();

  let {
    field,
    place,
    walk,
    signs,
    readings,
    alone,
    onkept,
    onback,
  }: {
    field: FieldToWalk;
    place: string;
    walk: Walk;
    /** What is to be looked at here. */
    signs: SwardSign[];
    /** Of this field. */
    readings: ReadingLine[];
    /** Nothing else is on the screen. */
    alone: boolean;
    onkept: () => void;
    onback: () => void;
  } = $props();

  type Task = 'cover' | 'stems' | 'stake' | 'seen';
  let task = $state<Task>('cover');

  const here = <T extends { fieldId: string }>(all: T[]) =>
    all.filter((one) => one.fieldId === field.fieldId);
  const young = $derived(here(walk.young).at(0));
  const grain = $derived(here(walk.grains).at(0));
  const held = $derived(here(walk.held).at(0));
  const tasks = $derived<{ id: Task; name: string }[]>([
    { id: 'cover', name: 'Reading' },
    ...(grain ? [{ id: 'stems' as const, name: 'Stems' }] : []),
    { id: 'stake', name: 'Stake' },
    { id: 'seen', name: 'Besides' },
  ]);
  const name = $derived(open.view!.farm.fields.find((f) => f.id === field.fieldId)!.name);
</script>

<section class="panel reading" aria-labelledby="reading-title" data-testid="field-reading">
  <header>
    <svelte:element this={alone ? 'h1' : 'h2'} id="reading-title"
      >{name} <span class="quiet">{place}</span></svelte:element
    >
    <button class="btn plain tall" onclick={onback}>To the round</button>
  </header>
  <p class="quiet">{expectedText(field, open.system)}</p>
  {#if young}<p data-testid="young-rule">{youngText(young, open.system)}</p>{/if}
  {#if held}<p class="wrong">{heldText(held)}</p>{/if}
  <Ways label="What is done here" options={tasks} value={task} onchange={(v) => (task = v)} />
  {#if task === 'stems' && grain}
    <StemCheck {field} {grain} {walk} onkept={() => (task = 'cover')} />
  {:else if task === 'stake'}
    <StakeForm fieldId={field.fieldId} on={walk.on} stakes={here(walk.stakes)} />
  {:else if task === 'seen'}
    <SeenForm fieldId={field.fieldId} on={walk.on} {held} weeds={walk.weeds} />
  {:else}
    <CoverReading {field} {walk} {readings} {signs} {onkept} />
  {/if}
</section>

<style>
  .reading {
    display: grid;
    gap: 0.7rem;
    padding: 0.9rem 1rem;
    min-width: 0;
  }
  h1 {
    font-size: 1.1rem;
  }
  header {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
  }
  .tall {
    min-height: 44px;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
