import { describe, expect, test } from 'vitest';
import type { BaleField, BaleSection, BaleWinter, FeedStep, Outline } from '../api/client';
import {
  acrossLongest,
  barLength,
  behindAt,
  keptPads,
  madeApartM,
  padsOf,
  paperScale,
  withCount,
  withNext,
  withOtherLot,
  withoutPads,
  withPads,
  withWire,
} from './layout';

const at = (eastM: number, northM: number) => ({ eastM, northM });
let placed = 0;
const section = (n: number): BaleSection => ({
  from: null,
  toExclusive: null,
  spots: Array.from({ length: n }, () => ({ row: 0, place: placed, at: at(10 * placed++, 0) })),
  wire: [],
  others: [],
  offeredDays: null,
  toTroughM: null,
});
placed = 0;
const SECTIONS = [section(4), section(4), section(4), section(2)];
const BALES = { counts: [] as number[], atOnce: 4 } as unknown as BaleField;

describe('the wire', () => {
  test('takes from one section what it gives to the other', () => {
    expect(withWire(BALES, SECTIONS, 1, 6).counts).toEqual([4, 2, 6]);
    expect(withWire(BALES, SECTIONS, 0, 5).counts).toEqual([5, 3]);
  });

  test('leaves a bale on either side', () => {
    expect(withWire(BALES, SECTIONS, 1, 2).counts).toEqual([4, 1, 7]);
    expect(withWire(BALES, SECTIONS, 1, 14).counts).toEqual([4, 7, 1]);
  });

  test('stands behind the bale that is nearest to the hand', () => {
    expect(behindAt(SECTIONS, at(52, 3))).toBe(6);
    expect(behindAt(SECTIONS, at(-90, 3))).toBe(1);
  });

  test('those behind follow where a number is typed', () => {
    expect(withCount(BALES, SECTIONS, 1, 6).counts).toEqual([4, 6]);
    expect(withCount({ ...BALES, counts: [4, 4, 3] }, SECTIONS, 1, 6).counts).toEqual([4, 6, 3]);
  });
});

describe('the drawing', () => {
  test('rows run across the longest side', () => {
    expect(acrossLongest([at(0, 0), at(10, 0), at(10, 300), at(0, 300)])).toBe(90);
    expect(acrossLongest([at(0, 0), at(300, 0), at(300, 10), at(0, 10)])).toBe(0);
  });

  test('has a round scale on paper and a round bar', () => {
    expect(paperScale(300, 200)).toBe(2000);
    expect(paperScale(200, 100)).toBe(1000);
    expect(barLength(300, 'METRIC')).toEqual({ m: 50, text: '50 m' });
    expect(barLength(300, 'IMPERIAL').text).toBe('100 ft');
  });

  test('a baler leaves a bale where it has taken up as much', () => {
    // 360 kg off 4,000 kg/ha are 900 m2: 60 m of a 15 m row
    expect(madeApartM(360, 4000, 15)).toBe(60);
    expect(madeApartM(360, 6000, 20)).toBe(30);
    // no closer and no wider than a grid may be
    expect(madeApartM(20, 9000, 20)).toBe(3);
    expect(madeApartM(400, 1000, 10)).toBe(200);
  });

  test('pads are kept once for a winter', () => {
    const winter = {
      toExclusive: '2028-03-04',
      sections: [{ ...section(2), from: '2028-01-01' }, section(3)],
    } as unknown as BaleWinter;
    const pads = padsOf(winter)!;
    // what stayed closed left none
    expect(pads.at).toHaveLength(2);
    const bare: Outline = { edge: [], off: [], pads: [] };
    const once = withPads(withPads(bare, pads), { ...pads, eatenUp: '2028-03-20' });
    expect(once.pads.map((p) => p.eatenUp)).toEqual(['2028-03-20']);
    const twice = withPads(once, { ...pads, eatenUp: '2029-03-01' });
    expect(twice.pads).toHaveLength(2);
    expect(withoutPads(twice, '2028-03-04').pads.map((p) => p.eatenUp)).toEqual(['2029-03-01']);
    expect(keptPads(twice, '2030-03-01')).toBeNull();
  });

  test('straw in the line is fed first, and for as long as the line then lasts', () => {
    const winter = {
      from: '2027-11-01',
      toExclusive: '2028-01-20',
      mixture: { otherShare: 0.2 },
    } as unknown as BaleWinter;
    const steps = [
      { id: 'a', groupId: 'cows', kind: 'STORE', sourceIds: ['hay'], portion: null },
      { id: 'b', groupId: 'ewes', kind: 'STORE', sourceIds: [], portion: null },
    ] as unknown as FeedStep[];
    const once = withOtherLot(steps, { id: 'cows-mixed', groupId: 'cows' }, 'straw', winter);
    expect(once.map((s) => s.id)).toEqual(['cows-mixed', 'a']);
    // eighty days of hay are a hundred with a fifth of straw
    expect(once[0]).toMatchObject({ fromInclusive: '2027-11-01', toExclusive: '2028-02-09' });
    expect(once[0].portion).toEqual({ bound: 'AT_MOST', share: 0.2, kgPerHeadDay: null });
    // pressed again it takes its own place
    const again = withOtherLot(once, { id: 'cows-mixed-2', groupId: 'cows' }, 'straw', winter);
    expect(again.map((s) => s.id)).toEqual(['cows-mixed-2', 'a']);
  });

  test('what is opened from here on leaves what is open as it is', () => {
    const laid = { counts: [], atOnce: 8 } as unknown as BaleField;
    const sections = ['2027-11-01', '2027-11-09', '2027-11-20'].map((from) => ({
      ...section(8),
      from,
    }));
    expect(withNext(laid, sections, '2027-11-10', 6)).toMatchObject({ counts: [8, 8], atOnce: 6 });
  });
});
