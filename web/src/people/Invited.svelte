<script lang="ts">
  import { onMount } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { api, type Offer } from '../api/client';
  import { signed } from './signed.svelte';
  import { ROLES } from '../words/roles';
  import Account from './Account.svelte';

  let { token }: { token: string } = $props();
  let offer = $state<Offer | null>(null);
  let known = $state(false);

  onMount(() => {
    void signed.attempt(async () => {
      offer = await api.offer(token);
    });
  });

  async function enter(session: ReturnType<typeof api.signIn>) {
    await signed.begin(await session);
    await push('/');
  }
  const asNew = (name: string, email: string, password: string) =>
    signed.attempt(() => enter(api.accept(token, name, email, password)));
  const asMe = () => signed.attempt(() => enter(api.acceptAsMe(token)));
  const asKnown = (_: string, email: string, password: string) =>
    signed.attempt(async () => {
      await signed.begin(await api.signIn(email, password));
      await enter(api.acceptAsMe(token));
    });
</script>

<section class="panel">
  {#if offer}
    <h1>{offer.farm}</h1>
    <p>
      {offer.invitedBy || 'An owner'} invites you as {ROLES[offer.role].one}: {ROLES[offer.role]
        .may}.
    </p>
    {#if signed.who && !signed.who.visitor}
      {#if signed.error}<p class="wrong" role="alert">{signed.error}</p>{/if}
      <button class="btn preset-filled-primary-500" onclick={asMe}>Join as {signed.who.name}</button
      >
    {:else if known}
      <Account button="Sign in and join" asksName={false} wrong={signed.error} onsubmit={asKnown} />
      <button class="btn plain" onclick={() => (known = false)}>I have no account yet</button>
    {:else}
      <Account
        button="Make my account and join"
        name={offer.name}
        wrong={signed.error}
        onsubmit={asNew}
      />
      <button class="btn plain" onclick={() => (known = true)}>I have an account</button>
    {/if}
  {:else if signed.error}
    <h1>This invitation leads nowhere</h1>
    <p>
      It was used, withdrawn or is older than two weeks. Ask the owner of the farm for a new one.
    </p>
    <p><a href="#/">To the beginning</a></p>
  {:else}
    <p role="status">Looking at the invitation.</p>
  {/if}
</section>

<style>
  section {
    max-width: 30rem;
    margin: 3rem auto;
    padding: 1.25rem;
    display: grid;
    gap: 0.75rem;
    justify-items: start;
    border-top: 3px solid var(--cobalt);
  }
  section :global(form) {
    width: 100%;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
