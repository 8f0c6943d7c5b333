<script lang="ts">
  import type { Job } from '../api/client';
  import { thePlan } from '../plan/context';
  import Choice from '../form/Choice.svelte';
  import { printAlone } from '../form/printed';
  import { monthName, shortDate } from '../units/dates';
  import { due, hoursWords, isOpen, whoWords } from '../words/jobs';

  /** One month on one sheet, for the barn door. */
  let { jobs, today }: { jobs: Job[]; today: string } = $props();
  const open = thePlan();
  const months = $derived([...new Set(jobs.map((j) => due(j).slice(0, 7)))].sort());
  let chosen = $state('');
  const month = $derived(
    months.includes(chosen)
      ? chosen
      : (months.find((m) => m >= today.slice(0, 7)) ?? months[0] ?? ''),
  );
  const shown = $derived(
    jobs
      .filter((j) => due(j).startsWith(month) && (isOpen(j) || j.mark?.mark === 'DONE'))
      .sort((a, b) => (due(a) < due(b) ? -1 : 1)),
  );
  let part = $state<HTMLElement>();
</script>

{#if month}
  <section class="panel form" aria-labelledby="sheet-title" bind:this={part} data-testid="sheet">
    <h2 id="sheet-title">{open.view!.farm.name}: {monthName(month)}</h2>
    <div class="no-print choose">
      <Choice
        label="Sheet of the month"
        value={month}
        options={months.map((m) => ({ id: m, name: monthName(m) }))}
        onchange={(v) => (chosen = v)}
      />
      <button class="btn plain" onclick={() => printAlone(part!)}>Print the sheet</button>
    </div>
    <table class="ledger">
      <thead>
        <tr
          ><th>Done</th><th>Day</th><th>Job</th><th>Last day</th><th>For</th><th class="number"
            >Time</th
          ></tr
        >
      </thead>
      <tbody>
        {#each shown as j (j.key)}
          <tr>
            <td><span class="box">{j.mark?.mark === 'DONE' ? '✓' : ''}</span></td>
            <td class="nowrap">{shortDate(due(j))}</td>
            <th scope="row">{j.title}</th>
            <td class="nowrap">{j.latest > due(j) ? shortDate(j.latest) : ''}</td>
            <td>{whoWords(j)}</td>
            <td class="number">{hoursWords(j.hours)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
{/if}

<style>
  table {
    width: 100%;
    margin-top: 0.75rem;
  }
  tbody th {
    font-weight: 600;
    color: var(--ink);
  }
  .box {
    display: inline-block;
    width: 1.1rem;
    height: 1.1rem;
    border: 1.5px solid var(--ink);
    text-align: center;
    line-height: 1;
  }
  .nowrap {
    white-space: nowrap;
  }
  .choose {
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: end;
  }
  @media screen and (max-width: 760px) {
    td:nth-child(5),
    th:nth-child(5),
    td:nth-child(4),
    th:nth-child(4) {
      display: none;
    }
  }
</style>
