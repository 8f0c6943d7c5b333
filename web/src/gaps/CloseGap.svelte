<script lang="ts">
  import { onMount } from 'svelte';
  import { type Edit, type Lever } from '../api/client';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { isoOf, lastDay, longDay, shortDate, today } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { amount } from '../units/units';
  import { inSeasonWords, seasonOptions } from '../seasons/names';
  import { LEVER_KINDS, leverTitle, newest } from '../words/levers';
  import { days, storeGaps, verdict } from '../words/year';

  const open = thePlan();
  const BOUGHT_BEFORE_DAYS = 14;

  let { from, ondone }: { from: number; ondone: () => void } = $props();

  let levers = $state<Lever[]>([]);
  let looking = $state(true);
  let chosen = $state<Lever | null>(null);
  const stored = $derived(open.view!.year);
  /** The gap that was asked for, or what is left of it; else the first that there is. */
  const gap = $derived(storeGaps(stored).find((g) => g.lastDay >= from) ?? storeGaps(stored)[0]);
  let buyDate = $state(bought());
  const farm = $derived(open.view!.farm);
  /** Of a kind so many are shown at first: those that bring most. */
  const FIRST = 3;
  let whole = $state<string[]>([]);
  const kinds = $derived(
    (Object.keys(LEVER_KINDS) as Lever['kind'][]).map((kind) => ({
      kind,
      said: LEVER_KINDS[kind],
      ways: levers.filter((l) => l.kind === kind),
    })),
  );
  const wayName = (id: string) => open.catalogue!.losses.find((l) => l.id === id)?.name ?? id;
  const title = (l: Lever) => leverTitle(l, farm, wayName);
  function costText(lever: Lever): string {
    if (!lever.cost) return LEVER_KINDS[lever.kind].costs;
    return `${farm.currency} ${Math.round(lever.cost).toLocaleString('en-US')}`;
  }
  const season = $derived(
    inSeasonWords(open.season, seasonOptions(open.view!.plan, open.records, open.season)),
  );
  const leverKey = (l: Lever) => `${l.kind} ${JSON.stringify(l.edits)}`;
  let chosenKey = $state('');
  const after = $derived(open.trial ? verdict(open.trial, open.system) : null);
  const bareAfter = $derived(open.trial?.total.bareKg ?? 0);

  /** Hay is bought some time before it is wanted, not on the plan's first day. */
  function bought(): string {
    const year = open.view!.year;
    const wanted = storeGaps(year).find((g) => g.lastDay >= from) ?? storeGaps(year)[0];
    return isoOf(year.start, Math.max(0, (wanted?.firstDay ?? 0) - BOUGHT_BEFORE_DAYS));
  }

  /** The screen was left while an answer was on its way: nothing more is asked or read. */
  let gone = false;
  onMount(() => {
    look();
    return () => {
      gone = true;
      open.dropTrial();
    };
  });

  async function look() {
    looking = true;
    chosen = null;
    open.dropTrial();
    try {
      const at = stored.gaps.indexOf(gap);
      const found = gap ? await open.api.levers(open.view!.id, at, buyDate, null) : [];
      if (gone) return;
      levers = found;
    } catch (e) {
      if (!gone) open.error = open.explain(e);
    }
    looking = false;
  }

  function choose(lever: Lever) {
    chosen = $state.snapshot(lever) as Lever;
    chosenKey = leverKey(lever);
    tryChosen();
  }
  function tryChosen() {
    if (chosen) open.tryOut($state.snapshot(chosen).edits as Edit[]);
  }
  async function apply() {
    if (!chosen) return;
    if ((await open.edit($state.snapshot(chosen).edits as Edit[])) && !gone) {
      if (storeGaps(open.view!.year).length === 0) ondone();
      else await look();
    }
  }
  function setUnits(units: number) {
    if (chosen?.edits[0].putPurchase)
      chosen.edits[0].putPurchase.lot.units = Math.max(1, Math.round(units));
    tryChosen();
  }
  function setDate(which: 'fromInclusive' | 'toExclusive', iso: string) {
    const closing = chosen?.edits[0].putClosing;
    if (!closing) return;
    closing[which] = iso;
    if (closing.grazeUntilExclusive && closing.grazeUntilExclusive <= closing.toExclusive) {
      closing.grazeUntilExclusive = null; // opened past its use-by day: it may be eaten to the end
    }
    tryChosen();
  }
  /** What has been put in the plan, or left, is no longer changed by an input that loses its focus. */
  function setFewer(by: { head?: number; date?: string }) {
    const group = chosen?.edits[0].putGroup;
    if (!group) return;
    Object.assign(newest(group.changes), by);
    tryChosen();
  }
  function setDay(of: 'putCut' | 'putDressing', iso: string) {
    const item = chosen?.edits[0][of];
    if (!item) return;
    item.date = iso;
    tryChosen();
  }
  async function moveBuying(iso: string) {
    buyDate = iso;
    await look();
    if (gone) return;
    const hay = levers.find((l) => l.kind === 'BUY_HAY');
    if (hay) choose(hay);
  }
