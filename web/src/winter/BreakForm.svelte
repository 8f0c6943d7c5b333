<script lang="ts">
  import type { BreakField } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { thePlan } from '../plan/context';
  import { endAfter, lastDay } from '../units/dates';
  import { compass } from '../words/breaks';
  import { fromSowing, likelyFirst } from './breaks';

  const open = thePlan();

  let {
    breaks,
    betterDeg,
    onchange,
  }: {
    breaks: BreakField;
    /** The way that leads to the water, where there is one. */
    betterDeg: number | null;
    onchange: (breaks: BreakField) => void;
  } = $props();

  const drawn = $derived(likelyFirst(open.view!.farm.fields));
  const set = (part: Partial<BreakField>) => onchange({ ...breaks, ...part });
  const FENCES = [
    { id: 'yes', name: 'behind them' },
    { id: 'no', name: 'none' },
  ];
</script>

<div class="input-grid">
  <Choice
    label="Field"
    value={breaks.fieldId}
    options={drawn}
    onchange={(v) => set({ fieldId: v, places: [], fromInclusive: fromSowing(open.view!.plan, v) })}
  />
  <NumberField
    name="breaks.daysEach"
    value={breaks.daysEach}
    onchange={(v) => v && set({ daysEach: v })}
  />
  <NumberField
    name="breaks.blocks"
    value={breaks.blocks}
    onchange={(v) => v && set({ blocks: v })}
  />
  <Choice
    label="Back fence"
    value={breaks.backFence ? 'yes' : 'no'}
    options={FENCES}
    onchange={(v) => set({ backFence: v === 'yes' })}
  />
  <NumberField
    name="breaks.towardsDeg"
    value={breaks.towardsDeg}
    hint={`to the ${compass(breaks.towardsDeg)}`}
    onchange={(v) => v !== null && set({ towardsDeg: v })}
  />
  <NumberField
    name="breaks.downhillDeg"
    value={breaks.downhillDeg}
    hint={breaks.downhillDeg === null ? '' : `to the ${compass(breaks.downhillDeg)}`}
    onchange={(v) => set({ downhillDeg: v })}
  />
  <NumberField
    name="breaks.waterM"
    value={breaks.waterM}
    onchange={(v) => set({ waterM: v ?? 0 })}
  />
  <DateField
    label="From"
    value={breaks.fromInclusive}
    onchange={(v) => set({ fromInclusive: v })}
  />
  <DateField
    label="To, last day"
    name="breaks.dates"
    value={breaks.toExclusive ? lastDay(breaks.toExclusive) : null}
    onchange={(v) => set({ toExclusive: v ? endAfter(v) : null })}
  />
</div>
{#if betterDeg !== null && betterDeg !== breaks.towardsDeg}
  <button class="btn plain" onclick={() => set({ towardsDeg: betterDeg })}
    >From the far side towards the water, to the {compass(betterDeg)}</button
  >
{/if}

<style>
  button {
    min-height: 44px;
    justify-self: start;
  }
</style>
