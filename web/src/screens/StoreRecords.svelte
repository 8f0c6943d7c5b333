<script lang="ts">
  import type { Lot, StoreRecord } from '../api/client';
  import Choice from '../forms/Choice.svelte';
  import DateField from '../forms/DateField.svelte';
  import NumberField from '../forms/NumberField.svelte';
  import { shortDate, today } from '../dates';
  import { freshId, open } from '../plan.svelte';
  import { plural } from '../words';

  let { lot }: { lot: Lot } = $props();

  const plan = $derived(open.view!.plan);
  const farm = $derived(open.view!.farm);
  const year = $derived(open.year);
  const records = $derived(
    plan.records.filter((r) => r.lotId === lot.id).sort((a, b) => (a.date < b.date ? 1 : -1)),
  );
  const mayWrite = $derived(open.view!.role !== 'READER');
  const last = $derived(
    new Date(Date.parse(year.start) + (year.days - 1) * 86_400_000).toISOString().slice(0, 10),
  );
  let date = $state(usualDay());
  let kind = $state<StoreRecord['kind']>('FED');
  let units = $state<number | null>(null);
  let groupId = $state('');

  function usualDay(): string {
    const { start, days } = open.view!.year;
    const end = new Date(Date.parse(start) + (days - 1) * 86_400_000).toISOString().slice(0, 10);
    return today() < start ? start : today() > end ? end : today();
  }
  async function write() {
    if (units === null) return;
    const record: StoreRecord = {
      id: freshId(
        'record',
        plan.records.map((r) => r.id),
      ),
      date,
      kind,
      lotId: lot.id,
      units: Math.round(units),
      groupId: kind === 'FED' && groupId ? groupId : null,
      note: '',
    };
    if (await open.edit([{ putStoreRecord: record }])) units = null;
  }
</script>

<section class="panel form" aria-labelledby="records-title" data-testid="store-records">
  <h2 id="records-title">Fed and counted</h2>
  {#if mayWrite}
    <div class="row">
      <DateField label="On" value={date} onchange={(v) => v && (date = v)} />
      <Choice
        label="What"
        value={kind}
        options={[
          { id: 'FED', name: 'fed' },
          { id: 'COUNTED', name: 'counted in the morning' },
        ]}
        onchange={(v) => (kind = v as StoreRecord['kind'])}
      />
      <NumberField
        label="How many"
        name="storeRecord.units"
        quantity="count"
        optional
        value={units}
        onchange={(v) => (units = v)}
      />
      {#if kind === 'FED'}
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
        <li>
          <span
            >{shortDate(r.date)}: {r.kind === 'FED' ? 'fed' : 'counted'}
            {r.units}
            {plural(lot.unitName, r.units)}{r.groupId
              ? ` to ${farm.groups.find((g) => g.id === r.groupId)?.name}`
              : ''}</span
          >
          {#if mayWrite}<button
              class="btn plain"
              onclick={() => open.edit([{ removeStoreRecord: r.id }])}
              >Take back<span class="visually-hidden">
                the record of {shortDate(r.date)}</span
              ></button
            >{/if}
        </li>
      {/each}
    </ul>
  {/if}
  <p class="quiet fine">
    Between the first and the last feeding written down of a lot, that is what was fed; before and
    after, the plan feeds. What you count corrects what the plan supposed.
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
</style>
