<script lang="ts">
  import { untrack } from 'svelte';
  import { MediaQuery } from 'svelte/reactivity';
  import { router } from 'svelte-spa-router';
  import type { ReadingLine, Walk } from '../api/client';
  import { link } from '../device/link.svelte';
  import { queue } from '../device/queue.svelte';
  import DateField from '../form/DateField.svelte';
  import { thePlan } from '../plan/context';
  import { fullDate, isoOf, timeOf, today, todayWithin } from '../units/dates';
  import {
    aheadLines,
    expectedText,
    lastText,
    paceText,
    roundText,
    stakeText,
  } from '../words/walk';
  import { rainText } from '../words/seen';
  import FieldReading from './FieldReading.svelte';
  import Herds from './Herds.svelte';
  import { nearestFirst, whereAmI, type Here } from './near';
  import Readings from './Readings.svelte';
  import SeenForm from './SeenForm.svelte';
  import { lastWalk, walkOn, warm, type Reckoned } from './reckon';

  const open = thePlan();

  const last = $derived(isoOf(open.view!.year.start, open.view!.year.days - 1));
  /** A reading that was refused is read again: its field and day come with the address. */
  const within = (iso: string | null) =>
    iso !== null && iso >= open.view!.year.start && iso <= last ? iso : null;
  const wanted = new URLSearchParams(router.querystring ?? '');
  let on = $state(within(wanted.get('on')) ?? todayWithin(open.view!.year));
  let walk = $state.raw<Walk | null>(null);
  let readings = $state.raw<ReadingLine[]>([]);
  let keptAt = $state<number | null>(null);
  let chosen = $state(wanted.get('field') ?? '');
  let order = $state<'round' | 'most' | 'near'>('round');
  let here = $state.raw<Here | null>(null);
  let unknown = $state(false);
  const narrow = new MediaQuery('max-width: 760px');
  const name = (id: string) => {
    const { fields, groups } = open.view!.farm;
    return [...fields, ...groups].find((thing) => thing.id === id)?.name ?? id;
  };

  /** Each view of the plan is a new one, also after a record; without signal the queue tells. */
  let asking = 0;
  $effect(() => {
    void [open.view, link.away !== null && queue.entries];
    const asked = on;
    untrack(() => void ask(asked));
  });
  $effect(() => {
    void open.packs;
    untrack(() => void warm(open.view!.id, on));
  });
  $effect(() => () => (asking = -1));
  async function ask(day: string) {
    const number = ++asking;
    try {
      if (!walk) {
        const last = await lastWalk(open.view!.id, day);
        if (last && number === asking) ({ walk, readings, keptAt } = last);
      }
      const show = (found: Reckoned) => {
        if (number === asking) ({ walk, readings, keptAt } = found);
      };
      show(await walkOn(open, day, show));
    } catch (e) {
      if (number === asking) open.error = open.explain(e);
    }
  }

  /** What is shown is of the day that was answered for, until the next answer is here. */
  const day = $derived(walk?.on ?? on);
  const readThen = (id: string) =>
    readings.find((r) => r.fieldId === id && r.on === day)?.coverKgPerHa;
  const fields = $derived(
    walk === null
      ? []
      : order === 'round'
        ? walk.fields
        : order === 'near' && here
          ? nearestFirst(walk, here)
          : [...walk.fields].sort((a, b) => b.daysAtStake - a.daysAtStake),
  );
  const at = $derived(fields.findIndex((f) => f.fieldId === chosen));
  const signs = $derived(
    walk?.known.filter((s) =>
      walk!.signs[walk!.fields.findIndex((f) => f.fieldId === chosen)]?.includes(s.id),
    ) ?? [],
  );
  async function fromHere() {
    here = await whereAmI();
    unknown = here === null;
    if (here) order = 'near';
  }
  /** On a phone the field takes the place of the list, and is looked at from its top. */
  function choose(id: string) {
    chosen = id;
    if (narrow.current) scrollTo({ top: 0 });
  }
  /** The next one that nobody has read this day, or none. */
  function next() {
    const after = [...fields.slice(at + 1), ...fields.slice(0, at)];
    choose(after.find((f) => !f.readToday)?.fieldId ?? '');
  }
</script>

