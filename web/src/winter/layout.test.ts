import { describe, expect, test } from 'vitest';
import type { BaleField, BaleSection } from '../api/client';
import { acrossLongest, barLength, behindAt, paperScale, withCount, withWire } from './layout';

const at = (eastM: number, northM: number) => ({ eastM, northM });
let placed = 0;
const section = (n: number): BaleSection => ({
  from: null,
  toExclusive: null,
  spots: Array.from({ length: n }, () => ({ row: 0, place: placed, at: at(10 * placed++, 0) })),
  wire: [],
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
});
