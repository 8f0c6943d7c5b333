<script lang="ts">
  import { type StandReturn } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { thePlan } from '../plan/context';
  import { amount, figure, unitOf } from '../units/units';

  const open = thePlan();

  let { first }: { first: string } = $props();

  const climateId = $derived(open.view!.farm.climateId);
  const currency = $derived(open.view!.farm.currency);
  const offered = $derived(open.forages.filter((f) => f.curves[climateId]));
  const nameOf = (id: string) => open.forages.find((f) => f.id === id)?.name ?? id;
  let chosen = $state<[string, string]>(['', '']);
  const one = $derived(
    chosen[0] || (offered.some((f) => f.id === first) ? first : (offered[0]?.id ?? '')),
  );
  /** Beside a grass a sward with legumes, beside legumes a grass. */
  const other = $derived.by(() => {
    const fixing = (offered.find((f) => f.id === one)?.rules.legumeShare ?? 0) > 0;
    const unlike = offered.find((f) => f.id !== one && f.rules.legumeShare > 0 !== fixing);
    return chosen[1] || (unlike?.id ?? one);
  });
  const ids = $derived([one, other]);
  let nitrogen = $state([0, 0]);
  let cost = $state([0, 0]);
  let weightKg = $state(300);
  let nitrogenPrice = $state(1.2);
  let gainValue = $state(3);
  let costShare = $state(0);
  let answer = $state<StandReturn[] | null>(null);
  let wrong = $state('');

  async function compare() {
    wrong = '';
    try {
      answer = await open.api.compare(open.view!.id, {
        stands: ids.map((forageId, i) => ({
          forageId,
          nitrogenKgPerHa: nitrogen[i],
          costPerHa: cost[i],
        })),
        terms: {
          weightKg,
          nitrogenPricePerKg: nitrogenPrice,
          valuePerKgGain: gainValue,
          costShare,
        },
      });
    } catch (e) {
      answer = null;
      wrong = open.explain(e);
    }
  }
  /** Per hectare to per acre where that is how the farm counts. */
  const perArea = $derived(open.system === 'METRIC' ? 1 : 0.40468564224);
  const money = (perHa: number) =>
    `${currency} ${Math.round(perHa * perArea).toLocaleString('en-US')}`;
  const rows = $derived(
    answer
      ? ([
          ['Grows in a year', (r) => amount(r.yieldKgPerHa, 'massPerArea', open.system)],
          ['Ends in an animal', (r) => amount(r.eatenKgPerHa, 'massPerArea', open.system)],
          ['Days that it grows', (r) => String(r.days)],
          ['Energy of it, TDN', (r) => `${r.tdnPct.toFixed(0)}%`],
          [`Head, each ${unitOf('area', open.system)}`, (r) => (r.headPerHa * perArea).toFixed(2)],
          ['Gain of each head', (r) => amount(r.gainKgPerHeadDay, 'gain', open.system)],
          [
            `Gain, each ${unitOf('area', open.system)}`,
            (r) => amount(r.gainKgPerHa * perArea, 'weight', open.system),
          ],
          [`Cost borne, each ${unitOf('area', open.system)}`, (r) => money(r.costPerHa)],
          [`Return over it, each ${unitOf('area', open.system)}`, (r) => money(r.returnPerHa)],
        ] as [string, (r: StandReturn) => string][])
      : [],
  );
</script>

<section class="panel form" aria-labelledby="compare">
  <h2 id="compare">Compare two stands under growing cattle</h2>
  <p class="quiet">
    Head alone misleads: a sward with legumes often carries fewer that gain more, and needs no
    nitrogen.
  </p>
  {#each [0, 1] as i (i)}
    <div class="input-grid">
      <Choice
        label={i === 0 ? 'One' : 'The other'}
        value={ids[i]}
        options={offered}
        onchange={(v) => (chosen[i] = v)}
      />
      <NumberField
        name="stand.nitrogenKgPerHa"
        value={nitrogen[i]}
        onchange={(v) => (nitrogen[i] = v ?? 0)}
      />
      <NumberField
        label={`Other cost a year, ${currency}/${unitOf('area', open.system)}`}
        name="stand.costPerHa"
        value={cost[i] * perArea}
        hint="Seed over its years, rent, fence"
        onchange={(v) => (cost[i] = (v ?? 0) / perArea)}
      />
    </div>
  {/each}
  <div class="input-grid">
    <NumberField
      name="terms.weightKg"
      value={weightKg}
      onchange={(v) => v !== null && (weightKg = v)}
    />
    <NumberField
      label={`Nitrogen costs, ${currency}`}
      name="terms.nitrogenPricePerKg"
      value={nitrogenPrice}
      onchange={(v) => v !== null && (nitrogenPrice = v)}
    />
    <NumberField
      label={`Gain is worth, ${currency}`}
      name="terms.valuePerKgGain"
      value={gainValue}
      onchange={(v) => v !== null && (gainValue = v)}
    />
    <NumberField
      name="terms.costShare"
      value={costShare}
      onchange={(v) => v !== null && (costShare = v)}
    />
    <button class="btn plain" onclick={compare}>Compare</button>
  </div>
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  {#if answer}
    <table class="ledger" data-testid="compared">
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">Figure</span></th>
          {#each answer as r, i (i)}<th scope="col" class="number">{nameOf(r.forageId)}</th>{/each}
        </tr>
      </thead>
      <tbody>
        {#each rows as [name, of] (name)}
          <tr>
            <th scope="row">{name}</th>
            {#each answer as r, i (i)}<td class="number">{of(r)}</td>{/each}
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="quiet fine">
      Prices are placeholders: put in your own. A normal year by the tables, grazed leafy in
      rotation by medium-framed steers at
      {figure(answer[0].intakeKgPerHeadDay, 'perDay', open.system)}
      {unitOf('perDay', open.system)}; heat, parasites and toxic fescue take more off than this
      shows.
    </p>
  {/if}
</section>

<style>
  table {
    margin-top: 0.75rem;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
