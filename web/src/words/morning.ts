/** How a farm stands this morning, in words. */
import type { FarmMorning, Verdict } from '../api/client';
import { dayOf, shortDate } from '../units/dates';
import { amount, type System } from '../units/units';

/** As they are offered and said, the worst first. */
export const VERDICTS: Record<Verdict, string> = {
  WOULD_NOT_LIVE: 'Animals would not live',
  SHORT_NOW: 'Short now',
  FALLS_SHORT: 'Falls short',
  SHORT_IN_TEN: 'Short in a hard year',
  LASTS: 'Feed lasts',
  NOBODY: 'Nobody to feed',
  NO_PLAN: 'No plan for today',
};

/** What it means, for whoever asks. */
export const MEANINGS: Record<Verdict, string> = {
  WOULD_NOT_LIVE:
    'The figures say that a group would not live through what is left of the plan as it is. Ask your veterinarian.',
  SHORT_NOW: 'Feed is short today, in a normal year.',
  FALLS_SHORT: 'Feed falls short before the plan ends, in a normal year.',
  SHORT_IN_TEN: 'Feed lasts in a normal year and falls short in at least one year of ten.',
  LASTS: 'Feed lasts in more than nine years of ten.',
  NOBODY: 'No group is there from today on.',
  NO_PLAN: 'Every plan of the farm is over.',
};

export function verdictName(m: FarmMorning): string {
  if (m.failed) return 'Could not be reckoned';
  return m.verdict ? VERDICTS[m.verdict] : 'Not reckoned yet';
}

const LEAST_KG = 50;

/** What stands under the verdict. */
export function verdictMore(m: FarmMorning): string {
  if (m.failed) return 'Open it to see why.';
  const missing = m.missingKg ?? 0;
  if (missing >= LEAST_KG && m.units) return `${amount(missing, 'bulk', m.units)} missing`;
  return begins(m) ? `plan from ${plainDate(m.lookedFrom!)}` : '';
}

/** "20 Feb 2028" */
export function plainDate(iso: string): string {
  return `${shortDate(iso)} ${iso.slice(0, 4)}`;
}

/** True where the plan that is looked at has not begun. */
function begins(m: FarmMorning): boolean {
  return m.lookedFrom !== null && m.day !== null && m.lookedFrom > m.day;
}

/** "lasts in 18 of 200 years" */
export function fedWords(m: FarmMorning): string {
  if (m.fed === null || m.years === null || m.verdict === 'NOBODY') return '';
  return `lasts in ${m.fed} of ${m.years} years`;
}

/** "today", "yesterday", "12 days ago", "5 months ago" */
export function ageWords(iso: string | null, today: string): string {
  if (!iso) return 'never';
  const days = dayOf(iso, today);
  if (days <= 0) return 'today';
  if (days === 1) return 'yesterday';
  if (days < 60) return `${days} days ago`;
  return `${Math.round(days / 30.4)} months ago`;
}

/** "14 Dec 2026, last day 20 Dec 2026" */
export function byWords(m: FarmMorning): string {
  if (!m.nextOn) return '';
  const last = m.nextLast && m.nextLast !== m.nextOn ? `, last day ${plainDate(m.nextLast)}` : '';
  return plainDate(m.nextOn) + last;
}

/** How far all farms are. */
export function progressWords(p: { farms: number; changed: number; waiting: number }): string {
  const farms = `${p.farms.toLocaleString('en-US')} ${p.farms === 1 ? 'farm' : 'farms'}`;
  if (p.waiting) {
    return `${farms}; ${p.waiting.toLocaleString('en-US')} still to be reckoned.`;
  }
  if (p.changed) {
    return `${farms}; ${p.changed.toLocaleString('en-US')} changed since or not of today.`;
  }
  return `${farms}, all as they stand this morning.`;
}

/** Amounts in a file go by where its reader is. */
export function fileQuery(query: Record<string, string>, units: System, format: string): string {
  return new URLSearchParams({ ...query, units, format }).toString();
}
