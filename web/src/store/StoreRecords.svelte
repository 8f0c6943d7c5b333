<script lang="ts">
  import type { Fact, Lot } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { shortDate, todayWithin } from '../units/dates';
  import { thePlan } from '../plan/context';
  import RecordList from '../records/RecordList.svelte';
  import { Written } from '../records/written.svelte';
  import { leavingsText } from '../words/feeds';
  import { plural } from '../words/year';

  const open = thePlan();

  let { lot }: { lot: Lot } = $props();

  const farm = $derived(open.view!.farm);
  const year = $derived(open.year);
  const written = new Written(() => lot.id);
  const lines = $derived(
    [...written.of('LOT_FED'), ...written.of('LOT_COUNTED')]
      .sort((a, b) => (a.on < b.on ? 1 : -1))
      .map((l) => ({ ...l, text: text(l.on, l.fact) })),
  );
  const last = $derived(
    new Date(Date.parse(year.start) + (year.days - 1) * 86_400_000).toISOString().slice(0, 10),
  );
  type Fed = Extract<Fact, { kind: 'LOT_FED' }>;
  type Counted = Extract<Fact, { kind: 'LOT_COUNTED' }>;
  let date = $state(todayWithin(open.view!.year));
  let kind = $state<'LOT_FED' | 'LOT_COUNTED'>('LOT_FED');
  let units = $state<number | null>(null);
  let groupId = $state('');
  /** Of what was set out before, in shares; empty where nobody looked. */
  let left = $state('');
  const LEFTS = [
    { id: '', name: 'nobody looked' },
    { id: '0', name: 'nothing' },
    { id: '0.05', name: 'a little, a twentieth' },
    { id: '0.15', name: 'about a seventh' },
    { id: '0.25', name: 'a quarter' },
    { id: '0.35', name: 'a third' },
    { id: '0.5', name: 'half' },
    { id: '0.75', name: 'most of it' },
  ];
  const leavings = $derived(open.view!.year.lots.find((l) => l.id === lot.id)?.leavings ?? null);

  function text(on: string, fact: Fed | Counted): string {
    const fed = fact.kind === 'LOT_FED';
    const to = fed && fact.groupId ? farm.groups.find((g) => g.id === fact.groupId) : undefined;
    const units = `${fact.units} ${plural(lot.unitName, fact.units)}`;
    const rest =
      fed && fact.leftShare !== null
        ? `, ${Math.round(100 * fact.leftShare)}% left of the last`
        : '';
    return `${shortDate(on)}: ${fed ? 'fed' : 'counted'} ${units}${to ? ` to ${to.name}` : ''}${rest}`;
  }
  async function write() {
    if (units === null) return;
    const many = { lotId: lot.id, units: Math.round(units), note: '' };
    const fact: Fact =
      kind === 'LOT_FED'
        ? { kind, ...many, groupId: groupId || null, leftShare: left === '' ? null : Number(left) }
        : { kind, ...many };
    const said = units;
    // what is typed on while the answer comes stays
    if ((await open.write([{ on: date, fact }])) && units === said) {
      units = null;
      left = '';
    }
  }
</script>

<section aria-labelledby="records-title" data-testid="store-records">
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
        name={kind === 'LOT_FED' ? 'fed.units' : 'counted.units'}
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
        <Choice
          label="Left of the last time"
          value={left}
          options={LEFTS}
          onchange={(v) => (left = v)}
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
  {#if leavings}<p data-testid="leavings">{leavingsText(leavings, lot.unitName)}</p>{/if}
  {#if lines.length}
    <RecordList {lines} what="record" />
  {/if}
  <p class="quiet fine">
    Between the first and the last feeding written down of a lot, that is what was fed; before and
    after, the plan feeds. What you count corrects what the plan supposed. What was written down
    stays whatever becomes of the plan; a wrong record is struck out, not changed.
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
