import { describe, expect, test } from 'vitest';
import type { YearView } from '../api/client';
import { nextText, withEdit, type PlannedThing } from './planned';

const closing = { id: 'c1', fieldId: 'a', fromInclusive: '2027-09-01', toExclusive: '2027-12-01' };
const step = (id: string, groupId: string) => ({ id, groupId });
const plan = {
  closings: [closing, { ...closing, id: 'c2' }],
  cuts: [],
  sowings: [],
  dressings: [],
  irrigations: [],
  passes: [],
  steps: [step('1', 'cows'), step('2', 'ewes')],
} as never as Parameters<typeof withEdit>[0];

describe('a plan while something of it is moved', () => {
  test('holds what is moved in its place and the rest as it is', () => {
    const moved = { ...closing, fromInclusive: '2027-09-08' } as never;
    const now = withEdit(plan, { putClosing: moved });
    expect(now.closings.map((c) => [c.id, c.fromInclusive])).toEqual([
      ['c1', '2027-09-08'],
      ['c2', '2027-09-01'],
    ]);
    expect(now.steps).toBe(plan.steps);
    expect(plan.closings[0].fromInclusive).toBe('2027-09-01');
  });

  test('shows the order of feeds of one group anew', () => {
    const now = withEdit(plan, {
      setFeeding: { groupId: 'cows', steps: [step('3', 'cows')] },
    } as never);
    expect(now.steps.map((s) => s.id)).toEqual(['2', '3']);
  });

  test('is itself where nothing is', () => {
    expect(withEdit(plan, null)).toBe(plan);
  });
});

describe('what comes next', () => {
  const year = {
    start: '2027-09-01',
    days: 366,
    gaps: [{ kind: 'STORE', firstDay: 170 }],
  } as unknown as YearView;
  const thing = (date: string, text: string) => ({ date, text }) as PlannedThing;
  const things = [thing('2027-10-02', 'Shut Saddle'), thing('2028-05-22', 'Cut Mill Bottom')];

  test('is the next thing of the plan, and the gap while it lies ahead', () => {
    expect(nextText(things, year, '2027-10-01')).toBe(
      'Decide before 18 Feb 2028 (in 140 days) how to close the gap: some ways need months. ' +
        'Next in the plan, tomorrow: shut Saddle.',
    );
    expect(nextText(things, year, '2028-03-01')).toBe(
      'Next in the plan, in 82 days: cut Mill Bottom.',
    );
  });

  test('counts from today where the plan has not begun, and is nothing once it is over', () => {
    expect(nextText(things, year, '2027-08-01')).toMatch(/in 62 days: shut Saddle/);
    expect(nextText(things, year, '2028-12-01')).toBe('');
  });
});
