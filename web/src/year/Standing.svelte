<script lang="ts">
  import type { Outlook, YearView } from '../api/client';
  import { thePlan } from '../plan/context';
  import LineYear from '../ruler/LineYear.svelte';
  import type { RulerScale } from '../ruler/scale';
  import { isoOf, longDay, shortDate } from '../units/dates';
  import { amount, figure, unitOf } from '../units/units';
  import { days } from '../words/year';

  const open = thePlan();

  let {
    year,
    outlook,
    scale,
    at,
  }: { year: YearView; outlook: Outlook; scale: RulerScale; at: number } = $props();

  const GROWTH = '#2b6e2f';
  const NEED = '#16233a';
  const cover = $derived(outlook.coverKgPerHa[at] ?? 0);
  const growth = $derived(outlook.growthKgPerHa[at] ?? 0);
  const demand = $derived(outlook.demandKgPerHa[at] ?? 0);
  const ranked = $derived(
    year.fields
      .map((f) => ({
        id: f.id,
        name: open.view!.farm.fields.find((x) => x.id === f.id)?.name ?? f.id,
        coverKgPerHa: f.coverKgPerHa[at] ?? 0,
        leaveKgPerHa: f.residualKgPerHa,
      }))
      .sort((a, b) => b.coverKgPerHa - a.coverKgPerHa),
  );
  const most = $derived(Math.max(1, ...ranked.map((r) => r.coverKgPerHa)));
  const rest = $derived(Math.round(outlook.restDays[at] ?? 0));
  const restSaid = $derived(
    rest > 0
      ? ` Ground that is grazed now is rested for ${days(rest)}: a round is no shorter.`
      : ' No ground is rested now: it is not moved over, or it sleeps.',
  );
  const said = $derived(
    `On ${longDay(year.start, at)} ${amount(cover, 'massPerArea', open.system)} stand on average over ` +
      `${amount(outlook.groundHa, 'area', open.system)}; ${figure(growth, 'rate', open.system)} ` +
      `grow and ${amount(demand, 'rate', open.system)} are wanted.` +
      restSaid,
  );
</script>

<LineYear
  title="Cover"
  lines={[{ name: 'mean of the land', values: outlook.coverKgPerHa, colour: GROWTH }]}
  target={{ from: outlook.leaveKgPerHa, to: outlook.enterKgPerHa, name: 'left to ready' }}
  {scale}
  {at}
  quantity="massPerArea"
  system={open.system}
  summary={`Mean cover by day. ${said}`}
/>
<LineYear
  title="Growth"
  lines={[
    { name: 'grows', values: outlook.growthKgPerHa, colour: GROWTH },
    { name: 'is wanted', values: outlook.demandKgPerHa, colour: NEED, dash: '4 3' },
  ]}
  band={{ lower: outlook.demandKgPerHa, upper: outlook.growthKgPerHa, fill: '#cfe6cf' }}
  {scale}
  {at}
  quantity="rate"
  system={open.system}
  summary={`Growth and demand by day. ${said}`}
/>
<p data-testid="standing">{said}</p>
<section aria-labelledby="ranked">
  <h2 id="ranked">
    Fields by what stands on {shortDate(isoOf(year.start, at))},
    <span class="quiet">{unitOf('massPerArea', open.system)}; the line is what must be left</span>
  </h2>
  <ol>
    {#each ranked as r (r.id)}
      <li>
        <a href={`#/plan/${open.view!.id}/land?field=${r.id}`}>{r.name}</a>
        <svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
          <rect width={(100 * r.coverKgPerHa) / most} height="10" fill="#a9d3a9" />
          <path
            d={`M${(100 * Math.min(r.leaveKgPerHa, most)) / most} 0V10`}
            stroke="#2b6e2f"
            vector-effect="non-scaling-stroke"
            stroke-width="2"
          />
        </svg>
        <span class="figure">{figure(r.coverKgPerHa, 'massPerArea', open.system)}</span>
      </li>
    {/each}
  </ol>
</section>

<style>
  p {
    padding: 0.4rem 20px 0;
  }
  section {
    padding: 0.5rem 20px 1rem;
  }
  h2 {
    font-size: 14px;
  }
  h2 span {
    font-weight: 400;
  }
  ol {
    columns: 3 20rem;
    column-gap: 2rem;
    padding: 0.4rem 0;
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 10rem) 1fr 4rem;
    gap: 0.5rem;
    align-items: center;
    break-inside: avoid;
    min-height: 1.9rem;
  }
  svg {
    width: 100%;
    height: 12px;
  }
  .figure {
    text-align: right;
  }
</style>
