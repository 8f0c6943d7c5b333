<script lang="ts">
  import type { YearView } from '../api/client';
  import { monthName } from '../units/dates';
  import { figure, unitOf, type System } from '../units/units';
  import { LEDGER_COLUMNS, ledgerText } from './ledger';

  let { year, system }: { year: YearView; system: System } = $props();
  const lines = $derived([...year.ledger, { ...year.total, month: '' }]);
  const columns = LEDGER_COLUMNS;
  let told = $state('');
  let table = $state<HTMLElement>();

  /** For a spreadsheet; where the browser lets no page write there, the table is marked instead. */
  async function copy() {
    try {
      await navigator.clipboard.writeText(ledgerText(year, system));
      told = 'Copied, with its units.';
    } catch {
      window.getSelection()?.selectAllChildren(table!);
      told = 'Marked: copy it with Ctrl and C.';
    }
  }
</script>

<p class="copy no-print">
  <button class="btn plain" onclick={copy}>Copy for a spreadsheet</button>
  <span class="quiet" role="status">{told}</span>
</p>
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="wrap" tabindex="0" role="region" aria-label="Ledger">
  <table class="ledger panel" data-testid="ledger" bind:this={table}>
    <caption class="quiet"
      >Dry matter eaten, {unitOf('mass', system)}. Store units are those opened in the month.</caption
    >
    <thead>
      <tr>
        <th scope="col">Month</th>
        {#each columns as [, name] (name)}<th scope="col" class="number">{name}</th>{/each}
        <th scope="col" class="number">Units opened</th>
      </tr>
    </thead>
    <tbody>
      {#each lines as line (line.month)}
        <tr class:total={line.month === ''}>
          <th scope="row">{line.month ? monthName(line.month) : 'Year'}</th>
          {#each columns as [key] (key)}
            <td class={['number', key === 'bareKg' && line.bareKg >= 0.5 && 'bare']}
              >{figure(line[key], 'mass', system)}</td
            >
          {/each}
          <td class="number">{line.unitsOpened.toLocaleString('en-US')}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .wrap {
    padding: 0 20px 1rem;
    overflow-x: auto;
  }
  .copy {
    padding: 0 20px 0.4rem;
  }
  caption {
    text-align: left;
    padding: 0.25rem 0;
  }
  table {
    width: 100%;
  }
  .total > * {
    font-weight: 700;
    border-top: 2px solid var(--cobalt);
    color: var(--ink);
  }
  .bare {
    color: var(--bare-dark);
    font-weight: 700;
  }
</style>
