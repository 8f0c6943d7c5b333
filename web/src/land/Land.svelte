<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import type { Field } from '../api/client';
  import CutForm from './CutForm.svelte';
  import DressForm from './DressForm.svelte';
  import { Draft } from '../form/draft.svelte';
  import FieldForm from './FieldForm.svelte';
  import ItemList from '../form/ItemList.svelte';
  import LetGrowForm from './LetGrowForm.svelte';
  import PassForm from './PassForm.svelte';
  import SaveBar from '../form/SaveBar.svelte';
  import ShutForm from './ShutForm.svelte';
  import SowForm from './SowForm.svelte';
  import { firstForage, usualField } from './usual';
  import LandMap from './LandMap.svelte';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import MiniYear from '../plan/MiniYear.svelte';
  import StandYear from '../ruler/StandYear.svelte';
  import { amount } from '../units/units';

  const open = thePlan();

  const draft = new Draft<Field>(
    (field) => [{ putField: field }],
    (id) => fields.find((f) => f.id === id) ?? fields[0] ?? null,
  );
  const fields = $derived(open.view!.farm.fields);
  const forages = $derived(new Map(open.forages.map((f) => [f.id, f])));
  const items = $derived(
    fields.map((f) => ({
      id: f.id,
      name: f.name,
      figure: amount(f.areaHa - (f.deductedHa ?? 0), 'area', open.system),
      note: forages.get(f.stand.forageId)?.name ?? f.stand.forageId,
      doubtful: open.view!.year.doubts.some((d) => d.subjectId === f.id),
    })),
  );
  const known = $derived(fields.some((f) => f.id === draft.item?.id));

  untrack(() => draft.choose(fields[0] ?? null));
  $effect(() => {
    void open.view?.revision;
    untrack(() => draft.refresh());
  });
  onDestroy(open.shows(['FIELDS'], () => draft.item?.id ?? null));
  onDestroy(() => open.dropTrial());

  function choose(id: string) {
    draft.choose(fields.find((f) => f.id === id) ?? null);
  }
  function add() {
    const id = freshId(
      'field',
      fields.map((f) => f.id),
    );
    const forage = firstForage(open, open.view!.farm.climateId);
    draft.choose(usualField(id, `Field ${fields.length + 1}`, forage, 4), true);
  }
  async function remove(also: string[]) {
    const edits = [{ removeField: draft.item!.id }];
    if (await open.edit(edits, undefined, also)) draft.discard();
  }
</script>

<MiniYear />
{#if fields.some((f) => f.outline)}
  <LandMap chosenId={draft.item?.id ?? null} onchoose={choose} />
{/if}
<div class="editor">
  <ItemList
    title="Land"
    {items}
    chosenId={draft.item?.id ?? null}
    onchoose={choose}
    addLabel="Add field"
    onadd={add}
  />
  {#if draft.item}
    <section aria-label="Field" class="panel form">
      <FieldForm {draft} />
      <SaveBar
        what="field"
        changed={draft.changed}
        onsave={(also) => draft.save(also)}
        ondiscard={() => draft.discard()}
        onremove={known ? remove : null}
      />
      {#if known && !draft.changed}
        <StandYear
          field={draft.item}
          sowings={open.view!.plan.sowings}
          year={open.year}
          system={open.system}
        />
        <SowForm field={draft.item} />
        <LetGrowForm field={draft.item} />
        <ShutForm field={draft.item} />
        {#if draft.item.hayable}<CutForm field={draft.item} />{/if}
        <PassForm field={draft.item} />
        <DressForm field={draft.item} />
      {/if}
    </section>
  {:else}
    <p class="panel form">No field yet. Add one to see what it feeds.</p>
  {/if}
</div>
