<script lang="ts">
  import { onMount } from 'svelte';
  import { KEYS, setSingle, single } from './keys.svelte';

  let { onclose }: { onclose: () => void } = $props();
  let dialog: HTMLDialogElement;

  onMount(() => dialog.showModal());
</script>

<dialog bind:this={dialog} aria-labelledby="keys-title" {onclose}>
  <h2 id="keys-title">Keys</h2>
  <dl>
    {#each KEYS as key (key.keys)}
      <dt>{key.keys}</dt>
      <dd>{key.what}</dd>
    {/each}
  </dl>
  <label
    ><input
      type="checkbox"
      class="checkbox"
      checked={single.on}
      onchange={(e) => setSingle(e.currentTarget.checked)}
    /> Single letters and ? work outside of inputs</label
  >
  <button class="btn plain" onclick={() => dialog.close()}>Close</button>
</dialog>

<style>
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 0.3rem 1.5rem;
    margin: 0.75rem 0;
  }
  dt {
    font-family: var(--mono);
    font-weight: 600;
  }
  label {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    margin-bottom: 0.75rem;
  }
</style>
