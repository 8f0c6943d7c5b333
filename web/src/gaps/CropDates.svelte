<script lang="ts">
  import type { Crop, CropSownOn } from '../api/client';
  import { thePlan } from '../plan/context';
  import { shortDate } from '../units/dates';
  import { figure, unitOf } from '../units/units';
  import type { GapWays } from './ways.svelte';

  /** What a crop makes by the day on which it is sown, and what each week costs. */
  let { ways, fieldId, crop }: { ways: GapWays; fieldId: string; crop: Crop } = $props();

  const open = thePlan();
  let dates = $state.raw<CropSownOn[]>([]);
  $effect(() => {
    let gone = false;
    dates = [];
    ways.cropDates(fieldId, crop).then(
      (found) => {
        if (!gone) dates = found;
      },
      (e) => {
        if (!gone) open.error = open.explain(e);
      },
    );
    return () => {
      gone = true;
    };
  });
  const perHa = (v: number) => figure(v, 'massPerArea', open.system);
  const most = $derived(Math.max(1, ...dates.map((d) => d.highKgPerHa)));
  const lost = (i: number) => (i === 0 ? 0 : dates[i - 1].likelyKgPerHa - dates[i].likelyKgPerHa);
</script>

{#if dates.length}
  <table class="ledger" data-testid="crop-dates">
    <thead>
      <tr>
        <th scope="col">Sown on</th>
        <th scope="col" class="number">Low</th>
        <th scope="col" class="number">Likely</th>
        <th scope="col" class="number">High, {unitOf('massPerArea', open.system)}</th>
        <th scope="col" class="bar"><span class="visually-hidden">Drawn</span></th>
        <th scope="col" class="number">That week costs</th>
        <th scope="col" class="number">Fails</th>
      </tr>
    </thead>
    <tbody>
      {#each dates as d, i (d.sowOn)}
        <tr>
          <th scope="row">{shortDate(d.sowOn)}</th>
          <td class="number">{perHa(d.lowKgPerHa)}</td>
          <td class="number"><strong>{perHa(d.likelyKgPerHa)}</strong></td>
          <td class="number">{perHa(d.highKgPerHa)}</td>
          <td class="bar" aria-hidden="true"
            ><span
              class="span"
              style:margin-left={`${(100 * d.lowKgPerHa) / most}%`}
              style:width={`${(100 * (d.highKgPerHa - d.lowKgPerHa)) / most}%`}
            ></span></td
          >
          <td class="number">{lost(i) > 1 ? `-${perHa(lost(i))}` : ''}</td>
          <td class="number">{Math.round(d.failShare * 100)}%</td>
        </tr>
      {/each}
    </tbody>
  </table>
{:else}
  <p role="status">Growing it over simulated years.</p>
{/if}

<style>
  table {
    width: 100%;
  }
  .bar {
    width: 30%;
    min-width: 6rem;
  }
  .span {
    display: block;
    height: 0.5rem;
    min-width: 2px;
    background: var(--cobalt);
  }
</style>
