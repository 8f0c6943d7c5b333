<script lang="ts" module>
  /** A side of what is chosen: its name, and one line that says what is set or read there. */
  export interface Side {
    id: string;
    name: string;
    note?: string;
  }
</script>

<script lang="ts">
  import type { Snippet } from 'svelte';
  import { Tabs } from '@skeletonlabs/skeleton-svelte';

  let {
    sides,
    value = $bindable(),
    label,
    side,
  }: {
    sides: Side[];
    value: string;
    label: string;
    /** Draws the side that is open; the others are not made. */
    side: Snippet<[string]>;
  } = $props();

  const shown = $derived(sides.some((s) => s.id === value) ? value : sides[0].id);
  const note = $derived(sides.find((s) => s.id === shown)?.note);
</script>

<Tabs value={shown} onValueChange={(e) => (value = e.value)} class="sides">
  <Tabs.List class="sides-list" aria-label={label}>
    {#each sides as s (s.id)}
      <Tabs.Trigger value={s.id} class="side">{s.name}</Tabs.Trigger>
    {/each}
  </Tabs.List>
  {#each sides as s (s.id)}
    <Tabs.Content value={s.id} class="side-content">
      {#if s.id === shown}
        {#if note}<p class="quiet fine">{note}</p>{/if}
        {@render side(s.id)}
      {/if}
    </Tabs.Content>
  {/each}
</Tabs>
