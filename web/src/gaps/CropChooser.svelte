<script lang="ts">
  import { untrack } from 'svelte';
  import type { Crop } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import { thePlan } from '../plan/context';
  import { shortDate } from '../units/dates';
  import { figure, unitOf } from '../units/units';
  import { againstText } from '../words/land';
  import { money, priceUnit } from '../words/prices';
  import type { GapWays } from './ways.svelte';

  const open = thePlan();

  let { ways }: { ways: GapWays } = $props();

  const USES = [
    { id: 'GRAZE', name: 'To graze' },
    { id: 'STORE', name: 'For hay or silage' },
    { id: 'BOTH', name: 'Either' },
  ];
  const PURPOSES: Record<string, string> = {
    autumn_winter_feed: 'autumn and winter feed',
    spring_feed: 'spring feed',
    summer_feed: 'summer feed',
    standing_winter_feed: 'stands into winter',
    hay_or_silage: 'hay or silage',
  };
  const farm = $derived(open.view!.farm);
  const fields = $derived(
    [...farm.fields]
      .sort((a, b) => b.areaHa - a.areaHa)
      .map((f) => ({
        id: f.id,
        name: `${f.name}, ${figure(f.areaHa, 'area', open.system)} ${unitOf('area', open.system)}`,
      })),
  );
  let fieldId = $state(untrack(() => fields[0]?.id ?? ''));
  let use = $state('GRAZE');
  let all = $state(false);
  let found = $state.raw<Crop[]>([]);
  let reading = $state(false);
  let gone = false;
  $effect(() => () => (gone = true));
  $effect(() => {
    void read(fieldId, use);
  });
  async function read(field: string, asked: string) {
    reading = true;
    try {
      const crops = await ways.crops(field, asked);
      if (gone || field !== fieldId || asked !== use) return;
      found = crops;
    } catch (e) {
      if (!gone) open.error = open.explain(e);
    }
    if (!gone) reading = false;
  }
  const shown = $derived(all ? found : found.filter((c) => !c.against.length));
  const left = $derived(found.length - found.filter((c) => !c.against.length).length);
  const name = (id: string) => open.forages.find((f) => f.id === id)?.name ?? id;
  const perHa = (v: number) => figure(v, 'massPerArea', open.system);
  const unit = $derived(priceUnit('usd_per_ha', open.system));
</script>

<div class="asks">
  <Choice label="Field" value={fieldId} options={fields} onchange={(v) => (fieldId = v)} />
  <Choice label="Wanted" value={use} options={USES} onchange={(v) => (use = v)} />
</div>
{#if reading}
  <p role="status">Growing each crop over simulated years.</p>
{:else}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="months-scroll" tabindex="0" role="region" aria-label="Crops">
    <table class="ledger" data-testid="crops">
      <thead>
        <tr>
          <th scope="col">Crop</th>
          <th scope="col">Sown best</th>
          <th scope="col">At the latest</th>
          <th scope="col">First feed</th>
          <th scope="col" class="number"
            >{unitOf('massPerArea', open.system)}: poor, likely, good</th
          >
          <th scope="col" class="number">A week late</th>
          <th scope="col" class="number">Fails</th>
          <th scope="col" class="number">Gain, {unitOf('gain', open.system)}</th>
          <th scope="col" class="number">{farm.currency} {unit.each}</th>
        </tr>
      </thead>
      <tbody>
        {#each shown as c (c.forageId + c.purpose)}
          <tr>
            <th scope="row">
              {#if c.edits.length}
                <button class="btn plain crop" onclick={() => ways.chooseCrop(c)}
                  >{name(c.forageId)}<span class="visually-hidden">, {PURPOSES[c.purpose]}</span
                  ></button
                >
              {:else}{name(c.forageId)}{/if}
              <small class="quiet"
                >{PURPOSES[c.purpose] ?? c.purpose}{c.against.length
                  ? `; ${againstText(c.against)}`
                  : ''}</small
              >
            </th>
            <td class="date">{shortDate(c.bestFrom)} to {shortDate(c.bestTo)}</td>
            <td class="date">{shortDate(c.latest)}</td>
            <td class="date">{shortDate(c.firstUse)}</td>
            <td class="number"
              >{perHa(c.lowKgPerHa)}, <strong>{perHa(c.likelyKgPerHa)}</strong>, {perHa(
                c.highKgPerHa,
              )}</td
            >
            <td class="number"
              >{c.lostAWeekLateKgPerHa < 1 ? '' : `-${perHa(c.lostAWeekLateKgPerHa)}`}</td
            >
            <td class="number">{Math.round(c.failShare * 100)}%</td>
            <td class="number"
              >{c.gainLowKg === null || c.gainHighKg === null
                ? ''
                : `${figure(c.gainLowKg, 'gain', open.system)} to ${figure(c.gainHighKg, 'gain', open.system)}`}</td
            >
            <td class="number">{c.costPerHa === null ? '' : money(c.costPerHa * unit.of)}</td>
          </tr>
        {:else}
          <tr><td colspan="9">No crop fits this place and gap.</td></tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#if left && !all}
    <button class="btn plain" onclick={() => (all = true)}
      >Show {left} that do not fit, and why</button
    >
  {/if}
{/if}
<p class="quiet fine">
  Likely: the middle of twelve simulated years of this climate on the field’s soil, taken each time
  it is ready; poor and good: one season in five each, by the table. A week late: what the middle
  year loses. Gain is that of growing stock. The cost is seed and sowing; fertiliser is not in it.
  Cautions show once a crop is planned; ask for variety, rate and rules locally.
</p>

<style>
  .asks {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 14rem), 1fr));
    gap: 0.75rem;
    margin: 0.4rem 0;
    max-width: 40rem;
  }
  .date {
    white-space: nowrap;
  }
  .crop {
    white-space: normal;
    text-align: left;
    max-width: 16rem;
  }
  small {
    display: block;
    font-weight: 400;
  }
  table {
    width: 100%;
  }
</style>
