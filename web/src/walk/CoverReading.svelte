<script lang="ts">
  import type {
    CoverSeen,
    FieldToWalk,
    ReadingLine,
    SwardSign,
    Walk,
    WalkAnswer,
  } from '../api/client';
  import { keepPhoto, type Shot } from '../device/photos';
  import Choice from '../form/Choice.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { thePlan } from '../plan/context';
  import CoverTrace, { type Dot } from '../ruler/CoverTrace.svelte';
  import { dayOf } from '../units/dates';
  import { rounded, toSi, unitOf } from '../units/units';
  import {
    differenceText,
    movesText,
    offLineText,
    clippedText,
    paceText,
    plateText,
    signTitle,
    signWord,
    standsText,
    useText,
  } from '../words/walk';
  import PhotoTaker from './PhotoTaker.svelte';
  import { plateLine } from './plate';
  import { answerTo } from './reckon';
  import Ways from './Ways.svelte';

  const open = thePlan();

  let {
    field,
    walk,
    readings,
    signs,
    onkept,
  }: {
    field: FieldToWalk;
    walk: Walk;
    /** Of this field. */
    readings: ReadingLine[];
    /** What is to be looked at here. */
    signs: SwardSign[];
    onkept: () => void;
  } = $props();

  const on = $derived(walk.on);
  const plate = $derived(walk.plates.find((p) => p.fieldId === field.fieldId)?.line ?? null);
  const clipped = $derived(walk.clipped.find((c) => c.forageId === field.forageId));
  const stays = $derived(walk.moves.filter((m) => m.fieldId === field.fieldId));

  type Way = CoverSeen['way'];
  const WAYS: { id: Way; name: string }[] = [
    { id: 'HEIGHT', name: 'Stick' },
    { id: 'PLATE', name: 'Plate' },
    { id: 'CLIP', name: 'Frames' },
    { id: 'EYE', name: 'By eye' },
  ];
  const SEASONS: { id: CoverSeen['season']; name: string }[] = [
    { id: 'SPRING', name: 'Spring growth' },
    { id: 'SUMMER', name: 'Summer growth' },
    { id: 'AUTUMN', name: 'Autumn growth' },
    { id: 'WINTER_STANDING', name: 'Standing after growth stopped' },
  ];
  const DENSITIES: { id: CoverSeen['density']; name: string }[] = [
    { id: 'THIN', name: 'thin' },
    { id: 'ORDINARY', name: 'ordinary' },
    { id: 'DENSE', name: 'dense' },
  ];
  const DEAD = [
    { id: 0, name: 'none' },
    { id: 0.25, name: '¼' },
    { id: 0.5, name: '½' },
    { id: 0.75, name: '¾' },
  ];
  const half = open.system === 'IMPERIAL' ? 0.5 : 1;
  const LOOKS = $derived([
    { id: 'expected', name: 'as expected', kg: field.expectedKgPerHa },
    ...(field.lastKgPerHa === null
      ? []
      : [{ id: 'last', name: 'as last time', kg: field.lastKgPerHa }]),
  ]);
  const line = $derived(plateLine(field.forageId, plate));

  let way = $state<Way>('HEIGHT');
  /** Where one begins with plus and minus; nothing is kept that nobody has read. */
  const expected = $derived(
    field.expectedCm === null
      ? 10 * half
      : Math.round(rounded(field.expectedCm, 'depth', open.system) / half) * half,
  );
  let heights = $state('');
  let plates = $state('');
  let clips = $state('');
  /** Of each frame, where the stick was held beside it. */
  let beside = $state('');
  let eyeKg = $state<number | null>(null);
  let perUnitSet = $state<number | null>(null);
  const perUnitKg = $derived(perUnitSet ?? line.perUnitKg);
  let baseSet = $state<number | null>(null);
  const baseKg = $derived(baseSet ?? line.baseKg);
  let frameM2 = $state(0.25);
  let dmShare = $state(0.22);
  /** As the plants are thought to be until somebody says otherwise. */
  let said = $state<CoverSeen['season'] | null>(null);
  const season = $derived(said ?? field.season);
  let density = $state<CoverSeen['density']>('ORDINARY');
  let dead = $state<number | null>(null);
  let shown = $state<Record<string, string>>({});
  let note = $state('');
  let answer = $state.raw<WalkAnswer | null>(null);
  let wrong = $state('');
  let keeping = $state(false);
  let shots = $state.raw<Shot[]>([]);

  const numbers = (text: string) =>
    text
      .trim()
      .split(/[\s;]+/)
      .filter((t) => t !== '')
      .map((t) => Number(t.replace(',', '.')));
  const typed = $derived(
    way === 'HEIGHT' ? numbers(heights) : way === 'PLATE' ? numbers(plates) : numbers(clips),
  );
  const offLine = $derived(way === 'PLATE' ? offLineText(plate, line.own, typed) : '');
  const besides = $derived(way === 'CLIP' ? numbers(beside) : []);
  const uneven = $derived(besides.length > 0 && besides.length !== typed.length);
  const reading = $derived.by((): CoverSeen | null => {
    if (uneven || !besides.every(Number.isFinite)) return null;
    if (way === 'EYE' ? eyeKg === null : !typed.length || !typed.every(Number.isFinite))
      return null;
    return {
      kind: 'COVER_SEEN',
      fieldId: field.fieldId,
      forageId: field.forageId,
      way,
      season,
      density,
      heightsCm: (way === 'HEIGHT' ? typed : besides).map((n) => toSi(n, 'depth', open.system)),
      plate: way === 'PLATE' ? typed : [],
      perUnitKg: way === 'PLATE' ? perUnitKg : null,
      baseKg: way === 'PLATE' ? baseKg : null,
      clips: way === 'CLIP' ? typed.map((freshG) => ({ freshG, dmShare, frameM2 })) : [],
      coverKgPerHa: way === 'EYE' ? eyeKg : null,
      deadShare: dead,
      signs: Object.entries(shown)
        .filter(([, value]) => value !== '')
        .map(([signId, value]) => ({ signId, value })),
      note,
    };
  });

  /** One question at a time; what was asked before the last change is not shown. */
  let asking = 0;
  let left = false;
  $effect(() => () => (left = true));
  $effect(() => {
    const asked = reading;
    const number = ++asking;
    wrong = '';
    if (asked === null) {
      answer = null;
      return;
    }
    const wait = setTimeout(() => void ask(number, asked), 90);
    return () => clearTimeout(wait);
  });
  $effect(() => () => (asking = -1));
  async function ask(number: number, asked: CoverSeen) {
    try {
      const found = await answerTo(open, on, asked);
      if (number === asking) answer = found;
    } catch (e) {
      if (number !== asking) return;
      answer = null;
      wrong = open.explain(e);
    }
  }

  function step(by: number) {
    const one = numbers(heights);
    const mean = one.length ? one.reduce((s, n) => s + n, 0) / one.length : expected;
    heights = String(Math.max(0, Math.round((mean + by * half) / half) * half));
  }
  async function keep() {
    if (!reading || keeping) return;
    keeping = true;
    line.keep(perUnitKg, baseKg);
    await Promise.all(shots.map(keepPhoto));
    const kept = await open.write([
      { on, fact: reading },
      ...shots.map(({ id }) => ({
        on,
        fact: { kind: 'PHOTO_TAKEN' as const, photoId: id, fieldId: field.fieldId, note },
      })),
    ]);
    keeping = false;
    // who went back to the round meanwhile is not taken on to another field
    if (kept && !left) onkept();
  }

  const year = $derived(open.view!.year);
  const covers = $derived(year.fields.find((f) => f.id === field.fieldId)?.coverKgPerHa ?? []);
  const at = $derived(dayOf(year.start, on));
  const dots = $derived<Dot[]>([
    ...readings
      .filter((r) => r.on !== on || !answer)
      .map((r) => ({
        day: dayOf(year.start, r.on),
        kgPerHa: r.coverKgPerHa,
        lowKgPerHa: r.lowKgPerHa,
        highKgPerHa: r.highKgPerHa,
      })),
    ...(answer
      ? [
          {
            day: at,
            kgPerHa: answer.seen.coverKgPerHa,
            lowKgPerHa: answer.seen.lowKgPerHa,
            highKgPerHa: answer.seen.highKgPerHa,
            now: true,
          },
        ]
      : []),
  ]);
  const name = $derived(open.view!.farm.fields.find((f) => f.id === field.fieldId)!.name);
  const good = $derived(answer?.ready && !field.shut);
