/** How sure one can be of a way out of a gap, in words. */
import type { Sureness } from '../api/client';
import { amount, type System } from '../units/units';

const number = (season: string) => season.replace('seed:', '');

/**
 * What the simulated year is in which the gap is looked at.
 *
 * @param year the one that the wanted share of all years is no harder than
 */
export function sureText(
  all: Sureness,
  year: Sureness['years'][number],
  share: number,
  system: System,
): string {
  const count = all.years.length;
  const wanted = Math.ceil(share * count - 1e-9);
  const begin = `As the plan stands, ${closedIn(all.closedBefore, count)}.`;
  if (year.bareKgBefore < all.dayKg) {
    return `${begin} That is as sure as you want to be: nothing needs to be done for it.`;
  }
  return `${begin} It is looked at in simulated year ${number(year.season)}: in ${wanted} of ${count} no more is missing than the ${amount(year.bareKgBefore, 'bulk', system)} of that year.`;
}

/** "it is closed in 12 of 20 simulated years". */
export function closedIn(closed: number, count: number): string {
  return closed === 0
    ? `it is closed in none of ${count} simulated years`
    : `it is closed in ${closed} of ${count} simulated years`;
}
