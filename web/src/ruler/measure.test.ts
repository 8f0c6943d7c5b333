import { describe, expect, test } from 'vitest';
import { askedShelves, asShelved, inUnitsOf, type Shelved } from './measure';

const zero = [0, 0, 0, 0];
const year: Shelved = {
  start: '2027-09-01',
  days: 4,
  needKg: [24, 24, 24, 24],
  growingKg: [24, 12, 0, 24],
  standingKg: zero,
  putByKg: zero,
  boughtInKg: zero,
  bareKg: [0, 12, 24, 0],
  grownKg: zero,
  gaps: [],
  total: { needKg: 96, growingKg: 60, standingKg: 0, putByKg: 0, boughtInKg: 0, bareKg: 36 },
};

describe('shelves in another measure', () => {
  test('are asked for only where the year does not hold them', () => {
    expect(askedShelves('mass', '')).toBeNull();
    expect(askedShelves('aud', '')).toBeNull();
    expect(askedShelves('aud', 'cows')).toEqual({
      measure: 'DRY_MATTER',
      groupId: 'cows',
      block: null,
    });
    expect(askedShelves('protein', '')).toEqual({
      measure: 'PROTEIN',
      groupId: null,
      block: null,
    });
    expect(askedShelves('mass', '', 'Home')).toEqual({
      measure: 'DRY_MATTER',
      groupId: null,
      block: 'Home',
    });
  });

  test('in animal units are so many of their dry matter', () => {
    const units = inUnitsOf(year, 12);
    expect(units.needKg).toEqual([2, 2, 2, 2]);
    expect(units.total.bareKg).toBe(3);
  });

  test('name the days on which something lacks, but for what the tables do not know', () => {
    const shown = asShelved(year, {
      need: [100, 100, 100, 100],
      growing: [98, 60, 50, 100],
      standing: zero,
      putBy: zero,
      boughtIn: zero,
      lacking: [2, 40, 50, 0],
    });
    expect(shown.gaps).toHaveLength(1);
    expect(shown.gaps[0]).toMatchObject({
      firstDay: 1,
      lastDay: 2,
      shortDays: 2,
      shortKg: 90,
      deepestDay: 2,
      deepestKg: 50,
    });
    expect(shown.total.bareKg).toBe(92);
  });
});
