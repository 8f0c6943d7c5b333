<script lang="ts">
  import type { Field, Sowing, YearView } from '../api/client';
  import { shortDay } from '../units/dates';
  import { amount, figure, unitOf, type System } from '../units/units';
  import { rulerScale, stepBand } from './scale';

  let {
    field,
    sowings,
    year,
    system,
  }: {
    field: Field;
    /** Of the whole plan. */
    sowings: Sowing[];
    year: YearView;
    system: System;
  } = $props();

  const HEIGHT = 120;
  const WATER = 46;
  let width = $state(800);
  const result = $derived(year.fields.find((f) => f.id === field.id));
  const scale = $derived(rulerScale(width, year.days, 64));
  const top = $derived(
    Math.max(1, ...(result?.coverKgPerHa ?? []), (result?.residualKgPerHa ?? 0) * 1.3),
  );
  const y = $derived((kg: number) => HEIGHT - (kg / top) * (HEIGHT - 8));
  const zero = $derived(new Array<number>(year.days).fill(0));
  const sown = $derived.by(() => {
    const total = new Array<number>(year.days).fill(0);
    for (const s of sowings) {
      const outcome = year.sowings.find((o) => o.sowingId === s.id);
      if (s.fieldId !== field.id || !outcome) continue;
      outcome.coverKgPerHa.forEach((kg, d) => (total[d] += kg));
    }
    return total;
  });
  const hasSown = $derived(sown.some((kg) => kg > 0));
  const waterY = $derived((percent: number) => HEIGHT + 14 + WATER - (percent / 100) * WATER);
  const driest = $derived(
    result ? result.waterPercent.reduce((b, v, i, all) => (v < all[b] ? i : b), 0) : 0,
  );
  const months = $derived(
    year.ledger.map((m) => {
      const day = Math.floor((m.startDay + m.endDay) / 2);
      return { day, name: shortDay(year.start, day).slice(-3) };
    }),
  );
  const percent = (value: number) => (value < 0 ? '' : String(value));
  const rows = $derived([
    {
      name: `Cover, ${unitOf('massPerArea', system)}`,
      of: (d: number) => figure(result!.coverKgPerHa[d], 'massPerArea', system),
    },
    { name: 'Soil water, %', of: (d: number) => String(result!.waterPercent[d]) },
    { name: 'Protein of it, %', of: (d: number) => percent(result!.proteinPercent[d]) },
    { name: 'TDN of it, %', of: (d: number) => percent(result!.tdnPercent[d]) },
    ...(result!.breakHa.length
      ? [
          {
            name: `Break a day, ${unitOf('area', system)}`,
            of: (d: number) =>
              result!.breakHa[d] > 0 ? figure(result!.breakHa[d], 'area', system) : '',
          },
        ]
      : []),
  ]);
  const summary = $derived(
    result
      ? `Cover of ${field.name} through the year, at most ${amount(top, 'massPerArea', system)}. ` +
          `Soil water is lowest on ${shortDay(year.start, driest)}, at ${result.waterPercent[driest]}% of ${amount(result.soilCapacityMm, 'water', system)}.`
      : '',
  );
</script>

{#if result}
  <section aria-label="The field's year" bind:clientWidth={width}>
    <svg {width} height={HEIGHT + WATER + 34} role="img" aria-label={summary} class="block">
      {#each year.ledger as m (m.startDay)}
        <path
          d={`M${scale.x(m.startDay)} 0V${HEIGHT + WATER + 16}`}
          stroke="#c5d0e0"
          stroke-width="1"
        />
        <text x={scale.x(m.startDay) + 3} y={HEIGHT + WATER + 29} class="note"
          >{shortDay(year.start, m.startDay).slice(-3)}</text
        >
      {/each}
      <path d={stepBand(scale, zero, result.coverKgPerHa, y)} fill="#cfe5cf" stroke="#4c9a4f" />
      {#if hasSown}
        <path d={stepBand(scale, zero, sown, y)} fill="#2b6e2f" fill-opacity="0.75" />
      {/if}
      <path
        d={`M${scale.x(0)} ${y(result.residualKgPerHa)}H${scale.x(year.days)}`}
        stroke="#16233a"
        stroke-dasharray="5 3"
      />
      <text x="60" y={y(result.residualKgPerHa) + 4} text-anchor="end" class="note">residual</text>
      <text x="60" y="10" text-anchor="end" class="figure"
        >{figure(top, 'massPerArea', system)}</text
      >
      <text x="60" y="24" text-anchor="end" class="note">{unitOf('massPerArea', system)}</text>
      <path
        d={stepBand(scale, zero, result.waterPercent, waterY)}
        fill="#dce7f7"
        stroke="#1b3a93"
      />
      <text x="60" y={HEIGHT + 26} text-anchor="end" class="note">soil water</text>
      <text x="60" y={HEIGHT + 40} text-anchor="end" class="figure"
        >{amount(result.soilCapacityMm, 'water', system)}</text
      >
    </svg>
    <details>
      <summary>Month by month, in figures</summary>
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="months-scroll" tabindex="0" role="region" aria-label="Month by month">
        <table class="months-table">
          <thead>
            <tr>
              <th scope="col">Middle of</th>
              {#each months as m (m.day)}<th scope="col">{m.name}</th>{/each}
            </tr>
          </thead>
          <tbody>
            {#each rows as row (row.name)}
              <tr>
                <th scope="row">{row.name}</th>
                {#each months as m (m.day)}<td>{row.of(m.day)}</td>{/each}
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      <p class="quiet fine">
        Cover{hasSown ? ', dark green what was sown' : ''}; below it water in the soil, of the most
        it holds for these roots. Protein and TDN are those of all that stands, by the tables; a
        test of your own says more. Water is lowest on {shortDay(year.start, driest)}: {result
          .waterPercent[driest]}%.
      </p>
    </details>
  </section>
{/if}

<style>
  .note {
    font-size: 11px;
    fill: #3d4b63;
  }
  .figure {
    font-size: 11px;
    font-family: var(--mono);
    fill: #16233a;
  }
</style>
