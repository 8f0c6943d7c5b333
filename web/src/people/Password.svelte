<script lang="ts">
  import { api } from '../api/client';
  import TextField from '../form/TextField.svelte';
  import { signed } from './signed.svelte';

  let old = $state('');
  let changed = $state('');
  let told = $state('');

  async function change() {
    const done = await signed.attempt(async () => {
      await signed.begin(await api.changePassword(old, changed));
      old = changed = '';
    });
    told = done ? 'Changed. Every other browser of yours is signed out.' : signed.error;
  }
</script>

<section class="panel form" aria-labelledby="password-title">
  <h2 id="password-title">Your password</h2>
  <form
    onsubmit={(e) => {
      e.preventDefault();
      void change();
    }}
  >
    <!-- for password keepers: whose password this is -->
    <input hidden autocomplete="username" value={signed.who?.email ?? ''} />
    <TextField
      label="Password of now"
      type="password"
      autocomplete="current-password"
      value={old}
      oninput={(v) => (old = v)}
    />
    <TextField
      label="New password"
      type="password"
      autocomplete="new-password"
      hint="10 characters or more"
      value={changed}
      oninput={(v) => (changed = v)}
    />
    <button class="btn plain" disabled={!old || !changed}>Change it</button>
    <p role="status">{told}</p>
  </form>
</section>

<style>
  form {
    display: grid;
    gap: 0.6rem;
    justify-items: start;
  }
  form :global(.field) {
    width: 100%;
  }
</style>
