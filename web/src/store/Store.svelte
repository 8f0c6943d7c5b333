<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import type { Lot } from '../api/client';
  import { Draft } from '../form/draft.svelte';
  import ItemList from '../form/ItemList.svelte';
  import LotForm from './LotForm.svelte';
  import LotMore from './LotMore.svelte';
  import SaveBar from '../form/SaveBar.svelte';
  import Tabs from '../form/Tabs.svelte';
  import { sidesOf } from './sides';
  import { smallStock, usualLot } from './usual';
  import { asked, teller } from '../plan/address';
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
  import SeedShed from './SeedShed.svelte';
  import StoreRecords from './StoreRecords.svelte';

  const open = thePlan();
  const tell = teller();

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

  let shownSide = $state(asked('side') ?? 'year');
  const sides = $derived(draft.item ? sidesOf(draft.item, known) : []);

  untrack(() => draft.choose(lots.find((l) => l.id === asked('lot')) ?? lots[0] ?? null));
  $effect(() => tell({ lot: known ? draft.item!.id : null, side: shownSide }));
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
    shownSide = 'lot';
  }
  async function save(also: string[]) {
    const isNew = !known;
    if ((await draft.save(also)) && isNew) shownSide = 'year';
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
    table="LOTS"
    onadd={add}
  />
  <div>
    {#if draft.item}
      {@const lot = draft.item}
      <section aria-label="Lot" class="panel form">
        <h2>{lot.name}</h2>
        <Tabs {sides} bind:value={shownSide} label="Sides of the lot">
          {#snippet side(shown)}
            {#if shown === 'lot'}
              <LotForm
                {lot}
                onchange={(key, value) => draft.set(key, value)}
                currency={farm.currency}
              />
              <LotMore
                {lot}
                onchange={(key, value) => draft.set(key, value)}
                currency={farm.currency}
              />
            {:else if draft.changed}<p>Save or discard what you changed first.</p>
            {:else if shown === 'year'}<HaySum lotId={lot.id} />
            {:else if shown === 'worth'}<LotTests {lot} />
            {:else if shown === 'records'}<StoreRecords {lot} />
            {:else}<LotCost lotId={lot.id} /><Costs />{/if}
          {/snippet}
        </Tabs>
        {#if draft.changed || shownSide === 'lot'}
          <SaveBar
            what="lot"
            changed={draft.changed}
            onsave={save}
            ondiscard={() => draft.discard()}
            onremove={known ? remove : null}
          />
        {/if}
      </section>
    {:else}
      <p class="panel form">Nothing put by yet. Add a lot to see how long it lasts.</p>
    {/if}
  </div>
</div>
<SeedShed />
