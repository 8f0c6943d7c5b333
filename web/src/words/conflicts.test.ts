import { describe, expect, test } from 'vitest';
import type { Conflict, PlanView } from '../api/client';
import { conflictText, flagged, isConflict } from './conflicts';

const farm = {
  fields: [
    { id: 'a', name: 'Saddle' },
    { id: 'b', name: 'Ridge' },
    { id: 'c', name: 'Bottom' },
    { id: 'd', name: 'Draw' },
  ],
  groups: [{ id: 'cows', name: 'Cows' }],
} as unknown as PlanView['farm'];

const of = (code: Conflict['code'], more: Partial<Conflict> = {}): Conflict => ({
  code,
  what: 'CLOSING',
  itemId: 'x',
  subjects: ['a'],
  fromDay: 0,
  toDay: 30,
  value: 0,
  other: 0,
  ...more,
});
const said = (c: Conflict) => conflictText(c, farm, '2027-09-01', 'METRIC');

describe('what stands in the way', () => {
  test('is said with names and days', () => {
    expect(said(of('CUT_WHILE_SHUT'))).toBe(
      'Saddle is cut while it is shut (1 Sep to 30 Sep): the cut takes what was to be kept.',
    );
    expect(said(of('NOT_READY', { subjects: ['cows', 'a'], value: -1 }))).toBe(
      'Cows are to graze Saddle from 1 September; what is sown there is not ready by the end of the plan.',
    );
    expect(said(of('STEP_SHUT_OUT', { subjects: ['cows', 'a', 'b', 'c', 'd'] }))).toMatch(
      /^Cows: Saddle, Ridge and 2 more are shut from 1 Sep to 30 Sep/,
    );
  });

  test('asks of the rest only what grows there, or more', () => {
    const little = of('LOAD_ON_THE_REST', { value: 10, other: 12 });
    const much = of('LOAD_ON_THE_REST', { value: 14, other: 12 });
    expect([little, much].map(isConflict)).toEqual([false, true]);
    expect(said(much)).toMatch(/take 14.* of the rest, where 12.* grow: it is eaten down\.$/);
    expect(flagged([much], 'x')).toBe('');
    expect(flagged([of('KEPT_FOR_NOBODY')], 'x')).toBe('! ');
    expect(flagged([of('KEPT_FOR_NOBODY')], 'y')).toBe('');
  });
});
