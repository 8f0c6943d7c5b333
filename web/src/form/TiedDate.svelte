<script lang="ts">
  import Link from '@lucide/svelte/icons/link-2';
  import type { MarkDates } from '../api/client';
  import { thePlan } from '../plan/context';
  import { isoOf, longDate } from '../units/dates';
  import { dateAt, markName, nearestMark, tieAt, tieText, type Tie } from '../words/anchors';
  import DateField from './DateField.svelte';

  const open = thePlan();

  let {
    label,
    name = undefined,
    value,
    shownAfter = 0,
    tie,
    fieldId = null,
    onchange,
    ontie,
  }: {
    label: string;
    name?: string;
    /** As it is shown; a last day is a day before the one that is kept. */
    value: string | null;
    shownAfter?: 0 | -1;
    /** What the date goes by; null where it is a plain one. */
    tie: Tie | null;
    /** The field whose green-up it may go by. */
    fieldId?: string | null;
    onchange: (iso: string | null) => void;
    ontie: (tie: Tie | null) => void;
  } = $props();

  let choosing = $state(false);
  const marks = $derived(open.marks ?? []);
  const offers = $derived(
    marks.filter((m: MarkDates) => m.mark !== 'GREEN_UP' || m.ofId === fieldId),
  );
  const nameOf = (id: string) =>
    [...open.view!.farm.fields, ...open.view!.farm.groups].find((x) => x.id === id)?.name ?? id;
  const kept = (iso: string) => isoOf(iso, -shownAfter);
  const keyOf = (t: Pick<Tie, 'mark' | 'ofId'>) => `${t.mark}/${t.ofId ?? ''}`;

  $effect(() => {
    if (tie || choosing) void open.needMarks();
  });
  function typed(iso: string | null) {
    onchange(iso);
    if (tie) ontie(iso ? tieAt(marks, tie, kept(iso)) : null);
  }
  function choose(key: string) {
    const mark = offers.find((m) => keyOf(m) === key);
    if (!mark) {
      choosing = false;
      ontie(null);
      return;
    }
    const of = { mark: mark.mark, ofId: mark.ofId };
    const date = value ?? nearestMark(marks, of, isoOf(open.view!.plan.year.start, 182))!;
    if (!value) onchange(isoOf(date, shownAfter));
    ontie(tieAt(marks, { ...of, daysAfter: 0 }, value ? kept(value) : date));
  }
  function distance(text: string) {
    const days = Math.round(Number(text));
    if (!tie || !value || !Number.isFinite(days) || text.trim() === '') return;
    const daysAfter = Math.max(-365, Math.min(365, days - shownAfter));
    onchange(isoOf(dateAt(marks, tie, kept(value), daysAfter), shownAfter));
    ontie({ ...tie, daysAfter });
  }
  /** What the mark is in this plan's year. */
  const markDate = $derived(
    tie && value ? nearestMark(marks, tie, isoOf(kept(value), -tie.daysAfter)) : null,
  );
</script>

<div class="tied">
  <DateField {label} {name} {value} onchange={typed} />
  {#if tie || choosing}
    <label class="by">
      <span>{label} goes by</span>
      <select
        class="select"
        value={tie ? keyOf(tie) : ''}
        onchange={(e) => choose(e.currentTarget.value)}
      >
        <option value="">the calendar: a plain date</option>
        {#each offers as m (keyOf(m))}<option value={keyOf(m)}>{markName(m, nameOf)}</option>{/each}
      </select>
    </label>
    {#if tie}
      <label class="by">
        <span>days after it (before: minus)</span>
        <input
          class="input figure"
          type="number"
          min="-365"
          max="365"
          value={tie.daysAfter + shownAfter}
          oninput={(e) => distance(e.currentTarget.value)}
        />
      </label>
      <p class="quiet" data-testid="tie">
        {tieText(tie, nameOf, tie.daysAfter + shownAfter)}{markDate
          ? `, here ${longDate(markDate)}`
          : ''}
      </p>
    {/if}
  {:else if open.mayPlan}
    <button class="tie" onclick={() => (choosing = true)}
      ><Link size={14} aria-hidden="true" /> Tie to a mark of the year<span class="visually-hidden"
        >: {label}</span
      ></button
    >
  {/if}
</div>

<style>
  .tied {
    display: grid;
    align-content: start;
    gap: 0.25rem;
  }
  .tie {
    display: flex;
    gap: 0.3rem;
    align-items: center;
    justify-self: start;
    min-height: 1.9rem;
    font-size: 13px;
    color: var(--cobalt);
    cursor: pointer;
  }
  .tie:hover {
    text-decoration: underline;
  }
  .by {
    display: grid;
    font-size: 13px;
  }
  .quiet {
    font-size: 13px;
  }
  @media (pointer: coarse) {
    .tie {
      min-height: 44px;
    }
  }
</style>
