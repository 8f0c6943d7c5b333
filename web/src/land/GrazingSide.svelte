<script lang="ts">
  import type { Field } from '../api/client';
  import { thePlan } from '../plan/context';
  import { rounded } from '../units/units';
  import Choice from '../form/Choice.svelte';
  import type { Draft } from '../form/draft.svelte';
  import HeightsForm from './HeightsForm.svelte';
  import NumberField from '../form/NumberField.svelte';

  const open = thePlan();

  let { draft }: { draft: Draft<Field> } = $props();

  const field = $derived(draft.item!);
  /** While an undo takes away what a field carried, the draft still names it. */
  const forage = $derived(
    open.forages.find((f) => f.id === field.stand.forageId) ?? open.catalogue!.forages[0],
  );
  const table = $derived(
    {
      SET_STOCKED: forage.utilizationSetStocked,
      ROTATIONAL: forage.utilizationRotational,
      STRIP: forage.utilizationStrip,
    }[field.grazing],
  );
  const result = $derived(open.view!.year.fields.find((f) => f.id === field.id));
  /** What the way of grazing comes to on this farm, once it is known. */
  const moves = $derived(
    !result || field.grazing === 'SET_STOCKED' || result.inRound <= 1
      ? ''
      : `Grazed as ${result.pieces} of the ${result.inRound} paddocks of its round.`,
  );
  const defaultOf = (kg: number) => `default ${rounded(kg, 'massPerArea', open.system).toFixed(0)}`;
</script>

<div class="grid">
  <Choice
    label="Grazing"
    value={field.grazing}
    options={[
      { id: 'SET_STOCKED', name: 'Set stocked' },
      { id: 'ROTATIONAL', name: 'Rotation, moves every 3 to 7 days' },
      { id: 'STRIP', name: 'Strips, daily' },
    ]}
    hint={moves}
    onchange={(v) => draft.set('grazing', v as Field['grazing'])}
  />
  {#if field.grazing !== 'SET_STOCKED'}
    <NumberField
      name="field.paddocks"
      value={field.paddocks}
      placeholder="by the moves"
      onchange={(v) => draft.set('paddocks', v)}
    />
  {/if}
  <NumberField
    name="field.utilization"
    value={field.utilization}
    placeholder={`default ${result?.eatenPercent ?? Math.round(table * 100)}`}
    onchange={(v) => draft.set('utilization', v)}
  />
  <NumberField
    name="field.residualKgPerHa"
    value={field.residualKgPerHa}
    placeholder={defaultOf(forage.minResidualKgPerHa)}
    hint="Below the default, regrowth pays for it."
    onchange={(v) => draft.set('residualKgPerHa', v)}
  />
  <NumberField
    name="field.turnInKgPerHa"
    value={field.turnInKgPerHa}
    placeholder={defaultOf(
      (field.residualKgPerHa ?? forage.minResidualKgPerHa) +
        Math.max(0, forage.entryKgPerHa - (field.residualKgPerHa ?? forage.minResidualKgPerHa)) / 3,
    )}
    onchange={(v) => draft.set('turnInKgPerHa', v)}
  />
</div>
{#if !forage.cropResidue && !forage.fallow}
  <HeightsForm heights={field.heights} {forage} onchange={(h) => draft.set('heights', h)} />
{/if}

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(11.5rem, 1fr));
    gap: 0.75rem;
    margin-bottom: 0.75rem;
  }
</style>
