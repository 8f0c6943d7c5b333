/** Dates that tell a hard year, what decides a year, and the drought plan, in words. */
import type { DateThatTells, Decides, Rung } from '../api/client';
import { MONTH_NAMES, shortDay } from '../units/dates';
import { amount, rounded, toSi, type Quantity, type System } from '../units/units';
import { plural } from './year';

export type Sign = DateThatTells['sign'];

/** What a sign is called, and in what it is measured. */
export const SIGNS: Record<Sign, { name: string; quantity: Quantity; step: number }> = {
  STANDS: { name: 'Standing on the farm, over all its ground', quantity: 'massPerArea', step: 50 },
  STORE: { name: 'In store', quantity: 'bulk', step: 1 },
  GROWTH: { name: 'Growth of the last thirty days', quantity: 'rate', step: 1 },
  SOIL_WATER: { name: 'Water in the soil, share of what it holds', quantity: 'percent', step: 1 },
  RAIN: { name: 'Rain of the last sixty days', quantity: 'water', step: 0.5 },
};

/** A bound that can be kept in mind, in SI: rounded in the units in which it is read. */
export function plainBound(sign: Sign, si: number, system: System): number {
  const { quantity, step } = SIGNS[sign];
  const size = quantity === 'water' && system === 'METRIC' ? 5 : step;
  return toSi(Math.round(rounded(si, quantity, system) / size) * size, quantity, system);
}

/** "less than 1,600 lb/ac stands on the farm" */
export function signWords(sign: Sign, below: number, system: System): string {
  const said =
    sign === 'SOIL_WATER' ? `${Math.round(below)}%` : amount(below, SIGNS[sign].quantity, system);
  return {
    STANDS: `less than ${said} stands on the farm`,
    STORE: `less than ${said} is in store`,
    GROWTH: `growth of the last month is under ${said}`,
    SOIL_WATER: `the soil holds less than ${said} of the water it can`,
    RAIN: `less than ${said} of rain has fallen in sixty days`,
  }[sign];
}

/** How often a date is right, proved on years that it was not made from. */
export function rightWords(d: DateThatTells): string {
  const tenths = Math.round((10 * d.right) / Math.max(1, d.fires));
  const told = Math.round((10 * d.right) / Math.max(1, d.hard));
  return `Right in ${tenths} of 10 such years; it tells ${told} of 10 hard years by then, and is silent in the others.`;
}

/** What selling then saves, and what waiting costs. */
export function thenWords(d: DateThatTells, group: string, system: System): string {
  const missing = `Such a year goes on to miss ${amount(d.missingKg, 'bulk', system)}.`;
  if (!group) return missing;
  const least = 0.02 * d.missingKg;
  if (d.savesKg < least)
    return `${missing} Selling ${d.head} from ${group} then saves next to nothing.`;
  const lost = d.savesKg - d.savesLaterKg;
  const waiting =
    lost > least
      ? ` Four weeks later it saves ${amount(lost, 'bulk', system)} less.`
      : ' Four weeks later it saves as much.';
  return `${missing} Selling ${d.head} from ${group} then saves ${amount(d.savesKg, 'bulk', system)} of it.${waiting}`;
}

/** Births that are still to come raise need: a sale can be eaten up by them. */
export function birthWords(d: DateThatTells): string {
  const more = Math.round(100 * (d.needMost / Math.max(1, d.needThen) - 1));
  return more >= 10 ? `Need rises by ${more}% within four months of that day.` : '';
}

/** What would be done, as the first words of a rung. */
export function rungWords(d: DateThatTells, group: string, bales: string): string {
  return group ? `Sell ${d.head} from ${group}, or buy ${bales}` : `Buy ${bales}`;
}

/** "10 June" of "--06-10". */
export function monthDay(day: string): string {
  return `${Number(day.slice(5, 7))} ${MONTH_NAMES[Number(day.slice(2, 4)) - 1]}`;
}

/** A rung of the drought plan in one sentence. */
export function rungText(r: Rung, system: System): string {
  return r.sign && r.below !== null
    ? `If ${signWords(r.sign, r.below, system)}: ${r.doThis}`
    : r.doThis;
}

/** A thing that decides: its name. */
export function decidesName(d: Decides, start: string): string {
  const first = Number(start.slice(5, 7)) - 1 + d.month;
  const months = `${MONTH_NAMES[first % 12]} to ${MONTH_NAMES[(first + d.months - 1) % 12]}`;
  return {
    RAIN: `Rain, ${months}`,
    WARMTH: `Warmth, ${months}`,
    FIRST_FROST: 'First killing frost, later',
    LAST_FROST: 'Last killing frost, later',
    BIRTHS: 'Births two weeks later',
  }[d.what];
}

/** What more of it does. */
export function decidesWords(d: Decides, system: System): string {
  return `${amount(Math.abs(d.kg), 'bulk', system)} ${d.kg > 0 ? 'more' : 'less'}`;
}

/** How two plans do in the same years. */
export function besideWords(
  mine: { seeds: number[]; bareKgByYear: number[]; dayKg: number; fed: number; years: number },
  other: { seeds: number[]; bareKgByYear: number[]; fed: number },
  name: string,
  system: System,
): string {
  const theirs = new Map(other.seeds.map((s, i) => [s, other.bareKgByYear[i]]));
  let less = 0;
  let more = 0;
  let sum = 0;
  mine.seeds.forEach((s, i) => {
    const apart = (theirs.get(s) ?? 0) - mine.bareKgByYear[i];
    sum += apart;
    if (apart < -mine.dayKg) less++;
    if (apart > mine.dayKg) more++;
  });
  const mean = sum / Math.max(1, mine.seeds.length);
  const count = (n: number) => n.toLocaleString('en-US');
  const years = `In the same ${count(mine.years)} years "${name}" is fed in ${count(other.fed)}, this plan in ${count(mine.fed)}.`;
  if (!less && !more) return `${years} None of the years is apart by a day's feed.`;
  return `${years} It misses less in ${count(less)} ${plural('year', less)} and more in ${count(more)}; in the mean ${amount(Math.abs(mean), 'bulk', system)} ${mean < 0 ? 'less' : 'more'}.`;
}

/** The plan in the years of the farm's own gauge. */
export function gaugeWords(
  years: { first: string; bareKg: number }[],
  dayKg: number,
  system: System,
): string {
  const fed = years.filter((y) => y.bareKg < dayKg).length;
  const hardest = years.reduce((a, b) => (b.bareKg > a.bareKg ? b : a));
  const said = `In ${fed} of the ${years.length} years of your own gauge feed lasts.`;
  return fed === years.length
    ? said
    : `${said} The hardest began ${shortDay(hardest.first, 0)} ${hardest.first.slice(0, 4)}: ${amount(hardest.bareKg, 'bulk', system)} missing.`;
}
