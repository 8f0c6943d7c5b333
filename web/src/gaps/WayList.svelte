<script lang="ts">
  import type { Lever } from '../api/client';
  import { thePlan } from '../plan/context';
  import { isoOf, shortDate, today } from '../units/dates';
  import { amount, figure, unitOf } from '../units/units';
  import { costText, perBulk } from '../words/infull';
  import { kindsFor, LEVER_KINDS } from '../words/levers';
  import { leadText, OTHER_WAYS } from '../words/otherWays';
  import { isBulk, shareText } from '../words/needs';
  import { RULES_OUT, sideName } from '../words/policies';
  import { storeGaps } from '../words/year';
  import { wayKey, type GapWays } from './ways.svelte';

  const open = thePlan();

  let { ways, title, season }: { ways: GapWays; title: (way: Lever) => string; season: string } =
    $props();

  /** Of a kind so many are shown at first: those that bring most. */
  const FIRST = 3;
  let whole = $state<string[]>([]);
  const currency = $derived(open.view!.farm.currency);
  const kinds = $derived(
    kindsFor(ways.kind).map((kind) => ({
      kind,
      said: LEVER_KINDS[kind],
      found: ways.levers.filter((l) => l.kind === kind && l.decideBy >= today()),
      late: ways.levers.filter((l) => l.kind === kind && l.decideBy < today()),
    })),
  );
  const lastOf = (late: Lever[]) =>
    late
      .map((l) => l.decideBy)
      .sort()
      .at(-1)!;
  /** The policy of the plan that rules a kind out. */
  const ruledOut = (kind: Lever['kind']) =>
    open.view!.plan.policies.find((p) => RULES_OUT[p.side] === kind)?.side;
  /** Where part of what it brings falls on other days than the gap's. */
  const apart = (l: Lever) => Math.abs(l.bringsKg - l.inGapKg) > 0.05 * l.bringsKg;
  const bulk = $derived(isBulk(ways.kind));
  const bareDays = $derived(storeGaps(open.view!.year).reduce((n, g) => n + g.shortDays, 0));
  const each = (l: Lever) =>
    l.cost === null || !bulk ? '' : perBulk(l.cost, l.bringsKg, currency, open.system);
</script>

