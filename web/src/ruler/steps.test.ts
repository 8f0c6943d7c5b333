import { describe, expect, it } from 'vitest';
import type { FeedStep } from '../api/client';
import { barsOf, split, stepMoved } from './steps';

const START = '2027-09-01';

function step(id: string, from: string | null, to: string | null): FeedStep {
  return {
    id,
    groupId: 'cows',
    kind: 'GRAZE',
    sourceIds: [],
    fromInclusive: from,
    toExclusive: to,
    portion: null,
    roundDays: null,
  };
}

describe('the order of feeds as bars', () => {
  const steps = [
    step('grass', null, '2027-11-11'),
    step('corn', '2027-11-01', '2028-02-01'),
    step('spring', '2028-03-18', null),
    step('hay', '2027-10-15', '2028-05-15'),
  ];
  const bars = barsOf(steps, START, 366);

  it('lie one below the other where their days meet, the first eaten on top', () => {
    expect(bars.map((b) => b.row)).toEqual([0, 1, 0, 2]);
    expect(bars.map((b) => [b.from, b.to])).toEqual([
      [0, 71],
      [61, 153],
      [199, 366],
      [44, 257],
    ]);
  });

  it('an end drawn to the end of the plan is open again', () => {
    expect(stepMoved(bars[0], 'to', 80, START, 366).toExclusive).toBe('2027-11-20');
    expect(stepMoved(bars[0], 'to', 400, START, 366).toExclusive).toBeNull();
    expect(stepMoved(bars[2], 'from', -9, START, 366).fromInclusive).toBeNull();
  });

  it('are split at a day, and nowhere outside of their own', () => {
    const halves = split(bars[1], 100, START, 'new');
    expect(halves.map((s) => [s.id, s.fromInclusive, s.toExclusive])).toEqual([
      ['corn', '2027-11-01', '2027-12-10'],
      ['new', '2027-12-10', '2028-02-01'],
    ]);
    expect(split(bars[1], 10, START, 'new')).toEqual([steps[1]]);
  });
});
