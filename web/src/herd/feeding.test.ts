import { describe, expect, test } from 'vitest';
import type { Anchor, FeedStep } from '../api/client';
import { copiedTo, feedingEdits, inTwo, tieOf, withTie } from './feeding';

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

describe('a step in two', () => {
  const year = { start: '2027-01-01', days: 365 };
  const steps = [step('s1', '2027-03-02', '2027-05-01'), step('s2', null, null)];

  test('at a day of its own, else in its middle; its end stays tied', () => {
    const stored = { what: 'FEEDING', itemId: 's1', part: 'TO', ...weaning } as Anchor;
    const made = inTwo(steps, 's1', 80, year, {}, [stored])!;
    expect(made.day).toBe(80);
    expect(made.steps.map((s) => [s.fromInclusive, s.toExclusive])).toEqual([
      ['2027-03-02', '2027-03-22'],
      ['2027-03-22', '2027-05-01'],
      [null, null],
    ]);
    expect(made.ties).toEqual({
      'FEEDING/s1/TO': null,
      [`FEEDING/${made.id}/TO`]: expect.objectContaining(weaning),
    });
    // days 60 to 120
    expect(inTwo(steps, 's1', 300, year, {}, [])!.day).toBe(90);
  });

  test('is none of a single day', () => {
    expect(inTwo([step('s', '2027-03-02', '2027-03-03')], 's', 60, year, {}, [])).toBeNull();
  });
});

test('a copy goes where it has something to do: a portion first, grazing before all stored feed', () => {
  const all = { ...step('hay', null, null), groupId: 'ewes', kind: 'STORE' as const };
  const grazing = copiedTo('ewes', [all], step('s1', null, null), ['s1', 'hay']);
  expect(grazing.map((s) => [s.kind, s.groupId])).toEqual([
    ['GRAZE', 'ewes'],
    ['STORE', 'ewes'],
  ]);
  expect(grazing[0].id).not.toBe('s1');
  const portion = { bound: 'EXACTLY', kgPerHead: 4, shareOfNeed: null, everyDays: 1 };
  const given = { ...all, groupId: 'cows', portion } as unknown as FeedStep;
  expect(copiedTo('ewes', [all], given, ['hay'])[0].portion).toBe(portion);
});
