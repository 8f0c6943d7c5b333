<script lang="ts">
  import type { Fact, HeldByHand, Noticed } from '../api/client';
  import { keepPhoto, type Shot } from '../device/photos';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';
  import { thePlan } from '../plan/context';
  import type { StatedName } from '../words/members';
  import { heldText, NOTICED, SOILS } from '../words/seen';
  import type { Feature } from '../words/weeds';
  import FieldPhotos from './FieldPhotos.svelte';
  import PhotoTaker from './PhotoTaker.svelte';
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
  let shots = $state.raw<Shot[]>([]);

  const measured = $derived(what === null ? undefined : MEASURED[what]);
  const ready = $derived(
    (what !== null || shots.length > 0) &&
      !((measured || what === 'SOIL') && amount === null) &&
      !(what === 'OTHER' && note.trim() === ''),
  );

  async function keep(...facts: Fact[]): Promise<boolean> {
    if (keeping) return false;
    keeping = true;
    const kept = await open.write(facts.map((fact) => ({ on, fact })));
    keeping = false;
    return kept;
  }
  async function keepHold(fact: Fact) {
    if (await keep(fact)) why = '';
  }
  /** What was noticed and its photos; the note goes with both. */
  async function keepSeen() {
    const taken = shots;
    await Promise.all(taken.map(keepPhoto));
    const kept = await keep(
      ...(what === null ? [] : [{ kind: 'NOTICED' as const, what, fieldId, amount, note }]),
      ...taken.map((s) => ({ kind: 'PHOTO_TAKEN' as const, photoId: s.id, fieldId, note })),
    );
    if (!kept) return;
    what = null;
    amount = null;
    note = '';
    // what was taken meanwhile stays
    shots = shots.filter((s) => !taken.includes(s));
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
      {#if what === 'RAIN'}
        <p class="quiet fine">
          All of it since the gauge was last written down, at most a week ago; else of the day
          before. The plan’s soils had this rain, not the usual one. 0 for a dry gauge.
        </p>
      {/if}
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
  {/if}
  <PhotoTaker bind:shots />
  {#if what || shots.length}
    <TextField name="record.note" value={note} oninput={(v) => (note = v)} />
    <button
      class="btn preset-filled-primary-500 tall"
      disabled={!ready || keeping}
      onclick={keepSeen}>Keep</button
    >
  {/if}
  {#if fieldId !== null}
    <FieldPhotos {fieldId} />
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
            onclick={() => keepHold({ kind: 'FIELD_HELD', fieldId, until, why })}
            >Shut it to everybody</button
          >
          <p class="quiet fine">
            The plan sends nobody there from this day on. Who plans opens it again.
          </p>
        {:else if open.mayPlan}
          <button
            class="btn plain tall"
            disabled={why.trim() === '' || keeping}
            onclick={() => keepHold({ kind: 'FIELD_OPENED', fieldId, why })}>Open it again</button
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
