<script lang="ts">
  import type { ReadingLine } from '../api/client';
  import { thePlan } from '../plan/context';
  import Photos from './Photos.svelte';
  import RecordList from '../records/RecordList.svelte';
  import { Written } from '../records/written.svelte';
  import { shortDate } from '../units/dates';
  import { amount, figure, unitOf } from '../units/units';
  import { seenText } from '../words/seen';

  const open = thePlan();

  let { readings }: { readings: ReadingLine[] } = $props();

  const written = new Written(() => null);
  const name = (id: string) => {
    const { fields, groups } = open.view!.farm;
    return [...fields, ...groups].find((thing) => thing.id === id)?.name ?? id;
  };
  const KINDS = [
    'HERD_MOVED',
    'HEAD_COUNTED',
    'BIRTHS_SEEN',
    'PHOTO_TAKEN',
    'CONDITION_SEEN',
    'STEMS_SEEN',
    'STAKE_SEEN',
    'FIELD_HELD',
    'FIELD_OPENED',
    'NOTICED',
  ] as const;
  const others = $derived(
    KINDS.flatMap((kind) => written.of(kind))
      .sort((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : 0))
      .map((l) => {
        const note = 'note' in l.fact && l.fact.note ? `; ${l.fact.note}` : '';
        return { ...l, text: `${shortDate(l.on)}: ${seenText(l.fact, name, open.system)}${note}` };
      }),
  );
  const WAYS = { HEIGHT: 'by stick', PLATE: 'by plate', CLIP: 'by frames', EYE: 'by eye' };
  const lines = $derived(
    written.of('COVER_SEEN').map((l) => ({
      ...l,
      text: `${shortDate(l.on)}: ${name(l.fact.fieldId)}, ${WAYS[l.fact.way]}${l.fact.note ? `; ${l.fact.note}` : ''}`,
    })),
  );
  const newest = $derived([...readings].sort((a, b) => (a.on < b.on ? 1 : -1)));
</script>

{#if readings.length || lines.length}
  <section aria-labelledby="readings-title" data-testid="readings">
    <h2 id="readings-title">Read so far</h2>
    {#if newest.length}
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="scroll" tabindex="0" role="region" aria-label="Readings so far">
        <table>
          <thead>
            <tr>
              <th scope="col">Field</th>
              <th scope="col">Day</th>
              <th scope="col">Stood, {unitOf('massPerArea', open.system)}</th>
              <th scope="col">Expected</th>
              <th scope="col">Grew, {unitOf('rate', open.system)}</th>
              <th scope="col">Expected</th>
            </tr>
          </thead>
          <tbody>
            {#each newest as r (`${r.fieldId} ${r.on}`)}
              <tr>
                <th scope="row">{name(r.fieldId)}</th>
                <td>{shortDate(r.on)}</td>
                <td
                  class="figure"
                  title={`between ${amount(r.lowKgPerHa, 'massPerArea', open.system)} and ${amount(r.highKgPerHa, 'massPerArea', open.system)}`}
                  >{figure(r.coverKgPerHa, 'massPerArea', open.system)}</td
                >
                <td class="figure">{figure(r.expectedKgPerHa, 'massPerArea', open.system)}</td>
                <td class="figure"
                  >{r.growthKgPerHaDay === null
                    ? ''
                    : figure(r.growthKgPerHaDay, 'rate', open.system)}</td
                >
                <td class="figure"
                  >{r.usualKgPerHaDay === null
                    ? ''
                    : figure(r.usualKgPerHaDay, 'rate', open.system)}</td
                >
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      <p class="quiet fine">
        Grew: this cover less the last one, with what the plan has had taken in between, by the
        days.
        <a href={`/api/plans/${open.view!.id}/walk/readings/file?units=${open.system}`}
          >As a list for a spreadsheet</a
        >
      </p>
    {/if}
    <RecordList {lines} what="reading" />
  </section>
{/if}
{#if others.length}
  <section aria-labelledby="others-title" data-testid="seen-so-far">
    <h2 id="others-title">Seen besides</h2>
    <Photos {written} {name} />
    <RecordList lines={others} what="record" />
    <p class="quiet fine">
      <a href={`/api/plans/${open.view!.id}/walk/seen/file?units=${open.system}`}
        >All of it as a list for a spreadsheet</a
      >
    </p>
  </section>
{/if}

<style>
  section {
    grid-column: 1 / -1;
  }
  .scroll {
    overflow-x: auto;
  }
  table {
    border-collapse: collapse;
    background: var(--panel);
  }
  th,
  td {
    padding: 0.3rem 0.8rem;
    border-bottom: 1px solid var(--line);
    text-align: left;
  }
  td.figure {
    text-align: right;
  }
</style>
