<script lang="ts">
  import type { HeldByHand, HerdPlace, Seen, Walk } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import NumberField from '../form/NumberField.svelte';
  import ConditionGuide from '../herd/ConditionGuide.svelte';
  import { thePlan } from '../plan/context';
  import { againstText, birthsText, placeText, WHYS } from '../words/seen';
  import { expectedText } from '../words/walk';

  const open = thePlan();

  let {
    walk,
    name,
    folded,
  }: {
    walk: Walk;
    /** Of a field or a group. */
    name: (id: string) => string;
    /** Where there is little room it is opened when it is wanted. */
    folded: boolean;
  } = $props();

  const OFF = 'off';

  let chosen = $state('');
  let what = $state<'move' | 'count' | 'score' | 'born'>('move');
  let dams = $state<number | null>(1);
  let young = $state<number | null>(1);
  let score = $state<number | null>(null);
  let to = $state('');
  let leftCm = $state<number | null>(null);
  let head = $state<number | null>(null);
  let why = $state<(typeof WHYS)[number]['id']>('COUNTED');
  let keeping = $state(false);

  const place = $derived(walk.herds.find((h) => h.groupId === chosen));
  const kind = $derived.by(() => {
    const group = open.view!.farm.groups.find((g) => g.id === chosen);
    return open.catalogue?.kinds.find((k) => k.id === group?.kind);
  });
  const from = $derived(walk.fields.find((f) => f.fieldId === place?.fieldId));
  const field = $derived(walk.fields.find((f) => f.fieldId === to));
  const births = $derived(walk.births.find((b) => b.groupId === chosen));
  const held = (id: string): HeldByHand | undefined => walk.held.find((h) => h.fieldId === id);
  const against = $derived(field ? againstText(field, held(field.fieldId), open.system) : '');
  const options = $derived([
    { id: '', name: 'Choose' },
    ...walk.fields
      .filter((f) => f.fieldId !== place?.fieldId)
      .map((f) => ({
        id: f.fieldId,
        name: `${name(f.fieldId)}: ${againstText(f, held(f.fieldId), open.system) || expectedText(f, open.system)}`,
      })),
    { id: OFF, name: 'Off the fields, fed' },
  ]);

  function choose(h: HerdPlace) {
    chosen = chosen === h.groupId ? '' : h.groupId;
    what = 'move';
    to = '';
    leftCm = null;
    head = Math.round(h.head);
    score = null;
    why = 'COUNTED';
    dams = 1;
    young = 1;
  }
  async function keep() {
    if (!place || keeping) return;
    const on = walk.on;
    const seen: Seen[] = [];
    if (what === 'score') {
      seen.push({
        on,
        fact: { kind: 'CONDITION_SEEN', groupId: place.groupId, score: score!, weightKg: null },
      });
    } else if (what === 'born') {
      seen.push({
        on,
        fact: {
          kind: 'BIRTHS_SEEN',
          groupId: place.groupId,
          dams: dams!,
          young: young!,
          note: '',
        },
      });
    } else if (what === 'count') {
      seen.push({
        on,
        fact: { kind: 'HEAD_COUNTED', groupId: place.groupId, head: head!, why, note: '' },
      });
    } else {
      seen.push({
        on,
        fact: {
          kind: 'HERD_MOVED',
          groupId: place.groupId,
          fieldId: to === OFF ? null : to,
          note: '',
        },
      });
      if (from && leftCm !== null)
        seen.push({
          on,
          fact: {
            kind: 'COVER_SEEN',
            fieldId: from.fieldId,
            forageId: from.forageId,
            way: 'HEIGHT',
            season: from.season,
            density: 'ORDINARY',
            heightsCm: [leftCm],
            plate: [],
            perUnitKg: null,
            baseKg: null,
            clips: [],
            coverKgPerHa: null,
            deadShare: null,
            signs: [],
            note: '',
          },
        });
    }
    keeping = true;
    const kept = await open.write(seen);
    keeping = false;
    if (kept) chosen = '';
  }
</script>

