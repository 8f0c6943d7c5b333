<script lang="ts">
  import {
    type AnimalGroup,
    type SellingOrder,
    type Supplement,
    type Weaning,
  } from '../api/client';
  import DateField from '../form/DateField.svelte';
  import { isoOf, longDate, monthName, shortDate, today } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { amount, figure, unitOf } from '../units/units';

  const open = thePlan();

  let { group }: { group: AnimalGroup } = $props();

  let supplements = $state<Supplement[] | null>(null);
  let weanings = $state<Weaning[] | null>(null);
  let order = $state<SellingOrder[] | null>(null);
  let sellOn = $state(firstDay());
  const inHand = (kg: number) => (kg < 50 ? 'next to nothing' : amount(kg, 'bulk', open.system));
  const bulk = (kg: number) => figure(kg, 'bulk', open.system);
  /** Rungs that bring something, and the months that they relieve. */
  const rungs = $derived((order ?? []).filter((r) => r.bringsKg > 1));
  const relieved = $derived(
    open
      .view!.year.ledger.map((m, at) => ({ month: m.month, at }))
      .filter((m) => rungs.some((r) => Math.abs(r.byMonthKg[m.at]) >= 50)),
  );
  let busy = $state('');
  const farm = $derived(open.view!.farm);
  const mine = $derived((supplements ?? []).filter((s) => s.groupId === group.id));
  const total = $derived(mine.reduce((sum, s) => sum + s.cost, 0));
  const placeholders = $derived(mine.some((s) => s.parts.some((p) => p.defaultPrice)));
  const feed = (id: string) => open.catalogue!.storedFeeds.find((f) => f.id === id)?.name ?? id;
  const name = (id: string) => farm.groups.find((g) => g.id === id)?.name ?? id;
  const money = (v: number) => `${farm.currency} ${Math.round(v).toLocaleString('en-US')}`;
  const RUNGS = [
    '',
    'does not breed',
    'grown males and working stock',
    'young females kept to breed',
    'breeding nucleus',
  ];

  /** Before the first gap, or today. */
  function firstDay(): string {
    const gap = open.view!.year.gaps.find((g) => g.kind === 'STORE');
    const { start, days } = open.view!.year;
    if (gap) return isoOf(start, Math.max(0, gap.firstDay - 14));
    return today() >= start && today() < isoOf(start, days) ? today() : start;
  }
  $effect(() => {
    void open.view!.revision;
    void group.id;
    supplements = weanings = order = null;
  });
  async function ask(what: string, how: () => Promise<void>) {
    busy = what;
    try {
      await how();
    } catch (e) {
      open.error = open.explain(e);
    }
    busy = '';
  }
</script>

