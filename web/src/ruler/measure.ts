import type { Gap, ShelvesAsked, ShelvesView, YearView } from '../api/client';
import type { Quantity } from '../units/units';

/** In what shelves are counted. */
export type Measure = 'mass' | 'aud' | 'energy' | 'protein';

/** Each with the unit of a day and of a sum of days; empty where the quantity says it. */
export const MEASURES: {
  id: Measure;
  name: string;
  quantity: Quantity;
  aDay: string;
  summed: string;
}[] = [
  { id: 'mass', name: 'dry matter', quantity: 'mass', aDay: 'dry matter a day', summed: '' },
  {
    id: 'aud',
    name: 'animal unit days',
    quantity: 'count',
    aDay: 'animal units',
    summed: 'animal unit days',
  },
  { id: 'energy', name: 'energy', quantity: 'energy', aDay: 'energy a day', summed: '' },
  { id: 'protein', name: 'protein', quantity: 'mass', aDay: 'protein a day', summed: 'protein' },
];

/** What of a year the shelves are drawn from. */
export type Shelved = Pick<
  YearView,
  | 'start'
  | 'days'
  | 'needKg'
  | 'growingKg'
  | 'standingKg'
  | 'putByKg'
  | 'boughtInKg'
  | 'bareKg'
  | 'grownKg'
  | 'gaps'
> & {
  total: Pick<
    YearView['total'],
    'needKg' | 'growingKg' | 'standingKg' | 'putByKg' | 'boughtInKg' | 'bareKg'
  >;
};

/** What must be asked for, to draw a measure of one group or of all; null where the year has it. */
export function askedShelves(measure: Measure, groupId: string, block = ''): ShelvesAsked | null {
  if (!groupId && !block && (measure === 'mass' || measure === 'aud')) return null;
  const what = measure === 'energy' ? 'ENERGY' : measure === 'protein' ? 'PROTEIN' : 'DRY_MATTER';
  return { measure: what, groupId: groupId || null, block: block || null };
}

const sum = (values: number[]) => values.reduce((a, b) => a + b, 0);

/** Less lacking than this share of the need is no gap: the tables know no better. */
const HARDLY = 0.03;

/** Times on which more lacks than that, as gaps. */
function lacks(need: number[], lacking: number[]): Gap[] {
  const gaps: Gap[] = [];
  for (let d = 0; d < need.length; d++) {
    if (lacking[d] <= HARDLY * need[d]) continue;
    let gap = gaps.at(-1);
    if (!gap || gap.lastDay !== d - 1) {
      gap = {
        kind: 'STORE',
        firstDay: d,
        lastDay: d,
        shortDays: 0,
        shortKg: 0,
        animalUnitDays: 0,
        deepestDay: d,
        deepestKg: 0,
        groups: [],
        causes: [],
      };
      gaps.push(gap);
    }
    gap.lastDay = d;
    gap.shortDays++;
    gap.shortKg += lacking[d];
    if (lacking[d] > gap.deepestKg) [gap.deepestDay, gap.deepestKg] = [d, lacking[d]];
  }
  return gaps;
}

/** A year as its shelves give another measure, or feed one group. */
export function asShelved(year: Shelved, s: ShelvesView): Shelved {
  return {
    start: year.start,
    days: year.days,
    needKg: s.need,
    growingKg: s.growing,
    standingKg: s.standing,
    putByKg: s.putBy,
    boughtInKg: s.boughtIn,
    bareKg: s.lacking.map((v, d) => (v > HARDLY * s.need[d] ? v : 0)),
    grownKg: s.growing,
    gaps: lacks(s.need, s.lacking),
    total: {
      needKg: sum(s.need),
      growingKg: sum(s.growing),
      standingKg: sum(s.standing),
      putByKg: sum(s.putBy),
      boughtInKg: sum(s.boughtIn),
      bareKg: sum(s.lacking),
    },
  };
}

/** The same in units of so many kg a day. */
export function inUnitsOf(year: Shelved, kg: number): Shelved {
  const each = (values: number[]) => values.map((v) => v / kg);
  const { total } = year;
  return {
    start: year.start,
    days: year.days,
    needKg: each(year.needKg),
    growingKg: each(year.growingKg),
    standingKg: each(year.standingKg),
    putByKg: each(year.putByKg),
    boughtInKg: each(year.boughtInKg),
    bareKg: each(year.bareKg),
    grownKg: each(year.grownKg),
    gaps: year.gaps.map((g) => ({
      ...g,
      shortKg: g.shortKg / kg,
      deepestKg: g.deepestKg / kg,
    })),
    total: {
      needKg: total.needKg / kg,
      growingKg: total.growingKg / kg,
      standingKg: total.standingKg / kg,
      putByKg: total.putByKg / kg,
      boughtInKg: total.boughtInKg / kg,
      bareKg: total.bareKg / kg,
    },
  };
}
