<script lang="ts">
  import { tick } from 'svelte';
  import type { BaleField, BaleWinter, Lot } from '../api/client';
  import NumberField from '../form/NumberField.svelte';
  import { printAlone } from '../form/printed';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { fullDate, today } from '../units/dates';
  import { amount, figure } from '../units/units';
  import { baleVerdict, baleWarning, daysOf, sectionText, sectionTitle } from '../words/winter';
  import { leavingsText } from '../words/feeds';
  import { plural } from '../words/year';
  import BaleDrawing from './BaleDrawing.svelte';
  import BaleForm from './BaleForm.svelte';
  import BeforeBales from './BeforeBales.svelte';
  import LeftForGrass from './LeftForGrass.svelte';
  import Mixture from './Mixture.svelte';
  import Laid from './Laid.svelte';
  import { Laying } from './laying.svelte';
  import { middleOf } from './breaks';
  import { fresh, withCount, withNext, withWire } from './layout';
  import Places from './Places.svelte';
  import Sites from './Sites.svelte';
  import Strip from './Strip.svelte';

  const open = thePlan();

  const laying = new Laying<BaleField, BaleWinter>(open, {
    items: () => open.view!.plan.bales,
    ask: (laid) =>
      laid ? open.api.winterWith(open.view!.id, laid) : open.api.winter(open.view!.id),
    put: (putBales) => ({ putBales }),
    remove: (removeBales) => ({ removeBales }),
  });
  /** The same in the normal year, where another season is looked at. */
  let usual = $state.raw<BaleWinter[]>([]);
  let page = $state<HTMLElement>();
  let every = $state(false);

  const plan = $derived(open.view!.plan);
  const farm = $derived(open.view!.farm);
  const drawn = $derived(farm.fields.filter((f) => f.outline));
  const lots = $derived(open.year.lots);
  const bales = $derived(laying.item);
  const field = $derived(farm.fields.find((f) => f.id === bales?.fieldId));
  const winter = $derived(laying.winter);
  const at = $derived(Math.min(laying.place, Math.max(0, (winter?.sections.length ?? 1) - 1)));
  const one = $derived(winter?.sections.at(at) ?? null);
  const usually = $derived.by(() => {
    const other = usual.find((w) => w.id === bales?.id)?.sections.at(at);
    return laying.draft || !other || other.from === null ? null : daysOf(other);
  });
  const nameOf = (id: string) => farm.fields.find((f) => f.id === id)?.name ?? id;
  const lot = $derived(lots.find((l) => l.id === bales?.lotId));
  const lotName = $derived(lot?.name ?? '');
  const stated = $derived(
    plan.cuts
      .map((c) => c.lot)
      .concat(
        plan.purchases.map((p) => p.lot),
        farm.lots,
      ),
  );
  const unitName = $derived(stated.find((l) => l.id === bales?.lotId)?.unitName ?? 'bale');
  const leavings = $derived(lot?.leavings ?? null);
  /** Days on which stock are fed here with nothing driven. */
  const fedDays = $derived((winter?.sections ?? []).reduce((n, s) => n + daysOf(s), 0));
  const mayChange = $derived(open.mayPlan);

  let asking = 0;
  $effect(() => {
    void open.view;
    const number = ++asking;
    const other = laying.draft === null && open.season !== 'normal';
    void (other ? open.api.normalWinter(open.view!.id).catch(() => []) : Promise.resolve([])).then(
      (found) => {
        if (number === asking) usual = found;
      },
    );
  });
  const change = (to: BaleField) => laying.change(to);
  function begin(fieldId = drawn[0].id) {
    const id = freshId(
      'bales',
      plan.bales.map((b) => b.id),
    );
    laying.begin(
      fresh(
        id,
        drawn.find((f) => f.id === fieldId)!,
        lots[0].id,
        open.system,
      ),
    );
  }
  /** The lot is fed as bales are that lie so long, wherever it comes from. */
  function fedWhereItLies() {
    const lies = (l: Lot): Lot => ({ ...l, feedingMethodId: winter!.fittingMethodId });
    const id = bales!.lotId;
    return laying.edit([
      ...farm.lots.filter((l) => l.id === id).map((l) => ({ putLot: lies(l) })),
      ...plan.cuts
        .filter((c) => c.lot.id === id)
        .map((c) => ({ putCut: { ...c, lot: lies(c.lot) } })),
      ...plan.purchases
        .filter((p) => p.lot.id === id)
        .map((p) => ({ putPurchase: { ...p, lot: lies(p.lot) } })),
    ]);
  }
  /** With every section and its day. */
  async function print() {
    every = true;
    await tick();
    if (page) printAlone(page);
  }
