import { describe, expect, test } from 'vitest';
import { withEdit } from './planned';

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
