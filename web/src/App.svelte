<script lang="ts">
  import Router, { router } from 'svelte-spa-router';
  import { onMount } from 'svelte';
  import { open } from './plan.svelte';
  import Textures from './ruler/Textures.svelte';
  import Farm from './screens/Farm.svelte';
  import Herd from './screens/Herd.svelte';
  import Land from './screens/Land.svelte';
  import Store from './screens/Store.svelte';
  import Year from './screens/Year.svelte';

  const routes = {
    '/': Year,
    '/land': Land,
    '/herd': Herd,
    '/store': Store,
    '/farm': Farm,
    '*': Year,
  };
  const screens = [
    ['/', 'Year'],
    ['/land', 'Land'],
    ['/herd', 'Herd'],
    ['/store', 'Store'],
    ['/farm', 'Farm'],
  ];

  onMount(() => {
    open.open();
  });
</script>

<Textures />
<a
  href="#main"
  class="skip"
  onclick={(e) => {
    e.preventDefault();
    document.getElementById('main')?.focus();
  }}>Skip to the plan</a
>
<header>
  <div class="farm">
    {#if open.view}
      <strong>{open.view.farm.name}</strong>
      <span class="quiet"
        >{open.view.plan.name}{open.view.demo ? ', demo with invented figures' : ''}</span
      >
    {:else}
      <strong>Wise Larder</strong>
    {/if}
  </div>
  <nav aria-label="Screens">
    {#each screens as [path, name] (path)}
      <a href={`#${path}`} aria-current={router.location === path ? 'page' : undefined}>{name}</a>
    {/each}
  </nav>
  <div class="settings">
    <span class="quiet">Normal season</span>
    <button
      class="btn plain"
      onclick={() => (open.system = open.system === 'IMPERIAL' ? 'METRIC' : 'IMPERIAL')}
      aria-label={open.system === 'IMPERIAL'
        ? 'lb, acres. Show in kg, hectares'
        : 'kg, hectares. Show in lb, acres'}
      >{open.system === 'IMPERIAL' ? 'lb, acres' : 'kg, hectares'}</button
    >
  </div>
</header>
{#if open.error}
  <p class="error" role="alert">
    {open.error} <button class="btn plain" onclick={() => (open.error = '')}>Close</button>
  </p>
{/if}
<main id="main" tabindex="-1">
  {#if open.view && open.catalogue}
    <Router {routes} />
  {:else if !open.error}
    <p class="loading" role="status">Opening the plan.</p>
  {/if}
</main>

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 1.5rem;
    background: var(--panel);
    border-bottom: 3px solid var(--cobalt);
    padding: 0 20px;
  }
  .farm {
    display: flex;
    align-items: baseline;
    gap: 0.75rem;
    padding: 0.6rem 0;
  }
  .farm strong {
    color: var(--cobalt);
    font-size: 1.2rem;
  }
  nav {
    display: flex;
    flex: 1;
  }
  nav a {
    padding: 0.85rem 0.9rem;
    color: var(--ink);
    text-decoration: none;
    font-weight: 600;
  }
  nav a:hover {
    background: var(--frost);
  }
  nav a[aria-current] {
    background: var(--cobalt);
    color: #ffffff;
  }
  .settings {
    display: flex;
    align-items: center;
    gap: 0.75rem;
  }
  .error {
    margin: 0.75rem 20px 0;
    padding: 0.5rem 0.9rem;
    background: #ffffff;
    border: 2px solid var(--bare);
  }
  .loading {
    padding: 2rem 20px;
  }
  main:focus {
    outline: none;
  }
  .skip {
    position: absolute;
    left: -999px;
  }
  .skip:focus {
    left: 8px;
    top: 8px;
    background: #ffffff;
    padding: 0.5rem 1rem;
    z-index: 9;
  }
</style>
