<script lang="ts">
  import { onDestroy } from 'svelte';
  import { push } from 'svelte-spa-router';
  import type { Edit } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import Search from '../form/Search.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { usualGroup, usualSteps } from '../herd/usual';
  import { firstForage, usualField } from '../land/usual';
  import { smallStock, usualLot } from '../store/usual';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import MiniYear from '../plan/MiniYear.svelte';
  import { amount, lengthsIn } from '../units/units';
  import { inKeepersOrder, kindName } from '../words/year';
  import Rows from './Rows.svelte';

  const open = thePlan();

  interface Mouths {
    id: string;
    kind: string;
    head: number | null;
  }
  interface Ground {
    id: string;
    forage: string;
    areaHa: number | null;
  }
  interface Hay {
    id: string;
    pack: string;
    units: number | null;
  }
  const catalogue = $derived(open.catalogue!);
  const farm = $derived(open.view!.farm);
  const climate = $derived(catalogue.climates.find((c) => c.id === farm.climateId)!);
  const forages = $derived(catalogue.forages.filter((f) => f.curves[farm.climateId]));

  let mouths = $state<Mouths[]>([newMouths('beef/cow')]);
  let ground = $state<Ground[]>([newGround()]);
  let hay = $state<Hay[]>([newHay('rb_150x120_net')]);
  let touched = $state(false);

  const groups = $derived(
    mouths
      .filter((m) => m.head)
      .map((m, i) =>
        usualGroup(open, m.id, numbered(kindName(m.kind), i, mouths), m.kind, m.head!),
      ),
  );
  const fields = $derived(
    ground
      .filter((g) => g.areaHa)
      .map((g, i) => usualField(g.id, `Field ${i + 1}`, g.forage, g.areaHa!)),
  );
  const small = $derived(smallStock(mouths.map((m) => m.kind)));
  const lots = $derived(
    hay
      .filter((h) => h.units)
      .map((h, i) => usualLot(h.id, numbered('Hay', i, hay), pack(h.pack), h.units!, small)),
  );
  const edits = $derived<Edit[]>([
    ...groups.flatMap((g) => [
      { putGroup: g },
      { setFeeding: { groupId: g.id, steps: usualSteps(g.id) } },
    ]),
    ...fields.map((f) => ({ putField: f })),
    ...lots.map((l) => ({ putLot: l })),
  ]);

  $effect(() => {
    if (touched && edits.length) void open.tryOut($state.snapshot(edits) as Edit[]);
    else open.dropTrial();
  });
  onDestroy(() => open.dropTrial());

  function pack(id: string) {
    return catalogue.packages.find((p) => p.id === id)!;
  }
  function numbered(name: string, i: number, all: unknown[]): string {
    const plain = name.split(',')[0];
    return all.length > 1 ? `${plain} ${i + 1}` : plain;
  }
  function newMouths(kind: string): Mouths {
    return { id: freshId('group', []), kind, head: null };
  }
  function newGround(): Ground {
    const forage = firstForage(open, open.view!.farm.climateId);
    return { id: freshId('field', []), forage, areaHa: null };
  }
  function newHay(pack: string): Hay {
    return { id: freshId('lot', []), pack, units: null };
  }
  const way = (id: string) => catalogue.losses.find((l) => l.id === id)!.name.toLowerCase();
  const grown = (forage: string) => {
    const rates = catalogue.forages.find((f) => f.id === forage)!.curves[farm.climateId];
    const month = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
    return rates.reduce((sum, r, i) => sum + r * month[i], 0);
  };
  async function save() {
    if (await open.edit($state.snapshot(edits) as Edit[])) await push(`/plan/${open.view!.id}`);
  }
</script>

<MiniYear />
<form
  onsubmit={(e) => {
    e.preventDefault();
    void save();
  }}
