<script lang="ts">
  import { untrack } from 'svelte';
  import { apiIn, type PlanView, type Revision, type YearView } from '../api/client';
  import { asked, teller } from '../plan/address';
  import { thePlan } from '../plan/context';
  import { plannedThings } from '../plan/planned';
  import { seasonOptions } from '../seasons/names';
  import { longDate } from '../units/dates';
  import { compared, comparedWords, onlyIn } from '../words/compare';

  const open = thePlan();
  const tell = teller();

  let {
    year,
    onbeside,
  }: {
    /** The year as it is shown. */
    year: YearView;
    /** What is drawn beside it, or null. */
    onbeside: (beside: { name: string; year: YearView } | null) => void;
  } = $props();

  const WEEK_MS = 7 * 24 * 3600 * 1000;
  let lines = $state<Revision[]>([]);
  let chosen = $state(untrack(() => asked('beside') ?? ''));
  let beside = $state.raw<{ name: string; year: YearView; view: PlanView | null } | null>(null);
  let all = $state(false);
  let kept = $state('');

  const view = $derived(open.view!);
  const seasons = $derived(
    seasonOptions(view.plan, open.records, open.season).filter((s) => s.key !== open.season),
  );
  /** Earlier states of this plan that somebody may want beside it. */
  const earlier = $derived.by(() => {
    const before = lines.filter((l) => l.whole && l.number < view.revision);
    const weekOld = before.find((l) => Date.now() - Date.parse(l.at) >= WEEK_MS);
    return [
      ...(before[0] ? [{ number: before[0].number, name: 'before the last change' }] : []),
      ...(weekOld ? [{ number: weekOld.number, name: 'as it stood a week ago' }] : []),
    ];
  });
  const rows = $derived(beside ? compared(year, beside.year, open.system, view.farm.currency) : []);
  const shownRows = $derived(all ? rows : rows.filter((r) => r.difference));
  const things = (of: PlanView) =>
    plannedThings(
      of,
      of.year,
      (id) => open.forages.find((f) => f.id === id)?.name ?? id,
      open.system,
    ).map((t) => t.text);
  const onlyHere = $derived(beside?.view ? onlyIn(things(view), things(beside.view)) : []);
  const onlyThere = $derived(beside?.view ? onlyIn(things(beside.view), things(view)) : []);
  const otherDays = $derived(
    beside && (beside.year.start !== year.start || beside.year.days !== year.days)
      ? `It runs over ${beside.year.days} days from ${longDate(beside.year.start)} ${beside.year.start.slice(0, 4)}: ` +
          'compare its figures with that in mind.'
      : '',
  );

  $effect(() => {
    void view.revision;
    void open.season;
    void chosen;
    untrack(() => void look());
  });

  /** Asked for when somebody is about to choose, and not at every change. */
  async function needLines() {
    try {
      lines = await open.api.history(view.id, null);
    } catch (e) {
      open.error = open.explain(e);
    }
  }
  untrack(() => void needLines());

  async function look() {
    const asked = chosen;
    try {
      const there = await fetched(asked);
      // something else was chosen while this was on its way
      if (asked !== chosen) return;
      beside = there;
    } catch (e) {
      open.error = open.explain(e);
      beside = null;
    }
    tell({ beside: beside ? chosen : null });
    onbeside(beside);
  }

  async function fetched(key: string): Promise<typeof beside> {
    const [kind, ...rest] = key.split(':');
    const which = rest.join(':');
    if (kind === 'plan') {
      const other = await open.api.plan(which);
      return { name: other.plan.name, year: other.year, view: other };
    }
    if (kind === 'season') {
      const there = await apiIn({ season: which }).plan(view.id);
      const name = seasons.find((s) => s.key === which)?.name ?? which;
      return { name, year: there.year, view: null };
    }
    if (kind === 'change') {
      const name = earlier.find((e) => String(e.number) === which)?.name ?? `change ${which}`;
      return {
        name: `this plan ${name}`,
        year: await open.api.at(view.id, Number(which)),
        view: null,
      };
    }
    return null;
  }

  async function keep() {
    const on = new Date().toLocaleDateString('en-GB', {
      day: 'numeric',
      month: 'long',
      year: 'numeric',
    });
    const name = `${view.plan.name}, as agreed on ${on}`;
    try {
      await open.api.copy(view.id, name);
      await open.again();
      kept = `Kept as “${name}”.`;
    } catch (e) {
      open.error = open.explain(e);
    }
  }
</script>

<div class="bar">
  <label
    >Beside it
    <select class="select" bind:value={chosen} onfocus={needLines}>
      <option value="">nothing</option>
      {#if view.others.length}
        <optgroup label="Plans of this farm">
          {#each view.others as other (other.id)}
            <option value={`plan:${other.id}`}>{other.name}</option>
          {/each}
        </optgroup>
      {/if}
      {#if earlier.length}
        <optgroup label="This plan earlier">
          {#each earlier as e (e.name)}
            <option value={`change:${e.number}`}>{e.name}</option>
          {/each}
        </optgroup>
      {/if}
      <optgroup label="This plan in another season">
        {#each seasons as s (s.key)}
          <option value={`season:${s.key}`}>{s.name}</option>
        {/each}
      </optgroup>
    </select></label
  >
  {#if open.mayPlan}
    <button class="btn plain" onclick={keep}>Keep as agreed today</button>
  {/if}
  {#if kept}<span class="quiet" role="status">{kept}</span>{/if}
</div>
{#if beside}
  <section class="panel" aria-label="Beside each other" data-testid="beside">
    <p>
      Against <strong>{beside.name}</strong>: {comparedWords(year, beside.year, open.system)}
      {otherDays}
    </p>
    {#if onlyHere.length || onlyThere.length}
      <p class="quiet">
        {#if onlyHere.length}Only here: {onlyHere.join('; ')}.{/if}
        {#if onlyThere.length}Only there: {onlyThere.join('; ')}.{/if}
      </p>
    {/if}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="scroll" tabindex="0" role="region" aria-label="Figures beside each other">
      <table>
        <thead>
          <tr>
            <th scope="col">{shownRows.length ? 'What differs' : 'No figure differs'}</th>
            <th scope="col" class="number">here</th>
            <th scope="col" class="number">there</th>
            <th scope="col" class="number">here it is</th>
          </tr>
        </thead>
        <tbody>
          {#each shownRows as r (r.name)}
            <tr>
              <th scope="row">{r.name}</th>
              <td class="number">{r.here}</td>
              <td class="number">{r.there}</td>
              <td class="number">{r.difference}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    <button class="btn plain" aria-pressed={all} onclick={() => (all = !all)}
      >{all ? 'Only what differs' : 'All figures'}</button
    >
  </section>
{/if}

<style>
  .bar {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.4rem 0.75rem;
  }
  label {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    font-size: 14px;
  }
  .select {
    width: auto;
    max-width: min(10rem, 60vw);
  }
  section {
    flex-basis: 100%;
    padding: 0.6rem 0.9rem;
  }
  .scroll {
    overflow-x: auto;
    margin: 0.4rem 0;
  }
  table {
    border-collapse: collapse;
    font-size: 14px;
  }
  th,
  td {
    padding: 0.15rem 1.2rem 0.15rem 0;
    text-align: left;
  }
  .number {
    text-align: right;
    font-family: var(--mono);
  }
</style>
