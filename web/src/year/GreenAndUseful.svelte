<script lang="ts">
  import type { Greening } from '../api/client';
  import { thePlan } from '../plan/context';
  import type { RulerScale } from '../ruler/scale';
  import { longDay } from '../units/dates';
  import { amount } from '../units/units';
  import { greenSentence } from '../words/outlook';

  const open = thePlan();

  let {
    greening,
    start,
    scale,
    at,
  }: { greening: readonly Greening[]; start: string; scale: RulerScale; at: number } = $props();

  const ROW = 22;
  const TOP = 8;
  const height = $derived(TOP + greening.length * ROW + 4);
  const narrow = $derived(scale.left < 120);
  const fieldName = (id: string) => open.view!.farm.fields.find((f) => f.id === id)?.name ?? id;
  /** On a phone there is room for so much. */
  const short = (name: string) => (narrow && name.length > 13 ? `${name.slice(0, 12)}…` : name);
  const stand = (id: string) =>
    (open.forages.find((f) => f.id === id)?.name ?? id).split(' (')[0].toLowerCase();
  const said = $derived(greenSentence(greening, start, fieldName));
  const y = (i: number) => TOP + i * ROW + ROW / 2;
  const ends = (g: Greening) => (g.usefulDay < 0 ? g.greenDay : g.usefulDay);
</script>

<section aria-labelledby="green-title">
  <h2 id="green-title">Green and useful</h2>
  <p data-testid="green">{said}</p>
  {#if greening.length}
    <svg width={scale.width} {height} role="img" aria-label={said} class="block">
      {#each greening as g, i (g.fieldId + g.greenDay)}
        <text x={narrow ? 8 : 20} y={y(i) + 4} class="name">{short(fieldName(g.fieldId))}</text>
        <g clip-path={scale.clip}>
          <path d={`M${scale.left} ${y(i)}H${scale.width}`} stroke="#e3e7ed" />
          <path
            d={`M${scale.x(g.greenDay)} ${y(i)}H${scale.x(ends(g))}`}
            stroke="#7fae6a"
            stroke-width="4"
          />
          <circle
            cx={scale.x(g.greenDay)}
            cy={y(i)}
            r="5"
            fill="#fff"
            stroke="#2b6e2f"
            stroke-width="2"
          />
          {#if g.usefulDay >= 0}
            <circle cx={scale.x(g.usefulDay)} cy={y(i)} r="5" fill="#2b6e2f" stroke="#2b6e2f" />
          {/if}
        </g>
      {/each}
      {#if at >= 0}
        <path
          d={`M${scale.x(at + 0.5)} 0V${height}`}
          stroke="#1b3a93"
          stroke-dasharray="2 3"
          stroke-width="1.5"
        />
      {/if}
    </svg>
    <p class="quiet">
      Hollow: green. Full: as much new growth has come as lies between the height at which stock
      come off and that at which they come in. In the season looked at; what stands from before may
      be eaten sooner, at what it is worth. Some go by the nights instead: their mean low of the
      week is beside it.
    </p>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="wrap" tabindex="0" role="region" aria-label="Green and useful by field">
      <table class="ledger panel">
        <thead>
          <tr
            ><th scope="col">Field</th><th scope="col">Stand</th><th scope="col">Green</th><th
              scope="col">Useful</th
            ><th scope="col" class="number">Days between</th><th scope="col" class="number"
              >Nights</th
            ></tr
          >
        </thead>
        <tbody>
          {#each greening as g (g.fieldId + g.greenDay)}
            <tr>
              <th scope="row">{fieldName(g.fieldId)}</th>
              <td>{stand(g.forageId)}</td>
              <td>{longDay(start, g.greenDay)}</td>
              <td>{g.usefulDay < 0 ? 'not in this plan' : longDay(start, g.usefulDay)}</td>
              <td class="number">{g.usefulDay < 0 ? '' : g.usefulDay - g.greenDay}</td>
              <td class="number">{amount(g.nightC, 'temperature', open.system)}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {/if}
</section>

<style>
  h2 {
    padding: 0.8rem 20px 0;
    font-weight: 700;
  }
  p {
    padding: 0.2rem 20px 0.3rem;
    max-width: 70rem;
  }
  .name {
    font-size: 12px;
    fill: #16233a;
  }
  .wrap {
    overflow-x: auto;
    padding: 0.3rem 20px 1rem;
  }
  table {
    border-collapse: collapse;
    font-size: 13px;
  }
  th,
  td {
    text-align: left;
    font-weight: 400;
    padding: 0.2rem 0.9rem 0.2rem 0.5rem;
    border-bottom: 1px solid var(--line);
  }
  thead th {
    font-weight: 700;
  }
  .number {
    text-align: right;
  }
</style>
