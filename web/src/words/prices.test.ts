import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { money, PRICE_GROUPS, PRICE_UNITS, priceUnit, seasonText } from './prices';

const rows = readFileSync('../core/src/main/resources/wiselarder/reference/prices.csv', 'utf8')
  .split('\n')
  .slice(1)
  .filter(Boolean);

describe('prices', () => {
  it('have a word for every unit and group of the table', () => {
    for (const row of rows) {
      const group = row.split(',')[1];
      const unit = /,(usd_\w+),/.exec(row)?.[1];
      expect(PRICE_GROUPS, row).toHaveProperty(group);
      expect(PRICE_UNITS, row).toHaveProperty(String(unit));
    }
    expect(rows.length).toBeGreaterThan(200);
  });

  it('are shown for the units the farm uses', () => {
    // 100 a hectare are 40.47 an acre; 100 a tonne are 90.72 a short ton
    expect(100 * priceUnit('usd_per_ha', 'IMPERIAL').of).toBeCloseTo(40.47, 2);
    expect(100 * priceUnit('usd_per_t_as_fed', 'IMPERIAL').of).toBeCloseTo(90.72, 2);
    expect(priceUnit('usd_per_kg_live', 'IMPERIAL').each).toBe('a lb live');
    expect(priceUnit('usd_per_bale', 'METRIC')).toEqual(priceUnit('usd_per_bale', 'IMPERIAL'));
  });

  it('are rounded as their size deserves', () => {
    expect(money(0.6123)).toBe('0.61');
    expect(money(17)).toBe('17');
    expect(money(136.08)).toBe('136');
    expect(money(43048.2)).toBe('43,048');
  });

  it('say how they move over the year', () => {
    expect(seasonText([])).toBe('');
    expect(seasonText([1, 1.2, 1, 1, 1, 1, 1, 0.8, 1, 1, 1, 1])).toBe(
      '50% dearer in Feb than in Aug',
    );
  });
});
