<script lang="ts">
  import type { Edit } from '../api/client';
  import { thePlan } from '../plan/context';
  import NumberField from '../form/NumberField.svelte';

  const open = thePlan();

  let { fieldId }: { fieldId: string } = $props();

  const stored = $derived(
    open.view!.plan.ground.find((g) => g.fieldId === fieldId) ?? {
      fieldId,
      soilWaterShare: null,
      nitrogenKgPerHa: 0,
      nitrogenToComeKgPerHa: 0,
      state: null,
    },
  );
  let typed = $state<Partial<typeof stored>>({});
  const ground = $derived({ ...stored, ...typed });
  const changed = $derived(Object.keys(typed).length > 0);

  const known = $derived(open.view!.plan.ground.some((g) => g.fieldId === fieldId));
  function edits(): Edit[] {
    const { soilWaterShare, nitrogenKgPerHa, nitrogenToComeKgPerHa } = ground;
    const said = soilWaterShare !== null || nitrogenKgPerHa > 0 || nitrogenToComeKgPerHa > 0;
    if (said || ground.state) return [{ putGround: $state.snapshot(ground) }];
    return known ? [{ removeGround: fieldId }] : [];
  }
  function set(change: Partial<typeof stored>) {
    typed = { ...typed, ...change };
    void open.tryOut(edits());
  }
  async function save() {
    if (await open.edit(edits())) typed = {};
  }
  function leave() {
    typed = {};
    open.endTrial();
  }
</script>

<div class="grid">
  <NumberField
    name="ground.soilWaterShare"
    value={ground.soilWaterShare}
    placeholder="usual that day"
    onchange={(v) => set({ soilWaterShare: v })}
  />
  <NumberField
    name="ground.nitrogenKgPerHa"
    value={ground.nitrogenKgPerHa}
    onchange={(v) => v !== null && set({ nitrogenKgPerHa: v })}
  />
  <NumberField
    name="ground.nitrogenToComeKgPerHa"
    value={ground.nitrogenToComeKgPerHa}
    hint="Left by stock over bales"
    onchange={(v) => v !== null && set({ nitrogenToComeKgPerHa: v })}
  />
</div>
{#if ground.state}
  <p class="quiet fine" data-testid="opening-state">
    How old its stand is and what it is worth comes from the plan before.
    {#if open.mayPlan}
      <button class="btn plain" onclick={() => set({ state: null })}
        >Let it be as usual that day</button
      >
    {/if}
  </p>
{/if}
{#if changed && open.mayPlan}
  <p>
    <button class="btn preset-filled-primary-500" onclick={save}>Save the ground</button>
    <button class="btn plain" onclick={leave}>Leave it</button>
  </p>
{/if}

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(11.5rem, 1fr));
    gap: 0.75rem;
    margin-bottom: 0.75rem;
  }
</style>
