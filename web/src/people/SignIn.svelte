<script lang="ts">
  import type { Snippet } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { api } from '../api/client';
  import { signed } from './signed.svelte';
  import Account from './Account.svelte';

  let { children }: { children?: Snippet } = $props();

  const state = $derived(signed.state!);

  function enter(name: string, email: string, password: string) {
    void signed.attempt(async () => {
      await signed.begin(
        state.firstStart
          ? await api.first(name, email, password)
          : await api.signIn(email, password),
      );
    });
  }
  function demo() {
    void signed.attempt(async () => {
      await signed.begin(await api.demo());
      await push('/');
    });
  }
</script>

<div class="page">
  <section class="what">
    <h1>A year of feed on one ruler</h1>
    <p>
      Pasture, forage crops, stockpiled grass and stored hay against what the herd needs, day by
      day: where feed runs short, and what closes the gap by when and at what cost.
    </p>
    {#if state.demo}
      <button class="btn preset-filled-primary-500" onclick={demo}>Look at the demo farms</button>
      <p class="quiet">Invented farms with invented figures. Change what you like.</p>
    {/if}
  </section>
  <section class="panel">
    {#if state.firstStart}
      <h2>Make the first owner</h2>
      <p class="quiet">
        Nobody has an account here yet. The first person runs this installation and can invite
        others.
      </p>
      <Account button="Make my account" wrong={signed.error} onsubmit={enter} />
    {:else}
      <h2>Sign in</h2>
      <Account button="Sign in" asksName={false} wrong={signed.error} onsubmit={enter} />
      <p class="quiet">
        No account yet? An owner of a farm can invite you. Password lost? Whoever runs this
        installation can set a new one: <code>./larder password E-MAIL</code>
      </p>
    {/if}
  </section>
  <div class="below">{@render children?.()}</div>
</div>

<style>
  .page {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 22rem), 1fr));
    gap: 2rem;
    max-width: 62rem;
    margin: 0 auto;
    padding: 3rem 20px;
    align-items: start;
  }
  .below {
    grid-column: 1 / -1;
  }
  .what {
    display: grid;
    gap: 0.9rem;
    justify-items: start;
    font-size: 1.05rem;
  }
  h1 {
    font-size: 2.1rem;
    color: var(--cobalt);
  }
  .panel {
    padding: 1.25rem;
    display: grid;
    gap: 0.75rem;
    border-top: 3px solid var(--cobalt);
  }
  code {
    font-family: var(--mono);
  }
</style>
