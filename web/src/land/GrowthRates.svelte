<script lang="ts">
  import { MONTH_NAMES } from '../units/dates';
  import { thePlan } from '../plan/context';
  import Beside from '../form/Beside.svelte';
  import { said } from '../form/said';
  import { amount, figure, rounded, toSi, unitOf } from '../units/units';

  const open = thePlan();

  let {
    rates,
    editable,
    onchange,
  }: { rates: number[]; editable: boolean; onchange: (rates: number[]) => void } = $props();

  const told = said(() => 'stand.monthlyKgPerHaDay');
  const HEIGHT = 110;
  /** A month of one year against the usual one: a third less to a third more, by the table's notes. */
  const SPREAD = 0.35;
  let width = $state(600);
  let held = $state<number | null>(null);
  /** The scale stands still while a point is held. */
  let frozen = $state(0);
  const top = $derived(held === null ? Math.max(10, ...rates) * (1 + SPREAD) : frozen);
  const x = $derived((month: number) => ((month + 0.5) / 12) * width);
  const y = $derived((rate: number) => HEIGHT - 8 - (Math.min(rate, top) / top) * (HEIGHT - 16));
  const along = $derived((of: (rate: number) => number) =>
    rates.map((r, i) => `${x(i)} ${y(of(r))}`),
  );
  const line = $derived(`M${along((r) => r).join('L')}`);
  const band = $derived(
    `M${along((r) => r * (1 + SPREAD)).join('L')}L${along((r) => r * (1 - SPREAD))
      .reverse()
      .join('L')}Z`,
  );
  const annual = $derived(
    rates.reduce((sum, r, i) => sum + r * [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][i], 0),
  );

  function put(month: number, rate: number) {
    const kept = Math.max(0, Math.min(300, Math.round(rate * 10) / 10));
    onchange(rates.map((r, i) => (i === month ? kept : r)));
  }
  function grab(event: PointerEvent, month: number) {
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    frozen = top;
    held = month;
  }
  function drag(event: PointerEvent) {
    if (held === null) return;
    const svg = (event.currentTarget as SVGElement).ownerSVGElement!;
    const up = HEIGHT - 8 - (event.clientY - svg.getBoundingClientRect().top);
    put(held, (up / (HEIGHT - 16)) * top);
  }
  function nudge(event: KeyboardEvent, month: number) {
    const step = {
      ArrowUp: 1,
      ArrowRight: 1,
      ArrowDown: -1,
      ArrowLeft: -1,
      PageUp: 5,
      PageDown: -5,
    }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    put(month, rates[month] + step);
  }
  function set(month: number, typed: string) {
    const value = Number(typed);
    if (typed.trim() === '' || !Number.isFinite(value)) return;
    onchange(rates.map((r, i) => (i === month ? toSi(value, 'rate', open.system) : r)));
  }
</script>

<div class="rates" role="group" aria-label={`Growth by month, ${unitOf('rate', open.system)}`}>
  <p class="quiet">
    Growth, {unitOf('rate', open.system)}; {amount(annual, 'massPerArea', open.system)} in the year, from
    {figure(annual * 0.8, 'massPerArea', open.system)} to {figure(
      annual * 1.2,
      'massPerArea',
      open.system,
    )} by place and year{editable ? '. Drag the points, or type' : ''}.
  </p>
  <div bind:clientWidth={width}>
    <svg
      {width}
      height={HEIGHT}
      class="block"
      role="group"
      aria-label={editable ? 'Growth curve; drag the points' : 'Growth curve'}
    >
      <path d={band} fill="#cfe5cf" />
      <path d={line} fill="none" stroke="#2b6e2f" stroke-width="2" />
      {#each rates as rate, i (i)}
        {#if editable}
          <circle
            role="slider"
            tabindex="0"
            aria-label={`Point of ${MONTH_NAMES[i]}`}
            aria-valuemin="0"
            aria-valuemax={Math.round(rounded(top, 'rate', open.system))}
            aria-valuenow={rounded(rate, 'rate', open.system)}
            aria-valuetext={amount(rate, 'rate', open.system)}
            cx={x(i)}
            cy={y(rate)}
            r="7"
            class="point"
            onpointerdown={(e) => grab(e, i)}
            onpointermove={drag}
            onpointerup={() => (held = null)}
            onkeydown={(e) => nudge(e, i)}
          />
        {:else}
          <circle cx={x(i)} cy={y(rate)} r="3" fill="#2b6e2f" />
        {/if}
      {/each}
    </svg>
  </div>
  <div class="months">
    {#each rates as rate, i (i)}
      <div>
        {#if editable}
          <input
            class="input figure"
            inputmode="decimal"
            aria-label={`Growth in ${MONTH_NAMES[i]}`}
            value={rounded(rate, 'rate', open.system)}
            onchange={(e) => set(i, e.currentTarget.value)}
          />
        {:else}
          <span class="figure">{figure(rate, 'rate', open.system)}</span>
        {/if}
        <span class="quiet">{MONTH_NAMES[i].slice(0, 3)}</span>
      </div>
    {/each}
  </div>
  <Beside wrong={told.wrong} doubt={told.doubt} />
</div>

<style>
  .rates {
    margin-bottom: 0.75rem;
  }
  .months {
    display: grid;
    grid-template-columns: repeat(12, 1fr);
    gap: 2px;
    text-align: center;
    font-size: 13px;
    border-top: 1px solid var(--line);
  }
  .months > div {
    display: flex;
    flex-direction: column;
  }
  .point {
    fill: #1b3a93;
    stroke: #ffffff;
    stroke-width: 2;
    cursor: ns-resize;
    touch-action: none;
  }
  .input {
    padding: 0.1rem;
    text-align: center;
    min-height: 2rem;
  }
  @media (max-width: 760px) {
    .months {
      grid-template-columns: repeat(6, 1fr);
    }
  }
</style>
