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
    offers = [],
  }: {
    /** What is stated: its description says name and length, and what is wrong is said here. */
    name?: StatedName;
    label?: string;
    value: string;
    oninput: (text: string) => void;
    type?: 'text' | 'email' | 'password';
    autocomplete?: AutoFill;
    hint?: string;
    /** What can be chosen instead of typed. */
    offers?: string[];
  } = $props();
  const list = $props.id();
  const told = said(() => name);
</script>

<label class="field">
  <span>{label}</span>
  <input
    class="input"
    {type}
    {value}
    {autocomplete}
    list={offers.length ? list : undefined}
    maxlength={statedText(name)?.most}
    aria-invalid={told.wrong !== ''}
    oninput={(e) => oninput(e.currentTarget.value)}
  />
  <Beside wrong={told.wrong} {hint} />
</label>
{#if offers.length}
  <datalist id={list}
    >{#each offers as o (o)}<option value={o}></option>{/each}</datalist
  >
{/if}