<div class="page" class:narrow={narrow.current} aria-busy={day !== on}>
  {#if walk}
    {#if !(narrow.current && at >= 0)}
      <header>
        <h1>{fullDate(day)}</h1>
        <p>{roundText(walk.fields, walk.first, name, walk.needKgPerDay)}</p>
        {#if day !== today()}<p class="quiet">
            {today() < open.view!.year.start || today() > last
              ? 'Today lies outside of this plan.'
              : 'This is not today.'}
          </p>{/if}
        {#if open.season !== 'normal'}<p class="quiet">
            Covers are expected as in a normal year here, whatever season is looked at.
          </p>{/if}
        {#if paceText(walk.paceShare)}<p class="quiet" data-testid="pace">
            {paceText(walk.paceShare)}
          </p>{/if}
        {#if keptAt !== null}<p class="quiet" data-testid="reckoned-here">
            Reckoned on this device, from the plan as it was {timeOf(keptAt)} and what was written down
            here since.
          </p>{:else if open.opensAlone}<p class="quiet fine" data-testid="opens-alone">
            Kept on this device: the walk also opens without signal.
          </p>{/if}
      </header>
      {#if walk.needKgPerDay > 0}<section
          class="ahead panel"
          aria-label="Feed from here"
          data-testid="feed-ahead"
        >
          <h2>Feed from here</h2>
          <dl>
            {#each aheadLines(walk.ahead, day) as l (l.name)}
              <div>
                <dt>{l.name}</dt>
                <dd>{l.text}</dd>
              </div>
            {/each}
          </dl>
          <p class="quiet fine">
            From what stands and is stored this day, with every reading in it. Nothing more grows:
            what stands above what is to be left, and the store. The two years: the plan as it is.
          </p>
        </section>
      {/if}
      {#if walk.herds.length && !(at >= 0)}<div class="beside">
          <Herds {walk} {name} folded={narrow.current} />
        </div>{/if}
      {#if fields.length}<section class="round" aria-label="The round">
          <div class="choose">
            <DateField label="Walked on" value={on} onchange={(v) => v && (on = v)} />
            <div class="order" role="group" aria-label="Order">
              <button
                class="btn plain"
                aria-pressed={order === 'round'}
                onclick={() => (order = 'round')}>Farm’s order</button
              >
              <button
                class="btn plain"
                aria-pressed={order === 'most'}
                onclick={() => (order = 'most')}>What moves most</button
              >
              {#if walk.places.length}
                <button class="btn plain" aria-pressed={order === 'near'} onclick={fromHere}
                  >Nearest</button
                >
              {/if}
            </div>
          </div>
          {#if unknown}<p class="quiet" role="status">
              This device does not know where it is, or may not say.
            </p>{/if}
          <ol>
            {#each fields as f (f.fieldId)}
              <li>
                <button
                  class="field-row"
                  class:read={f.readToday}
                  disabled={day !== on}
                  aria-current={f.fieldId === chosen ? 'true' : undefined}
                  onclick={() => choose(f.fieldId)}
                >
                  <strong
                    >{name(f.fieldId)}{#if walk.first.includes(f.fieldId)}<span class="first"
                        >first</span
                      >{/if}</strong
                  >
                  <span>{expectedText(f, open.system)}</span>
                  <span class="quiet"
                    >{lastText(f, day, open.system, readThen(f.fieldId))}{f.readToday
                      ? ''
                      : `; ${stakeText(f)}`}{f.plantsLift
                      ? '; shut, as plants lift'
                      : f.shut
                        ? '; shut'
                        : ''}</span
                  >
                </button>
              </li>
            {/each}
          </ol>
        </section>
      {/if}
    {/if}
    {#if at >= 0}
      {#key `${chosen} ${day}`}
        <FieldReading
          field={fields[at]}
          place={`${at + 1} of ${fields.length}`}
          {walk}
          {signs}
          alone={narrow.current}
          readings={readings.filter((r) => r.fieldId === chosen)}
          onkept={next}
          onback={() => (chosen = '')}
        />
      {/key}
    {:else}
      <section class="panel else" aria-labelledby="else-title" data-testid="seen-on-farm">
        <h2 id="else-title">Seen on the farm</h2>
        {#if walk.rain}<p data-testid="rain">{rainText(walk.rain, open.system)}</p>{/if}
        <SeenForm fieldId={null} on={day} />
        {#if fields.length}<p class="quiet fine">What is seen on one field is kept with it.</p>{/if}
      </section>
    {/if}
    {#if !(narrow.current && at >= 0)}
      <Readings {readings} />
      <p class="quiet instruments">
        Plate meters and weather stations write by themselves:
        <a href={`#/plan/${open.view!.id}/instruments`}>Instruments</a>
      </p>
    {/if}
  {:else}
    <p role="status">Looking what stands.</p>
  {/if}
</div>

<style>
  .page {
    display: grid;
    grid-template-columns: minmax(20rem, 27rem) minmax(0, 1fr);
    gap: 0.9rem 1.4rem;
    padding: 1rem 20px 2rem;
    align-items: start;
  }
  .narrow {
    grid-template-columns: minmax(0, 1fr);
    padding: 0.8rem 12px 1.5rem;
  }
  /* for thumbs in gloves */
  .page :global(:is(.input, .select)) {
    min-height: 44px;
  }
  .instruments {
    grid-column: 1 / -1;
  }
  .instruments a {
    color: var(--cobalt);
    text-decoration: underline;
  }
  header {
    grid-column: 1 / -1;
    max-width: 70rem;
  }
  .ahead {
    padding: 0.7rem 1rem;
  }
  .page:not(.narrow) .round {
    grid-row: 2 / span 4;
    grid-column: 1;
  }
  .page:not(.narrow) :is(.ahead, .beside, .else) {
    grid-column: 2;
  }
  dl {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
    gap: 0.3rem 1.2rem;
    margin: 0.3rem 0;
  }
  dt {
    color: var(--quiet);
    font-size: 13px;
  }
  dd {
    font-weight: 700;
  }
  .choose {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    align-items: end;
    margin-bottom: 0.5rem;
  }
  .order {
    display: flex;
  }
  .order button {
    min-height: 44px;
  }
  .order [aria-pressed='true'] {
    background: var(--frost);
    border-bottom: 3px solid var(--cobalt);
  }
  ol {
    list-style: none;
    background: var(--panel);
    border: 1px solid var(--line);
  }
  li + li {
    border-top: 1px solid var(--line);
  }
  .field-row {
    display: grid;
    width: 100%;
    min-height: 56px;
    padding: 0.5rem 0.8rem;
    text-align: left;
    border-left: 6px solid transparent;
  }
  .field-row:hover,
  .field-row[aria-current] {
    background: var(--frost);
  }
  .field-row[aria-current] {
    border-left-color: var(--cobalt);
  }
  .read {
    border-left-color: var(--growing);
  }
  .first {
    margin-left: 0.5rem;
    padding: 0 0.4rem;
    border: 1px solid var(--cobalt);
    color: var(--cobalt);
    font-size: 12px;
  }
  .else {
    display: grid;
    gap: 0.6rem;
    padding: 0.7rem 1rem;
  }
</style>
