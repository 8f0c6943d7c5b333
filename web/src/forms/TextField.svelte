<script lang="ts">
  import Beside from './Beside.svelte';
  import { said } from './said';

  let {
    label,
    name = undefined,
    value,
    oninput,
    type = 'text',
    autocomplete = 'off',
    hint = '',
  }: {
    label: string;
    /** As the API names it, so that what is wrong with it is said here. */
    name?: string;
    value: string;
    oninput: (text: string) => void;
    type?: 'text' | 'email' | 'password';
    autocomplete?: AutoFill;
    hint?: string;
  } = $props();
  const told = said(() => name);
</script>

<label class="field">
  <span>{label}</span>
  <input
    class="input"
    {type}
    {value}
    {autocomplete}
    aria-invalid={told.wrong !== ''}
    oninput={(e) => oninput(e.currentTarget.value)}
  />
  <Beside wrong={told.wrong} {hint} />
</label>
