<script lang="ts">
  import { untrack } from 'svelte';
  import type { ListKind } from '../api/client';
  import { thePlan } from '../plan/context';
  import { copied, cornered, csvOf, filledDown, pasted, cellsOf, type Cells } from './cells';
  import type { Range } from './cells';

  const open = thePlan();

  let {
    list,
    onlook,
  }: {
    list: ListKind;
    /** Somebody wants to see what the table would change. */
    onlook: (csv: string) => void;
  } = $props();

  let cells = $state.raw<Cells>([]);
  let stored = '';
  let chosen = $state<Range>({ row: 1, column: 0, toRow: 1, toColumn: 0 });
  let table = $state<HTMLTableElement>();
  let said = $state('');
  const changed = $derived(cells.length > 0 && csvOf(cells) !== stored);

  $effect(() => {
    const { id, revision } = open.view!;
    void revision;
    const kind = list;
    // what is typed and not taken in stays
    if (untrack(() => changed && kind === shownList)) return;
    open.api
      .list(id, kind)
      .then((text) => {
        if (kind !== list) return;
        cells = cellsOf(text);
        stored = csvOf(cells);
        shownList = kind;
      })
      .catch((e) => (open.error = open.explain(e)));
  });
  let shownList: ListKind | null = null;

  const isChosen = (row: number, column: number) => {
    const r = cornered(chosen);
    return row >= r.row && row <= r.toRow && column >= r.column && column <= r.toColumn;
  };
  const title = (column: string) => column.replace(/_/g, ' ');

  function set(row: number, column: number, value: string) {
    cells = cells.map((r, i) => (i === row ? r.map((c, k) => (k === column ? value : c)) : r));
  }
  function focus(row: number, column: number) {
    table?.querySelector<HTMLInputElement>(`[data-cell="${row}-${column}"]`)?.focus();
  }
  function come(row: number, column: number) {
    chosen = { row, column, toRow: row, toColumn: column };
  }
  function press(e: PointerEvent, row: number, column: number) {
    if (!e.shiftKey) return;
    e.preventDefault();
    chosen = { ...chosen, toRow: row, toColumn: column };
  }
  function stretch(rows: number, columns: number) {
    chosen = {
      ...chosen,
      toRow: Math.max(1, Math.min(cells.length - 1, chosen.toRow + rows)),
      toColumn: Math.max(0, Math.min(cells[0].length - 1, chosen.toColumn + columns)),
    };
  }
  function fill() {
    cells = filledDown(cells, chosen);
    said = 'Filled down.';
  }
  function key(e: KeyboardEvent, row: number, column: number) {
    const command = e.ctrlKey || e.metaKey;
    if (e.shiftKey && (e.key === 'ArrowDown' || e.key === 'ArrowUp')) {
      stretch(e.key === 'ArrowDown' ? 1 : -1, 0);
    } else if (command && e.key.toLowerCase() === 'd') {
      fill();
    } else if (e.key === 'ArrowDown' || e.key === 'Enter') {
      focus(Math.min(cells.length - 1, row + 1), column);
    } else if (e.key === 'ArrowUp') {
      focus(Math.max(1, row - 1), column);
    } else return;
    e.preventDefault();
  }
  function many(): boolean {
    return chosen.row !== chosen.toRow || chosen.column !== chosen.toColumn;
  }
  function copy(e: ClipboardEvent) {
    if (!many()) return; // what is marked inside one cell
    e.clipboardData?.setData('text/plain', copied(cells, chosen));
    e.preventDefault();
    said = 'Copied.';
  }
  function paste(e: ClipboardEvent) {
    const text = e.clipboardData?.getData('text/plain') ?? '';
    if (!many() && !/[\t\n]/.test(text.trimEnd())) return;
    e.preventDefault();
    cells = pasted(cells, chosen, text);
    said = 'Pasted.';
  }
  function addRow() {
    cells = [...cells, new Array<string>(cells[0].length).fill('')];
    said = 'A row was added.';
  }
</script>

{#if cells.length}
  <p class="quiet">
    Copy and paste between here and a spreadsheet. Shift and an arrow, or shift and a click, choose
    several cells; Ctrl D fills them down. Nothing changes in the plan before you have seen it.
  </p>
  <div class="across" tabindex="-1">
    <!-- copy and paste of several cells, whichever of them has the focus -->
    <table bind:this={table} class="grid" oncopy={copy} onpaste={paste} data-testid="grid">
      <thead>
        <tr>
          {#each cells[0] as column (column)}<th scope="col">{title(column)}</th>{/each}
        </tr>
      </thead>
      <tbody>
        {#each cells.slice(1) as row, r (r)}
          <tr>
            {#each row as cell, c (c)}
              <td class:chosen={isChosen(r + 1, c)}>
                <input
                  data-cell={`${r + 1}-${c}`}
                  aria-label={`${title(cells[0][c])}, row ${r + 2}`}
                  value={cell}
                  size={Math.max(4, Math.min(26, cell.length + 1))}
                  readonly={!open.mayPlan}
                  oninput={(e) => set(r + 1, c, e.currentTarget.value)}
                  onfocus={() => come(r + 1, c)}
                  onpointerdown={(e) => press(e, r + 1, c)}
                  onkeydown={(e) => key(e, r + 1, c)}
                />
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <div class="acts">
    <button
      class="btn preset-filled-primary-500"
      disabled={!changed}
      onclick={() => onlook(csvOf(cells))}>See what would change</button
    >
    <button class="btn plain" onclick={fill}>Fill down</button>
    <button class="btn plain" onclick={addRow}>Add a row</button>
    <button class="btn plain" disabled={!changed} onclick={() => (cells = cellsOf(stored))}
      >As it stands in the plan</button
    >
    <span class="quiet" role="status">{said}</span>
  </div>
{/if}

<style>
  .across {
    overflow: auto;
    max-height: 28rem;
    border: 1px solid var(--line);
  }
  .grid {
    border-collapse: collapse;
    font-size: 13px;
  }
  th {
    position: sticky;
    top: 0;
    padding: 0.3rem 0.5rem;
    background: var(--frost);
    text-align: left;
    white-space: nowrap;
  }
  td {
    border: 1px solid var(--line);
    padding: 0;
  }
  td.chosen {
    background: var(--frost);
    outline: 2px solid var(--cobalt);
    outline-offset: -2px;
  }
  input {
    min-height: 1.9rem;
    padding: 0 0.4rem;
    border: 0;
    background: transparent;
    font: inherit;
    font-family: var(--mono);
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    align-items: center;
    margin-top: 0.6rem;
  }
  @media (pointer: coarse) {
    input {
      min-height: 44px;
    }
  }
</style>
