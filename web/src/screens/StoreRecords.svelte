<script lang="ts">
  import type { Fact, Lot } from '../api/client';
  import Choice from '../forms/Choice.svelte';
  import DateField from '../forms/DateField.svelte';
  import NumberField from '../forms/NumberField.svelte';
  import { shortDate, today } from '../dates';
  import { open } from '../plan.svelte';
  import { Written } from '../records/written.svelte';
  import { plural } from '../words';

  let { lot }: { lot: Lot } = $props();

  const farm = $derived(open.view!.farm);
  const year = $derived(open.year);
  const written = new Written(() => lot.id);
  const records = $derived(
    [...written.of('LOT_FED'), ...written.of('LOT_COUNTED')].sort((a, b) => (a.on < b.on ? 1 : -1)),
  );
  const last = $derived(
    new Date(Date.parse(year.start) + (year.days - 1) * 86_400_000).toISOString().slice(0, 10),
  );
  type Fed = Extract<Fact, { kind: 'LOT_FED' }>;
  let date = $state(usualDay());
  let kind = $state<'LOT_FED' | 'LOT_COUNTED'>('LOT_FED');
  let units = $state<number | null>(null);
  let groupId = $state('');

  function usualDay(): string {
    const { start, days } = open.view!.year;
    const end = new Date(Date.parse(start) + (days - 1) * 86_400_000).toISOString().slice(0, 10);
    return today() < start ? start : today() > end ? end : today();
  }
  async function write() {
    if (units === null) return;
    const many = { lotId: lot.id, units: Math.round(units), note: '' };
    const fact: Fact =
      kind === 'LOT_FED' ? { kind, ...many, groupId: groupId || null } : { kind, ...many };
    if (await open.write([{ on: date, fact }])) units = null;
  }
  const strike = (record: string) =>
    open.write([{ on: today(), fact: { kind: 'STRUCK', record, why: '' } }]);
</script>

<section class="panel form" aria-labelledby="records-title" data-testid="store-records">
  <h2 id="records-title">Fed and counted</h2>
  {#if open.mayWrite}
    <div class="row">
      <DateField label="On" value={date} onchange={(v) => v && (date = v)} />
      <Choice
        label="What"
        value={kind}
        options={[
          { id: 'LOT_FED', name: 'fed' },
          { id: 'LOT_COUNTED', name: 'counted in the morning' },
        ]}
        onchange={(v) => (kind = v as typeof kind)}
      />
      <NumberField
        label="How many"
        name="record.units"
        quantity="count"
        optional
        value={units}
        onchange={(v) => (units = v)}
      />
      {#if kind === 'LOT_FED'}
        <Choice
          label="To"
          value={groupId}
          options={[
            { id: '', name: 'not said' },
            ...farm.groups.map((g) => ({ id: g.id, name: g.name })),
          ]}
          onchange={(v) => (groupId = v)}
        />
      {/if}
      <button class="btn preset-filled-primary-500" disabled={units === null} onclick={write}
        >Write down</button
      >
    </div>
  {/if}
  {#if date > last || date < year.start}<p class="quiet">
      This day lies outside the plan's year.
    </p>{/if}
  {#if records.length}
    <ul>
      {#each records as r (r.id)}
        <li class:struck={r.struckBy !== null}>
          <span
            >{shortDate(r.on)}: {r.fact.kind === 'LOT_FED' ? 'fed' : 'counted'}
            {r.fact.units}
            {plural(lot.unitName, r.fact.units)}{r.fact.kind === 'LOT_FED' && r.fact.groupId
              ? ` to ${farm.groups.find((g) => g.id === (r.fact as Fed).groupId)?.name ?? 'a group of before'}`
              : ''}
            <span class="quiet fine"
              >{r.who}{#if r.struckBy !== null}; struck out by {r.struckBy || 'somebody'}{/if}</span
            ></span
          >
          {#if open.mayWrite && r.struckBy === null}<button
              class="btn plain"
              onclick={() => strike(r.id)}
              >Strike out<span class="visually-hidden">
                the record of {shortDate(r.on)}</span
              ></button
            >{/if}
        </li>
      {/each}
    </ul>
  {/if}
  <p class="quiet fine">
    Between the first and the last feeding written down of a lot, that is what was fed; before and
    after, the plan feeds. What you count corrects what the plan supposed. What was written down
    stays whatever becomes of the plan; a wrong record is struck out, not changed.
  </p>
</section>

<style>
  .struck > span {
    text-decoration: line-through;
  }
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
</style>
