<script lang="ts">
  import type { Fact, HeldByHand, Noticed } from '../api/client';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';
  import { thePlan } from '../plan/context';
  import type { StatedName } from '../words/members';
  import { heldText, NOTICED, SOILS } from '../words/seen';
  import type { Feature } from '../words/weeds';
  import Ways from './Ways.svelte';
  import WeedKey from './WeedKey.svelte';

  const open = thePlan();

  let {
    fieldId,
    on,
    held = undefined,
    weeds = [],
  }: {
    /** Null for the whole farm. */
    fieldId: string | null;
    on: string;
    /** The field is shut by hand. */
    held?: HeldByHand;
    weeds?: Feature[];
  } = $props();

  const MEASURED: Partial<Record<Noticed['what'], StatedName>> = {
    RAIN: 'noticed.rainMm',
    FROST: 'noticed.frostC',
    SNOW: 'noticed.snowCm',
  };
  const kinds = $derived(NOTICED.filter((n) => (fieldId === null ? n.farm : n.field)));

  let what = $state<Noticed['what'] | null>(null);
  let amount = $state<number | null>(null);
  let note = $state('');
  let why = $state('');
  let until = $state<string | null>(null);
  let keeping = $state(false);

  const measured = $derived(what === null ? undefined : MEASURED[what]);
  const ready = $derived(
    what !== null &&
      !((measured || what === 'SOIL') && amount === null) &&
      !(what === 'OTHER' && note.trim() === ''),
  );

  async function keep(fact: Fact) {
    if (keeping) return;
    keeping = true;
    const kept = await open.write([{ on, fact }]);
    keeping = false;
    if (!kept) return;
    // what was begun meanwhile stays
    if (fact.kind !== 'NOTICED') why = '';
    else {
      what = null;
      amount = null;
      note = '';
    }
  }
</script>

{#if open.mayWrite}
  <Ways
    wrap
    label="What was seen"
    options={kinds}
    value={what}
    onchange={(v) => {
      what = what === v ? null : v;
      amount = null;
    }}
  />
  {#if what}
    {#if measured}
      <NumberField name={measured} optional value={amount} onchange={(v) => (amount = v)} />
    {:else if what === 'SOIL'}
      <Ways
        wrap
        label="From a hand’s depth it is"
        options={SOILS}
        value={amount}
        onchange={(v) => (amount = v)}
      />
      <p class="quiet fine">
        From this morning on the plan reckons with so much water in this field’s soil.
      </p>
    {/if}
    {#if what === 'WEEDS'}<WeedKey features={weeds} onfound={(text) => (note = text)} />{/if}
    <TextField name="record.note" value={note} oninput={(v) => (note = v)} />
    <button
      class="btn preset-filled-primary-500 tall"
      disabled={!ready || keeping}
      onclick={() => keep({ kind: 'NOTICED', what: what!, fieldId, amount, note })}>Keep</button
    >
  {/if}
  {#if fieldId !== null}
    <details open={held !== undefined}>
      <summary>{held ? 'Shut by hand' : 'Shut this field'}</summary>
      <div class="form">
        {#if held}<p data-testid="held">{heldText(held)}</p>{/if}
        {#if !held || open.mayPlan}
          <TextField name="held.why" value={why} oninput={(v) => (why = v)} />
        {/if}
        {#if !held}
          <DateField label="Until, if that is known" value={until} onchange={(v) => (until = v)} />
          <button
            class="btn plain tall"
            disabled={why.trim() === '' || keeping}
            onclick={() => keep({ kind: 'FIELD_HELD', fieldId, until, why })}
            >Shut it to everybody</button
          >
          <p class="quiet fine">
            The plan sends nobody there from this day on. Who plans opens it again.
          </p>
        {:else if open.mayPlan}
          <button
            class="btn plain tall"
            disabled={why.trim() === '' || keeping}
            onclick={() => keep({ kind: 'FIELD_OPENED', fieldId, why })}>Open it again</button
          >
        {:else}
          <p class="quiet fine">Who plans opens it again.</p>
        {/if}
      </div>
    </details>
  {/if}
{/if}

<style>
  .tall {
    min-height: 50px;
  }
  .form {
    display: grid;
    gap: 0.5rem;
    padding: 0.4rem 0;
  }
  summary {
    min-height: 44px;
    display: flex;
    align-items: center;
    font-weight: 600;
  }
</style>
