import { expect, test } from 'vitest';
import type { Field } from '../api/client';
import { freshBreaks, likelyFirst, middleOf } from './breaks';

const field = (id: string, grazing: Field['grazing'], drawn = true) =>
  ({ id, grazing, outline: drawn ? { edge: [], off: [] } : null }) as unknown as Field;

test('fields grazed in strips come first, those not drawn not at all', () => {
  const fields = [field('a', 'ROTATIONAL'), field('b', 'STRIP', false), field('c', 'STRIP')];
  expect(likelyFirst(fields).map((f) => f.id)).toEqual(['c', 'a']);
  expect(freshBreaks('x', fields[2])).toMatchObject({ fieldId: 'c', daysEach: 1, blocks: 1 });
});

test('something new is put in the middle of the largest ring', () => {
  const at = (eastM: number, northM: number) => ({ eastM, northM });
  const small = [at(0, 0), at(1, 0), at(1, 1)];
  const large = [at(0, 0), at(10, 0), at(10, 4), at(0, 4)];
  expect(middleOf([small, large])).toEqual({ eastM: 5, northM: 2 });
  expect(middleOf([])).toEqual({ eastM: 0, northM: 0 });
});
