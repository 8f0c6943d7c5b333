import { describe, expect, it } from 'vitest';
import type { Gap, YearView } from '../api/client';
import { doubtText } from './doubts';
import { memberChange, memberName } from './members';
import { causes, gapMeaning, noGap, sowingOutcome, unitsLeft, verdict } from './year';

const TOTAL = { needKg: 1000, growingKg: 0, standingKg: 0, putByKg: 0, boughtInKg: 0, bareKg: 0 };

function year(gaps: Partial<Gap>[], extra: Partial<YearView> = {}): YearView {
  return {
    start: '2027-09-01',
    days: 366,
    gaps,
    total: TOTAL,
    storeKg: new Array(366).fill(5000),
    ...extra,
  } as unknown as YearView;
}

const GAP: Partial<Gap> = {
  kind: 'STORE',
  firstDay: 176,
  lastDay: 212,
  shortDays: 37,
  shortKg: 35137,
  animalUnitDays: 2978,
  causes: [{ code: 'STORE_EMPTY', subjects: [], value: 176 }],
};

describe('a sowing', () => {
  const outcome = {
    sowingId: 's',
    emergedDay: 22,
    readyDay: 199,
    headedDay: -1,
    doughDay: -1,
    grainDay: -1,
    endedDay: -1,
    skipped: false,
    failed: false,
    grownKgPerHa: 4000,
    lowKgPerHa: 2000,
    highKgPerHa: 7000,
    chanceOfFailing: 0.27,
    daysLate: 18,
    waterPercentAtSowing: 80,
    coverKgPerHa: [],
  };

  it('says when it is up and ready, what it grows, and how likely it fails', () => {
    expect(sowingOutcome(outcome, '2027-09-01', 'METRIC')).toBe(
      'Up on 23 September, ready to graze on 18 March (high enough, roots hold). ' +
        'Grows 4,000 kg/ha (2,000 to 7,000); 27% chance that it fails. Sown 18 days after the usual time.',
    );
  });

  it('says when heads come, and how far its grain gets before it ends', () => {
    const headed = { ...outcome, headedDay: 240 };
    expect(sowingOutcome(headed, '2027-09-01', 'METRIC')).toContain('Heads from 28 April.');
    expect(sowingOutcome({ ...headed, doughDay: 260 }, '2027-09-01', 'METRIC')).toContain(
      'soft dough from 18 May, not hard before it ends.',
    );
    const hard = { ...headed, doughDay: 260, grainDay: 280 };
    expect(sowingOutcome(hard, '2027-09-01', 'METRIC')).toContain('hard from 7 June.');
  });

  it('says of one that stood on the first day what is still to come of it', () => {
    const stood = { ...outcome, emergedDay: 0, readyDay: 40, headedDay: 90, endedDay: 150 };
    const standing = {
      coverKgPerHa: 900,
      deadShare: 0,
      ready: false,
      heatDegreeDays: null,
      state: null,
    };
    expect(sowingOutcome(stood, '2028-01-01', 'METRIC', standing)).toBe(
      'It stands on the first day; ready to graze on 10 February (high enough, roots hold). ' +
        'From then on it grows 4,000 kg/ha. Heads from 31 March. It ends on 30 May.',
    );
    const grazed = { ...standing, ready: true };
    expect(sowingOutcome(stood, '2028-01-01', 'METRIC', grazed)).toContain('stock may come in');
    const slow = { ...stood, readyDay: -1 };
    expect(sowingOutcome(slow, '2028-01-01', 'METRIC', standing)).toContain('not ready to graze');
  });

  it('says when it fails, is never ready, or lies outside the plan', () => {
    expect(sowingOutcome({ ...outcome, failed: true }, '2027-09-01', 'METRIC')).toContain(
      'does not come up',
    );
    const unready = { ...outcome, readyDay: -1 };
    expect(sowingOutcome(unready, '2027-09-01', 'METRIC')).toContain('by the end of the plan');
    expect(sowingOutcome({ ...unready, endedDay: 60 }, '2027-09-01', 'METRIC')).toContain(
      'never ready to graze',
    );
    expect(sowingOutcome({ ...outcome, daysLate: null }, '2027-09-01', 'METRIC')).toContain(
      'outside the days of this plan',
    );
  });
});

