<script lang="ts">
  import { onMount } from 'svelte';
  import { api, type OpenSession } from '../api/client';
  import { longDate } from '../units/dates';
  import { signed } from './signed.svelte';

  let sessions = $state<OpenSession[]>([]);
  let gone = false;

  async function look() {
    await signed.attempt(async () => {
      const found = await api.sessions();
      if (!gone) sessions = found;
    });
  }
  async function end(id: string) {
    await signed.attempt(() => api.endSession(id).then(() => undefined));
    if (!gone) await look();
  }
  async function endAll() {
    await signed.attempt(() => api.endSessions().then(() => undefined));
    await signed.look();
  }
  onMount(() => {
    void look();
    return () => (gone = true);
  });
</script>

<section class="panel form" aria-labelledby="sessions-title" data-testid="sessions">
  <h2 id="sessions-title">Where you are signed in</h2>
  <ul>
    {#each sessions as s (s.id)}
      <li>
        <span>
          <strong>{s.browser || 'A browser'}</strong>{s.mine ? ', this one' : ''}
          <small class="quiet"
            >since {longDate(s.began.slice(0, 10))}, last used {longDate(
              s.used.slice(0, 10),
            )}</small
          >
        </span>
        {#if !s.mine}
          <button class="btn plain" onclick={() => end(s.id)}>Sign it out</button>
        {/if}
      </li>
    {/each}
  </ul>
  <p class="quiet">
    A session ends after 14 days without use, and after 60 days in any case. Sign out what you do
    not know, then change your password.
  </p>
  <button class="btn plain" onclick={endAll}>Sign out everywhere</button>
</section>

<style>
  ul {
    display: grid;
    gap: 0.5rem;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1rem;
    align-items: center;
    justify-content: space-between;
  }
  small {
    display: block;
  }
  .quiet {
    font-size: 13px;
  }
  p {
    margin: 0.75rem 0;
  }
</style>
