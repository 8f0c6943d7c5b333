<script lang="ts">
  import { untrack } from 'svelte';
  import type {
    DateThatTells,
    GaugeYear,
    Hold,
    PickedYear,
    Thousand,
    ThousandResult,
  } from '../api/client';
  import { thePlan } from '../plan/context';
  import FanYear from '../ruler/FanYear.svelte';
  import MonthAxis from '../ruler/MonthAxis.svelte';
  import { rulerScale } from '../ruler/scale';
  import Choice from '../form/Choice.svelte';
  import { amount } from '../units/units';
  import { shortDay } from '../units/dates';
  import { gaugeWords } from '../words/signs';
  import { holdCostWords, holdWords, pickedName, sureWords, yearName } from '../words/thousand';
  import { nameYears } from './yearNames.svelte';
  import BesidePlan from './BesidePlan.svelte';
  import SureCurve from './SureCurve.svelte';
  import TellingDates from './TellingDates.svelte';
  import WhatDecides from './WhatDecides.svelte';

  const open = thePlan();

  /** Four times a second and a little more often. */
  const LOOK_MS = 200;

  let run = $state.raw<Thousand | null>(null);
  let hold = $state.raw<Hold | null>(null);
  let share = $state('0.9');
  /** The year that was pointed at. */
  let picked = $state.raw<PickedYear | null>(null);
  let gauge = $state.raw<GaugeYear[]>([]);
  let other = $state.raw<ThousandResult | null>(null);
  let width = $state(0);
  let gone = false;
  $effect(() => () => (gone = true));
  const id = $derived(open.view!.id);
  const revision = $derived(open.view!.revision);
  const at = () => `${id} ${revision}`;
  const eaters = $derived(open.view!.farm.groups.length > 0);
  $effect(() => {
    const asked = at();
    if (eaters) untrack(() => void follow(asked, (plan) => open.api.beginThousand(plan)));
  });

  /** Begins, or looks, until it is done, stopped, or the plan is another one. */
  async function follow(asked: string, first: (plan: string) => Promise<Thousand>) {
    const plan = id;
    const here = () => !gone && asked === at();
    hold = picked = other = null;
    gauge = [];
    try {
      let now = await first(plan);
      while (here()) {
        run = now;
        if (now.result) nameYears(named(now.result));
        if (!now.under) break;
        await new Promise((later) => setTimeout(later, LOOK_MS));
        if (!here()) return;
        now = await open.api.thousand(plan);
      }
      if (here() && now.result) await toHold();
      if (here() && now.result && open.records.length) {
        const years = await open.api.gauge(plan);
        if (here()) gauge = years;
      }
    } catch (e) {
      if (here()) open.error = open.explain(e);
    }
  }
  async function toHold() {
    const asked = `${at()} ${share}`;
    const here = () => !gone && asked === `${at()} ${share}`;
    hold = null;
    try {
      const [found] = await open.api.hold(id, Number(share));
      if (here()) hold = found ?? null;
    } catch (e) {
      if (here()) open.error = open.explain(e);
    }
  }
  const named = (r: ThousandResult) =>
    Object.fromEntries(r.named.map((y) => [y.season, yearName(y.share)]));
  /** Shows one of the years over the fan, and names it in the season switch. */
  async function pick(ask: Promise<PickedYear[]>) {
    const asked = at();
    const here = () => !gone && asked === at();
    try {
      const [year] = await ask;
      if (!here() || !year || !result) return;
      picked = year;
      nameYears({ [year.season]: pickedName(year.rank, result.years), ...named(result) });
    } catch (e) {
      if (here()) open.error = open.explain(e);
    }
  }
  const pointed = (sign: DateThatTells['sign']) => (day: number, value: number) =>
    void pick(open.api.near(id, sign, day, value));
  async function stop() {
    const plan = id;
    await open.api.stopThousand(plan);
    const now = await open.api.thousand(plan);
    if (!gone) run = now;
  }
  const result = $derived(run?.result ?? null);
  const year = $derived(open.view!.year);
  const scale = $derived(rulerScale(width, year.days, width < 700 ? 62 : 168));
  const currency = $derived(open.view!.farm.currency);
  const said = $derived(result ? sureWords(result, year.start, open.system) : '');
  const SHARES = [
    { id: '0.5', name: '5 years of 10' },
    { id: '0.8', name: '8 years of 10' },
    { id: '0.9', name: '9 years of 10' },
    { id: '0.95', name: '19 years of 20' },
  ];
</script>

