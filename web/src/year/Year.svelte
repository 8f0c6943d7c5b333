<script lang="ts">
  import { flushSync, onDestroy, untrack } from 'svelte';
  import Printer from '@lucide/svelte/icons/printer';
  import { innerWidth } from 'svelte/reactivity/window';
  import type { Field, Job, Outlook, ShelvesAsked, YearView } from '../api/client';
  import ActPanel from '../land/ActPanel.svelte';
  import type { Act, Doing } from '../land/acts';
  import Ledger from '../papers/Ledger.svelte';
  import { asked, teller } from '../plan/address';
  import { thePlan } from '../plan/context';
  import { nextText, plannedThings } from '../plan/planned';
  import Planned from '../plan/Planned.svelte';
  import JobMarks from '../ruler/JobMarks.svelte';
  import Ruler from '../ruler/Ruler.svelte';
  import { CLIP_ID, movedSpan, rulerScale, zoomed, type Span } from '../ruler/scale';
  import StoreLevel from '../ruler/StoreLevel.svelte';
  import { inSeasonWords, seasonOptions } from '../seasons/names';
  import { dayOf, longDay, today } from '../units/dates';
  import { daySentence, surplus } from '../words/day';
  import { missing } from '../words/missing';
  import { movesOf, movesText } from '../words/moves';
  import { amount } from '../units/units';
  import { storeGaps, verdict } from '../words/year';
  import Cautions from './Cautions.svelte';
  import Conflicts from './Conflicts.svelte';
  import Counted from './Counted.svelte';
  import Compare from './Compare.svelte';
  import GroupLanes from './GroupLanes.svelte';
  import Ahead from './Ahead.svelte';
  import Lanes from './Lanes.svelte';
  import Standing from './Standing.svelte';
  import Stocking from './Stocking.svelte';

  const open = thePlan();
  const tell = teller();

  /** Views of one and the same result. */
  type View = 'picture' | 'ledger' | 'cover' | 'ahead' | 'stocking';
  const VIEWS: { id: View; name: string }[] = [
    { id: 'picture', name: 'Shelves' },
    { id: 'ledger', name: 'Ledger' },
    { id: 'cover', name: 'Cover' },
    { id: 'ahead', name: 'Days ahead' },
    { id: 'stocking', name: 'Stocking' },
  ];
  /** Shelves that are shown in another measure or of one group. */
  let wanted = $state.raw<ShelvesAsked | null>(null);
  let plain = $state(true);
  onDestroy(
    open.shows(
      ['FIELDS', 'GROUPS'],
      () => doing?.field.id ?? null,
      () => wanted,
    ),
  );

  /** What fits between the margins of a landscape sheet, A4 or letter. */
  const PAPER_PX = 980;
  let width = $state(1280);
  let shown = $state<View>(
    untrack(() => VIEWS.find((v) => v.id === asked('view'))?.id ?? 'picture'),
  );
  let outlook = $state.raw<Outlook | null>(null);
  let span = $state<Span>(untrack(() => ({ from: 0, to: open.view!.year.days })));
  /** The day that is read off; the pointer and the arrow keys move it. */
  let at = $state(untrack(firstRead));
  let doing = $state<{ field: Field; what: Doing } | null>(null);
  /** Another year, dashed over this one. */
  let beside = $state.raw<{ name: string; year: YearView } | null>(null);
  let picture = $state<HTMLElement>()!;
  const year = $derived(open.year);
  const narrow = $derived(innerWidth.current !== undefined && innerWidth.current < 700);
  const said = $derived(verdict(year, open.system));
  const inView = $derived(span.to > year.days ? { from: 0, to: year.days } : span);
  const scale = $derived(rulerScale(width, year.days, width < 700 ? 92 : 184, 10, inView));
  const next = $derived(
    nextText(
      plannedThings(
        open.view!,
        year,
        (id) => open.forages.find((f) => f.id === id)?.name ?? id,
        open.system,
      ),
      year,
      today(),
    ),
  );
  const season = $derived(
    inSeasonWords(open.season, seasonOptions(open.view!.plan, open.records, open.season)),
  );
  const gap = $derived(storeGaps(year)[0]);
  const inPlan = $derived(Math.min(at, year.days - 1));
  const unsaid = $derived(
    missing(
      open.view!,
      open.forages.filter((f) => f.cropResidue || f.fallow).map((f) => f.id),
    ),
  );
  const moves = $derived(movesOf(year.groups));
  const reading = $derived(
    daySentence(year, inPlan, open.system) +
      movesText(moves, inPlan, open.view!.farm.groups, open.view!.farm.fields),
  );
  /** Of a plan in which nobody was fed yet there is nothing to lay over. */
  const ghost = $derived([beside?.year, open.ghost].find((y) => y && y.total.needKg > 0) ?? null);
  const flush = $derived(surplus(year));
  const fate = $derived.by(() => {
    const sum = (of: 'cutKg' | 'wastedKg' | 'weatheredKg') =>
      amount(
        year.fields.reduce((kg, f) => kg + f[of], 0),
        'bulk',
        open.system,
      );
    return flush
      ? `More grows than is grazed from ${longDay(year.start, flush.fromDay)} to ${longDay(year.start, flush.toDay - 1)}: ${amount(flush.kg, 'bulk', open.system)}. Over the plan stock tread down ${sum('wastedKg')}, ${sum('cutKg')} are cut, ${sum('weatheredKg')} are lost to age and weather.`
      : '';
  });

  const WINDOWS: { name: string; days: number }[] = [
    { name: 'all', days: Infinity },
    { name: 'season', days: 120 },
    { name: 'month', days: 31 },
    { name: 'week', days: 7 },
  ];
  const windowShown = $derived(
    WINDOWS.find((w) => inView.to - inView.from === Math.min(w.days, year.days))?.name ?? '',
  );

  let jobs = $state.raw<Job[]>([]);
  $effect(() => {
    const view = open.view!;
    const units = open.system;
    untrack(() => void askJobs(view.id, units));
  });
  let askedJobs = 0;
  async function askJobs(id: string, units: 'IMPERIAL' | 'METRIC') {
    const number = ++askedJobs;
    try {
      const found = await open.api.jobs(id, units);
      if (number === askedJobs) jobs = found;
    } catch (e) {
      if (number === askedJobs) open.error = open.explain(e);
    }
  }
  onDestroy(() => (askedJobs = -1));

  /** What the other views show is asked for once somebody wants to see it. */
  $effect(() => {
    void open.view!.revision;
    void open.season;
    if (shown !== 'picture' && shown !== 'ledger') untrack(() => void lookAhead());
  });
  let asking = 0;
  async function lookAhead() {
    const number = ++asking;
    try {
      const answer = await open.api.outlook(open.view!.id);
      if (number === asking) outlook = answer;
    } catch (e) {
      open.error = open.explain(e);
    }
  }
  function view(next: View) {
    shown = next;
    tell({ view: next === 'picture' ? null : next });
  }
  function firstRead(): number {
    const y = open.view!.year;
    const now = dayOf(y.start, today());
    return now >= 0 && now < y.days ? now : (storeGaps(y)[0]?.firstDay ?? 0);
  }
  function show(days: number) {
    const shownNow = inView.to - inView.from;
    span = zoomed(inView, year.days, Math.min(days, year.days) / shownNow, at);
  }
  function read(day: number) {
    at = Math.max(0, Math.min(year.days - 1, day));
    if (at < inView.from) span = movedSpan(inView, year.days, at - inView.from);
    if (at >= inView.to) span = movedSpan(inView, year.days, at - inView.to + 1);
  }
  const pointedDay = (clientX: number) => scale.day(clientX - picture.getBoundingClientRect().left);

  /** Two fingers: apart and together zoom, along pans. */
  const fingers: Record<number, number> = {};
  function press(e: PointerEvent) {
    if (e.pointerType === 'touch') fingers[e.pointerId] = e.clientX;
  }
  function hover(e: PointerEvent) {
    if (e.pointerId in fingers && Object.keys(fingers).length === 2) {
      const [a, b] = Object.values(fingers);
      fingers[e.pointerId] = e.clientX;
      const [c, d] = Object.values(fingers);
      const factor = Math.max(20, Math.abs(a - b)) / Math.max(20, Math.abs(c - d));
      span = zoomed(inView, year.days, factor, pointedDay((c + d) / 2));
      return;
    }
    if (e.clientX - picture.getBoundingClientRect().left > scale.left)
      at = Math.min(year.days - 1, pointedDay(e.clientX));
  }
  function lift(e: PointerEvent) {
    delete fingers[e.pointerId];
  }
  function wheel(e: WheelEvent) {
    if (e.ctrlKey || e.metaKey) {
      e.preventDefault();
      span = zoomed(inView, year.days, Math.exp(e.deltaY / 300), pointedDay(e.clientX));
    } else if (Math.abs(e.deltaX) > Math.abs(e.deltaY) && inView.to - inView.from < year.days) {
      e.preventDefault();
      span = movedSpan(inView, year.days, (e.deltaX / width) * (inView.to - inView.from));
    }
  }
  // the wheel is held back only where it zooms, which a passive listener may not
  function zooms(node: HTMLElement) {
    node.addEventListener('wheel', wheel, { passive: false });
    return () => node.removeEventListener('wheel', wheel);
  }
  function key(e: KeyboardEvent) {
    const steps: Record<string, number> = {
      ArrowLeft: -1,
      ArrowRight: 1,
      PageDown: -30,
      PageUp: 30,
    };
    if (e.key in steps) read(at + steps[e.key]);
    else if (e.key === 'Home') read(0);
    else if (e.key === 'End') read(year.days - 1);
    else if (e.key === '+' || e.key === '=') span = zoomed(inView, year.days, 0.5, at);
    else if (e.key === '-') span = zoomed(inView, year.days, 2, at);
    else return;
    e.preventDefault();
  }
  function act(field: Field, what: Act, day: number | null) {
    doing = { field, what: { act: what, day, change: null } };
  }