<details class="panel herds" open={!folded} data-testid="herds">
  <summary><h2>Where everybody is</h2></summary>
  <ul>
    {#each walk.herds as h (h.groupId)}
      {@const born = walk.births.find((b) => b.groupId === h.groupId)}
      <li>
        <p>
          <strong>{name(h.groupId)}</strong> <span>{placeText(h, name)}</span>
          {#if born}<br /><span class="quiet" data-testid="births">{birthsText(born)}</span>{/if}
        </p>
        {#if open.mayWrite}
          <button
            class="btn plain"
            aria-expanded={chosen === h.groupId}
            aria-label={`${name(h.groupId)}: moved, counted or scored`}
            onclick={() => choose(h)}>Write down</button
          >
        {/if}
        {#if chosen === h.groupId}
          <div class="form">
            <div class="tabs" role="group" aria-label="What is written down">
              <button aria-pressed={what === 'move'} onclick={() => (what = 'move')}>Moved</button>
              <button aria-pressed={what === 'count'} onclick={() => (what = 'count')}
                >Counted</button
              >
              {#if births}
                <button aria-pressed={what === 'born'} onclick={() => (what = 'born')}>Born</button>
              {/if}
              {#if kind?.guide}
                <button aria-pressed={what === 'score'} onclick={() => (what = 'score')}
                  >Condition</button
                >
              {/if}
            </div>
            {#if what === 'move'}
              <Choice label="Brought to" value={to} {options} onchange={(v) => (to = v)} />
              {#if against}
                <p class="against" role="alert">
                  {name(to)}: {against}. Written down, it says what happened; it opens nothing. Look
                  again before animals go in.
                </p>
              {/if}
              {#if from}
                <NumberField
                  name="measured.heightCm"
                  label={`Height left on ${name(from.fieldId)}`}
                  optional
                  value={leftCm}
                  onchange={(v) => (leftCm = v)}
                />
              {/if}
              <p class="quiet fine">
                From the morning of this day on until the next move. After the last one the plan
                goes on from there.
              </p>
            {:else if what === 'score' && kind?.guide}
              <ConditionGuide guide={kind.guide} {score} onchoose={(s) => (score = s)} />
            {:else if what === 'born'}
              <div class="two">
                <NumberField name="births.dams" value={dams} onchange={(v) => (dams = v)} />
                <NumberField name="births.young" value={young} onchange={(v) => (young = v)} />
              </div>
              <p class="quiet fine">
                On this day. From the first to the last that is written down the plan takes these
                for all there were, and the rest as still to come: write every birth, or none. A dam
                that loses her young counts, with none that live.
              </p>
            {:else}
              <NumberField name="counted.head" value={head} onchange={(v) => (head = v)} />
              <Choice
                label="Because"
                value={why}
                options={WHYS}
                onchange={(v) => (why = v as typeof why)}
              />
              <p class="quiet fine">
                Young with their dams are not counted. From this day on the plan feeds so many.
              </p>
            {/if}
            <button
              class="btn preset-filled-primary-500 tall"
              disabled={keeping ||
                (what === 'move'
                  ? to === ''
                  : what === 'count'
                    ? head === null
                    : what === 'born'
                      ? dams === null || young === null
                      : score === null)}
              onclick={keep}>Keep</button
            >
          </div>
        {/if}
      </li>
    {/each}
  </ul>
</details>

<style>
  .herds {
    padding: 0.7rem 1rem;
    min-width: 0;
  }
  summary {
    min-height: 44px;
    display: flex;
    align-items: center;
    justify-content: space-between;
  }
  summary::after {
    content: '+';
    font-size: 24px;
    font-weight: 700;
    color: var(--cobalt);
  }
  [open] > summary::after {
    content: '−';
  }
  ul {
    display: grid;
    gap: 0.3rem;
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.3rem 0.8rem;
    align-items: center;
  }
  li + li {
    border-top: 1px solid var(--line);
    padding-top: 0.3rem;
  }
  li > button {
    min-height: 44px;
  }
  .form {
    grid-column: 1 / -1;
    display: grid;
    gap: 0.6rem;
    padding: 0.6rem 0 0.8rem;
  }
  .tabs {
    display: flex;
  }
  .tabs button {
    min-height: 44px;
    padding: 0 1rem;
    font-weight: 600;
    border-bottom: 3px solid transparent;
  }
  .tabs [aria-pressed='true'] {
    background: var(--frost);
    border-bottom-color: var(--cobalt);
  }
  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.6rem;
  }
  .against {
    color: var(--bare-dark);
    font-weight: 600;
  }
  .tall {
    min-height: 50px;
  }
</style>