</script>

<section class="panel" aria-labelledby="close-title" data-testid="close-gap">
  <div class="head">
    <h2 id="close-title">
      {#if gap}Ways to close the gap from {longDay(stored.start, gap.firstDay)} to {longDay(
          stored.start,
          gap.lastDay,
        )}{:else}No gap is left{/if}
    </h2>
    <button class="btn plain" onclick={ondone}>Close</button>
  </div>
  {#if looking}
    <p role="status">Trying each way on the whole year.</p>
  {:else if gap}
    <div class="columns">
      <div class="list">
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <div class="scroll" tabindex="0" role="region" aria-label="Ways">
          <table>
            <thead>
              <tr>
                <th scope="col" class="way-column">Way</th>
                <th scope="col">Decide by</th>
                <th scope="col" class="number">Brings</th>
                <th scope="col" class="number">Still bare</th>
                <th scope="col" class="number">Cost</th>
              </tr>
            </thead>
            {#each kinds.filter((k) => k.ways.length) as { kind, said, ways } (kind)}
              <tbody>
                <tr class="kind">
                  <th scope="rowgroup" colspan="5">{said.name}<small>{said.note}</small></th>
                </tr>
                {#each whole.includes(kind) ? ways : ways.slice(0, FIRST) as lever (leverKey(lever))}
                  <tr class:chosen={chosen && chosenKey === leverKey(lever)}>
                    <th scope="row">
                      <button class="btn plain way" onclick={() => choose(lever)}
                        >{title(lever)}</button
                      >
                    </th>
                    <td class="date"
                      >{shortDate(lever.decideBy)}{lever.decideBy < today() ? ', passed' : ''}</td
                    >
                    <td class="number">{amount(lever.bringsKg, 'bulk', open.system)}</td>
                    <td class="number">{days(lever.bareDaysAfter)}</td>
                    <td class={lever.cost ? 'number' : 'owed'}>{costText(lever)}</td>
                  </tr>
                {/each}
                {#if ways.length > FIRST && !whole.includes(kind)}
                  <tr>
                    <th scope="row" colspan="5"
                      ><button class="btn plain way" onclick={() => (whole = [...whole, kind])}
                        >{ways.length - FIRST} more: {said.name.toLowerCase()}</button
                      ></th
                    >
                  </tr>
                {/if}
              </tbody>
            {/each}
          </table>
        </div>
        {#if kinds.some((k) => !k.ways.length)}
          <details class="none">
            <summary>What was looked at and is not offered</summary>
            <ul>
              {#each kinds.filter((k) => !k.ways.length) as { kind, said } (kind)}
                <li><strong>{said.name}</strong>: {said.none}</li>
              {/each}
            </ul>
          </details>
        {/if}
        <p class="quiet">
          Free ways first; each is tried alone on the whole year, and none is offered that brings
          less than a hundredth of the gap. Where a word stands for the cost, the price of it is not
          known here. Decide by: the last day on which it still brings nearly as much. Brings: how
          much less is bare over the year, {season
            ? season.charAt(0).toLowerCase() + season.slice(1)
            : 'in a normal season'}. A shut field leans on the others meanwhile; that is counted.
        </p>
      </div>
      <div class="trial" aria-live="polite">
        {#if chosen}
          <h3>
            {title(chosen)}{#if chosen.kind === 'STOCKPILE' && chosen.edits[0].putClosing}, eaten in
              strips from {shortDate(
                chosen.edits[0].putClosing.toExclusive,
              )}{#if chosen.edits[0].putClosing.grazeUntilExclusive}{` to ${shortDate(
                  lastDay(chosen.edits[0].putClosing.grazeUntilExclusive),
                )}`}{/if}{/if}
          </h3>
          <div class="inputs">
            {#if chosen.kind === 'STOCKPILE' && chosen.edits[0].putClosing}
              <DateField
                label="Shut from"
                value={chosen.edits[0].putClosing.fromInclusive}
                onchange={(v) => v && setDate('fromInclusive', v)}
              />
              <DateField
                label="Open on"
                value={chosen.edits[0].putClosing.toExclusive}
                onchange={(v) => v && setDate('toExclusive', v)}
              />
            {:else if chosen.edits[0].putPurchase}
              <NumberField
                label="Bales"
                quantity="count"
                value={chosen.edits[0].putPurchase.lot.units}
                onchange={(v) => v !== null && setUnits(v)}
              />
              <DateField label="There on" value={buyDate} onchange={(v) => v && moveBuying(v)} />
            {:else if chosen.edits[0].putCut}
              <DateField
                label="Cut on"
                value={chosen.edits[0].putCut.date}
                onchange={(v) => v && setDay('putCut', v)}
              />
            {:else if chosen.edits[0].putDressing}
              <DateField
                label="Spread on"
                value={chosen.edits[0].putDressing.date}
                onchange={(v) => v && setDay('putDressing', v)}
              />
            {:else if chosen.kind === 'SELL' || chosen.kind === 'SEND_AWAY'}
              <NumberField
                label="Head"
                quantity="count"
                value={newest(chosen.edits[0].putGroup!.changes).head}
                onchange={(v) => v !== null && setFewer({ head: Math.max(1, Math.round(v)) })}
              />
              <DateField
                label="On"
                value={newest(chosen.edits[0].putGroup!.changes).date}
                onchange={(v) => v && setFewer({ date: v })}
              />
            {/if}
          </div>
          {#if open.trialError}
            <p class="wrong" role="alert">{open.trialError}</p>
          {:else if after && open.trial}
            <table class="compare" data-testid="compare">
              <thead>
                <tr>
                  <th scope="col">Over the year</th><th scope="col" class="number">Before</th><th
                    scope="col"
                    class="number">After</th
                  ></tr
                >
              </thead>
              <tbody>
                <tr>
                  <th scope="row">Bare</th>
                  <td class="number">{amount(stored.total.bareKg, 'bulk', open.system)}</td>
                  <td class="number">{amount(bareAfter, 'bulk', open.system)}</td>
                </tr>
                <tr>
                  <th scope="row">Bare days</th>
                  <td class="number">{storeGaps(stored).reduce((n, g) => n + g.shortDays, 0)}</td>
                  <td class="number"
                    >{storeGaps(open.trial).reduce((n, g) => n + g.shortDays, 0)}</td
                  >
                </tr>
                <tr>
                  <th scope="row">Stored feed eaten</th>
                  <td class="number"
                    >{amount(
                      stored.total.putByKg + stored.total.boughtInKg,
                      'bulk',
                      open.system,
                    )}</td
                  >
                  <td class="number"
                    >{amount(
                      open.trial.total.putByKg + open.trial.total.boughtInKg,
                      'bulk',
                      open.system,
                    )}</td
                  >
                </tr>
                <tr>
                  <th scope="row">Standing feed eaten</th>
                  <td class="number">{amount(stored.total.standingKg, 'bulk', open.system)}</td>
                  <td class="number">{amount(open.trial.total.standingKg, 'bulk', open.system)}</td>
                </tr>
              </tbody>
            </table>
            <p>
              {after.headline}
              <span class="quiet"
                >{after.closed
                  ? ''
                  : days(storeGaps(open.trial).reduce((n, g) => n + g.shortDays, 0)) +
                    ' bare.'}</span
              >
            </p>
          {/if}
          <button class="btn preset-filled-primary-500" onclick={apply}>Put it in the plan</button>
        {:else}
          <p>
            Choose a way to see the year before and after. Nothing changes until you put it in the
            plan.
          </p>
        {/if}
      </div>
    </div>
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
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
  }
  .columns {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 34rem), 1fr));
    gap: 1.5rem;
  }
  .scroll {
    max-height: 34rem;
    overflow: auto;
  }
  table {
    width: 100%;
  }
  td,
  th {
    padding: 0.2rem 0.5rem;
    border-bottom: 1px solid var(--line);
  }
  .way {
    text-align: left;
    white-space: normal;
    justify-content: flex-start;
    width: 100%;
  }
  .owed {
    text-align: right;
    font-size: 14px;
  }
  .way-column {
    width: 45%;
  }
  .kind th {
    padding-top: 0.7rem;
    color: var(--ink);
    font-weight: 700;
  }
  .kind small {
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
  .inputs {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.75rem;
    margin: 0.4rem 0;
  }
  .compare {
    margin: 0.4rem 0;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
