<script lang="ts">
  import { tick, untrack } from 'svelte';
  import type { Job } from '../api/client';
  import { asked } from '../plan/address';
  import { remembered } from '../device/kept';
  import { thePlan } from '../plan/context';
  import MiniYear from '../plan/MiniYear.svelte';
  import { today } from '../units/dates';
  import { byWeek, headline, isLate, isOpen, weekName, weekOf } from '../words/jobs';
  import { plural } from '../words/year';
  import CalendarBox from './CalendarBox.svelte';
  import JobLine from './JobLine.svelte';
  import MonthSheet from './MonthSheet.svelte';
  import OwnJobForm from './OwnJobForm.svelte';

  const open = thePlan();
  const now = today();

  let jobs = $state.raw<Job[] | null>(null);
  let costs = $state.raw<Record<string, number>>({});
  let all = $state(false);
  let gone = false;
  $effect(() => () => (gone = true));
  /** Each view of the plan is a new one, also after a record. */
  $effect(() => {
    const view = open.view!;
    const units = open.system;
    untrack(() => void ask(view.id, units));
  });
  /** Who came by a mark of the ruler sees its job. */
  async function comeTo() {
    const key = asked('job');
    if (!key) return;
    await tick();
    document.getElementById(`job-${key}`)?.scrollIntoView({ block: 'center' });
  }
  let asking = 0;
  async function ask(id: string, units: 'IMPERIAL' | 'METRIC') {
    const number = ++asking;
    const here = () => !gone && number === asking;
    try {
      const found = await remembered(`jobs ${id} ${units}`, () => open.api.jobs(id, units));
      if (!here()) return;
      const first = jobs === null;
      jobs = found;
      if (first) await comeTo();
      if (!here()) return;
      const { costsKg } = await open.api.jobsWaiting(id);
      if (here()) costs = costsKg;
    } catch (e) {
      if (here()) open.error = open.explain(e);
    }
  }
  const late = $derived((jobs ?? []).filter((j) => isLate(j, now)));
  const shown = $derived((jobs ?? []).filter((j) => (all || isOpen(j)) && !isLate(j, now)));
  const weeks = $derived(byWeek(shown));
  /** Due by the end of this week, or begun. */
  const soon = $derived(weeks.filter((w) => w.monday <= weekOf(now)).flatMap((w) => w.jobs));
  const later = $derived(weeks.filter((w) => w.monday > weekOf(now)));
  const over = $derived((jobs ?? []).filter((j) => !isOpen(j)).length);
  const hours = $derived(shown.reduce((h, j) => h + (isOpen(j) ? j.hours : 0), 0));
</script>

<MiniYear />
<div class="page">
  {#if jobs}
    <header>
      <h1>{headline(jobs, now)}</h1>
      <p class="quiet">
        {jobs.filter(isOpen).length} to do{over ? `, ${over} done or dropped` : ''}{hours >= 1
          ? `; ${Math.round(hours)} ${plural('hour', Math.round(hours))} of one person where they are known`
          : ''}. From the plan as it is, in the season that is looked at.
      </p>
      {#if over}
        <label class="tick"
          ><input type="checkbox" class="checkbox" bind:checked={all} /> Show what is done or dropped</label
        >
      {/if}
    </header>
    {#if late.length}
      <section aria-labelledby="late-title">
        <h2 id="late-title">Late</h2>
        <ul>
          {#each late as j (j.key)}<JobLine job={j} costsKg={costs[j.key]} />{/each}
        </ul>
      </section>
    {/if}
    <section aria-labelledby="today-title">
      <h2 id="today-title">Today and this week</h2>
      {#if soon.length}
        <ul>
          {#each soon as j (j.key)}<JobLine job={j} costsKg={costs[j.key]} />{/each}
        </ul>
      {:else}
        <p class="quiet">Nothing is due.</p>
      {/if}
    </section>
    {#each later as w (w.monday)}
      <section aria-label={weekName(w.monday, now)}>
        <h2>{weekName(w.monday, now)}</h2>
        <ul>
          {#each w.jobs as j (j.key)}<JobLine job={j} costsKg={costs[j.key]} />{/each}
        </ul>
      </section>
    {/each}
    {#if open.mayPlan}<OwnJobForm />{/if}
    <MonthSheet {jobs} today={now} />
    <CalendarBox />
    <p class="quiet fine">
      Days are counted back from the day feed is wanted, from frost, green-up, births and sowing, by
      the product’s defaults; what a week costs is run on the whole year. Label, veterinarian,
      adviser and local code stand above any date here.
    </p>
  {:else}
    <p role="status">Looking what is to be done.</p>
  {/if}
</div>

<style>
  .page {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.9rem;
    padding: 1rem 20px 2rem;
  }
  h2 {
    margin-bottom: 0.4rem;
  }
  ul {
    list-style: none;
  }
  .tick {
    display: inline-flex;
    gap: 0.4rem;
    align-items: center;
    margin-top: 0.3rem;
  }
</style>
