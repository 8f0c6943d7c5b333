<script lang="ts">
  import type { Outlook, YearView } from '../api/client';
  import { thePlan } from '../plan/context';
  import LineYear from '../ruler/LineYear.svelte';
  import GreenAndUseful from './GreenAndUseful.svelte';
  import LandInUse from './LandInUse.svelte';
  import type { RulerScale } from '../ruler/scale';
  import { monthName } from '../units/dates';
  import { amount, figure, unitOf } from '../units/units';
  import { stockedMonths, stockingSentence } from '../words/outlook';
  import { plural } from '../words/year';

  const open = thePlan();

  let {
    year,
    outlook,
    scale,
    at,
  }: { year: YearView; outlook: Outlook; scale: RulerScale; at: number } = $props();

  const farm = $derived(open.view!.farm);
  const months = $derived(stockedMonths(outlook, farm.audKg));
  const said = $derived(stockingSentence(months, outlook.herdsOverall));
  const STATES = {
    over: 'overstocked',
    under: 'understocked',
    'about right': 'about right',
    dormant: 'next to nothing grows',
    nobody: 'nobody there',
  };
  /** The farm's own bale, to say what the surplus is worth. */
  const bale = $derived(farm.lots.find((l) => /bale/.test(l.unitName)) ?? null);
  function becomes(leftKg: number): string {
    if (leftKg < 1) return '';
    if (!bale) return amount(leftKg, 'bulk', open.system);
    const n = Math.floor(leftKg / (bale.kgPerUnitAsFed * bale.dmShare));
    return `${amount(leftKg, 'bulk', open.system)}, as much as ${n.toLocaleString('en-US')} ${plural(bale.unitName, n)}`;
  }
  const daily = (of: 'needKg' | 'eatableKg') =>
    outlook.months.flatMap((m) =>
      new Array<number>(m.endDay - m.startDay).fill(m[of] / (m.endDay - m.startDay) / farm.audKg),
    );
  const [there, carries] = $derived([daily('needKg'), daily('eatableKg')]);
</script>

<LandInUse land={outlook.land} start={year.start} {scale} {at} />
<LineYear
  title="Stocking"
  unit="animal units"
  lines={[
    { name: 'growth carries', values: carries, colour: '#2b6e2f' },
    { name: 'are there', values: there, colour: '#16233a', dash: '4 3' },
  ]}
  band={{ lower: there, upper: carries, fill: '#cfe6cf' }}
  {scale}
  {at}
  height={190}
  quantity="count"
  system={open.system}
  summary={`Animal units that growth carries, by month. ${said}`}
/>
<p data-testid="stocking">{said}</p>
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="wrap" tabindex="0" role="region" aria-label="Stocking by month">
  <table class="ledger panel">
    <caption class="quiet"
      >An animal unit eats {amount(farm.audKg, 'mass', open.system)} of dry matter a day. Growth is counted
      in the share that stock eat of it, in the month in which it grows.</caption
    >
    <thead>
      <tr>
        <th scope="col">Month</th>
        <th scope="col" class="number">Need, {unitOf('mass', open.system)}</th>
        <th scope="col" class="number">Growth to eat</th>
        <th scope="col" class="number">Animal units there</th>
        <th scope="col" class="number">growth carries</th>
        <th scope="col">which is</th>
        <th scope="col">Beyond the need</th>
      </tr>
    </thead>
    <tbody>
      {#each months as m (m.month)}
        <tr>
          <th scope="row">{monthName(m.month)}</th>
          <td class="number">{figure(m.needKg, 'mass', open.system)}</td>
          <td class="number">{figure(m.eatableKg, 'mass', open.system)}</td>
          <td class="number">{Math.round(m.there).toLocaleString('en-US')}</td>
          <td class="number">{Math.round(m.carries).toLocaleString('en-US')}</td>
          <td class:over={m.state === 'over'}>{STATES[m.state]}</td>
          <td>{becomes(m.leftKg)}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
<p class="quiet">
  What grows beyond the need can be cut for hay or haylage, kept standing where the sward keeps, or
  grazed by animals taken in for those months. {year.season === 'normal'
    ? 'Look at a dry year too before you buy for it.'
    : ''}
</p>
<GreenAndUseful greening={outlook.greening} start={year.start} {scale} {at} />

<style>
  p {
    padding: 0.4rem 20px 0;
    max-width: 70rem;
  }
  .wrap {
    padding: 0.5rem 20px 0;
    overflow-x: auto;
  }
  caption {
    text-align: left;
    padding: 0.25rem 0;
  }
  .over {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
