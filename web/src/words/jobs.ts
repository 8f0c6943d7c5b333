/** Jobs in words: what is late, what is next, what waiting costs. */
import type { Job, JobMoved } from '../api/client';
import { dayOf, isoOf, longDate, shortDate } from '../units/dates';
import { amount, type System } from '../units/units';
import { plural } from './year';

/** Open, or moved: it still is to be done. */
export function isOpen(j: Job): boolean {
  return !j.mark || j.mark.mark === 'MOVED';
}

/** The day on which it is to be done now. */
export function due(j: Job): string {
  return j.mark?.to ?? j.day;
}

/** The last day on which it does what it is for; once moved, the day it was moved to. */
export function lastDay(j: Job): string {
  return j.mark?.to && j.mark.to > j.latest ? j.mark.to : j.latest;
}

export function isLate(j: Job, today: string): boolean {
  return isOpen(j) && lastDay(j) < today;
}

/** Before the plan begins nothing is late that could not be done any more by then. */
export function headline(jobs: Job[], today: string): string {
  const open = jobs.filter(isOpen);
  const late = open.filter((j) => isLate(j, today));
  const next = open.filter((j) => !isLate(j, today)).sort((a, b) => (due(a) < due(b) ? -1 : 1))[0];
  const upcoming = next
    ? `${due(next) <= today ? 'Now' : `Next, ${longDate(due(next))} ${due(next).slice(0, 4)}`}: ${next.title}.`
    : '';
  if (!jobs.length) return 'The plan asks for nothing to be done yet.';
  if (!open.length) return 'Everything is done.';
  if (!late.length) return upcoming;
  return `${late.length} ${plural('job', late.length)} late. ${upcoming}`.trim();
}

/** "22 May, from 8 to 30 May" */
export function datesWords(j: Job): string {
  const moved = j.mark?.mark === 'MOVED' ? `, moved from ${shortDate(j.day)}` : '';
  const window =
    j.earliest === j.latest ? '' : `, ${shortDate(j.earliest)} to ${shortDate(j.latest)}`;
  return `${shortDate(due(j))} ${due(j).slice(0, 4)}${moved}${window}`;
}

const LEAST_KG = 50;

/** What a week later costs. */
export function waitingWords(kg: number | undefined, job: Job, system: System): string {
  if (kg === undefined) return '';
  if (Math.abs(kg) < LEAST_KG) return 'A week later costs next to nothing.';
  if (kg > 0) return `A week later costs ${amount(kg, 'bulk', system)} of feed.`;
  const more = `A week later leaves ${amount(-kg, 'bulk', system)} more feed at the end`;
  return job.kind === 'CUT' ? `${more}, riper and worth less.` : `${more}.`;
}

/** What becomes of the year where it is moved. */
export function movedWords(moved: JobMoved, job: Job, to: string, system: System): string {
  const words: string[] = [];
  if (to > job.latest)
    words.push(
      `That is past ${longDate(job.latest)}, the last day on which it does what it is for.`,
    );
  if (to < job.earliest)
    words.push(`That is before ${longDate(job.earliest)}, the first day on which it can be done.`);
  if (!job.thing || job.kind === 'OWN')
    return words.join(' ') || 'No other day of the plan hangs on it.';
  const bare = Math.abs(moved.bareKg) < LEAST_KG ? 0 : moved.bareKg;
  const store = Math.abs(moved.storeKg) < LEAST_KG ? 0 : moved.storeKg;
  if (bare)
    words.push(
      `${amount(Math.abs(bare), 'bulk', system)} ${bare > 0 ? 'more' : 'less'} missing over the plan.`,
    );
  if (store)
    words.push(
      `${amount(Math.abs(store), 'bulk', system)} ${store > 0 ? 'more' : 'less'} in store at its end.`,
    );
  if (!moved.edits.length) words.push('The plan cannot take it then: something else stands there.');
  else if (!bare && !store) words.push('The year stays as it is.');
  return words.join(' ');
}

/** Monday of a day's week. */
export function weekOf(iso: string): string {
  const day = new Date(iso).getUTCDay();
  return isoOf(iso, -((day + 6) % 7));
}

export interface Week {
  monday: string;
  jobs: Job[];
}

/** Jobs by the week they are due in, in order. */
export function byWeek(jobs: Job[]): Week[] {
  const weeks: Week[] = [];
  for (const j of [...jobs].sort((a, b) => (due(a) < due(b) ? -1 : due(a) > due(b) ? 1 : 0))) {
    const monday = weekOf(due(j));
    const last = weeks.at(-1);
    if (last?.monday === monday) last.jobs.push(j);
    else weeks.push({ monday, jobs: [j] });
  }
  return weeks;
}

/** "Week of 22 May 2028", or how near it is. */
export function weekName(monday: string, today: string): string {
  const apart = dayOf(weekOf(today), monday);
  if (apart === 0) return 'This week';
  if (apart === 7) return 'Next week';
  return `Week of ${longDate(monday)} ${monday.slice(0, 4)}`;
}

/** Who it is for. */
export function whoWords(j: Job): string {
  if (j.forWhom) return j.forWhom;
  return j.who === 'MACHINES' ? 'whoever has the machine' : '';
}

export function hoursWords(hours: number): string {
  if (hours < 0.1) return '';
  const said = hours >= 10 ? Math.round(hours).toString() : hours.toFixed(1);
  return `${said} ${said === '1.0' ? 'hour' : 'hours'}`;
}

export function markWords(j: Job): string {
  if (!j.mark) return '';
  const done = { DONE: 'Done', DROPPED: 'Dropped', MOVED: 'Moved' }[j.mark.mark];
  const who = j.mark.who ? ` by ${j.mark.who}` : '';
  const why = j.mark.why ? `: ${j.mark.why}` : '';
  return `${done} ${shortDate(j.mark.on)}${who}${why}`;
}
