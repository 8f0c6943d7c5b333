<script lang="ts">
  import type { Instrument } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import { thePlan } from '../plan/context';
  import { timeOf } from '../units/dates';
  import TableDrop from './TableDrop.svelte';

  const open = thePlan();

  const KINDS = [
    { id: 'PLATE' as const, name: 'Plate meter' },
    { id: 'STATION' as const, name: 'Weather station' },
  ];
  const COLUMNS = { PLATE: 'field,time,clicks', STATION: 'date,tmin_c,tmax_c,rain_mm' };

  let all = $state.raw<Instrument[] | null>(null);
  let kind = $state<Instrument['kind']>('PLATE');
  let name = $state('');
  /** The address of the one that was just added: told once. */
  let added = $state.raw<Instrument | null>(null);
  let working = $state(false);

  const id = $derived(open.view!.id);
  const kindName = (k: Instrument['kind']) => KINDS.find((one) => one.id === k)!.name;
  const called = (i: Instrument) => (i.simulated ? `${i.name}, simulated` : i.name);

  $effect(() => {
    open.api
      .instruments(id)
      .then((found) => (all = found))
      .catch((e) => (open.error = open.explain(e)));
  });

  async function act(what: () => Promise<Instrument[]>): Promise<boolean> {
    working = true;
    try {
      all = await what();
      return true;
    } catch (e) {
      open.error = open.explain(e);
      return false;
    } finally {
      working = false;
    }
  }
  async function add() {
    if (await act(() => open.api.addInstrument(id, kind, name, false))) {
      added = all!.find((i) => i.path !== null) ?? null;
      name = '';
    }
  }
  async function remove(i: Instrument) {
    if (await act(() => open.api.removeInstrument(id, i.id))) {
      if (added?.id === i.id) added = null;
    }
  }
</script>

<div class="page">
  <header>
    <h1>Instruments</h1>
    <p>
      A plate meter or a weather station sends a table, and it is written down: covers of fields,
      rain and frost. All of a table is taken, or nothing; the same table again changes nothing.
    </p>
  </header>
  {#if all}
    <section class="panel" aria-labelledby="there-title" data-testid="instruments">
      <h2 id="there-title">There are</h2>
      {#if all.length === 0}<p class="quiet">None yet.</p>{/if}
      <ul>
        {#each all as i (i.id)}
          <li>
            <p>
              <strong>{called(i)}</strong>
              <span class="quiet"
                >{kindName(i.kind)}, added by {i.who}; {i.lastAt === null
                  ? 'it has sent nothing yet'
                  : `it sent last ${timeOf(Date.parse(i.lastAt))}`}</span
              >
            </p>
            {#if open.mayPlan}
              <button class="btn plain" disabled={working} onclick={() => remove(i)}
                >Remove<span class="visually-hidden"> {called(i)}</span></button
              >
            {/if}
            {#if open.mayWrite}
              <TableDrop
                label={`Table of ${called(i)}`}
                columns={COLUMNS[i.kind]}
                send={(text) => open.api.instrumentFile(id, i.id, text)}
              />
            {/if}
          </li>
        {/each}
      </ul>
    </section>
    {#if open.mayPlan}
      <section class="panel" aria-labelledby="add-title">
        <h2 id="add-title">Add one</h2>
        <div class="row">
          <Choice
            label="It is a"
            value={kind}
            options={KINDS}
            onchange={(v) => (kind = v as typeof kind)}
          />
          <label class="field"
            ><span>Called</span><input class="input" maxlength="60" bind:value={name} /></label
          >
          <button
            class="btn preset-filled-primary-500"
            disabled={working || name.trim() === ''}
            onclick={add}>Add</button
          >
        </div>
        {#if added}
          <div role="status" class="told" data-testid="address">
            <p>
              <strong>{added.name}</strong> sends its table by POST, as text/csv, to this address. It
              is shown now and not again; whoever has it can write for you.
            </p>
            <code>{location.origin}{added.path}</code>
          </div>
        {/if}
        <dl class="fine">
          <dt>Plate meter</dt>
          <dd>
            <code>{COLUMNS.PLATE}</code> A row for each spot: name of the field, date with or without
            the time, clicks of half a centimetre. All of a field on a day are one reading, by the table’s
            line for its sward.
          </dd>
          <dt>Weather station</dt>
          <dd>
            <code>{COLUMNS.STATION}</code> A row for each day; also
            <code>tmin_f, tmax_f, rain_in</code>. Its rain is in the gauge the morning after.
          </dd>
        </dl>
      </section>
      <section class="panel" aria-labelledby="standins-title">
        <h2 id="standins-title">To try it without one</h2>
        <p class="quiet">
          Two simulated instruments. What they send is made up, and is marked as simulated wherever
          it shows.
        </p>
        <p class="links">
          <a class="btn plain" href={`#/plan/${id}/instruments/plate`}>Simulated plate meter</a>
          <a class="btn plain" href={`#/plan/${id}/instruments/station`}
            >Simulated weather station</a
          >
        </p>
      </section>
    {/if}
  {:else}
    <p role="status">Looking what there is.</p>
  {/if}
  <p><a href={`#/plan/${id}/walk`}>To the walk</a></p>
</div>

<style>
  .page {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.9rem;
    padding: 1rem 20px 2rem;
    max-width: 62rem;
  }
  section {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.6rem;
    padding: 0.8rem 1rem;
    min-width: 0;
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.4rem 1rem;
    align-items: center;
    padding: 0.5rem 0;
  }
  li + li {
    border-top: 1px solid var(--line);
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(10rem, 1fr));
    gap: 0.6rem;
    align-items: end;
    max-width: 44rem;
  }
  .told {
    display: grid;
    gap: 0.4rem;
    padding: 0.6rem 0.8rem;
    background: var(--frost);
  }
  code {
    overflow-wrap: anywhere;
  }
  dt {
    font-weight: 600;
  }
  .links {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
  }
  button,
  .links a,
  .row :global(:is(.input, .select)) {
    min-height: 44px;
  }
  p > a:not(.btn) {
    color: var(--cobalt);
    text-decoration: underline;
  }
</style>
