import type { Anchor, Edit, PlanView, YearView } from '../api/client';
import { dayOf, isoOf, lastDay, shortDate } from '../units/dates';
import { amount, type System } from '../units/units';
import { goesBy } from '../words/anchors';
import { passText, stageWord } from '../words/land';
import { plural, sowingOutcome, sowingText, storeGaps } from '../words/year';

/** What can be done on a field, as it is planned. */
export type ActKind = 'shut' | 'cut' | 'sow' | 'pass' | 'nitrogen' | 'water';

/** One thing that the plan does on a day, in words, and how it is taken back. */
export interface PlannedThing {
  id: string;
  kind: ActKind | 'buy';
  fieldId: string | null;
  /** The day it begins on. */
  date: string;
  text: string;
  /** What comes of it in the season looked at; empty where there is nothing to say. */
  outcome: string;
  /** Read aloud after "Take back" and "Change". */
  said: string;
  back: Edit;
}

/** All that a plan does, the earliest first. */
export function plannedThings(
  view: PlanView,
  year: YearView,
  forageName: (id: string) => string,
  system: System,
): PlannedThing[] {
  const { plan, farm } = view;
  const field = (id: string) => farm.fields.find((f) => f.id === id)?.name ?? id;
  const things: PlannedThing[] = [
    ...plan.closings.map((c) => ({
      id: c.id,
      kind: 'shut' as const,
      fieldId: c.fieldId,
      date: c.fromInclusive,
      text: `Shut ${field(c.fieldId)} from ${shortDate(c.fromInclusive)} to ${shortDate(lastDay(c.toExclusive))}`,
      outcome: c.grazeUntilExclusive
        ? `Eaten in strips to ${shortDate(lastDay(c.grazeUntilExclusive))}.`
        : '',
      said: `shutting ${field(c.fieldId)}`,
      back: { removeClosing: c.id },
    })),
    ...plan.purchases.map((p) => ({
      id: p.id,
      kind: 'buy' as const,
      fieldId: null,
      date: p.date,
      text:
        `Buy ${p.lot.units.toLocaleString('en-US')} ${plural(p.lot.unitName, p.lot.units)} of ` +
        `${amount(p.lot.kgPerUnitAsFed, 'weight', system)}, there on ${shortDate(p.date)}`,
      outcome: '',
      said: `buying ${p.lot.name}`,
      back: { removePurchase: p.id },
    })),
    ...plan.cuts.map((c) => ({
      id: c.id,
      kind: 'cut' as const,
      fieldId: c.fieldId,
      date: c.date,
      text: `Cut ${field(c.fieldId)} on ${shortDate(c.date)}, ${c.lot.unitName}s`,
      outcome: cutOutcome(c.lot, year, system),
      said: `cutting ${field(c.fieldId)}`,
      back: { removeCut: c.id },
    })),
    ...plan.sowings.map((s) => {
      const outcome = year.sowings.find((o) => o.sowingId === s.id);
      return {
        id: s.id,
        kind: 'sow' as const,
        fieldId: s.fieldId,
        date: s.sowOn,
        text: sowingText(s, field(s.fieldId), forageName(s.forageId).toLowerCase()),
        outcome: outcome ? sowingOutcome(outcome, year.start, system) : '',
        said: `sowing ${field(s.fieldId)}`,
        back: { removeSowing: s.id },
      };
    }),
    ...plan.dressings.map((d) => ({
      id: d.id,
      kind: 'nitrogen' as const,
      fieldId: d.fieldId,
      date: d.date,
      text: `${amount(d.nitrogenKgPerHa, 'nutrient', system)} of nitrogen on ${field(d.fieldId)}, ${shortDate(d.date)}`,
      outcome: '',
      said: `nitrogen on ${field(d.fieldId)}`,
      back: { removeDressing: d.id },
    })),
    ...plan.irrigations.map((i) => ({
      id: i.id,
      kind: 'water' as const,
      fieldId: i.fieldId,
      date: i.date,
      text: `${amount(i.waterMm, 'water', system)} of water on ${field(i.fieldId)}, ${shortDate(i.date)}`,
      outcome: '',
      said: `watering ${field(i.fieldId)}`,
      back: { removeIrrigation: i.id },
    })),
    ...plan.passes.map((p) => {
      const made = year.passes.find((x) => x.passId === p.id);
      return {
        id: p.id,
        kind: 'pass' as const,
        fieldId: p.fieldId,
        date: p.fromInclusive,
        text: `Light passes on ${field(p.fieldId)} from ${shortDate(p.fromInclusive)} to ${shortDate(lastDay(p.toExclusive))}`,
        outcome: made ? `In this season: ${passText(made, system)}.` : '',
        said: `passes on ${field(p.fieldId)}`,
        back: { removePass: p.id },
      };
    }),
  ];
  const nameOf = (id: string) => farm.groups.find((g) => g.id === id)?.name ?? field(id);
  return things
    .map((t) => {
      const by = goesBy(plan.anchors ?? [], WHAT[t.kind], t.id, nameOf);
      return by ? { ...t, outcome: `${t.outcome} ${by}`.trim() } : t;
    })
    .sort((a, b) => a.date.localeCompare(b.date));
}