describe('the verdict', () => {
  it('says when hay runs out and when grass carries again', () => {
    const said = verdict(year([GAP]), 'IMPERIAL');
    expect(said.headline).toBe(
      'Hay runs out on 24 February. The grass carries the herd again from 1 April.',
    );
    expect(said.detail).toBe('37 days bare, 38.7 tons of dry matter, 2,978 animal unit days.');
  });

  it('says what carries the herd afterwards: grass, standing feed or the store', () => {
    const by = (shelf: string) => ({ [shelf]: new Array(366).fill(10), growingKg: [] });
    const headline = (shelf: string) =>
      verdict(year([GAP], by(shelf) as Partial<YearView>), 'METRIC').headline;
    expect(headline('standingKg')).toContain('Standing feed carries the herd again from 1 April.');
    expect(headline('putByKg')).toContain('Stored feed is given again from 1 April.');
    expect(headline('boughtInKg')).toContain('Bought feed is given from 1 April.');
  });

  it('does not say that hay ran out where there was none, or where it was not opened', () => {
    const empty = { ...GAP, causes: [{ code: 'STORE_EMPTY' as const, subjects: [], value: 0 }] };
    expect(verdict(year([empty]), 'METRIC').headline).toContain(
      'Feed falls short from 24 February.',
    );
    const shut = {
      ...GAP,
      causes: [{ code: 'STORE_NOT_OPENED' as const, subjects: [], value: 72000 }],
    };
    expect(verdict(year([shut]), 'METRIC').headline).toContain(
      'with 72.0 t in the store that the plan does not open, or only by the portion.',
    );
    expect(gapMeaning(shut as Gap)).toBe('Nothing that the plan opens is left to feed');
    expect(gapMeaning(GAP as Gap)).toBe('Nothing is left to feed');
  });

  it('says first of all when animals would not live through it', () => {
    const groups = [
      { id: 'a', wouldNotLiveFromDay: -1 },
      { id: 'b', wouldNotLiveFromDay: 200 },
      { id: 'c', wouldNotLiveFromDay: 90 },
    ] as YearView['groups'];
    const short = verdict(year([GAP], { groups }), 'METRIC');
    expect(short.headline).toBe(
      'Hay runs out on 24 February. Animals would not live through this plan: too thin from 30 November.',
    );
    expect(short.welfare).toBe(true);
    expect(short.detail).toContain('veterinarian');
    const poor = verdict(year([], { groups }), 'METRIC');
    expect(poor.closed).toBe(false);
    expect(poor.detail).toContain('too little energy');
  });

  it('does not call standing feed grass that grows', () => {
    const total = { ...TOTAL, growingKg: 900, standingKg: 100 };
    expect(noGap(year([], { total } as Partial<YearView>))).toContain('what stands from before');
    expect(noGap(year([], { total: { ...total, standingKg: 0 } } as Partial<YearView>))).toBe(
      'No gap: growing grass carries the herd all year.',
    );
  });

  it('does not promise grass after a gap that lasts to the end', () => {
    const said = verdict(year([{ ...GAP, lastDay: 365 }]), 'METRIC');
    expect(said.headline).toContain('It stays short to the end of the plan.');
  });

  it('does not blame hay that was never there', () => {
    const said = verdict(year([{ ...GAP, causes: [] }]), 'METRIC');
    expect(said.headline).toContain('Feed falls short from 24 February.');
  });

  it('says that feed lasts when no store gap is left', () => {
    expect(verdict(year([{ ...GAP, kind: 'GRAZING' }]), 'METRIC').closed).toBe(true);
  });

  it('does not praise an empty farm', () => {
    const empty = year([], { total: { ...TOTAL, needKg: 0 } as YearView['total'] });
    expect(verdict(empty, 'METRIC').headline).toBe('Nobody to feed yet.');
  });
});

describe('the store', () => {
  it('counts units of a kind together', () => {
    const lots = [
      { unitName: 'round bale', units: [236] },
      { unitName: 'round bale', units: [64] },
      { unitName: 'small square bale', units: [1] },
    ];
    expect(unitsLeft(lots as never, 0)).toBe('300 round bales, 1 small square bale');
  });
});

const FARM = {
  fields: [
    { id: 'a', name: 'Church Field' },
    { id: 'b', name: 'Saddle' },
  ],
  groups: [],
} as never;

describe('causes', () => {
  it('name the fields and give the measure in the units of the user', () => {
    const gap = {
      ...GAP,
      causes: [
        { code: 'STORE_EMPTY', subjects: [], value: 176 },
        { code: 'DORMANT', subjects: [], value: 0.96 },
        { code: 'SHUT', subjects: ['a', 'b'], value: 0 },
        { code: 'STANDS_UNUSED', subjects: ['b'], value: 30833 },
      ],
    } as never;
    expect(causes(gap, FARM, year([]), 'IMPERIAL')).toEqual([
      'The store is empty from 24 February.',
      'Grass is dormant on 96% of the growing ground.',
      'Shut for stockpile: Church Field, Saddle.',
      'About 34.0 tons that could be eaten stands on fields that no order of feeds opens then: Saddle.',
    ]);
  });

  it('have a sentence for every code', () => {
    const codes = [
      'STORE_EMPTY',
      'NO_STORE',
      'DORMANT',
      'SLUMP',
      'SHUT',
      'HELD',
      'OUT_OF_USE',
      'STANDS_UNUSED',
    ];
    const gap = { ...GAP, causes: codes.map((code) => ({ code, subjects: ['a'], value: 1 })) };
    for (const sentence of causes(gap as never, FARM, year([]), 'METRIC')) {
      expect(sentence).toMatch(/^[A-Z].*\.$/);
    }
  });
});

describe('what stands beside an input', () => {
  it('a doubt names what is usual in the units of the user', () => {
    const doubt = {
      code: 'UNUSUAL',
      subjectId: 'cows',
      field: 'group.weightKg',
      value: 55,
      usualMin: 330,
      usualMax: 880,
    } as const;
    expect(doubtText(doubt, 'METRIC')).toBe('Unusual: 330 to 880 kg is usual. Taken as typed.');
    expect(doubtText(doubt, 'IMPERIAL')).toContain('728 to 1,940 lb');
  });

  it('a change shows more decimals where the usual ones are the same', () => {
    expect(memberChange('field.areaHa', 5.6656, 8.09371, 'IMPERIAL')).toBe('14.0 to 20.0');
    expect(memberChange('field.areaHa', 5.6656, 5.66559899, 'METRIC')).toBe('5.6656 to 5.66559899');
    expect(memberChange('field.residualKgPerHa', null, 1200, 'METRIC')).toBe('not stated to 1,200');
  });

  it('a member is named with its unit, known or not', () => {
    expect(memberName('field.areaHa', 'IMPERIAL')).toBe('Area, ac');
    expect(memberName('stand.fromInclusive', 'METRIC')).toBe('From');
  });
});
