import { describe, expect, it } from 'vitest';
import type { PolicyEffect } from '../api/client';
import { effectText, sideName } from './policies';

const NEITHER: PolicyEffect = {
  question: 'TAKE',
  side: null,
  season: 'normal',
  bareKg: 20000,
  bareDays: 30,
  grazedKg: 100000,
  storedKg: 50000,
  standingKg: 30000,
  cost: 0,
};

describe('where keepers differ', () => {
  it('a side is told beside neither', () => {
    const third: PolicyEffect = { ...NEITHER, side: 'TOP_THIRD', bareKg: 24000, grazedKg: 95000 };
    expect(effectText(third, NEITHER, 'EUR', 'METRIC')).toBe(
      '4.0 t more is bare, 5.0 t less is grazed.',
    );
  });
  it('says where nothing changes, and in which year it was looked at', () => {
    expect(effectText({ ...NEITHER, side: 'TAKE_HALF' }, NEITHER, 'EUR', 'METRIC')).toBe(
      'Nothing changes on this farm.',
    );
    const dry: PolicyEffect = {
      ...NEITHER,
      question: 'DROUGHT',
      season: 'dry',
    };
    expect(
      effectText({ ...dry, side: 'HAY_THROUGH', bareKg: 0, cost: 3409 }, dry, 'USD', 'METRIC'),
    ).toBe('In a dry year 20.0 t less is bare, it costs USD 3,409.');
    expect(effectText({ ...dry, side: 'SKIP_DRY_YEARS', cost: -800 }, dry, 'USD', 'METRIC')).toBe(
      'In a dry year USD 800 is saved.',
    );
  });
  it('has a name for each side', () => {
    expect(sideName('SELL_EARLY')).toBe('sell early');
  });
});
