import { describe, expect, test } from 'vitest';
import {
  aheadSentence,
  carried,
  greenSentence,
  landSentence,
  stockedMonths,
  stockingSentence,
} from './outlook';

const month = (m: string, needKg: number, eatableKg: number) => ({
  month: m,
  startDay: 0,
  endDay: 30,
  needKg,
  eatableKg,
  leftKg: Math.max(0, eatableKg - needKg),
});

describe('days ahead', () => {
  const o = {
    inFrontKg: [20000, 19000, 18000],
    storedKg: [5000, 5000, 5000],
    lastsDays: [1, 1, 0],
    lastsWithStoreDays: [2, 1, 0],
    bareInNormalDays: [-1, -1, -1],
    bareInDryDays: [2, 1, -1],
  };

  test('say how long it lasts if nothing grows, and the next bare day of two years', () => {
    expect(aheadSentence(o, '2027-11-01', 0, 'METRIC')).toBe(
      'On 1 November 20.0 t stand in front of the herd. If nothing more grew they would last 1 day, ' +
        'to 2 November; with the 5.0 t in store to the end of the plan. In a normal year no day of ' +
        'the plan is bare after it; in a dry one the next bare day is 3 November, 2 days on.',
    );
  });
});

describe('stocking', () => {
  /** An animal unit eats 10 kg a day: 300 kg a month. */
  const months = stockedMonths(
    {
      months: [
        month('2028-01', 3000, 0),
        month('2028-04', 3000, 9000),
        month('2028-05', 3000, 6000),
        month('2028-06', 3000, 3300),
        month('2028-07', 3000, 2400),
      ],
    },
    10,
  );

  test('each month against its herd', () => {
    expect(months.map((m) => m.state)).toEqual([
      'dormant',
      'under',
      'under',
      'about right',
      'over',
    ]);
    expect(months[1].carries).toBeCloseTo(30);
    expect(months[1].there).toBeCloseTo(10);
  });

  test('what most of the growing months carry, and what the flush tempts to', () => {
    // 30, 20, 11 and 8 animal units: three of four carry 11
    expect(carried(months)).toEqual({ season: 11, flush: 30 });
    expect(stockingSentence(months, 1.38)).toBe(
      'The land carries at least 11 animal units through most of its growing months; at most 10 animal units ' +
        'are there. April alone would carry 30 animal units: a herd bought for it is too many for the ' +
        'rest. More is asked of it than grows in 2 of 5 months, less in 3. Over the whole plan growth ' +
        'that would be eaten is 1.4 times the need.',
    );
  });
});

describe('what the land is for', () => {
  const uses = [
    { use: 'GRAZED' as const, ha: [60, 40], mostHa: 60 },
    { use: 'CROP' as const, ha: [10, 10], mostHa: 10 },
    { use: 'SHUT' as const, ha: [30, 30], mostHa: 30 },
    { use: 'FOR_A_CUT' as const, ha: [0, 20], mostHa: 20 },
  ];

  test('says when least of it is open, and what the rest is for', () => {
    const land = { wholeHa: 100, narrowestDay: 1, uses };
    expect(landSentence(land, '2027-09-01', 'METRIC')).toBe(
      'Least is open to the herd on 2 September: 50.00 ha of 100.00 ha, 50%. ' +
        '30.00 ha shut for later, 20.00 ha kept for a cut.',
    );
  });

  test('says that all of it is', () => {
    const open = [{ use: 'GRAZED' as const, ha: [100], mostHa: 100 }];
    expect(
      landSentence({ wholeHa: 100, narrowestDay: 0, uses: open }, '2027-09-01', 'METRIC'),
    ).toBe('All 100.00 ha are open to the herd all year.');
    expect(landSentence({ wholeHa: 0, narrowestDay: 0, uses: [] }, '2027-09-01', 'METRIC')).toBe(
      'There is no land in the plan yet.',
    );
  });
});

describe('green and useful', () => {
  const at = (fieldId: string, greenDay: number, usefulDay: number) => ({
    fieldId,
    forageId: 'x',
    greenDay,
    usefulDay,
    nightC: 4,
  });
  const say = (all: ReturnType<typeof at>[]) => greenSentence(all, '2027-09-01', (id) => id);

  test('says which is first, when it is of use, and how far the last lags behind', () => {
    expect(say([at('Home', 191, 210), at('Saddle', 240, 262)])).toBe(
      'Home is green first, on 10 March, and of use from 29 March, 19 days later. ' +
        'Saddle greens up last, 49 days after it.',
    );
    expect(say([at('Home', 360, -1)])).toContain('does not come to a first use');
    expect(say([])).toContain('No stand here wakes');
  });
});
