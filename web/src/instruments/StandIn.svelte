<script lang="ts">
  import { router } from 'svelte-spa-router';
  import { sendAsInstrument, type Instrument, type Walk } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import { thePlan } from '../plan/context';
  import { shortDate, todayWithin } from '../units/dates';
  import { amount, figure, unitOf } from '../units/units';
  import { receivedText, wrongText } from './received';
  import {
    clicksAt,
    drawn,
    plateTable,
    stationTable,
    weekBefore,
    type Spell,
    type StationDay,
  } from './standin';

  const open = thePlan();

  const SPELLS: { id: Spell; name: string }[] = [
    { id: 'SHOWERS', name: 'showers' },
    { id: 'STORM', name: 'one storm' },
    { id: 'DRY', name: 'dry' },
    { id: 'FROST', name: 'frosty nights' },
  ];
  const AGAINST = [-0.4, -0.2, 0, 0.2, 0.4].map((share) => ({
    id: String(share),
    name:
      share === 0
        ? 'as expected'
        : `${Math.abs(100 * share)}% ${share < 0 ? 'less' : 'more'} than expected`,
    share,
  }));

  const plate = $derived(!router.location.endsWith('/station'));
  const kind = $derived<Instrument['kind']>(plate ? 'PLATE' : 'STATION');
  const title = $derived(plate ? 'Simulated plate meter' : 'Simulated weather station');
  const id = $derived(open.view!.id);
  const fields = $derived(open.view!.farm.fields);

  let on = $state(todayWithin(open.view!.year));
  let walk = $state.raw<Walk | null>(null);
  let fieldId = $state('');
  let against = $state('0');
  let spell = $state<Spell>('SHOWERS');
  /** Another walk reads other spots. */
  let seed = $state(1);
  let table = $state('');
  let clicks = $state.raw<number[]>([]);
  let days = $state.raw<StationDay[]>([]);
  let said = $state('');
  let wrong = $state.raw<string[]>([]);
  let working = $state(false);

  const field = $derived(walk?.fields.find((f) => f.fieldId === fieldId));
  const line = $derived(walk?.plates.find((p) => p.fieldId === fieldId)?.line);
  const name = $derived(fields.find((f) => f.id === fieldId)?.name ?? '');
  const mean = $derived(
    clicks.length ? Math.round(clicks.reduce((s, c) => s + c, 0) / clicks.length) : 0,
  );

  $effect(() => {
    if (!plate) return;
    const asked = on;
    open.api
      .walk(id, asked)
      .then((found) => {
        if (asked !== on) return;
        walk = found;
        if (!found.fields.some((f) => f.fieldId === fieldId))
          fieldId =
            found.plates.find((p) => p.line.usable)?.fieldId ?? found.fields.at(0)?.fieldId ?? '';
      })
      .catch((e) => (wrong = [open.explain(e)]));
  });

  function clear() {
    table = '';
    clicks = [];
    days = [];
    said = '';
    wrong = [];
  }
  function read() {
    clear();
    const next = drawn(seed++);
    if (plate) {
      const share = AGAINST.find((a) => a.id === against)!.share;
      clicks = clicksAt(field!.expectedKgPerHa * (1 + share), line!, next);
      table = plateTable(name, on, clicks);
    } else {
      days = weekBefore(on, spell, next);
      table = stationTable(days);
    }
  }

  /** The address under which this stand-in sends is kept by this browser. */
  const KEY = $derived(`stand-in ${id} ${kind}`);
  async function address(): Promise<string> {
    const known = localStorage.getItem(KEY);
    const there = await open.api.instruments(id);
    const mine = known ? (JSON.parse(known) as { number: number; path: string }) : null;
    if (mine && there.some((i) => i.id === mine.number)) return mine.path;
    const all = await open.api.addInstrument(
      id,
      kind,
      plate ? 'Plate meter' : 'Weather station',
      true,
    );
    const made = all.find((i) => i.path !== null)!;
    localStorage.setItem(KEY, JSON.stringify({ number: made.id, path: made.path }));
    return made.path!;
  }
  async function send() {
    working = true;
    said = '';
    wrong = [];
    try {
      said = receivedText((await sendAsInstrument(await address(), table)).written);
      open.took(await open.api.plan(id));
    } catch (e) {
      wrong = wrongText(e, (o) => open.explain(o), open.system);
    }
    working = false;
  }
  function save() {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([table], { type: 'text/csv' }));
    link.download = plate ? 'simulated-plate.csv' : 'simulated-station.csv';
    link.click();
    URL.revokeObjectURL(link.href);
  }
</script>

