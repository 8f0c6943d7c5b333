import { describe, expect, it } from 'vitest';
import type { Sureness } from '../api/client';
import { closedIn, sureText } from './sure';

/** Four years in which 0, 2, 8 and 20 t are missing; a day's feed is a tonne. */
const ALL: Sureness = {
  dayKg: 1000,
  closedBefore: 1,
  closedAfter: 1,
  years: [0, 2000, 8000, 20000].map((kg, i) => ({
    season: `seed:${i + 3}`,
    bareKgBefore: kg,
    bareKgAfter: kg,
  })),
};

describe('how sure', () => {
  it('names the year that the wanted share is no harder than', () => {
    expect(sureText(ALL, ALL.years[2], 0.75, 'METRIC')).toBe(
      'As the plan stands, it is closed in 1 of 4 simulated years. It is looked at in simulated year 5: in 3 of 4 no more is missing than the 8.0 t of that year.',
    );
  });
  it('says when nothing is to be done', () => {
    expect(sureText(ALL, ALL.years[0], 0.25, 'METRIC')).toContain('nothing needs to be done');
  });
  it('says none rather than 0', () => {
    expect(closedIn(0, 20)).toBe('it is closed in none of 20 simulated years');
  });
});
