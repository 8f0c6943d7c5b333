<script lang="ts">
  import Beside from './Beside.svelte';
  import { said } from './said';
  import { FIELD_NAMES, statedText, type StatedName } from '../words/members';

  let {
    name = undefined,
    label = FIELD_NAMES[name ?? ''],
    value,
    oninput,
    type = 'text',
    autocomplete = 'off',
    hint = '',
  }: {
    /** What is stated: its description says name and length, and what is wrong is said here. */
    name?: StatedName;
    label?: string;
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
    maxlength={statedText(name)?.most}
    aria-invalid={told.wrong !== ''}
    oninput={(e) => oninput(e.currentTarget.value)}
  />
  <Beside wrong={told.wrong} {hint} />
</label>
