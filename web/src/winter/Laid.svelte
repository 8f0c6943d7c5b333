<script lang="ts">
  import type { Snippet } from 'svelte';

  let { page = $bindable(), children }: { page?: HTMLElement; children: Snippet } = $props();
</script>

<!-- What is laid on a field: its drawing with facts beside it, and below what goes into it. -->
<div class="page" bind:this={page}>{@render children()}</div>

<style>
  .page {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(18rem, 25rem);
    /* what the facts are longer than all else goes below it, not between */
    grid-template-rows: repeat(6, auto) 1fr;
    gap: 0.8rem 1rem;
    padding: 0.9rem 20px 2rem;
    align-items: start;
  }
  .page :global(header) {
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1.2rem;
    align-items: center;
    justify-content: space-between;
  }
  .page :global(header p) {
    max-width: 60rem;
  }
  .page :global(h1) {
    font-size: 1.3rem;
  }
  .page :global(.bar),
  .page :global(.pieces),
  .page :global(.row) {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    align-items: end;
  }
  .page :global(.bar button),
  .page :global(.row button) {
    min-height: 44px;
  }
  .page :global(.pieces [aria-pressed='true']) {
    background: var(--frost);
    border-bottom: 3px solid var(--cobalt);
  }
  .page :global(.drawing) {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.5rem;
    min-width: 0;
  }
  .page :global(.every) {
    min-width: 0;
    overflow-x: auto;
  }
  .page :global(.every table) {
    width: 100%;
  }
  .page :global(.every :is(th, td)) {
    padding: 0.2rem 0.6rem;
    text-align: left;
    border-bottom: 1px solid var(--line);
  }
  .page :global(.every td.figure) {
    white-space: nowrap;
    text-align: right;
  }
  .page :global(summary) {
    min-height: 44px;
    padding: 0.6rem 0;
    font-weight: 600;
    cursor: pointer;
  }
  .page :global(.facts) {
    grid-row: 2 / span 6;
    grid-column: 2;
    display: grid;
    gap: 0.6rem;
    min-width: 0;
  }
  .page :global(.panel) {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.4rem;
    padding: 0.7rem 1rem;
    min-width: 0;
  }
  .page :global(dl > div) {
    display: flex;
    justify-content: space-between;
    gap: 0.8rem;
    padding: 0.15rem 0;
  }
  .page :global(dd) {
    white-space: nowrap;
    font-family: var(--mono);
    text-align: right;
  }
  .page :global(.warn) {
    padding-left: 0.6rem;
    border-left: 4px solid var(--bare-dark);
  }
  .page :global(.steps) {
    padding-left: 1.1rem;
    list-style: square;
  }
  .page :global(a) {
    color: var(--cobalt);
    text-decoration: underline;
  }
  @media print {
    .page :global(.every) {
      overflow: visible;
    }
  }
  @media (max-width: 760px) {
    .page {
      grid-template-columns: minmax(0, 1fr);
      grid-template-rows: none;
      padding: 0.8rem 12px 1.5rem;
    }
    .page :global(.facts) {
      grid-row: auto;
      grid-column: 1;
    }
  }
</style>