>
  <h1>First answer</h1>
  <p class="quiet">
    Fill what you know; the picture above answers as you type. All else is a default of the product,
    said beside it, and changed later under Land, Herd and Store. Place: {climate.name}.
  </p>
  <div class="boxes">
    <Rows
      title="Mouths"
      what="animals"
      more="More animals"
      items={mouths}
      onmore={() => mouths.push(newMouths(catalogue.kinds[0].id))}
      ondrop={(m) => ((mouths = mouths.filter((x) => x.id !== m.id)), (touched = true))}
    >
      {#snippet row(m)}
        <Choice
          label="Animals"
          value={m.kind}
          options={inKeepersOrder(catalogue.kinds).map((k) => ({ id: k.id, name: kindName(k.id) }))}
          onchange={(v) => ((m.kind = v), (touched = true))}
        />
        <NumberField
          name="group.head"
          optional
          value={m.head}
          onchange={(v) => ((m.head = v === null ? null : Math.round(v)), (touched = true))}
        />
      {/snippet}
      {#snippet said(m)}
        {@const g = usualGroup(open, m.id, '', m.kind, 1)}
        {amount(g.weightKg, 'weight', open.system)} each{g.birthStart
          ? `, first birth ${g.birthStart === '--03-15' ? '15 March' : '15 August'}, ${g.youngPerDam} young each`
          : g.gainKgPerDay > 0
            ? `, gaining ${amount(g.gainKgPerDay, 'gain', open.system)}`
            : ''}; intake by weight and stage.
      {/snippet}
    </Rows>
    <Rows
      title="Ground"
      what="ground"
      more="More ground"
      items={ground}
      onmore={() => ground.push(newGround())}
      ondrop={(g) => ((ground = ground.filter((x) => x.id !== g.id)), (touched = true))}
    >
      {#snippet row(g)}
        <Search
          label="What grows there"
          value={g.forage}
          options={forages.map((f) => ({ id: f.id, name: f.name }))}
          onchange={(v) => ((g.forage = v), (touched = true))}
        />
        <NumberField
          name="field.areaHa"
          optional
          value={g.areaHa}
          onchange={(v) => ((g.areaHa = v), (touched = true))}
        />
      {/snippet}
      {#snippet said(g)}
        grows {amount(grown(g.forage), 'massPerArea', open.system)} a year here, half grown on the first
        day, grazed in rotation by all.
      {/snippet}
    </Rows>
    <Rows
      title="Hay and silage"
      what="bales"
      more="More bales"
      items={hay}
      onmore={() => hay.push(newHay(catalogue.packages[0].id))}
      ondrop={(h) => ((hay = hay.filter((x) => x.id !== h.id)), (touched = true))}
    >
      {#snippet row(h)}
        <Choice
          label="Bales"
          value={h.pack}
          options={catalogue.packages.map((p) => ({
            id: p.id,
            name: lengthsIn(p.name, open.system),
          }))}
          onchange={(v) => ((h.pack = v), (touched = true))}
        />
        <NumberField
          label="How many"
          name="lot.units"
          optional
          value={h.units}
          onchange={(v) => ((h.units = v === null ? null : Math.round(v)), (touched = true))}
        />
      {/snippet}
      {#snippet said(h)}
        {@const lot = usualLot(h.id, '', pack(h.pack), 1, small)}
        {amount(lot.kgPerUnitAsFed, 'weight', open.system)} each, {amount(
          lot.dmShare,
          'share',
          open.system,
        )} dry matter; {way(lot.storageMethodId)}; fed by {way(lot.feedingMethodId)}.
      {/snippet}
    </Rows>
  </div>
  {#if open.trialError}<p class="wrong" role="alert">{open.trialError}</p>{/if}
  <div class="bar">
    <button
      class="btn preset-filled-primary-500"
      disabled={groups.length === 0 || open.trialError !== '' || !open.mayPlan}
      >Save and see the year</button
    >
    <span class="quiet">Dry matter is feed less its water; every amount of feed is counted so.</span
    >
  </div>
</form>

<style>
  form {
    padding: 1rem 20px 2rem;
  }
  .boxes {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 19rem), 1fr));
    gap: 1rem;
    margin: 0.75rem 0;
  }
  .bar {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem 1rem;
    align-items: center;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
    margin-bottom: 0.5rem;
  }
</style>