</script>

{#if open.mayWrite}
  <Ways label="Measured by" options={WAYS} value={way} onchange={(v) => (way = v)} />
  {#if way === 'HEIGHT'}
    <div class="stepper">
      <button class="big" aria-label="Lower" onclick={() => step(-1)}>−</button>
      <label
        ><input
          class="figure"
          inputmode="text"
          aria-label={`Height, ${unitOf('depth', open.system)}`}
          placeholder={String(expected)}
          bind:value={heights}
        /><span
          >{unitOf('depth', open.system)}{typed.length > 1
            ? `, ${typed.length} readings`
            : ''}</span
        ></label
      >
      <button class="big" aria-label="Higher" onclick={() => step(1)}>+</button>
    </div>
  {:else if way === 'PLATE'}
    <label class="field"
      ><span>Readings of the plate</span>
      <input class="input figure tall" bind:value={plates} placeholder="14 16 12 15" /></label
    >
    <div class="two">
      <NumberField
        name="plate.perUnitKg"
        quantity="massPerArea"
        value={perUnitKg}
        onchange={(v) => v !== null && (perUnitSet = v)}
      />
      <NumberField
        name="plate.baseKg"
        quantity="massPerArea"
        value={baseKg}
        onchange={(v) => v !== null && (baseSet = v)}
      />
    </div>
    {#if plate && !plate.usable}
      <p class="wrong">No plate on this sward now: {plate.note}</p>
    {:else}
      <p class="quiet fine">{plateText(plate, line.own)}</p>
      {#if offLine}<p class="wrong">{offLine}</p>{/if}
    {/if}
  {:else if way === 'CLIP'}
    <label class="field"
      ><span>Fresh weights of the frames, g</span>
      <input class="input figure tall" bind:value={clips} placeholder="210 180 240" /></label
    >
    <div class="two">
      <NumberField name="clip.frameM2" value={frameM2} onchange={(v) => v && (frameM2 = v)} />
      <NumberField name="clip.dmShare" value={dmShare} onchange={(v) => v && (dmShare = v)} />
    </div>
    <label class="field"
      ><span>Height in each frame, {unitOf('depth', open.system)}, if it was read</span>
      <input class="input figure tall" bind:value={beside} /></label
    >
    {#if uneven}<p class="wrong" role="alert">
        {typed.length}
        {typed.length === 1 ? 'frame' : 'frames'} and {besides.length}
        {besides.length === 1 ? 'height' : 'heights'}: give each frame its height, or leave them
        out.
      </p>{/if}
    <p class="quiet fine">
      Frames with their heights make the table of heights your own: four of a sward or more.
    </p>
  {:else}
    <NumberField name="seen.coverKgPerHa" value={eyeKg} onchange={(v) => (eyeKg = v)} />
    <Ways
      label="It looks"
      options={LOOKS}
      value={eyeKg === null ? null : (LOOKS.find((l) => l.kg === eyeKg)?.id ?? null)}
      onchange={(id) => (eyeKg = LOOKS.find((l) => l.id === id)!.kg)}
    />
  {/if}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
{/if}
{#if answer}
  <div class="answer" class:good aria-live="polite" data-testid="walk-answer">
    <p>
      <strong>{standsText(answer, open.system)}.</strong>
      {differenceText(answer, walk.needKgPerDay)}
    </p>
    <p>{useText(answer, field, open.system, walk.needKgPerDay)}</p>
    <p class="quiet">{movesText(walk.ahead, answer.after)} {paceText(answer.paceAfter)}</p>
  </div>
{/if}
{#if open.mayWrite && way === 'HEIGHT'}
  <p class="quiet fine">
    Mean of thirty readings or more over the field, where most leaf ends; or all of them with spaces
    between.{clipped ? ` ${clippedText(clipped)}` : ''}
  </p>
  <div class="line">
    <span>The stand is</span>
    <Ways
      label="The stand is"
      options={DENSITIES}
      value={density}
      onchange={(v) => (density = v)}
    />
  </div>
{/if}
{#if covers.length && open.season === 'normal'}
  <CoverTrace
    {covers}
    start={year.start}
    {at}
    {dots}
    stays={stays.map((s) => ({ from: dayOf(year.start, s.from), to: dayOf(year.start, s.to) }))}
    rain={walk.gauge.map((r) => ({ day: dayOf(year.start, r.on), mm: r.mm }))}
    leaveKgPerHa={field.leaveKgPerHa}
    enterKgPerHa={field.enterKgPerHa}
    system={open.system}
    summary={`Cover of ${name} as the plan has it, with what was read.`}
  />
  {#if stays.length || walk.gauge.length}
    <p class="quiet fine">
      {stays.length ? 'At the foot: days on which stock were written down there. ' : ''}{walk.gauge
        .length
        ? 'From above: rain in the gauge.'
        : ''}
    </p>
  {/if}
{/if}
{#if open.mayWrite}
  <div class="line">
    <span>Brown in it</span>
    <Ways
      label="Brown in it"
      options={DEAD}
      value={dead}
      onchange={(v) => (dead = dead === v ? null : v)}
    />
  </div>
  {#each signs as s (s.id)}
    <div class="line">
      <span>{signTitle(s)}</span>
      <Ways
        wrap
        label={signTitle(s)}
        options={s.values.map((v) => ({ id: v.id, name: signWord(s, v.id), title: v.meaning }))}
        value={shown[s.id] ?? ''}
        onchange={(v) => (shown[s.id] = shown[s.id] === v ? '' : v)}
      />
    </div>
  {/each}
  {#if way === 'HEIGHT'}
    <Choice
      label="Season of the plants"
      value={season}
      options={SEASONS}
      onchange={(v) => (said = v as CoverSeen['season'])}
    />
  {/if}
  <label class="field"
    ><span>Note</span><input class="input tall" maxlength="400" bind:value={note} /></label
  >
  <PhotoTaker bind:shots />
  <p class="quiet fine">
    What a sign says is no permission: holds, label, adviser and veterinarian stand above it. A
    height is turned into mass by the stand’s own table, known to a third; clip a frame now and
    then.
  </p>
  <div class="keep">
    <button class="btn preset-filled-primary-500" disabled={!answer || keeping} onclick={keep}
      >Keep, next field</button
    >
  </div>
{/if}

<style>
  .tall {
    min-height: 44px;
  }
  .stepper {
    display: grid;
    grid-template-columns: 62px minmax(0, 1fr) 62px;
    gap: 0.6rem;
    align-items: center;
    max-width: 26rem;
  }
  .stepper input::placeholder {
    color: #93a3bb;
  }
  .big {
    min-height: 62px;
    font-size: 30px;
    font-weight: 700;
    border: 2px solid var(--cobalt);
    color: var(--cobalt);
    background: var(--panel);
  }
  .stepper label {
    display: grid;
    justify-items: center;
  }
  .stepper input {
    width: 100%;
    text-align: center;
    font-size: 38px;
    font-weight: 700;
    line-height: 1.1;
    background: transparent;
    border-bottom: 2px solid var(--line);
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 0.3rem 1rem;
    font-weight: 600;
  }
  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.6rem;
  }
  .answer {
    display: grid;
    gap: 0.25rem;
    padding: 0.6rem 0.8rem;
    border-top: 3px solid var(--standing-dark);
    background: #fbf5e0;
  }
  .answer.good {
    border-top-color: var(--growing-dark);
    background: #e8f3e5;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
  .keep {
    position: sticky;
    bottom: 0;
    display: grid;
    padding: 0.4rem 0;
    background: var(--panel);
  }
  .keep button {
    min-height: 50px;
    font-size: 17px;
  }
  @media (max-width: 760px) {
    .keep {
      bottom: 56px;
    }
  }
</style>