<section class="panel form" aria-labelledby="thousand-title" data-testid="thousand">
  <h1 id="thousand-title">{said || 'A thousand simulated years'}</h1>
  {#if !eaters}
    <p>There are no animals yet: without mouths every year is enough. Add a group under Herd.</p>
  {:else if run?.under}
    <p role="status">
      <progress max={run.of} value={run.done} aria-label="Years that are done"></progress>
      {run.done.toLocaleString('en-US')} of {run.of.toLocaleString('en-US')} years
      <button class="btn plain" onclick={stop}>Stop</button>
    </p>
  {:else if run?.stopped}
    <p role="status">
      Stopped at {run.done.toLocaleString('en-US')} years.
      <button class="btn plain" onclick={() => follow(at(), (plan) => open.api.beginThousand(plan))}
        >Run them</button
      >
    </p>
  {/if}
  <div bind:clientWidth={width}>
    {#if result && width > 0}
      <MonthAxis {year} {scale} />
      <FanYear
        title="Store"
        fan={result.storeKg}
        {scale}
        quantity="bulk"
        system={open.system}
        colour="#8a4b23"
        summary={`Dry matter in store by day over the simulated years. ${said}`}
        line={picked?.storeKg}
        onpoint={pointed('STORE')}
      />
      <FanYear
        title="Stands"
        fan={result.standsKgPerHa}
        {scale}
        quantity="massPerArea"
        system={open.system}
        colour="#2c6b2f"
        summary="What stands on the farm, over all its ground, by day over the simulated years."
        line={picked?.standsKgPerHa}
        onpoint={pointed('STANDS')}
      />
      {#if Math.max(...result.bareKg.p90) > 0}
        <FanYear
          title="Missing a day"
          fan={result.bareKg}
          {scale}
          quantity="mass"
          system={open.system}
          colour="#b3261e"
          height={100}
          summary={`Feed that is missing by day over the simulated years. ${said}`}
        />
      {/if}
    {/if}
  </div>
  {#if result}
    <div class="two">
      <div>
        <h2>How sure, for how much</h2>
        <Choice
          label="Feed is to last in"
          value={share}
          options={SHARES}
          onchange={(v) => {
            share = v;
            void toHold();
          }}
        />
        <SureCurve
          bareKg={result.bareKgByYear}
          dayKg={result.dayKg}
          system={open.system}
          share={Number(share)}
          beside={other?.bareKgByYear}
        />
        <BesidePlan {result} onother={(r) => (other = r)} />
        {#if hold}
          <p data-testid="hold">{holdWords(hold, currency, open.system)}</p>
          <p class="quiet">{holdCostWords(hold, currency)}</p>
          {#if hold.edits.length && open.mayPlan}
            <button class="btn preset-filled-primary-500" onclick={() => open.edit(hold!.edits)}
              >Put it in the plan</button
            >
          {/if}
        {:else}
          <p role="status">
            <progress aria-label="Running the years again"></progress> Running the years again with more
            hay.
          </p>
        {/if}
      </div>
      <div>
        <h2>Look at one of the years</h2>
        <ul>
          {#each result.named as y (y.share)}
            <li>
              <button
                class="btn plain"
                aria-pressed={open.season === y.season}
                onclick={() => open.look(y.season)}>{yearName(y.share)}</button
              >
              <span class="quiet"
                >{y.bareKg < result.dayKg
                  ? 'feed lasts'
                  : `${amount(y.bareKg, 'bulk', open.system)} missing, from ${shortDay(year.start, y.firstBareDay)}`}</span
              >
            </li>
          {/each}
        </ul>
        <label class="field">
          <span>Any of them, from the mildest to the hardest</span>
          <input
            class="range"
            type="range"
            min="0"
            max={result.years - 1}
            value={picked?.rank ?? Math.round(result.years / 2)}
            onchange={(e) => void pick(open.api.yearByRank(id, e.currentTarget.valueAsNumber))}
          />
        </label>
        {#if picked}
          <p data-testid="picked">
            {pickedName(picked.rank, result.years)}: {picked.bareKg < result.dayKg
              ? 'feed lasts'
              : `${amount(picked.bareKg, 'bulk', open.system)} missing`}. Dashed above.
            <button
              class="btn plain"
              aria-pressed={open.season === picked.season}
              onclick={() => open.look(picked!.season)}>Look at it on every screen</button
            >
          </p>
        {/if}
        <p class="quiet fine">
          Or point at it in the pictures above. They stay in the season switch on top, so that every
          screen can be looked at in them.
        </p>
        {#if gauge.length}
          <p data-testid="gauge">{gaugeWords(gauge, result.dayKg, open.system)}</p>
        {/if}
      </div>
    </div>
    <div class="two">
      <TellingDates {result} />
      <WhatDecides {result} holdCost={hold?.cost ?? null} />
    </div>
    <p class="quiet fine">
      A thousand years drawn from the statistics of this climate, the plan as it stands in each:
      nobody in them sells, buys or shuts beyond it. Feed lasts where less than a day’s need is
      missing. The curve counts what is missing; the amount to hold is run through all of the years
      that fell short. It is no forecast.
    </p>
  {/if}
</section>

<style>
  h1 {
    max-width: 60rem;
  }
  .range {
    width: 100%;
    max-width: 30rem;
  }
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 22rem), 1fr));
    gap: 1rem 2rem;
    margin-top: 0.75rem;
  }
  h2 {
    font-size: 1.05rem;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem 0.75rem;
    margin-bottom: 0.3rem;
  }
  li [aria-pressed='true'] {
    background: var(--cobalt);
    color: #ffffff;
  }
  progress {
    width: 12rem;
    height: 0.9rem;
    margin-right: 0.5rem;
    appearance: none;
    border: 1px solid var(--line);
  }
  progress::-webkit-progress-bar {
    background: var(--panel);
  }
  progress::-webkit-progress-value {
    background: var(--cobalt);
  }
  progress::-moz-progress-bar {
    background: var(--cobalt);
  }
</style>
