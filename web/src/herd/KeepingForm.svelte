<script lang="ts">
  import type { AnimalGroup, Keeping } from '../api/client';
  import { thePlan } from '../plan/context';
  import { amount } from '../units/units';
  import Choice from '../form/Choice.svelte';
  import NumberField from '../form/NumberField.svelte';

  const open = thePlan();

  let { group, onchange }: { group: AnimalGroup; onchange: (group: AnimalGroup) => void } =
    $props();

  const kind = $derived(open.catalogue!.kinds.find((k) => k.id === group.kind)!);
  const horse = $derived(group.kind.startsWith('horse/'));
  const way = $derived(
    group.flatIntakeKgPerHeadDay !== null ? 'flat' : group.keeping.byEnergy ? 'energy' : 'stage',
  );
  const WAYS = [
    {
      id: 'stage',
      name: 'Percent of weight, by stage',
      why: 'Each stage of the year eats its percent of weight, by the tables; cold and walking raise it to what the class eats at most.',
    },
    {
      id: 'flat',
      name: 'My flat figure',
      why: 'So much a head and day, young at foot included. Nothing is added for cold or walking.',
    },
    {
      id: 'energy',
      name: 'Need of energy over worth of the feed',
      why: 'They eat until their energy is met, less of good feed and more of poor, but no more fibre than they hold.',
    },
  ];

  function keep<K extends keyof Keeping>(key: K, value: Keeping[K]) {
    onchange({ ...group, keeping: { ...group.keeping, [key]: value } });
  }
  function choose(id: string) {
    onchange({
      ...group,
      flatIntakeKgPerHeadDay: id === 'flat' ? (group.flatIntakeKgPerHeadDay ?? usual()) : null,
      keeping: { ...group.keeping, byEnergy: id === 'energy' },
    });
  }
  /** A figure to begin with: what one of them asks for now. */
  function usual(): number {
    const curve = open.year.groups.find((g) => g.id === group.id);
    const day = curve?.head.findIndex((n) => n > 0) ?? -1;
    return curve && day >= 0
      ? Math.round((curve.needKg[day] / curve.head[day]) * 10) / 10
      : group.weightKg * 0.02;
  }
</script>

<section class="part" aria-label="Intake and keeping">
  <h2>What they eat, and how they are kept</h2>
  <div class="input-grid">
    <Choice
      label="Intake by"
      value={way}
      options={WAYS.filter((w) => !(horse && w.id === 'energy'))}
      onchange={choose}
    />
    {#if way === 'flat'}
      <NumberField
        name="group.flatIntakeKgPerHeadDay"
        value={group.flatIntakeKgPerHeadDay}
        onchange={(v) => v !== null && onchange({ ...group, flatIntakeKgPerHeadDay: v })}
      />
    {/if}
    <Choice
      label="In cold and wet"
      value={group.keeping.shelter}
      options={[
        { id: 'SHELTERED', name: 'sheltered, coat dry' },
        { id: 'OPEN', name: 'in the open' },
        { id: 'HOUSED', name: 'housed' },
      ]}
      onchange={(v) => keep('shelter', v as Keeping['shelter'])}
    />
    {#if group.keeping.shelter === 'OPEN'}
      <NumberField
        name="keeping.windKmPerHour"
        value={group.keeping.windKmPerHour}
        onchange={(v) => v !== null && keep('windKmPerHour', v)}
      />
    {/if}
    <NumberField
      name="keeping.walkKmPerDay"
      value={group.keeping.walkKmPerDay}
      hint="To water, parlour or far feed"
      onchange={(v) => v !== null && keep('walkKmPerDay', v)}
    />
    <NumberField
      name="keeping.besidesKgPerDay"
      value={group.keeping.besidesKgPerDay}
      hint="Dry matter in parlour or creep; counts in the diet only"
      onchange={(v) => v !== null && keep('besidesKgPerDay', v)}
    />
    <NumberField
      name="keeping.deathsPerYearShare"
      value={group.keeping.deathsPerYearShare}
      onchange={(v) => v !== null && keep('deathsPerYearShare', v)}
    />
    {#if kind.dam && !horse}
      <NumberField
        label={`Lowest condition, ${kind.scale.lowest} to ${kind.scale.highest}`}
        name="keeping.conditionFloor"
        quantity="plain"
        placeholder="none"
        value={group.keeping.conditionFloor}
        onchange={(v) => keep('conditionFloor', v)}
      />
      <NumberField
        label={`Condition on the plan’s first day, ${kind.scale.lowest} to ${kind.scale.highest}`}
        name="keeping.conditionAtStart"
        quantity="plain"
        placeholder="as seen last"
        value={group.keeping.conditionAtStart}
        onchange={(v) => keep('conditionAtStart', v)}
      />
    {/if}
    <label class="tick">
      <input
        type="checkbox"
        class="checkbox"
        checked={group.keeping.snowAsWater}
        onchange={(e) => keep('snowAsWater', e.currentTarget.checked)}
      /> Snow counts as water
    </label>
  </div>
  <p class="quiet fine">
    {WAYS.find((w) => w.id === way)!.why} A common one of the class weighs {amount(
      kind.defaultWeightKg,
      'weight',
      open.system,
    )}.
    {#if group.keeping.snowAsWater}Snow alone is for fit, dry, trained adult stock on clean loose
      snow, with a water point in reserve; never for milking, thin or young stock or horses. Ask
      your veterinarian.{/if}
  </p>
</section>

<style>
  .tick {
    display: flex;
    gap: 0.4rem;
    align-items: center;
    min-height: 2.25rem;
  }
</style>
