<script lang="ts">
  import type { FarmMorning } from '../api/client';
  import FeedAhead from '../ruler/FeedAhead.svelte';
  import { dayOf, isoOf, today } from '../units/dates';
  import {
    ageWords,
    byWords,
    fedWords,
    plainDate,
    verdictMore,
    verdictName,
  } from '../words/morning';
  import { mornings, type Order } from './mornings.svelte';

  let { rows }: { rows: FarmMorning[] } = $props();

  const now = today();
  const COLUMNS: { order: Order; name: string; said?: string }[] = [
    { order: 'NAME', name: 'Farm' },
    { order: 'WORST', name: 'Stands' },
    { order: 'BARE', name: 'Normal', said: 'Short from, in a normal year' },
    { order: 'IN_TEN', name: 'One in ten', said: 'Short by, in one year of ten' },
    { order: 'NEXT', name: 'Next decision' },
    { order: 'LATE', name: 'Late jobs' },
    { order: 'SEEN', name: 'Seen' },
  ];

  /** One scale for all rows, so that they can be compared down the page. */
  const scale = $derived.by(() => {
    const looked = rows.filter((r) => r.lookedFrom && r.until);
    const from = looked.map((r) => r.lookedFrom!).reduce((a, b) => (a < b ? a : b), '9999-12-31');
    const until = looked.map((r) => r.until!).reduce((a, b) => (a > b ? a : b), '');
    return looked.length ? { start: from, days: dayOf(from, until) + 1 } : null;
  });
  const LETTERS = 'JFMAMJJASOND';
  /** Where months begin on the scale: every one, or every third where they are many. */
  const months = $derived.by(() => {
    if (!scale) return [];
    const each = scale.days > 430 ? 3 : 1;
    const found: { at: number; letter: string; year: string }[] = [];
    for (let d = 0; d < scale.days; d++) {
      const iso = isoOf(scale.start, d);
      const month = Number(iso.slice(5, 7)) - 1;
      if (iso.endsWith('-01') && month % each === 0)
        found.push({
          at: (100 * d) / scale.days,
          letter: LETTERS[month],
          year: month === 0 ? iso.slice(2, 4) : '',
        });
    }
    return found;
  });
  const sorted = (order: Order) =>
    mornings.order !== order ? 'none' : mornings.back ? 'descending' : 'ascending';
</script>

