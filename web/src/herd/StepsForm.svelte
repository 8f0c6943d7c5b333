<script lang="ts">
  import type { FeedStep } from '../api/client';
  import { endAfter, lastDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import PortionForm from './PortionForm.svelte';

  const open = thePlan();

  let {
    groupId,
    steps,
    onchange,
  }: { groupId: string; steps: FeedStep[]; onchange: (steps: FeedStep[]) => void } = $props();

  const view = $derived(open.view!);
  const lots = $derived([
    ...view.farm.lots,
    ...view.plan.cuts.map((c) => c.lot),
    ...view.plan.purchases.map((p) => p.lot),
  ]);
  const sources = $derived({ GRAZE: view.farm.fields, STORE: lots });

  function put(i: number, change: Partial<FeedStep>) {
    onchange(steps.map((s, n) => (n === i ? { ...s, ...change } : s)));
  }
  function move(i: number, by: number) {
    const next = [...steps];
    const [step] = next.splice(i, 1);
    next.splice(i + by, 0, step);
    onchange(next);
  }
  function toggle(i: number, id: string, on: boolean) {
    const ids = steps[i].sourceIds.filter((s) => s !== id);
    put(i, { sourceIds: on ? [...ids, id] : ids });
  }
  function add(kind: FeedStep['kind']) {
    const taken = [...view.plan.steps, ...steps].map((s) => s.id);
    const step: FeedStep = {
      id: freshId(`${groupId}-${kind.toLowerCase()}`, taken),
      groupId,
      kind,
      sourceIds: [],
      fromInclusive: null,
      toExclusive: null,
      portion: null,
      roundDays: null,
    };
    // grass goes before the stored feed that would leave nothing for it to do
    const store = steps.findIndex((s) => s.kind === 'STORE' && s.portion === null);
    const at = kind === 'GRAZE' && store >= 0 ? store : steps.length;
    onchange([...steps.slice(0, at), step, ...steps.slice(at)]);
  }
  /** The earlier step, counted from 1, that feeds all there is on every day of this one; else 0. */
  function behind(i: number): number {
    const covers = (s: FeedStep) =>
      s.kind === 'STORE' &&
      s.portion === null &&
      (s.fromInclusive === null ||
        (steps[i].fromInclusive !== null && s.fromInclusive <= steps[i].fromInclusive!)) &&
      (s.toExclusive === null ||
        (steps[i].toExclusive !== null && s.toExclusive >= steps[i].toExclusive!));
    return steps[i].kind === 'GRAZE' ? steps.slice(0, i).findIndex(covers) + 1 : 0;
  }
</script>

<section aria-label="Order of feeds">
  <h2>Order of feeds</h2>
  <p class="quiet">
    Each day the first step that is open feeds the group, then the next, until its need is met. What
    is said as exactly or at least so much is given before anything else.
  </p>
  <ol>
    {#each steps as step, i (step.id)}
      <li>
        <div class="row">
          <Choice
            label={`Step ${i + 1}`}
            value={step.kind}
            options={[
              { id: 'GRAZE', name: 'Graze' },
              { id: 'STORE', name: 'Feed from store' },
            ]}
            onchange={(v) =>
              put(i, { kind: v as FeedStep['kind'], sourceIds: [], roundDays: null })}
          />
          <DateField
            label="From"
            value={step.fromInclusive}
            onchange={(v) => put(i, { fromInclusive: v })}
          />
          <DateField
            label="To, last day"
            value={step.toExclusive ? lastDay(step.toExclusive) : null}
            onchange={(v) => put(i, { toExclusive: v ? endAfter(v) : null })}
          />
          <PortionForm portion={step.portion} onchange={(portion) => put(i, { portion })} />
          {#if step.kind === 'GRAZE'}
            <span class="round">
              <NumberField
                name="step.roundDays"
                placeholder="when eaten"
                value={step.roundDays}
                onchange={(v) => put(i, { roundDays: v })}
              />
            </span>
          {/if}
          <span class="buttons">
            <button class="btn plain" disabled={i === 0} onclick={() => move(i, -1)}
              >Earlier<span class="visually-hidden"> step {i + 1}</span></button
            >
            <button class="btn plain" disabled={i === steps.length - 1} onclick={() => move(i, 1)}
              >Later<span class="visually-hidden"> step {i + 1}</span></button
            >
            <button
              class="btn plain"
              onclick={() => onchange(steps.filter((s) => s.id !== step.id))}
              >Drop<span class="visually-hidden"> step {i + 1}</span></button
            >
          </span>
        </div>
        {#if behind(i)}
          <p class="tells" role="status">
            Reached only once the store of step {behind(i)} is empty: that one feeds all that is asked
            for on these days. Move this step earlier, or say how much of the diet the store may be.
          </p>
        {/if}
        <div class="sources">
          {#each sources[step.kind] as source (source.id)}
            <label>
              <input
                type="checkbox"
                class="checkbox"
                checked={step.sourceIds.includes(source.id)}
                onchange={(e) => toggle(i, source.id, e.currentTarget.checked)}
              />
              {#if step.sourceIds.length > 1 && step.sourceIds.includes(source.id)}<span
                  class="turn">{step.sourceIds.indexOf(source.id) + 1}.</span
                >{/if}
              {source.name}
            </label>
          {/each}
          {#if step.sourceIds.length === 0}<span class="quiet"
              >None ticked: {step.kind === 'STORE' ? 'the whole store' : 'every field'}, also what
              is added later{step.kind === 'STORE'
                ? '. The poorest that is good enough goes first, the best to whom needs it.'
                : '.'}</span
            >{/if}
        </div>
        {#if step.kind === 'GRAZE' && step.sourceIds.length > 1}
          <p class="quiet fine">
            Stock go to the field that is furthest ahead; where fields stand alike, in the order
            they were ticked.
          </p>
        {/if}
        {#if step.roundDays}
          <p class="quiet fine">
            Each day stock get a {step.roundDays}th part of the ground that this step grazes, no
            more; the next steps feed the rest of what they need.
          </p>
        {/if}
      </li>
    {/each}
  </ol>
  <button class="btn plain" onclick={() => add('GRAZE')}>Add grazing</button>
  <button class="btn plain" onclick={() => add('STORE')}>Add stored feed</button>
</section>

<style>
  section {
    margin-top: 1.25rem;
    border-top: 1px solid var(--line);
    padding-top: 0.75rem;
  }
  li {
    border: 1px solid var(--line);
    padding: 0.6rem;
    margin: 0.5rem 0;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: end;
  }
  .round {
    width: 10.5rem;
  }
  .turn {
    font-variant-numeric: tabular-nums;
  }
  .buttons {
    display: flex;
    gap: 0.3rem;
  }
  .sources {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1rem;
    margin-top: 0.5rem;
  }
  .sources label {
    display: flex;
    gap: 0.35rem;
    align-items: center;
  }
</style>
