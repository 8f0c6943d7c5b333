<script lang="ts">
  import type { Catalogue, OwnForage } from '../api/client';
  import { MONTH_NAMES } from '../units/dates';
  import GrowthRates from '../land/GrowthRates.svelte';
  import ItemList from '../form/ItemList.svelte';
  import OwnForageForm, { noFigures } from '../land/OwnForageForm.svelte';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { amount, figure, unitOf, type Quantity } from '../units/units';
  import CompareStands from './CompareStands.svelte';

  const open = thePlan();

  type Forage = Catalogue['forages'][number];

  const climateId = $derived(open.view!.farm.climateId);
  const climate = $derived(open.catalogue!.climates.find((c) => c.id === climateId)!);
  const forages = $derived(open.forages.filter((f) => !f.fallow));
  let sought = $state('');
  let onlyHere = $state(false);
  const shown = $derived(
    forages.filter(
      (f) =>
        f.name.toLowerCase().includes(sought.trim().toLowerCase()) &&
        (!onlyHere || f.curves[climateId] || f.sownYearly),
    ),
  );
  let chosenId = $state<string | null>(null);
  const chosen = $derived<Forage | undefined>(
    forages.find((f) => f.id === chosenId) ?? shown[0] ?? forages[0],
  );
  const items = $derived(
    shown.map((f) => ({
      id: f.id,
      name: f.name,
      figure: f.sownYearly
        ? figure(f.yieldKgPerHa, 'massPerArea', open.system)
        : f.curves[climateId]
          ? figure(annual(f.curves[climateId]), 'massPerArea', open.system)
          : '',
      note: f.id.startsWith('own-')
        ? 'My own'
        : (GROUPS[f.rules.group] ?? f.rules.group.replaceAll('_', ' ')),
      doubtful: false,
    })),
  );

  let own = $state<OwnForage | null>(null);
  const mine = $derived(open.view!.farm.forages.find((f) => f.id === chosen?.id));
  const nameOf = (id: string) => (open.forages.find((f) => f.id === id)?.name ?? id).toLowerCase();
  const total = (f: OwnForage) => f.parts.reduce((sum, p) => sum + p.share, 0);

  /** A copy of one forage, to change its figures or to mix others in. */
  function begin(ids: string[]) {
    const name = `My ${nameOf(ids[0])}`;
    own = {
      id: freshId(
        `own-${ids[0].replaceAll('_', '-')}`,
        open.view!.farm.forages.map((f) => f.id),
      ),
      name: name.slice(0, 60),
      parts: ids.map((forageId) => ({ forageId, share: 1 })),
      figures: noFigures(),
      note: '',
    };
  }

  const GROUPS: Record<string, string> = {
    cool_perennial_grass: 'Cool-season perennial grass',
    warm_perennial_grass: 'Warm-season perennial grass',
    native_warm_grass: 'Native warm-season grass',
    native_cool_grass: 'Native cool-season grass',
    perennial_legume: 'Perennial legume',
    annual_legume: 'Annual legume',
    winter_small_grain: 'Winter small grain',
    spring_small_grain: 'Spring small grain',
    summer_annual_grass: 'Summer annual grass',
    annual_ryegrass: 'Annual ryegrass',
    brassica_leafy: 'Leafy brassica',
    brassica_root: 'Root brassica',
    mixed_sward: 'Mixed sward',
    crop_residue: 'Crop residue',
    cover_mix: 'Cover mix',
  };
  const FROST: Record<Forage['rules']['frostResponse'], string> = {
    HARDY: 'stays green after frost',
    LIGHT: 'bears light frosts; harder ones take its tops',
    STOPS: 'tops die at the first killing frost, the plant lives',
    KILLED: 'killed by the first killing frost',
  };

  function annual(rates: number[]): number {
    return rates.reduce(
      (sum, r, i) => sum + r * [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][i],
      0,
    );
  }
  /** Day of the year as a date of a common year. */
  function doy(day: number): string {
    const date = new Date(Date.UTC(2001, 0, day));
    return `${date.getUTCDate()} ${MONTH_NAMES[date.getUTCMonth()]}`;
  }
  const said = (value: number | null, q: Quantity) =>
    value === null ? 'does not apply' : amount(value, q, open.system);

  const rows = $derived.by((): [string, string][] => {
    if (!chosen) return [];
    const r = chosen.rules;
    const t = (c: number) => figure(c, 'temperature', open.system);
    return [
      [
        'Stubble to leave (residual)',
        amount(chosen.minResidualKgPerHa, 'massPerArea', open.system),
      ],
      ['Mass at first use', amount(chosen.entryKgPerHa, 'massPerArea', open.system)],
      [
        'Ceiling, where death equals growth',
        amount(chosen.ceilingKgPerHa, 'massPerArea', open.system),
      ],
      ['First use at', said(r.entryHeightCm, 'depth')],
      ['Leave at', said(r.exitHeightCm, 'depth')],
      ['Again at', said(r.regrazeHeightCm, 'depth')],
      ['Leave for winter', said(r.winterLeaveHeightCm, 'depth')],
      ['Mow at', said(r.cutHeightCm, 'depth')],
      [
        'Yield in a poor, ordinary, good place',
        `${figure(r.yieldLowKgPerHa, 'massPerArea', open.system)}, ${figure(chosen.yieldKgPerHa, 'massPerArea', open.system)}, ${amount(r.yieldHighKgPerHa, 'massPerArea', open.system)}`,
      ],
      [
        `Grows between, ${unitOf('temperature', open.system)}`,
        `${t(r.baseC)} and ${t(r.maximumC)}, best ${t(r.optimumLowC)} to ${t(r.optimumHighC)}`,
      ],
      ['Roots draw water from', said(r.rootDepthCm, 'depth')],
      [
        'Keeps, at 30% of the soil water',
        r.droughtHoldShare === null
          ? 'does not apply'
          : `${Math.round(r.droughtHoldShare * 100)}% of growth`,
      ],
      ['Frost', FROST[r.frostResponse]],
      [
        'Many plants die below',
        r.winterHardyC === null
          ? 'does not apply'
          : `${t(r.winterHardyC)} ${unitOf('temperature', open.system)}`,
      ],
      ['Kept standing, lost each month', `${Math.round(r.standingLossShare * 100)}%`],
      [
        'Kept standing, eat within',
        r.useByDays === null ? 'not advised' : `${r.useByDays} days of the first killing frost`,
      ],
      [
        'Eaten of what is taken down',
        `${Math.round(chosen.utilizationSetStocked * 100)}% set stocked, ${Math.round(chosen.utilizationRotational * 100)}% in rotation, ${Math.round(chosen.utilizationStrip * 100)}% in strips`,
      ],
      [
        'Under snow or ice',
        { NONE: 'does not go down', LOW: 'goes down a little', HIGH: 'goes down' }[r.lodging],
      ],
      ...(r.learnedAs
        ? ([
            [
              'Stock learn it',
              `over days; in the end at most ${Math.round(r.mostShareCattle * 100)}% of the diet for cattle, ${Math.round(r.mostShareSheep * 100)}% for sheep and goats`,
            ],
          ] as [string, string][])
        : []),
      ['Nitrogen', r.fixesNitrogen ? 'feeds itself, or in part' : 'needs it from soil or bag'],
      ['Common uses', r.uses.join(', ')],
      ...(chosen.sownYearly
        ? ([['Usually sown here about', doy(chosen.usualSowingDoy[climateId])]] as [
            string,
            string,
          ][])
        : []),
    ];
  });
