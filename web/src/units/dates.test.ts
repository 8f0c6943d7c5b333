import { describe, expect, it } from 'vitest';
import { dayOf, endAfter, isoOf, lastDay, longDay, movedMonthDay } from './dates';

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

  it('moves a day of the year, over its end too', () => {
    expect(movedMonthDay('--03-01', 42)).toBe('--04-12');
    expect(movedMonthDay('--12-30', 5)).toBe('--01-04');
    expect(movedMonthDay('--01-03', -7)).toBe('--12-27');
  });
});
