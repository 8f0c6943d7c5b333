<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import type { Lot } from '../api/client';
  import { Draft } from '../form/draft.svelte';
  import ItemList from '../form/ItemList.svelte';
  import LotForm from './LotForm.svelte';
  import LotMore from './LotMore.svelte';
  import SaveBar from '../form/SaveBar.svelte';
  import { smallStock, usualLot } from './usual';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import MiniYear from '../plan/MiniYear.svelte';
  import LotStacks from '../ruler/LotStacks.svelte';
  import { amount } from '../units/units';
  import { plural } from '../words/year';
  import Costs from './Costs.svelte';
  import HaySum from './HaySum.svelte';
  import LotCost from './LotCost.svelte';
  import LotTests from './LotTests.svelte';
  import Planned from '../plan/Planned.svelte';
  import StoreRecords from './StoreRecords.svelte';

  const open = thePlan();

  const draft = new Draft<Lot>(
    (lot) => [{ putLot: lot }],
    (id) => lots.find((l) => l.id === id) ?? lots[0] ?? null,
  );
  const farm = $derived(open.view!.farm);
  const lots = $derived(farm.lots);
  const items = $derived(
    lots.map((l) => ({
      id: l.id,
      name: l.name,
      figure: l.units.toLocaleString('en-US'),
      doubtful: open.view!.year.doubts.some((d) => d.subjectId === l.id),
      note: `${plural(l.unitName, l.units)}, ${amount(l.units * l.kgPerUnitAsFed * l.dmShare, 'bulk', open.system)} of dry matter`,
    })),
  );
  const known = $derived(lots.some((l) => l.id === draft.item?.id));

  untrack(() => draft.choose(lots[0] ?? null));
  $effect(() => {
    void open.view?.revision;
    untrack(() => draft.refresh());
  });
  onDestroy(open.shows(['GROUPS']));
  onDestroy(() => open.dropTrial());

  function add() {
    const taken = open.year.lots.map((l) => l.id);
    draft.choose(
      usualLot(
        freshId('lot', taken),
        `Lot ${lots.length + 1}`,
        open.catalogue!.packages[2],
        40,
        smallStock(open.view!.farm.groups.map((g) => g.kind)),
      ),
      true,
    );
  }
  async function remove(also: string[]) {
    const edits = [{ removeLot: draft.item!.id }];
    if (await open.edit(edits, undefined, also)) draft.discard();
  }
</script>

<MiniYear />
<LotStacks
  year={open.year}
  farm={open.view!.farm}
  system={open.system}
  chosenId={draft.item?.id ?? null}
  onchoose={(id) => lots.some((l) => l.id === id) && draft.choose(lots.find((l) => l.id === id)!)}
/>
<div class="editor">
  <ItemList
    title="Store"
    {items}
    chosenId={draft.item?.id ?? null}
    onchoose={(id) => draft.choose(lots.find((l) => l.id === id) ?? null)}
    addLabel="Add lot"
    onadd={add}
  />
  <div>
    {#if draft.item}
      <section aria-label="Lot" class="panel form">
        <LotForm
          lot={draft.item}
          onchange={(key, value) => draft.set(key, value)}
          currency={farm.currency}
        />
        <LotMore
          lot={draft.item}
          onchange={(key, value) => draft.set(key, value)}
          currency={farm.currency}
        />
        <SaveBar
          what="lot"
          changed={draft.changed}
          onsave={(also) => draft.save(also)}
          ondiscard={() => draft.discard()}
          onremove={known ? remove : null}
        />
      </section>
      {#if known && !draft.changed}
        <HaySum lotId={draft.item.id} />
        <LotTests lot={draft.item} />
        <StoreRecords lot={draft.item} />
        <LotCost lotId={draft.item.id} />
      {/if}
    {:else}
      <p class="panel form">Nothing put by yet. Add a lot to see how long it lasts.</p>
    {/if}
    <Costs />
    <Planned />
  </div>
</div>
