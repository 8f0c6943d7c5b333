import { describe, expect, it } from 'vitest';
import type { PlanView } from '../api/client';
import { marksOf, pushed } from './marks';

const START = '2027-09-01';
const NONE = {
  closings: [],
  passes: [],
  cuts: [],
  sowings: [],
  dressings: [],
  irrigations: [],
} as unknown as PlanView['plan'];

function plan(more: object): PlanView['plan'] {
  return { ...NONE, ...more };
}

describe('marks on a lane', () => {
  const closing = {
    id: 'c',
    fieldId: 'f',
    fromInclusive: '2027-09-11',
    toExclusive: '2027-12-20',
    grazedBy: [],
    grazeUntilExclusive: '2028-01-19',
  };

  it('are those of the field only', () => {
    const two = plan({ closings: [closing, { ...closing, id: 'x', fieldId: 'g' }] });
    expect(marksOf(two, 'f', START, 365).map((m) => m.id)).toEqual(['c']);
  });

  it('a closing opens before the day to which it may be eaten, and stays a week at least', () => {
    const [mark] = marksOf(plan({ closings: [closing] }), 'f', START, 365);
    expect(mark.from).toBe(10);
    expect(mark.moved('to', 300).putClosing!.toExclusive).toBe('2028-01-18');
    expect(mark.moved('to', 0).putClosing!.toExclusive).toBe('2027-09-18');
    expect(mark.moved('from', -20).putClosing!.fromInclusive).toBe('2027-09-01');
  });

  it('a whole closing keeps its length', () => {
    const both = marksOf(plan({ closings: [closing] }), 'f', START, 365)[0].moved('whole', 15);
    expect(both.putClosing!.fromInclusive).toBe('2027-09-16');
    expect(both.putClosing!.toExclusive).toBe('2027-12-25');
    expect(pushed('whole', -50, 10, 110, 365)).toEqual({ from: 0, to: 100 });
    expect(pushed('whole', 400, 10, 110, 365)).toEqual({ from: 265, to: 365 });
  });

  it('a cut called by its day is called by the new one, and one with its own name keeps it', () => {
    const cut = { id: 'k', fieldId: 'f', date: '2028-05-20', lot: { name: 'Mill, 20 May' } };
    const moved = (name: string) =>
      marksOf(plan({ cuts: [{ ...cut, lot: { name } }] }), 'f', START, 366)[0].moved('from', 273)
        .putCut!;
    expect(moved('Mill, 20 May').date).toBe('2028-05-31');
    expect(moved('Mill, 20 May').lot.name).toBe('Mill, 31 May');
    expect(moved('First cut').lot.name).toBe('First cut');
  });
});
