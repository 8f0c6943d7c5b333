<script lang="ts">
  import { open } from '../plan.svelte';
  import Beside from './Beside.svelte';
  import { said } from './said';
  import { rounded, toSi, unitOf, type Quantity } from '../units';

  let {
    label,
    name = undefined,
    value,
    quantity,
    onchange,
    optional = false,
    placeholder = '',
    hint = '',
  }: {
    label: string;
    /** As the API names it, so that what is wrong with it is said here. */
    name?: string;
    value: number | null;
    quantity: Quantity;
    onchange: (si: number | null) => void;
    optional?: boolean;
    placeholder?: string;
    hint?: string;
  } = $props();

  const unit = $derived(unitOf(quantity, open.system));
  const text = $derived(value === null ? '' : String(rounded(value, quantity, open.system)));
  let unread = $state('');
  const told = said(() => name);

  function read(event: Event) {
    const typed = (event.currentTarget as HTMLInputElement).value.trim().replace(/,/g, '');
    unread = '';
    if (typed === '') {
      if (optional) onchange(null);
      else unread = 'A number is needed.';
      return;
    }
    const number = Number(typed);
    if (!Number.isFinite(number)) {
      unread = 'This is not a number.';
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
    aria-invalid={unread !== '' || told.wrong !== ''}
  />
  <Beside wrong={unread || told.wrong} doubt={told.doubt} {hint} />
</label>
