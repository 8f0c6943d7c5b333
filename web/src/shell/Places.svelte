<script lang="ts">
  import CalendarRange from '@lucide/svelte/icons/calendar-range';
  import Ellipsis from '@lucide/svelte/icons/ellipsis';
  import Footprints from '@lucide/svelte/icons/footprints';
  import ListChecks from '@lucide/svelte/icons/list-checks';
  import Warehouse from '@lucide/svelte/icons/warehouse';
  import { router } from 'svelte-spa-router';
  import Menu from '../form/Menu.svelte';
  import { thePlan } from '../plan/context';
  import { HELPERS, isAt, leading, PLACES, THUMBS } from './places';

  const open = thePlan();

  let { base, narrow }: { base: string; narrow: boolean } = $props();

  const ICONS: Record<string, typeof CalendarRange> = {
    '': CalendarRange,
    '/jobs': ListChecks,
    '/walk': Footprints,
    '/store': Warehouse,
  };
  const thumbs = $derived(open.view?.role === 'HELPER' ? HELPERS : THUMBS);
  const more = $derived(
    leading(
      PLACES.filter((p) => !thumbs.some((t) => t.path === p.path)),
      base,
      router.location,
    ),
  );
</script>

<nav aria-label="Screens" class:narrow>
  {#each narrow ? thumbs : PLACES as { path, name, query = '' } (path)}
    {@const Icon = ICONS[path]}
    <a
      href={`#${base}${path}${query}`}
      aria-current={isAt(router.location, base, path) ? 'page' : undefined}
      >{#if narrow}<Icon size={20} aria-hidden="true" />{/if}{name}</a
    >
  {/each}
  {#if narrow}
    <Menu label="More" offers={more} look="bare" current={more.some((o) => o.current)}>
      {#snippet trigger()}<Ellipsis size={20} aria-hidden="true" />More{/snippet}
    </Menu>
  {/if}
</nav>

<style>
  nav {
    display: flex;
    padding: 0 20px;
    border-top: 1px solid var(--line);
  }
  nav a {
    padding: 0.5rem 0.9rem;
    color: var(--ink);
    text-decoration: none;
    font-weight: 600;
  }
  nav a:hover {
    background: var(--frost);
  }
  nav a[aria-current],
  nav :global(.menu-bare[aria-current]) {
    background: var(--cobalt);
    color: #ffffff;
  }
  .narrow {
    position: fixed;
    inset: auto 0 0 0;
    z-index: 5;
    padding: 0;
    background: var(--panel);
    border-top: 3px solid var(--cobalt);
  }
  .narrow a,
  .narrow :global(.menu-bare) {
    flex: 1 1 0;
    display: flex;
    flex-direction: column;
    align-items: center;
    gap: 0.1rem;
    min-height: 52px;
    padding: 0.35rem 0;
    font-size: 13px;
    font-weight: 600;
  }
</style>
