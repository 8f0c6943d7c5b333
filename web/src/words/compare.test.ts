import { describe, expect, test } from 'vitest';
import type { YearView } from '../api/client';
import { compared, comparedWords, onlyIn } from './compare';

/** Ten days, of which some are bare by 100 kg each. */
function year(bareFrom: number, bareTo: number, cost = 0): YearView {
  const bareKg = Array.from({ length: 10 }, (_, d) => (d >= bareFrom && d < bareTo ? 100 : 0));
  const bare = bareKg.reduce((a: number, b) => a + b, 0);
  return {
    start: '2027-10-01',
    days: 10,
    bareKg,
    storeKg: [50, 40, 30, 20, 10, 0, 0, 0, 5, 8],
    fields: [{ cutKg: 1000, grownKg: 3000, wastedKg: 100 }],
    costs: { total: cost },
    total: {
      needKg: 1000,
      growingKg: 1000 - bare,
      standingKg: 0,
      putByKg: 0,
      boughtInKg: 0,
      bareKg: bare,
    },
    gaps: bare ? [{ kind: 'STORE', firstDay: bareFrom, lastDay: bareTo - 1 }] : [],
  } as never;
}

describe('two years', () => {
  test('are told by their bare days, what is missing and when it begins', () => {
    expect(comparedWords(year(4, 6), year(2, 6), 'METRIC')).toBe(
      '2 days fewer bare than there (2 against 4), 0.2 t less missing. The gap begins on 5 October, 2 days later.',
    );
    expect(comparedWords(year(0, 0), year(2, 3), 'METRIC')).toBe(
      'No day is bare here, against 1 there.',
    );
    expect(comparedWords(year(0, 0), year(0, 0), 'METRIC')).toBe('Feed lasts in both.');
    expect(comparedWords(year(1, 3), year(1, 3), 'METRIC')).toBe('Both are bare on 2 days.');
  });

  test('figure by figure, alike where they read alike', () => {
    const rows = compared(year(4, 6, 120), year(2, 6, 90), 'METRIC', 'EUR');
    const row = (name: string) => rows.find((r) => r.name === name)!;
    expect(row('Days bare')).toEqual({
      name: 'Days bare',
      here: '2 days',
      there: '4 days',
      difference: '2 days less',
    });
    expect(row('Feeding costs').difference).toBe('EUR 30 more');
    expect(row('Grown').difference).toBe('');
    expect(row('Store at its lowest').here).toBe('0.0 t');
  });

  test('what only one does', () => {
    expect(onlyIn(['a', 'b'], ['b', 'c'])).toEqual(['a']);
  });
});
