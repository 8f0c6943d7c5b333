import { describe, expect, test } from 'vitest';
import type { Change, Told } from '../api/client';
import { doneText, toldText } from './told';

const change = (
  what: Change['what'],
  kind: Change['kind'],
  name: string,
  members: Change['members'] = [],
): Change => ({ what, kind, name, members });
const states = (member: string, after: unknown) => ({ member, before: null, after }) as never;
const told = (how: Told['how'], changes: Change[] = [], more: Partial<Told> = {}): Told => ({
  how,
  name: null,
  number: null,
  words: null,
  changes,
  ...more,
});

describe('a line of the history', () => {
  test.each([
    [
      change('CLOSING', 'ADDED', 'Church Field', [
        states('closing.fromInclusive', '2027-09-01'),
        states('closing.toExclusive', '2027-12-25'),
      ]),
      'Shut Church Field from 1 September 2027 to 24 December 2027',
    ],
    [
      change('PURCHASE', 'ADDED', 'Bought rounds', [
        states('lot.units', 1),
        states('lot.unitName', 'round bale'),
        states('purchase.date', '2027-10-01'),
      ]),
      'Bought 1 round bale for 1 October 2027',
    ],
    [change('FIELD', 'REMOVED', 'Saddle'), 'Removed field Saddle'],
    [change('CUT', 'REMOVED', 'Saddle'), 'Took back the cut of Saddle'],
    [
      change('FIELD', 'CHANGED', 'Saddle', [
        states('field.areaHa', 6),
        states('stand.monthlyKgPerHaDay', []),
      ]),
      'Changed field Saddle: area, monthly growth',
    ],
    [
      change('YEAR', 'CHANGED', 'Normal', [
        states('plan.name', 'Dry'),
        states('year.start', '2028-02-01'),
      ]),
      'Named the plan Dry; Set the plan’s first day to 1 February 2028',
    ],
    [change('LOT', 'ADDED', 'New bales'), 'Added lot New bales'],
  ])('says what was done: %#', (c, sentence) => {
    expect(doneText(c, 'METRIC')).toBe(sentence);
  });

  test('says what was taken back by what it had done', () => {
    const removed = change('FIELD', 'REMOVED', 'Saddle');
    expect(toldText(told('UNDID', [removed], { number: 4 }), 'METRIC')).toBe(
      'Undid: Removed field Saddle',
    );
    expect(toldText(told('WENT_BACK', [], { number: 2 }), 'METRIC')).toContain('change 2');
    expect(toldText(told('EDITED'), 'METRIC')).toBe('Changed nothing');
  });

  test('keeps what was said in words before', () => {
    expect(toldText(told('SAID', [], { words: 'Cut Saddle on 2027-05-20' }), 'METRIC')).toBe(
      'Cut Saddle on 2027-05-20',
    );
  });

  test('counts what is too much to name', () => {
    const many = Array.from({ length: 7 }, (_, i) => change('FIELD', 'ADDED', `F${i}`));
    expect(toldText(told('EDITED', many), 'METRIC')).toMatch(/F3; and 3 more$/);
  });
});
