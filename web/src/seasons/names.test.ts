import { describe, expect, it } from 'vitest';
import type { Overlay, PlanView, WeatherRecord } from '../api/client';
import { inSeasonWords, overlayText, seasonOptions } from './names';

const PLAN = {
  scenarios: [{ id: 'late', name: 'Late spring', over: 'normal', overlays: [] }],
} as unknown as PlanView['plan'];
const RECORDS = [
  { id: 'yard', name: 'Yard gauge', years: [{ first: '2019-09-01', filled: {} }] },
] as unknown as WeatherRecord[];

describe('the season switch', () => {
  it('offers the usual years, scenarios and records', () => {
    const keys = seasonOptions(PLAN, RECORDS, 'normal').map((o) => o.key);
    expect(keys.slice(0, 4)).toEqual(['normal', 'dry', 'wet', 'seed:1']);
    expect(keys).toContain('scenario:late');
    expect(keys).toContain('recorded:yard:2019-09-01');
  });

  it('keeps a number that somebody typed in the list', () => {
    const options = seasonOptions(PLAN, [], 'seed:77');
    expect(options.at(-1)).toEqual({ key: 'seed:77', name: 'Simulated year 77' });
  });

  it('says which season a verdict is of, and nothing in the normal one', () => {
    const options = seasonOptions(PLAN, RECORDS, 'normal');
    expect(inSeasonWords('normal', options)).toBe('');
    expect(inSeasonWords('dry', options)).toBe('In the dry year that comes once in ten');
    expect(inSeasonWords('scenario:late', options)).toBe('In Late spring');
    expect(inSeasonWords('recorded:yard:2019-09-01', options)).toBe(
      'In Yard gauge, from 1 September 2019',
    );
  });
});

describe('what a scenario does', () => {
  const overlay = (o: Partial<Overlay>): Overlay =>
    ({ fromInclusive: '2028-05-01', toExclusive: '2028-09-01', ...o }) as Overlay;

  it('is said in words', () => {
    expect(overlayText(overlay({ kind: 'RAIN', amount: -0.7 }), 'METRIC')).toBe(
      '70% less rain from 1 May to 31 August',
    );
    expect(overlayText(overlay({ kind: 'HEAT', amount: 2.5 }), 'IMPERIAL')).toBe(
      '4.5 F warmer from 1 May to 31 August',
    );
    expect(overlayText(overlay({ kind: 'KILLING_FROST', amount: -4 }), 'METRIC')).toBe(
      'A killing frost on 1 May',
    );
    expect(
      overlayText(
        overlay({ kind: 'LATE_SPRING', amount: 14, fromInclusive: null, toExclusive: null }),
        'METRIC',
      ),
    ).toBe('Everything 14 days later from the first day to the end');
  });
});
