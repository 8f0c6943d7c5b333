<script lang="ts">
  import { MONTH_NAMES } from '../units/dates';
  import Beside from './Beside.svelte';
  import { said } from './said';

  let {
    label,
    name = undefined,
    value,
    onchange,
    none = 'not set',
  }: {
    label: string;
    name?: string;
    value: string | null;
    onchange: (monthDay: string | null) => void;
    none?: string;
  } = $props();
  const told = said(() => name);

  const month = $derived(value ? Number(value.slice(2, 4)) : 0);
  const day = $derived(value ? Number(value.slice(5, 7)) : 1);
  const longest = $derived(
    month === 0 ? 31 : [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][month - 1],
  );

  function set(m: number, d: number) {
    if (m === 0) return onchange(null);
    const last = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][m - 1];
    const pad = (n: number) => String(n).padStart(2, '0');
    onchange(`--${pad(m)}-${pad(Math.max(1, Math.min(last, d || 1)))}`);
  }
</script>

<fieldset>
  <legend>{label}</legend>
  <div>
    <select
      class="select"
      aria-label={`${label}, month`}
      value={month}
      onchange={(e) => set(Number(e.currentTarget.value), day)}
    >
      <option value={0}>{none}</option>
      {#each MONTH_NAMES as name, i (name)}<option value={i + 1}>{name}</option>{/each}
    </select>
    {#if month > 0}
      <input
        class="input figure"
        type="number"
        min="1"
        max={longest}
        aria-label={`${label}, day`}
        value={day}
        onchange={(e) => set(month, Number(e.currentTarget.value))}
      />
    {/if}
  </div>
  <Beside wrong={told.wrong} />
</fieldset>

<style>
  legend {
    font-size: 13px;
  }
  div {
    display: grid;
    grid-template-columns: 1fr 4.5rem;
    gap: 0.4rem;
  }
</style>
