import { describe, expect, it } from 'vitest';
import type { FeedAhead, StemAnswer } from '../api/client';
import { laterText, regrowText, sampleText, useNowText } from './stems';

const ahead: FeedAhead = {
  standsDays: 40,
  standsToTheEnd: false,
  bareNormal: null,
  bareDry: null,
};
const answer = (of: Partial<StemAnswer>): StemAnswer => ({
  stems: 12,
  enough: true,
  stageId: 'jointed',
  counts: [],
  regrowShareByCm: [],
  setToCm: 11,
  regrowShareAtSet: 0.83,
  use: 'GRAZE_WITH_CARE',
  tallEnough: true,
  graze: '',
  silage: '',
  hay: '',
  quality: '',
  countsInPlan: true,
  laterKgBefore: 20_000,
  laterKgAfter: 15_000,
  before: ahead,
  after: ahead,
  ...of,
});

describe('split stems', () => {
  it('say when they are too few', () => {
    expect(sampleText(answer({}))).toBe('12 stems. Half of them are jointed or further.');
    expect(sampleText(answer({ stems: 1, enough: false }))).toContain(
      '1 stem: too small a sample, take 9 more at least',
    );
    expect(laterText(answer({ enough: false }), ahead, 'METRIC')).toBe('');
  });
  it('say what to do now and how low', () => {
    expect(useNowText(answer({}), false, 'METRIC')).toBe(
      'Graze with care. Take stock off, or set the mower, at 11 cm: 83% of the stems grow again.',
    );
    expect(useNowText(answer({ use: 'SILAGE', setToCm: 8 }), true, 'IMPERIAL')).toBe(
      'Cut it for wilted silage. The mower is usually set to 3 in.',
    );
    expect(useNowText(answer({ use: 'SILAGE', setToCm: null }), false, 'METRIC')).toContain(
      'whatever is taken now is taken once',
    );
    expect(useNowText(answer({ use: 'GRAZE', tallEnough: false }), false, 'METRIC')).toMatch(
      /^Wait/,
    );
    expect(regrowText(0.416, 10, 'METRIC')).toBe('Left at 10 cm, 42% of the stems grow again.');
  });
  it('say what becomes of later uses', () => {
    expect(laterText(answer({}), ahead, 'METRIC')).toContain(
      'From here on the plan takes 15.0 t off this field instead of 20.0 t.',
    );
    expect(laterText(answer({ laterKgAfter: 20_100 }), ahead, 'METRIC')).toContain(
      'stays as it was',
    );
    expect(laterText(answer({ countsInPlan: false }), ahead, 'METRIC')).toContain(
      'no crop of it sown',
    );
  });
});
