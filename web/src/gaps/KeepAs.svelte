<script lang="ts">
  import { thePlan } from '../plan/context';
  import TextField from '../form/TextField.svelte';

  const open = thePlan();

  /** Keeps what is tried as a plan of its own, beside this one. */
  let {
    suggested,
    onkeep,
  }: { suggested: string; onkeep: (name: string) => Promise<string | null> } = $props();

  let asking = $state(false);
  let name = $state('');
  let busy = $state(false);
  let made = $state<{ id: string; name: string } | null>(null);
  let gone = false;
  $effect(() => () => (gone = true));

  function ask() {
    name = suggested.slice(0, 80);
    made = null;
    asking = true;
  }
  async function keep() {
    busy = true;
    try {
      const id = await onkeep(name.trim());
      if (gone) return;
      made = id ? { id, name: name.trim() } : null;
      asking = false;
    } catch (e) {
      if (!gone) open.error = open.explain(e);
    }
    busy = false;
  }
</script>

{#if asking}
  <form
    onsubmit={(e) => {
      e.preventDefault();
      void keep();
    }}
  >
    <TextField name="plan.name" label="Name of the plan" value={name} oninput={(v) => (name = v)} />
    <button class="btn preset-filled-primary-500" disabled={busy || name.trim() === ''}
      >Keep it</button
    >
    <button class="btn plain" type="button" onclick={() => (asking = false)}>Leave it</button>
  </form>
{:else}
  <button class="btn plain" onclick={ask}>Keep as a plan of its own</button>
{/if}
{#if made}
  <p role="status">
    Kept as {made.name}. <a href={`#/plan/${made.id}`}>Open it</a>; it stands beside this one under
    Plans compared below.
  </p>
{/if}

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: end;
    margin-top: 0.6rem;
  }
</style>
