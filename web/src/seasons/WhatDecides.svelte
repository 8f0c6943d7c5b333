<script lang="ts">
  import type { ThousandResult } from '../api/client';
  import { thePlan } from '../plan/context';
  import { decidesName, decidesWords } from '../words/signs';
  import { money } from '../words/prices';

  let { result, holdCost }: { result: ThousandResult; holdCost: number | null } = $props();
  const open = thePlan();
  const MOST = 6;
  const shown = $derived(result.decides.slice(0, MOST));
  const most = $derived(Math.max(1, ...shown.map((d) => Math.abs(d.kg))));
</script>

<section aria-labelledby="decides-title">
  <h2 id="decides-title">What decides it</h2>
  {#if shown.length}
    <table>
      <thead class="sr-only"
        ><tr><th>What</th><th>Weight</th><th>More of it, or later, leaves</th></tr></thead
      >
      <tbody>
        {#each shown as d, i (i)}
          <tr>
            <th scope="row">{decidesName(d, open.view!.year.start)}</th>
            <td class="bar"
              ><span style:width={`${(100 * Math.abs(d.kg)) / most}%`} class:less={d.kg < 0}
              ></span></td
            >
            <td class="number">{decidesWords(d, open.system)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="quiet fine">
      Feed at the end of the plan, less what was missing: the third of the years with most of it
      beside the third with least.
    </p>
  {:else}
    <p>Nothing in the weather makes more than half a day’s feed here.</p>
  {/if}
  {#if holdCost}
    <p class="fine">
      Hay a tenth dearer: {open.view!.farm.currency}
      {money(holdCost / 10)} on what is to be held.
    </p>
  {/if}
</section>

<style>
  h2 {
    font-size: 1.05rem;
  }
  table {
    width: 100%;
  }
  th {
    font-weight: 400;
    color: var(--ink);
    padding-right: 0.5rem;
  }
  .bar {
    width: 38%;
    min-width: 4rem;
  }
  .bar span {
    display: block;
    height: 0.8rem;
    background: #8ba1d4;
  }
  .bar .less {
    background: var(--standing);
  }
  td.number {
    padding-left: 0.5rem;
  }
</style>
