<script lang="ts">
  import { onMount } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { type NewFarm } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import TextField from '../form/TextField.svelte';
  import { firstOfMonth, longDate } from '../units/dates';
  import { usualHere } from '../units/usual';
  import { thePlan } from '../plan/context';
  import { signed } from '../people/signed.svelte';
  import { ROLES } from '../words/roles';
  import FarmFileIn from '../papers/FarmFileIn.svelte';
  import QuickHay from './QuickHay.svelte';

  const open = thePlan();
  onMount(() => open.needCatalogue());

  let made = $state<NewFarm>({
    name: '',
    climateId: '',
    ...usualHere(navigator.language),
    start: firstOfMonth(),
  });
  /** More farms than this are searched. */
  const FEW = 12;
  const farms = $derived(signed.farms);
  const lookFor = (find: string) =>
    void signed
      .attempt(() => signed.lookFor(find))
      .then((done) => {
        wrong = done ? '' : signed.error;
      });

  let sure = $state('');
  let wrong = $state('');
  const climates = $derived([
    { id: '', name: 'choose the nearest' },
    ...(open.catalogue?.climates ?? []),
  ]);

  async function make() {
    const done = await signed.attempt(async () => {
      const { plan } = await open.api.makeFarm($state.snapshot(made));
      await signed.refresh();
      await push(`/plan/${plan}/start`);
    });
    wrong = done ? '' : signed.error;
  }
  async function remove(farm: string) {
    const done = await signed.attempt(async () => {
      await open.api.removeFarm(farm);
      await signed.refresh();
      sure = '';
    });
    wrong = done ? '' : signed.error;
  }
</script>

<div class="page">
  <section aria-labelledby="farms-title">
    <h1 id="farms-title">{signed.who?.visitor ? 'Demo farms' : 'Your farms'}</h1>
    {#if farms.total > 1}
      <p class="morning"><a href="#/morning">How all of them stand this morning</a></p>
    {/if}
    {#if farms.total > FEW}
      <div class="search">
        <TextField label="Find a farm" value={signed.find} oninput={lookFor} />
        <p class="quiet" role="status">
          {farms.found.toLocaleString('en-US')} of {farms.total.toLocaleString('en-US')} farms{farms.found >
          farms.farms.length
            ? `, the first ${farms.farms.length} shown`
            : ''}
        </p>
      </div>
    {/if}
    {#each farms.farms as farm (farm.id)}
      <article class="panel">
        <div class="head">
          <h2>{farm.name}</h2>
          <span class="quiet">{farm.demo ? 'demo' : `you are ${ROLES[farm.role].one}`}</span>
        </div>
        <ul>
          {#each farm.plans as plan (plan.id)}
            <li>
              <a class="open" href={`#/plan/${plan.id}`}
                ><span class="visually-hidden">{farm.name}, </span>{plan.planName}</a
              >
              <span class="quiet"
                >year from {longDate(plan.start)}
                {plan.start.slice(0, 4)}, last changed {new Date(
                  plan.changedAt,
                ).toLocaleDateString()}</span
              >
              {#if farm.demo}<p class="note">{plan.note}</p>{/if}
            </li>
          {/each}
        </ul>
        {#if farm.role === 'OWNER'}
          {#if sure === farm.id}
            <p>
              This removes the farm with all its plans and their history, for everybody. Take its
              file out first under Papers.
              <button class="btn plain remove" onclick={() => remove(farm.id)}
                >Remove {farm.name}</button
              >
              <button class="btn plain" onclick={() => (sure = '')}>Keep it</button>
            </p>
          {:else}
            <button class="btn plain small" onclick={() => (sure = farm.id)}
              >Remove farm<span class="visually-hidden"> {farm.name}</span></button
            >
          {/if}
        {/if}
      </article>
    {:else}
      {#if farms.total === 0}
        <p class="panel none">No farm yet. Make one: it takes a name and a place.</p>
      {/if}
    {/each}
    {#if open.catalogue && !signed.who?.visitor}<QuickHay />{/if}
  </section>
  {#if !signed.who?.visitor}
    <div>
      <section class="panel form" aria-labelledby="new-title">
        <h2 id="new-title">Make a farm</h2>
        <form
          onsubmit={(e) => {
            e.preventDefault();
            void make();
          }}
        >
          <TextField label="Name of the farm" value={made.name} oninput={(v) => (made.name = v)} />
          <Choice
            label="Place, by its climate"
            value={made.climateId}
            options={climates}
            hint="It gives growth and frost dates as defaults; your own figures win."
            onchange={(v) => {
              made.climateId = v;
              const southern = climates.find((c) => c.id === v && 'southern' in c && c.southern);
              Object.assign(made, usualHere(navigator.language, southern !== undefined));
            }}
          />
          <details>
            <summary
              >{made.units === 'METRIC' ? 'kg, hectares' : 'lb, acres'}, {made.currency}, plan from
              {made.start}: defaults</summary
            >
            <div class="grid">
              <Choice
                label="Units"
                value={made.units}
                options={[
                  { id: 'IMPERIAL', name: 'lb, acres' },
                  { id: 'METRIC', name: 'kg, hectares' },
                ]}
                onchange={(v) => (made.units = v as NewFarm['units'])}
              />
              <TextField
                label="Currency"
                value={made.currency}
                oninput={(v) => (made.currency = v)}
              />
              <DateField
                label="Plan year begins"
                value={made.start}
                onchange={(v) => v && (made.start = v)}
              />
            </div>
          </details>
          {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
          <button
            class="btn preset-filled-primary-500"
            disabled={made.name.trim() === '' || made.climateId === ''}>Make this farm</button
          >
        </form>
      </section>
      <FarmFileIn />
    </div>
  {:else}
    <div>
      {#if open.catalogue}<QuickHay />{/if}
      <p class="panel none quiet">
        These farms are invented. To plan your own, leave the demo and {signed.state?.firstStart
          ? 'make the first account'
          : 'sign in'}.
      </p>
    </div>
  {/if}
</div>

<style>
  .morning {
    margin-bottom: 0.75rem;
  }
  .morning a {
    display: inline-block;
    padding: 0.4rem 0;
    font-weight: 600;
    color: var(--cobalt);
  }
  .search {
    max-width: 26rem;
    margin-bottom: 0.75rem;
  }
  .page {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 24rem), 1fr));
    gap: 1.5rem;
    padding: 1.25rem 20px 2rem;
    align-items: start;
    max-width: 76rem;
  }
  h1 {
    margin-bottom: 0.6rem;
  }
  article {
    padding: 0.8rem 1rem;
    margin-bottom: 0.75rem;
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0 1rem;
    align-items: baseline;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1rem;
    align-items: center;
    min-height: 44px;
  }
  .open {
    font-weight: 600;
    color: var(--cobalt);
    padding: 0.4rem 0;
  }
  .note {
    width: 100%;
    font-size: 14px;
  }
  .small {
    font-size: 13px;
  }
  .none {
    padding: 1rem;
  }
  form {
    display: grid;
    gap: 0.75rem;
    justify-items: start;
  }
  form > :global(.field) {
    width: 100%;
  }
  summary {
    cursor: pointer;
    padding: 0.3rem 0;
  }
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr));
    gap: 0.75rem;
  }
  .wrong,
  .remove {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
