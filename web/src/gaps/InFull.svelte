<script lang="ts">
  import type { Edit, InFull, Price } from '../api/client';
  import Tabs from '../form/Tabs.svelte';
  import { thePlan } from '../plan/context';
  import { monthName } from '../units/dates';
  import { amount, figure, unitOf } from '../units/units';
  import {
    billLines,
    costText,
    otherSide,
    partsText,
    perBulk,
    unpricedText,
  } from '../words/infull';
  import { money } from '../words/prices';
  import { counted, isBulk, shareText } from '../words/needs';
  import { days, sowingOutcome, storeGaps } from '../words/year';

  import type { GapWays } from './ways.svelte';
  import YearsOfGap from './YearsOfGap.svelte';

  const open = thePlan();

  let { full, prices, ways }: { full: InFull; prices: Price[]; ways: GapWays } = $props();

  const farm = $derived(open.view!.farm);
  const stored = $derived(open.view!.year);
  const kg = (v: number) => amount(v, 'bulk', open.system);
  const bareDays = $derived(storeGaps(stored).reduce((n, g) => n + g.shortDays, 0));
  const head = $derived(farm.groups.reduce((n, g) => n + g.head, 0));
  const lines = $derived(billLines(full, prices, farm.currency, open.system));
  const missing = $derived(unpricedText(full, prices, farm.currency));
  const assumed = $derived(lines.filter((l) => !l.own).length);
  const bulk = $derived(isBulk(ways.kind));
  /** All that is to be paid for has no price: that is not free. */
  const unknown = $derived(full.unpriced.length > 0 && Math.abs(full.cost) < 0.5);
  const closed = $derived(full.gapKgAfter <= (bulk ? 1 : 0.01 * full.gapKgBefore));
  const gist = $derived.by(() => {
    if (closed) return bulk ? 'Closes the gap.' : 'Nothing lacks on these days then.';
    if (ways.kind === 'GRAZING')
      return `Of ${kg(full.gapKgBefore)} from the store ${kg(full.gapKgAfter)} are still fed or missing.`;
    if (bulk) return `Of ${kg(full.gapKgBefore)} in the gap ${kg(full.gapKgAfter)} stay bare.`;
    const away = shareText(full.gapKgBefore - full.gapKgAfter, full.gapKgBefore);
    return full.shortDaysAfter > 0
      ? `Takes away ${away} of what lacks; short on ${days(full.shortDaysAfter)} still.`
      : `Takes away ${away} of what lacks; what is left makes no day short.`;
  });
  /** In another season: an amount, or the share that is left where it has no unit to tell. */
  const inSeason = (v: number, without: number) =>
    bulk
      ? kg(v)
      : ways.kind === 'CONDITION'
        ? without <= 0
          ? 'none'
          : `${Math.round((100 * v) / without)}%`
        : counted(ways.kind, v, open.system);
  const each = $derived(!bulk ? '' : perBulk(full.cost, full.bringsKg, farm.currency, open.system));
  /** Where part of what is brought falls on other days, what it costs by what falls into the gap. */
  const inGap = $derived.by(() => {
    if (!bulk) return '';
    const kgIn = full.gapKgBefore - full.gapKgAfter;
    if (Math.abs(full.bringsKg - kgIn) <= 0.05 * Math.abs(full.bringsKg)) return '';
    const there = perBulk(full.cost, kgIn, farm.currency, open.system);
    return `It brings ${kg(full.bringsKg)} over the year, ${kg(kgIn)} of it into the gap${there ? `: ${there} there` : ''}.`;
  });
  const aHead = $derived(
    full.cost > 0.5 && head ? `, ${farm.currency} ${money(full.cost / head)} a head` : '',
  );
  const moved = $derived(
    full.months.filter((m) =>
      [m.bareKgLess, m.grazedKgMore, m.storedKgMore, m.needKgLess].some((v) => Math.abs(v) > 50),
    ),
  );
  /** What becomes of crops that are sown by it. */
  const sown = $derived(
    full.edits
      .flatMap((e) => (e.putSowing ? [e.putSowing.id] : []))
      .flatMap((id) => open.trial?.sowings.find((s) => s.sowingId === id) ?? [])
      .map((s) => sowingOutcome(s, stored.start, open.system)),
  );
  const sentence = (text: string) => text[0].toUpperCase() + text.slice(1);
  const SEASONS: Record<string, string> = {
    normal: 'Normal year',
    dry: 'Dry year',
    wet: 'Wet year',
  };
  const signed = (v: number) =>
    Math.abs(v) < 50 ? '' : `${v > 0 ? '+' : '-'}${figure(Math.abs(v), 'bulk', open.system)}`;
  const SIDES = [
    { id: 'year', name: 'The year' },
    { id: 'months', name: 'By month' },
    { id: 'seasons', name: 'Other years' },
    { id: 'cost', name: 'Cost' },
  ];
  let shown = $state('year');
