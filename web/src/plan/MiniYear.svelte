<script lang="ts">
  import { thePlan } from './context';
  import { amount } from '../units/units';
  import { storeGaps, verdict } from '../words/year';
  import Ruler from '../ruler/Ruler.svelte';
  import { rulerScale } from '../ruler/scale';
  import Shelves from '../ruler/Shelves.svelte';

  const open = thePlan();

  let width = $state(1280);
  const year = $derived(open.year);
  const scale = $derived(rulerScale(width, year.days, width < 700 ? 92 : 184));
  const said = $derived(verdict(year, open.system));
  const bareDays = (y: typeof year) => storeGaps(y).reduce((n, g) => n + g.shortDays, 0);
</script>

<section aria-label="The year">
  <div class="said" aria-live="polite">
    <strong data-testid="verdict">{said.headline}</strong>
    {#if open.trial}
      <span data-testid="effect"
        >Bare days {bareDays(open.view!.year)} now, {bareDays(open.trial)} with this; bare {amount(
          open.view!.year.total.bareKg,
          'bulk',
          open.system,
        )} now, {amount(open.trial.total.bareKg, 'bulk', open.system)} with this.</span
      >
    {:else}
      <span class="quiet">{said.detail}</span>
    {/if}
  </div>
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
</section>

<style>
  section {
    border-bottom: 1px solid var(--line);
    background: var(--ground);
  }
  .said {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1.5rem;
    align-items: baseline;
    padding: 0.6rem 20px;
  }
  strong {
    font-size: 1.1rem;
  }
</style>
