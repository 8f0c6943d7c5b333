<script lang="ts">
  import { asked, teller } from '../plan/address';
  import { thePlan } from '../plan/context';
  import Bales from './Bales.svelte';
  import Breaks from './Breaks.svelte';

  const open = thePlan();
  const tell = teller();

  const WAYS = [
    { id: 'bales', name: 'Bales set out' },
    { id: 'breaks', name: 'Fed off in breaks' },
  ];
  const { bales, breaks } = open.view!.plan;
  const first = !bales.length && breaks.length ? 'breaks' : 'bales';
  /** The address says it, so that a link leads to either also from here. */
  const way = $derived(asked('way') ?? first);
</script>

<div class="ways no-print" role="group" aria-label="Winter feeding">
  {#each WAYS as w (w.id)}
    <button class="btn plain" aria-pressed={way === w.id} onclick={() => tell({ way: w.id })}
      >{w.name}</button
    >
  {/each}
</div>
{#if way === 'breaks'}<Breaks />{:else}<Bales />{/if}

<style>
  .ways {
    display: flex;
    gap: 0.5rem;
    padding: 0.7rem 20px 0;
  }
  .ways button {
    min-height: 44px;
  }
  .ways [aria-pressed='true'] {
    background: var(--frost);
    border-bottom: 3px solid var(--cobalt);
  }
  @media (max-width: 760px) {
    .ways {
      padding: 0.6rem 12px 0;
    }
  }
</style>
