<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import type { AnimalGroup, FeedStep } from '../api/client';
  import { Draft } from '../forms/draft.svelte';
  import GroupForm from '../forms/GroupForm.svelte';
  import ItemList from '../forms/ItemList.svelte';
  import SaveBar from '../forms/SaveBar.svelte';
  import StepsForm from '../forms/StepsForm.svelte';
  import { freshId, open } from '../plan.svelte';
  import MiniYear from '../ruler/MiniYear.svelte';
  import { amount } from '../units';

  interface Mob {
    id: string;
    group: AnimalGroup;
    steps: FeedStep[];
  }
  const draft = new Draft<Mob>((mob) => [
    { putGroup: mob.group },
    { setFeeding: { groupId: mob.group.id, steps: mob.steps } },
  ]);
  const groups = $derived(open.view!.farm.groups);
  const items = $derived(
    groups.map((g) => {
      const need = open.year.groups.find((c) => c.id === g.id)?.needKg ?? [];
      return {
        id: g.id,
        name: g.name,
        figure: `${g.head} head`,
        note: `${amount(g.weightKg, 'weight', open.system)} each, needs ${amount(
          need.reduce((s, n) => s + n, 0),
          'bulk',
          open.system,
        )} in the year`,
      };
    }),
  );
  const known = $derived(groups.some((g) => g.id === draft.item?.id));

  untrack(() => choose(groups[0]?.id));
  onDestroy(() => open.dropTrial());

  function choose(id: string | undefined) {
    const group = groups.find((g) => g.id === id);
    draft.choose(
      group
        ? { id: group.id, group, steps: open.view!.plan.steps.filter((s) => s.groupId === id) }
        : null,
    );
  }
  function add() {
    const id = freshId(
      'group',
      groups.map((g) => g.id),
    );
    const farm = open.view!.farm;
    const ids = open.view!.plan.steps.map((s) => s.id);
    const grazing = farm.fields.map((f) => f.id);
    draft.choose(
      {
        id,
        group: {
          id,
          name: `Group ${groups.length + 1}`,
          kind: 'beef/cow',
          head: 10,
          weightKg: 550,
          gainKgPerDay: 0,
          flatIntakeKgPerHeadDay: null,
          birthStart: '--03-15',
          birthSpreadDays: 60,
          youngPerDam: 0.9,
          weaning: null,
          youngLeave: null,
          fromInclusive: null,
          toExclusive: null,
        },
        steps: [
          ...(grazing.length
            ? [
                {
                  id: freshId(`${id}-graze`, ids),
                  groupId: id,
                  kind: 'GRAZE' as const,
                  sourceIds: grazing,
                  fromInclusive: null,
                  toExclusive: null,
                },
              ]
            : []),
          {
            id: freshId(`${id}-store`, ids),
            groupId: id,
            kind: 'STORE',
            sourceIds: [],
            fromInclusive: null,
            toExclusive: null,
          },
        ],
      },
      true,
    );
  }
  async function remove() {
    if (await open.edit([{ removeGroup: draft.item!.id }])) choose(groups[0]?.id);
  }
</script>

<MiniYear />
<div class="editor">
  <ItemList
    title="Herd"
    {items}
    chosenId={draft.item?.id ?? null}
    onchoose={choose}
    addLabel="Add group"
    onadd={add}
  />
  {#if draft.item}
    <section aria-label="Group" class="panel form">
      <GroupForm group={draft.item.group} onchange={(group) => draft.set('group', group)} />
      <StepsForm
        groupId={draft.item.id}
        steps={draft.item.steps}
        onchange={(steps) => draft.set('steps', steps)}
      />
      <SaveBar
        what="group"
        changed={draft.changed}
        onsave={() => draft.save()}
        ondiscard={() => choose(known ? draft.item!.id : groups[0]?.id)}
        onremove={known ? remove : null}
      />
    </section>
  {:else}
    <p class="panel form">No animals yet. Add a group to see what it needs.</p>
  {/if}
</div>
