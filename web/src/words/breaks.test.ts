import { describe, expect, test } from 'vitest';
import type { Break, BreakWinter } from '../api/client';
import {
  breakText,
  breakVerdict,
  breakWarning,
  compass,
  dietText,
  grazierText,
  groundText,
  passesText,
  rampText,
  rationText,
  residueChecks,
} from './breaks';

const one = (more: Partial<Break> = {}): Break => ({
  from: '2027-11-29',
  toExclusive: '2027-12-01',
  areaHa: 0.114,
  round: 1,
  rings: [],
  wire: [],
  behind: [],
  head: 120,
  kgPerHead: 1.2,
  besideKgPerHead: 0.6,
  ...more,
});

const winter = (more: Partial<BreakWinter> = {}): BreakWinter => ({
  id: 'b',
  areaHa: 2.5,
  netHa: 2.2,
  eatenHa: 1.06,
  ground: [],
  breaks: [one()],
  from: '2027-11-27',
  toExclusive: '2027-12-15',
  eatenKgPerHa: 2100,
  passes: [],
  weeks: [],
  groups: [
    { groupId: 'e', from: '2027-11-27', last: '2027-12-14', days: 18, firstBirth: '2028-05-05' },
    { groupId: 'c', from: '2027-11-27', last: '2027-12-14', days: 18, firstBirth: null },
  ],
  learnedAs: 'brassica',
  ramp: [
    { fromDay: 1, mostShare: 0.1 },
    { fromDay: 4, mostShare: 0.25 },
  ],
  betterDeg: 180,
  cautions: [],
  ...more,
});

const named = (id: string) => ({ e: 'Ewes', c: 'Cows' })[id] ?? id;
type Caution = BreakWinter['cautions'][number];
const told = (warning: Caution['warning'], value = 0, against = 0): Caution => ({
  warning,
  value,
  against,
  groupId: 'e',
  on: '2028-05-05',
  last: '2028-05-09',
});

describe('breaks in words', () => {
  test('the verdict says who, how many and until when', () => {
    expect(breakVerdict(winter(), 'Turnips', named)).toBe(
      'Turnips: 1 break feeds Ewes and Cows from 27 November to 14 December.',
    );
    expect(
      breakVerdict(winter({ breaks: [one(), one({ round: 2 })] }), 'Turnips', named),
    ).toContain('more than once over');
    expect(breakVerdict(winter({ from: null }), 'Turnips', named)).toContain('nobody grazes it');
  });

  test('a break: ground, days, what one eats there and beside it', () => {
    expect(breakText(one(), 'METRIC')).toBe('1,140 m2 for 2 days, to 30 November.');
    expect(groundText(0.114, 'IMPERIAL')).toBe('0.28 ac');
    expect(breakText(one({ round: 2 }), 'METRIC')).toContain('for the second time');
    expect(rationText(one(), 'METRIC')).toBe(
      '120 head: 1.2 kg/head/day from it, 67% of what they eat; 0.6 kg/head/day from elsewhere.',
    );
    expect(rationText(one({ besideKgPerHead: 0 }), 'IMPERIAL')).toContain('all that they eat');
  });

  test('who is on it, and how slowly guts learn', () => {
    const [ewes, cows] = winter().groups;
    expect(grazierText(ewes, named)).toContain('off it before the first births on 5 May');
    expect(grazierText({ ...ewes, last: '2028-05-06' }, named)).toContain('first births on 5 May');
    expect(grazierText(cows, named)).not.toContain('births');
    expect(rampText(winter())).toContain('They eat 67% of it on the first break');
    const begins = winter({ breaks: [one({ kgPerHead: 0.15, besideKgPerHead: 1.35 })] });
    expect(rampText(begins)).toMatch(/The plan keeps to it\.$/);
    expect(rampText(winter())).toContain(
      'brassicas slowly: at most 10% from day 1, 25% from day 4',
    );
  });

  test('each warning says what is wrong in the keeper’s units', () => {
    const say = (c: Caution, w = winter()) => breakWarning(c, w, named, 'IMPERIAL');
    expect(say(told('NEAR_WATER', 5, 10))).toContain('16 ft are kept along water');
    expect(say(told('FROM_WATER', 10, 200))).toContain('656 ft away');
    expect(say(told('BIRTHS'))).toContain('Ewes: first births on 5 May');
    expect(say(told('NOT_WRITTEN', 0, 3))).toContain('Nothing is written yet');
    expect(say(told('NOT_WRITTEN', 2, 3))).toContain('2 of 3 are written');
    // 1.14 ha left at 0.114 ha in two days
    expect(say(told('NOT_REACHED', 0.52))).toContain('20 days more');
    const snowed = winter({ cautions: [told('SNOWED')] });
    expect(say(told('NOT_REACHED', 0.52), snowed)).toBe('52% of the ground is not come to.');
    expect(say(told('SNOWED'))).toContain('Snow shuts it');
    for (const w of ['NOT_GRAZED', 'UPHILL', 'STEEP', 'STANDS_AT_WATER', 'LONG_BREAKS'] as const)
      expect(say(told(w, 6, 4))).toMatch(/\.$/);
  });

  test('directions by name', () => {
    expect([0, 44, 135, 350].map(compass)).toEqual(['north', 'northeast', 'southeast', 'north']);
  });

  test('tell each time over the field, where it is more than one', () => {
    expect(passesText(winter(), 'METRIC')).toBe('');
    const passes = [
      { round: 1, areaHa: 2.2, eatenKgPerHa: 2100 },
      { round: 2, areaHa: 1, eatenKgPerHa: 640 },
    ];
    expect(passesText(winter({ passes }), 'METRIC')).toBe(
      'The first time 2,100 kg/ha on 2.20 ha, the second time 640 kg/ha on 1.00 ha.',
    );
  });

  test('tell the diet week by week', () => {
    const week = (from: string, proteinPct: number, tdnPct = 56) => ({
      from,
      hereShare: 1,
      proteinPct,
      proteinNeedPct: 8.1,
      tdnPct,
      tdnNeedPct: 55,
    });
    expect(dietText([week('2027-11-20', 9)])).toBe(
      'Protein in all of it: 9.0% in the first week; at most 8.1% are wanted. That is enough.',
    );
    const text = dietText([
      week('2027-11-20', 9),
      week('2027-11-27', 7),
      week('2027-12-04', 6, 50),
    ]);
    expect(text).toContain('9.0% in the first week, 6.0% in the last');
    expect(text).toContain(
      'They are short of protein from the week of 27 November and short of energy from that of 4 December.',
    );
  });

  test('ask for the ears of corn to be counted', () => {
    expect(residueChecks(winter(), 'METRIC')).toEqual([]);
    const stalks = winter({ learnedAs: 'corn_residue' });
    expect(residueChecks(stalks, 'METRIC')[0]).toContain('above 0.6 nobody');
    expect(residueChecks(stalks, 'IMPERIAL')[0]).toContain('one to 18');
  });
});
