<script lang="ts">
  import { untrack } from 'svelte';
  import type { RecordLine, YearView } from '../api/client';
  import { thePlan } from '../plan/context';
  import { fullDate, today } from '../units/dates';

  /** Holds that were lifted, to let them hold again. */
  let { year }: { year: YearView } = $props();
  const open = thePlan();
  let lines = $state.raw<RecordLine[]>([]);
  let gone = false;
  $effect(() => () => (gone = true));
  $effect(() => {
    const { id } = open.view!;
    untrack(() => void ask(id));
  });
  async function ask(id: string) {
    try {
      const all = await open.api.records(id, null);
      if (!gone) lines = all.filter((l) => l.fact.kind === 'HOLD_LIFTED' && !l.struckBy);
    } catch (e) {
      if (!gone) open.error = open.explain(e);
    }
  }
  function words(line: RecordLine): string {
    if (line.fact.kind !== 'HOLD_LIFTED') return '';
    const { fieldId, lot, from, why } = line.fact;
    const name =
      open.view!.farm.fields.find((f) => f.id === fieldId)?.name ??
      year.lots.find((l) => l.id === lot)?.name ??
      '';
    return `Hold on ${name} lifted from ${fullDate(from)} by ${line.who}: ${why}`;
  }
  const again = (line: RecordLine) =>
    open.write([{ on: today(), fact: { kind: 'STRUCK', record: line.id, why: '' } }]);
</script>

{#each lines as line (line.id)}
  <p>
    {words(line)}
    {#if open.mayPlan}
      <button class="btn plain" onclick={() => again(line)}>Let it hold again</button>
    {/if}
  </p>
{/each}
