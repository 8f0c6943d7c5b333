<script lang="ts">
  import { type HaySheet } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { isoOf, longDate, shortDay } from '../units/dates';
  import { printAlone } from '../form/printed';
  import { thePlan } from '../plan/context';
  import { amount, figure, unitOf } from '../units/units';
  import { plural } from '../words/year';

  const open = thePlan();

  let { lotId }: { lotId: string } = $props();
  const farm = $derived(open.view!.farm);
  const year = $derived(open.year);
  const lot = $derived(year.lots.find((l) => l.id === lotId));

  let from = $state<string | null>(null);
  let to = $state<string | null>(null);
  let groupId = $state('');
  let atOnce = $state(1);
  let heldShare = $state(1);
  let sheet = $state<HaySheet | null>(null);
  let wrong = $state('');
  let part = $state<HTMLElement>();
  let asked = 0;

  /** What stands in the year's own answer, for all its days; else the server is asked. */
  const plain = $derived(!from && !to && !groupId);
  const lines = $derived(
    plain || !sheet
      ? year.haySums.filter((s) => s.lotId === lotId && s.groupId)
      : sheet.lines.filter((l) => !groupId || l.groupId === groupId),
  );
  const shown = $derived(lines.filter((s) => s.units > 0));
  const all = $derived(
    plain || !sheet
      ? year.haySums.find((s) => s.lotId === lotId && !s.groupId)
      : groupId
        ? sheet.lines.find((l) => l.groupId === groupId)
        : sheet.all,
  );
  const name = (id: string) => farm.groups.find((g) => g.id === id)?.name ?? id;
  const setUnits = $derived((sheet?.sets ?? []).reduce((n, s) => n + s.units, 0));
  const carried = $derived(
    groupId ? (sheet?.lines.find((l) => l.groupId === groupId)?.carriedFrom ?? -1) : -1,
  );

  $effect(() => {
    void open.view!.revision;
    void open.season;
    const query: Record<string, string> = { lotId };
    if (from) query.from = from;
    if (to) query.to = to;
    if (groupId)
      Object.assign(query, { groupId, unitsAtOnce: String(atOnce), heldShare: String(heldShare) });
    if (plain) {
      sheet = null;
      wrong = '';
    } else void ask(query);
  });
  async function ask(query: Record<string, string>) {
    const mine = ++asked;
    try {
      const answer = await open.api.haySum(open.view!.id, query);
      if (mine === asked) {
        sheet = answer;
        wrong = '';
      }
    } catch (e) {
      if (mine === asked) wrong = open.explain(e);
    }
  }
</script>

