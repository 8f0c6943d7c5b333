<script lang="ts">
  import { thePlan } from '../plan/context';

  const open = thePlan();

  const farm = $derived(open.view!.farm);
  const costs = $derived(open.year.costs);
  const groups = $derived(open.year.groups);
  const name = (id: string) => farm.groups.find((g) => g.id === id)?.name ?? id;
  const money = (v: number) => Math.round(v).toLocaleString('en-US');
  const cents = (v: number) => v.toFixed(2);
  const shelves = $derived([
    { name: 'Growing', cost: costs.growing, look: 'growing', of: 'nitrogen and seed' },
    { name: 'Standing', cost: costs.standing, look: 'standing', of: 'nitrogen for stockpile' },
    { name: 'Put by', cost: costs.putBy, look: 'put-by', of: 'making, hauling or price' },
    { name: 'Bought in', cost: costs.boughtIn, look: 'bought', of: 'price and hauling' },
  ]);
  const unpriced = $derived(
    costs.unpriced.map((id) => open.year.lots.find((l) => l.id === id)?.name ?? id),
  );
</script>

<section class="panel form" aria-labelledby="costs-title" data-testid="costs">
  <h2 id="costs-title">What feeding costs</h2>
  <p>
    <strong>{farm.currency} {money(costs.total)}</strong> over the plan,
    {farm.currency}
    {money(costs.winter)} of stored feed in the {costs.winterDays} days of winter,
    {farm.currency}
    {cents(costs.total / open.year.days)} a day. The tractor starts on {costs.tractorDays} days;
    <strong>{costs.daysWithoutTractor} days without a tractor</strong>, {costs.moves} moves of stock,
    about
    {Math.round(costs.hours)} hours in all.
  </p>
  <dl>
    {#each shelves as s (s.name)}
      <dt><i class={s.look}></i>{s.name} <span class="quiet">{s.of}</span></dt>
      <dd>{farm.currency} {money(s.cost)}</dd>
    {/each}
  </dl>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="months-scroll" tabindex="0" role="region" aria-label="Cost by group">
    <table class="ledger">
      <thead>
        <tr>
          <th scope="col">Group</th>
          <th scope="col" class="number">Days on grass</th>
          <th scope="col" class="number">Days fed</th>
          <th scope="col" class="number">Days short</th>
          <th scope="col" class="number">{farm.currency} a year</th>
          <th scope="col" class="number">In winter</th>
          <th scope="col" class="number">A head and day</th>
          <th scope="col" class="number">In winter</th>
        </tr>
      </thead>
      <tbody>
        {#each groups as g (g.id)}
          <tr>
            <th scope="row">{name(g.id)}</th>
            <td class="number">{g.cost.grazedDays}</td>
            <td class="number">{g.cost.fedDays}</td>
            <td class="number">{g.cost.bareDays}</td>
            <td class="number">{money(g.cost.cost)}</td>
            <td class="number">{money(g.cost.winterCost)}</td>
            <td class="number">{cents(g.cost.perHeadDay)}</td>
            <td class="number">{cents(g.cost.winterPerHeadDay)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <p class="quiet fine">
    Stored feed by what was opened and who ate it. {unpriced.length
      ? `No cost is known of ${unpriced.join(', ')}: counted as nothing.`
      : ''} Hours are assumed at 45 minutes for a start of the tractor and 30 for a move. Seed at the
    product's prices, placeholders.
    {#if groups.some((g) => g.cost.agistment !== 0)}Agistment {farm.currency}
      {money(groups.reduce((s, g) => s + g.cost.agistment, 0))} besides.{/if}
  </p>
</section>

<style>
  dl {
    display: grid;
    grid-template-columns: auto auto;
    justify-content: start;
    gap: 0.2rem 1.5rem;
    margin: 0.5rem 0;
  }
  dd {
    font-family: var(--mono);
    text-align: right;
  }
  i {
    display: inline-block;
    width: 12px;
    height: 12px;
    margin-right: 6px;
    border: 1px solid #16233a;
    vertical-align: -1px;
  }
  .growing {
    background: var(--growing);
  }
  .standing {
    background: repeating-linear-gradient(90deg, var(--standing) 0 4px, #a98212 4px 5px);
  }
  .put-by {
    background: radial-gradient(var(--put-by-dark) 25%, var(--put-by) 27%) 0 0 / 4px 4px;
  }
  .bought {
    background: repeating-linear-gradient(-45deg, var(--bought) 0 3px, var(--bought-dark) 3px 4px);
  }
  table {
    width: 100%;
  }
</style>
