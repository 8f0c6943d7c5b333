<script lang="ts">
  import { thePlan } from '../plan/context';
  import Beside from './Beside.svelte';
  import { said } from './said';
  import { quantityOf, rounded, toSi, unitOf, type Quantity } from '../units/units';
  import { FIELD_NAMES, statedNumber, type StatedName } from '../words/members';
  import { rangeText } from '../words/refusals';

  const open = thePlan();

  let {
    name = undefined,
    label = FIELD_NAMES[name ?? ''],
    value,
    quantity = quantityOf(name ?? ''),
    onchange,
    optional = statedNumber(name)?.optional ?? false,
    placeholder = '',
    hint = '',
  }: {
    /** What is stated: its description says name, unit and what is accepted. */
    name?: StatedName;
    /** Where it is called otherwise than everywhere, or is no part of a plan. */
    label?: string;
    value: number | null;
    quantity?: Quantity;
    onchange: (si: number | null) => void;
    /** Where it may be left out here though not in the plan, or the other way round. */
    optional?: boolean;
    placeholder?: string;
    hint?: string;
  } = $props();

  const unit = $derived(unitOf(quantity, open.system));
  const text = $derived(value === null ? '' : String(rounded(value, quantity, open.system)));
  let unread = $state('');
  const told = said(() => name);

  /** Said before anybody else looks at it; what the rest of the plan asks for, the server says. */
  const outside = $derived.by(() => {
    const accepted = statedNumber(name);
    if (!accepted || value === null || (value >= accepted.min && value <= accepted.max)) return '';
    return rangeText(label, accepted.min, accepted.max, quantity, open.system);
  });

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
    if (typed === text) return;
    const si = toSi(number, quantity, open.system);
    // also what is wrong: else what was there before would be kept under what stands in the box
    onchange(statedNumber(name)?.whole ? Math.round(si) : si);
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
    aria-invalid={(unread || outside || told.wrong) !== ''}
  />
  <Beside wrong={unread || outside || told.wrong} doubt={told.doubt} {hint} />
</label>
