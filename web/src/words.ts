/** Sentences. The server sends codes and figures; what they mean in words is written here. */
import type {
  Change,
  Doubt,
  Role,
  Gap,
  Lever,
  LotYear,
  PlanView,
  Problem,
  Sowing,
  SowingOutcome,
  YearView,
} from './api/client';
import { longDate, longDay } from './dates';
import { amount, figure, quantityOf, shown, unitOf, type System } from './units';

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

const FIELD_NAMES: Record<string, string> = {
  'field.name': 'Name',
  'group.name': 'Name',
  'lot.name': 'Name',
  'farm.name': 'Name',
  'lot.unitName': 'Unit',
  'field.areaHa': 'Area',
  'field.deductedHa': 'Off for water and buffers',
  'field.utilization': 'Utilization',
  'soil.depthCm': 'Soil depth',
  'sowing.sowOn': 'Sown on',
  'sowing.endsOn': 'Ended on',
  'sowing.seedShare': 'Seed',
  'sowing.yieldKgPerHa': 'Yield when sown on time',
  'dressing.nitrogenKgPerHa': 'Nitrogen',
  'irrigation.waterMm': 'Water',
  'overlay.amount': 'Change',
  'overlay.dates': 'Dates',
  'field.outline': 'Shape on the map',
  'outline.edge': 'Corners',
  'outline.off': 'Water, hollows and pads in it',
  'off.bufferM': 'Strip',
  'lie.slopeDeg': 'Slope',
  'lie.onlyGroups': 'Who may graze',
  'pass.whenKgPerHa': 'Cover at which a pass starts',
  'pass.leaveKgPerHa': 'Cover that a pass leaves',
  'pass.dates': 'Dates of the passes',
  'cut.harvestMethodId': 'Made as',
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
  'keeping.windKmPerHour': 'Wind',
  'keeping.walkKmPerDay': 'Extra walk',
  'keeping.deathsPerYearShare': 'Deaths in a year',
  'keeping.besidesKgPerDay': 'Fed besides the plan',
  'keeping.conditionFloor': 'Lowest condition accepted',
  'headChange.head': 'Head that come or go',
  'headChange.moneyPerHead': 'Price of one',
  'headChange.dates': 'Dates of a coming or going',
  'condition.score': 'Condition score',
  'condition.weightKg': 'Weight when scored',
  'origin.makingPerUnit': 'Cost of making one',
  'origin.haulingPerUnit': 'Cost of hauling one',
  'size.weighedKg': 'Units weighed',
  'size.diameterM': 'Diameter',
  'size.widthM': 'Width',
  'size.lengthM': 'Length',
  'size.heightM': 'Height',
  'size.densityKgPerM3': 'Density',
  'size.rindCm': 'Rind',
  'reserve.units': 'Kept back',
  'test.dmShare': 'Dry matter of the test',
  'test.proteinPct': 'Protein of the test',
  'test.tdnPct': 'TDN of the test',
  'test.fibrePct': 'Fibre of the test',
  'test.nitratePct': 'Nitrate of the test',
  'test.dates': 'Dates of the test',
  'record.units': 'Units written down',
  'haySum.dates': 'Days of the hay sum',
  'setOut.units': 'Units at once',
  'setOut.heldShare': 'Days held for each of feed',
  'quick.days': 'Days of hay',
  'quick.dates': 'Days of hay',
  'lie.waterLPerDay': 'Water there',
  'lie.waterCostPerM3': 'Cost of bringing water',
  'step.mostShare': 'Most of the diet',
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

/** "beef/first_calf_heifer" as "beef, first calf heifer". */
export function kindName(id: string): string {
  return id.replace('/', ', ').replace(/_/g, ' ');
}

export const ROLES: Record<Role, { one: string; plural: string; may: string }> = {
  OWNER: {
    one: 'an owner',
    plural: 'owners',
    may: 'changes plans, invites people, removes plans and the farm',
  },
  PLANNER: { one: 'a planner', plural: 'planners and owners', may: 'changes plans' },
  HELPER: {
    one: 'a helper',
    plural: 'helpers, planners and owners',
    may: 'looks and tries things out, writes down what was fed and counted, sends samples',
  },
  READER: { one: 'a reader', plural: 'everybody here', may: 'looks and tries things out' },
};

/** A member of the API in plain words, as within a sentence: "area". */
export function memberWord(member: string): string {
  return (FIELD_NAMES[member] ?? bareName(member)).toLowerCase();
}

function bareName(member: string): string {
  return member
    .slice(member.lastIndexOf('.') + 1)
    .replace(/(Kg|Ha|Share|Inclusive|Exclusive|Id)(Per[A-Za-z]+)?$/, '')
    .replace(/([A-Z])/g, ' $1')
    .toLowerCase();
}

/** A member of the API in plain words with its unit: "Area, ac". */
export function memberName(member: string, system: System): string {
  const bare = bareName(member);
  const name = FIELD_NAMES[member] ?? bare.charAt(0).toUpperCase() + bare.slice(1);
  const unit = unitOf(quantityOf(member), system);
  return unit ? `${name}, ${unit}` : name;
}

/** The value of a member in the user's units. */
export function memberValue(member: string, value: unknown, system: System): string {
  if (value === null || value === undefined || value === '') return 'not stated';
  if (typeof value === 'number') return figure(value, quantityOf(member), system);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value) && value.some((v) => typeof v === 'object')) {
    return String(value.length);
  }
  if (Array.isArray(value)) {
    return value
      .map((v) => (typeof v === 'number' ? figure(v, quantityOf(member), system) : String(v)))
      .join(', ');
  }
  return typeof value === 'object' ? 'stated' : String(value);
}

