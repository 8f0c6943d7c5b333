import { describe, expect, it } from 'vitest';
import { dayOf, endAfter, isoOf, lastDay, longDay } from './dates';

describe('days of the plan', () => {
  it('count across a leap day and a change of clocks', () => {
    expect(dayOf('2027-09-01', '2028-02-29')).toBe(181);
    expect(isoOf('2027-09-01', 181)).toBe('2028-02-29');
    expect(dayOf('2027-03-27', '2027-03-29')).toBe(2);
  });

  it('show the last day of a half-open range', () => {
    expect(lastDay('2028-03-01')).toBe('2028-02-29');
    expect(endAfter('2028-02-29')).toBe('2028-03-01');
  });

  it('are named in words', () => {
    expect(longDay('2027-09-01', 176)).toBe('24 February');
  });
});
