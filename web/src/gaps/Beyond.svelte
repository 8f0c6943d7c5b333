<script lang="ts">
  import type { Advice, Edit } from '../api/client';
  import { thePlan } from '../plan/context';
  import { inSeasonWords, seasonOptions } from '../seasons/names';
  import { monthName, shortDate } from '../units/dates';
  import { amount, figure, unitOf } from '../units/units';
  import { carriesText, fieldText, lossText } from '../words/advice';
  import { costText, perBulk } from '../words/infull';

  const open = thePlan();

  let found = $state.raw<Advice | null>(null);
  let shown = $state(false);
  let gone = false;
  $effect(() => () => (gone = true));
  const at = () => `${open.season} ${open.view!.revision}`;
  $effect(() => {
    const asked = at();
    if (shown) void read(asked);
  });
  async function read(asked: string) {
    found = null;
    try {
      const answer = await open.api.advice(open.view!.id);
      if (!gone && asked === at()) found = answer;
    } catch (e) {
      if (!gone) open.error = open.explain(e);
    }
  }
  const farm = $derived(open.view!.farm);
  const name = (id: string) => farm.fields.find((f) => f.id === id)?.name ?? id;
  const season = $derived(
    inSeasonWords(open.season, seasonOptions(open.view!.plan, open.records, open.season)) ||
      'in a normal year',
  );
  const lag = $derived(
    (found?.fields ?? []).map((f) => ({ id: f.fieldId, text: fieldText(f) })).filter((f) => f.text),
  );
  const small = (text: string) => text[0].toLowerCase() + text.slice(1);
  const bulk = (kg: number) => (kg < 50 ? '' : figure(kg, 'bulk', open.system));
</script>

<section aria-labelledby="beyond" data-testid="beyond">
  <details bind:open={shown}>
    <summary
      ><h2 id="beyond">Beyond the gaps</h2>
      <span class="quiet">Surplus, the herd that is carried, fields that lag</span></summary
    >
    {#if found}
      <div class="parts">
        <div class="panel">
          <h3>The herd</h3>
          {#if farm.groups.length}
            <p>{carriesText(found.carriesShare, found.carriesInDryShare, small(season))}</p>
            <p class="quiet">
              Every group made larger or smaller alike, its comings and goings too, until a day’s
              feed is missing. Labour, water and what the animals bring are not in it.
            </p>
          {:else}
            <p>No animals are in the plan yet.</p>
          {/if}
          <h3>Fields</h3>
          {#if !farm.fields.length}
            <p>No field is in the plan yet.</p>
          {:else if lag.length}
            <ul>
              {#each lag as f (f.id)}
                <li>
                  <a href={`#/plan/${open.view!.id}/land?field=${f.id}`}>{name(f.id)}</a>
                  {f.text}.
                </li>
              {/each}
            </ul>
          {:else}
            <p>None lags behind others of its kind, and none is left half uneaten.</p>
          {/if}
          <h3>Cheaper feed</h3>
          <p>
            Each grazing gap above has its ways to feed less from the store; what they cost a
            {unitOf('bulk', open.system) === 't' ? 'tonne' : 'ton'} stands against the price of hay.
          </p>
        </div>
        <div class="panel">
          <h3>Surplus</h3>
          {#if farm.fields.length}<p>{lossText(found.months, open.system)}</p>{/if}
          {#if found.cuts.length}
            <p>Cut like this, and nobody goes shorter than now:</p>
            <ul>
              {#each found.cuts as c (c.fieldId)}
                <li class="cut">
                  <span
                    >{name(c.fieldId)} on {shortDate(c.date)}: {amount(
                      c.madeKg,
                      'bulk',
                      open.system,
                    )} of hay{c.cost === null
                      ? ''
                      : ` for ${costText(c.cost, farm.currency)}, ${perBulk(c.cost, c.madeKg, farm.currency, open.system)}`}</span
                  >
                  {#if open.mayPlan}
                    <button class="btn plain" onclick={() => open.edit(c.edits as Edit[])}
                      >Put it in the plan<span class="visually-hidden">
                        : cut {name(c.fieldId)}</span
                      ></button
                    >
                  {/if}
                </li>
              {/each}
            </ul>
          {:else}
            <p>No field that can be mown has a cut to spare.</p>
          {/if}
          <p class="quiet">
            Each alone, on the day of a few tried on which most good feed stands. It needs dry days
            and a machine, and takes nutrients with it; what is cut late no longer stands for the
            winter.
          </p>
        </div>
      </div>
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="scroll panel" tabindex="0" role="region" aria-label="Pasture by month">
        <table>
          <thead>
            <tr>
              <th scope="col">Pasture, {unitOf('bulk', open.system)}</th>
              {#each found.months as m (m.month)}<th scope="col" class="number"
                  >{monthName(m.month).slice(0, 3)}</th
                >{/each}
            </tr>
          </thead>
          <tbody>
            {#each [{ n: 'Grown', k: 'grownKg' }, { n: 'Grazed', k: 'grazedKg' }, { n: 'Cut', k: 'cutKg' }, { n: 'Lost uneaten', k: 'lostKg' }, { n: 'Stands at its end', k: 'standsKg' }] as const as row (row.k)}
              <tr>
                <th scope="row">{row.n}</th>
                {#each found.months as m (m.month)}<td class="number">{bulk(m[row.k])}</td>{/each}
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
    {:else if shown}
      <p role="status">Reading the year, and trying cuts and herds on it.</p>
    {/if}
  </details>
</section>

<style>
  summary {
    cursor: pointer;
    min-height: 44px;
  }
  summary h2 {
    display: inline;
    margin-right: 0.75rem;
  }
  .parts {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 1rem;
    margin: 0.6rem 0;
  }
  @media (max-width: 1000px) {
    .parts {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  .panel {
    padding: 0.75rem 1rem;
  }
  h3 {
    margin-top: 0.6rem;
  }
  h3:first-child {
    margin-top: 0;
  }
  .cut {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
    padding: 0.2rem 0;
    border-bottom: 1px solid var(--line);
  }
  .scroll {
    overflow-x: auto;
  }
  td,
  th {
    padding: 0.2rem 0.5rem;
    border-bottom: 1px solid var(--line);
  }
</style>
