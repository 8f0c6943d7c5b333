<script lang="ts">
  import type { Job, JobMoved } from '../api/client';
  import { thePlan } from '../plan/context';
  import DateField from '../form/DateField.svelte';
  import TextField from '../form/TextField.svelte';
  import { dayOf, today } from '../units/dates';
  import {
    datesWords,
    hoursWords,
    isLate,
    isOpen,
    markWords,
    movedWords,
    waitingWords,
    whoWords,
  } from '../words/jobs';
  import { inUnits } from '../words/cautions';

  let { job, costsKg }: { job: Job; costsKg?: number } = $props();
  const open = thePlan();

  let asking = $state<'' | 'move' | 'drop'>('');
  let to = $state<string | null>(null);
  let why = $state('');
  let moved = $state.raw<JobMoved | null>(null);
  let gone = false;
  $effect(() => () => (gone = true));
  const late = $derived(isLate(job, today()));
  /** What is late turns into what it costs: done today, run on the whole year. */
  let lateCosts = $state.raw<JobMoved | null>(null);
  $effect(() => {
    lateCosts = null;
    const { start, days } = open.view!.year;
    if (late && job.thing && job.kind !== 'OWN' && dayOf(start, today()) < days) {
      const key = job.key;
      void open.api
        .jobMoved(open.view!.id, key, today())
        .then((found) => {
          if (!gone && job.key === key) lateCosts = found;
        })
        .catch((e: unknown) => {
          if (!gone) open.error = open.explain(e);
        });
    }
  });
  const beside = $derived(
    [
      whoWords(job),
      hoursWords(job.hours),
      job.needs ? (job.kind === 'CAUTION' ? job.needs : `needs ${job.needs}`) : '',
    ].filter(Boolean),
  );

  function mark(kind: 'DONE' | 'MOVED' | 'DROPPED', on: string | null = null) {
    return open.write([
      {
        on: today(),
        fact: { kind: 'JOB_MARKED', job: job.key, mark: kind, planned: job.day, to: on, why },
      },
    ]);
  }
  const undo = () =>
    open.write([{ on: today(), fact: { kind: 'STRUCK', record: job.mark!.record, why: '' } }]);

  function ask(what: 'move' | 'drop') {
    asking = asking === what ? '' : what;
    to = null;
    why = '';
    moved = null;
  }
  async function tryDay(day: string | null) {
    to = day;
    moved = null;
    if (!day) return;
    try {
      const answer = await open.api.jobMoved(open.view!.id, job.key, day);
      if (!gone && to === day) moved = answer;
    } catch (e) {
      if (!gone) open.error = open.explain(e);
    }
  }
  /** Written down, and moved in the plan where the person may plan and the plan can take it. */
  async function move() {
    const edits = moved?.edits ?? [];
    if (!(await mark('MOVED', to))) return;
    if (edits.length && open.mayPlan) await open.edit(edits);
    if (!gone) asking = '';
  }
  async function drop() {
    if (await mark('DROPPED')) asking = '';
  }
</script>

<li
  id={`job-${job.key}`}
  class={[job.severity, late && 'late', !isOpen(job) && 'over']}
  data-testid="job"
>
  <div class="line">
    <div>
      <h3>{job.title}</h3>
      <p class="dates">
        {datesWords(job)}{#if late}<strong class="lateword">late</strong>{/if}
      </p>
    </div>
    {#if open.mayWrite}
      <div class="acts">
        {#if isOpen(job)}
          <button
            class="btn preset-filled-primary-500"
            aria-label={`Done: ${job.title}`}
            onclick={() => mark('DONE')}>Done</button
          >
          <button
            class="btn plain"
            aria-expanded={asking === 'move'}
            aria-label={`Move: ${job.title}`}
            onclick={() => ask('move')}>Move</button
          >
          <button
            class="btn plain"
            aria-expanded={asking === 'drop'}
            aria-label={`Drop: ${job.title}`}
            onclick={() => ask('drop')}>Drop</button
          >
        {:else}
          <button class="btn plain" aria-label={`Not so: ${job.title}`} onclick={undo}
            >Not so</button
          >
        {/if}
      </div>
    {/if}
  </div>
  {#if job.mark}<p class="mark">{markWords(job)}</p>{/if}
  {#if isOpen(job)}
    {#if job.why}<p>{job.kind === 'CAUTION' ? inUnits(job.why, open.system) : job.why}</p>{/if}
    {#if lateCosts}
      <p data-testid="late-costs">
        <strong>Done today:</strong>
        {movedWords(lateCosts, job, today(), open.system)}
      </p>
    {:else if costsKg !== undefined}<p>{waitingWords(costsKg, job, open.system)}</p>{/if}
    {#if beside.length}<p class="quiet">{beside.join('; ')}</p>{/if}
    {#if job.kind === 'OWN' && open.mayPlan}
      <button
        class="btn plain small"
        aria-label={`Remove: ${job.title}`}
        onclick={() => open.edit([{ removeJob: job.itemId! }])}>Remove it</button
      >
    {/if}
  {/if}
  {#if asking === 'move'}
    <div class="ask">
      <DateField label="To" value={to} onchange={(v) => void tryDay(v)} />
      <TextField name="marked.why" value={why} oninput={(v) => (why = v)} />
      {#if to && moved}
        <p class="tells" data-testid="moved">{movedWords(moved, job, to, open.system)}</p>
      {/if}
      <button class="btn preset-filled-primary-500" disabled={!to || !moved} onclick={move}
        >{moved?.edits.length && open.mayPlan ? 'Move it, in the plan too' : 'Move it'}</button
      >
    </div>
  {:else if asking === 'drop'}
    <div class="ask">
      <TextField name="marked.why" value={why} oninput={(v) => (why = v)} />
      <button class="btn preset-filled-primary-500" disabled={why.trim() === ''} onclick={drop}
        >Drop it</button
      >
    </div>
  {/if}
</li>

<style>
  li {
    padding: 0.6rem 0.9rem;
    background: var(--panel);
    border: 1px solid var(--line);
    border-left: 4px solid var(--cobalt);
    margin-bottom: 0.5rem;
  }
  li.danger {
    border-left-color: var(--bare);
  }
  li.caution {
    border-left-color: var(--standing);
  }
  li.over {
    border-left-color: var(--line);
    background: transparent;
  }
  li.late {
    border-left-color: var(--bare);
    border-left-width: 8px;
  }
  h3 {
    font-size: 1rem;
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.3rem 1rem;
  }
  .dates {
    font-family: var(--mono);
    font-size: 13px;
  }
  .lateword {
    margin-left: 0.5rem;
    color: var(--bare-dark);
  }
  .acts {
    display: flex;
    gap: 0.35rem;
  }
  p {
    max-width: 52rem;
  }
  .mark {
    font-weight: 600;
  }
  .over h3 {
    font-weight: 400;
  }
  .ask {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
    gap: 0.6rem;
    align-items: end;
    margin-top: 0.5rem;
    max-width: 44rem;
  }
  .ask .tells {
    grid-column: 1 / -1;
  }
  .small {
    min-height: 0;
    padding: 0.15rem 0.5rem;
    font-size: 13px;
  }
  @media (max-width: 760px) {
    .acts {
      width: 100%;
    }
    .acts button {
      flex: 1 1 0;
      min-height: 48px;
    }
  }
</style>
