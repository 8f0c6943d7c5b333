<script lang="ts">
  import type { Component } from 'svelte';
  import { onMount, untrack } from 'svelte';
  import { MediaQuery } from 'svelte/reactivity';
  import Router, { push, router, type RouteDefinition } from 'svelte-spa-router';
  import { wrap } from 'svelte-spa-router/wrap';
  import Conflict from './history/Conflict.svelte';
  import Elsewhere from './history/Elsewhere.svelte';
  import Keys from './history/Keys.svelte';
  import { KeyReader } from './history/keys.svelte';
  import { givePlan } from './plan/context';
  import { PlanSession } from './plan/session.svelte';
  import Textures from './ruler/Textures.svelte';
  import { signed } from './people/signed.svelte';
  import { problemText } from './words/refusals';
  import { link } from './device/link.svelte';
  import { queue } from './device/queue.svelte';
  import { version } from './device/version.svelte';
  import SignIn from './people/SignIn.svelte';
  import Away from './shell/Away.svelte';
  import TopBar from './shell/TopBar.svelte';

  const open = givePlan(new PlanSession());

  /** A screen is loaded when somebody goes there. */
  const later = (screen: () => Promise<{ default: Component }>) =>
    wrap({ asyncComponent: screen as never });
  const year = later(() => import('./year/Year.svelte'));
  const planRoutes: RouteDefinition = {
    '/plan/:id': year,
    '/plan/:id/start': later(() => import('./farm/Start.svelte')),
    '/plan/:id/land': later(() => import('./land/Land.svelte')),
    '/plan/:id/land/draw': later(() => import('./land/MapScreen.svelte')),
    '/plan/:id/herd': later(() => import('./herd/Herd.svelte')),
    '/plan/:id/store': later(() => import('./store/Store.svelte')),
    '/plan/:id/gaps': later(() => import('./gaps/GapsScreen.svelte')),
    '/plan/:id/forages': later(() => import('./forage/Forages.svelte')),
    '/plan/:id/prices': later(() => import('./prices/Prices.svelte')),
    '/plan/:id/market': later(() => import('./prices/Market.svelte')),
    '/plan/:id/seasons': later(() => import('./seasons/Seasons.svelte')),
    '/plan/:id/winter': later(() => import('./winter/Winter.svelte')),
    '/plan/:id/jobs': later(() => import('./jobs/Jobs.svelte')),
    '/plan/:id/walk': later(() => import('./walk/WalkScreen.svelte')),
    '/plan/:id/instruments': later(() => import('./instruments/Instruments.svelte')),
    '/plan/:id/instruments/plate': later(() => import('./instruments/StandIn.svelte')),
    '/plan/:id/instruments/station': later(() => import('./instruments/StandIn.svelte')),
    '/plan/:id/papers': later(() => import('./papers/Papers.svelte')),
    '/plan/:id/changes': later(() => import('./history/Changes.svelte')),
    '/plan/:id/people': later(() => import('./people/People.svelte')),
    '/plan/:id/ahead': later(() => import('./ahead/YearsAhead.svelte')),
    '/plan/:id/farm': later(() => import('./farm/Farm.svelte')),
    '*': year,
  };
  /** A phone, held upright: thumbs below, one line above. */
  const narrow = new MediaQuery('max-width: 760px');
  const token = $derived(/^\/invited\/([\w-]+)$/.exec(router.location)?.[1] ?? null);
  const planId = $derived(/^\/plan\/([a-z0-9-]+)/.exec(router.location)?.[1] ?? null);
  /** Whoever has many farms comes in by how they stand. */
  const MANY = 12;
  const morning = $derived(
    router.location === '/morning' || (router.location === '/' && signed.farms.total > MANY),
  );
  const reader = new KeyReader();
  let keysShown = $state(false);

  /** The strip says already that the server is away. */
  const AWAY = problemText({ code: 'offline' }, 'METRIC');
  const error = $derived(link.away !== null && open.error === AWAY ? '' : open.error);

  onMount(() => {
    void queue.load();
    void signed.look();
    void version.install();
    navigator.serviceWorker?.addEventListener('controllerchange', () => {
      void signed.keepThis();
      open.keepLater();
    });
    return link.onback(() => {
      if (!signed.state || signed.error) void signed.look();
    });
  });
  $effect(() => {
    if (signed.state && !signed.who) {
      open.close();
      void untrack(() => open.needCatalogue());
    }
    if (!signed.who || token) return;
    if (planId && planId !== open.view?.id) void open.open(planId);
    if (!planId) open.close();
  });

  function onkey(e: KeyboardEvent) {
    const command = reader.read(e);
    if (!command) return;
    e.preventDefault();
    if (command.kind === 'undo') void open.undo();
    if (command.kind === 'redo') void open.redo();
    if (command.kind === 'help') keysShown = true;
    if (command.kind === 'farms') void push('/');
    if (command.kind === 'place' && planId) void push(`/plan/${planId}${command.path}`);
  }
</script>

<svelte:window onkeydown={onkey} />
<Textures />
<a
  href="#main"
  class="skip"
  onclick={(e) => {
    e.preventDefault();
    document.getElementById('main')?.focus();
  }}>Skip to the content</a
>
<TopBar onkeys={() => (keysShown = true)} narrow={narrow.current} />
<Away />
{#if error}
  <p class="error" role="alert">
    {error} <button class="btn plain" onclick={() => (open.error = '')}>Close</button>
  </p>
{/if}
<main id="main" tabindex="-1" class:thumbs={narrow.current && planId !== null}>
  {#if token}
    {#await import('./people/Invited.svelte') then { default: Invited }}<Invited {token} />{/await}
  {:else if !signed.state}
    <p class="loading" role="status">{signed.error || 'Opening.'}</p>
  {:else if !signed.who}
    <SignIn>
      {#if open.catalogue}
        {#await import('./farm/QuickHay.svelte') then { default: QuickHay }}<QuickHay />{/await}
      {/if}
    </SignIn>
  {:else if !planId && morning}
    {#await import('./morning/Morning.svelte') then { default: Morning }}<Morning />{/await}
  {:else if !planId}
    {#await import('./farm/Farms.svelte') then { default: Farms }}<Farms />{/await}
  {:else if open.view?.id === planId && open.catalogue}
    {#key planId}<Router routes={planRoutes} />{/key}
  {:else if open.error}
    <p class="loading"><a href="#/">To your farms</a></p>
  {:else}
    <p class="loading" role="status">Opening the plan.</p>
  {/if}
</main>
{#if open.conflict?.problem.against}
  <Elsewhere conflict={open.conflict} />
{:else if open.conflict}
  <Conflict conflict={open.conflict} />
{/if}
{#if keysShown}<Keys onclose={() => (keysShown = false)} />{/if}

<style>
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
  /* Room for the thumbs that lie over the end of the page. */
  .thumbs {
    padding-bottom: 64px;
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
