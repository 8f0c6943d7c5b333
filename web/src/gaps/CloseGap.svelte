<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import type { Gap, Lever, Price } from '../api/client';
  import { thePlan } from '../plan/context';
  import { inSeasonWords, seasonOptions } from '../seasons/names';
  import { lastDay, longDay, shortDate } from '../units/dates';
  import { amount } from '../units/units';
  import { leverTitle, setName } from '../words/levers';
  import { counted, GAP_KINDS, isBulk } from '../words/needs';
  import { causes, days } from '../words/year';
  import CropChooser from './CropChooser.svelte';
  import { sureText } from '../words/sure';
  import InFull from './InFull.svelte';
  import KeepAs from './KeepAs.svelte';
  import MixResult from './MixResult.svelte';
  import PartOfGap from './PartOfGap.svelte';
  import Waiting from './Waiting.svelte';
  import WayInputs from './WayInputs.svelte';
  import WayList from './WayList.svelte';
  import { GapWays, wayKey } from './ways.svelte';

  const open = thePlan();

  let {
    from,
    kind,
    group,
    ondone,
    ongap,
  }: {
    from: number;
    kind: Gap['kind'];
    /** Of whom, where dry matter is not what lacks. */
    group: string | null;
    ondone: () => void;
    ongap: (gap: Gap) => void;
  } = $props();

  const ways = untrack(() => new GapWays(open, from, kind, group));
  const stored = $derived(open.view!.year);
  const farm = $derived(open.view!.farm);
  const gap = $derived(ways.gap);
  const gaps = $derived(ways.gaps);
  const wayName = (id: string) => open.catalogue!.losses.find((l) => l.id === id)?.name ?? id;
  const cropName = (id: string) =>
    (open.forages.find((f) => f.id === id)?.name ?? id).toLowerCase();
  const groupName = $derived(farm.groups.find((g) => g.id === group)?.name ?? '');
  function heading(its: Gap): string {
    const [first, last] = [longDay(stored.start, its.firstDay), longDay(stored.start, its.lastDay)];
    if (kind === 'STORE') return `Ways to close the gap from ${first} to ${last}`;
    if (kind === 'GRAZING') return `${GAP_KINDS[kind].ways}, between ${first} and ${last}`;
    return `${GAP_KINDS[kind].ways}: ${groupName}, ${first} to ${last}`;
  }
  const title = (l: Lever) => leverTitle(l, farm, wayName, cropName);
  const season = $derived(
    inSeasonWords(open.season, seasonOptions(open.view!.plan, open.records, open.season)),
  );
  const tried = $derived(ways.tried);
  const decideBy = $derived(tried.map((t) => t.decideBy).sort()[0] ?? null);

  const SURE = [
    { share: null, name: 'the season looked at' },
    { share: 0.5, name: '5 of 10 years' },
    { share: 0.8, name: '8 of 10 years' },
    { share: 0.9, name: '9 of 10 years' },
    { share: 0.95, name: '19 of 20 years' },
  ];

  let choosing = $state(false);
  let prices = $state.raw<Price[]>([]);
  let gone = false;
  onMount(() => {
    void ways.look();
    void readPrices();
    return () => {
      gone = true;
      ways.leave();
    };
  });
  async function readPrices() {
    try {
      const found = await open.api.prices(open.view!.id);
      if (!gone) prices = found;
    } catch (e) {
      if (!gone) open.error = open.explain(e);
    }
  }

  async function apply() {
    if (!(await ways.apply())) return;
    if (ways.gaps.length === 0) ondone();
    else await ways.look();
  }
</script>

