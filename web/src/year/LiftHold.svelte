<script lang="ts">
  import type { YearView } from '../api/client';
  import DateField from '../form/DateField.svelte';
  import TextField from '../form/TextField.svelte';
  import { thePlan } from '../plan/context';
  import { isoOf, today } from '../units/dates';

  /** A hold that the keeper overrides: from a day on, with the reason, as a record. */
  let { caution, name }: { caution: YearView['cautions'][number]; name: string } = $props();
  const open = thePlan();
  let asking = $state(false);
  let why = $state('');
  const start = $derived(open.view!.year.start);
  const first = $derived(isoOf(start, Math.max(0, caution.fromDay)));
  const last = $derived(isoOf(start, caution.toDay - 1));
  let chosen = $state<string | null>(null);
  const now = today();
  const from = $derived(chosen ?? (now > first && now <= last ? now : first));
  const inHold = $derived(from >= first && from <= last);

  async function lift() {
    const lifted = await open.write([
      {
        on: now,
        fact: {
          kind: 'HOLD_LIFTED',
          hazardId: caution.hazardId,
          fieldId: caution.lotId ? null : caution.fieldId,
          lot: caution.lotId,
          from,
          why,
        },
      },
    ]);
    if (lifted) asking = false;
  }
</script>

<button
  class="btn plain"
  aria-expanded={asking}
  aria-label={`Lift the hold on ${name}`}
  onclick={() => (asking = !asking)}>Lift the hold on {name}</button
>
{#if asking}
  <div class="input-grid">
    <DateField
      label="From"
      value={from}
      onchange={(v) => (chosen = v)}
      hint={inHold ? '' : 'It does not hold on that day.'}
    />
    <TextField
      name="lifted.why"
      value={why}
      oninput={(v) => (why = v)}
      hint="What was tested, seen or said by whom. It is written down with your name."
    />
  </div>
  <p>
    <strong>The danger is not gone by lifting it.</strong> Ask: {caution.whoToAsk}. The caution
    stays, the feed opens.
  </p>
  <button class="btn preset-filled-primary-500" disabled={!why.trim() || !inHold} onclick={lift}
    >Lift it</button
  >
{/if}
