<script lang="ts">
  import type { Edit, Field } from '../api/client';
  import { shortDate } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { amount } from '../units/units';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';

  const open = thePlan();

  let { field }: { field: Field } = $props();

  const plan = $derived(open.view!.plan);
  const mine = $derived([
    ...plan.dressings
      .filter((d) => d.fieldId === field.id)
      .map((d) => ({
        id: d.id,
        date: d.date,
        what: `${amount(d.nitrogenKgPerHa, 'nutrient', open.system)} of nitrogen`,
        back: { removeDressing: d.id } as Edit,
      })),
    ...plan.irrigations
      .filter((i) => i.fieldId === field.id)
      .map((i) => ({
        id: i.id,
        date: i.date,
        what: `${amount(i.waterMm, 'water', open.system)} of water`,
        back: { removeIrrigation: i.id } as Edit,
      })),
  ]);
  let kind = $state<'nitrogen' | 'water'>('nitrogen');
  let date = $state<string | null>(null);
  let nitrogen = $state(45);
  let price = $state<number | null>(null);
  let water = $state(25);
  let tried = $state(false);

  const grownMore = $derived.by(() => {
    const grown = (year: typeof open.year) =>
      year.fields.find((f) => f.id === field.id)?.grownKg ?? 0;
    return open.trial && tried ? grown(open.trial) - grown(open.view!.year) : null;
  });

  /** Why more nitrogen can grow less: its legumes lose, or what it grew early stands in its light. */
  const lessBecause = $derived.by(() => {
    const forage = open.catalogue!.forages.find((f) => f.id === field.stand.forageId);
    if (kind === 'nitrogen' && (forage?.rules.legumeShare ?? 0) >= 0.2) {
      return 'Nitrogen holds back the legumes that feed this stand, and they lose more than the grass gains.';
    }
    return (
      'What it grows early is not eaten or cut, stands in the way of light and slows what would ' +
      'have come later: graze or cut it sooner.'
    );
  });

  function edit(): Edit {
    const id = freshId(
      `${kind}-${field.id}`,
      [...plan.dressings, ...plan.irrigations].map((x) => x.id),
    );
    return kind === 'nitrogen'
      ? {
          putDressing: {
            id,
            fieldId: field.id,
            date: date!,
            nitrogenKgPerHa: nitrogen,
            pricePerKg: price,
          },
        }
      : { putIrrigation: { id, fieldId: field.id, date: date!, waterMm: water } };
  }
  function tryOut() {
    if (!date) return;
    tried = true;
    open.tryOut([edit()]);
  }
  async function put() {
    if (await open.edit([edit()])) {
      date = null;
      tried = false;
    }
  }
</script>

<section class="part" aria-label="Nitrogen and water">
  <h2>Nitrogen and water</h2>
  {#each mine as x (x.id)}
    <p class="row">
      {shortDate(x.date)}: {x.what}
      <button class="btn plain" onclick={() => open.edit([x.back])}>Take back</button>
    </p>
  {/each}
  <div class="input-grid">
    <label class="field">
      <span>What</span>
      <select
        class="select"
        value={kind}
        onchange={(e) => {
          kind = e.currentTarget.value as 'nitrogen' | 'water';
          tryOut();
        }}
      >
        <option value="nitrogen">Nitrogen</option>
        <option value="water">Irrigation</option>
      </select>
    </label>
    <DateField
      label="On"
      value={date}
      onchange={(v) => {
        date = v;
        tryOut();
      }}
    />
    {#if kind === 'nitrogen'}
      <NumberField
        name="dressing.nitrogenKgPerHa"
        value={nitrogen}
        onchange={(v) => {
          if (v !== null) nitrogen = v;
          tryOut();
        }}
      />
      <NumberField
        label={`Price, ${open.view!.farm.currency}`}
        name="dressing.pricePerKg"
        placeholder="not said"
        value={price}
        onchange={(v) => {
          price = v;
          tryOut();
        }}
      />
    {:else}
      <NumberField
        name="irrigation.waterMm"
        value={water}
        onchange={(v) => {
          if (v !== null) water = v;
          tryOut();
        }}
      />
    {/if}
    <button class="btn plain" disabled={!date} onclick={put}>Put it on</button>
  </div>
  {#if grownMore !== null}
    <p class="tells" role="status">
      The field grows {amount(Math.abs(grownMore), 'mass', open.system)}
      {grownMore < 0 ? 'less' : 'more'} over the plan.
      {#if grownMore < 0}{lessBecause}{/if}
    </p>
  {/if}
  <p class="quiet fine">
    How much, of what, and how far from water: soil test, label and local code say. The plan only
    reckons what it grows.
  </p>
</section>

<style>
  .row {
    display: flex;
    gap: 0.75rem;
    align-items: center;
    margin-top: 0.4rem;
  }
</style>
