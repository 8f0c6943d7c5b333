import { expect, test } from 'vitest';
import { withDays } from './series';

test('a series is read as the sum of its changes, wherever it stands', () => {
  const sent = {
    id: 'a',
    needKg: { step: 1, of: [100, 5, 0, -20] },
    fields: [{ coverKgPerHa: { step: 10, of: [230, -1] }, births: [[1, 2]] }],
    none: { step: 1, of: [] },
    nothing: null,
  };
  expect(withDays(sent)).toEqual({
    id: 'a',
    needKg: [100, 105, 105, 85],
    fields: [{ coverKgPerHa: [2300, 2290], births: [[1, 2]] }],
    none: [],
    nothing: null,
  });
});
