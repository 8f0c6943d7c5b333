<script lang="ts">
  import type { YearView } from '../api/client';
  import { monthName, shortDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { figure, unitOf } from '../units/units';

  const open = thePlan();

  let { year }: { year: YearView } = $props();

  const HEIGHT = 40;
  const wettest = $derived(Math.max(1, ...year.weather.flatMap((m) => [m.rainMm, m.normalRainMm])));
  const total = (of: (m: YearView['weather'][number]) => number) =>
    year.weather.reduce((sum, m) => sum + of(m), 0);
  const bar = (mm: number) => (mm / wettest) * HEIGHT;
  const frosts = $derived(
    year.frosts
      .map(([from, to]) => `${shortDay(year.start, from)} to ${shortDay(year.start, to - 1)}`)
      .join(', '),
  );
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="months-scroll" tabindex="0" role="region" aria-label="Weather by month">
  <table class="months-table">
    <caption>
      Rain in the season looked at, beside the normal (outlined). Frost season: {frosts || 'none'}.
    </caption>
    <thead>
      <tr>
        <th scope="col">Month</th>
        {#each year.weather as m (m.month)}<th scope="col">{monthName(m.month).slice(0, 3)}</th
          >{/each}
        <th scope="col">All</th>
      </tr>
    </thead>
    <tbody>
      <tr aria-hidden="true" class="bars">
        <td></td>
        {#each year.weather as m (m.month)}
          <td>
            <svg width="28" height={HEIGHT}>
              <rect
                x="4"
                width="20"
                y={HEIGHT - bar(m.rainMm)}
                height={bar(m.rainMm)}
                fill="#1b3a93"
              />
              <rect
                x="1.5"
                width="25"
                y={HEIGHT - bar(m.normalRainMm)}
                height={Math.max(0, bar(m.normalRainMm) - 1)}
                fill="none"
                stroke="#51617a"
              />
            </svg>
          </td>
        {/each}
        <td></td>
      </tr>
      <tr>
        <th scope="row">Rain, {unitOf('water', open.system)}</th>
        {#each year.weather as m (m.month)}<td>{figure(m.rainMm, 'water', open.system)}</td>{/each}
        <td
          >{figure(
            total((m) => m.rainMm),
            'water',
            open.system,
          )}</td
        >
      </tr>
      <tr>
        <th scope="row">Normal rain, {unitOf('water', open.system)}</th>
        {#each year.weather as m (m.month)}<td>{figure(m.normalRainMm, 'water', open.system)}</td
          >{/each}
        <td
          >{figure(
            total((m) => m.normalRainMm),
            'water',
            open.system,
          )}</td
        >
      </tr>
      <tr>
        <th scope="row">Mean, {unitOf('temperature', open.system)}</th>
        {#each year.weather as m (m.month)}<td>{figure(m.meanC, 'temperature', open.system)}</td
          >{/each}
        <td></td>
      </tr>
      <tr>
        <th scope="row">Normal mean, {unitOf('temperature', open.system)}</th>
        {#each year.weather as m (m.month)}<td
            >{figure(m.normalMeanC, 'temperature', open.system)}</td
          >{/each}
        <td></td>
      </tr>
    </tbody>
  </table>
</div>

<style>
  caption {
    text-align: left;
    color: var(--quiet);
    font-size: 13px;
    padding-bottom: 0.4rem;
  }
  .bars td {
    padding-bottom: 0;
    vertical-align: bottom;
  }
  svg {
    display: inline-block;
  }
</style>