</script>

<div data-testid="in-full">
  <p class="gist">
    {gist}
    <strong>{unknown ? 'No price is known' : sentence(costText(full.cost, farm.currency))}</strong
    >{each ? `: ${each} brought${aHead}` : bulk ? '' : aHead}{full.unpriced.length && !unknown
      ? ', and what has no price'
      : ''}.
  </p>
  {#if inGap}<p>{inGap}</p>{/if}
  {#if bulk && partsText(full, open.system)}<p>{partsText(full, open.system)}</p>{/if}
  <Tabs sides={SIDES} bind:value={shown} label="What it does">
    {#snippet side(id: string)}
      {#if id === 'year'}
        <table data-testid="compare">
          <thead>
            <tr>
              <th scope="col">Over the year</th><th scope="col" class="number">Before</th><th
                scope="col"
                class="number">After</th
              >
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">Bare</th>
              <td class="number">{kg(stored.total.bareKg)}</td>
              <td class="number">{kg(full.bareKgAfter)}</td>
            </tr>
            <tr>
              <th scope="row">Bare days</th>
              <td class="number">{bareDays}</td>
              <td class="number">{full.bareDaysAfter}</td>
            </tr>
            {#if open.trial}
              <tr>
                <th scope="row">Stored feed eaten</th>
                <td class="number">{kg(stored.total.putByKg + stored.total.boughtInKg)}</td>
                <td class="number">{kg(open.trial.total.putByKg + open.trial.total.boughtInKg)}</td>
              </tr>
              <tr>
                <th scope="row">Standing feed eaten</th>
                <td class="number">{kg(stored.total.standingKg)}</td>
                <td class="number">{kg(open.trial.total.standingKg)}</td>
              </tr>
            {/if}
          </tbody>
        </table>
        {#each sown as sentence (sentence)}<p class="aside">{sentence}</p>{/each}
        {#each otherSide(full, open.system) as sentence (sentence)}<p class="aside">
            {sentence}
          </p>{/each}
      {:else if id === 'months'}
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <div class="months-scroll" tabindex="0" role="region" aria-label="By month">
          <table class="ledger">
            <thead>
              <tr>
                <th scope="col">{unitOf('bulk', open.system)}</th>
                <th scope="col" class="number">Still bare</th>
                <th scope="col" class="number">Less bare</th>
                <th scope="col" class="number">Grazed</th>
                <th scope="col" class="number">Stored, eaten</th>
                <th scope="col" class="number">Asked for</th>
                <th scope="col" class="number">Stands at its end</th>
              </tr>
            </thead>
            <tbody>
              {#each moved as m (m.month)}
                <tr>
                  <th scope="row">{monthName(m.month)}</th>
                  <td class="number"
                    >{m.bareKg < 50 ? '' : figure(m.bareKg, 'bulk', open.system)}</td
                  >
                  <td class="number" class:worse={m.bareKgLess < -50}>{signed(m.bareKgLess)}</td>
                  <td class="number">{signed(m.grazedKgMore)}</td>
                  <td class="number">{signed(m.storedKgMore)}</td>
                  <td class="number">{signed(-m.needKgLess)}</td>
                  <td class="number">{signed(m.standingKgMore)}</td>
                </tr>
              {:else}
                <tr><td colspan="7">No month changes.</td></tr>
              {/each}
            </tbody>
          </table>
        </div>
        <p class="quiet fine">
          Beside the plan as it stands; months in which nobody eats otherwise are left out.
        </p>
      {:else if id === 'seasons'}
        <table class="ledger">
          <thead>
            <tr>
              <th scope="col">{bulk ? 'Bare over the year' : 'Lacks over the year, all groups'}</th>
              <th scope="col" class="number">Without</th>
              <th scope="col" class="number">With it</th>
              <th scope="col" class="number">Brings</th>
            </tr>
          </thead>
          <tbody>
            {#each full.seasons as s (s.season)}
              <tr>
                <th scope="row">{SEASONS[s.season] ?? s.season}</th>
                <td class="number">{inSeason(s.bareKgBefore, s.bareKgBefore)}</td>
                <td class="number">{inSeason(s.bareKgAfter, s.bareKgBefore)}</td>
                <td class="number">{inSeason(s.bareKgBefore - s.bareKgAfter, s.bareKgBefore)}</td>
              </tr>
            {/each}
          </tbody>
        </table>
        {#if ways.kind === 'STORE'}<YearsOfGap {ways} edits={full.edits as Edit[]} />{/if}
        <p class="quiet fine">
          The same plan and the same ways in other weather: what helps only in a good year is no
          insurance.
        </p>
      {:else}
        {#if lines.length}
          <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
          <div class="months-scroll" tabindex="0" role="region" aria-label="Cost">
            <table class="ledger" data-testid="bill">
              <tbody>
                {#each lines as l, i (i)}
                  <tr>
                    <th scope="row">{l.what}<small class="quiet">{l.how}</small></th>
                    <td class="number" class:assumed={!l.own}
                      >{l.money < 0 ? `+${money(-l.money)}` : money(l.money)}</td
                    >
                  </tr>
                {/each}
                <tr>
                  <th scope="row"><strong>In all</strong></th>
                  <td class="number"
                    ><strong>{sentence(costText(full.cost, farm.currency))}</strong></td
                  >
                </tr>
              </tbody>
            </table>
          </div>
        {:else}
          <p>Nothing is bought, hired or sold.</p>
        {/if}
        {#if missing}<p class="aside">{missing}</p>{/if}
        <p class="quiet fine">
          {#if assumed}Grey: the product’s guess, until you state yours under <a
              href={`#/plan/${open.view!.id}/prices`}>Prices</a
            >.{/if}
          {#if full.costHours >= 1}Done by yourself, the work takes about {Math.round(
              full.costHours,
            )}
            {Math.round(full.costHours) === 1 ? 'hour' : 'hours'}.{/if}
          {#if Math.abs(full.handledHoursMore) >= 1}Feeding out and moving stock take {Math.round(
              Math.abs(full.handledHoursMore),
            )} hours {full.handledHoursMore > 0 ? 'more' : 'less'} over the year.{/if}
          Not in it: fence and water that may have to be put up.
        </p>
      {/if}
    {/snippet}
  </Tabs>
</div>

<style>
  table {
    width: 100%;
  }
  td,
  th {
    padding: 0.2rem 0.5rem;
    border-bottom: 1px solid var(--line);
  }
  small {
    display: block;
  }
  .gist {
    margin: 0.4rem 0;
  }
  .aside {
    margin-top: 0.4rem;
  }
  .assumed {
    color: var(--quiet);
  }
  .worse {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
