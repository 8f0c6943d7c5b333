/** Days of the plan as numbers from 0; dates in UTC so that no clock change moves them. */
const DAY_MS = 86_400_000;
const MONTHS =
  'January February March April May June July August September October November December'.split(
    ' ',
  );

export function dayOf(start: string, iso: string): number {
  return Math.round((Date.parse(iso) - Date.parse(start)) / DAY_MS);
}

export function isoOf(start: string, day: number): string {
  return new Date(Date.parse(start) + day * DAY_MS).toISOString().slice(0, 10);
}

/** "20 February" */
export function longDate(iso: string): string {
  return `${Number(iso.slice(8, 10))} ${MONTHS[Number(iso.slice(5, 7)) - 1]}`;
}

/** "20 Feb" */
export function shortDate(iso: string): string {
  return `${Number(iso.slice(8, 10))} ${MONTHS[Number(iso.slice(5, 7)) - 1].slice(0, 3)}`;
}

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];

/** "Sun 20 Feb 2028" */
export function fullDate(iso: string): string {
  return `${WEEKDAYS[new Date(iso).getUTCDay()]} ${shortDate(iso)} ${iso.slice(0, 4)}`;
}

/** "20 February" for a plan day. */
export function longDay(start: string, day: number): string {
  return longDate(isoOf(start, day));
}

export function shortDay(start: string, day: number): string {
  return shortDate(isoOf(start, day));
}

/** "Sep 2027" from "2027-09". */
export function monthName(yearMonth: string): string {
  return `${MONTHS[Number(yearMonth.slice(5, 7)) - 1].slice(0, 3)} ${yearMonth.slice(0, 4)}`;
}

/** The last day shown for a half-open end. */
export function lastDay(endExclusive: string): string {
  return isoOf(endExclusive, -1);
}

/** Half-open end for a last day that was typed. */
export function endAfter(lastInclusive: string): string {
  return isoOf(lastInclusive, 1);
}

/** Today by the user's clock, as an ISO date. */
export function today(): string {
  const now = new Date();
  return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`;
}

/** The first day of this month by the user's clock. */
export function firstOfMonth(): string {
  return `${today().slice(0, 8)}01`;
}

function pad(n: number): string {
  return String(n).padStart(2, '0');
}

/** A day of the year moved by some days: "--03-01" and 42 to "--04-12". */
export function movedMonthDay(monthDay: string, days: number): string {
  const at = Date.parse(`2025-${monthDay.slice(2)}`) + days * DAY_MS;
  return `--${new Date(at).toISOString().slice(5, 10)}`;
}

export const MONTH_NAMES = MONTHS;

/** Today, or the day of a plan's year that is nearest to it. */
export function todayWithin(year: { start: string; days: number }): string {
  const last = isoOf(year.start, year.days - 1);
  return today() < year.start ? year.start : today() > last ? last : today();
}

/** "at 9:41", or with the day where that was another one: "on 3 May at 9:41" */
export function timeOf(ms: number): string {
  const then = new Date(ms);
  const time = `${then.getHours()}:${String(then.getMinutes()).padStart(2, '0')}`;
  const day = [then.getFullYear(), then.getMonth() + 1, then.getDate()]
    .map((n) => String(n).padStart(2, '0'))
    .join('-');
  return day === today() ? `at ${time}` : `on ${shortDate(day)} at ${time}`;
}
