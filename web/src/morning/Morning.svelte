<script lang="ts">
  import { onMount } from 'svelte';
  import type { FarmMorning } from '../api/client';
  import TextField from '../form/TextField.svelte';
  import { signed } from '../people/signed.svelte';
  import { usualHere } from '../units/usual';
  import { fileQuery, MEANINGS, progressWords, VERDICTS } from '../words/morning';
  import MorningTable from './MorningTable.svelte';
  import { mornings } from './mornings.svelte';

  let wrong = $state('');
  onMount(() => {
    void mornings.look();
    return () => mornings.leave();
  });

  const units = usualHere(navigator.language).units;
  const page = $derived(mornings.page);
  const progress = $derived(page?.progress);
  /** Some farms were reckoned already while others still wait. */
  const done = $derived(progress ? progress.farms - progress.waiting : 0);
  const lookedFor = $derived(mornings.find.trim() || mornings.verdicts.length || mornings.late);
  const failed = $derived(mornings.error ? signed.explain(mornings.error) : wrong);

  async function attempt(what: () => Promise<void>) {
    wrong = (await signed.attempt(what)) ? '' : signed.error;
  }
  const file = (format: string) => `/api/mornings/file?${fileQuery(mornings.query, units, format)}`;
  const rows = $derived<FarmMorning[]>(mornings.farms);
</script>

<div class="page">
  <header>
    <div>
      <h1>This morning, all farms</h1>
      {#if progress}
        <p class="quiet" role="status">{progressWords(progress)}</p>
      {/if}
    </div>
    <p class="tools">
      {#if progress && progress.changed && !progress.waiting}
        <button
          class="btn preset-filled-primary-500"
          onclick={() => attempt(() => mornings.bringUpToDate())}>Bring up to date</button
        >
      {/if}
      <a class="btn plain" href={file('CSV')} download>CSV</a>
      <a class="btn plain" href={file('XLSX')} download>Spreadsheet</a>
      <a class="btn plain" href="#/farms"
        >{signed.who?.visitor ? 'Demo farms' : 'Make or remove farms'}</a
      >
    </p>
  </header>
  {#if progress?.waiting}
    <progress max={progress.farms} value={done} aria-label="Farms that are reckoned"></progress>
  {/if}
  {#if failed}<p class="wrong" role="alert">{failed}</p>{/if}
  {#if page}
    <div class="ask">
      <div class="find">
        <TextField
          label="Find a farm"
          value={mornings.find}
          oninput={(v) => mornings.change(() => (mornings.find = v))}
        />
      </div>
      <div class="kinds" role="group" aria-label="Show only">
        {#each page.counts as c (c.verdict)}
          {#if c.verdict}
            {@const verdict = c.verdict}
            <button
              class="btn plain"
              aria-pressed={mornings.verdicts.includes(verdict)}
              title={MEANINGS[verdict]}
              onclick={() => mornings.toggle(verdict)}
              >{VERDICTS[verdict]} <b>{c.farms.toLocaleString('en-US')}</b></button
            >
          {/if}
        {/each}
        {#if page.progress.late || mornings.late}
          <button
            class="btn plain"
            aria-pressed={mornings.late}
            onclick={() => mornings.change(() => (mornings.late = !mornings.late))}
            >With a late job <b>{page.progress.late.toLocaleString('en-US')}</b></button
          >
        {/if}
      </div>
    </div>
    {#if rows.length}
      <MorningTable {rows} />
      {#if page.found > rows.length}
        <p class="more">
          <button class="btn plain" onclick={() => attempt(() => mornings.more())}
            >Show more ({(page.found - rows.length).toLocaleString('en-US')} not shown)</button
          >
        </p>
      {/if}
    {:else}
      <p class="panel none">
        {lookedFor
          ? 'No farm is like that.'
          : 'No farm yet. Make one: it takes a name and a place.'}
      </p>
    {/if}
    <p class="quiet fine">
      Each farm by the plan that runs today, or begins next; of several the one changed last. Normal
      (▲): the first day that falls short in a normal year. One in ten (▽): the day by which feed
      has fallen short in a tenth of 200 years of simulated weather, which begin on this morning or
      up to six weeks before it: until then all is supposed to have gone as in a normal year, and as
      it was written down. Late: open jobs whose last day passed within 60 days. Seen: when somebody
      last walked, counted, fed, scored or sampled. Reckoned each night; whoever opens a farm sees
      it as it is.
    </p>
  {:else if !failed}
    <p role="status">Looking how they stand.</p>
  {/if}
</div>

<style>
  .page {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.75rem;
    padding: 1rem 20px 2rem;
  }
  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1.5rem;
    justify-content: space-between;
    align-items: end;
  }
  .tools,
  .kinds {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
  .ask {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem 1.25rem;
    align-items: end;
  }
  .find {
    flex: 0 1 16rem;
  }
  .kinds b {
    font-family: var(--mono);
    margin-left: 0.35rem;
  }
  .kinds [aria-pressed='true'] {
    background: var(--cobalt);
    border-color: var(--cobalt);
    color: #ffffff;
  }
  progress {
    width: 100%;
    height: 8px;
    appearance: none;
    background: var(--line);
  }
  progress::-webkit-progress-bar {
    background: var(--line);
  }
  progress::-webkit-progress-value {
    background: var(--cobalt);
  }
  progress::-moz-progress-bar {
    background: var(--cobalt);
  }
  .none {
    padding: 1rem;
  }
  .more {
    text-align: center;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
