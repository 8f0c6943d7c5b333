<script lang="ts">
  import type { Lot, Rung, ThousandResult } from '../api/client';
  import { thePlan } from '../plan/context';
  import { isoOf, longDay } from '../units/dates';
  import {
    birthWords,
    plainBound,
    rightWords,
    rungWords,
    signWords,
    thenWords,
  } from '../words/signs';
  import { ofTen } from '../words/thousand';
  import { plural } from '../words/year';
  import { amount } from '../units/units';

  /** Dates on which what is in hand tells a hard year. */
  let { result }: { result: ThousandResult } = $props();
  const open = thePlan();
  const start = $derived(open.view!.year.start);
  const groupName = (id: string | null) =>
    open.view!.farm.groups.find((g) => g.id === id)?.name ?? '';
  const rungs = $derived(open.view!.plan.rungs);

  const pattern = $derived<Pick<Lot, 'unitName' | 'kgPerUnitAsFed' | 'dmShare'>>(
    open.view!.farm.lots.find((l) => l.unitName.includes('bale')) ?? {
      unitName: 'round bale',
      kgPerUnitAsFed: 365,
      dmShare: 0.87,
    },
  );
  function bales(kg: number): string {
    const n = Math.ceil(kg / (pattern.kgPerUnitAsFed * pattern.dmShare));
    return `${n.toLocaleString('en-US')} ${plural(pattern.unitName, n)}`;
  }
  type Telling = ThousandResult['dates'][number];
  function rungOf(d: Telling): Rung {
    return {
      id: `told-${d.day}`,
      on: `--${isoOf(start, d.day).slice(5)}`,
      sign: d.sign,
      below: plainBound(d.sign, d.below, open.system),
      doThis: rungWords(d, groupName(d.groupId), bales(d.missingKg)),
    };
  }
  const taken = (d: Telling) => rungs.some((r) => r.id === `told-${d.day}`);
</script>

<section aria-labelledby="telling-title" data-testid="telling">
  <h2 id="telling-title">Dates that tell</h2>
  {#if result.hardKg < 0}
    <p>Feed lasts in nearly every year: there is nothing to tell early.</p>
  {:else if !result.dates.length}
    <p>
      No day before the shortage tells a hard year well enough from the others: what decides comes
      later, or every year is much alike. What is to be held has to be there beforehand.
    </p>
  {/if}
  <ol>
    {#each result.dates as d (d.day)}
      {@const group = groupName(d.groupId)}
      <li>
        <p>
          <strong>{longDay(start, d.day)}.</strong> If {signWords(
            d.sign,
            plainBound(d.sign, d.below, open.system),
            open.system,
          )}, a hard year is coming. {rightWords(d)}
        </p>
        <p>
          {thenWords(d, group, open.system)} Or buy {bales(d.missingKg)} before others do.
          {birthWords(d)}
        </p>
        {#if open.mayPlan && !taken(d)}
          <button class="btn plain" onclick={() => open.edit([{ putRung: rungOf(d) }])}
            >Into my drought plan</button
          >
        {:else if taken(d)}
          <p class="quiet fine">It stands in your drought plan.</p>
        {/if}
      </li>
    {/each}
  </ol>
  {#if result.dates.length}
    <p class="quiet fine">
      Hard is a year that misses {amount(result.hardKg, 'bulk', open.system)} or more: {ofTen(
        result.bareKgByYear.filter((kg) => kg >= result.hardKg).length,
        result.years,
      )} are, before anybody looks. Learnt from one half of the simulated years and proved on the other.
      Before selling cows ask your adviser; a forecast of rain counts as none.
    </p>
  {/if}
</section>

<style>
  h2 {
    font-size: 1.05rem;
  }
  li {
    margin-bottom: 0.75rem;
  }
  ol {
    margin-top: 0.3rem;
  }
</style>