/** What each kind of planned thing is called where its dates go by a mark. */
export const WHAT: Record<PlannedThing['kind'], Anchor['what']> = {
  shut: 'CLOSING',
  cut: 'CUT',
  sow: 'SOWING',
  pass: 'PASS',
  nitrogen: 'DRESSING',
  water: 'IRRIGATION',
  buy: 'PURCHASE',
};

type CutLot = PlanView['plan']['cuts'][number]['lot'];

/** "118 round bales of 805 lb, cut heading or bloom: 9% protein, 55% TDN." */
export function cutOutcome(lot: CutLot, year: YearView, system: System): string {
  const made = year.lots.find((l) => l.id === lot.id);
  if (!made) return '';
  const units = Math.max(0, ...made.units);
  const worth =
    made.tdnPct === null || made.ripeness === null
      ? ''
      : `, cut ${stageWord(made.ripeness)}: ${made.proteinPct?.toFixed(0)}% protein, ${made.tdnPct.toFixed(0)}% TDN`;
  return `${units.toLocaleString('en-US')} ${plural(lot.unitName, units)} of ${amount(lot.kgPerUnitAsFed, 'weight', system)}${worth}.`;
}

type Plan = PlanView['plan'];

/** A plan as an edit of one dated thing leaves it: what is drawn while it is being moved. */
export function withEdit(plan: Plan, edit: Edit | null): Plan {
  if (!edit) return plan;
  const put = <T extends { id: string }>(list: T[], item: T | null | undefined) =>
    item ? list.map((x) => (x.id === item.id ? item : x)) : list;
  return {
    ...plan,
    closings: put(plan.closings, edit.putClosing),
    cuts: put(plan.cuts, edit.putCut),
    sowings: put(plan.sowings, edit.putSowing),
    dressings: put(plan.dressings, edit.putDressing),
    irrigations: put(plan.irrigations, edit.putIrrigation),
    passes: put(plan.passes, edit.putPass),
    steps: edit.setFeeding
      ? [
          ...plan.steps.filter((s) => s.groupId !== edit.setFeeding!.groupId),
          ...edit.setFeeding.steps,
        ]
      : plan.steps,
  };
}

/**
 * What comes next: the first planned thing that is not past, and until when a gap must be decided on.
 * Empty once the plan's days are over, or where nothing is planned and nothing lacks.
 */
export function nextText(things: PlannedThing[], year: YearView, now: string): string {
  const start = now < year.start ? year.start : now;
  const soon = (iso: string) => {
    const days = dayOf(now, iso);
    return days === 0 ? 'today' : days === 1 ? 'tomorrow' : `in ${days} days`;
  };
  const said: string[] = [];
  const gap = storeGaps(year).find((g) => isoOf(year.start, g.firstDay) > start);
  if (gap) {
    const on = isoOf(year.start, gap.firstDay);
    said.push(
      `Decide before ${shortDate(on)} ${on.slice(0, 4)} (${soon(on)}) how to close the gap: some ways need months.`,
    );
  }
  const next = things.find((t) => t.date >= start);
  if (next) said.push(`Next in the plan, ${soon(next.date)}: ${lowerFirst(next.text)}.`);
  return said.join(' ');
}

const lowerFirst = (text: string) => text[0].toLowerCase() + text.slice(1);
