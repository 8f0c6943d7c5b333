import { expect, test } from 'vitest';
import { wantedText } from './condition';

test('what is wanted, and from where on somebody is asked', () => {
  const guide = {
    steps: [],
    atBirth: { low: 5, high: 6 },
    atMating: { low: 5, high: 6 },
    atWeaning: { low: 4.5, high: 6 },
    floor: 4,
  };
  expect(wantedText(guide)).toContain('Wanted: 5 to 6 when they give birth');
  expect(wantedText(guide)).toContain('4.5 to 6 when young are weaned or milking ends.');
  expect(wantedText(guide)).toContain('At 4 or below: separate, feed, and ask a veterinarian');
});
