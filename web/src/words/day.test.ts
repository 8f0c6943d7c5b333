import { describe, expect, test } from 'vitest';
import { daySentence, surplus } from './day';

const DAYS = 60;
const all = (value: number) => new Array<number>(DAYS).fill(value);

function year(more: object = {}) {
  return {
    start: '2028-02-01',
    days: DAYS,
    needKg: all(1000),
    growingKg: all(0),
    standingKg: all(0),
    putByKg: all(700),
    boughtInKg: all(0),
    bareKg: all(300),
    grownKg: all(40),
    offeredKg: all(12_000),
    storeKg: all(500),
    ...more,
  };
}

describe('a day in one sentence', () => {
  test('says what is wanted, what gives it, what is bare, what grows and stands', () => {
    expect(daySentence(year(), 19, 'METRIC')).toBe(
      'Sun 20 Feb 2028. 1,000 kg wanted: put by 700, bare 300. The fields grow 40 kg; ' +
        '12.0 t of feed stand above what must be left, 0.5 t in store.',
    );
  });

  test('of which nobody asks for anything', () => {
    const away = year({ needKg: all(0), putByKg: all(0), bareKg: all(0) });
    expect(daySentence(away, 0, 'METRIC')).toContain('Nobody asks for feed.');
  });
});

describe('the flush', () => {
  test('is the longest time over which more grows than is grazed', () => {
    const grown = all(0).map((_, d) => (d >= 20 && d < 50 ? 1500 : 0));
    const grazed = all(0).map((_, d) => (d >= 20 && d < 50 ? 1000 : 0));
    expect(surplus(year({ grownKg: grown, growingKg: grazed }))).toEqual({
      fromDay: 20,
      toDay: 50,
      kg: 30 * 500,
    });
  });

  test('is none where stock eat what grows', () => {
    expect(surplus(year({ grownKg: all(1000), growingKg: all(1000) }))).toBeNull();
  });
});
