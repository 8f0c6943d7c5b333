<script lang="ts">
  import type { AnimalGroup, HeadChange } from '../api/client';
  import { endAfter, isoOf, lastDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';

  const open = thePlan();

  let { group, onchange }: { group: AnimalGroup; onchange: (group: AnimalGroup) => void } =
    $props();

  const farm = $derived(open.view!.farm);
  const others = $derived(farm.groups.filter((g) => g.id !== group.id));
  const KINDS: { id: HeadChange['kind']; name: string }[] = [
    { id: 'BOUGHT', name: 'bought' },
    { id: 'SOLD', name: 'sold' },
    { id: 'CULLED', name: 'culled' },
    { id: 'DIED', name: 'died' },
    { id: 'MOVED', name: 'moved to another group' },
    { id: 'AWAY', name: 'away for a time (agistment)' },
    { id: 'TAKEN_IN', name: 'others’, taken in for a time' },
  ];
  const forATime = (k: HeadChange['kind']) => k === 'AWAY' || k === 'TAKEN_IN';

  function put(i: number, change: Partial<HeadChange>) {
    const changes = group.changes.map((c, n) => (n === i ? { ...c, ...change } : c));
    onchange({ ...group, changes });
  }
  function setKind(i: number, k: HeadChange['kind']) {
    put(i, {
      kind: k,
      toGroupId: k === 'MOVED' ? (others[0]?.id ?? null) : null,
      untilExclusive: forATime(k) ? group.changes[i].untilExclusive : null,
    });
  }
  function add() {
    const date = isoOf(open.year.start, Math.floor(open.year.days / 2));
    const one: HeadChange = {
      date,
      untilExclusive: null,
      kind: 'SOLD',
      head: 1,
      toGroupId: null,
      moneyPerHead: null,
      note: '',
    };
    onchange({ ...group, changes: [...group.changes, one] });
  }
</script>

<section class="part" aria-label="Comings and goings">
  <h2>Comings and goings</h2>
  {#each group.changes as c, i (i)}
    <div class="row">
      <DateField label="On" value={c.date} onchange={(v) => v && put(i, { date: v })} />
      <NumberField
        label="Head"
        name="headChange.head"
        value={c.head}
        onchange={(v) => v !== null && put(i, { head: Math.round(v) })}
      />
      <Choice
        label="Are"
        value={c.kind}
        options={KINDS.filter((k) => k.id !== 'MOVED' || others.length > 0)}
        onchange={(v) => setKind(i, v as HeadChange['kind'])}
      />
      {#if c.kind === 'MOVED'}
        <Choice
          label="To"
          value={c.toGroupId ?? ''}
          options={others.map((g) => ({ id: g.id, name: g.name }))}
          onchange={(v) => put(i, { toGroupId: v })}
        />
      {/if}
      {#if forATime(c.kind)}
        <DateField
          label="Until, last day"
          name="headChange.dates"
          value={c.untilExclusive ? lastDay(c.untilExclusive) : null}
          onchange={(v) => put(i, { untilExclusive: v ? endAfter(v) : null })}
        />
      {/if}
      {#if c.kind !== 'DIED' && c.kind !== 'MOVED'}
        <NumberField
          label={forATime(c.kind) ? `${farm.currency} a head and day` : `${farm.currency} for one`}
          name="headChange.moneyPerHead"
          placeholder="not said"
          value={c.moneyPerHead}
          onchange={(v) => put(i, { moneyPerHead: v })}
        />
      {/if}
      <button
        class="btn plain"
        onclick={() => onchange({ ...group, changes: group.changes.filter((_, n) => n !== i) })}
        >Drop<span class="visually-hidden"> this coming or going</span></button
      >
    </div>
  {/each}
  <button class="btn plain" onclick={add}>Add a coming or going</button>
  <p class="quiet fine">
    Young at foot go with their dams; those that are weaned stay. Animals that are away eat nothing
    here.
  </p>
</section>

<style>
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr));
    gap: 0.6rem;
    align-items: end;
    border: 1px solid var(--line);
    padding: 0.5rem;
    margin: 0.5rem 0;
  }
</style>
