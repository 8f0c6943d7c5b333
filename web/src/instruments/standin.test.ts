import { describe, expect, test } from 'vitest';
import { clicksAt, drawn, plateTable, stationTable, weekBefore } from './standin';

const mean = (of: number[]) => of.reduce((s, n) => s + n, 0) / of.length;

describe('a simulated plate', () => {
  test('reads about what stands, the same from the same seed', () => {
    const line = { perClickKg: 140, baseKg: 500 };
    const one = clicksAt(1900, line, drawn(7));
    expect(one).toHaveLength(30);
    // (1900 - 500) / 140 = 10 clicks, a quarter of it from spot to spot
    expect(mean(one)).toBeGreaterThan(8.5);
    expect(mean(one)).toBeLessThan(11.5);
    expect(new Set(one).size).toBeGreaterThan(3);
    expect(clicksAt(1900, line, drawn(7))).toEqual(one);
    expect(clicksAt(1900, line, drawn(8))).not.toEqual(one);
  });

  test('never reads less than nothing', () => {
    const bare = clicksAt(0, { perClickKg: 140, baseKg: 500 }, drawn(1));
    expect(Math.min(...bare)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...bare)).toBeLessThan(4);
  });

  test('writes a row for each spot, names with commas in quotes', () => {
    expect(plateTable('North, low', '2028-04-20', [9, 11])).toBe(
      'field,time,clicks\n"North, low",2028-04-20T08:00,9\n"North, low",2028-04-20T08:01,11\n',
    );
  });
});

describe('a simulated station', () => {
  test('writes the week before a day', () => {
    const days = weekBefore('2028-03-02', 'DRY', drawn(3));
    expect(days.map((d) => d.date)).toEqual([
      '2028-02-24',
      '2028-02-25',
      '2028-02-26',
      '2028-02-27',
      '2028-02-28',
      '2028-02-29',
      '2028-03-01',
    ]);
    expect(days.every((d) => d.rainMm === 0 && d.tmaxC >= d.tminC + 2)).toBe(true);
    const table = stationTable(days.slice(0, 1));
    expect(table).toBe(
      `date,tmin_c,tmax_c,rain_mm\n2028-02-24,${days[0].tminC},${days[0].tmaxC},0\n`,
    );
  });

  test('has the weather that is asked for', () => {
    const rain = (s: 'STORM' | 'SHOWERS') =>
      weekBefore('2028-03-02', s, drawn(3)).map((d) => d.rainMm);
    expect(Math.max(...rain('STORM'))).toBeGreaterThan(44);
    expect(rain('STORM').filter((mm) => mm > 0)).toHaveLength(1);
    expect(Math.max(...rain('SHOWERS'))).toBeLessThan(7.1);
    expect(weekBefore('2028-03-02', 'FROST', drawn(3)).some((d) => d.tminC < 0)).toBe(true);
  });
});
