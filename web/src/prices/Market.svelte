<script lang="ts">
  import type { HayOffer } from '../api/client';
  import { thePlan } from '../plan/context';
  import { inSeasonWords, seasonOptions } from '../seasons/names';
  import { isoOf, monthName } from '../units/dates';
  import { amount } from '../units/units';
  import { money, priceUnit } from '../words/prices';

  const open = thePlan();
  const view = $derived(open.view!);
  const ton = $derived(priceUnit('usd_per_t_as_fed', open.system));
  const months = $derived([
    ...new Set(
      Array.from({ length: view.year.days }, (_, d) => isoOf(view.year.start, d).slice(0, 7)),
    ),
  ]);
  let chosen = $state('');
  const month = $derived(months.includes(chosen) ? chosen : months[0]);
  let offers = $state.raw<HayOffer[] | null>(null);
  let gone = false;
  $effect(() => () => (gone = true));
  $effect(() => {
    void view.revision;
    void open.season;
    void read(month);
  });
  async function read(of: string) {
    try {
      const found = await open.api.market(open.view!.id, of);
      if (!gone && of === month) offers = found;
    } catch (e) {
      if (!gone) open.error = open.explain(e);
    }
  }

  /** Usual round bales: what a lot by the tonne comes to. */
  const BALE_KG = 365;
  const DM_SHARE = 0.87;
  const each = (v: number) => `${view.farm.currency} ${money(v * ton.of)}`;

  async function take(offer: HayOffer) {
    await open.edit([
      { putPrice: { id: offer.priceId, amount: offer.deliveredPerTonne, bySeason: false } },
    ]);
  }
  async function buy(offer: HayOffer) {
    const taken = view.plan.purchases.map((p) => p.id);
    let n = taken.length + 1;
    while (taken.includes(`market-${n}`)) n++;
    await open.edit([
      {
        putPurchase: {
          id: `market-${n}`,
          date: `${month}-15` < view.year.start ? view.year.start : `${month}-15`,
          forGroups: view.farm.groups.map((g) => g.id),
          lot: {
            id: `market-${n}`,
            name: offer.what,
            unitName: 'round bale',
            units: Math.round((offer.tonnes * 1000) / BALE_KG),
            kgPerUnitAsFed: BALE_KG,
            dmShare: DM_SHARE,
            storageMethodId: 's_barn',
            feedingMethodId: 'f_ring_open',
            pricePerTonneAsFed: offer.deliveredPerTonne,
            note: '',
            origin: {
              feedId: offer.feedId,
              cutOn: null,
              wrap: 'NOT_SAID',
              place: '',
              movable: true,
              makingPerUnit: null,
              haulingPerUnit: null,
              worth: null,
            },
            size: null,
            reserve: null,
          },
        },
      },
    ]);
  }
  const season = $derived(
    inSeasonWords(open.season, seasonOptions(view.plan, open.records, open.season)),
  );
</script>

<div class="page">
  <section class="panel form" aria-labelledby="market-title" data-testid="market">
    <h1 id="market-title">Hay market</h1>
    <p>
      <strong>A simulated stand-in: nobody sells these lots.</strong> They are drawn between the low and
      the high of the product’s prices, the same ones each time, so that buying can be tried out. A real
      market would be asked in its place.
    </p>
    <label class="field"
      ><span>Offered in</span><select
        class="select"
        value={month}
        onchange={(e) => (chosen = e.currentTarget.value)}
      >
        {#each months as m (m)}<option value={m}>{monthName(m)}</option>{/each}
      </select></label
    >
    {#if season}<p class="quiet">
        {season}. In a dry year lots are fewer, smaller, farther and dearer.
      </p>{/if}
    {#if offers?.length}
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="months-scroll" tabindex="0" role="region" aria-label="Offers">
        <table class="ledger">
          <thead>
            <tr>
              <th scope="col">Hay</th>
              <th scope="col" class="number">Lot, as fed</th>
              <th scope="col" class="number">Away</th>
              <th scope="col" class="number">At the gate, {ton.each}</th>
              <th scope="col" class="number">Delivered, {ton.each}</th>
              {#if open.mayPlan}<th scope="col"><span class="visually-hidden">Do</span></th>{/if}
            </tr>
          </thead>
          <tbody>
            {#each offers as o, i (i)}
              <tr>
                <th scope="row">{o.what}</th>
                <td class="number">{amount(o.tonnes * 1000, 'bulk', open.system)}</td>
                <td class="number"
                  >{open.system === 'METRIC'
                    ? `${o.distanceKm} km`
                    : `${Math.round(o.distanceKm / 1.609)} miles`}</td
                >
                <td class="number">{each(o.perTonne)}</td>
                <td class="number">{each(o.deliveredPerTonne)}</td>
                {#if open.mayPlan}
                  <td
                    ><div class="acts">
                      <button class="btn plain" onclick={() => void buy(o)}
                        >Buy in the plan<span class="visually-hidden">: {o.what}, lot {i + 1}</span
                        ></button
                      >
                      <button class="btn plain" onclick={() => void take(o)}
                        >Take as my price<span class="visually-hidden">: {o.what}, lot {i + 1}</span
                        ></button
                      >
                    </div></td
                  >
                {/if}
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      <p class="quiet">
        Bought on the 15th as round bales for all groups, after their other feeds; it stands under
        Gaps, What the plan does, and in Store. Look at hay before you pay for it: mould, weeds,
        spray residues; a test costs less than a load.
      </p>
    {:else if offers}
      <p>For {view.farm.currency} the product knows no prices: nothing is offered.</p>
    {:else}
      <p role="status">Asking the market.</p>
    {/if}
  </section>
</div>

<style>
  .page {
    padding: 1rem 20px 2rem;
  }
  section {
    padding: 1rem;
  }
  .field {
    max-width: 14rem;
    margin: 0.6rem 0;
  }
  .acts {
    display: flex;
    gap: 0.5rem;
    justify-content: flex-end;
  }
</style>
