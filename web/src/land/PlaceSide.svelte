<script lang="ts">
  import type { Field } from '../api/client';
  import { thePlan } from '../plan/context';
  import { amount } from '../units/units';
  import Choice from '../form/Choice.svelte';
  import type { Draft } from '../form/draft.svelte';
  import LieForm from './LieForm.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';
  import { blocksOf } from '../words/blocks';

  const open = thePlan();

  let { draft }: { draft: Draft<Field> } = $props();

  const field = $derived(draft.item!);

  const blocks = $derived(
    blocksOf(open.view!.farm.fields)
      .map((b) => b.name)
      .filter(Boolean),
  );

  const TEXTURES = [
    { id: 'SAND', name: 'Sand' },
    { id: 'LOAMY_SAND', name: 'Loamy sand' },
    { id: 'SANDY_LOAM', name: 'Sandy loam' },
    { id: 'LOAM', name: 'Loam' },
    { id: 'SILT_LOAM', name: 'Silt loam' },
    { id: 'CLAY_LOAM', name: 'Clay loam' },
    { id: 'CLAY', name: 'Clay' },
  ];
</script>

<div class="grid">
  <TextField name="field.name" value={field.name} oninput={(v) => draft.set('name', v)} />
  <TextField
    name="field.block"
    value={field.block}
    offers={blocks}
    hint="What you call the fields it is managed with"
    oninput={(v) => draft.set('block', v)}
  />
  <NumberField
    name="field.areaHa"
    value={field.areaHa}
    onchange={(v) => v !== null && draft.set('areaHa', v)}
  />
  <NumberField
    name="field.deductedHa"
    value={field.deductedHa}
    placeholder="none"
    hint={field.deductedHa
      ? `${amount(field.areaHa - field.deductedHa, 'area', open.system)} grow feed.`
      : ''}
    onchange={(v) => draft.set('deductedHa', v)}
  />
</div>
<label class="check"
  ><input
    type="checkbox"
    class="checkbox"
    checked={field.hayable}
    onchange={(e) => draft.set('hayable', e.currentTarget.checked)}
  /> Can be cut for hay</label
>
<div class="grid">
  <Choice
    label="Soil"
    value={field.soil?.texture ?? ''}
    options={[{ id: '', name: 'As usual in this climate' }, ...TEXTURES]}
    onchange={(v) =>
      draft.set(
        'soil',
        v
          ? {
              depthCm: null,
              drainsFreely: true,
              ...field.soil,
              texture: v as NonNullable<Field['soil']>['texture'],
            }
          : null,
      )}
  />
  {#if field.soil}
    <NumberField
      name="soil.depthCm"
      value={field.soil.depthCm}
      placeholder="deep"
      onchange={(v) => draft.set('soil', { ...field.soil!, depthCm: v })}
    />
    <Choice
      label="After heavy rain"
      value={field.soil.drainsFreely ? 'free' : 'wet'}
      options={[
        { id: 'free', name: 'It drains freely' },
        { id: 'wet', name: 'Water stands for days' },
      ]}
      onchange={(v) => draft.set('soil', { ...field.soil!, drainsFreely: v === 'free' })}
    />
  {/if}
</div>
<LieForm {draft} />
<TextField name="field.note" value={field.note} oninput={(v) => draft.set('note', v)} />

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(11.5rem, 1fr));
    gap: 0.75rem;
    margin-bottom: 0.75rem;
  }
  .check {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    margin-bottom: 0.5rem;
  }
</style>
