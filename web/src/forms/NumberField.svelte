<script lang="ts">
  import { open } from '../plan.svelte';
  import { rounded, toSi, unitOf, type Quantity } from '../units';

  let {
    label,
    value,
    quantity,
    onchange,
    optional = false,
    placeholder = '',
    hint = '',
  }: {
    label: string;
    value: number | null;
    quantity: Quantity;
    onchange: (si: number | null) => void;
    optional?: boolean;
    placeholder?: string;
    hint?: string;
  } = $props();

  const unit = $derived(unitOf(quantity, open.system));
  const text = $derived(value === null ? '' : String(rounded(value, quantity, open.system)));
  let wrong = $state('');

  function read(event: Event) {
    const typed = (event.currentTarget as HTMLInputElement).value.trim().replace(/,/g, '');
    wrong = '';
    if (typed === '') {
      if (optional) onchange(null);
      else wrong = 'A number is needed.';
      return;
    }
    const number = Number(typed);
    if (!Number.isFinite(number)) {
      wrong = 'This is not a number.';
      return;
    }
    if (typed !== text) onchange(toSi(number, quantity, open.system));
  }
</script>

<label class="field">
  <span>{label}{unit ? `, ${unit}` : ''}</span>
  <input
    class="input figure"
    inputmode="decimal"
    value={text}
    {placeholder}
    oninput={read}
    aria-invalid={wrong !== ''}
  />
  {#if wrong}<span class="wrong">{wrong}</span>{/if}
  {#if hint}<span class="quiet">{hint}</span>{/if}
</label>

<style>
  .wrong {
    color: var(--bare-dark);
  }
</style>
