<script lang="ts">
  import type { FieldToWalk, Grain, StemAnswer, StemsSeen, Walk } from '../api/client';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';
  import { thePlan } from '../plan/context';
  import { rounded, unitOf } from '../units/units';
  import { laterText, regrowText, sampleText, stageName, useNowText } from '../words/stems';
  import { stemsAnswer } from './reckon';
  import Stem from './Stem.svelte';
  import Ways from './Ways.svelte';

  const open = thePlan();

  let {
    field,
    grain,
    walk,
    onkept,
  }: {
    field: FieldToWalk;
    grain: Grain;
    walk: Walk;
    onkept: () => void;
  } = $props();

  const stages = $derived(walk.stages);
  const PURPOSES = [
    { id: 'REGROW' as const, name: 'To grow again' },
    { id: 'ONCE' as const, name: 'Taken once' },
  ];

  let stems = $state.raw<StemsSeen['stems']>([]);
  let purpose = $state<StemsSeen['purpose']>('REGROW');
  let note = $state('');
  /** Height that is looked at, cm. */
  let left = $state(10);
  let answer = $state.raw<StemAnswer | null>(null);
  let wrong = $state('');
  let keeping = $state(false);

  const known = $derived(new Map(stages.map((s) => [s.id, s])));
  const pointOf = (s: StemsSeen['stems'][number]) => s.pointCm ?? known.get(s.stageId)!.pointCm;
  const last = $derived(stems.at(-1));
  const shown = $derived(last ? known.get(last.stageId)! : stages[0]);
  const sample = $derived<StemsSeen | null>(
    stems.length
      ? {
          kind: 'STEMS_SEEN',
          fieldId: field.fieldId,
          forageId: grain.forageId,
          stems: [...stems],
          purpose,
          note,
        }
      : null,
  );

  let asking = 0;
  $effect(() => {
    const asked = sample;
    const number = ++asking;
    wrong = '';
    if (!asked) {
      answer = null;
      return;
    }
    const wait = setTimeout(() => void ask(number, asked), 150);
    return () => clearTimeout(wait);
  });
  $effect(() => () => (asking = -1));
  async function ask(number: number, asked: StemsSeen) {
    try {
      const found = await stemsAnswer(open, walk.on, asked);
      if (number !== asking) return;
      answer = found;
      if (found.setToCm !== null && !moved) left = Math.round(found.setToCm);
    } catch (e) {
      if (number !== asking) return;
      answer = null;
      wrong = open.explain(e);
    }
  }
  /** Somebody has set the height themselves. */
  let moved = $state(false);

  const add = (stageId: string) => (stems = [...stems, { stageId, pointCm: null }]);
  const measured = (pointCm: number | null) =>
    (stems = [...stems.slice(0, -1), { ...stems.at(-1)!, pointCm }]);
  async function keep() {
    if (!sample || keeping) return;
    keeping = true;
    const kept = await open.write([{ on: walk.on, fact: sample }]);
    keeping = false;
    if (kept) onkept();
  }

  const [WIDTH, HEIGHT, GROUND] = [360, 190, 176];
  const TALLEST_CM = 60;
  const tallest = $derived(Math.min(TALLEST_CM, Math.max(24, ...stems.map((s) => pointOf(s) + 4))));
  const px = $derived((cm: number) => (Math.min(cm, tallest) / tallest) * (GROUND - 34));
  const xOf = $derived((i: number) => 30 + ((i + 0.5) / Math.max(12, stems.length)) * (WIDTH - 36));
</script>

<p class="quiet">
  Cut a dozen stems or more at the ground, from all over the field, of main shoots. Split each and
  tap what it shows.
</p>
<Ways
  label="What the stand is to do"
  options={PURPOSES}
  value={purpose}
  onchange={(v) => (purpose = v)}