<div class="list">
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="scroll" tabindex="0" role="region" aria-label="Ways">
    <table>
      <thead>
        <tr>
          <th scope="col" class="tick"><span class="visually-hidden">Try together</span></th>
          <th scope="col" class="way-column">Way</th>
          <th scope="col">Decide by</th>
          {#if bulk}
            <th scope="col" class="number">Brings, {unitOf('bulk', open.system)}</th>
            <th scope="col" class="number">Bare days left</th>
          {:else}
            <th scope="col" class="number">Takes away</th>
            <th scope="col" class="number">Days left of {ways.gap?.shortDays ?? 0}</th>
          {/if}
          <th scope="col" class="number">Cost</th>
        </tr>
      </thead>
      {#each kinds.filter((k) => k.found.length) as { kind, said, found } (kind)}
        <tbody>
          <tr class="kind">
            <th scope="rowgroup" colspan="6">{said.name}<small>{said.note}</small></th>
          </tr>
          {#each whole.includes(kind) ? found : found.slice(0, FIRST) as lever (wayKey(lever))}
            <tr class:chosen={ways.chosen && ways.chosenKey === wayKey(lever)}>
              <td class="tick"
                ><input
                  type="checkbox"
                  class="checkbox"
                  aria-label={`Try with others: ${title(lever)}`}
                  checked={ways.picked(lever)}
                  onchange={() => ways.toggle(lever)}
                /></td
              >
              <th scope="row">
                <button class="btn plain way" onclick={() => ways.choose(lever)}
                  >{title(lever)}</button
                >
              </th>
              <td class="date">{shortDate(lever.decideBy)}</td>
              {#if bulk}
                <td class="number"
                  >{figure(lever.bringsKg, 'bulk', open.system)}{#if apart(lever)}<small
                      >{figure(lever.inGapKg, 'bulk', open.system)} in it</small
                    >{/if}</td
                >
                <td class="number">{lever.bareDaysAfter}</td>
              {:else}
                <td class="number">{shareText(lever.inGapKg, ways.gap?.shortKg ?? 0)}</td>
                <td class="number"
                  >{lever.shortDaysAfter}{#if lever.bareDaysAfter !== bareDays}<small
                      >{Math.abs(lever.bareDaysAfter - bareDays)}
                      {lever.bareDaysAfter < bareDays ? 'fewer' : 'more'} bare</small
                    >{/if}</td
                >
              {/if}
              <td class="cost"
                >{lever.cost === null
                  ? 'no price'
                  : Math.abs(lever.cost) < 0.5
                    ? said.costs
                    : costText(lever.cost, currency)}{#if each(lever)}<small>{each(lever)}</small
                  >{/if}</td
              >
            </tr>
          {/each}
          {#if found.length > FIRST && !whole.includes(kind)}
            <tr>
              <th scope="row" colspan="6"
                ><button class="btn plain way" onclick={() => (whole = [...whole, kind])}
                  >{found.length - FIRST} more: {said.name.toLowerCase()}</button
                ></th
              >
            </tr>
          {/if}
        </tbody>
      {/each}
    </table>
  </div>
  {#if !ways.looking && kinds.some((k) => !k.found.length)}
    <details class="none">
      <summary>What was looked at and is not offered</summary>
      <ul>
        {#each kinds.filter((k) => !k.found.length) as { kind, said, late } (kind)}
          <li>
            <strong>{said.name}</strong>: {ruledOut(kind)
              ? `ruled out by what this plan holds to: ${sideName(ruledOut(kind)!)}.`
              : late.length
                ? `too late since ${shortDate(lastOf(late))}; it would have brought ${bulk ? amount(late[0].bringsKg, 'bulk', open.system) : shareText(late[0].inGapKg, ways.gap?.shortKg ?? 0)}.`
                : said.none}
          </li>
        {/each}
      </ul>
    </details>
  {/if}
  {#if !ways.looking && ways.gap}
    {@const from = isoOf(open.view!.year.start, ways.gap.firstDay)}
    <details class="none" data-testid="other-ways">
      <summary>What else keepers do, not tried here</summary>
      <p class="quiet">
        The product has no figure of its own for these yet, or they take more than a year: weigh
        them with your adviser.
      </p>
      <ul>
        {#each OTHER_WAYS as way (way.name)}
          <li>
            <strong>{way.name}</strong>: {way.note}
            {leadText(way, from, today())}{way.where ? ` Here: ${way.where}.` : ''}
          </li>
        {/each}
      </ul>
    </details>
  {/if}
  <p class="quiet">
    Free ways first; each is tried alone on the whole year, and none is offered that brings less
    than a hundredth of the gap. Decide by: the last day on which it still brings nearly as much.
    {#if bulk}Brings: how much less is {ways.kind === 'STORE'
        ? 'bare over the year'
        : 'fed from the store or bare over the year: each ton is worth its price as hay'}{:else}Takes
      away: the share of what lacks on these days; what others would lack for it is taken off{/if}, {season
      ? season.charAt(0).toLowerCase() + season.slice(1)
      : 'in a normal season'}. A shut field leans on the others meanwhile; that is counted. Costs by
    your <a href={`#/plan/${open.view!.id}/prices`}>prices</a>, and the product’s guess where you
    state none.
  </p>
</div>

<style>
  .list {
    min-width: 0;
  }
  .scroll {
    max-height: 40rem;
    overflow: auto;
  }
  table {
    width: 100%;
  }
  td,
  th {
    padding: 0.2rem 0.4rem;
    border-bottom: 1px solid var(--line);
  }
  .tick {
    width: 28px;
    padding-right: 0;
  }
  .way {
    text-align: left;
    white-space: normal;
    justify-content: flex-start;
    width: 100%;
  }
  .cost {
    text-align: right;
    font-size: 14px;
    white-space: nowrap;
  }
  .way-column {
    width: 46%;
  }
  .kind th {
    padding-top: 0.7rem;
    color: var(--ink);
    font-weight: 700;
  }
  small {
    display: block;
    font-weight: 400;
    color: var(--quiet);
  }
  .none {
    margin: 0.6rem 0;
  }
  .none li {
    padding: 0.2rem 0;
  }
  summary {
    cursor: pointer;
    min-height: 2rem;
  }
  .date {
    white-space: nowrap;
  }
  .chosen {
    background: var(--frost);
  }
</style>
