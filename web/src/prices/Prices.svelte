<script lang="ts">
  import { onMount } from 'svelte';
  import type { Price } from '../api/client';
  import { thePlan } from '../plan/context';
  import { weightsIn } from '../units/units';
  import { money, priceUnit, PRICE_GROUPS, seasonText, usualText } from '../words/prices';
  import Tabs from '../form/Tabs.svelte';
  import PriceRow from './PriceRow.svelte';

  const open = thePlan();
  const farm = $derived(open.view!.farm);

  let prices = $state.raw<Price[]>([]);
  let problem = $state('');
  let gone = false;
  onMount(() => () => (gone = true));
  /** Read again whenever the plan changes: another currency, another price of one's own. */
  $effect(() => {
    void open.view?.revision;
    void read();
  });
  async function read() {
    try {
      const found = await open.api.prices(open.view!.id);
      if (!gone) prices = found;
    } catch (e) {
      if (!gone) problem = open.explain(e);
    }
  }

  let sought = $state('');
  let onlyOwn = $state(false);
  const own = $derived(prices.filter((p) => p.own).length);
  const words = $derived(sought.trim().toLowerCase().split(/\s+/));
  const fits = (p: Price) =>
    (!onlyOwn || p.own) &&
    words.every((w) =>
      `${weightsIn(p.what, open.system)} ${PRICE_GROUPS[p.group] ?? ''}`.toLowerCase().includes(w),
    );
  const looking = $derived(sought.trim() !== '' || onlyOwn);
  const groups = $derived(
    Object.entries(PRICE_GROUPS)
      .map(([id, name]) => ({ id, name, rows: prices.filter((p) => p.group === id && fits(p)) }))
      .filter((g) => g.rows.length),
  );
  const none = $derived(prices.length > 0 && prices.every((p) => p.low === null));
  /** Where a group stands; what is sought is sought in all. */
  const SIDES = [
    {
      id: 'feed',
      name: 'Feed',
      of: ['hay', 'straw', 'silage', 'concentrate', 'protein', 'mineral'],
    },
    {
      id: 'ground',
      name: 'Sowing and making',
      of: ['nitrogen', 'machine_work', 'seed', 'phosphorus_potassium', 'lime', 'irrigation'],
    },
    {
      id: 'animals',
      name: 'Animals',
      of: Object.keys(PRICE_GROUPS).filter((g) =>
        /^(agistment|cattle|dairy|milk|sheep|wool|goats|horses|bison|services|transport)/.test(g),
      ),
    },
    {
      id: 'rest',
      name: 'Work, fence, water',
      of: ['labour', 'feeders', 'fencing', 'water', 'fuel', 'electricity'],
    },
  ];
  let shown = $state('feed');
  const first = ['hay', 'nitrogen', 'agistment', 'labour'];
  const ofSide = (id: string) => SIDES.find((s) => s.id === id)!.of;
  /** Of the group as it lies closed: what its first row costs. */
  const gist = (rows: Price[]) => {
    const known = rows.filter((r) => r.likely !== null);
    if (!known.length) return 'none known';
    const said = rows.filter((r) => r.own).length;
    const at = known[0];
    const { each, of } = priceUnit(at.unit, open.system);
    return `${rows.length === 1 ? '' : `${rows.length} prices, `}${said ? `${said} your own` : `such as ${farm.currency} ${money(at.likely! * of)} ${each}`}`;
  };
</script>

{#snippet grouped(list: typeof groups)}
  {#each list as g (g.id)}
    <details open={looking || first.includes(g.id)}>
      <summary><strong>{g.name}</strong> <span class="quiet">{gist(g.rows)}</span></summary>
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="months-scroll" tabindex="0" role="region" aria-label={g.name}>
        <table class="ledger">
          <thead>
            <tr>
              <th scope="col" class="what">What</th>
              <th scope="col" class="number">{farm.currency}</th>
              <th scope="col">for</th>
              <th scope="col" class="number">Usual</th>
              <th scope="col">Over the year</th>
            </tr>
          </thead>
          <tbody>
            {#each g.rows as price (price.id)}
              <PriceRow
                {price}
                usual={usualText(price, open.system)}
                moves={seasonText(price.season)}
              />
            {/each}
          </tbody>
        </table>
      </div>
    </details>
  {/each}
{/snippet}

<div class="page">
  <section class="panel form" aria-labelledby="prices-title">
    <h1 id="prices-title">Prices</h1>
    <p>
      What a way out of a gap costs is reckoned with these. Where you state nothing the product’s
      own stands, in grey: <strong>a guess for {farm.currency}, not a market report</strong>. Put in
      what you pay or are paid; it then holds in every month and in a dry year too, unless you tick
      that it moves with the season. What hay may be had for is tried on the
      <a href={`#/plan/${open.view!.id}/market`}>hay market</a>, a simulated stand-in.
    </p>
    {#if none}
      <p class="wrong" role="status">
        For {farm.currency} the product has no prices. Those that you put in are used; for the rest a
        way says what is missing. The currency is set under Farm.
      </p>
    {/if}
    <div class="row">
      <label class="field"
        ><span>Find a price</span><input class="input" type="search" bind:value={sought} /></label
      >
      <label class="tick"
        ><input type="checkbox" class="checkbox" bind:checked={onlyOwn} /> Only your own ({own})</label
      >
    </div>
    {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
    {#if !prices.length && !problem}<p role="status">Reading the prices.</p>{/if}
    {#if prices.length && !groups.length}
      <p>{onlyOwn && !own ? 'You have put in no price yet.' : 'No price is called that.'}</p>
    {/if}
    {#if looking}
      {@render grouped(groups)}
    {:else}
      <Tabs sides={SIDES} bind:value={shown} label="Kinds of prices">
        {#snippet side(id: string)}{@render grouped(
            groups.filter((g) => ofSide(id).includes(g.id)),
          )}{/snippet}
      </Tabs>
    {/if}
    <p class="quiet">
      Grey figures are judgement for about 2026 at the level of the country whose currency the farm
      uses; eight cases in ten lie within what is called usual. Work is taken as hired, with
      machine, fuel and driver. In a dry year feed is taken as dearer by what each kind is known
      for.
    </p>
  </section>
</div>

<style>
  .page {
    padding: 1rem 20px 2rem;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 1rem 2rem;
    align-items: end;
    margin-bottom: 0.5rem;
  }
  .row .field {
    width: min(100%, 22rem);
  }
  .tick {
    min-height: 44px;
    display: flex;
    align-items: center;
    gap: 0.5rem;
  }
  details {
    border-top: 1px solid var(--line);
  }
  summary {
    cursor: pointer;
    min-height: 44px;
    padding: 0.6rem 0;
  }
  table {
    width: 100%;
    table-layout: fixed;
    min-width: 44rem;
  }
  .what {
    width: 32%;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