</script>

<svelte:window
  onbeforeprint={() => flushSync(() => (width = PAPER_PX))}
  onafterprint={() => (width = picture.clientWidth)}
/>
<svg width="0" height="0" class="visually-hidden" aria-hidden="true">
  <clipPath id={CLIP_ID}>
    <rect
      x={scale.left}
      y="-20"
      width={Math.max(0, scale.width - scale.left - scale.right)}
      height="2000"
    />
  </clipPath>
</svg>
<section class="verdict" aria-live="polite">
  <div class="said">
    {#if season}<p class="season" data-testid="verdict-season">{season}:</p>{/if}
    <h1 data-testid="verdict" class:welfare={said.welfare}>{said.headline}</h1>
    <p class="quiet" data-testid="verdict-detail">{said.detail}</p>
    {#if next}<p class="next" data-testid="verdict-next">{next}</p>{/if}
    {#if unsaid.length && open.mayPlan && !open.view!.demo}
      <p class="quiet no-print unsaid" data-testid="unsaid">
        Taken as usual until you say it: {#each unsaid as m, i (m.to)}<a
            href={`#/plan/${open.view!.id}/${m.to}`}>{m.text}</a
          >{i < unsaid.length - 1 ? ', ' : '.'}{/each}
      </p>
    {/if}
  </div>
  {#if open.view!.farm.groups.length === 0 && open.mayPlan}
    <a class="btn preset-filled-primary-500" href={`#/plan/${open.view!.id}/start`}
      >Get a first answer</a
    >
  {/if}
  {#if gap && open.mayPlan}
    <a
      class="btn preset-filled-primary-500"
      href={`#/plan/${open.view!.id}/gaps?from=${gap.firstDay}`}>Close this gap</a
    >
  {/if}
</section>

<div class="views no-print">
  {#if narrow}
    <select
      class="select"
      aria-label="View"
      value={shown}
      onchange={(e) => view(e.currentTarget.value as View)}
    >
      {#each VIEWS as v (v.id)}<option value={v.id}>{v.name}</option>{/each}
    </select>
  {:else}
    <div class="pair" role="group" aria-label="View">
      {#each VIEWS as v (v.id)}
        <button class="btn plain" aria-pressed={shown === v.id} onclick={() => view(v.id)}
          >{v.name}</button
        >
      {/each}
    </div>
    <Compare {year} onbeside={(x) => (beside = x)} />
    <button class="btn plain" aria-label="Print" onclick={() => window.print()}
      ><Printer size={18} aria-hidden="true" /></button
    >
  {/if}
  {#if shown !== 'ledger'}
    <div class="windows" role="group" aria-label="Days in view">
      {#each WINDOWS as w (w.name)}
        <button aria-pressed={windowShown === w.name} onclick={() => show(w.days)}>{w.name}</button>
      {/each}
    </div>
  {/if}
</div>

{#if shown === 'ledger'}
  <Ledger {year} system={open.system} />
{:else}
  <div class="ruler">
    <!-- what the pointer reads off and zooms, the mark below and its keys do too -->
    <!-- svelte-ignore a11y_no_static_element_interactions -->
    <div
      bind:clientWidth={width}
      bind:this={picture}
      class="picture"
      {@attach zooms}
      onpointermove={hover}
      onpointerdown={press}
      onpointerup={lift}
      onpointercancel={lift}
      onpointerleave={lift}
    >
      <div class="sticky">
        <Ruler {year} {scale} />
        <JobMarks
          {jobs}
          start={year.start}
          {scale}
          base={`/plan/${open.view!.id}`}
          today={today()}
        />
      </div>
      <div
        class="reading"
        role="slider"
        tabindex="0"
        aria-label="Day that is read off: arrows move it, plus and minus zoom"
        aria-valuemin="0"
        aria-valuemax={year.days - 1}
        aria-valuenow={at}
        aria-valuetext={reading}
        data-testid="reading"
        onkeydown={key}
      >
        {reading}
      </div>
      {#if shown === 'picture'}
        <Counted
          {year}
          {ghost}
          {scale}
          {at}
          onask={(asked) => (wanted = asked)}
          onplain={(is) => (plain = is)}
        />
        <!-- its line is kept free, so that nothing below moves when a try is answered -->
        {#if plain}
          <p class="fate quiet dashed">
            {#if ghost}Dashed: fed {beside
                ? `in ${beside.name}`
                : open.trial
                  ? 'as the plan stands'
                  : 'before the last change'}.{/if}
          </p>
        {/if}
        {#if fate}<p class="fate quiet" data-testid="surplus">{fate}</p>{/if}
        <GroupLanes {year} {scale} {at} />
        <Lanes {year} {scale} {at} onact={act} />
        <StoreLevel {year} {scale} system={open.system} />
      {:else if !outlook}
        <p class="fate quiet" role="status">Reading it off the year.</p>
      {:else if shown === 'cover'}
        <Standing {year} {outlook} {scale} at={inPlan} />
      {:else if shown === 'ahead'}
        <Ahead {year} {outlook} {scale} at={inPlan} />
      {:else}
        <Stocking {year} {outlook} {scale} at={inPlan} />
      {/if}
    </div>
    {#if doing}
      <aside aria-label="What to do">
        {#key doing}
          <ActPanel field={doing.field} doing={doing.what} ondone={() => (doing = null)} />
        {/key}
      </aside>
    {/if}
  </div>
{/if}

{#if narrow}
  <div class="beside no-print"><Compare {year} onbeside={(x) => (beside = x)} /></div>
{/if}
<div class="below">
  <div>
    <Conflicts {year} />
    <Planned />
  </div>
  <Cautions {year} />
</div>

<style>
  .verdict {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 0.75rem 2rem;
    padding: 0.9rem 20px 0.6rem;
  }
  .welfare {
    font-size: clamp(1.6rem, 3.4vw, 2.4rem);
    color: var(--bare);
  }
  .said {
    flex: 1 1 18rem;
  }
  .next {
    font-weight: 600;
  }
  .unsaid a {
    text-decoration: underline;
  }
  .season {
    font-weight: 700;
    color: var(--cobalt);
  }
  .views {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.5rem 0.75rem;
    padding: 0 20px 0.5rem;
  }
  .pair {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
  .pair [aria-pressed='true'] {
    background: var(--cobalt);
    color: #ffffff;
  }
  .views .select {
    width: auto;
  }
  .beside {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    padding: 1rem 20px 0;
  }
  .windows {
    display: flex;
    margin-left: auto;
  }
  .windows button {
    padding: 0.3rem 0.6rem;
    min-height: 2.25rem;
    color: var(--quiet);
    cursor: pointer;
  }
  .windows [aria-pressed='true'] {
    color: var(--ink);
    font-weight: 700;
  }
  .windows button:hover {
    background: var(--frost);
  }
  .picture {
    overflow-x: clip;
    touch-action: pan-y;
  }
  .sticky {
    position: sticky;
    top: 0;
    z-index: 2;
    background: var(--ground);
    border-top: 1px solid var(--line);
  }
  .reading {
    padding: 0.35rem 20px;
    min-height: 1.9rem;
    font-size: 14px;
  }
  .reading:focus-visible {
    outline-offset: -3px;
  }
  .fate {
    padding: 0.25rem 20px 0;
    font-size: 13px;
  }
  .dashed {
    min-height: calc(0.25rem + 1.4em);
  }
  aside {
    position: fixed;
    right: 0;
    top: 0;
    bottom: 0;
    z-index: 6;
    width: min(30rem, 100vw);
    overflow-y: auto;
    padding: 1rem;
    background: var(--ground);
    border-left: 3px solid var(--cobalt);
  }
  .below {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 26rem), 1fr));
    gap: 1rem;
    padding: 1rem 20px 2rem;
  }
  @media (max-width: 760px) {
    aside {
      top: auto;
      max-height: 70vh;
      border-left: 0;
      border-top: 3px solid var(--cobalt);
    }
    .views {
      flex-wrap: nowrap;
      gap: 0.4rem;
    }
    .windows button {
      min-height: 44px;
      padding: 0.3rem 0.4rem;
    }
  }
</style>
