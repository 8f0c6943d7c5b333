<script lang="ts">
  import TextField from '../form/TextField.svelte';

  let {
    button,
    wrong,
    onsubmit,
    name = '',
    asksName = true,
  }: {
    button: string;
    wrong: string;
    onsubmit: (name: string, email: string, password: string) => void;
    name?: string;
    asksName?: boolean;
  } = $props();

  // svelte-ignore state_referenced_locally
  let called = $state(name);
  let email = $state('');
  let password = $state('');
</script>

<form
  onsubmit={(e) => {
    e.preventDefault();
    onsubmit(called, email, password);
  }}
>
  {#if asksName}
    <TextField label="Your name" autocomplete="name" value={called} oninput={(v) => (called = v)} />
  {/if}
  <TextField
    label="E-mail address"
    type="email"
    autocomplete="username"
    value={email}
    hint={asksName ? 'To sign in with. No mail is sent.' : ''}
    oninput={(v) => (email = v)}
  />
  <TextField
    label="Password"
    type="password"
    autocomplete={asksName ? 'new-password' : 'current-password'}
    value={password}
    hint={asksName ? '10 characters or more: a few plain words in a row' : ''}
    oninput={(v) => (password = v)}
  />
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  <button class="btn preset-filled-primary-500">{button}</button>
</form>

<style>
  form {
    display: grid;
    gap: 0.75rem;
    justify-items: start;
  }
  form :global(.field) {
    width: 100%;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
