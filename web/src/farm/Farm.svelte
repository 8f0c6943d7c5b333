<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import type { Settings } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import { Draft } from '../form/draft.svelte';
  import NumberField from '../form/NumberField.svelte';
  import SaveBar from '../form/SaveBar.svelte';
  import TextField from '../form/TextField.svelte';
  import { thePlan } from '../plan/context';
  import { signed } from '../people/signed.svelte';
  import BeginFrom from './BeginFrom.svelte';
  import Plans from './Plans.svelte';
  import MiniYear from '../plan/MiniYear.svelte';

  const open = thePlan();

  const MACHINES: { id: NonNullable<Settings['machines']>[number]; name: string }[] = [
    { id: 'MOWER_CONDITIONER', name: 'Mower with conditioner, for thick stems' },
    { id: 'WRAPPER', name: 'Bale wrapper' },
    { id: 'FORAGE_HARVESTER', name: 'Forage harvester, for a clamp' },
    { id: 'MIXER', name: 'Grinder or mixer for coarse hay' },
    { id: 'SOD_DRILL', name: 'Drill that sows into sod' },
  ];

  interface Setting extends Settings {
    id: string;
    start: string;
    months: number;
    planName: string;
  }
  const draft = new Draft<Setting>(
    (s) => [
      {
        setFarm: {
          name: s.name,
          note: s.note,
          climateId: s.climateId,
          units: s.units,
          currency: s.currency,
          audKg: s.audKg,
          machines: s.machines,
          grid: s.grid,
        },
      },
      { setYear: { start: s.start, months: s.months } },
      ...(s.planName === open.view!.plan.name ? [] : [{ namePlan: s.planName }]),
    ],
    stored,
  );

  untrack(() => draft.choose(stored()));
  $effect(() => {
    void open.view?.revision;
    untrack(() => draft.refresh());
  });
  onDestroy(() => open.dropTrial());

  async function save() {
    if (await draft.save()) {
      open.system = open.view!.farm.units;
      void signed.refresh();
    }
  }
  function stored(): Setting {
    const { farm, plan } = open.view!;
    return {
      id: 'farm',
      name: farm.name,
      note: farm.note,
      climateId: farm.climateId,
      units: farm.units,
      currency: farm.currency,
      audKg: farm.audKg,
      machines: farm.machines,
      grid: farm.grid,
      start: plan.year.start,
      months: plan.year.months,
      planName: plan.name,
    };
  }
</script>

<MiniYear />
{#if draft.item}
  {@const s = draft.item}
  <section class="panel" aria-label="Farm and plan year">
    <h1>Farm and plan year</h1>
    <div class="grid">
      <TextField
        label="Farm"
        name="farm.name"
        value={s.name}
        oninput={(v) => draft.set('name', v)}
      />
      <TextField name="plan.name" value={s.planName} oninput={(v) => draft.set('planName', v)} />
      <Choice
        label="Climate"
        value={s.climateId}
        options={open.catalogue!.climates}
        onchange={(v) => draft.set('climateId', v)}
      />
      <Choice
        label="Units"
        value={s.units}
        options={[
          { id: 'IMPERIAL', name: 'lb, acres' },
          { id: 'METRIC', name: 'kg, hectares' },
        ]}
        onchange={(v) => draft.set('units', v as Settings['units'])}
      />
      <TextField
        name="farm.currency"
        value={s.currency}
        oninput={(v) => draft.set('currency', v)}
      />
      <NumberField
        name="farm.audKg"
        quantity="gain"
        value={s.audKg}
        onchange={(v) => v !== null && draft.set('audKg', v)}
      />
      <DateField
        label="Plan year begins"
        name="year.start"
        value={s.start}
        onchange={(v) => v && draft.set('start', v)}
      />
      <NumberField
        name="year.months"
        value={s.months}
        hint="12 to 24"
        onchange={(v) => v !== null && draft.set('months', Math.round(v))}
      />
    </div>
    <fieldset>
      <legend>Machines that can be used, your own or hired</legend>
      <label class="check"
        ><input
          type="checkbox"
          class="checkbox"
          checked={s.machines === null}
          onchange={(e) => draft.set('machines', e.currentTarget.checked ? null : [])}
        /> Not said: nothing is held against it</label
      >
      {#if s.machines}
        {#each MACHINES as m (m.id)}
          <label class="check"
            ><input
              type="checkbox"
              class="checkbox"
              checked={s.machines.includes(m.id)}
              onchange={(e) =>
                draft.set(
                  'machines',
                  e.currentTarget.checked
                    ? [...s.machines!, m.id]
                    : s.machines!.filter((x) => x !== m.id),
                )}
            />
            {m.name}</label
          >
        {/each}
      {/if}
    </fieldset>
    <label class="note"
      ><span>Note</span><textarea
        class="input"
        rows="5"
        value={s.note}
        oninput={(e) => draft.set('note', e.currentTarget.value)}></textarea></label
    >
    <SaveBar
      what="settings"
      changed={draft.changed}
      onsave={() => save()}
      elsewhere={false}
      ondiscard={() => draft.discard()}
    />
  </section>
  <BeginFrom />
  <Plans />
{/if}

<style>
  section {
    margin: 1rem 20px 2rem;
    padding: 1rem;
  }
  h1 {
    font-size: 1.3rem;
    margin-bottom: 0.5rem;
  }
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
    gap: 0.75rem;
  }
  fieldset {
    margin-top: 0.75rem;
  }
  legend {
    font-size: 13px;
  }
  .check {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    min-height: 2rem;
  }
  .note {
    display: block;
    margin-top: 0.75rem;
  }
  .note span {
    font-size: 13px;
  }
</style>
