<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import type { AnimalGroup, FeedStep } from '../api/client';
  import { Draft } from '../form/draft.svelte';
  import ChangesForm from './ChangesForm.svelte';
  import { feedingEdits, type Ties } from './feeding';
  import GroupForm from './GroupForm.svelte';
  import ItemList from '../form/ItemList.svelte';
  import KeepingForm from './KeepingForm.svelte';
  import SaveBar from '../form/SaveBar.svelte';
  import Tabs from '../form/Tabs.svelte';
  import { sidesOf } from './sides';
  import StepsForm from './StepsForm.svelte';
  import { usualGroup, usualSteps } from './usual';
  import { movedMonthDay } from '../units/dates';
  import { asked, teller } from '../plan/address';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import MiniYear from '../plan/MiniYear.svelte';
  import HerdYear from '../ruler/HerdYear.svelte';
  import Condition from './Condition.svelte';
  import DietYear from './DietYear.svelte';
  import HerdWater from './HerdWater.svelte';
  import NeedLess from './NeedLess.svelte';
  import { amount } from '../units/units';

  const open = thePlan();
  const tell = teller();

  interface Mob {
    id: string;
    group: AnimalGroup;
    steps: FeedStep[];
    ties: Ties;
  }
  const draft = new Draft<Mob>(
    (mob) => [
      { putGroup: mob.group },
      ...feedingEdits(mob.group.id, mob.steps, mob.ties, open.view!.plan.anchors),
    ],
    (id) => mob(groups.some((g) => g.id === id) ? id! : groups[0]?.id),
  );
  const groups = $derived(open.view!.farm.groups);
  const items = $derived(
    groups.map((stored) => {
      // need is that of the year tried out, so are head and weight
      const g = draft.item?.id === stored.id ? draft.item.group : stored;
      const need = open.year.groups.find((c) => c.id === g.id)?.needKg ?? [];
      return {
        id: g.id,
        name: g.name,
        figure: `${g.head} head`,
        doubtful: open.view!.year.doubts.some((d) => d.subjectId === g.id),
        note: `${amount(g.weightKg, 'weight', open.system)} each, needs ${amount(
          need.reduce((s, n) => s + n, 0),
          'bulk',
          open.system,
        )} in the year`,
      };
    }),
  );
  const known = $derived(groups.some((g) => g.id === draft.item?.id));

  /** Sides on which something is set, and can be saved. */
  const SET = ['animals', 'feeds', 'keeping'];
  let shownSide = $state(asked('side') ?? 'year');
  const sides = $derived(
    draft.item ? sidesOf(open, draft.item.group, draft.item.steps, known) : [],
  );

  untrack(() => choose(groups.find((g) => g.id === asked('group'))?.id ?? groups[0]?.id));
  $effect(() => tell({ group: known ? draft.item!.id : null, side: shownSide }));
  $effect(() => {
    void open.view?.revision;
    untrack(() => draft.refresh());
  });
  onDestroy(open.shows(['GROUPS'], () => draft.item?.id ?? null));
  onDestroy(() => open.dropTrial());

  function mob(id: string | undefined): Mob | null {
    const group = groups.find((g) => g.id === id);
    return group
      ? {
          id: group.id,
          group,
          steps: open.view!.plan.steps.filter((s) => s.groupId === id),
          ties: {},
        }
      : null;
  }
  function choose(id: string | undefined) {
    draft.choose(mob(id));
  }
  function add() {
    const id = freshId(
      'group',
      groups.map((g) => g.id),
    );
    draft.choose(
      {
        id,
        group: usualGroup(open, id, `Group ${groups.length + 1}`, 'beef/cow', 10),
        steps: usualSteps(id),
        ties: {},
      },
      true,
    );
    shownSide = 'animals';
  }
  /** Births move with weaning and leaving behind them: young keep their age. */
  function moveBirth(id: string, days: number) {
    const group = draft.item?.id === id ? draft.item.group : null;
    if (!group?.birthStart) return;
    const moved = (day: string | null) => (day ? movedMonthDay(day, days) : null);
    draft.set('group', {
      ...($state.snapshot(group) as AnimalGroup),
      birthStart: moved(group.birthStart),
      weaning: moved(group.weaning),
      youngLeave: moved(group.youngLeave),
    });
  }
  function put(group: AnimalGroup) {
    draft.set('group', group);
  }
  async function save(also: string[]) {
    const isNew = !known;
    if ((await draft.save(also)) && isNew) shownSide = 'year';
  }
  async function remove(also: string[]) {
    const edits = [{ removeGroup: draft.item!.id }];
    if (await open.edit(edits, undefined, also)) draft.discard();
  }
</script>

<MiniYear />
{#if groups.length || draft.item}
  <HerdYear
    year={open.year}
    ghost={open.trial ? open.ghost : null}
    farm={open.view!.farm}
    system={open.system}
    chosenId={draft.item?.id ?? null}
    onchoose={(id) => draft.item?.id !== id && choose(id)}
    onbirth={moveBirth}
  />
{/if}
<div class="editor">
  <ItemList
    title="Herd"
    {items}
    chosenId={draft.item?.id ?? null}
    onchoose={choose}
    addLabel="Add group"
    table="GROUPS"
    onadd={add}
  />
  {#if draft.item}
    {@const group = draft.item.group}
    <section aria-label="Group" class="panel form">
      <h2>{group.name}</h2>
      <Tabs {sides} bind:value={shownSide} label="Sides of the group">
        {#snippet side(shown)}
          {#if shown === 'year'}
            <DietYear {group} />
          {:else if shown === 'animals'}
            <GroupForm {group} onchange={put} />
            <ChangesForm {group} onchange={put} />
          {:else if shown === 'feeds'}
            <StepsForm
              groupId={group.id}
              name={group.name}
              steps={draft.item!.steps}
              ties={draft.item!.ties}
              onchange={(steps) => draft.set('steps', steps)}
              onties={(ties) => draft.set('ties', ties)}
            />
          {:else if shown === 'keeping'}
            <KeepingForm {group} onchange={put} />
          {:else if shown === 'condition'}
            <Condition {group} />
          {:else}
            {#if draft.changed}<p>Save or discard what you changed first.</p>
            {:else}<NeedLess {group} />{/if}
          {/if}
        {/snippet}
      </Tabs>
      {#if draft.changed || SET.includes(shownSide)}
        <SaveBar
          what="group"
          changed={draft.changed}
          onsave={save}
          ondiscard={() => draft.discard()}
          onremove={known ? remove : null}
        />
      {/if}
    </section>
  {:else}
    <p class="panel form">No animals yet. Add a group to see what it needs.</p>
  {/if}
</div>
<div class="below"><HerdWater /></div>

<style>
  .below {
    padding: 0 20px 2rem;
  }
</style>