{#if lot}
  <section aria-labelledby="hay-sum" data-testid="hay-sum" bind:this={part}>
    <div class="head">
      <h2 id="hay-sum">Hay sum in {plural(lot.unitName, 2)} like {lot.name}</h2>
      <button class="btn plain" onclick={() => printAlone(part!)}>Print</button>
    </div>
    <div class="asked">
      <Choice
        label="For"
        value={groupId}
        options={[
          { id: '', name: 'all groups' },
          ...farm.groups.map((g) => ({ id: g.id, name: g.name })),
        ]}
        onchange={(v) => (groupId = v)}
      />
      <DateField label="From" value={from} onchange={(v) => (from = v)} />
      <DateField label="To, last day" name="haySum.dates" value={to} onchange={(v) => (to = v)} />
      {#if groupId}
        <NumberField
          name="setOut.units"
          value={atOnce}
          onchange={(v) => v !== null && v >= 1 && (atOnce = Math.round(v))}
        />
        <Choice
          label="Held for"
          value={String(heldShare)}
          options={[
            { id: '1', name: 'as long as it feeds' },
            { id: '1.3333', name: 'four days for three of feed' },
            { id: '1.5', name: 'three days for two of feed' },
          ]}
          onchange={(v) => (heldShare = Number(v))}
        />
      {/if}
    </div>
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
    <p class="number-said" data-testid="hay-number">
      <strong>{(all?.units ?? 0).toLocaleString('en-US')}</strong>
      {plural(lot.unitName, all?.units ?? 0)}
      {from || to
        ? `from ${from ? longDate(from) : 'the first day'} to ${to ? longDate(to) : 'the last'}`
        : 'until the ground carries them'}{groupId ? ` for ${name(groupId)}` : ''}.
      {#if carried >= 0 && carried < year.days}<span class="quiet"
          >The ground carries them again from {shortDay(year.start, carried)}.</span
        >{/if}
    </p>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="scroll" tabindex="0" role="region" aria-label="Hay sum">
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">Group</th>
            <th scope="col">Between</th>
            <th scope="col" class="number">Days</th>
            <th scope="col" class="number">Fed, {unitOf('mass', open.system)}</th>
            <th scope="col" class="number">Bare, {unitOf('mass', open.system)}</th>
            <th scope="col" class="number">{plural(lot.unitName, 2)}</th>
          </tr>
        </thead>
        <tbody>
          {#each shown as s (s.groupId)}
            <tr>
              <th scope="row">{name(s.groupId)}</th>
              <td>{shortDay(year.start, s.firstDay)} to {shortDay(year.start, s.lastDay)}</td>
              <td class="number">{s.days}</td>
              <td class="number">{figure(s.fedKg, 'mass', open.system)}</td>
              <td class="number">{figure(s.bareKg, 'mass', open.system)}</td>
              <td class="number">{s.units.toLocaleString('en-US')}</td>
            </tr>
          {/each}
          {#if !groupId}
            <tr class="total">
              <th scope="row">All groups</th>
              <td></td>
              <td></td>
              <td class="number">{figure(all?.fedKg ?? 0, 'mass', open.system)}</td>
              <td class="number">{figure(all?.bareKg ?? 0, 'mass', open.system)}</td>
              <td class="number">{(all?.units ?? 0).toLocaleString('en-US')}</td>
            </tr>
          {/if}
        </tbody>
      </table>
    </div>
    {#if groupId && sheet?.sets.length}
      <h3>When to set them out</h3>
      <ol class="sets" data-testid="sets">
        {#each sheet.sets as s (s.day)}
          <li>
            {shortDay(year.start, s.day)}: {s.units}
            {plural(lot.unitName, s.units)}, {s.lastsDays}
            {s.lastsDays === 1 ? 'day' : 'days'}
          </li>
        {/each}
      </ol>
      {#if setUnits !== (all?.units ?? 0)}
        <p class="quiet fine">
          {setUnits.toLocaleString('en-US')} together, against {(all?.units ?? 0).toLocaleString(
            'en-US',
          )} above: {heldShare > 1 ? 'a set that is held longer is eaten cleaner, and' : ''} sets are
          of so many whole {plural(lot.unitName, 2)} each, the last one too.
        </p>
      {/if}
      <p class="quiet fine">
        In the season looked at; cold shortens a set, and every later one moves up with it. Begins {longDate(
          isoOf(year.start, sheet.sets[0].day),
        )}.
      </p>
    {/if}
    <p class="quiet">
      Dry matter is feed less its water. What stored feed gave and what stayed bare, as if all of it
      came from {plural(lot.unitName, 2)} of {amount(lot.kgPerUnitAsFed, 'weight', open.system)}:
      losses in store and at feeding taken off, rounded up to whole ones. The same figures as in the
      year plan.
    </p>
  </section>
{/if}

<style>
  section {
    padding: 1rem;
    margin-bottom: 1rem;
  }
  .head {
    display: flex;
    justify-content: space-between;
    align-items: start;
    gap: 1rem;
  }
  .asked {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(10rem, 1fr));
    gap: 0.6rem;
    align-items: end;
    margin: 0.4rem 0;
  }
  .number-said {
    font-size: 1.05rem;
    margin: 0.6rem 0;
  }
  .number-said strong {
    font-size: 1.6rem;
    font-family: var(--mono);
  }
  .scroll {
    overflow-x: auto;
  }
  table {
    width: 100%;
  }
  .total > * {
    font-weight: 700;
    border-top: 2px solid var(--cobalt);
    color: var(--ink);
  }
  .sets {
    columns: 15rem;
    font-size: 14px;
    margin: 0.3rem 0;
    max-height: 14rem;
    overflow-y: auto;
  }
  h3 {
    margin-top: 0.8rem;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
  @media print {
    .asked {
      display: none;
    }
    .sets {
      max-height: none;
    }
  }
</style>