/>
<div class="stages" role="group" aria-label="Stages">
  {#each stages as s (s.id)}
    {@const n = stems.filter((one) => one.stageId === s.id).length}
    <button class="stage" title={s.inside} onclick={() => add(s.id)}>
      <svg viewBox="0 0 34 66" aria-hidden="true">
        <Stem stage={s.id} x={17} ground={64} point={Math.min(40, 3 + s.pointCm * 1.3)} />
      </svg>
      <span>{stageName(s.id)}</span>
      <span class="n" class:none={n === 0}
        >{n}<span class="visually-hidden"> {n === 1 ? 'stem' : 'stems'}</span></span
      >
    </button>
  {/each}
</div>
<p class="fine" aria-live="polite">
  <strong>{stageName(shown.id)}.</strong> Split: {shown.inside}. Outside: {shown.outside}.
</p>
{#if last}
  <div class="two">
    <NumberField
      name="stem.pointCm"
      value={last.pointCm}
      placeholder={String(rounded(known.get(last.stageId)!.pointCm, 'depth', open.system))}
      hint="of the last stem; without it as the table has them"
      onchange={measured}
    />
    <button class="btn plain tall" onclick={() => (stems = stems.slice(0, -1))}
      >Take the last one back</button
    >
  </div>
  <figure>
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label="The stems, with what is left">
      {#each [0, 10, 20, 30, 40, 50, 60].filter((cm) => cm <= tallest) as cm (cm)}
        <line class="scale" x1="24" x2={WIDTH} y1={GROUND - px(cm)} y2={GROUND - px(cm)} />
        <text x="20" y={GROUND - px(cm) + 4} text-anchor="end"
          >{rounded(cm, 'depth', open.system)}</text
        >
      {/each}
      {#each stems as s, i (i)}
        <g class:taken={pointOf(s) >= left && known.get(s.stageId)!.pointCm > 0.5}>
          <Stem stage={s.stageId} x={xOf(i)} ground={GROUND} point={px(pointOf(s))} />
        </g>
      {/each}
      <line class="ground" x1="24" x2={WIDTH} y1={GROUND} y2={GROUND} />
      <line class="cut" x1="24" x2={WIDTH} y1={GROUND - px(left)} y2={GROUND - px(left)} />
    </svg>
    <label class="slider">
      <span
        >Left standing: <b>{rounded(left, 'depth', open.system)} {unitOf('depth', open.system)}</b
        ></span
      >
      <input
        type="range"
        min="0"
        max={TALLEST_CM}
        step="1"
        value={left}
        oninput={(e) => {
          moved = true;
          left = Number(e.currentTarget.value);
        }}
      />
    </label>
  </figure>
{/if}
{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
{#if answer}
  <div class="answer" aria-live="polite" data-testid="stem-answer">
    <p>{sampleText(answer)} {regrowText(answer.regrowShareByCm[left], left, open.system)}</p>
    <p><strong>{useNowText(answer, purpose === 'ONCE', open.system)}</strong></p>
    <dl>
      <dt>Grazed</dt>
      <dd>{answer.graze}.</dd>
      <dt>Silage</dt>
      <dd>{answer.silage}.</dd>
      <dt>Hay</dt>
      <dd>{answer.hay}.</dd>
      <dt>Worth</dt>
      <dd>{answer.quality}.</dd>
    </dl>
    {#if answer.enough}<p class="quiet">{laterText(answer, walk.ahead, open.system)}</p>{/if}
  </div>
{/if}
{#if open.mayWrite}
  <TextField name="record.note" value={note} oninput={(v) => (note = v)} />
  <p class="quiet fine">
    Stages are taught the same everywhere; how much comes back is a rule of thumb. Nitrate after
    frost or drought, bloat and holds stand above it: adviser and veterinarian know the place.
  </p>
  <div class="keep">
    <button class="btn preset-filled-primary-500" disabled={!answer || keeping} onclick={keep}
      >Keep the stems</button
    >
  </div>
{/if}

<style>
  .stages {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(5rem, 1fr));
    gap: 4px;
  }
  .stage {
    position: relative;
    display: grid;
    justify-items: center;
    padding: 4px 2px;
    min-height: 44px;
    background: var(--panel);
    border: 1px solid #93a3bb;
    font-size: 13px;
    font-weight: 600;
    line-height: 1.15;
  }
  .stage svg {
    height: 72px;
  }
  .n {
    position: absolute;
    top: 2px;
    right: 2px;
    min-width: 1.5em;
    padding: 0 0.3em;
    text-align: center;
    background: var(--cobalt);
    color: #fff;
  }
  .none {
    display: none;
  }
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.8rem;
    align-items: end;
  }
  .tall {
    min-height: 44px;
  }
  figure {
    max-width: 34rem;
    margin: 0;
  }
  figure svg {
    width: 100%;
    background: var(--panel);
    border: 1px solid var(--line);
  }
  text {
    font-size: 11px;
    fill: var(--quiet);
  }
  .scale {
    stroke: var(--line);
  }
  .ground {
    stroke: var(--put-by-dark);
    stroke-width: 3;
  }
  .cut {
    stroke: var(--bare-dark);
    stroke-width: 2;
    stroke-dasharray: 7 4;
  }
  .taken {
    opacity: 0.4;
  }
  .slider {
    display: grid;
    gap: 0.2rem;
  }
  .slider input {
    width: 100%;
    min-height: 44px;
  }
  .answer {
    display: grid;
    gap: 0.4rem;
    padding: 0.6rem 0.8rem;
    border-top: 3px solid var(--cobalt);
    background: var(--frost);
  }
  dl {
    display: grid;
    grid-template-columns: 4.5rem minmax(0, 1fr);
    gap: 0.15rem 0.6rem;
    margin: 0;
  }
  dt {
    color: var(--quiet);
  }
  .keep button {
    width: 100%;
    min-height: 56px;
  }
</style>
