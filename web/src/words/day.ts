/** What a single day, and what grows beyond the need, come to in words. */
import type { YearView } from '../api/client';
import { fullDate, isoOf } from '../units/dates';
import { amount, figure, type System } from '../units/units';

type Days = Pick<
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
  | 'offeredKg'
  | 'storeKg'
>;

/**
 * "Thu 24 Feb 2028: 2,170 lb wanted; put by gives 1,100, bare 1,070. The fields grow 300 lb; 33 tons
 * stand above what must be left."
 */
export function daySentence(year: Days, day: number, system: System): string {
  const least = year.needKg[day] * 0.005;
  const parts = (
    [
      ['growing', year.growingKg],
      ['standing', year.standingKg],
      ['put by', year.putByKg],
      ['bought in', year.boughtInKg],
    ] as const
  )
    .filter(([, kg]) => kg[day] > least)
    .map(([name, kg]) => `${name} ${figure(kg[day], 'mass', system)}`);
  if (year.bareKg[day] > least) parts.push(`bare ${figure(year.bareKg[day], 'mass', system)}`);
  const wanted =
    year.needKg[day] > 0
      ? `${amount(year.needKg[day], 'mass', system)} wanted${parts.length ? `: ${parts.join(', ')}` : ''}`
      : 'nobody asks for feed';
  return (
    `${fullDate(isoOf(year.start, day))}. ${wanted[0].toUpperCase()}${wanted.slice(1)}. ` +
    `The fields grow ${amount(year.grownKg[day], 'mass', system)}; ` +
    `${amount(year.offeredKg[day], 'bulk', system)} of feed stand above what must be left, ` +
    `${amount(year.storeKg[day], 'bulk', system)} in store.`
  );
}

/** The longest time over which more grows than is grazed, and how much more. */
export interface Surplus {
  fromDay: number;
  /** Half-open. */
  toDay: number;
  kg: number;
}

/** Days that little grows beyond what is grazed are no flush: a tenth of the need, say. */
const LITTLE = 0.1;
const PAUSE_DAYS = 10;

/** The greatest flush of the plan: over some weeks more grows than stock graze; null where none. */
export function surplus(
  year: Pick<YearView, 'days' | 'needKg' | 'growingKg' | 'grownKg'>,
): Surplus | null {
  const need = Math.max(1, ...year.needKg);
  const over = (d: number) => Math.max(0, year.grownKg[d] - year.growingKg[d]);
  let best: Surplus | null = null;
  let now: Surplus | null = null;
  for (let d = 0; d < year.days; d++) {
    if (over(d) <= need * LITTLE) continue;
    if (!now || d - now.toDay > PAUSE_DAYS) now = { fromDay: d, toDay: d, kg: 0 };
    now.toDay = d + 1;
    now.kg += over(d);
    if (!best || now.kg > best.kg) best = now;
  }
  return best;
}