<div class="wide">
  <table class="panel">
    <thead>
      <tr>
        {#each COLUMNS as c (c.order)}
          <th scope="col" aria-sort={sorted(c.order)}>
            <button onclick={() => mornings.sort(c.order)} title={c.said}
              >{c.name}<span aria-hidden="true"
                >{mornings.order === c.order ? (mornings.back ? ' ↑' : ' ↓') : ''}</span
              ></button
            >
          </th>
          {#if c.order === 'WORST'}
            <th scope="col" class="ahead">
              <span class="visually-hidden">Feed ahead</span>
              <span class="months" aria-hidden="true">
                {#each months as m (m.at)}<span style:left={`${m.at}%`}
                    >{m.year ? `’${m.year}` : m.letter}</span
                  >{/each}
              </span>
            </th>
          {/if}
        {/each}
      </tr>
    </thead>
    <tbody>
      {#each rows as m (m.farm)}
        <tr class:old={m.changed}>
          <th scope="row">
            {#if m.plan}
              <a href={`#/plan/${m.plan}`}>{m.name}</a>
            {:else}
              <span>{m.name}</span>
            {/if}
            <small
              >{[
                m.planName,
                m.demo ? 'demo' : '',
                m.waiting ? 'waits' : m.changed ? 'changed since' : '',
              ]
                .filter(Boolean)
                .join(', ')}</small
            >
          </th>
          <td class="verdict {(m.verdict ?? 'none').toLowerCase()}">
            <b>{verdictName(m)}</b>
            <small>{verdictMore(m)}</small>
          </td>
          <td class="ahead">
            {#if scale && m.lookedFrom && m.until && m.verdict !== 'NOBODY'}
              <FeedAhead
                start={scale.start}
                days={scale.days}
                from={m.lookedFrom}
                until={m.until}
                bareOn={m.bareOn}
                bareInTenOn={m.bareInTenOn}
              />
            {/if}
          </td>
          <td data-name="Normal year"
            >{m.bareOn ? plainDate(m.bareOn) : m.verdict ? 'lasts' : ''}</td
          >
          <td data-name="One in ten">
            {m.bareInTenOn ? plainDate(m.bareInTenOn) : m.verdict ? 'lasts' : ''}
            <small>{fedWords(m)}</small>
          </td>
          <td data-name="Next" class="next">
            {#if m.next && m.nextOn}{m.next}<small title={byWords(m)}>{plainDate(m.nextOn)}</small
              >{:else if m.verdict}<span class="quiet">none planned</span>{/if}
          </td>
          <td data-name="Late jobs" title={m.lateJob}>
            {#if m.late}<b class="late">{m.late}</b><small>last {ageWords(m.lateSince, now)}</small
              >{:else if m.verdict}<span class="quiet">none</span>{/if}
          </td>
          <td data-name="Seen">{m.verdict ? ageWords(m.lastSeen, now) : ''}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .wide {
    overflow-x: auto;
  }
  table {
    width: 100%;
  }
  th,
  td {
    padding: 0.4rem 0.6rem;
    border-bottom: 1px solid var(--line);
    vertical-align: top;
    text-align: left;
  }
  thead th {
    padding-block: 0.1rem;
    vertical-align: bottom;
    border-bottom: 2px solid var(--line);
  }
  thead button {
    font-weight: 600;
    min-height: 2.25rem;
    white-space: nowrap;
    cursor: pointer;
  }
  thead button:hover {
    text-decoration: underline;
  }
  tbody th {
    min-width: 11rem;
    color: var(--ink);
  }
  tbody a {
    color: var(--cobalt);
    font-weight: 600;
  }
  small {
    display: block;
    font-size: 13px;
    font-weight: 400;
    color: var(--quiet);
  }
  tbody tr:hover {
    background: var(--frost);
  }
  .next {
    min-width: 11rem;
  }
  td[data-name='Late jobs'],
  td[data-name='Normal year'],
  td[data-name='One in ten'],
  td[data-name='Seen'] {
    white-space: nowrap;
  }
  .verdict {
    border-left: 5px solid transparent;
    white-space: nowrap;
  }
  .would_not_live,
  .short_now {
    border-left-color: var(--bare-dark);
  }
  .would_not_live b,
  .short_now b,
  .late {
    color: var(--bare-dark);
  }
  .falls_short {
    border-left-color: var(--bare);
  }
  .short_in_ten {
    border-left-color: var(--standing);
  }
  .lasts {
    border-left-color: var(--growing);
  }
  .ahead {
    min-width: 9rem;
    width: 20%;
  }
  .months {
    position: relative;
    display: block;
    height: 1.4rem;
    font-size: 13px;
    font-weight: 400;
  }
  .months span {
    position: absolute;
  }
  /* On a phone each farm is a card of its own. */
  @media (max-width: 760px) {
    table,
    tbody,
    tbody tr,
    tbody th,
    td {
      display: block;
    }
    thead {
      position: absolute;
      left: -999rem;
    }
    tbody tr {
      padding: 0.5rem 0;
      border-bottom: 2px solid var(--line);
    }
    th,
    td {
      border-bottom: 0;
      padding: 0.15rem 0.75rem;
    }
    td.ahead {
      width: auto;
    }
    td[data-name]::before {
      content: attr(data-name) ': ';
      color: var(--quiet);
    }
    td[data-name] {
      white-space: normal;
    }
    td small {
      display: inline;
      margin-left: 0.4rem;
    }
  }
</style>
