/** What a date goes by, in words. */
import type { Anchor, MarkDates } from '../api/client';
import { dayOf, isoOf } from '../units/dates';

/** The mark of the year and the distance to it; what a form holds before it has an item. */
export type Tie = Pick<Anchor, 'mark' | 'ofId' | 'daysAfter'>;

const FROSTS: Partial<Record<Anchor['mark'], string>> = {
  FIRST_FROST_10: 'an early first frost (1 year in 10)',
  FIRST_FROST_50: 'the usual first frost (5 years in 10)',
  FIRST_FROST_90: 'a late first frost (9 years in 10)',
  LAST_FROST_10: 'an early last frost (1 year in 10)',
  LAST_FROST_50: 'the usual last frost (5 years in 10)',
  LAST_FROST_90: 'a late last frost (9 years in 10)',
};

/** "the first birth of Cows"; a field's or group's name is looked up. */
export function markName(tie: Pick<Tie, 'mark' | 'ofId'>, nameOf: (id: string) => string): string {
  const of = tie.ofId ? nameOf(tie.ofId) : '';
  if (tie.mark === 'GREEN_UP') return `green-up of ${of}`;
  if (tie.mark === 'FIRST_BIRTH') return `the first birth of ${of}`;
  if (tie.mark === 'WEANING') return `the weaning of ${of}`;
  return FROSTS[tie.mark] ?? tie.mark;
}

/** "60 days before the usual first frost (5 years in 10)" */
export function tieText(tie: Tie, nameOf: (id: string) => string, shown = tie.daysAfter): string {
  const name = markName(tie, nameOf);
  const days = Math.abs(shown);
  const word = days === 1 ? 'day' : 'days';
  if (days === 0) return `on the day of ${name}`;
  return `${days} ${word} ${shown < 0 ? 'before' : 'after'} ${name}`;
}

/** The date of a mark that lies nearest to another; null where the mark is not known. */
export function nearestMark(
  marks: MarkDates[],
  tie: Pick<Tie, 'mark' | 'ofId'>,
  iso: string,
): string | null {
  const dates = marks.find((m) => m.mark === tie.mark && m.ofId === tie.ofId)?.dates ?? [];
  return dates.reduce<string | null>(
    (best, d) => (best === null || Math.abs(dayOf(d, iso)) < Math.abs(dayOf(best, iso)) ? d : best),
    null,
  );
}

/** The same mark from a date that was moved by hand. */
export function tieAt(marks: MarkDates[], tie: Tie, iso: string): Tie {
  const mark = nearestMark(marks, tie, iso);
  return mark === null ? tie : { ...tie, daysAfter: dayOf(mark, iso) };
}

/** The date that another distance to the same mark comes to. */
export function dateAt(marks: MarkDates[], tie: Tie, iso: string, daysAfter: number): string {
  const mark = nearestMark(marks, tie, isoOf(iso, -tie.daysAfter));
  return mark === null ? iso : isoOf(mark, daysAfter);
}

const PARTS: Record<Anchor['part'], string> = { FROM: 'begins', TO: 'ends', UNTIL: 'is eaten to' };

/** What the dates of a planned thing go by, a sentence; empty where they are plain. */
export function goesBy(
  anchors: Anchor[],
  what: Anchor['what'],
  itemId: string,
  nameOf: (id: string) => string,
): string {
  const mine = anchors.filter((a) => a.what === what && a.itemId === itemId);
  if (!mine.length) return '';
  const of = (a: Anchor) => {
    // of most things the last day is shown, of a shutting the day it opens
    const shown = a.part === 'FROM' || a.what === 'CLOSING' ? a.daysAfter : a.daysAfter - 1;
    const verb = a.what === 'CLOSING' && a.part === 'TO' ? 'opens' : PARTS[a.part];
    return `${verb} ${tieText(a, nameOf, shown)}`;
  };
  return `It ${mine.map(of).join(', ')}.`;
}
