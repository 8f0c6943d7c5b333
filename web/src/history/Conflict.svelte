<script lang="ts">
  import { onMount } from 'svelte';
  import { thePlan } from '../plan/context';
  import { type Conflict } from '../plan/session.svelte';
  import Clashes from './Clashes.svelte';
  import { toldText } from './told';

  const open = thePlan();

  let { conflict }: { conflict: Conflict } = $props();
  let dialog: HTMLDialogElement;

  onMount(() => dialog.showModal());

  const since = $derived(conflict.problem.since ?? []);
  /** The server tells the newest only. */
  const earlier = $derived(since.length ? since[0].number - 1 - conflict.request.revision : 0);
  const clashes = $derived(conflict.problem.clashes ?? []);
</script>

<dialog
  bind:this={dialog}
  aria-labelledby="conflict-title"
  oncancel={(e) => {
    e.preventDefault();
    void open.dropMine();
  }}
>
  <h2 id="conflict-title">Somebody changed the plan meanwhile</h2>
  <ul data-testid="since">
    {#if earlier > 0}<li>{earlier} earlier changes, see Changes</li>{/if}
    {#each since as r (r.number)}
      <li><strong>{r.who || 'Somebody'}</strong>: {toldText(r.told, open.system)}</li>
    {/each}
  </ul>
  {#if clashes.length === 0}
    <p>Your change touches nothing of theirs. Put on top, both are kept.</p>
  {:else}
    <p>Put on top, yours would overwrite this of theirs:</p>
    <Clashes
      changed="they changed or made it"
      {clashes}
      theirs="theirs"
      whole="they removed or made it"
    />
  {/if}
  <div class="acts">
    <button class="btn preset-filled-primary-500" onclick={() => open.putOnTop()}
      >Put mine on top</button
    >
    <button class="btn plain" onclick={() => open.dropMine()}>Drop mine, show theirs</button>
  </div>
</dialog>

<style>
  li {
    padding: 0.25rem 0;
    border-bottom: 1px solid var(--line);
  }
  p {
    margin: 0.75rem 0 0.25rem;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    margin-top: 1rem;
  }
</style>