</script>

<div class="editor">
  <div>
    {#if open.mayPlan}
      <div class="acts">
        <button
          class="btn plain"
          disabled={!chosen || chosen.id.startsWith('own-')}
          onclick={() => begin(chosen ? [chosen.id] : [])}>Copy to my own</button
        >
      </div>
    {/if}
    <div class="seek">
      <label class="field"
        ><span>Find</span><input class="input" bind:value={sought} type="search" /></label
      >
      <label class="check"
        ><input type="checkbox" class="checkbox" bind:checked={onlyHere} /> Only what grows here</label
      >
    </div>
    <ItemList
      title={`Forages, ${unitOf('massPerArea', open.system)} a year`}
      {items}
      chosenId={chosen?.id ?? null}
      onchoose={(id) => (chosenId = id)}
    />
  </div>
  <div>
    {#if own}
      <OwnForageForm bind:own onsaved={(id) => (chosenId = id)} />
    {/if}
    {#if chosen}
      <section class="panel form" aria-labelledby="forage-name">
        <h2 id="forage-name" class="name">{chosen.name}</h2>
        {#if mine}
          <p data-testid="own-made-of">
            My own, of {mine.parts
              .map((p) => `${Math.round((100 * p.share) / total(mine))}% ${nameOf(p.forageId)}`)
              .join(', ')}. Figures that are not mine are the mean of the product's by share.
          </p>
          {#if open.mayPlan}
            <div class="acts">
              <button
                class="btn plain"
                onclick={() => (own = structuredClone($state.snapshot(mine)))}>Change it</button
              >
              <button class="btn plain" onclick={() => open.edit([{ removeForage: mine.id }])}
                >Remove it</button
              >
            </div>
          {/if}
        {/if}
        {#if chosen.rules.note}<p>{chosen.rules.note}</p>{/if}
        {#if chosen.prussicAcid || chosen.toxicEndophyte}
          <p class="caution">
            {chosen.prussicAcid
              ? 'It can hold prussic acid: around frost, on regrowth, in drought. '
              : ''}
            {chosen.toxicEndophyte ? 'It carries the toxic endophyte. ' : ''}Ask your veterinarian
            or adviser.
          </p>
        {/if}
        {#if chosen.curves[climateId]}
          <h3>Growth in {climate.name}</h3>
          <GrowthRates rates={chosen.curves[climateId]} editable={false} onchange={() => {}} />
        {:else if chosen.sownYearly}
          <p>
            Sown each time: its growth comes from weather, soil water and the day it is sown. Sow it
            under Land.
          </p>
        {:else if !chosen.cropResidue}
          <p>The tables hold no growth for it in {climate.name}: it is rarely grown there.</p>
        {/if}
        <h3>Rules</h3>
        <dl>
          {#each rows as [name, value] (name)}
            <dt>{name}</dt>
            <dd>{value}</dd>
          {/each}
        </dl>
        <h3>Feed value by stage</h3>
        <table>
          <thead>
            <tr
              ><th scope="col">Stage</th><th scope="col">Protein, %</th><th scope="col">TDN, %</th
              ><th scope="col">Fibre (NDF), %</th></tr
            >
          </thead>
          <tbody>
            {#each chosen.worth as w (w.stage)}
              <tr
                ><th scope="row">{w.stage}</th><td>{w.proteinPct.toFixed(0)}</td><td
                  >{w.tdnPct.toFixed(0)}</td
                ><td>{w.fibrePct.toFixed(0)}</td></tr
              >
            {/each}
          </tbody>
        </table>
        <p class="quiet">
          Product defaults from general agronomy, none measured on a farm: heights to a fifth,
          masses and yields to a quarter, mass by height to two fifths, protein to 3 points, TDN to
          4. What you state on a field wins. The model's notes list every source and limit.
        </p>
      </section>
    {/if}
    <CompareStands first={chosen?.id ?? ''} />
  </div>
</div>

<style>
  .acts {
    display: flex;
    gap: 0.5rem;
    margin-bottom: 0.5rem;
  }
  .seek {
    display: flex;
    gap: 0.75rem;
    align-items: end;
    margin-bottom: 0.5rem;
  }
  .name {
    font-size: 1.3rem;
  }
  h3 {
    font-weight: 700;
    margin-top: 0.9rem;
  }
  .check {
    display: flex;
    gap: 0.4rem;
    align-items: center;
    min-height: 2.4rem;
  }
  dl {
    display: grid;
    grid-template-columns: minmax(10rem, auto) 1fr;
    gap: 0.2rem 1.2rem;
    margin: 0.4rem 0 1rem;
  }
  dt {
    color: var(--quiet);
  }
  .caution {
    border-left: 4px solid var(--bare);
    padding: 0.3rem 0.8rem;
    margin: 0.5rem 0;
  }
  table {
    border-collapse: collapse;
    margin-top: 0.4rem;
  }
  th,
  td {
    padding: 0.15rem 0.8rem 0.15rem 0;
    text-align: right;
    border-bottom: 1px solid var(--line);
  }
  td {
    font-family: var(--mono);
  }
  tbody th,
  thead th:first-child {
    text-align: left;
    font-weight: 400;
  }
  .quiet {
    font-size: 13px;
    margin-top: 0.75rem;
  }
</style>
