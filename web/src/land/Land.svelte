<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import type { Field } from '../api/client';
  import { Draft } from '../form/draft.svelte';
  import Menu from '../form/Menu.svelte';
  import { about } from '../form/said';
  import SaveBar from '../form/SaveBar.svelte';
  import Tabs from '../form/Tabs.svelte';
  import { asked, teller } from '../plan/address';
  import { thePlan } from '../plan/context';
  import MiniYear from '../plan/MiniYear.svelte';
  import { plannedThings, type PlannedThing } from '../plan/planned';
  import { freshId } from '../plan/session.svelte';
  import StandYear from '../ruler/StandYear.svelte';
  import { todayWithin, dayOf } from '../units/dates';
  import { amount } from '../units/units';
  import ActPanel from './ActPanel.svelte';
  import { actOffers, type Act, type Doing } from './acts';
  import CoverForm from './CoverForm.svelte';
  import FieldList from './FieldList.svelte';
  import FieldToday from './FieldToday.svelte';
  import FieldPlans from './FieldPlans.svelte';
  import GrazingSide from './GrazingSide.svelte';
  import LandMap from './LandMap.svelte';
  import PlaceSide from './PlaceSide.svelte';
  import { sidesOf } from './sides';
  import StandSide from './StandSide.svelte';
  import { firstForage, usualField } from './usual';

  const open = thePlan();
  const tell = teller();

  const draft = new Draft<Field>(
    (field) => [{ putField: field }],
    (id) => fields.find((f) => f.id === id) ?? fields[0] ?? null,
  );
  const fields = $derived(open.view!.farm.fields);
  const known = $derived(fields.some((f) => f.id === draft.item?.id));
  const forage = $derived(open.forages.find((f) => f.id === draft.item?.stand.forageId));
  const sides = $derived(draft.item ? sidesOf(open, draft.item, known) : []);
  let shownSide = $state(asked('side') ?? 'year');
  let doing = $state<Doing | null>(null);
  let day = $state(untrack(() => dayOf(open.view!.plan.year.start, todayWithin(within()))));

  about(() => draft.item?.id ?? '');
  untrack(() => {
    // an address may say which field, which side of it, and which of its plans is to be changed
    const field = fields.find((f) => f.id === asked('field'));
    draft.choose(field ?? fields[0] ?? null);
    const change = planned().find((t) => t.id === asked('change'));
    if (field && change) startChange(change);
  });
  $effect(() => tell({ field: known ? draft.item!.id : null, side: shownSide, change: null }));
  $effect(() => {
    void open.view?.revision;
    untrack(() => draft.refresh());
  });
  onDestroy(open.shows(['FIELDS'], () => draft.item?.id ?? null));
  onDestroy(() => open.dropTrial());

  function within() {
    return { start: open.view!.plan.year.start, days: open.view!.year.days };
  }
  function planned() {
    return plannedThings(open.view!, open.view!.year, (id) => id, open.system);
  }
  function startChange(change: PlannedThing) {
    shownSide = 'year';
    doing = { act: change.kind as Act, day: null, change };
  }
  function choose(id: string) {
    doing = null;
    draft.choose(fields.find((f) => f.id === id) ?? null);
  }
  function add() {
    const id = freshId(
      'field',
      fields.map((f) => f.id),
    );
    doing = null;
    draft.choose(
      usualField(id, `Field ${fields.length + 1}`, firstForage(open, open.view!.farm.climateId), 4),
      true,
    );
    shownSide = 'place';
  }
  async function save(also: string[]) {
    const isNew = !known;
    if ((await draft.save(also)) && isNew) shownSide = 'year';
  }
  async function remove(also: string[]) {
    const edits = [{ removeField: draft.item!.id }];
    if (await open.edit(edits, undefined, also)) draft.discard();
  }
</script>

<MiniYear />
<div class="land">
  <div>
    {#if fields.some((f) => f.outline)}
      <LandMap chosenId={draft.item?.id ?? null} bind:day onchoose={choose} />
    {/if}
    <FieldList chosenId={draft.item?.id ?? null} {day} onchoose={choose} onadd={add} />
  </div>
  {#if draft.item}
    {@const field = draft.item}
    <section aria-label="Field" class="panel form">
      <div class="head">
        <h2>{field.name}</h2>
        <span class="quiet"
          >{amount(field.areaHa - (field.deductedHa ?? 0), 'area', open.system)} grow feed; {(
            forage?.name ?? field.stand.forageId
          ).toLowerCase()}</span
        >
        {#if known}
          <Menu
            label="Do something here"
            look="preset-filled-primary-500"
            offers={actOffers(open, field)}
            onchoose={(id) => (doing = { act: id as Act, day: null, change: null })}
          />
        {/if}
      </div>
      {#if doing}
        {#key doing}<ActPanel {field} {doing} ondone={() => (doing = null)} />{/key}
      {/if}
      <Tabs {sides} bind:value={shownSide} label="Sides of the field">
        {#snippet side(shown)}
          {#if shown === 'year'}
            <StandYear
              {field}
              sowings={open.view!.plan.sowings}
              year={open.year}
              system={open.system}
            />
            <FieldToday {field} {day} />
            <FieldPlans {field} onchange={startChange} />
          {:else if shown === 'stand'}
            {#key field.id}<StandSide {draft} />{/key}
          {:else if shown === 'grazing'}
            <GrazingSide {draft} />
          {:else if shown === 'place'}
            <PlaceSide {draft} />
          {:else}
            <CoverForm
              forageId={field.stand.forageId}
              onmeasured={(kg) =>
                draft.set('stand', { ...field.stand, openingCoverKgPerHa: Math.round(kg) })}
            />
          {/if}
        {/snippet}
      </Tabs>
      {#if draft.changed || shownSide !== 'year'}
        <SaveBar
          what="field"
          changed={draft.changed}
          onsave={save}
          ondiscard={() => draft.discard()}
          onremove={known ? remove : null}
        />
      {/if}
    </section>
  {:else}
    <p class="panel form">No field yet. Add one to see what it feeds.</p>
  {/if}
</div>

<style>
  .land {
    display: grid;
    grid-template-columns: minmax(17rem, 29rem) minmax(0, 1fr);
    gap: 1rem;
    padding: 0.75rem 20px 2rem;
    align-items: start;
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 1rem;
    align-items: center;
    margin-bottom: 0.5rem;
  }
  .head :global(button:last-child) {
    margin-left: auto;
  }
  h2 {
    font-size: 1.4rem;
  }
  @media (max-width: 900px) {
    .land {
      grid-template-columns: minmax(0, 1fr);
      padding-inline: 10px;
    }
  }
</style>
