<script lang="ts">
  import type { PlanView, YearView } from '../api/client';
  import { shortDate, shortDay } from '../units/dates';
  import { amount, figure, unitOf, type System } from '../units/units';
  import { plural } from '../words/year';
  import { rulerScale, runs, stepBand } from './scale';

  let {
    year,
    farm,
    system,
    chosenId,
    onchoose,
  }: {
    year: YearView;
    farm: PlanView['farm'];
    system: System;
    chosenId: string | null;
    onchoose: (id: string) => void;
  } = $props();

  const LANE = 52;
  let width = $state(1280);
  const narrow = $derived(width < 700);
  const scale = $derived(rulerScale(width, year.days, narrow ? 92 : 184));
  const reserveOf = (id: string) => farm.lots.find((l) => l.id === id)?.reserve ?? null;
  const most = $derived(
    Math.max(1, ...year.lots.map((l) => l.levelKg.reduce((a, b) => Math.max(a, b), 0))),
  );
  const lots = $derived(
    year.lots.map((l) => {
      const peak = l.levelKg.reduce((a, b) => Math.max(a, b), 0);
      // a small lot stays readable: its height goes by the root of its share
      const height = peak <= 0 ? 0 : Math.max(12, Math.sqrt(peak / most) * (LANE - 8));
      const y = (kg: number) => LANE - 4 - (peak <= 0 ? 0 : (kg / peak) * height);
      const zero = new Array<number>(year.days).fill(0);
      const there = runs(year.days, (d) => l.levelKg[d] > 0.5);
      const end = there.length ? there[there.length - 1][1] : -1;
      const all = l.eatenKg + l.lostInStoreKg + l.lostAtFeedingKg + l.levelKg[year.days - 1];
      const part = (kg: number) => (all <= 0 ? 0 : kg / all);
      return {
        ...l,
        path: stepBand(scale, zero, l.levelKg, y, 0.5),
        empty: end >= 0 && end < year.days ? end : -1,
        first: l.units.find((u) => u > 0) ?? 0,
        left: l.units[year.days - 1] ?? 0,
        all,
        parts: [
          { name: 'eaten', share: part(l.eatenKg), fill: '#7a3f1c' },
          { name: 'lost in store', share: part(l.lostInStoreKg), fill: '#e3be4f' },
          { name: 'lost at feeding', share: part(l.lostAtFeedingKg), fill: '#d6401f' },
          { name: 'left', share: part(l.levelKg[year.days - 1]), fill: '#cdd7e7' },
        ],
        reserve: reserveOf(l.id),
      };
    }),
  );
  const bar = $derived(narrow ? 74 : 150);
  /** As much as there is room for beside the ruler. */
  function unitsText(l: (typeof lots)[number]): string {
    const units = `${l.first.toLocaleString('en-US')} ${plural(l.unitName, l.first)}`;
    const kg = l.levelKg.reduce((a, b) => Math.max(a, b), 0);
    const long = `${units}, ${figure(kg, 'bulk', system)} ${unitOf('bulk', system)}`;
    return narrow ? l.first.toLocaleString('en-US') : long.length > 26 ? units : long;
  }
  const percent = (share: number) => `${Math.round(share * 100)}%`;
  function told(l: (typeof lots)[number]): string {
    const units = `${l.first.toLocaleString('en-US')} ${plural(l.unitName, l.first)}`;
    const fate = l.empty >= 0 ? `empty ${shortDay(year.start, l.empty)}` : `${l.left} left`;
    return `${l.name}: ${units}, ${fate}. ${l.parts.map((p) => `${percent(p.share)} ${p.name}`).join(', ')}.`;
  }
</script>

{#if lots.length}
  <section aria-label="Lots" bind:clientWidth={width} data-testid="lot-stacks">
    {#each lots as l (l.id)}
      <svg {width} height={LANE} role="group" aria-label={told(l)} class="block">
        {#if l.id === chosenId}<rect x="0" y="0" {width} height={LANE} fill="#dce7f7" />{/if}
        <text x={narrow ? 8 : 20} y="17" class="name"
          >{l.name.length > (narrow ? 13 : 24)
            ? `${l.name.slice(0, narrow ? 12 : 23)}.`
            : l.name}</text
        >
        <text x={narrow ? 8 : 20} y="32" class="note">{unitsText(l)}</text>
        {#each l.parts as p, i (p.name)}
          <rect
            x={(narrow ? 8 : 20) + bar * l.parts.slice(0, i).reduce((s, q) => s + q.share, 0)}
            y="39"
            width={bar * p.share}
            height="8"
            fill={p.fill}
            stroke="#16233a"
            stroke-width="0.4"
          />
        {/each}
        <rect
          x={scale.left}
          y="2"
          width={scale.width - scale.left - scale.right}
          height={LANE - 5}
          fill="#fff"
          stroke="#c5d0e0"
          stroke-width="0.6"
        />
        <path
          d={l.path}
          fill={l.origin === 'BOUGHT' ? 'url(#t-bought)' : 'url(#t-put-by)'}
          stroke={l.origin === 'BOUGHT' ? '#574a87' : '#7a3f1c'}
          stroke-width="0.7"
        />
        {#if l.reserve}
          <text x={scale.left + 6} y="15" class="note halo"
            >{l.reserve.units} kept back for {shortDate(
              `2025-${l.reserve.fromInclusive.slice(2)}`,
            )}</text
          >
        {/if}
        {#if l.empty >= 0}
          <text
            x={Math.min(scale.x(l.empty) + 5, width - scale.right - 90)}
            y={LANE - 12}
            class="empty halo">empty {shortDay(year.start, l.empty)}</text
          >
        {/if}
        <rect
          role="button"
          tabindex="0"
          aria-label={`Open ${l.name}`}
          x="0"
          y="0"
          {width}
          height={LANE}
          fill="transparent"
          class="hit"
          onclick={() => onchoose(l.id)}
          onkeydown={(e) =>
            (e.key === 'Enter' || e.key === ' ') && (e.preventDefault(), onchoose(l.id))}
        />
      </svg>
    {/each}
    <p class="quiet fine key">
      Each lot's stack and how it is used up; under its name where its dry matter goes:
      <i class="eaten"></i>eaten
      <i class="stored"></i>lost in store <i class="fed"></i>lost at feeding
      <i class="left"></i>left. In all {amount(
        lots.reduce((s, l) => s + l.lostInStoreKg + l.lostAtFeedingKg, 0),
        'bulk',
        system,
      )} are lost.
    </p>
  </section>
{/if}

<style>
  section {
    background: var(--ground);
    border-bottom: 1px solid var(--line);
  }
  .name {
    font-size: 13px;
    font-weight: 700;
    fill: #16233a;
  }
  .note {
    font-size: 12px;
    fill: #3d4b63;
  }
  .empty {
    font-size: 12px;
    font-weight: 700;
    fill: #b3330f;
  }
  .halo {
    paint-order: stroke;
    stroke: #fff;
    stroke-width: 3px;
  }
  .hit {
    cursor: pointer;
  }
  .key {
    padding: 0 20px 0.5rem;
    margin-top: 0.2rem;
  }
  .eaten {
    background: #7a3f1c;
  }
  .stored {
    background: #e3be4f;
  }
  .fed {
    background: #d6401f;
  }
  .left {
    background: #cdd7e7;
  }
  i {
    display: inline-block;
    width: 11px;
    height: 11px;
    margin: 0 4px 0 6px;
    border: 1px solid #16233a;
    vertical-align: -1px;
  }
</style>
