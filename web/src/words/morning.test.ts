import { describe, expect, test } from 'vitest';
import type { FarmMorning } from '../api/client';
import {
  ageWords,
  byWords,
  fedWords,
  fileQuery,
  plainDate,
  progressWords,
  verdictMore,
  verdictName,
} from './morning';

function morning(more: Partial<FarmMorning> = {}): FarmMorning {
  return {
    farm: 'f',
    name: 'Larch Fold',
    demo: false,
    role: 'PLANNER',
    plan: 'p',
    planName: '2026/27',
    units: 'METRIC',
    verdict: 'FALLS_SHORT',
    day: '2026-11-30',
    lookedFrom: '2026-11-30',
    bareOn: '2027-02-20',
    missingKg: 26271,
    bareInTenOn: '2027-02-11',
    fed: 12,
    years: 200,
    until: '2027-08-31',
    nextOn: '2026-12-14',
    nextLast: '2026-12-20',
    next: 'Wean the young of Cows',
    late: 0,
    lateJob: null,
    lateSince: null,
    lastSeen: null,
    reckonedAt: null,
    changed: false,
    waiting: false,
    failed: false,
    ...more,
  };
}

describe('how a farm stands', () => {
  test('is said with what is missing, in the units of the farm', () => {
    expect(verdictName(morning())).toBe('Falls short');
    expect(verdictMore(morning())).toBe('26.3 t missing');
    expect(verdictMore(morning({ units: 'IMPERIAL' }))).toBe('29.0 tons missing');
    expect(fedWords(morning())).toBe('lasts in 12 of 200 years');
  });

  test('of a plan that has not begun says from when', () => {
    const ahead = morning({ verdict: 'LASTS', missingKg: 0, lookedFrom: '2027-09-01' });
    expect(verdictMore(ahead)).toBe('plan from 1 Sep 2027');
    expect(verdictMore({ ...ahead, lookedFrom: '2026-11-30' })).toBe('');
  });

  test('is not said before it was reckoned, nor where it could not be', () => {
    const none = morning({ verdict: null, missingKg: null, day: null, fed: null, years: null });
    expect(verdictName(none)).toBe('Not reckoned yet');
    expect(verdictMore(none)).toBe('');
    expect(fedWords(none)).toBe('');
    expect(verdictName({ ...none, failed: true })).toBe('Could not be reckoned');
    expect(fedWords(morning({ verdict: 'NOBODY' }))).toBe('');
  });
});

test('days are said as people say them', () => {
  expect(ageWords(null, '2026-11-30')).toBe('never');
  expect(ageWords('2026-11-30', '2026-11-30')).toBe('today');
  expect(ageWords('2026-11-29', '2026-11-30')).toBe('yesterday');
  expect(ageWords('2026-11-18', '2026-11-30')).toBe('12 days ago');
  expect(ageWords('2026-06-30', '2026-11-30')).toBe('5 months ago');
  expect(plainDate('2027-02-20')).toBe('20 Feb 2027');
  expect(byWords(morning())).toBe('14 Dec 2026, last day 20 Dec 2026');
  expect(byWords(morning({ nextLast: '2026-12-14' }))).toBe('14 Dec 2026');
  expect(byWords(morning({ nextOn: null }))).toBe('');
});

test('how far all are', () => {
  expect(progressWords({ farms: 3000, changed: 40, waiting: 1200 })).toBe(
    '3,000 farms; 1,200 still to be reckoned.',
  );
  expect(progressWords({ farms: 3, changed: 1, waiting: 0 })).toBe(
    '3 farms; 1 changed since or not of today.',
  );
  expect(progressWords({ farms: 1, changed: 0, waiting: 0 })).toBe(
    '1 farm, all as they stand this morning.',
  );
});

test('a file is asked for as the page is', () => {
  expect(fileQuery({ find: 'a b', order: 'NAME' }, 'IMPERIAL', 'CSV')).toBe(
    'find=a+b&order=NAME&units=IMPERIAL&format=CSV',
  );
});
