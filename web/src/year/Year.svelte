<script lang="ts">
  import { onDestroy } from 'svelte';
  import type { Gap } from '../api/client';
  import CloseGap from '../gaps/CloseGap.svelte';
  import { thePlan } from '../plan/context';
  import Lanes from './Lanes.svelte';
  import Ruler from '../ruler/Ruler.svelte';
  import { rulerScale } from '../ruler/scale';
  import Shelves from '../ruler/Shelves.svelte';
  import StoreLevel from '../ruler/StoreLevel.svelte';
  import { inSeasonWords, seasonOptions } from '../seasons/names';
  import { storeGaps, verdict } from '../words/year';
  import Cautions from './Cautions.svelte';
  import Gaps from '../gaps/Gaps.svelte';
  import Ledger from '../papers/Ledger.svelte';
  import Planned from '../plan/Planned.svelte';

  const open = thePlan();

  let width = $state(1280);
  let shown = $state<'picture' | 'ledger'>('picture');
  let closing = $state(false);
  /** The first day of the gap that is being closed: it says which, as others come and go. */
  let closingFrom = $state(-1);
  onDestroy(open.shows(['FIELDS']));
  const year = $derived(open.year);
  const said = $derived(verdict(year, open.system));
  const scale = $derived(rulerScale(width, year.days, width < 700 ? 92 : 184));
  const season = $derived(
    inSeasonWords(open.season, seasonOptions(open.view!.plan, open.records, open.season)),
  );
  const gapIndex = $derived(year.gaps.indexOf(storeGaps(year)[0]));

  function startClosing(gap?: Gap) {
    closingFrom = (gap ?? storeGaps(year)[0])?.firstDay ?? -1;
    closing = true;
    window.scrollTo({ top: 0 });
  }
</script>

<section class="verdict" aria-live="polite">
  <div>
    {#if season}<p class="season" data-testid="verdict-season">{season}:</p>{/if}
    <h1 data-testid="verdict" class:welfare={said.welfare}>{said.headline}</h1>
    <p class="quiet" data-testid="verdict-detail">{said.detail}</p>
  </div>
  {#if open.view!.farm.groups.length === 0 && open.mayPlan}
    <a class="btn preset-filled-primary-500" href={`#/plan/${open.view!.id}/start`}
      >Get a first answer</a
    >
  {/if}
  {#if gapIndex >= 0 && !closing && open.mayPlan}
    <button class="btn preset-filled-primary-500" onclick={() => startClosing()}
      >Close this gap</button
    >
  {/if}
</section>

{#if closing}
  {#key closingFrom}
    <CloseGap from={closingFrom} ondone={() => (closing = false)} />
  {/key}
{/if}

<div class="views" role="group" aria-label="View">
  <button class="btn plain" aria-pressed={shown === 'picture'} onclick={() => (shown = 'picture')}
    >Picture</button
  >
  <button class="btn plain" aria-pressed={shown === 'ledger'} onclick={() => (shown = 'ledger')}
    >Ledger</button
  >
  {#if open.ghost && shown === 'picture'}
    <span class="quiet"
      >Dashed: fed {open.trial ? 'as the plan stands' : 'before the last change'}</span
    >
  {/if}
</div>

{#if shown === 'picture'}
  <div bind:clientWidth={width} class="picture">
    <div class="sticky"><Ruler {year} {scale} /></div>
    <Shelves {year} ghost={open.ghost} {scale} system={open.system} />
    <Lanes {year} {scale} />
    <StoreLevel {year} {scale} system={open.system} />
  </div>
{:else}
  <Ledger {year} system={open.system} />
{/if}

<div class="below">
  <Gaps {year} onclose={startClosing} />
  <div>
    <Planned />
    <Cautions {year} />
  </div>
</div>

<style>
  .verdict {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 0.75rem 2rem;
    padding: 0.9rem 20px 0.6rem;
  }
  .welfare {
    font-size: clamp(1.6rem, 3.4vw, 2.4rem);
    color: var(--bare);
  }
  .season {
    font-weight: 700;
    color: var(--cobalt);
  }
  .views {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.5rem;
    padding: 0 20px 0.5rem;
  }
  .views [aria-pressed='true'] {
    background: var(--cobalt);
    color: #ffffff;
  }
  .picture {
    overflow-x: clip;
  }
  .sticky {
    position: sticky;
    top: 0;
    z-index: 2;
    background: var(--ground);
    border-top: 1px solid var(--line);
  }
  .below {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 26rem), 1fr));
    gap: 1rem;
    padding: 1rem 20px 2rem;
  }
</style>
