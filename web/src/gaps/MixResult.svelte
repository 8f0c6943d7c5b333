<script lang="ts">
  import type { Lever } from '../api/client';
  import NumberField from '../form/NumberField.svelte';
  import { thePlan } from '../plan/context';
  import { monthName } from '../units/dates';
  import { amount } from '../units/units';
  import { money, priceUnit } from '../words/prices';
  import { closedIn } from '../words/sure';
  import { wayKey, type GapWays } from './ways.svelte';

  const open = thePlan();

  let { ways, title }: { ways: GapWays; title: (way: Lever) => string } = $props();

  const MOST_SHOWN = 6;
  const mix = $derived(ways.mix!);
  const answer = $derived(mix.answer);
  const currency = $derived(open.view!.farm.currency);
  const sum = (v: number) => (v < 0.5 ? 'nothing' : `${currency} ${money(v)}`);
  const ton = $derived(priceUnit('usd_per_t', open.system));
  /** What another ton is worth, month by month. */
  const worth = $derived(
    answer.worth
      .filter((w) => w.perKg > 0.001 && w.perKg < 100)
      .map(
        (w) =>
          `Another ${open.system === 'IMPERIAL' ? 'ton' : 'tonne'} in ${monthName(w.from.slice(0, 7))} ` +
          `is worth ${currency} ${money(w.perKg * 1000 * ton.of)} at most.`,
      )
      .join(' '),
  );
  const next = $derived(answer.enters.slice(0, MOST_SHOWN));
  const left = $derived(mix.among.filter((l) => ways.never.includes(wayKey(l))));
  const unpriced = $derived(answer.unpriced.map((i) => title(mix.among[i])));
</script>

<section aria-labelledby="mix-title" data-testid="mix">
  <h3 id="mix-title">The cheapest mix</h3>
  <p>
    It costs <strong>{sum(answer.cost)}</strong>{answer.buyingAllCost !== null
      ? `; hay alone would cost ${sum(answer.buyingAllCost)}`
      : ''}.
    {answer.leftKg < 1
      ? 'Run on the whole year, it closes the gap.'
      : `Of ${amount(answer.gapKg, 'bulk', open.system)} it leaves ${amount(answer.leftKg, 'bulk', open.system)} bare: nothing that was found closes the rest.`}
    {#if answer.repairs}It was chosen anew {answer.repairs === 1
        ? 'once'
        : `${answer.repairs} times`}, as the ways bring less together than alone.{/if}
  </p>
  <div class="work">
    <p>
      Its work takes about {Math.round(answer.hours)} hours over the year, hired or your own.
      {#if answer.hourWorth >= 0.5}Another hour would make it {currency}
        {money(answer.hourWorth)} cheaper.{/if}
    </p>
    <NumberField
      label="Hours that there are"
      quantity="plain"
      optional
      value={ways.hoursMost}
      onchange={(v) => {
        ways.hoursMost = v === null ? null : Math.max(0, v);
        void ways.seekMix();
      }}
    />
  </div>
  {#if answer.sureness}
    <p>
      Chosen for several simulated years at once: {closedIn(
        answer.sureness.closedAfter,
        answer.sureness.years.length,
      )}{answer.sureness.closedAfter <
      Math.ceil((ways.sure ?? 0) * answer.sureness.years.length - 1e-9)
        ? ', fewer than you want: no more was found'
        : ''}.
    </p>
  {/if}
  {#if answer.taken.length}
    <ul>
      {#each answer.taken as place (place)}
        {@const way = mix.among[place]}
        <li>
          <span>{title(way)}{ways.must.includes(wayKey(way)) ? ', as you insist' : ''}</span>
          {#if ways.must.includes(wayKey(way))}
            <button
              class="btn plain"
              disabled={ways.mixing}
              onclick={() => ways.rule(way, 'free')}
              aria-label={`Let the mix decide on: ${title(way)}`}>Let it decide</button
            >
          {:else}
            <button
              class="btn plain"
              disabled={ways.mixing}
              onclick={() => ways.rule(way, 'never')}
              aria-label={`Without: ${title(way)}`}>Without it</button
            >
          {/if}
        </li>
      {/each}
      {#if answer.hay.length}
        <li>
          <span>Hay for {sum(answer.hayCost)}</span>
          <button
            class="btn plain"
            disabled={ways.mixing}
            onclick={() => {
              ways.mayBuy = false;
              void ways.seekMix();
            }}>Without hay</button
          >
        </li>
      {/if}
    </ul>
  {/if}
  {#if next.length || left.length || !ways.mayBuy}
    <details>
      <summary>What is not in it, and why</summary>
      <ul>
        {#each next as e (e.way)}
          {@const way = mix.among[e.way]}
          <li>
            <span
              >{title(way)}: {e.cheaperBy < 0.5
                ? 'would do as well'
                : `would have to be ${currency} ${money(e.cheaperBy)} cheaper`}</span
            >
            <button
              class="btn plain"
              disabled={ways.mixing}
              onclick={() => ways.rule(way, 'must')}
              aria-label={`Insist on: ${title(way)}`}>Insist</button
            >
          </li>
        {/each}
        {#each left as way (wayKey(way))}
          <li>
            <span
              >{title(way)}: {way.kind === 'MOVE_BIRTHS'
                ? 'it changes the herd for good, so that only you can want it'
                : 'you do without it'}</span
            >
            <button
              class="btn plain"
              disabled={ways.mixing}
              onclick={() => ways.rule(way, 'free')}
              aria-label={`Allow again: ${title(way)}`}>Allow again</button
            >
          </li>
        {/each}
        {#if !ways.mayBuy}
          <li>
            <span>Hay: you do without it</span>
            <button
              class="btn plain"
              disabled={ways.mixing}
              onclick={() => {
                ways.mayBuy = true;
                void ways.seekMix();
              }}>Allow hay again</button
            >
          </li>
        {/if}
      </ul>
    </details>
  {/if}
  <p class="quiet fine">
    {worth}
    {#if unpriced.length}Left out, as no price is known: {unpriced.join(', ')}.{/if}
    Ways that use the same ground, lot or animals are taken once. What a sale brings is no gain here:
    a tenth of the animals’ value counts as lost. A feeder counts with a year’s share.
  </p>
</section>

<style>
  section {
    border-bottom: 1px solid var(--line);
    margin-bottom: 0.6rem;
    padding-bottom: 0.4rem;
  }
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
    border-bottom: 1px solid var(--line);
  }
  .work {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 9rem;
    gap: 1rem;
    align-items: end;
    margin: 0.4rem 0;
  }
  summary {
    cursor: pointer;
    min-height: 2rem;
    padding-top: 0.4rem;
  }
</style>
