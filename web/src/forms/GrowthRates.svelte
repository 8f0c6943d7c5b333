<script lang="ts">
  import { MONTH_NAMES } from '../dates';
  import { open } from '../plan.svelte';
  import Beside from './Beside.svelte';
  import { said } from './said';
  import { amount, figure, rounded, toSi, unitOf } from '../units';

  let {
    rates,
    editable,
    onchange,
  }: { rates: number[]; editable: boolean; onchange: (rates: number[]) => void } = $props();

  const told = said(() => 'stand.monthlyKgPerHaDay');
  const HEIGHT = 56;
  const peak = $derived(Math.max(1, ...rates));
  const annual = $derived(
    rates.reduce((sum, r, i) => sum + r * [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][i], 0),
  );

  function set(month: number, typed: string) {
    const value = Number(typed);
    if (typed.trim() === '' || !Number.isFinite(value)) return;
    onchange(rates.map((r, i) => (i === month ? toSi(value, 'rate', open.system) : r)));
  }
</script>

<div class="rates" role="group" aria-label={`Growth by month, ${unitOf('rate', open.system)}`}>
  <p class="quiet">
    Growth, {unitOf('rate', open.system)}; {amount(annual, 'massPerArea', open.system)} in the year
  </p>
  <div class="months">
    {#each rates as rate, i (i)}
      <div>
        <svg width="100%" height={HEIGHT} aria-hidden="true">
          <rect
            x="15%"
            width="70%"
            y={HEIGHT - (rate / peak) * HEIGHT}
            height={(rate / peak) * HEIGHT}
            fill="#4c9a4f"
          />
        </svg>
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
