<script lang="ts">
  import Beside from './Beside.svelte';
  import { fullDate } from '../units/dates';
  import { said } from './said';

  let {
    label,
    name = undefined,
    value,
    onchange,
    hint = '',
  }: {
    label: string;
    name?: string;
    value: string | null;
    onchange: (iso: string | null) => void;
    hint?: string;
  } = $props();
  const id = $props.id();
  const told = said(() => name);
  /** The system writes a date in its own order; this one can be read in one way only. */
  const plainly = $derived(value && !hint ? fullDate(value) : hint);
</script>

<div>
  <label class="field">
    <span>{label}</span>
    <input
      class="input figure"
      type="date"
      min="1990-01-01"
      max="2102-12-31"
      value={value ?? ''}
      aria-describedby={id}
      onchange={(e) => onchange(e.currentTarget.value || null)}
    />
  </label>
  <div {id}><Beside wrong={told.wrong} hint={plainly} /></div>
</div>
