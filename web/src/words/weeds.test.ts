import { expect, test } from 'vitest';
import { fitting, weedText, type Feature } from './weeds';

const features: Feature[] = [
  {
    id: 'rhizomes',
    question: '',
    yesFits: ['WEEDY_SORGHUM', 'OTHER_GRASS'],
    noFits: ['SOWN_SORGHUM', 'CORN', 'OTHER_GRASS'],
  },
  {
    id: 'midrib',
    question: '',
    yesFits: ['WEEDY_SORGHUM', 'SOWN_SORGHUM', 'CORN'],
    noFits: ['OTHER_GRASS'],
  },
];

test('each look leaves fewer plants', () => {
  expect(weedText(features, {})).toBe('');
  expect(fitting(features, {})).toHaveLength(4);
  expect(weedText(features, { rhizomes: true })).toBe(
    'By what was seen it may be weedy perennial sorghum (johnsongrass), or another grass. Look at more.',
  );
  expect(weedText(features, { rhizomes: true, midrib: true })).toBe(
    'By what was seen it is weedy perennial sorghum (johnsongrass).',
  );
  expect(weedText(features, { rhizomes: false, midrib: false })).toBe(
    'By what was seen it is another grass.',
  );
});

test('what contradicts itself is looked at again', () => {
  const one = [{ ...features[0], noFits: [] }];
  expect(weedText(one, { rhizomes: false })).toContain('do not go together');
});
