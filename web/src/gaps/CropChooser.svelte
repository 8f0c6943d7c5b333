<script lang="ts">
  import { untrack } from 'svelte';
  import type { Crop } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { thePlan } from '../plan/context';
  import { shortDate } from '../units/dates';
  import { amount, figure, unitOf } from '../units/units';
  import { againstText } from '../words/land';
  import { money, priceUnit } from '../words/prices';
  import CropDates from './CropDates.svelte';
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
  /** What a crop can do to stock, and what it is called. */
  const RISKS: Record<Crop['risks'][number], string> = {
    CYANIDE: 'cyanide after frost, drought and in young growth',
    NITRATE: 'nitrate',
    BLOAT: 'bloat',
    BRASSICA: 'too much brassica',
    GRAIN: 'grain overload',
  };
  const NAMED = Object.keys(RISKS) as Crop['risks'];
  let shun = $state<Crop['risks']>([]);
  const there = $derived(NAMED.filter((r) => found.some((c) => c.risks.includes(r))));
  let atMost = $state<number | null>(null);
  let onlyAtHand = $state(false);
  const anyAtHand = $derived(farm.seeds.length > 0);
  const wanted = (c: Crop) =>
    (!onlyAtHand || c.atHandHa > 0) &&
    !c.risks.some((r) => shun.includes(r)) &&
    (atMost === null || (c.costPerHa !== null && c.costPerHa * unit.of <= atMost));
  let dated = $state('');
  const key = (c: Crop) => c.forageId + c.purpose;
  const shown = $derived(found.filter((c) => wanted(c) && (all || !c.against.length)));
  const unit = $derived(priceUnit('usd_per_ha', open.system));
  const left = $derived(found.length - found.filter((c) => !c.against.length).length);
  const name = (id: string) => open.forages.find((f) => f.id === id)?.name ?? id;
  const perHa = (v: number) => figure(v, 'massPerArea', open.system);
</script>

<div class="asks">
  <Choice label="Field" value={fieldId} options={fields} onchange={(v) => (fieldId = v)} />
  <Choice label="Wanted" value={use} options={USES} onchange={(v) => (use = v)} />
  <NumberField
    label={`Seed and sowing at most, ${farm.currency} ${unit.each}`}
    quantity="plain"
    optional
    value={atMost}
    onchange={(v) => (atMost = v)}
  />
</div>
{#if anyAtHand}
  <label class="hand"
    ><input type="checkbox" class="checkbox" bind:checked={onlyAtHand} /> Only what there is seed of in
    the shed</label
  >
{/if}
{#if there.length}
  <fieldset class="shun">
    <legend>Leave out crops that can bring</legend>
    {#each there as r (r)}
      <label
        ><input
          type="checkbox"
          class="checkbox"
          checked={shun.includes(r)}
          onchange={(e) =>
            (shun = e.currentTarget.checked ? [...shun, r] : shun.filter((x) => x !== r))}
        />
        {RISKS[r]}</label
      >
    {/each}
  </fieldset>
{/if}
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
          <th scope="col" class="number">Nitrogen, {unitOf('nutrient', open.system)}</th>
        </tr>
      </thead>
      <tbody>
        {#each shown as c (key(c))}
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
                  : ''}{c.risks.length
                  ? `; can bring ${c.risks.map((r) => RISKS[r]).join(', ')}`
                  : ''}{c.atHandHa > 0
                  ? `; seed in the shed for ${amount(c.atHandHa, 'area', open.system)}`
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
              >{c.lostAWeekLateKgPerHa < 1 ? '' : `-${perHa(c.lostAWeekLateKgPerHa)}`}
              <button
                class="btn plain small"
                aria-expanded={dated === key(c)}
                aria-label={`${name(c.forageId)}, ${PURPOSES[c.purpose]}: by the day of sowing`}
                onclick={() => (dated = dated === key(c) ? '' : key(c))}>By day</button
              ></td
            >
            <td class="number">{Math.round(c.failShare * 100)}%</td>
            <td class="number"
              >{c.gainLowKg === null || c.gainHighKg === null
                ? ''
                : `${figure(c.gainLowKg, 'gain', open.system)} to ${figure(c.gainHighKg, 'gain', open.system)}`}</td
            >
            <td class="number">{c.costPerHa === null ? '' : money(c.costPerHa * unit.of)}</td>
            <td class="number"
              >{c.nitrogenKgPerHa < 1
                ? 'fixes its own'
                : figure(c.nitrogenKgPerHa, 'nutrient', open.system)}{#if c.nitrogenCostPerHa}<small
                  >{money(c.nitrogenCostPerHa * unit.of)} if all is bought</small
                >{/if}</td
            >
          </tr>
          {#if dated === key(c)}
            <tr><td colspan="10"><CropDates {ways} {fieldId} crop={c} /></td></tr>
          {/if}
        {:else}
          <tr><td colspan="10">No crop fits this place and gap.</td></tr>
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
  year loses. Gain is that of growing stock. The cost is seed and sowing. Nitrogen is what the
  likely year holds: soil, dung and the last legume give part of it, so test before you buy.
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
  .hand {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    margin-bottom: 0.4rem;
  }
  .shun {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1rem;
    margin-bottom: 0.4rem;
  }
  .shun legend {
    float: left;
    margin-right: 1rem;
  }
  .small {
    display: block;
    margin-left: auto;
    font-size: 0.85rem;
    padding: 0 0.5rem;
    min-height: 1.75rem;
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
