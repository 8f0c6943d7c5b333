import { describe, expect, test } from 'vitest';
import type { Anchor, MarkDates } from '../api/client';
import { dateAt, goesBy, nearestMark, tieAt, tieText, type Tie } from './anchors';

const FROST: MarkDates = {
  mark: 'FIRST_FROST_50',
  ofId: null,
  dates: ['2026-10-21', '2027-10-21', '2028-10-20'],
};
const BIRTH: MarkDates = { mark: 'FIRST_BIRTH', ofId: 'cows', dates: ['2027-03-20'] };
const MARKS = [FROST, BIRTH];
const nameOf = (id: string) => ({ cows: 'Cows', saddle: 'Saddle' })[id] ?? id;
const frost = (daysAfter: number): Tie => ({ mark: 'FIRST_FROST_50', ofId: null, daysAfter });

describe('what a date goes by', () => {
  test('is said with its distance', () => {
    expect(tieText(frost(-60), nameOf)).toBe(
      '60 days before the usual first frost (5 years in 10)',
    );
    expect(tieText({ mark: 'FIRST_BIRTH', ofId: 'cows', daysAfter: 1 }, nameOf)).toBe(
      '1 day after the first birth of Cows',
    );
    expect(tieText({ mark: 'GREEN_UP', ofId: 'saddle', daysAfter: 0 }, nameOf)).toBe(
      'on the day of green-up of Saddle',
    );
  });

  test('is the mark of the year that lies nearest', () => {
    expect(nearestMark(MARKS, frost(0), '2027-05-01')).toBe('2027-10-21');
    expect(nearestMark(MARKS, frost(0), '2027-04-01')).toBe('2026-10-21');
    expect(nearestMark(MARKS, { mark: 'WEANING', ofId: 'cows' }, '2027-04-01')).toBeNull();
  });

  test('takes the distance of a date that is typed, and gives the date of a distance', () => {
    expect(tieAt(MARKS, frost(-60), '2027-09-21')).toEqual(frost(-30));
    expect(dateAt(MARKS, frost(-30), '2027-09-21', -41)).toBe('2027-09-10');
    // a long way before it is still that year's
    expect(dateAt(MARKS, frost(-200), '2027-04-04', -190)).toBe('2027-04-14');
  });

  test('is told of each date of a thing; of a step its last day', () => {
    const anchor = (of: Partial<Anchor>): Anchor => ({
      what: 'CLOSING',
      itemId: 'c',
      part: 'FROM',
      ...frost(-60),
      ...of,
    });
    const all = [
      anchor({}),
      anchor({ part: 'TO', daysAfter: 20 }),
      anchor({ what: 'FEEDING', itemId: 's', part: 'TO', daysAfter: 1 }),
    ];
    expect(goesBy(all, 'CLOSING', 'c', nameOf)).toMatch(
      /^It begins 60 days before .*, opens 20 days after .*\.$/,
    );
    expect(goesBy(all, 'FEEDING', 's', nameOf)).toMatch(
      /^It ends on the day of the usual first frost/,
    );
    expect(goesBy(all, 'CUT', 'c', nameOf)).toBe('');
  });
});
