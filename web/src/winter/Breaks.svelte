<script lang="ts">
  import { tick } from 'svelte';
  import type { BreakField, BreakWinter } from '../api/client';
  import { printAlone } from '../form/printed';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { fullDate, longDate } from '../units/dates';
  import { amount, figure, unitOf } from '../units/units';
  import {
    breakText,
    breakTitle,
    breakVerdict,
    breakWarning,
    compass,
    DAILY_CHECKS,
    grazierText,
    groundText,
    rampText,
    passesText,
    rationText,
    residueChecks,
  } from '../words/breaks';
  import { daysOf } from '../words/winter';
  import DietWeeks from './DietWeeks.svelte';
  import BreakDrawing from './BreakDrawing.svelte';
  import BreakForm from './BreakForm.svelte';
  import { freshBreaks, likelyFirst, middleOf, withOwnStep } from './breaks';
  import Laid from './Laid.svelte';
  import { Laying } from './laying.svelte';
  import Places from './Places.svelte';
  import Strip from './Strip.svelte';
  import WrittenPlan from './WrittenPlan.svelte';

  const open = thePlan();

  const laying = new Laying<BreakField, BreakWinter>(open, {
    items: () => open.view!.plan.breaks,
    ask: (laid) =>
      laid ? open.api.breaksWith(open.view!.id, laid) : open.api.breaks(open.view!.id),
    put: (putBreaks) => ({ putBreaks }),
    remove: (removeBreaks) => ({ removeBreaks }),
  });
  let page = $state<HTMLElement>();
  let every = $state(false);

  const plan = $derived(open.view!.plan);
  const farm = $derived(open.view!.farm);
  const drawn = $derived(likelyFirst(farm.fields));
  const breaks = $derived(laying.item);
  const field = $derived(farm.fields.find((f) => f.id === breaks?.fieldId));
  const winter = $derived(laying.winter);
  const at = $derived(Math.min(laying.place, Math.max(0, (winter?.breaks.length ?? 1) - 1)));
  const one = $derived(winter?.breaks.at(at) ?? null);
  const fieldName = (id: string) => farm.fields.find((f) => f.id === id)?.name ?? id;
  const groupName = (id: string) => farm.groups.find((g) => g.id === id)?.name ?? id;
  const verdict = $derived(winter && field ? breakVerdict(winter, field.name, groupName) : '');

  async function begin() {
    const id = freshId(
      'breaks',
      plan.breaks.map((b) => b.id),
    );
    const made = freshBreaks(id, drawn[0], plan);
    laying.begin(made);
    try {
      // the usual way, from the far side to the water, where there is water
      const found = (await open.api.breaksWith(open.view!.id, made)).find((w) => w.id === id);
      if (laying.draft === made && typeof found?.betterDeg === 'number')
        laying.draft = { ...made, towardsDeg: found.betterDeg };
    } catch (e) {
      laying.wrong = open.explain(e);
    }
  }
  type Spell = Pick<BreakWinter['groups'][number], 'groupId' | 'from' | 'firstBirth'>;
  /** Who would do with a step of its own: those that come and go, or where nobody comes, anybody. */
  const sendable = $derived.by((): Spell[] => {
    const told = winter?.cautions.map((c) => c.warning) ?? [];
    if (told.includes('COME_AND_GO')) return winter!.groups;
    const from = breaks?.fromInclusive ?? open.year.start;
    return told.includes('NOT_GRAZED')
      ? farm.groups.map((g) => ({ groupId: g.id, from, firstBirth: null }))
      : [];
  });
  /** On it every day, before whatever else they are given. */
  function ownStep(g: Spell) {
    const id = freshId(
      `${g.groupId}-breaks`,
      plan.steps.map((s) => s.id),
    );
    const own = {
      id,
      groupId: g.groupId,
      fromInclusive: g.from,
      toExclusive: g.firstBirth && g.firstBirth > g.from ? g.firstBirth : null,
    };
    const steps = withOwnStep(plan.steps, own, breaks!.fieldId);
    return laying.edit([{ setFeeding: { groupId: g.groupId, steps } }]);
  }
  const moved = (i: number, to: Partial<BreakField['places'][number]['at']>) =>
    laying.change({
      places: breaks!.places.map((p, j) => (j === i ? { ...p, at: { ...p.at, ...to } } : p)),
    });
  /** With every break and its day. */
  async function print() {
    every = true;
    await tick();
    if (page) printAlone(page);
  }