/** "14.0 to 20.0"; with more decimals where the usual ones show no difference. */
export function memberChange(member: string, before: unknown, after: unknown, system: System) {
  const was = memberValue(member, before, system);
  const is = memberValue(member, after, system);
  if (was !== is || typeof before !== 'number' || typeof after !== 'number')
    return `${was} to ${is}`;
  const q = quantityOf(member);
  const exact = (si: number) => String(Number(shown(si, q, system).toPrecision(10)));
  return `${exact(before)} to ${exact(after)}`;
}

/** What can change, as it stands before its name. */
export const THINGS: Record<Change['what'], string> = {
  SETTINGS: 'the settings of',
  YEAR: 'the plan',
  FIELD: 'field',
  GROUP: 'group',
  LOT: 'lot',
  FEEDING: 'the order of feeds of',
  CLOSING: 'the shutting of',
  CUT: 'the cut of',
  PURCHASE: 'the purchase',
  SOWING: 'the sowing of',
  DRESSING: 'the nitrogen on',
  IRRIGATION: 'the watering of',
  SCENARIO: 'the weather scenario',
  PASS: 'the passes for light on',
  FORAGE: 'the own forage',
  TEST: 'the test of',
};

/** One change of an import in a sentence. */
export function changeText(change: Change): string {
  const verb = { ADDED: 'Adds', REMOVED: 'Removes', CHANGED: 'Changes' }[change.kind];
  return `${verb} ${THINGS[change.what]} ${change.name}`;
}

/** What is hard to believe in a figure, and what is usual. */
export function doubtText(doubt: Doubt, system: System): string {
  const q = quantityOf(doubt.field);
  const unit = unitOf(q, system);
  const usual = `${figure(doubt.usualMin, q, system)} to ${figure(doubt.usualMax, q, system)}${unit ? ' ' + unit : ''}`;
  switch (doubt.code) {
    case 'NO_CLIMATE_GROWS_THIS':
      return doubt.field === 'stand.monthlyKgPerHaDay'
        ? `Doubtful: the mean over the year is ${figure(doubt.value, q, system)}; no climate in the tables grows beyond ${usual}. Taken as typed.`
        : `Doubtful: no climate in the tables grows beyond ${usual} in a year. Taken as typed.`;
    case 'DAMP_HAY_HEATS':
      return `Hay this damp heats in a stack and can burn: ${usual} is safe. Ask your adviser before you stack it.`;
    case 'TOO_STEEP_TO_CUT':
      return 'Steep for a tractor: cutting or turning across it can roll one over. Ask somebody who knows the slope before you cut.';
    case 'NEEDS_CONDITIONER':
      return 'Its stems are thick: without a conditioner they dry badly, and damp hay heats. None is among your machines.';
    case 'NEEDS_MIXER':
      return 'Stock leave much of this hay lying unless it is ground or mixed. No mixer is among your machines.';
    case 'NEEDS_MACHINE':
      return 'The machine to make it so is not among yours (see Farm).';
    case 'DRAWN_OTHERWISE':
      return `The map says ${usual}. Taken as typed.`;
    case 'LIES_OVER_ANOTHER':
      return `On the map ${figure(doubt.value, 'area', system)} ${unitOf('area', system)} of it lie over another field.`;
    case 'KEPT_TOO_LONG':
      return 'Wrapped feed is for a year: this was cut longer ago. Look at film, smell and mould before it is fed, and ask your veterinarian where in doubt.';
    case 'STAYS_WHERE_IT_IS':
      return 'Silage in a clamp stays where it was made: opened and moved it spoils.';
    case 'UNUSUAL':
      return `Unusual: ${usual} is usual. Taken as typed.`;
  }
}

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
    case 'more_than_there':
      return `Head that come or go: ${problem.max} are there on that day; ${problem.value} cannot leave.`;
    case 'size_missing':
      return 'Density and rind need the size: diameter and width of a round bale, or length, width and height.';
    case 'stale_revision':
      return `Somebody changed the plan meanwhile (by ${[...new Set((problem.since ?? []).map((r) => r.who || 'somebody'))].join(', ')}). It is shown afresh.`;
    case 'role_too_low':
      return `This is for ${ROLES[problem.needed!].plural}; you are ${ROLES[problem.has!].one} here.`;
    case 'weaned_before_birth':
      return `Weaning: ${problem.detail.replace(/^.*weaning: /, '').replace(/--(\d\d)-(\d\d)/g, (_, m, d) => longDate(`2025-${m}-${d}`))}.`;
    case 'too_many':
      return `Too many attempts. Wait ${problem.value} seconds.`;
    case 'bad_rows':
      return 'Some rows cannot be taken; nothing was changed.';
    case 'no_curve':
      return 'The tables hold no growth for this stand in this climate. Type the twelve monthly rates.';
    default:
      // the place in the request is not the user's business, and dates are said as elsewhere
      return problem.detail
        .replace(/^edits\[\d+\](\.\w+)*: /, '')
        .replace(/\b\d{4}-\d\d-\d\d\b/g, (iso) => `${longDate(iso)} ${iso.slice(0, 4)}`);
  }
}
