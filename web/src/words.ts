/** Sentences. The server sends codes and figures; what they mean in words is written here. */
import type { Gap, Lever, LotYear, PlanView, Problem, YearView } from './api/client';
import { longDay } from './dates';
import { amount, figure, quantityOf, unitOf, type System } from './units';

type Farm = PlanView['farm'];

export interface Verdict {
  headline: string;
  detail: string;
  closed: boolean;
}

export function storeGaps(year: YearView): Gap[] {
  return year.gaps.filter((g) => g.kind === 'STORE');
}

/** The year in one sentence, and the figures behind it in a second. */
export function verdict(year: YearView, system: System): Verdict {
  const gap = storeGaps(year)[0];
  const need = year.total.needKg;
  if (need <= 0) {
    return { headline: 'Nobody to feed yet.', detail: 'Add a group under Herd.', closed: false };
  }
  if (!gap) {
    const left = year.storeKg[year.days - 1] ?? 0;
    const low = lowest(year.storeKg);
    return {
      headline: 'Feed lasts the whole year.',
      detail:
        `The store is lowest on ${longDay(year.start, low)}, at ${amount(year.storeKg[low], 'bulk', system)} ` +
        `of dry matter, and holds ${amount(left, 'bulk', system)} at the end.`,
      closed: true,
    };
  }
  const ranOut = gap.causes.find((c) => c.code === 'STORE_EMPTY');
  const from = longDay(year.start, gap.firstDay);
  const first = ranOut ? `Hay runs out on ${from}.` : `Feed falls short from ${from}.`;
  const after =
    gap.lastDay + 1 >= year.days
      ? ' It stays short to the end of the plan.'
      : ` The grass carries the herd again from ${longDay(year.start, gap.lastDay + 1)}.`;
  const more = storeGaps(year).length - 1;
  return {
    headline: first + after,
    detail:
      `${days(gap.shortDays)} bare, ${amount(gap.shortKg, 'bulk', system)} of dry matter, ` +
      `${Math.round(gap.animalUnitDays).toLocaleString('en-US')} animal unit days.` +
      (more > 0 ? ` And ${more} more ${more === 1 ? 'gap' : 'gaps'} in the year.` : ''),
    closed: false,
  };
}

function lowest(values: number[]): number {
  return values.reduce((best, v, i) => (v < values[best] ? i : best), 0);
}

export function days(n: number): string {
  return n === 1 ? '1 day' : `${n} days`;
}

/** Why a gap is there, a sentence for each cause. */
export function causes(gap: Gap, farm: Farm, year: YearView, system: System): string[] {
  const names = (ids: string[]) =>
    ids.map((id) => farm.fields.find((f) => f.id === id)?.name ?? id).join(', ');
  return gap.causes.map((c) => {
    switch (c.code) {
      case 'STORE_EMPTY':
        return `The store is empty from ${longDay(year.start, c.value)}.`;
      case 'NO_STORE':
        return 'Nothing is put by.';
      case 'DORMANT':
        return `Grass is dormant on ${figure(c.value, 'share', system)}% of the growing ground.`;
      case 'SLUMP':
        return `Growth is under half its best on ${figure(c.value, 'share', system)}% of the growing ground.`;
      case 'SHUT':
        return `Shut for stockpile: ${names(c.subjects)}.`;
      case 'HELD':
        return `Held by a caution: ${names(c.subjects)}.`;
      case 'OUT_OF_USE':
        return `Not there at this time: ${names(c.subjects)}.`;
      case 'STANDS_UNUSED':
        return (
          `About ${amount(c.value, 'bulk', system)} that could be eaten stands on fields that no ` +
          `order of feeds opens then: ${names(c.subjects)}.`
        );
    }
  });
}

/** What a lever does, in one sentence. */
export function leverTitle(lever: Lever, farm: Farm): string {
  if (lever.kind === 'STOCKPILE') {
    const closing = lever.edit.shutField!;
    const field = farm.fields.find((f) => f.id === closing.fieldId);
    return `Shut ${field?.name ?? closing.fieldId}`;
  }
  const lot = lever.edit.buyHay!.lot;
  return `Buy ${lot.units.toLocaleString('en-US')} ${plural(lot.unitName, lot.units)}`;
}

export function plural(unit: string, n: number): string {
  return n === 1 ? unit : `${unit}s`;
}

/** Level of the store on a day, by kind of unit. */
export function unitsLeft(lots: LotYear[], day: number): string {
  const by = new Map<string, number>();
  for (const lot of lots) {
    const units = lot.units[day] ?? 0;
    if (units > 0) by.set(lot.unitName, (by.get(lot.unitName) ?? 0) + units);
  }
  return [...by].map(([unit, n]) => `${n.toLocaleString('en-US')} ${plural(unit, n)}`).join(', ');
}

const FIELD_NAMES: Record<string, string> = {
  'field.name': 'Name',
  'group.name': 'Name',
  'lot.name': 'Name',
  'farm.name': 'Name',
  'lot.unitName': 'Unit',
  'field.areaHa': 'Area',
  'field.utilization': 'Utilization',
  'field.residualKgPerHa': 'Residual',
  'field.turnInKgPerHa': 'Turn in at',
  'stand.yieldKgPerHa': 'Yearly growth',
  'stand.openingCoverKgPerHa': 'Cover on the first day',
  'stand.openingDeadShare': 'Standing dead',
  'stand.monthlyKgPerHaDay': 'Monthly growth',
  'stand.dates': 'Dates of the stand',
  'group.head': 'Head',
  'group.weightKg': 'Weight',
  'group.gainKgPerDay': 'Daily gain',
  'group.flatIntakeKgPerHeadDay': 'Flat intake',
  'group.birthSpreadDays': 'Spread of births',
  'group.youngPerDam': 'Young for each dam',
  'group.dates': 'Dates of the group',
  'lot.units': 'Units',
  'lot.kgPerUnitAsFed': 'Weight of a unit',
  'lot.dmShare': 'Dry matter',
  'lot.pricePerTonneAsFed': 'Price',
  'year.months': 'Length',
  'closing.dates': 'Dates',
  'step.dates': 'Dates',
};

/** A refusal in the user's units, with what would be accepted. */
export function problemText(problem: Problem, system: System): string {
  const field = problem.field ?? '';
  const name = FIELD_NAMES[field] ?? '';
  switch (problem.code) {
    case 'out_of_range': {
      const q = quantityOf(field);
      const unit = unitOf(q, system);
      const low = figure(problem.min ?? 0, q, system);
      const high = figure(problem.max ?? 0, q, system);
      return `${name || field}: ${low} to ${high}${unit ? ' ' + unit : ''} is accepted.`;
    }
    case 'missing':
      return `${name || field} is needed.`;
    case 'dates_reversed':
      return `${name || 'Dates'}: the first day must come before the last.`;
    case 'stale_revision':
      return `Somebody changed the plan meanwhile (${(problem.since ?? []).join('; ')}). It has been loaded afresh; make your change again.`;
    case 'no_curve':
      return 'The tables hold no growth for this stand in this climate. Type the twelve monthly rates.';
    default:
      return problem.detail;
  }
}