</script>

<Laid bind:page>
  {#if drawn.length === 0}
    <header>
      <h1>Fed off in breaks</h1>
      <p>
        Breaks are drawn inside the shape of a field, and no field is drawn yet.
        <a href={`#/plan/${open.view!.id}/land/draw`}>Draw the fields</a>
      </p>
    </header>
  {:else if !breaks}
    <header>
      <h1>Fed off in breaks</h1>
      <p>
        A crop, a stockpile or standing stalks last longest behind a wire that is moved on each day.
        How much ground each break takes follows from what the plan feeds there; from the far, high
        side towards the low side and the water, so that what is bare lies above ground that still
        holds.
      </p>
      {#if open.mayPlan}<button class="btn preset-filled-primary-500" onclick={begin}
          >Lay breaks on a field</button
        >{/if}
    </header>
  {:else}
    <header>
      <h1 data-testid="break-verdict">{verdict || (field ? `${field.name}: not drawn` : '')}</h1>
      <div class="bar no-print">
        {#if plan.breaks.length > 1 || laying.isNew}
          <div class="pieces" role="group" aria-label="Breaks on">
            {#each plan.breaks as b (b.id)}
              <button
                class="btn plain"
                aria-pressed={b.id === breaks.id}
                onclick={() => laying.look(b.id)}>{fieldName(b.fieldId)}</button
              >
            {/each}
          </div>
        {/if}
        {#if open.mayPlan && !laying.draft}
          <button class="btn plain" onclick={begin}>Lay breaks on another field</button>
        {/if}
        {#if laying.draft}
          <button
            class="btn preset-filled-primary-500"
            disabled={laying.working || !winter || laying.wrong !== ''}
            onclick={() => laying.keep()}>Save it</button
          >
          <button class="btn plain" onclick={() => laying.leave()}>Leave as it was</button>
        {:else}
          <button class="btn plain" onclick={print}>Print the plan</button>
        {/if}
      </div>
      {#if laying.wrong}<p class="warn" role="alert" data-testid="break-refusal">
          {laying.wrong}
        </p>{/if}
    </header>
    {#if winter && field?.outline}
      <div class="drawing">
        <BreakDrawing
          outline={field.outline}
          {breaks}
          {winter}
          chosen={at}
          system={open.system}
          summary={`${verdict} Drawn to scale, north is up; the wire is moved to the ${compass(breaks.towardsDeg)}.`}
          onchoose={(i) => (laying.place = i)}
          onplace={open.mayPlan ? (i, to) => moved(i, to) : undefined}
        />
        <Strip
          sections={winter.breaks}
          one="Break"
          colour="#7dad69"
          chosen={at}
          onchoose={(i) => (laying.place = i)}
        />
      </div>
      <div class="facts">
        {#if one}
          <section class="panel no-print" aria-labelledby="break-title" data-testid="break">
            <h2 id="break-title">{breakTitle(one, at)}</h2>
            <p>{breakText(one, open.system)}</p>
            <p>{rationText(one, open.system)}</p>
            <div class="row">
              <button class="btn plain" disabled={at === 0} onclick={() => (laying.place = at - 1)}
                >Before</button
              >
              <button
                class="btn plain"
                disabled={at + 1 >= winter.breaks.length}
                onclick={() => (laying.place = at + 1)}>Next</button
              >
            </div>
          </section>
        {/if}
        <section class="panel" aria-labelledby="ground-title" data-testid="break-ground">
          <h2 id="ground-title">The piece</h2>
          <dl>
            <div>
              <dt>Free of water, strips, hollows, old pads</dt>
              <dd>
                {figure(winter.netHa, 'area', open.system)} of {amount(
                  winter.areaHa,
                  'area',
                  open.system,
                )}
              </dd>
            </div>
            {#if winter.from}
              <div>
                <dt>Come to, as the plan stands</dt>
                <dd>{amount(winter.eatenHa, 'area', open.system)}</dd>
              </div>
              <div>
                <dt>Eaten of it, dry matter</dt>
                <dd>{amount(winter.eatenKgPerHa, 'massPerArea', open.system)}</dd>
              </div>
            {/if}
          </dl>
          {#if passesText(winter, open.system)}<p>{passesText(winter, open.system)}</p>{/if}
          {#each winter.cautions as c, i (i)}
            <p class="warn" role="note">{breakWarning(c, winter, groupName, open.system)}</p>
          {/each}
        </section>
        {#if winter.groups.length || sendable.length}
          <section class="panel" aria-labelledby="stock-title" data-testid="break-stock">
            <h2 id="stock-title">Who is on it</h2>
            {#each winter.groups as g (g.groupId)}<p>{grazierText(g, groupName)}</p>{/each}
            {#if winter.ramp.length}<p>{rampText(winter)}</p>{/if}
            {#if open.mayPlan}
              {#each sendable as g (g.groupId)}
                <button
                  class="btn plain no-print"
                  disabled={laying.working}
                  onclick={() => ownStep(g)}
                  >{winter.groups.length ? 'Keep' : 'Send'}
                  {groupName(g.groupId)}
                  {winter.groups.length ? 'on it' : 'there'} from {longDate(g.from)}{g.firstBirth
                    ? ' until the first births'
                    : ''}</button
                >
              {/each}
            {/if}
            <p class="fine no-print">
              Who grazes it, and until when, is in the
              <a href={`#/plan/${open.view!.id}/herd`}>order of feeds</a>.
            </p>
          </section>
        {/if}
        {#if winter.weeks.length}<DietWeeks weeks={winter.weeks} />{/if}
        <section class="panel" aria-labelledby="daily-title">
          <h2 id="daily-title">Each day</h2>
          <ul class="steps">
            {#each [...residueChecks(winter, open.system), ...DAILY_CHECKS] as c (c)}<li>
                {c}
              </li>{/each}
          </ul>
          <p class="quiet fine">
            Strips along water are the product’s defaults; local rules, and for stock the
            veterinarian, stand above all of this. Hollows and wet runs stay in grass. A crop sown
            at once afterwards takes up what they leave:
            <a href={`#/plan/${open.view!.id}/land?field=${breaks.fieldId}`}>{field.name}</a>.
          </p>
        </section>
      </div>
    {:else if field && !field.outline}
      <p>
        {field.name} is no longer drawn.
        <a href={`#/plan/${open.view!.id}/land/draw`}>Draw it</a>
      </p>
    {:else}
      <p role="status">{laying.wrong ? '' : 'Drawing the breaks.'}</p>
    {/if}
    {#if winter && winter.breaks.length}
      <details class="every" bind:open={every}>
        <summary>Every break</summary>
        <table data-testid="every-break">
          <thead
            ><tr
              ><th scope="col">Break</th><th scope="col">Given</th><th scope="col">Days</th><th
                scope="col">Ground</th
              ><th scope="col">Head</th><th scope="col">From it, {unitOf('perDay', open.system)}</th
              ><th scope="col">Beside it</th></tr
            ></thead
          >
          <tbody>
            {#each winter.breaks as b, i (i)}
              <tr
                ><th scope="row">{i + 1}</th><td class="day">{fullDate(b.from)}</td><td
                  class="figure">{daysOf(b)}</td
                ><td class="figure">{groundText(b.areaHa, open.system)}</td><td class="figure"
                  >{Math.round(b.head)}</td
                ><td class="figure">{figure(b.kgPerHead, 'perDay', open.system)}</td><td
                  class="figure">{figure(b.besideKgPerHead, 'perDay', open.system)}</td
                ></tr
              >
            {/each}
          </tbody>
        </table>
      </details>
    {/if}
    {#if open.mayPlan}
      <section
        class="panel form wide no-print"
        aria-labelledby="laid-title"
        data-testid="break-form"
      >
        <h2 id="laid-title">{laying.isNew ? 'Lay breaks' : 'How they lie'}</h2>
        <BreakForm
          {breaks}
          betterDeg={winter?.betterDeg ?? null}
          onchange={(b) => laying.change(b)}
        />
        <Places
          places={breaks.places}
          on={at + 1}
          fresh={middleOf(one?.rings.length ? one.rings : (winter?.ground ?? []))}
          onchange={(places) => laying.change({ places })}
        />
        {#if !laying.isNew}
          <div class="row">
            <button class="btn plain" disabled={laying.working} onclick={() => laying.remove()}
              >Remove these breaks</button
            >
          </div>
        {/if}
      </section>
    {/if}
    <WrittenPlan {breaks} onchange={(written) => laying.change({ written })} />
  {/if}
</Laid>

<style>
  .day {
    white-space: nowrap;
  }
</style>
