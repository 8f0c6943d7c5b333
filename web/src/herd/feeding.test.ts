import { describe, expect, test } from 'vitest';
import type { Anchor, FeedStep } from '../api/client';
import { feedingEdits, tieOf, withTie } from './feeding';

const step = (id: string, from: string | null, to: string | null): FeedStep => ({
  id,
  groupId: 'cows',
  kind: 'GRAZE',
  sourceIds: [],
  fromInclusive: from,
  toExclusive: to,
  portion: null,
  roundDays: null,
});
const stored: Anchor = {
  what: 'FEEDING',
  itemId: 's1',
  part: 'FROM',
  mark: 'FIRST_BIRTH',
  ofId: 'cows',
  daysAfter: -14,
};
const weaning = { mark: 'WEANING', ofId: 'cows', daysAfter: 0 } as const;

describe('dates of steps that go by a mark', () => {
  test('stand as they are stored until somebody says otherwise', () => {
    expect(tieOf({}, [stored], 's1', 'FROM')).toBe(stored);
    expect(tieOf({}, [stored], 's1', 'TO')).toBeNull();
    expect(tieOf(withTie({}, 's1', 'FROM', null), [stored], 's1', 'FROM')).toBeNull();
  });

  test('are freed before the steps are put and tied after', () => {
    const ties = withTie(withTie({}, 's1', 'FROM', null), 's1', 'TO', weaning);
    const steps = [step('s1', '2027-03-06', '2027-05-01')];
    expect(feedingEdits('cows', steps, ties, [stored])).toEqual([
      { removeAnchor: 'FEEDING/s1/FROM' },
      { setFeeding: { groupId: 'cows', steps } },
      { putAnchor: { what: 'FEEDING', itemId: 's1', part: 'TO', ...weaning } },
    ]);
  });

  test('an open end goes by nothing', () => {
    const ties = withTie({}, 's1', 'TO', weaning);
    const steps = [step('s1', null, null)];
    expect(feedingEdits('cows', steps, ties, [])).toEqual([
      { setFeeding: { groupId: 'cows', steps } },
    ]);
  });
});