</script>

<Laid bind:page>
  {#if drawn.length === 0}
    <header>
      <h1>Winter</h1>
      <p>
        Bales are set out inside the shape of a field, and no field is drawn yet.
        <a href={`#/plan/${open.view!.id}/land/draw`}>Draw the fields</a>
      </p>
    </header>
  {:else if lots.length === 0}
    <header>
      <h1>Winter</h1>
      <p>
        There are no bales in the store yet.
        <a href={`#/plan/${open.view!.id}/store`}>To the store</a>
      </p>
    </header>
  {:else if !bales}
    <header>
      <h1>Winter</h1>
      <p>
        Bales that are set out on a field before winter and opened there a few at a time feed the
        grass as well as the stock. They are laid in a grid inside the field’s shape; the days on
        which each section is opened follow from what the plan feeds.
      </p>
      {#if mayChange}<button class="btn preset-filled-primary-500" onclick={() => begin()}
          >Set bales out</button
        >{/if}
    </header>
    {#if mayChange}<Sites onchoose={begin} />{/if}
  {:else}
    <header>
      <h1 data-testid="bale-verdict">
        {winter && field
          ? baleVerdict(winter, field.name)
          : field
            ? `${field.name}: not drawn`
            : ''}
      </h1>
      <div class="bar">
        {#if plan.bales.length > 1 || laying.isNew}
          <div class="pieces" role="group" aria-label="Bales on">
            {#each plan.bales as b (b.id)}
              <button
                class="btn plain"
                aria-pressed={b.id === bales.id}
                onclick={() => laying.look(b.id)}>{nameOf(b.fieldId)}</button
              >
            {/each}
          </div>
        {/if}
        {#if mayChange && !laying.draft}
          <button class="btn plain" onclick={() => begin()}>Set bales out on another field</button>
        {/if}
        {#if laying.draft}
          <button
            class="btn preset-filled-primary-500"
            disabled={laying.working || !winter || laying.wrong !== ''}
            onclick={() => laying.keep()}>Save it</button
          >
          <button class="btn plain" onclick={() => laying.leave()}>Leave as it was</button>
        {:else}
          <button class="btn plain" onclick={print}>Print</button>
        {/if}
      </div>
      {#if laying.wrong}<p class="warn" role="alert">{laying.wrong}</p>{/if}
    </header>
    {#if winter && field?.outline}
      <div class="drawing">
        <BaleDrawing
          outline={field.outline}
          bales={winter}
          chosen={at}
          system={open.system}
          places={bales.places}
          onEnd={bales.onEnd}
          rowsDeg={bales.spacing.rowsDeg}
          onplace={mayChange
            ? (i, at) =>
                change({
                  ...bales,
                  places: bales.places.map((p, j) => (j === i ? { ...p, at } : p)),
                })
            : undefined}
          summary={`${baleVerdict(winter, field.name)} ${winter.sections.length} ${plural('section', winter.sections.length)}, drawn to scale; north is up.`}
          onchoose={(place) => (laying.place = place)}
          onwire={mayChange
            ? (place, behind) => {
                const moved = withWire(bales, winter.sections, place, behind);
                if (JSON.stringify(moved) !== JSON.stringify(bales)) change(moved);
              }
            : undefined}
        />
        <Strip
          sections={winter.sections}
          chosen={at}
          onchoose={(place) => (laying.place = place)}
        />
      </div>
      <div class="facts">
        {#if one}
          <section class="panel no-print" aria-labelledby="section-title" data-testid="section">
            <h2 id="section-title">{sectionTitle(one, at)}</h2>
            <p>{sectionText(one, usually)}</p>
            {#if one.toTroughM !== null}
              <p>{amount(one.toTroughM, 'distance', open.system)} to the trough.</p>
            {/if}
            <div class="row no-print">
              <button class="btn plain" disabled={at === 0} onclick={() => (laying.place = at - 1)}
                >Before</button
              >
              <button
                class="btn plain"
                disabled={at + 1 >= winter.sections.length}
                onclick={() => (laying.place = at + 1)}>Next</button
              >
              {#if mayChange}
                <NumberField
                  label="Bales in it"
                  quantity="count"
                  value={one.spots.length}
                  onchange={(v) =>
                    v && change(withCount(bales, winter.sections, at, Math.round(v)))}
                />
              {/if}
            </div>
          </section>
        {/if}
        <section class="panel" aria-labelledby="piece-title" data-testid="piece">
          <h2 id="piece-title">The piece</h2>
          <dl>
            <div>
              <dt>{lotName}, laid of those that fit</dt>
              <dd>{winter.laid} of {winter.fits}</dd>
            </div>
            <div>
              <dt>Free of edge, water, hollows, old pads</dt>
              <dd>
                {figure(winter.netHa, 'area', open.system)} of {amount(
                  winter.areaHa,
                  'area',
                  open.system,
                )}
              </dd>
            </div>
            <div>
              <dt>They take, at this spacing</dt>
              <dd>{amount(winter.usedHa, 'area', open.system)}</dd>
            </div>
            {#if winter.from}
              <div>
                <dt>Days of one head on that</dt>
                <dd>{amount(winter.headDaysPerHa, 'headDays', open.system)}</dd>
              </div>
              <div>
                <dt>Not eaten, by the way it is fed</dt>
                <dd>{Math.round(100 * winter.lostShare)}%</dd>
              </div>
              <div>
                <dt>Days on which nothing is driven to them</dt>
                <dd>{fedDays}</dd>
              </div>
            {/if}
          </dl>
          {#if winter.from}
            <p class="quiet fine">
              The loss is that of the lot’s way of feeding, as it stands in the store, and of how
              long a bale lasts so many mouths.
            </p>
          {/if}
          {#each winter.cautions as c (c.warning)}
            <p class="warn" role="note">{baleWarning(c, winter, open.system)}</p>
            {#if c.warning === 'LOSS_OTHERWISE' && mayChange && !laying.draft}
              <button class="btn plain no-print" disabled={laying.working} onclick={fedWhereItLies}
                >Reckon with {Math.round(100 * c.value)}%</button
              >
            {/if}
          {/each}
        </section>
        {#if winter.mixture}<Mixture {bales} {winter} {laying} />{/if}
        {#if leavings}
          <section class="panel" aria-labelledby="seen-title" data-testid="leavings">
            <h2 id="seen-title">What was left</h2>
            <p>{leavingsText(leavings, unitName)}</p>
            <p class="quiet fine">
              The plan reckons what comes with the mean of what was seen and of the way it is fed.
            </p>
            {#if mayChange && leavings.nextUnits !== bales.atOnce}
              <button
                class="btn plain no-print"
                onclick={() =>
                  change(withNext(bales, winter.sections, today(), leavings.nextUnits))}
                >Open {leavings.nextUnits} at once from here on</button
              >
            {/if}
          </section>
        {/if}
        {#if winter.from}<LeftForGrass {winter} {field} {laying} />{/if}
        <BeforeBales {bales} {winter} />
      </div>
    {:else if field && !field.outline}
      <p>
        {field.name} is no longer drawn.
        <a href={`#/plan/${open.view!.id}/land/draw`}>Draw it</a>
      </p>
    {:else}
      <p role="status">{laying.wrong ? '' : 'Laying the bales.'}</p>
    {/if}
    {#if winter && winter.sections.length}
      <details class="every" bind:open={every}>
        <summary>Every section</summary>
        <table data-testid="every-section">
          <thead
            ><tr
              ><th scope="col">Section</th><th scope="col">Opened</th><th scope="col">Bales</th><th
                scope="col">Days</th
              ><th scope="col">Wire moved on</th></tr
            ></thead
          >
          <tbody>
            {#each winter.sections as s, i (i)}
              <tr
                ><th scope="row">{i + 1}</th><td
                  >{s.from === null ? 'stays closed' : fullDate(s.from)}</td
                ><td class="figure">{s.spots.length}</td><td class="figure"
                  >{s.from === null ? '' : daysOf(s)}</td
                ><td
                  >{winter.sections[i + 1]?.from ? fullDate(winter.sections[i + 1].from!) : ''}</td
                ></tr
              >
            {/each}
          </tbody>
        </table>
      </details>
    {/if}
    {#if mayChange}
      <section class="panel form no-print" aria-labelledby="form-title" data-testid="bale-form">
        <h2 id="form-title">{laying.isNew ? 'Set bales out' : 'How they stand'}</h2>
        <BaleForm {bales} onchange={change} />
        <Places
          places={bales.places}
          on={at + 1}
          what="section"
          fresh={middleOf([one ? one.spots.map((s) => s.at) : (winter?.ground[0] ?? [])])}
          onchange={(places) => change({ ...bales, places })}
        />
        <div class="row">
          {#if !laying.isNew}
            <button class="btn plain" disabled={laying.working} onclick={() => laying.remove()}
              >Remove</button
            >
          {/if}
        </div>
      </section>
    {/if}
    {#if laying.isNew && laying.draft}
      <Sites onchoose={(fieldId) => change({ ...laying.draft!, fieldId, counts: [] })} />
    {/if}
  {/if}
</Laid>
