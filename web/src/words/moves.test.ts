import { expect, test } from 'vitest';
import { movesOf, movesText } from './moves';

const groups = [
  { id: 'c', name: 'Cows', onField: [0, 0, 1, -1, 1, 0] },
  { id: 'e', name: 'Ewes', onField: [-1, 1, 0, 0, 0, 0] },
];
const fields = [{ name: 'Brook' }, { name: 'Hill' }];

test('a move is another field; first coming out and back from the yard are none', () => {
  expect(movesOf(groups)).toEqual([
    { day: 2, groupId: 'c', field: 1 },
    { day: 2, groupId: 'e', field: 0 },
    { day: 5, groupId: 'c', field: 0 },
  ]);
});

test('a day says who goes where, those of one field together', () => {
  const moves = movesOf(groups);
  expect(movesText(moves, 2, groups, fields)).toBe(' Moved that day: Cows to Hill, Ewes to Brook.');
  expect(movesText(moves, 3, groups, fields)).toBe('');
  const both = [
    { day: 4, groupId: 'c', field: 0 },
    { day: 4, groupId: 'e', field: 0 },
  ];
  expect(movesText(both, 4, groups, fields)).toBe(' Moved that day: Cows and Ewes to Brook.');
});
