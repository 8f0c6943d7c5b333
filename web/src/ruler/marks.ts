import type { Edit, PlanView } from '../api/client';
import { dayOf, endAfter, isoOf, lastDay, shortDay } from '../units/dates';

type Plan = PlanView['plan'];

/** Something with a date that stands on a field's lane and can be taken and moved. */
export interface Mark {
  id: string;
  kind: 'shut' | 'cut' | 'sow' | 'pass' | 'nitrogen' | 'water';
  /** Plan day it begins on. */
  from: number;
  /** Half-open end of what lasts; null of what is done in a day. */
  to: number | null;
  /** What a screen reader calls it: "shut from", "cut". */
  said: string;
  /** The edit that has it begin, or end, on another day; kept within the plan. */
  moved: (edge: 'from' | 'to' | 'whole', day: number) => Edit;
}

/** A closing or a time of passes is no shorter than a week. */
export const LEAST_DAYS = 7;

/** All marks of one field, as a plan has them. */
export function marksOf(plan: Plan, fieldId: string, start: string, days: number): Mark[] {
  const at = (day: number) => isoOf(start, Math.max(0, Math.min(days - 1, day)));
  const mine = <T extends { fieldId: string }>(list: T[]) =>
    list.filter((x) => x.fieldId === fieldId);
  return [
    ...mine(plan.closings).map((c): Mark => {
      const [from, to] = [dayOf(start, c.fromInclusive), dayOf(start, c.toExclusive)];
      const until = c.grazeUntilExclusive ? dayOf(start, c.grazeUntilExclusive) : days;
      return {
        id: c.id,
        kind: 'shut',
        from,
        to,
        said: 'shut',
        moved: (edge, day) => {
          const span = pushed(edge, day, from, to, Math.min(until - 1, days - 1));
          return {
            putClosing: { ...c, fromInclusive: at(span.from), toExclusive: at(span.to) },
          };
        },
      };
    }),
    ...mine(plan.passes).map((p): Mark => {
      const [from, to] = [dayOf(start, p.fromInclusive), dayOf(start, p.toExclusive)];
      return {
        id: p.id,
        kind: 'pass',
        from,
        to,
        said: 'light passes',
        moved: (edge, day) => {
          const span = pushed(edge, day, from, to, days);
          return {
            putPass: {
              ...p,
              fromInclusive: at(span.from),
              toExclusive: endAfter(lastDay(isoOf(start, span.to))),
            },
          };
        },
      };
    }),
    ...mine(plan.cuts).map((c): Mark => ({
      id: c.id,
      kind: 'cut',
      from: dayOf(start, c.date),
      to: null,
      said: 'cut',
      moved: (_, day) => ({
        putCut: { ...c, date: at(day), lot: { ...c.lot, name: renamed(c, at(day), start) } },
      }),
    })),
    ...mine(plan.sowings).map((s): Mark => ({
      id: s.id,
      kind: 'sow',
      from: dayOf(start, s.sowOn),
      to: null,
      said: 'sown',
      moved: (_, day) => ({ putSowing: { ...s, sowOn: at(day) } }),
    })),
    ...mine(plan.dressings).map((d): Mark => ({
      id: d.id,
      kind: 'nitrogen',
      from: dayOf(start, d.date),
      to: null,
      said: 'nitrogen',
      moved: (_, day) => ({ putDressing: { ...d, date: at(day) } }),
    })),
    ...mine(plan.irrigations).map((i): Mark => ({
      id: i.id,
      kind: 'water',
      from: dayOf(start, i.date),
      to: null,
      said: 'watered',
      moved: (_, day) => ({ putIrrigation: { ...i, date: at(day) } }),
    })),
  ];
}

/** A cut that is called by its day is called by its new day. */
function renamed(cut: Plan['cuts'][number], iso: string, start: string): string {
  const before = shortDay(start, dayOf(start, cut.date));
  return cut.lot.name.endsWith(`, ${before}`)
    ? `${cut.lot.name.slice(0, -before.length)}${shortDay(start, dayOf(start, iso))}`
    : cut.lot.name;
}

/** One edge moved as far as the other lets it, or both together as far as the plan lets them. */
export function pushed(
  edge: 'from' | 'to' | 'whole',
  day: number,
  from: number,
  to: number,
  latest: number,
): { from: number; to: number } {
  if (edge === 'from') return { from: Math.max(0, Math.min(day, to - LEAST_DAYS)), to };
  if (edge === 'to') return { from, to: Math.min(Math.max(day, from + LEAST_DAYS), latest) };
  const by = Math.max(-from, Math.min(day - from, latest - to));
  return { from: from + by, to: to + by };
}
