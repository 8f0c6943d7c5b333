<script lang="ts">
  import { max } from 'd3-array';
  import type { DietWeek } from '../api/client';
  import { longDate, shortDate } from '../units/dates';
  import { dietText } from '../words/breaks';

  /** Protein in all that they eat, week by week, against what they want. */
  let { weeks }: { weeks: DietWeek[] } = $props();

  const HIGH = 64;
  let width = $state(300);
  const top = $derived(1.1 * (max(weeks, (w) => Math.max(w.proteinPct, w.proteinNeedPct)) ?? 1));
  const x = (i: number) => (i * width) / weeks.length;
  const y = (pct: number) => HIGH - (pct / top) * HIGH;
  const need = $derived(
    weeks.map((w, i) => `M${x(i)} ${y(w.proteinNeedPct)}H${x(i + 1)}`).join(' '),
  );
</script>

<section class="panel" aria-labelledby="diet-title" data-testid="break-diet">
  <h2 id="diet-title">What they eat, week by week</h2>
  <p>{dietText(weeks)}</p>
  <div bind:clientWidth={width}>
    <svg {width} height={HIGH + 18} aria-hidden="true">
      {#each weeks as w, i (w.from)}
        <rect
          class:short={w.proteinPct < w.proteinNeedPct - 0.25}
          x={x(i) + 1}
          width={Math.max(1, width / weeks.length - 2)}
          y={y(w.proteinPct)}
          height={HIGH - y(w.proteinPct)}><title>{longDate(w.from)}</title></rect
        >
      {/each}
      <path d={need} />
      <text x="0" y={HIGH + 14}>{shortDate(weeks[0].from)}</text>
      <text x={width} y={HIGH + 14} text-anchor="end">{shortDate(weeks.at(-1)!.from)}</text>
    </svg>
  </div>
  <details>
    <summary>Every week</summary>
    <table>
      <thead
        ><tr
          ><th scope="col">From</th><th scope="col">From here</th><th scope="col"
            >Protein, wanted</th
          ><th scope="col">TDN, wanted</th></tr
        ></thead
      >
      <tbody>
        {#each weeks as w (w.from)}
          <tr
            ><th scope="row">{shortDate(w.from)}</th><td class="figure"
              >{Math.round(100 * w.hereShare)}%</td
            ><td class="figure">{w.proteinPct.toFixed(1)}, {w.proteinNeedPct.toFixed(1)}%</td><td
              class="figure">{w.tdnPct.toFixed(0)}, {w.tdnNeedPct.toFixed(0)}%</td
            ></tr
          >
        {/each}
      </tbody>
    </table>
  </details>
</section>

<style>
  details {
    overflow-x: auto;
  }
  :is(th, td) {
    padding: 0.15rem 0.6rem 0.15rem 0;
    text-align: left;
  }
  th[scope='row'] {
    white-space: nowrap;
  }
  svg {
    display: block;
    margin-top: 0.4rem;
  }
  rect {
    fill: #7dad69;
  }
  rect.short {
    fill: #d9913f;
  }
  path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  text {
    font-size: 12px;
    fill: var(--ink);
  }
</style>
