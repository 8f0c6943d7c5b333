<script lang="ts">
  import type { Gap } from '../api/client';
  import { thePlan } from '../plan/context';
  import DateField from '../form/DateField.svelte';
  import { dayOf, isoOf, shortDay } from '../units/dates';
  import type { GapWays } from './ways.svelte';

  /** Some days of a gap, where the rest is left to something else. */
  let { ways, gap }: { ways: GapWays; gap: Gap } = $props();

  const open = thePlan();
  const start = $derived(open.view!.year.start);
  const from = $derived(ways.part?.from ?? gap.firstDay);
  const to = $derived(ways.part?.to ?? gap.lastDay);
  const within = (day: number) => Math.min(gap.lastDay, Math.max(gap.firstDay, day));
  function set(first: number, last: number) {
    const part = { from: within(first), to: Math.max(within(first), within(last)) };
    const whole = part.from === gap.firstDay && part.to === gap.lastDay;
    ways.lookAtPart(whole ? null : part);
  }
</script>

<details data-testid="part" open={ways.part !== null}>
  <summary
    >{ways.part
      ? `Only ${shortDay(start, from)} to ${shortDay(start, to)} of it is looked at`
      : 'Look at a part of it'}</summary
  >
  <div class="inputs">
    <DateField
      label="First day of the part"
      value={isoOf(start, from)}
      onchange={(v) => v && set(dayOf(start, v), to)}
    />
    <DateField
      label="Last day of the part"
      value={isoOf(start, to)}
      onchange={(v) => v && set(from, dayOf(start, v))}
    />
    {#if ways.part}
      <button class="btn plain" onclick={() => ways.lookAtPart(null)}>All of it</button>
    {/if}
  </div>
</details>

<style>
  summary {
    cursor: pointer;
    min-height: 2rem;
  }
  .inputs {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 0.75rem;
    margin: 0.4rem 0;
  }
</style>
