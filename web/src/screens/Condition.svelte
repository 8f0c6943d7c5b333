<script lang="ts">
  import type { AnimalGroup } from '../api/client';
  import DateField from '../forms/DateField.svelte';
  import NumberField from '../forms/NumberField.svelte';
  import { shortDate, today } from '../dates';
  import { open } from '../plan.svelte';
  import { Written } from '../records/written.svelte';
  import { amount } from '../units';

  let { group }: { group: AnimalGroup } = $props();

  const kind = $derived(open.catalogue!.kinds.find((k) => k.id === group.kind)!);
  const written = new Written(() => group.id);
  const scores = $derived(written.of('CONDITION_SEEN').sort((a, b) => (a.on < b.on ? 1 : -1)));
  let on = $state(today());
  let score = $state<number | null>(null);
  let weightKg = $state<number | null>(null);

  async function write() {
    if (score === null) return;
    const fact = { kind: 'CONDITION_SEEN' as const, groupId: group.id, score, weightKg };
    if (await open.write([{ on, fact }])) score = weightKg = null;
  }
  const strike = (record: string) =>
    open.write([{ on: today(), fact: { kind: 'STRUCK', record, why: '' } }]);
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
        label="Weight of one"
        name="condition.weightKg"
        quantity="weight"
        optional
        placeholder="not weighed"
        value={weightKg}
        onchange={(v) => (weightKg = v)}
      />
      <button class="btn preset-filled-primary-500" disabled={score === null} onclick={write}
        >Write down</button
      >
    </div>
  {/if}
  {#if scores.length}
    <ul>
      {#each scores as s (s.id)}
        <li class:struck={s.struckBy !== null}>
          <span
            >{shortDate(s.on)}
            {s.on.slice(0, 4)}: {s.fact.score}{s.fact.weightKg === null
              ? ''
              : `, ${amount(s.fact.weightKg, 'weight', open.system)} each`}
            <span class="quiet fine"
              >{s.who}{#if s.struckBy !== null}; struck out by {s.struckBy || 'somebody'}{/if}</span
            ></span
          >
          {#if open.mayWrite && s.struckBy === null}<button
              class="btn plain"
              onclick={() => strike(s.id)}
              >Strike out<span class="visually-hidden">
                the score of {shortDate(s.on)}</span
              ></button
            >{/if}
        </li>
      {/each}
    </ul>
  {/if}
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
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
    border-bottom: 1px solid var(--line);
    padding: 0.3rem 0;
  }
  .struck > span {
    text-decoration: line-through;
  }
</style>
