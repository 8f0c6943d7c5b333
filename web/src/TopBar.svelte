<script lang="ts">
  import { toldText } from './history/told';
  import { push, router } from 'svelte-spa-router';
  import { thePlan } from './plan/context';
  import SeasonChoice from './seasons/SeasonChoice.svelte';
  import { signed } from './people/signed.svelte';

  const open = thePlan();

  let { onkeys }: { onkeys: () => void } = $props();

  const screens = [
    ['', 'Year'],
    ['/land', 'Land'],
    ['/map', 'Map'],
    ['/herd', 'Herd'],
    ['/store', 'Store'],
    ['/forages', 'Forages'],
    ['/seasons', 'Seasons'],
    ['/papers', 'Papers'],
    ['/changes', 'Changes'],
    ['/people', 'People'],
    ['/farm', 'Farm'],
  ];
  /** By the address: the plan before it still stands here while the next one is opened. */
  const base = $derived(/^\/plan\/[a-z0-9-]+/.exec(router.location)?.[0] ?? '');

  async function signOut() {
    const done = await signed.attempt(async () => {
      await push('/');
      await signed.signOut();
    });
    if (!done) open.error = signed.error;
  }
</script>

<header>
  <div class="line">
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
    <div class="tools">
      {#if open.view}
        {#if open.mayPlan}
          <button
            class="btn plain"
            disabled={!open.view.undo}
            title={open.view.undo
              ? `Undo: ${toldText(open.view.undo, open.system)}`
              : 'Nothing to undo'}
            onclick={() => open.undo()}>Undo</button
          >
          <button
            class="btn plain"
            disabled={!open.view.redo}
            title={open.view.redo
              ? `Redo: ${toldText(open.view.redo, open.system)}`
              : 'Nothing to redo'}
            onclick={() => open.redo()}>Redo</button
          >
        {/if}
        <SeasonChoice />
        <button
          class="btn plain"
          onclick={() => (open.system = open.system === 'IMPERIAL' ? 'METRIC' : 'IMPERIAL')}
          aria-label={open.system === 'IMPERIAL'
            ? 'lb, acres. Show in kg, hectares'
            : 'kg, hectares. Show in lb, acres'}
          >{open.system === 'IMPERIAL' ? 'lb, acres' : 'kg, hectares'}</button
        >
      {/if}
      <button class="btn plain" aria-label="Keys" title="Keys" onclick={onkeys}>?</button>
      {#if signed.who}
        <span class="quiet who" data-testid="who">{signed.who.name}</span>
        <button class="btn plain" onclick={signOut}
          >{signed.who.visitor ? 'Leave the demo' : 'Sign out'}</button
        >
      {/if}
    </div>
  </div>
  {#if open.view}
    <nav aria-label="Screens">
      <a href="#/">Farms</a>
      {#each screens as [path, name] (path)}
        <a
          href={`#${base}${path}`}
          aria-current={router.location === base + path ? 'page' : undefined}>{name}</a
        >
      {/each}
    </nav>
  {/if}
</header>

<style>
  header {
    background: var(--panel);
    border-bottom: 3px solid var(--cobalt);
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 0.3rem 1.5rem;
    padding: 0.35rem 20px;
  }
  .farm {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 0.75rem;
  }
  .farm strong {
    color: var(--cobalt);
    font-size: 1.2rem;
  }
  .tools {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.4rem;
  }
  .who {
    margin-left: 0.5rem;
    max-width: 12rem;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  nav {
    display: flex;
    flex-wrap: wrap;
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
  nav a[aria-current] {
    background: var(--cobalt);
    color: #ffffff;
  }
  @media (max-width: 760px) {
    nav a {
      padding: 0.7rem 0.6rem;
    }
    .tools :global(.btn) {
      min-height: 44px;
      min-width: 44px;
    }
  }
</style>