<section class="part" aria-label="What would help">
  <h2>What would help {group.name}</h2>
  <div class="buttons">
    <button
      class="btn plain"
      disabled={busy !== ''}
      onclick={() =>
        ask('supplement', async () => {
          supplements = await open.api.supplement(open.view!.id);
        })}>Least supplement</button
    >
    {#if group.birthStart}
      <button
        class="btn plain"
        disabled={busy !== ''}
        onclick={() =>
          ask('weaning', async () => {
            weanings = await open.api.weaning(open.view!.id, group.id);
          })}>Try weaning earlier or later</button
      >
    {/if}
    <button
      class="btn plain"
      disabled={busy !== ''}
      onclick={() =>
        ask('order', async () => {
          order = await open.api.selling(open.view!.id, sellOn);
        })}>Order of selling, whole herd</button
    >
    {#if busy}<span role="status" class="quiet">Trying it on the whole year.</span>{/if}
  </div>
  {#if supplements}
    <div class="tells" data-testid="supplement">
      {#if mine.length === 0}
        <p>Nothing of protein or energy falls short.</p>
      {:else}
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <div class="months-scroll" tabindex="0" role="region" aria-label="Least supplement">
          <table class="ledger">
            <thead>
              <tr>
                <th scope="col">Month</th>
                <th scope="col" class="number">Days short</th>
                <th scope="col">A head and day, as fed</th>
                <th scope="col" class="number">{farm.currency} a head and day</th>
                <th scope="col" class="number">{farm.currency} for all</th>
              </tr>
            </thead>
            <tbody>
              {#each mine as s (s.month)}
                <tr>
                  <th scope="row">{monthName(s.month)}</th>
                  <td class="number">{s.shortDays}</td>
                  <td
                    >{s.met
                      ? s.parts
                          .filter((p) => p.kgAsFed >= 0.02)
                          .map(
                            (p) =>
                              `${figure(p.kgAsFed, 'gain', open.system)} ${unitOf('weight', open.system)} ${feed(p.feedId)}`,
                          )
                          .join(', ')
                      : 'No feed of the table brings both to the need.'}</td
                  >
                  <td class="number">{s.met ? s.costPerHeadDay.toFixed(2) : ''}</td>
                  <td class="number">{s.met ? Math.round(s.cost).toLocaleString('en-US') : ''}</td>
                </tr>
              {/each}
            </tbody>
          </table>
        </div>
        <p class="quiet fine">
          The cheapest feeds that bring protein and energy to the need, each within its ceiling;
          {money(total)} over the plan, {placeholders
            ? 'at the middle of the product’s prices in US dollars where no lot of yours has one: placeholders'
            : 'at the prices of your lots'}. For planning: the tag, your adviser and your
          veterinarian stand above it, and new feed is built up slowly. Urea and what a species must
          not have is left out.
        </p>
      {/if}
    </div>
  {/if}
  {#if weanings}
    <div class="tells" data-testid="weanings">
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">Wean on</th>
            <th scope="col" class="number">Lowest condition</th>
            <th scope="col" class="number">At the next birth</th>
            <th scope="col" class="number">They need in all</th>
            <th scope="col" class="number">Bare</th>
            <th scope="col">Then</th>
          </tr>
        </thead>
        <tbody>
          {#each weanings as w (w.weaning)}
            <tr>
              <th scope="row">{shortDate(w.weaning)}{w.planned ? ', as planned' : ''}</th>
              <td class="number">{w.lowestScore.toFixed(1)}</td>
              <td class="number">{w.scoreAtBirth?.toFixed(1) ?? ''}</td>
              <td class="number">{amount(w.needKg, 'bulk', open.system)}</td>
              <td class="number">{amount(w.bareKg, 'bulk', open.system)}</td>
              <td
                >{group.keeping.conditionFloor === null
                  ? ''
                  : w.holds
                    ? 'condition holds'
                    : 'too thin'}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
      <p class="quiet fine">
        Young may stay on their dams as long as condition holds; the lowest you accept and the next
        birth stand behind that. With good regrowth, wean and let the young follow.
        {group.keeping.conditionFloor === null ? 'State a lowest condition above to be told.' : ''}
      </p>
    </div>
  {/if}
  {#if order}
    <div class="tells" data-testid="selling">
      <DateField
        label="Sold on"
        value={sellOn}
        onchange={(v) => {
          if (v) sellOn = v;
          void ask('order', async () => {
            order = await open.api.selling(open.view!.id, sellOn);
          });
        }}
      />
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="months-scroll" tabindex="0" role="region" aria-label="Order of selling">
        <table class="ledger">
          <thead>
            <tr>
              <th scope="col">First to last</th>
              <th scope="col" class="number">Eat, {unitOf('bulk', open.system)}</th>
              <th scope="col" class="number">Less bare</th>
              <th scope="col" class="number">A week later</th>
              <th scope="col" class="number">A month later</th>
              <th scope="col" class="number">Still bare</th>
              <th scope="col">At the latest</th>
              <th scope="col" class="number">Brings in, {farm.currency}</th>
            </tr>
          </thead>
          <tbody>
            {#each order as r (r.groupId)}
              <tr>
                <th scope="row"
                  >{r.head}
                  {name(r.groupId)}<small class="why"
                    >{RUNGS[r.rung]}{r.eatsShare < 0.04 ? '; eats little, may stay' : ''}</small
                  ></th
                >
                <td class="number"
                  >{bulk(r.eatsKg)}<small class="why">{Math.round(r.eatsShare * 100)}%</small></td
                >
                <td class="number">{bulk(r.bringsKg)}</td>
                <td class="number">{bulk(r.bringsAWeekLaterKg)}</td>
                <td class="number">{bulk(r.bringsAMonthLaterKg)}</td>
                <td class="number">{bulk(r.bareLeftKg)}</td>
                <td class="day">{r.bringsKg > 1 ? shortDate(r.latest) : ''}</td>
                <td class="number"
                  >{r.saleMoney === null
                    ? 'no price'
                    : Math.round(r.saleMoney).toLocaleString('en-US')}</td
                >
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      {#if rungs.length}
        <table class="ledger" data-testid="relief">
          <caption
            >Less bare by month, {unitOf('bulk', open.system)}, each rung on top of those above</caption
          >
          <thead>
            <tr>
              <th scope="col">Rung</th>
              {#each relieved as m (m.at)}<th scope="col" class="number">{monthName(m.month)}</th
                >{/each}
            </tr>
          </thead>
          <tbody>
            {#each rungs as r (r.groupId)}
              <tr>
                <th scope="row">{r.head} {name(r.groupId)}</th>
                {#each relieved as m (m.at)}<td class="number"
                    >{Math.abs(r.byMonthKg[m.at]) < 50
                      ? ''
                      : figure(r.byMonthKg[m.at], 'bulk', open.system)}</td
                  >{/each}
              </tr>
            {/each}
          </tbody>
        </table>
        <ul data-testid="triggers">
          {#each rungs as r (r.groupId)}
            <li>
              <strong>{name(r.groupId)}</strong>: by {longDate(r.latest)}, if the store then holds
              no more than {inHand(r.storeKgThen)} and no more than
              {inHand(r.standsKgThen)} that could be eaten stands on the fields.
            </li>
          {/each}
        </ul>
        <p class="quiet fine">
          Those are what this plan expects on that day in the season looked at: with as little, what
          is short comes as shown or worse. With more in hand, look at the plan again first.
        </p>
      {/if}
      <p class="quiet fine">
        Each rung is tried on the whole year on top of those above it. Do it when {longDate(sellOn)} comes
        and rain or regrowth has not; waiting a week brings what the next column says.
        {#if order[0]?.birthsAddKg > 0}Births still to come add {amount(
            order[0].birthsAddKg,
            'bulk',
            open.system,
          )} in their first ninety days and can cancel the relief.{/if}
        What an animal is worth later is yours to weigh.
      </p>
    </div>
  {/if}
</section>

<style>
  .buttons {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    align-items: center;
    margin: 0.4rem 0;
  }
  table {
    width: 100%;
  }
  tbody th,
  .day {
    white-space: nowrap;
  }
  .why {
    display: block;
    font-weight: 400;
    color: var(--quiet);
  }
  caption {
    text-align: left;
    padding: 0.6rem 0 0.2rem;
    font-weight: 600;
  }
  li {
    margin: 0.3rem 0;
  }
</style>
