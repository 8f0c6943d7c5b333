<script lang="ts">
  import Router, { push, router } from 'svelte-spa-router';
  import { onMount } from 'svelte';
  import Conflict from './history/Conflict.svelte';
  import Elsewhere from './history/Elsewhere.svelte';
  import Keys from './history/Keys.svelte';
  import { KeyReader } from './history/keys.svelte';
  import MapScreen from './land/MapScreen.svelte';
  import { givePlan } from './plan/context';
  import { PlanSession } from './plan/session.svelte';
  import Textures from './ruler/Textures.svelte';
  import Changes from './history/Changes.svelte';
  import Farm from './farm/Farm.svelte';
  import Farms from './farm/Farms.svelte';
  import Forages from './forage/Forages.svelte';
  import Herd from './herd/Herd.svelte';
  import Land from './land/Land.svelte';
  import Papers from './papers/Papers.svelte';
  import People from './people/People.svelte';
  import Seasons from './seasons/Seasons.svelte';
  import Start from './farm/Start.svelte';
  import Store from './store/Store.svelte';
  import Year from './year/Year.svelte';
  import { signed } from './people/signed.svelte';
  import Invited from './people/Invited.svelte';
  import SignIn from './people/SignIn.svelte';
  import TopBar from './TopBar.svelte';

  const open = givePlan(new PlanSession());

  const planRoutes = {
    '/plan/:id': Year,
    '/plan/:id/start': Start,
    '/plan/:id/land': Land,
    '/plan/:id/map': MapScreen,
    '/plan/:id/herd': Herd,
    '/plan/:id/store': Store,
    '/plan/:id/forages': Forages,
    '/plan/:id/seasons': Seasons,
    '/plan/:id/papers': Papers,
    '/plan/:id/changes': Changes,
    '/plan/:id/people': People,
    '/plan/:id/farm': Farm,
    '*': Year,
  };
  const token = $derived(/^\/invited\/([\w-]+)$/.exec(router.location)?.[1] ?? null);
  const planId = $derived(/^\/plan\/([a-z0-9-]+)/.exec(router.location)?.[1] ?? null);
  const reader = new KeyReader();
  let keysShown = $state(false);

  onMount(() => {
    void signed.look();
  });
  $effect(() => {
    if (signed.state && !signed.who) open.close();
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
<TopBar onkeys={() => (keysShown = true)} />
{#if open.error}
  <p class="error" role="alert">
    {open.error} <button class="btn plain" onclick={() => (open.error = '')}>Close</button>
  </p>
{/if}
<main id="main" tabindex="-1">
  {#if token}
    <Invited {token} />
  {:else if !signed.state}
    <p class="loading" role="status">{signed.error || 'Opening.'}</p>
  {:else if !signed.who}
    <SignIn />
  {:else if !planId}
    <Farms />
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
