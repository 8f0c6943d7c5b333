<script lang="ts">
  import type { AnimalGroup } from '../api/client';
  import { longDay, monthName, shortDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import DietLanes from '../ruler/DietLanes.svelte';
  import { figure, unitOf } from '../units/units';
  import { GAP_KINDS, gapQuery } from '../words/needs';

  const open = thePlan();

  let { group }: { group: AnimalGroup } = $props();

  const curve = $derived(open.year.groups.find((g) => g.id === group.id));
  const needs = $derived(
    open.view!.year.needs.filter((g) => g.groups.some((s) => s.groupId === group.id)),
  );
  /** Mean over the days of a month that are known; empty where none is. */
  function mean(values: number[], from: number, to: number, known: (v: number) => boolean) {
    const there = values.slice(from, to).filter(known);
    return there.length === 0 ? null : there.reduce((a, b) => a + b, 0) / there.length;
  }
  const percent = (v: number) => v >= 0;
  const positive = (v: number) => v > 0;
  const whole = (v: number) => String(Math.round(v));
  const rows = $derived(
    curve
      ? [
          {
            name: 'Energy, % of need',
            values: curve.energyPercentOfNeed,
            known: percent,
            text: whole,
          },
          {
            name: 'Protein, % of need',
            values: curve.proteinPercentOfNeed,
            known: percent,
            text: whole,
          },
          {
            name: 'Calcium, % of need',
            values: curve.calciumPercentOfNeed,
            known: percent,
            text: whole,
          },
          {
            name: 'Phosphorus, % of need',
            values: curve.phosphorusPercentOfNeed,
            known: percent,
            text: whole,
          },
          {
            name: 'Fibre, % of least',
            values: curve.fibrePercentOfLeast,
            known: percent,
            text: whole,
          },
          ...(curve.hasEnergy
            ? [
                {
                  name: `Gain, ${unitOf('gain', open.system)}`,
                  values: curve.gainG,
                  known: (v: number) => v !== 0,
                  text: (v: number) => figure(v / 1000, 'gain', open.system),
                },
                {
                  name: `Weight, ${unitOf('weight', open.system)}`,
                  values: curve.weightKg,
                  known: positive,
                  text: (v: number) => figure(v, 'weight', open.system),
                },
              ]
            : []),
          ...(curve.hasScore
            ? [
                {
                  name: 'Condition',
                  values: curve.scoreTenths,
                  known: positive,
                  text: (v: number) => (v / 10).toFixed(1),
                },
              ]
            : []),
          ...(curve.milkPercent.some((v) => v < 100)
            ? [
                {
                  name: 'Milk that energy allows, %',
                  values: curve.milkPercent,
                  known: percent,
                  text: whole,
                },
              ]
            : []),
          { name: 'Cold, % more energy', values: curve.coldPercent, known: percent, text: whole },
          {
            name: `Water of all, ${unitOf('litres', open.system)} a day`,
            values: curve.waterL,
            known: percent,
            text: (v: number) => figure(v, 'litres', open.system),
          },
          {
            name: 'Grazed: protein, %',
            values: curve.grazedProteinPercent,
            known: percent,
            text: whole,
          },
          { name: 'Grazed: TDN, %', values: curve.grazedTdnPercent, known: percent, text: whole },
          {
            name: 'Grazed: fibre, %',
            values: curve.grazedFibrePercent,
            known: percent,
            text: whole,
          },
        ]
      : [],
  );
</script>

{#if curve}
  <section class="part" aria-label="Diet against need">
    <h2>Diet against need</h2>
    {#if curve.wouldNotLiveFromDay >= 0}
      <p class="welfare" role="alert">
        Animals would not live through this plan: too thin from {longDay(
          open.year.start,
          curve.wouldNotLiveFromDay,
        )}. No gain, weight or condition is given from then on. Ask your veterinarian and adviser.
      </p>
    {/if}
    <DietLanes year={open.year} {curve} floor={group.keeping.conditionFloor} system={open.system} />
    {#if needs.length}
      <p data-testid="needs-of-group">
        Short of need:
        {#each needs as gap, i (gap.kind + gap.firstDay)}{i > 0 ? '; ' : ' '}<a
            href={`#/plan/${open.view!.id}/gaps?${gapQuery(gap)}`}
            >{GAP_KINDS[gap.kind].name.toLowerCase()}, {shortDay(open.year.start, gap.firstDay)} to {shortDay(
              open.year.start,
              gap.lastDay,
            )}</a
          >{/each}.
      </p>
    {/if}
    <details>
      <summary>Month by month</summary>
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="months-scroll" tabindex="0" role="region" aria-label="Diet by month">
        <table class="months-table">
          <thead>
            <tr>
              <th scope="col">Mean of the month</th>
              {#each open.year.ledger as m (m.month)}<th scope="col"
                  >{monthName(m.month).slice(0, 3)}</th
                >{/each}
            </tr>
          </thead>
          <tbody>
            {#each rows as row (row.name)}
              <tr>
                <th scope="row">{row.name}</th>
                {#each open.year.ledger as m (m.month)}
                  {@const v = mean(row.values, m.startDay, m.endDay, row.known)}
                  <td>{v === null ? '' : row.text(v)}</td>
                {/each}
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
    </details>
    <p class="quiet fine">
      Of all they eat, hay included, against the tables' need of their stage: energy to 12%, protein
      to 1 point, minerals to 15%. {curve.hasEnergy
        ? 'Gain follows from energy beyond or short of the need.'
        : 'The tables hold no energy for horses.'} It is no ration: ask your adviser or veterinarian.
    </p>
  </section>
{/if}

<style>
  a {
    text-decoration: underline;
  }
  .welfare {
    font-size: 1.3rem;
    font-weight: 700;
    color: var(--bare);
  }
  summary {
    cursor: pointer;
    font-weight: 600;
    padding: 0.3rem 0;
  }
</style>
