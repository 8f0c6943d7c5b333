<script lang="ts">
  import type { Field, Lie } from '../api/client';
  import { thePlan } from '../plan/context';
  import { amount } from '../units/units';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import type { Draft } from '../form/draft.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';

  const open = thePlan();

  let { draft }: { draft: Draft<Field> } = $props();

  const lie = $derived(draft.item!.lie);
  const test = $derived(lie.soilTest);
  const groups = $derived(open.view!.farm.groups);
  const rule = $derived(
    lie.slopeDeg === null
      ? undefined
      : open.catalogue!.buffers.find((b) => lie.slopeDeg! < b.toDeg),
  );
  const WATER = [
    { id: 'NOT_SAID', name: 'Not said' },
    { id: 'NONE', name: 'None' },
    { id: 'HAULED', name: 'Hauled' },
    { id: 'TROUGH', name: 'Trough' },
    { id: 'POND_OR_STREAM', name: 'Pond or stream' },
  ];
  const ACCESS = [
    { id: 'ANY_WEATHER', name: 'In any weather' },
    { id: 'DRY_GROUND', name: 'When the ground is dry' },
    { id: 'FROZEN_OR_DRY', name: 'When it is dry or frozen' },
    { id: 'ON_FOOT', name: 'On foot only' },
  ];
  const EXPOSURE = [
    { id: 'SHELTERED', name: 'Sheltered' },
    { id: 'ORDINARY', name: 'Ordinary' },
    { id: 'EXPOSED', name: 'Exposed to wind and snow' },
  ];

  function set(change: Partial<Lie>) {
    draft.set('lie', { ...lie, ...change });
  }
  function setTest(change: Partial<NonNullable<Lie['soilTest']>>) {
    set({
      soilTest: {
        date: open.view!.plan.year.start,
        ph: null,
        phosphorusMgPerKg: null,
        potassiumMgPerKg: null,
        ...test,
        ...change,
      },
    });
  }
  function mayGraze(id: string, may: boolean) {
    const now = lie.onlyGroups.length ? lie.onlyGroups : groups.map((g) => g.id);
    const next = may ? [...now, id] : now.filter((g) => g !== id);
    set({ onlyGroups: groups.every((g) => next.includes(g.id)) ? [] : next });
  }
</script>

<details>
  <summary
    >How it lies: {lie.slopeDeg === null ? 'slope not said' : `${lie.slopeDeg} degrees`}, water: {WATER.find(
      (w) => w.id === lie.water,
    )!.name.toLowerCase()}{lie.soilTest ? ', soil tested' : ''}</summary
  >
  <div class="input-grid">
    <NumberField
      name="lie.slopeDeg"
      value={lie.slopeDeg}
      placeholder="not said"
      hint={rule
        ? `Keep ${amount(rule.bufferM, 'distance', open.system)} along water, or what local rules ask.`
        : ''}
      onchange={(v) => set({ slopeDeg: v })}
    />
    <Choice
      label="Water for stock"
      value={lie.water}
      options={WATER}
      onchange={(v) => set({ water: v as Lie['water'] })}
    />
    {#if lie.water !== 'NONE' && lie.water !== 'NOT_SAID'}
      <NumberField
        name="lie.waterLPerDay"
        value={lie.waterLPerDay}
        placeholder="not said"
        hint="Held against what stock drink, under Herd"
        onchange={(v) => set({ waterLPerDay: v })}
      />
    {/if}
    {#if lie.water === 'HAULED' || lie.water === 'NONE'}
      <NumberField
        label={`Bringing it, ${open.view!.farm.currency} a m3`}
        name="lie.waterCostPerM3"
        value={lie.waterCostPerM3}
        placeholder="not said"
        onchange={(v) => set({ waterCostPerM3: v })}
      />
    {/if}
    <Choice
      label="A tractor gets there"
      value={lie.access}
      options={ACCESS}
      onchange={(v) => set({ access: v as Lie['access'] })}
    />
    <Choice
      label="Wind and snow"
      value={lie.exposure}
      options={EXPOSURE}
      hint="Exposed stockpiles are eaten first."
      onchange={(v) => set({ exposure: v as Lie['exposure'] })}
    />
    <NumberField
      name="lie.distanceM"
      value={lie.distanceM}
      placeholder="not said"
      onchange={(v) => set({ distanceM: v })}
    />
    <TextField name="lie.formerly" value={lie.formerly} oninput={(v) => set({ formerly: v })} />
    <NumberField
      name="soilTest.ph"
      value={test?.ph ?? null}
      placeholder="no test"
      onchange={(v) => setTest({ ph: v })}
    />
    <NumberField
      name="soilTest.phosphorusMgPerKg"
      value={test?.phosphorusMgPerKg ?? null}
      placeholder="no test"
      onchange={(v) => setTest({ phosphorusMgPerKg: v })}
    />
    <NumberField
      name="soilTest.potassiumMgPerKg"
      value={test?.potassiumMgPerKg ?? null}
      placeholder="no test"
      onchange={(v) => setTest({ potassiumMgPerKg: v })}
    />
    {#if test}
      <DateField
        label="Soil tested on"
        name="soilTest.date"
        value={test.date}
        onchange={(v) => v && setTest({ date: v })}
      />
    {/if}
  </div>
  <label class="check"
    ><input
      type="checkbox"
      class="checkbox"
      checked={lie.shade}
      onchange={(e) => set({ shade: e.currentTarget.checked })}
    /> Stock find shade</label
  >
  {#if groups.length > 1}
    <fieldset>
      <legend>The fence holds</legend>
      {#each groups as g (g.id)}
        <label class="check"
          ><input
            type="checkbox"
            class="checkbox"
            checked={lie.onlyGroups.length === 0 || lie.onlyGroups.includes(g.id)}
            onchange={(e) => mayGraze(g.id, e.currentTarget.checked)}
          />
          {g.name}</label
        >
      {/each}
    </fieldset>
  {/if}
</details>

<style>
  details {
    border: 1px solid var(--line);
    padding: 0.3rem 0.8rem;
    margin-bottom: 0.75rem;
  }
  summary {
    cursor: pointer;
    min-height: 2rem;
    padding-top: 0.25rem;
  }
  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1.2rem;
  }
  legend {
    font-size: 13px;
  }
  .check {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    min-height: 2.2rem;
  }
</style>
