import { describe, expect, test } from 'vitest';
import type { Job, JobMoved } from '../api/client';
import {
  byWeek,
  datesWords,
  due,
  headline,
  hoursWords,
  isLate,
  markWords,
  movedWords,
  waitingWords,
  weekName,
  weekOf,
} from './jobs';

function job(day: string, more: Partial<Job> = {}): Job {
  return {
    key: `CUT/${day}/2027`,
    kind: 'CUT',
    title: `Cut ${day}`,
    why: '',
    needs: '',
    who: 'MACHINES',
    forWhom: '',
    fieldId: null,
    earliest: day,
    day,
    latest: day,
    hours: 0,
    severity: '',
    thing: 'CUT',
    itemId: 'x',
    mark: null,
    ...more,
  };
}
function marked(
  mark: 'DONE' | 'MOVED' | 'DROPPED',
  to: string | null = null,
  why = '',
): Job['mark'] {
  return { record: 'r', mark, on: '2028-05-20', to, why, who: 'Ann' };
}
const moved = (bareKg: number, storeKg: number): JobMoved => ({
  bareKg,
  storeKg,
  edits: [{ putCut: {} as never }],
});

describe('jobs', () => {
  test('are late past their last day while they are open', () => {
    const j = job('2028-05-22', { latest: '2028-05-30' });
    expect(isLate(j, '2028-05-30')).toBe(false);
    expect(isLate(j, '2028-05-31')).toBe(true);
    expect(isLate({ ...j, mark: marked('DONE') }, '2028-06-30')).toBe(false);
    expect(isLate({ ...j, mark: marked('MOVED', '2028-06-10') }, '2028-06-09')).toBe(false);
    expect(isLate({ ...j, mark: marked('MOVED', '2028-06-10') }, '2028-06-11')).toBe(true);
  });

  test('the headline says what is late and what is next', () => {
    const jobs = [job('2028-05-22'), job('2028-06-05')];
    expect(headline([], '2028-05-01')).toBe('The plan asks for nothing to be done yet.');
    expect(headline(jobs, '2028-05-01')).toBe('Next, 22 May 2028: Cut 2028-05-22.');
    expect(headline(jobs, '2028-05-22')).toBe('Now: Cut 2028-05-22.');
    expect(headline(jobs, '2028-05-25')).toBe('1 job late. Next, 5 June 2028: Cut 2028-06-05.');
    expect(headline(jobs, '2028-07-01')).toBe('2 jobs late.');
    expect(headline([job('2028-05-22', { mark: marked('DONE') })], '2028-07-01')).toBe(
      'Everything is done.',
    );
  });

  test('stand in the week they are due in, also once moved', () => {
    expect(weekOf('2028-05-28')).toBe('2028-05-22');
    expect(weekOf('2028-05-22')).toBe('2028-05-22');
    const late = job('2028-05-22', { mark: marked('MOVED', '2028-06-06') });
    const weeks = byWeek([late, job('2028-05-24'), job('2028-06-05')]);
    expect(weeks.map((w) => [w.monday, w.jobs.length])).toEqual([
      ['2028-05-22', 1],
      ['2028-06-05', 2],
    ]);
    expect(due(late)).toBe('2028-06-06');
    expect(datesWords(late)).toBe('6 Jun 2028, moved from 22 May');
    expect(weekName('2028-06-05', '2028-06-07')).toBe('This week');
    expect(weekName('2028-06-12', '2028-06-07')).toBe('Next week');
    expect(weekName('2028-06-19', '2028-06-07')).toBe('Week of 19 June 2028');
  });

  test('say what waiting costs, in words that fit', () => {
    const j = job('2028-05-22');
    expect(waitingWords(undefined, j, 'METRIC')).toBe('');
    expect(waitingWords(20, j, 'METRIC')).toBe('A week later costs next to nothing.');
    expect(waitingWords(1500, j, 'METRIC')).toBe('A week later costs 1.5 t of feed.');
    expect(waitingWords(-1500, j, 'METRIC')).toBe(
      'A week later leaves 1.5 t more feed at the end, riper and worth less.',
    );
    expect(waitingWords(-1500, { ...j, kind: 'SHUT' }, 'METRIC')).toBe(
      'A week later leaves 1.5 t more feed at the end.',
    );
  });

  test('moved past the last day they say what the year loses', () => {
    const j = job('2028-05-22', { earliest: '2028-05-08', latest: '2028-05-30' });
    expect(movedWords(moved(2000, -1000), j, '2028-06-20', 'METRIC')).toBe(
      'That is past 30 May, the last day on which it does what it is for. 2.0 t more missing over the plan. 1.0 t less in store at its end.',
    );
    expect(movedWords(moved(0, 0), j, '2028-05-25', 'METRIC')).toBe('The year stays as it is.');
    expect(movedWords({ bareKg: 0, storeKg: 0, edits: [] }, j, '2028-05-25', 'METRIC')).toBe(
      'The plan cannot take it then: something else stands there.',
    );
    const count = { ...j, thing: null };
    expect(movedWords(moved(0, 0), count, '2028-05-25', 'METRIC')).toBe(
      'No other day of the plan hangs on it.',
    );
  });

  test('say who did what and why', () => {
    expect(markWords(job('2028-05-22', { mark: marked('DROPPED', null, 'Sold standing') }))).toBe(
      'Dropped 20 May by Ann: Sold standing',
    );
    expect(hoursWords(0.05)).toBe('');
    expect(hoursWords(1)).toBe('1.0 hour');
    expect(hoursWords(13.3)).toBe('13 hours');
  });
});
