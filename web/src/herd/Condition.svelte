<script lang="ts">
  import type { AnimalGroup } from '../api/client';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { shortDate, todayWithin } from '../units/dates';
  import { thePlan } from '../plan/context';
  import RecordList from '../records/RecordList.svelte';
  import { Written } from '../records/written.svelte';
  import { amount } from '../units/units';
  import ConditionGuide from './ConditionGuide.svelte';

  const open = thePlan();

  let { group }: { group: AnimalGroup } = $props();

  const kind = $derived(open.catalogue!.kinds.find((k) => k.id === group.kind)!);
  const written = new Written(() => group.id);
  const scores = $derived(
    written
      .of('CONDITION_SEEN')
      .sort((a, b) => (a.on < b.on ? 1 : -1))
      .map((l) => ({ ...l, text: text(l.on, l.fact) })),
  );
  let on = $state(todayWithin(open.view!.year));
  let score = $state<number | null>(null);
  let weightKg = $state<number | null>(null);

  async function write() {
    if (score === null) return;
    const fact = { kind: 'CONDITION_SEEN' as const, groupId: group.id, score, weightKg };
    if (await open.write([{ on, fact }])) score = weightKg = null;
  }
  function text(day: string, seen: { score: number; weightKg: number | null }): string {
    const weight =
      seen.weightKg === null ? '' : `, ${amount(seen.weightKg, 'weight', open.system)} each`;
    return `${shortDate(day)} ${day.slice(0, 4)}: ${seen.score}${weight}`;
  }
</script>

<section class="part" aria-label="Condition" data-testid="condition">
  <h2>Condition, as scored</h2>
  {#if open.mayWrite}
    <div class="row">
      <DateField label="Seen on" value={on} onchange={(v) => v && (on = v)} />
      <NumberField
        label={`Score, ${kind.scale.lowest} to ${kind.scale.highest}`}
        name="condition.score"
        quantity="plain"
        optional
        value={score}
        onchange={(v) => (score = v)}
      />
      <NumberField
        name="condition.weightKg"
        placeholder="not weighed"
        value={weightKg}
        onchange={(v) => (weightKg = v)}
      />
      <button class="btn preset-filled-primary-500" disabled={score === null} onclick={write}
        >Write down</button
      >
    </div>
  {/if}
  {#if open.mayWrite && kind.guide}
    <ConditionGuide guide={kind.guide} {score} onchoose={(s) => (score = s)} />
  {/if}
  {#if scores.length}<RecordList lines={scores} what="score" />{/if}
  <p class="quiet fine">
    The expected condition starts anew from each score; before the first one it is taken as {kind
      .scale.usual}, an assumption.
  </p>
</section>

<style>
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr));
    gap: 0.6rem;
    align-items: end;
  }
</style>