<div class="page">
  <header>
    <p class="made-up">Simulated: what it reads is made up</p>
    <h1>{title}</h1>
    <p class="quiet">
      {plate
        ? 'It walks over a field and reads thirty spots. So that something comes of it, say how the field stands beside what the plan expects.'
        : 'It has stood on the farm for a week. Say what weather it had.'}
      What it sends is written down as a record of this farm, marked as simulated, and moves the plan
      until it is struck out.
    </p>
  </header>
  <section class="panel device" aria-label="The instrument">
    <div class="row">
      <DateField
        label={plate ? 'Walked on' : 'The week before'}
        value={on}
        onchange={(v) => {
          if (v) on = v;
          clear();
        }}
      />
      {#if plate}
        <Choice
          label="Field"
          value={fieldId}
          options={(walk?.fields ?? []).map((f) => ({
            id: f.fieldId,
            name: fields.find((one) => one.id === f.fieldId)?.name ?? f.fieldId,
          }))}
          onchange={(v) => {
            fieldId = v;
            clear();
          }}
        />
        <Choice
          label="It stands"
          value={against}
          options={AGAINST}
          onchange={(v) => {
            against = v;
            clear();
          }}
        />
      {:else}
        <Choice
          label="Weather"
          value={spell}
          options={SPELLS}
          onchange={(v) => {
            spell = v as Spell;
            clear();
          }}
        />
      {/if}
      <button
        class="btn plain read"
        disabled={plate && (!field || !line?.usable || walk?.on !== on)}
        onclick={read}>{plate ? 'Walk over it' : 'Read the week'}</button
      >
    </div>
    {#if plate && field}
      <p class="quiet fine">
        Expected: {amount(field.expectedKgPerHa, 'massPerArea', open.system)}.
        {#if !line}No line of the table turns a plate’s readings of this sward into mass.{:else if !line.usable}No
          plate on this sward now: {line.note}{/if}
      </p>
    {/if}
    {#if clicks.length}
      <p data-testid="read"><strong>{mean} clicks</strong> on the mean of {clicks.length} spots</p>
      <div class="spots" role="img" aria-label={`Clicks at each spot: ${clicks.join(', ')}`}>
        {#each clicks as c, i (i)}<span><i style:height={`${2 * c}px`}></i>{c}</span>{/each}
      </div>
    {/if}
    {#if days.length}
      <div class="scroll">
        <table data-testid="read">
          <thead
            ><tr
              ><th scope="col">Day</th><th scope="col">Low, {unitOf('temperature', open.system)}</th
              ><th scope="col">High, {unitOf('temperature', open.system)}</th><th scope="col"
                >Rain, {unitOf('water', open.system)}</th
              ></tr
            ></thead
          >
          <tbody>
            {#each days as d (d.date)}
              <tr
                ><th scope="row">{shortDate(d.date)}</th><td class="figure"
                  >{figure(d.tminC, 'temperature', open.system)}</td
                ><td class="figure">{figure(d.tmaxC, 'temperature', open.system)}</td><td
                  class="figure">{figure(d.rainMm, 'water', open.system)}</td
                ></tr
              >
            {/each}
          </tbody>
        </table>
      </div>
    {/if}
    {#if table}
      <div class="row">
        <button class="btn preset-filled-primary-500" disabled={working} onclick={send}
          >Send it</button
        >
        <button class="btn plain" onclick={save}>Save its table</button>
      </div>
    {/if}
    {#if said}<p role="status">{said}</p>{/if}
    {#if wrong.length}
      <ul class="wrong" role="alert">
        {#each wrong as w, i (i)}<li>{w}</li>{/each}
      </ul>
    {/if}
  </section>
  {#if table}
    <details>
      <summary>The table as it is sent</summary>
      <pre>{table}</pre>
    </details>
  {/if}
  <p>
    <a href={`#/plan/${id}/instruments`}>Instruments</a> ·
    <a href={`#/plan/${id}/walk?${new URLSearchParams({ on })}`}>To the walk of this day</a>
  </p>
</div>

<style>
  .page {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.9rem;
    padding: 1rem 20px 2rem;
    max-width: 56rem;
  }
  .made-up {
    display: inline-block;
    padding: 0.1rem 0.6rem;
    background: var(--standing);
    color: #2b2205;
    font-weight: 700;
  }
  .device {
    display: grid;
    gap: 0.7rem;
    padding: 0.9rem 1rem;
    min-width: 0;
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(10rem, 1fr));
    gap: 0.6rem;
    align-items: start;
  }
  .row button {
    min-height: 44px;
  }
  .row :global(.input),
  .row :global(.select) {
    min-height: 44px;
  }
  .read {
    margin-top: 1.15rem;
  }
  .spots {
    display: flex;
    flex-wrap: wrap;
    gap: 3px;
    align-items: end;
  }
  .spots span {
    display: grid;
    justify-items: center;
    align-content: end;
    width: 22px;
    font-size: 12px;
    font-variant-numeric: tabular-nums;
  }
  .spots i {
    width: 12px;
    min-height: 1px;
    background: var(--growing);
  }
  .scroll {
    overflow-x: auto;
  }
  table {
    border-collapse: collapse;
  }
  th,
  td {
    padding: 0.2rem 0.8rem 0.2rem 0;
    text-align: left;
    border-bottom: 1px solid var(--line);
  }
  td.figure {
    text-align: right;
  }
  pre {
    max-height: 14rem;
    overflow: auto;
    background: var(--panel);
    padding: 0.6rem;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
  p > a:not(.btn) {
    color: var(--cobalt);
    text-decoration: underline;
  }
</style>
