import { describe, expect, it } from 'vitest';
import { holdWords, ofTen, sureWords, yearName } from './thousand';

const named = (kg: number) =>
  [0.1, 0.5, 0.8, 0.9, 0.95, 1].map((share) => ({
    share,
    season: 'seed:4',
    bareKg: share * kg,
    firstBareDay: 100,
  }));
const result = (more: object) =>
  ({ years: 1000, fed: 400, dayKg: 900, shortByTenth: 155, named: named(31000), ...more }) as never;
const hold = (more: object) =>
  ({
    share: 0.9,
    units: 188,
    unitName: 'round bale',
    missingKg: 60000,
    insuranceKg: 30000,
    fedBefore: 400,
    fedAfter: 904,
    years: 1000,
    cost: 6960.4,
    ...more,
  }) as never;

describe('a thousand years', () => {
  it('are told in tenths, and in hundreds where that would say none or all', () => {
    expect(ofTen(404, 1000)).toBe('4 of 10');
    expect(ofTen(37, 1000)).toBe('4 of 100');
    expect(ofTen(981, 1000)).toBe('98 of 100');
    expect(ofTen(999, 1000)).toBe('999 of 1,000');
    expect(ofTen(1000, 1000)).toBe('10 of 10');
  });
  it('say how sure a plan is', () => {
    expect(sureWords(result({}), '2027-09-01', 'METRIC')).toBe(
      'Feed lasts in 4 of 10 years. In one year of ten it falls short by 3 Feb; 27.9 t or more are missing in the worst tenth.',
    );
    expect(sureWords(result({ fed: 1000 }), '2027-09-01', 'METRIC')).toBe(
      'Feed lasts in every one of 1,000 simulated years.',
    );
    expect(sureWords(result({ fed: 960, named: named(900) }), '2027-09-01', 'METRIC')).toContain(
      'In the hardest 0.9 t are missing.',
    );
  });
  it('say what to hold and how much of it is insurance', () => {
    expect(holdWords(hold({}), 'USD', 'METRIC')).toContain(
      'To be sure in 9 of 10 years: hold 188 round bales more, USD 6,960.',
    );
    expect(holdWords(hold({}), 'USD', 'METRIC')).toContain('5 tenths of that is insurance');
    expect(holdWords(hold({ insuranceKg: 6000 }), 'USD', 'METRIC')).toContain(
      'A tenth of that is insurance',
    );
    expect(holdWords(hold({ units: 0, fedAfter: 950 }), 'USD', 'METRIC')).toContain('nothing more');
    expect(holdWords(hold({ units: 0, fedAfter: 400 }), 'USD', 'METRIC')).toContain('no amount');
  });
  it('have names for the season switch', () => {
    expect(yearName(0.8)).toBe('A year like the worst in five');
  });
});
