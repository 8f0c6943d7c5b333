import { describe, expect, test } from 'vitest';
import { heightsIn, lengthsIn } from './units';
import { usualHere, winterHere } from './usual';

describe('what a farm begins with', () => {
  test.each([
    ['en-US', false, 'IMPERIAL', 'USD'],
    ['en-US', true, 'METRIC', 'EUR'],
    ['en-AU', true, 'METRIC', 'AUD'],
    ['en-GB', false, 'METRIC', 'GBP'],
    ['de', false, 'METRIC', 'EUR'],
  ])('%s, southern %s: %s, %s', (language, southern, units, currency) => {
    expect(usualHere(language, southern)).toEqual({ units, currency });
  });

  test('the winter of its hemisphere', () => {
    expect(winterHere('2026-11-28', false)).toEqual({ from: '2026-11-15', to: '2027-04-15' });
    expect(winterHere('2026-02-01', false)).toEqual({ from: '2025-11-15', to: '2026-04-15' });
    expect(winterHere('2026-11-28', true)).toEqual({ from: '2027-05-15', to: '2027-10-15' });
    expect(winterHere('2026-07-01', true)).toEqual({ from: '2026-05-15', to: '2026-10-15' });
  });
});

test('lengths of the tables are said in feet where the farm measures so', () => {
  const bale = 'Round bale 1.5 m across x 1.2 m wide, net wrap, dry hay';
  expect(lengthsIn(bale, 'METRIC')).toBe(bale);
  expect(lengthsIn(bale, 'IMPERIAL')).toBe('Round bale 5 ft across x 4 ft wide, net wrap, dry hay');
  expect(lengthsIn('Large square bale 0.9 x 1.2 x 2.4 m, hay', 'IMPERIAL')).toBe(
    'Large square bale 3 x 4 x 8 ft, hay',
  );
});

test('heights in a text of the tables', () => {
  const said = 'Low rate, grazed at 45 cm and not to the ground.';
  expect(heightsIn(said, 'METRIC')).toBe(said);
  expect(heightsIn(said, 'IMPERIAL')).toBe('Low rate, grazed at 18 in and not to the ground.');
});
