<script lang="ts">
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import ChevronUp from '@lucide/svelte/icons/chevron-up';
  import { thePlan } from './context';
  import { effectWords, verdict } from '../words/year';
  import Ruler from '../ruler/Ruler.svelte';
  import { rulerScale } from '../ruler/scale';
  import Shelves from '../ruler/Shelves.svelte';
  import ShelfStrip from '../ruler/ShelfStrip.svelte';

  const open = thePlan();

  let { unfolded = false }: { unfolded?: boolean } = $props();

  let width = $state(1280);
  let stripWidth = $state(400);
  // as the screen asks at first; the keeper folds and unfolds it from then on
  // svelte-ignore state_referenced_locally
  let whole = $state(unfolded);
  const year = $derived(open.year);
  const scale = $derived(rulerScale(width, year.days, width < 700 ? 92 : 184));
  const said = $derived(verdict(year, open.system));
</script>

<section aria-label="The year">
  <div class="line">
    <div class="said" aria-live="polite">
      <strong data-testid="verdict">{said.headline}</strong>
      {#if open.trial}
        <span data-testid="effect">{effectWords(open.view!.year, open.trial, open.system)}</span>
      {:else}
        <span class="quiet">{said.detail}</span>
      {/if}
    </div>
    {#if !whole}
      <div class="strip" bind:clientWidth={stripWidth}>
        <ShelfStrip {year} width={stripWidth} />
      </div>
    {/if}
    <button
      class="fold"
      aria-expanded={whole}
      aria-label={whole ? 'Fold the year' : 'Unfold the year'}
      title={whole ? 'Fold the year' : 'Unfold the year'}
      onclick={() => (whole = !whole)}
      >{#if whole}<ChevronUp size={20} aria-hidden="true" />{:else}<ChevronDown
          size={20}
          aria-hidden="true"
        />{/if}</button
    >
  </div>
  {#if whole}
    <div bind:clientWidth={width}>
      <Ruler {year} {scale} />
      <Shelves
        {year}
        ghost={open.trial ? open.ghost : null}
        {scale}
        system={open.system}
        height={132}
      />
    </div>
  {/if}
</section>

<style>
  section {
    border-bottom: 1px solid var(--line);
    background: var(--ground);
    position: sticky;
    top: 0;
    z-index: 3;
  }
  .line {
    display: grid;
    grid-template-columns: auto minmax(8rem, 1fr) auto;
    gap: 0.2rem 1rem;
    align-items: center;
    padding: 0.4rem 20px;
  }
  .line:not(:has(.strip)) {
    grid-template-columns: 1fr auto;
  }
  .said {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1rem;
    align-items: baseline;
    min-width: 0;
    max-width: 46rem;
  }
  .said > span {
    font-size: 14px;
  }
  strong {
    font-size: 1.1rem;
  }
  .fold {
    min-width: 2.25rem;
    min-height: 2.25rem;
    display: grid;
    place-items: center;
    cursor: pointer;
  }
  .fold:hover {
    background: var(--frost);
  }
  @media (max-width: 760px) {
    .line {
      grid-template-columns: minmax(0, 1fr) auto;
      padding: 0.3rem 10px;
    }
    .strip {
      grid-row: 2;
      grid-column: 1 / -1;
    }
    .said > .quiet {
      display: none;
    }
    .fold {
      min-width: 44px;
      min-height: 44px;
    }
  }
</style>
