<script lang="ts">
  import { onMount } from 'svelte';
  import type { CalendarPreview, Letters } from '../api/client';
  import { thePlan } from '../plan/context';
  import Choice from '../form/Choice.svelte';
  import { shortDate, today } from '../units/dates';
  import { plural } from '../words/year';

  /** Jobs in the calendar of a phone, from another calendar, and by mail. */
  const open = thePlan();
  const id = open.view!.id;
  let feed = $state.raw<{ on: boolean; path: string | null } | null>(null);
  let letters = $state.raw<Letters | null>(null);
  let found = $state.raw<(CalendarPreview & { name: string }) | null>(null);
  let said = $state('');
  let gone = false;
  onMount(() => {
    void ask();
    return () => (gone = true);
  });

  /** Does it, and says what went wrong. */
  async function attempt(what: () => Promise<void>) {
    said = '';
    try {
      await what();
    } catch (e) {
      if (!gone) open.error = open.explain(e);
    }
  }
  const ask = () =>
    attempt(async () => {
      const [f, l] = await Promise.all([open.api.feed(id), open.api.letters(id, today())]);
      if (gone) return;
      feed = f;
      letters = l;
    });
  const make = () =>
    attempt(async () => {
      const made = await open.api.makeFeed(id);
      if (!gone) feed = made;
    });
  const end = () =>
    attempt(async () => {
      await open.api.endFeed(id);
      if (!gone) feed = { on: false, path: null };
    });
  const want = (days: string) =>
    attempt(async () => {
      const l = await open.api.setLetters(id, today(), days ? Number(days) : null);
      if (!gone) letters = l;
    });
  const read = (input: HTMLInputElement) =>
    attempt(async () => {
      const file = input.files?.[0];
      input.value = '';
      if (!file) return;
      const preview = await open.api.previewCalendar(id, await file.text());
      if (!gone) found = { ...preview, name: file.name };
    });
  async function take() {
    const n = found!.jobs.length;
    if (await open.edit(found!.edits)) {
      found = null;
      said = `${n} ${plural('job', n)} taken in as one change; Undo takes it back.`;
    }
  }
  const address = $derived(feed?.path ? `${location.origin}${feed.path}` : '');
  const DAYS = [
    { id: '', name: 'no letters' },
    { id: '3', name: '3 days ahead' },
    { id: '7', name: 'a week ahead' },
    { id: '14', name: 'two weeks ahead' },
    { id: '30', name: 'a month ahead' },
  ];
</script>

<section class="panel form" aria-labelledby="calendar-title" data-testid="calendar">
  <h2 id="calendar-title">In your calendar</h2>
  <div class="three">
    <div>
      <h3>Out</h3>
      <p>
        <a class="btn plain" href={`/api/plans/${id}/jobs/file`} download>Calendar file (.ics)</a>
      </p>
      <p>
        Or a secret address that a calendar reads by itself, so that it stays as the plan is.
        Whoever has it sees the jobs.
      </p>
      {#if address}
        <p>
          <code data-testid="feed-address">{address}</code>
        </p>
        <p class="quiet fine">Copy it now: it is not shown again. A new one ends this one.</p>
      {:else if feed?.on}
        <p class="quiet">There is one. Only its maker has it; a new one ends it.</p>
      {/if}
      <p>
        <button class="btn plain" onclick={make}>{feed?.on ? 'Make a new one' : 'Make one'}</button>
        {#if feed?.on}<button class="btn plain" onclick={end}>End it</button>{/if}
      </p>
    </div>
    <div>
      <h3>In</h3>
      {#if open.mayPlan}
        <label class="field">
          <span>Calendar file with other jobs (.ics)</span>
          <input
            class="input"
            type="file"
            accept=".ics,text/calendar"
            onchange={(e) => read(e.currentTarget)}
          />
        </label>
        {#if found}
          <p role="status">
            {found.name}: {found.jobs.length}
            {plural('job', found.jobs.length)}{found.left
              ? `; ${found.left} left out, as they are this plan's own, or have no day or name`
              : ''}.
          </p>
          <ul class="fine">
            {#each found.jobs.slice(0, 6) as j (j.id)}<li>{shortDate(j.on)}: {j.what}</li>{/each}
            {#if found.jobs.length > 6}<li>and {found.jobs.length - 6} more</li>{/if}
          </ul>
          {#if found.jobs.length}
            <button class="btn preset-filled-primary-500" onclick={take}>Take them in</button>
          {/if}
          <button class="btn plain" onclick={() => (found = null)}>Leave it</button>
        {/if}
      {:else}
        <p class="quiet">Who may change the plan can take jobs in.</p>
      {/if}
      {#if said}<p role="status">{said}</p>{/if}
    </div>
    <div>
      <h3>By mail</h3>
      {#if letters}
        <Choice
          label="A letter each morning on which something is due"
          value={letters.daysAhead === null ? '' : String(letters.daysAhead)}
          options={DAYS}
          onchange={(v) => void want(v)}
        />
        <p class="quiet fine">{letters.carrier}.</p>
        <details>
          <summary>The letter as it would be sent today</summary>
          {#if letters.next}
            <p class="fine">To {letters.next.to || 'nobody: the demo has no address'}</p>
            <pre>{letters.next.subject}

{letters.next.text}</pre>
          {:else}
            <p>None: nothing is late or due in these days.</p>
          {/if}
        </details>
        {#each letters.sent as s, i (i)}
          <details>
            <summary>{shortDate(s.sentOn)}: {s.subject}</summary>
            <pre>{s.text}</pre>
          </details>
        {/each}
      {/if}
    </div>
  </div>
</section>

<style>
  .three {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 17rem), 1fr));
    gap: 1rem 2rem;
  }
  p {
    margin-top: 0.4rem;
  }
  code {
    overflow-wrap: anywhere;
    font-size: 13px;
  }
  pre {
    white-space: pre-wrap;
    font-size: 13px;
  }
</style>
