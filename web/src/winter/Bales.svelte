<script lang="ts">
  import { tick } from 'svelte';
  import type { BaleField, BaleWinter, Lot } from '../api/client';
  import NumberField from '../form/NumberField.svelte';
  import { printAlone } from '../form/printed';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { fullDate, isoOf, lastDay, longDate, today } from '../units/dates';
  import { amount, figure, unitOf } from '../units/units';
  import {
    baleVerdict,
    baleWarning,
    daysOf,
    mixtureText,
    nutrientText,
    sectionText,
    sectionTitle,
  } from '../words/winter';
  import { leavingsText } from '../words/feeds';
  import { plural } from '../words/year';
  import BaleDrawing from './BaleDrawing.svelte';
  import BaleForm from './BaleForm.svelte';
  import Laid from './Laid.svelte';
  import { middleOf } from './breaks';
  import {
    fresh,
    keptPads,
    padsOf,
    withCount,
    withNext,
    withOtherLot,
    withoutPads,
    withPads,
    withWire,
  } from './layout';
  import Places from './Places.svelte';
  import Sites from './Sites.svelte';
  import Strip from './Strip.svelte';

  const open = thePlan();

  /** Bales go out some weeks before they are opened, while the ground still carries. */
  const OUT_DAYS = 21;

  let all = $state.raw<BaleWinter[] | null>(null);
  /** The same in the normal year, where another season is looked at. */
  let usual = $state.raw<BaleWinter[]>([]);
  /** On which field each of those stood that were answered. */
  let fieldOf = $state.raw<Record<string, string>>({});
  let chosenId = $state('');
  /** As it is laid on the screen and not yet saved. */
  let draft = $state.raw<BaleField | null>(null);
  let section = $state(0);
  let working = $state(false);
  let page = $state<HTMLElement>();
  let every = $state(false);

  const plan = $derived(open.view!.plan);
  const farm = $derived(open.view!.farm);
  const drawn = $derived(farm.fields.filter((f) => f.outline));
  const lots = $derived(open.year.lots);
  const saved = $derived(plan.bales.find((b) => b.id === chosenId) ?? plan.bales.at(0) ?? null);
  const bales = $derived(draft ?? saved);
  const field = $derived(farm.fields.find((f) => f.id === bales?.fieldId));
  /** What was answered for another field is not drawn on this one. */
  const winter = $derived(
    bales && fieldOf[bales.id] === bales.fieldId
      ? (all?.find((w) => w.id === bales.id) ?? null)
      : null,
  );
  const at = $derived(Math.min(section, Math.max(0, (winter?.sections.length ?? 1) - 1)));
  const one = $derived(winter?.sections.at(at) ?? null);
  const usually = $derived.by(() => {
    const other = usual.find((w) => w.id === bales?.id)?.sections.at(at);
    return draft || !other || other.from === null ? null : daysOf(other);
  });
  const isNew = $derived(draft !== null && !plan.bales.some((b) => b.id === draft!.id));
  const nameOf = (id: string) => farm.fields.find((f) => f.id === id)?.name ?? id;
  const lot = $derived(lots.find((l) => l.id === bales?.lotId));
  const lotName = $derived(lot?.name ?? '');
  const otherName = $derived(lots.find((l) => l.id === bales?.mixed?.lotId)?.name ?? '');
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
  const pads = $derived(winter ? padsOf(winter) : null);
  const kept = $derived(pads && field?.outline ? keptPads(field.outline, pads.eatenUp) : null);
  /** Days on which stock are fed here with nothing driven. */
  const fedDays = $derived((winter?.sections ?? []).reduce((n, s) => n + daysOf(s), 0));
  const mayChange = $derived(open.mayPlan);

  /** One question at a time: the last one that was asked is the one that is shown. */
  let asking = 0;
  $effect(() => {
    void [open.view, open.season];
    const laid = draft;
    const number = ++asking;
    void ask(number, laid);
  });
  $effect(() => () => (asking = -1));
  async function ask(number: number, laid: BaleField | null) {
    const id = open.view!.id;
    try {
      const found = laid ? await open.api.winterWith(id, laid) : await open.api.winter(id);
      if (number !== asking) return;
      all = found;
      fieldOf = Object.fromEntries(
        [...plan.bales, ...(laid ? [laid] : [])].map((b) => [b.id, b.fieldId]),
      );
      usual = laid || open.season === 'normal' ? [] : await open.api.normalWinter(id);
    } catch (e) {
      if (number === asking) open.error = open.explain(e);
    }
  }
  function change(to: BaleField) {
    if (mayChange) draft = to;
  }
  function begin(fieldId = drawn[0].id) {
    const id = freshId(
      'bales',
      plan.bales.map((b) => b.id),
    );
    section = 0;
    draft = fresh(
      id,
      drawn.find((f) => f.id === fieldId)!,
      lots[0].id,
      open.system,
    );
  }
  async function keep() {
    working = true;
    const kept = draft!;
    if (await open.edit([{ putBales: kept }])) {
      chosenId = kept.id;
      // what was laid otherwise meanwhile stays
      if (draft === kept) draft = null;
    }
    working = false;
  }
  async function remove() {
    working = true;
    if (await open.edit([{ removeBales: bales!.id }])) {
      draft = null;
      chosenId = '';
    }
    working = false;
  }
  async function padsKept(outline: NonNullable<typeof field>['outline']) {
    working = true;
    await open.edit([{ putField: { ...field!, outline } }]);
    working = false;
  }
  /** The lot is fed as bales are that lie so long, wherever it comes from. */
  async function fedWhereItLies() {
    working = true;
    const lies = (l: Lot): Lot => ({ ...l, feedingMethodId: winter!.fittingMethodId });
    const id = bales!.lotId;
    await open.edit([
      ...farm.lots.filter((l) => l.id === id).map((l) => ({ putLot: lies(l) })),
      ...plan.cuts
        .filter((c) => c.lot.id === id)
        .map((c) => ({ putCut: { ...c, lot: lies(c.lot) } })),
      ...plan.purchases
        .filter((p) => p.lot.id === id)
        .map((p) => ({ putPurchase: { ...p, lot: lies(p.lot) } })),
    ]);
    working = false;
  }
  /** The other lot as much of the ration as lies in the line. */
  async function feedOther() {
    working = true;
    const known = plan.steps.map((s) => s.id);
    const edits = winter!.mixture!.groupIds.map((groupId) => {
      const id = freshId(`${groupId}-mixed`, known);
      known.push(id);
      const steps = withOtherLot(plan.steps, { id, groupId }, bales!.mixed!.lotId, winter!);
      return { setFeeding: { groupId, steps } };
    });
    await open.edit(edits);
    working = false;
  }
  function look(id: string) {
    chosenId = id;
    draft = null;
    section = 0;
  }
  /** With every section and its day. */
  async function print() {
    every = true;
    await tick();
    if (page) printAlone(page);
  }
  /** So many days before the first bale is opened. */
  const before = (days: number) => (winter?.from ? longDate(isoOf(winter.from, -days)) : '');
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
        {#if plan.bales.length > 1 || isNew}
          <div class="pieces" role="group" aria-label="Bales on">
            {#each plan.bales as b (b.id)}
              <button class="btn plain" aria-pressed={b.id === bales.id} onclick={() => look(b.id)}
                >{nameOf(b.fieldId)}</button
              >
            {/each}
          </div>
        {/if}
        {#if mayChange && !draft}
          <button class="btn plain" onclick={() => begin()}>Set bales out on another field</button>
        {/if}
        {#if draft}
          <button class="btn preset-filled-primary-500" disabled={working || !winter} onclick={keep}
            >Save it</button
          >
          <button class="btn plain" onclick={() => (draft = null)}>Leave as it was</button>
        {:else}
          <button class="btn plain" onclick={print}>Print</button>
        {/if}
      </div>
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
          onchoose={(place) => (section = place)}
          onwire={mayChange
            ? (place, behind) => {
                const moved = withWire(bales, winter.sections, place, behind);
                if (JSON.stringify(moved) !== JSON.stringify(bales)) change(moved);
              }
            : undefined}
        />
        <Strip sections={winter.sections} chosen={at} onchoose={(place) => (section = place)} />
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
              <button class="btn plain" disabled={at === 0} onclick={() => (section = at - 1)}
                >Before</button
              >
              <button
                class="btn plain"
                disabled={at + 1 >= winter.sections.length}
                onclick={() => (section = at + 1)}>Next</button
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
            {#if c.warning === 'LOSS_OTHERWISE' && mayChange && !draft}
              <button class="btn plain no-print" disabled={working} onclick={fedWhereItLies}
                >Reckon with {Math.round(100 * c.value)}%</button
              >
            {/if}
          {/each}
        </section>
        {#if winter.mixture && bales.mixed}
          <section class="panel" aria-labelledby="mixed-title" data-testid="mixture">
            <h2 id="mixed-title">{otherName} among it</h2>
            <p>{mixtureText(winter.mixture, otherName, open.system)}</p>
            {#if mayChange && !draft && winter.from && winter.cautions.some((c) => c.warning === 'MIXED_OTHERWISE')}
              <button class="btn plain no-print" disabled={working} onclick={feedOther}
                >Feed {Math.round(100 * winter.mixture.otherShare)}% of it beside {lotName}</button
              >
            {/if}
          </section>
        {/if}
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
        {#if winter.from}
          <section class="panel" aria-labelledby="left-title" data-testid="left-for-grass">
            <h2 id="left-title">Left for the grass</h2>
            <p>{nutrientText(winter, open.system)}</p>
            {#if pads && mayChange && !draft}
              <div class="row no-print">
                {#if kept}
                  <button
                    class="btn plain"
                    disabled={working}
                    onclick={() => padsKept(withoutPads(field.outline!, pads.eatenUp))}
                    >Forget these pads</button
                  >
                {:else}
                  <button
                    class="btn plain"
                    disabled={working}
                    onclick={() => padsKept(withPads(field.outline!, pads))}
                    >Keep the {pads.at.length} pads</button
                  >
                {/if}
              </div>
              <p class="quiet fine">
                {kept
                  ? `${kept.at.length} pads are kept, eaten up by ${longDate(lastDay(kept.eatenUp))}. Bales of the winters after that leave them alone for as many years as they are told to.`
                  : 'Kept with their winter, bales of the next ones leave them alone; they take no area off.'}
              </p>
            {/if}
            {#if typeof field.lie.soilTest?.phosphorusMgPerKg === 'number'}
              <p>Soil: phosphorus {field.lie.soilTest.phosphorusMgPerKg} mg/kg by its test.</p>
            {/if}
          </section>
        {/if}
        <section class="panel" aria-labelledby="before-title">
          <h2 id="before-title">Before the first bale</h2>
          <ul class="steps">
            <li>
              Set {winter.laid}
              {plural('bale', winter.laid)} out{winter.from
                ? ` about ${before(OUT_DAYS)}, while the ground carries a tractor`
                : ''}.
            </li>
            <li>
              {bales.stringsOnDay
                ? 'Net, twine and film come off each bale on its day, before stock reach it,'
                : 'Net, twine and film come off all of them before the ground freezes, film that keeps feed from spoiling on the day;'}
              and are counted back in, one for each bale: eaten, they kill.
            </li>
            <li>
              {bales.onEnd
                ? 'On their flat end they shed strings easily and take up rain: not for weeks in the wet.'
                : 'On their round side rain runs off: across the slope, chocked, or they roll.'}
            </li>
            <li>Water, shelter and a dry place to lie, on safe ground away from streams.</li>
          </ul>
          <p class="quiet fine">
            Strips along water are the product’s defaults in {unitOf('distance', open.system)};
            local rules, and for stock the veterinarian, stand above all of this.
          </p>
        </section>
      </div>
    {:else if field && !field.outline}
      <p>
        {field.name} is no longer drawn.
        <a href={`#/plan/${open.view!.id}/land/draw`}>Draw it</a>
      </p>
    {:else}
      <p role="status">Laying the bales.</p>
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
        <h2 id="form-title">{isNew ? 'Set bales out' : 'How they stand'}</h2>
        <BaleForm {bales} onchange={change} />
        <Places
          places={bales.places}
          on={at + 1}
          what="section"
          fresh={middleOf([one ? one.spots.map((s) => s.at) : (winter?.ground[0] ?? [])])}
          onchange={(places) => change({ ...bales, places })}
        />
        <div class="row">
          {#if !isNew}
            <button class="btn plain" disabled={working} onclick={remove}>Remove</button>
          {/if}
        </div>
      </section>
    {/if}
    {#if isNew && draft}
      <Sites onchoose={(fieldId) => change({ ...draft!, fieldId, counts: [] })} />
    {/if}
  {/if}
</Laid>
