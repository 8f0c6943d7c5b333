import { expect, test } from 'vitest';
import type { FeedStep, Field, Plan } from '../api/client';
import { freshBreaks, fromSowing, likelyFirst, middleOf, withOwnStep } from './breaks';

const field = (id: string, grazing: Field['grazing'], drawn = true) =>
  ({ id, grazing, outline: drawn ? { edge: [], off: [] } : null }) as unknown as Field;

test('fields grazed in strips come first, those not drawn not at all', () => {
  const fields = [field('a', 'ROTATIONAL'), field('b', 'STRIP', false), field('c', 'STRIP')];
  expect(likelyFirst(fields).map((f) => f.id)).toEqual(['c', 'a']);
  expect(freshBreaks('x', fields[2], { sowings: [] })).toMatchObject({
    fieldId: 'c',
    fromInclusive: null,
    daysEach: 1,
    blocks: 1,
  });
});

test('something new is put in the middle of the largest ring', () => {
  const at = (eastM: number, northM: number) => ({ eastM, northM });
  const small = [at(0, 0), at(1, 0), at(1, 1)];
  const large = [at(0, 0), at(10, 0), at(10, 4), at(0, 4)];
  expect(middleOf([small, large])).toEqual({ eastM: 5, northM: 2 });
  expect(middleOf([])).toEqual({ eastM: 0, northM: 0 });
});

test('of a field that is sown the days from then on are meant', () => {
  const sowings = [
    { fieldId: 'a', sowOn: '2027-06-10' },
    { fieldId: 'b', sowOn: '2027-08-10' },
  ] as Plan['sowings'];
  expect(fromSowing({ sowings }, 'a')).toBe('2027-06-10');
  expect(fromSowing({ sowings }, 'c')).toBeNull();
});

test('a step of its own comes first, and the other groups keep theirs', () => {
  const steps = [
    { id: 'g1', groupId: 'cows' },
    { id: 'h1', groupId: 'heifers' },
  ] as FeedStep[];
  const own = { id: 'n', groupId: 'cows', fromInclusive: '2027-05-05', toExclusive: '2027-08-15' };
  const put = withOwnStep(steps, own, 'crop');
  expect(put.map((s) => s.id)).toEqual(['n', 'g1']);
  expect(put[0]).toMatchObject({ kind: 'GRAZE', sourceIds: ['crop'], portion: null });
});
