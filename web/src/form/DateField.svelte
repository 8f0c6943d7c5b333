<script lang="ts">
  import Beside from './Beside.svelte';
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
  const told = said(() => name);
</script>

<label class="field">
  <span>{label}</span>
  <input
    class="input figure"
    type="date"
    min="1990-01-01"
    max="2102-12-31"
    value={value ?? ''}
    onchange={(e) => onchange(e.currentTarget.value || null)}
  />
  <Beside wrong={told.wrong} {hint} />
</label>