<section class="panel" aria-labelledby="close-title" data-testid="close-gap">
  <div class="head">
    <h2 id="close-title">
      {#if gap}{heading(gap)}{:else}No gap is left{/if}
    </h2>
    {#if gaps.length > 1 && gap}
      <label class="which"
        >Another gap
        <select
          class="select"
          value={String(gap.firstDay)}
          onchange={(e) => {
            const other = gaps.find((g) => String(g.firstDay) === e.currentTarget.value);
            if (other) ongap(other);
          }}
        >
          {#each gaps as g (g.firstDay)}
            <option value={String(g.firstDay)}
              >{longDay(stored.start, g.firstDay)}{isBulk(kind)
                ? `, ${amount(g.shortKg, 'bulk', open.system)}`
                : `, ${days(g.shortDays)}`}</option
            >
          {/each}
        </select></label
      >
    {/if}
    {#if kind === 'STORE' && (gap || ways.sure !== null)}
      <label
        >Closed in
        <select
          class="select"
          disabled={ways.sureBusy}
          value={String(ways.sure ?? '')}
          onchange={(e) => void ways.beSure(Number(e.currentTarget.value) || null)}
        >
          {#each SURE as s (s.share)}
            <option value={String(s.share ?? '')}>{s.name}</option>
          {/each}
        </select></label
      >
    {/if}
    <button class="btn plain" onclick={ondone}>Close</button>
  </div>
  {#if ways.sureBusy}<p role="status">Running the simulated years.</p>{/if}
  {#if ways.years && ways.hardest}<p data-testid="sure">
      {sureText(ways.years, ways.hardest, ways.sure!, open.system)}
    </p>{/if}
  {#if gap}
    <p class="why">
      {#if isBulk(kind)}{amount(gap.shortKg, 'bulk', open.system)}
        {kind === 'STORE' ? 'short' : 'from the store'} on {days(
          gap.shortDays,
        )}.{:else if kind !== 'CONDITION'}{counted(kind, gap.shortKg, open.system)} short on {days(
          gap.shortDays,
        )}.{/if}
      {causes(gap, farm, stored, open.system)
        .slice(0, isBulk(kind) ? 2 : 6)
        .join(' ')}
    </p>
    <PartOfGap {ways} {gap} />
    {#if ways.looking}
      <p class="asking" role="status">
        <progress
          max={ways.progress.all}
          value={ways.progress.done}
          aria-label="Kinds of ways tried"
        ></progress>
        Trying each way on the whole year.
        <button class="btn plain" onclick={() => ways.stop()}>Stop</button>
      </p>
    {/if}
    <div class="columns">
      <WayList {ways} {title} {season} />
      <div class="trial" aria-live="polite">
        {#if kind === 'STORE' && !ways.looking && ways.levers.length && !ways.mix}
          <p class="ask">
            <button
              class="btn preset-filled-primary-500"
              disabled={ways.mixing}
              onclick={() => ways.seekMix()}>Find the cheapest mix</button
            >
            <span class="quiet">of all these ways and hay</span>
          </p>
        {/if}
        {#if ways.mixing}<p role="status">Weighing the ways against each other.</p>{/if}
        {#if ways.mix}<MixResult {ways} {title} />{/if}
        {#if ways.picks.length}
          <div class="set" data-testid="set">
            <h3>Tried together</h3>
            <ul>
              {#each ways.picks as pick (wayKey(pick))}
                <li>
                  {title(pick)}
                  <button
                    class="btn plain"
                    aria-label={`Take out: ${title(pick)}`}
                    onclick={() => ways.toggle(pick)}>Take out</button
                  >
                </li>
              {/each}
            </ul>
          </div>
        {/if}
        {#if ways.chosen}
          <h3>
            {ways.picks.length && tried.length > 1 ? 'and ' : ''}{title(
              ways.chosen,
            )}{#if ways.chosen.kind === 'STOCKPILE' && ways.chosen.edits[0].putClosing}, eaten in
              strips from {shortDate(
                ways.chosen.edits[0].putClosing.toExclusive,
              )}{#if ways.chosen.edits[0].putClosing.grazeUntilExclusive}{` to ${shortDate(
                  lastDay(ways.chosen.edits[0].putClosing.grazeUntilExclusive),
                )}`}{/if}{/if}
          </h3>
          <WayInputs
            way={ways.chosen}
            buyDate={ways.buyDate}
            ontry={() => ways.try()}
            onbuy={(iso) => void ways.moveBuying(iso)}
          />
        {/if}
        {#if ways.trouble}
          <p class="wrong" role="alert">{ways.trouble}</p>
        {/if}
        {#if tried.length && ways.full}
          <InFull full={ways.full} {prices} {ways} />
          {#if decideBy}
            <p>Decide by {shortDate(decideBy)}{tried.length > 1 ? ', the first of them' : ''}.</p>
          {/if}
          {#if ways.chosen && tried.length === 1}
            <Waiting {ways} way={ways.chosen} bringsKg={ways.full.bringsKg} />
          {/if}
          <div class="acts">
            <button class="btn preset-filled-primary-500" onclick={apply}
              >{tried.length > 1 ? 'Put them in the plan' : 'Put it in the plan'}</button
            >
            {#if ways.chosen && !ways.picked(ways.chosen)}
              <button class="btn plain" onclick={() => ways.pickChosen()}>Try others with it</button
              >
            {/if}
            {#if ways.picks.length}
              <button class="btn plain" onclick={() => ways.drop()}>Throw away</button>
            {/if}
            <KeepAs suggested={setName(tried.map(title))} onkeep={(name) => ways.keep(name)} />
          </div>
        {:else if tried.length && !ways.trouble}
          <p role="status">Trying it on the whole year.</p>
        {:else if !tried.length}
          <p>
            Choose a way to see the year before and after; tick several to try them together.
            Nothing changes until you put it in the plan.
          </p>
        {/if}
      </div>
    </div>
    {#if kind === 'STORE'}<details class="crops" bind:open={choosing}>
        <summary><strong>Choose a crop for this gap</strong></summary>
        {#if choosing}<CropChooser {ways} />{/if}
      </details>{/if}
  {/if}
</section>

<style>
  section {
    margin: 0.75rem 20px;
    padding: 0.75rem 1rem;
    border: 2px solid var(--cobalt);
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 0.5rem 1rem;
  }
  .which {
    margin-left: auto;
  }
  .asking progress {
    width: 12rem;
    accent-color: var(--cobalt);
  }
  .asking {
    display: flex;
    align-items: center;
    gap: 0.75rem;
  }
  .crops {
    margin-top: 0.75rem;
    border-top: 1px solid var(--line);
  }
  summary {
    cursor: pointer;
    min-height: 44px;
    padding-top: 0.6rem;
  }
  .why {
    margin-bottom: 0.6rem;
  }
  .columns {
    display: grid;
    grid-template-columns: minmax(0, 5fr) minmax(0, 4fr);
    gap: 1.5rem;
  }
  .trial {
    min-width: 0;
  }
  @media (max-width: 1000px) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  .ask {
    display: flex;
    align-items: center;
    gap: 0.75rem;
    margin-bottom: 0.6rem;
  }
  .set li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
    border-bottom: 1px solid var(--line);
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    margin-top: 0.6rem;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
