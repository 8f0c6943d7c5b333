<script lang="ts">
  import { onMount } from 'svelte';
  import { thePlan } from '../plan/context';
  import { type Conflict } from '../plan/session.svelte';
  import { problemText } from '../words/refusals';
  import Clashes from './Clashes.svelte';

  const open = thePlan();

  let { conflict }: { conflict: Conflict } = $props();
  let dialog: HTMLDialogElement;

  onMount(() => dialog.showModal());

  const against = $derived(conflict.problem.against ?? []);
  const refused = $derived(against.filter((a) => a.refused));
  const clashing = $derived(against.filter((a) => !a.refused));
</script>

<dialog
  bind:this={dialog}
  aria-labelledby="elsewhere-title"
  oncancel={(e) => {
    e.preventDefault();
    void open.dropMine();
  }}
>
  <h2 id="elsewhere-title">In other plans it is otherwise</h2>
  <p>Nothing is saved yet, here or there.</p>
  {#each clashing as a (a.plan)}
    <section>
      <h3>{a.name}</h3>
      <p>Made there too, yours would overwrite this:</p>
      <Clashes
        changed="it is another one there"
        clashes={a.clashes}
        theirs="there"
        whole="it is not there, or was made there"
      />
    </section>
  {/each}
  {#each refused as a (a.plan)}
    <section>
      <h3>{a.name}</h3>
      <p class="wrong">It cannot be made there. {problemText(a.refused!, open.system)}</p>
    </section>
  {/each}
  <div class="acts">
    {#if clashing.length}
      <button class="btn preset-filled-primary-500" onclick={() => open.overThere()}
        >Make it there too{refused.length ? ', where it can be' : ''}</button
      >
    {/if}
    <button class="btn plain" onclick={() => open.notThere()}>Leave those plans as they are</button>
    <button class="btn plain" onclick={() => open.dropMine()}>Save nothing</button>
  </div>
</dialog>

<style>
  section {
    margin-top: 0.75rem;
  }
  .wrong {
    color: var(--bare-dark);
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    margin-top: 1rem;
  }
</style>
