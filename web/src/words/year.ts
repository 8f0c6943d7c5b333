/** The year in sentences. The server sends codes and figures; their words are written here. */
import type { Gap, Lever, LotYear, PlanView, Sowing, SowingOutcome, YearView } from '../api/client';
import { longDate, longDay } from '../units/dates';
import { amount, figure, type System } from '../units/units';

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
  const first = ranOut ? `${stored(year.lots)} on ${from}.` : `Feed falls short from ${from}.`;
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

/** A clamp or a row of wrapped bales is no hay. */
function stored(lots: LotYear[] = []): string {
  const hay =
    lots.length === 0 || lots.some((l) => /bale/.test(l.unitName) && !/wrap/.test(l.unitName));
  return hay ? 'Hay runs out' : 'The store runs out';
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

const PREPARATIONS: Record<Sowing['preparation'], string> = {
  GRAZE_DOWN: 'grazed down',
  LIGHT_DISKING: 'lightly disked',
  BURN_DOWN: 'burnt down',
  FULL_SEEDBED: 'a full seedbed made',
};

/** "Sow Saddle with cereal rye on 20 September, the sod grazed down" */
export function sowingText(sowing: Sowing, field: string, crop: string): string {
  const how = PREPARATIONS[sowing.preparation];
  return `Sow ${field} with ${crop} on ${longDate(sowing.sowOn)}, ${how}`;
}

/** What becomes of a sowing in the season looked at. */
export function sowingOutcome(o: SowingOutcome, start: string, system: System): string {
  if (o.daysLate === null || o.chanceOfFailing === null) {
    return 'It lies outside the days of this plan: nothing of it is reckoned.';
  }
  const chance = `${Math.round(o.chanceOfFailing * 100)}% chance that it fails`;
  if (o.failed) return `The seed does not come up: too dry or too cold. ${chance}.`;
  if (o.emergedDay < 0) return `It is not up by the end of the plan. ${chance}.`;
  const up = `Up on ${longDay(start, o.emergedDay)}`;
  const ready =
    o.readyDay < 0
      ? o.endedDay < 0
        ? 'not ready to graze by the end of the plan'
        : 'never ready to graze'
      : `ready to graze on ${longDay(start, o.readyDay)} (high enough, roots hold)`;
  const late = o.daysLate > 3 ? ` Sown ${days(Math.round(o.daysLate))} after the usual time.` : '';
  return (
    `${up}, ${ready}. Grows ${amount(o.grownKgPerHa, 'massPerArea', system)} ` +
    `(${figure(o.lowKgPerHa, 'massPerArea', system)} to ${figure(o.highKgPerHa, 'massPerArea', system)}); ${chance}.${late}`
  );
}

/** What a lever does, in one sentence. */
export function leverTitle(lever: Lever, farm: Farm): string {
  if (lever.kind === 'STOCKPILE') {
    const closing = lever.edits[0].putClosing!;
    const field = farm.fields.find((f) => f.id === closing.fieldId);
    return `Shut ${field?.name ?? closing.fieldId}`;
  }
  const lot = lever.edits[0].putPurchase!.lot;
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

/** "beef/first_calf_heifer" as "beef, first calf heifer". */
export function kindName(id: string): string {
  return id.replace('/', ', ').replace(/_/g, ' ');
}
