import { describe, expect, test } from 'vitest';
import type { BaleWinter } from '../api/client';
import {
  baleVerdict,
  baleWarning,
  mixtureText,
  nutrientText,
  sectionText,
  sectionTitle,
  sitePointText,
} from './winter';

const nutrients = (nKg: number) => ({ nKg, pKg: 24, kKg: 190 });
const bales = (over: Partial<BaleWinter> = {}): BaleWinter => ({
  id: 'b',
  areaHa: 6,
  netHa: 3.4,
  askedHa: 5.1,
  usedHa: 3.4,
  ground: [],
  fits: 131,
  laid: 126,
  opened: 126,
  sections: [],
  pads: [],
  fittingMethodId: 'f_bale_graze_3_4d',
  mixture: null,
  from: '2027-11-08',
  toExclusive: '2028-03-04',
  lostShare: 0.14,
  headDaysPerHa: 1040,
  broughtKgPerHa: nutrients(148),
  leftKgPerHa: { low: nutrients(110), high: nutrients(130), soonNKg: 45 },
  cautions: [],
  ...over,
});
const spots = (n: number) =>
  Array.from({ length: n }, (_, i) => ({ row: 0, place: i, at: { eastM: i, northM: 0 } }));
const section = (from: string | null, toExclusive: string | null, n = 12) => ({
  from,
  toExclusive,
  spots: spots(n),
  wire: [],
  others: [],
  offeredDays: null as number | null,
  toTroughM: null,
});

describe('bales set out', () => {
  test('say how long they last', () => {
    expect(baleVerdict(bales(), 'East')).toBe('East: 126 bales last from 8 November to 3 March.');
    expect(baleVerdict(bales({ opened: 90 }), 'East')).toBe(
      'East: 90 of 126 bales are opened, from 8 November to 3 March.',
    );
    expect(baleVerdict(bales({ from: null, toExclusive: null }), 'East')).toContain('none of them');
    expect(baleVerdict(bales({ laid: 0 }), 'East')).toContain('room for no bale');
  });

  test('are told section by section', () => {
    const s = section('2028-01-10', '2028-01-13');
    expect(sectionTitle(s, 4)).toBe('Section 5, opened on Mon 10 Jan 2028');
    expect(sectionText(s, 3)).toBe('12 bales: feed for 3 days, to 12 January.');
    expect(sectionText(s, 4)).toContain('4 in a normal year; every later move comes sooner.');
    expect(sectionText(section(null, null, 1), null)).toMatch(/^1 bale stay/);
    expect(sectionText({ ...s, offeredDays: 3.6 }, null)).not.toContain('hold');
    expect(sectionText({ ...s, offeredDays: 4.44 }, null)).toContain('hold 4.4 days of what');
  });

  test('warn in the units of who reads', () => {
    const warn = (warning: BaleWinter['cautions'][number]['warning'], value = 1, against = 2) =>
      baleWarning({ warning, value, against }, bales(), 'METRIC');
    expect(warn('TOO_MANY', 15, 45)).toBe(
      'At this spacing they ask for 5.10 ha; the piece has 3.40 ha. 15 bales have no room.',
    );
    expect(warn('NEAR_WATER', 5, 10)).toContain('5 m are kept along water');
    expect(warn('OVER_LIMIT', 1500, 1400)).toBe(
      '1,500 head-days/ha: above the 1,400 head-days/ha that you set.',
    );
    expect(warn('MUCH_LOST', 0.31, 0.25)).toMatch(/^31% is not eaten/);
    expect(
      baleWarning({ warning: 'NEAR_WATER', value: 6.096, against: 10 }, bales(), 'IMPERIAL'),
    ).toContain('20 ft are kept along water; this slope asks for 33 ft');
  });

  test('are offered where they do most good, with what speaks for it', () => {
    const say = (what: Parameters<typeof sitePointText>[0]['what'], value = 0) =>
      sitePointText({ what, good: false, value }, 'IMPERIAL');
    expect(say('PHOSPHORUS', 7.4)).toBe('phosphorus 7 mg/kg by its test');
    expect(say('WATER', 20)).toBe('water in it, a strip of 66 ft is kept');
    expect(say('OLD_PADS', 1)).toBe('1 old pad left out');
    expect(say('SLOPE', 18)).toBe('slope of 18 degrees');
    expect(say('TAKEN')).toBe('bales stand there');
  });

  test('say what straw among them changes', () => {
    const mixture = {
      otherShare: 0.19,
      alone: { proteinPct: 9.5, tdnPct: 56, costPerTonneDm: 150 },
      mixed: { proteinPct: 8.4, tdnPct: 54, costPerTonneDm: 131 },
      proteinNeedPct: 8.1,
      tdnNeedPct: 54.2,
      groupIds: ['cows'],
    };
    const text = mixtureText(mixture, 'Oat straw', 'METRIC');
    expect(text).toMatch(/^19% of the dry matter is Oat straw: 8.4% protein, 54% TDN together/);
    expect(text).toContain('131 a tonne instead of 150 a tonne');
    expect(text).toContain('enough for those who eat there');
    const poor = { ...mixture, proteinNeedPct: 9.2 };
    expect(mixtureText(poor, 'Oat straw', 'METRIC')).toContain(
      'want 9.2% protein at their neediest: both together are short of it.',
    );
    const bare = { ...mixture, proteinNeedPct: 9.8 };
    expect(mixtureText(bare, 'Oat straw', 'METRIC')).toContain(
      'short of it, as the first is alone.',
    );
    const free = { ...mixture, alone: { ...mixture.alone, costPerTonneDm: null } };
    expect(mixtureText(free, 'Oat straw', 'METRIC')).toContain('is not known');
  });

  test('leave something for the grass', () => {
    expect(nutrientText(bales(), 'METRIC')).toContain(
      'nitrogen 148, phosphorus 24, potassium 190 kg/ha. Of the nitrogen 110 to 130 stay. About 45',
    );
  });
});
