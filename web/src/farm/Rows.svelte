<script lang="ts" generics="T extends { id: string }">
  import type { Snippet } from 'svelte';

  let {
    title,
    what,
    more,
    items,
    row,
    said,
    onmore,
    ondrop,
  }: {
    title: string;
    /** What one row is, for whoever hears the screen. */
    what: string;
    more: string;
    items: T[];
    /** The inputs of one row. */
    row: Snippet<[T]>;
    /** The defaults that hold for one row. */
    said: Snippet<[T]>;
    onmore: () => void;
    ondrop: (item: T) => void;
  } = $props();
</script>

<section class="panel" aria-label={title}>
  <h2>{title}</h2>
  {#each items as item, i (item.id)}
    <div class="row">{@render row(item)}</div>
    <p class="quiet">Default: {@render said(item)}</p>
    {#if items.length > 1}
      <button type="button" class="btn plain" onclick={() => ondrop(item)}
        >Drop<span class="visually-hidden"> {what} {i + 1}</span></button
      >
    {/if}
  {/each}
  <button type="button" class="btn plain" onclick={onmore}>{more}</button>
</section>

<style>
  section {
    padding: 1rem;
  }
  .row {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 6.5rem;
    gap: 0.6rem;
    margin-top: 0.5rem;
  }
  p {
    font-size: 13px;
    margin: 0.3rem 0 0.6rem;
  }
</style>
