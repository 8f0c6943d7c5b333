<script lang="ts">
  import { thePlan } from '../plan/context';
  import { amount, figure, unitOf } from '../units/units';

  const open = thePlan();

  let { lotId }: { lotId: string } = $props();
  const farm = $derived(open.view!.farm);
  const lot = $derived(open.year.lots.find((l) => l.id === lotId));
  const name = (id: string) => open.year.lots.find((l) => l.id === id)?.name ?? id;
  const losses = $derived(
    lot
      ? [
          { name: 'Eaten', kg: lot.eatenKg },
          { name: lot.rindShare > 0 ? 'Rind refused' : 'Lost in store', kg: lot.lostInStoreKg },
          { name: 'Lost at feeding', kg: lot.lostAtFeedingKg },
          { name: 'Left at the end', kg: lot.levelKg[lot.levelKg.length - 1] ?? 0 },
        ]
      : [],
  );
  const whole = $derived(
    Math.max(
      1,
      losses.reduce((sum, l) => sum + l.kg, 0),
    ),
  );
  const per = $derived(unitOf('pricePerMass', open.system));
  const price = (v: number) => `${farm.currency} ${figure(v, 'pricePerMass', open.system)}`;
</script>

{#if lot}
  <section aria-labelledby="lot-loss" data-testid="lot-loss">
    <h2 id="lot-loss">Where its dry matter goes</h2>
    <dl>
      {#each losses as l (l.name)}
        <dt>{l.name}</dt>
        <dd>{amount(l.kg, 'mass', open.system)}</dd>
        <dd>{Math.round((100 * l.kg) / whole)}%</dd>
      {/each}
    </dl>
    <p class="quiet fine">
      Each loss is taken once: {lot.rindShare > 0
        ? 'the rind stands for the whole loss in store.'
        : 'in store by the way of storing, at feeding by the way of feeding.'} A unit that lasts a group
      longer than four days is fed with more loss: too few mouths.
    </p>
  </section>
  <section aria-labelledby="lot-cost" data-testid="lot-cost">
    <h2 id="lot-cost">What it costs</h2>
    {#if lot.cost}
      <dl>
        <dt>One {lot.unitName}</dt>
        <dd>{farm.currency} {lot.cost.perUnit.toFixed(2)}</dd>
        <dt>{per} of dry matter as it comes in</dt>
        <dd>{price(lot.cost.perTonneDm)}</dd>
        <dt>{per} of dry matter eaten</dt>
        <dd>{price(lot.cost.perTonneEaten)}</dd>
        <dt>1,000 MJ of energy eaten</dt>
        <dd>{farm.currency} {lot.cost.perGj.toFixed(2)}</dd>
        <dt>{unitOf('pricePerKg', open.system)} of protein eaten</dt>
        <dd>{farm.currency} {figure(lot.cost.perKgProtein, 'pricePerKg', open.system)}</dd>
      </dl>
    {:else}
      <p>No cost is known: state what it was bought for, or what making and hauling cost.</p>
    {/if}
    {#if lot.atMost}
      <p class="tells" data-testid="at-most">
        Beside {name(lot.atMost.besideLotId)} it is worth at most {price(
          lot.atMost.byEnergyPerTonneAsFed,
        )}
        {per} as fed for its energy, {price(lot.atMost.byProteinPerTonneAsFed)} for its protein.
      </p>
    {/if}
    <p class="quiet fine">
      Bought, made and hauled together; losses of this year taken off. Held against the lot whose
      energy is cheapest.
    </p>
  </section>
{/if}

<style>
  dl {
    display: grid;
    grid-template-columns: repeat(2, auto);
    justify-content: start;
    gap: 0.2rem 1.5rem;
    margin: 0.4rem 0;
  }
  section[data-testid='lot-loss'] dl {
    grid-template-columns: repeat(3, auto);
  }
  dt::first-letter {
    text-transform: uppercase;
  }
  dd {
    font-family: var(--mono);
    text-align: right;
  }
</style>
