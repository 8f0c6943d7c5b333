<script lang="ts">
  import type { FeedStep } from '../api/client';
  import { endAfter, lastDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { blocksOf, withBlock } from '../words/blocks';
  import Choice from '../form/Choice.svelte';
  import TiedDate from '../form/TiedDate.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { tieOf, withTie, type Ties } from './feeding';
  import PortionForm from './PortionForm.svelte';

  const open = thePlan();

  let {
    step,
    number,
    behind = 0,
    ties,
    onchange,
    onties,
  }: {
    step: FeedStep;
    /** Its place in the order, from 1. */
    number: number;
    /** The earlier step that leaves nothing for it to do, from 1; else 0. */
    behind?: number;
    /** What its dates go by, as drafted. */
    ties: Ties;
    onchange: (change: Partial<FeedStep>) => void;
    onties: (ties: Ties) => void;
  } = $props();

  const MANY = 8;
  let find = $state('');
  const view = $derived(open.view!);
  const sources = $derived<{ id: string; name: string; block?: string }[]>(
    step.kind === 'GRAZE'
      ? view.farm.fields
      : [
          ...view.farm.lots,
          ...view.plan.cuts.map((c) => c.lot),
          ...view.plan.purchases.map((p) => p.lot),
        ],
  );
  const blocks = $derived(
    blocksOf(view.farm.fields).filter(
      (b) => b.name && (!words || b.name.toLowerCase().includes(words)),
    ),
  );
  const words = $derived(find.trim().toLowerCase());
  const offered = $derived(
    sources.filter((s) => `${s.name} ${'block' in s ? s.block : ''}`.toLowerCase().includes(words)),
  );

  const tie = (part: 'FROM' | 'TO') => tieOf(ties, view.plan.anchors, step.id, part);

  function toggle(id: string, on: boolean) {
    const ids = step.sourceIds.filter((s) => s !== id);
    onchange({ sourceIds: on ? [...ids, id] : ids });
  }
</script>

<div class="row">
  <Choice
    label={`Step ${number}`}
    value={step.kind}
    options={[
      { id: 'GRAZE', name: 'Graze' },
      { id: 'STORE', name: 'Feed from store' },
    ]}
    onchange={(v) => onchange({ kind: v as FeedStep['kind'], sourceIds: [], roundDays: null })}
  />
  <TiedDate
    label="From"
    value={step.fromInclusive}
    tie={tie('FROM')}
    ontie={(t) => onties(withTie(ties, step.id, 'FROM', t))}
    onchange={(v) => onchange({ fromInclusive: v })}
  />
  <TiedDate
    label="To, last day"
    shownAfter={-1}
    value={step.toExclusive ? lastDay(step.toExclusive) : null}
    tie={tie('TO')}
    ontie={(t) => onties(withTie(ties, step.id, 'TO', t))}
    onchange={(v) => onchange({ toExclusive: v ? endAfter(v) : null })}
  />
  <PortionForm portion={step.portion} onchange={(portion) => onchange({ portion })} />
  {#if step.kind === 'GRAZE'}
    <span class="round">
      <NumberField
        name="step.roundDays"
        placeholder="when eaten"
        value={step.roundDays}
        onchange={(v) => onchange({ roundDays: v })}
      />
    </span>
  {/if}
</div>
{#if behind}
  <p class="tells" role="status">
    Reached only once the store of step {behind} is empty: that one feeds all that is asked for on these
    days. Move this step earlier, or say how much of the diet the store may be.
  </p>
{/if}
<fieldset class="sources">
  <legend>{step.kind === 'GRAZE' ? 'Fields' : 'Lots'}</legend>
  {#if sources.length > MANY}
    <input
      class="input find"
      type="search"
      placeholder="Find by name"
      aria-label={step.kind === 'GRAZE' ? 'Find a field of this step' : 'Find a lot of this step'}
      bind:value={find}
    />
  {/if}
  <button
    class="btn plain"
    disabled={!step.sourceIds.length}
    onclick={() => onchange({ sourceIds: [] })}>All of them</button
  >
  {#if step.kind === 'GRAZE' && blocks.length}
    <div class="ticks">
      {#each blocks as block (block.name)}
        {@const n = block.fields.filter((f) => step.sourceIds.includes(f.id)).length}
        <label class="block">
          <input
            type="checkbox"
            class="checkbox"
            checked={n === block.fields.length}
            indeterminate={n > 0 && n < block.fields.length}
            onchange={(e) =>
              onchange({
                sourceIds: withBlock(block, step.sourceIds, e.currentTarget.checked),
              })}
          />
          {block.name}, {block.fields.length}
          {block.fields.length === 1 ? 'field' : 'fields'}
        </label>
      {/each}
    </div>
  {/if}
  <div class="ticks">
    {#each offered as source (source.id)}
      <label>
        <input
          type="checkbox"
          class="checkbox"
          checked={step.sourceIds.includes(source.id)}
          onchange={(e) => toggle(source.id, e.currentTarget.checked)}
        />
        {#if step.sourceIds.length > 1 && step.sourceIds.includes(source.id)}<span class="turn"
            >{step.sourceIds.indexOf(source.id) + 1}.</span
          >{/if}
        {source.name}
      </label>
    {/each}
  </div>
  {#if step.sourceIds.length === 0}<p class="quiet fine">
      None ticked: {step.kind === 'STORE' ? 'the whole store' : 'every field'}, also what is added
      later{step.kind === 'STORE'
        ? '. The poorest that is good enough goes first, the best to whom needs it.'
        : '.'}
    </p>{/if}
</fieldset>
{#if step.kind === 'GRAZE' && step.sourceIds.length > 1}
  <p class="quiet fine">
    Stock go to the field that is furthest ahead; where fields stand alike, in the order they were
    ticked.
  </p>
{/if}
{#if step.roundDays}
  <p class="quiet fine">
    Each day stock get a {step.roundDays}th part of the ground that this step grazes, no more; the
    next steps feed the rest of what they need.
  </p>
{/if}

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: end;
  }
  .round {
    width: 10.5rem;
  }
  .block {
    font-weight: 600;
  }
  .turn {
    font-variant-numeric: tabular-nums;
  }
  .sources {
    margin-top: 0.5rem;
  }
  .sources legend {
    float: left;
    font-weight: 600;
    margin-right: 0.75rem;
    line-height: 2.25rem;
  }
  .find {
    width: 12rem;
  }
  .ticks {
    clear: both;
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1rem;
    max-height: 9.5rem;
    overflow-y: auto;
    margin-top: 0.4rem;
  }
  .ticks label {
    display: flex;
    gap: 0.35rem;
    align-items: center;
    min-height: 1.9rem;
  }
</style>
