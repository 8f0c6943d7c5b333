/** The year in sentences. The server sends codes and figures; their words are written here. */
import type { Gap, LotYear, PlanView, Sowing, SowingOutcome, YearView } from '../api/client';
import { longDate, longDay } from '../units/dates';
import { amount, figure, type System } from '../units/units';

type Farm = PlanView['farm'];

export interface Verdict {
  headline: string;
  detail: string;
  closed: boolean;
  /** True where the figures say that animals would not live through it. */
  welfare?: boolean;
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
    const lost = wouldNotLive(year);
    if (lost) {
      return {
        headline: notLive(year, lost),
        detail:
          'There is bulk enough, and too little energy in it. That is a matter of welfare before it ' +
          'is one of cost: see the diet under Herd, and ask your veterinarian and adviser.',
        closed: false,
        welfare: true,
      };
    }
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
  const lost = wouldNotLive(year);
  const gaps = storeGaps(year);
  const again =
    gaps.length > 1 ? ` It falls short again from ${longDay(year.start, gaps[1].firstDay)}.` : '';
  const said =
    begins(gap, year, system) + (lost ? ` ${notLive(year, lost)}` : ends(gap, year) + again);
  const sum = (of: (g: Gap) => number) => gaps.reduce((n, g) => n + of(g), 0);
  return {
    headline: said,
    welfare: lost !== null,
    detail:
      (lost
        ? 'That is a matter of welfare before it is one of cost. Find feed, send animals away or ' +
          'sell now, and ask your veterinarian and adviser. '
        : '') +
      `${days(sum((g) => g.shortDays))} bare${gaps.length > 1 ? ` in ${gaps.length} gaps` : ''}, ` +
      `${amount(
        sum((g) => g.shortKg),
        'bulk',
        system,
      )} of dry matter, ` +
      `${Math.round(sum((g) => g.animalUnitDays)).toLocaleString('en-US')} animal unit days.`,
    closed: false,
  };
}

/** What an edit that is tried out does to the days and tons that are bare. */
export function effectWords(stored: YearView, tried: YearView, system: System): string {
  const bareDays = (y: YearView) => storeGaps(y).reduce((n, g) => n + g.shortDays, 0);
  const bare = (y: YearView) => amount(y.total.bareKg, 'bulk', system);
  return (
    `Bare days ${bareDays(stored)} now, ${bareDays(tried)} with this; ` +
    `bare ${bare(stored)} now, ${bare(tried)} with this.`
  );
}

/** The first group of which the figures say that it would not live. */
function wouldNotLive(year: YearView) {
  return (year.groups ?? [])
    .filter((g) => g.wouldNotLiveFromDay >= 0)
    .reduce<YearView['groups'][number] | null>(
      (first, g) => (first && first.wouldNotLiveFromDay <= g.wouldNotLiveFromDay ? first : g),
      null,
    );
}

function notLive(year: YearView, group: YearView['groups'][number]): string {
  return `Animals would not live through this plan: too thin from ${longDay(year.start, group.wouldNotLiveFromDay)}.`;
}

/** When it begins, and how the store stands then. */
function begins(gap: Gap, year: YearView, system: System): string {
  const from = longDay(year.start, gap.firstDay);
  const unopened = gap.causes.find((c) => c.code === 'STORE_NOT_OPENED');
  if (unopened) {
    return `Feed falls short from ${from} with ${amount(unopened.value, 'bulk', system)} in the store that the plan does not open, or only by the portion.`;
  }
  const empty = gap.causes.find((c) => c.code === 'STORE_EMPTY');
  return empty && empty.value > 0
    ? `${stored(year.lots)} on ${longDay(year.start, empty.value)}${
        empty.value < gap.firstDay - 1 ? `, and feed falls short from ${from}` : ''
      }.`
    : `Feed falls short from ${from}.`;
}

/** What it is that ends it: the shelf that gives most on the day after. */
function ends(gap: Gap, year: YearView): string {
  const day = gap.lastDay + 1;
  if (day >= year.days) return ' It stays short to the end of the plan.';
  const shelves: [number, string][] = [
    [year.growingKg?.[day] ?? 1, 'The grass carries the herd again'],
    [year.standingKg?.[day] ?? 0, 'Standing feed carries the herd again'],
    [year.putByKg?.[day] ?? 0, 'Stored feed is given again'],
    [year.boughtInKg?.[day] ?? 0, 'Bought feed is given'],
  ];
  const [most, words] = shelves.reduce((best, s) => (s[0] > best[0] ? s : best));
  const date = longDay(year.start, day);
  return most > 0 ? ` ${words} from ${date}.` : ` Nothing is asked for from ${date}.`;
}

/** What carries a herd that has no gap at all. */
export function noGap(year: YearView): string {
  const { needKg, growingKg, standingKg } = year.total;
  if (needKg <= 0) return 'No gap: nobody is there to feed.';
  return standingKg > 0.02 * (growingKg + standingKg)
    ? 'No gap: growing grass and what stands from before carry the herd all year.'
    : 'No gap: growing grass carries the herd all year.';
}

/** What a gap means, before the days on which it does. */
export function gapMeaning(gap: Gap): string {
  if (gap.kind === 'GRAZING') return 'Stored feed must be fed';
  return gap.causes.some((c) => c.code === 'STORE_NOT_OPENED')
    ? 'Nothing that the plan opens is left to feed'
    : 'Nothing is left to feed';
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

/** Percent of TDN that no forage passes. */
const MOST_TDN = 75;

/** Why a gap is there, a sentence for each cause. */
export function causes(gap: Gap, farm: Farm, year: YearView, system: System): string[] {
  const names = (ids: string[]) =>
    ids.map((id) => farm.fields.find((f) => f.id === id)?.name ?? id).join(', ');
  return gap.causes.map((c) => {
    switch (c.code) {
      case 'STORE_EMPTY':
        return c.value > 0
          ? `The store is empty from ${longDay(year.start, c.value)}.`
          : 'Nothing is in the store yet.';
      case 'STORE_NOT_OPENED':
        return `${amount(c.value, 'bulk', system)} are in the store, and no order of feeds opens them then, or only by the portion.`;
      case 'NO_STORE':
        return 'Nothing is put by.';
      case 'DORMANT':
        return `Grass is dormant on ${figure(c.value, 'share', system)}% of the growing ground.`;
      case 'SNOW':
        return `Snow lies too deep to graze on ${figure(c.value, 'share', system)}% of the days.`;
      case 'SLUMP':
        return `Growth is under half its best on ${figure(c.value, 'share', system)}% of the growing ground.`;
      case 'SHUT':
        return (
          `Shut for stockpile: ${names(c.subjects)}.` +
          (c.value > 0
            ? ` About ${amount(c.value, 'bulk', system)} that could be eaten stands there.`
            : '')
        );
      case 'HELD':
        return `Held by a caution: ${names(c.subjects)}.`;
      case 'OUT_OF_USE':
        return `Not there at this time: ${names(c.subjects)}.`;
      case 'BEHIND_STORE':
        return (
          `About ${amount(c.value, 'bulk', system)} that could be eaten stands on ${names(c.subjects)}, ` +
          'which the order of feeds opens only once the store is empty.'
        );
      case 'ROUND_HELD':
        return (
          `About ${amount(c.value, 'bulk', system)} stands ahead of the herd: the rotation is held, ` +
          'so that it is kept for later days of the round.'
        );
      case 'STANDS_UNUSED':
        return (
          `About ${amount(c.value, 'bulk', system)} that could be eaten stands on fields that no ` +
          `order of feeds opens then: ${names(c.subjects)}.`
        );
      case 'FEED_HOLDS':
        return `What they eat holds ${c.value.toFixed(1)}% ${gap.kind === 'ENERGY' ? 'TDN' : 'protein'} on those days.`;
      case 'THEY_NEED':
        return (
          `They would need ${c.value.toFixed(1)}%.` +
          (gap.kind === 'ENERGY' && c.value > MOST_TDN
            ? ' No forage holds as much: they milk off their backs then, or something is fed beside it.'
            : '')
        );
      case 'COLD':
        return `Cold raises what they need by ${figure(c.value, 'share', system)}%.`;
      case 'NURSING':
        return `They nurse young on ${figure(c.value, 'share', system)}% of these days.`;
      case 'THIN_FROM':
        return `They lose condition from ${longDay(year.start, gap.firstDay)} and are too thin from ${longDay(year.start, c.value)}.`;
      case 'THIN_UNTIL':
        return c.value >= year.days - 1
          ? 'They stay so to the end of the plan.'
          : `They are so until ${longDay(year.start, c.value)}.`;
      case 'LOWEST_SCORE':
        return `Thinnest at ${c.value.toFixed(1)} on ${longDay(year.start, gap.lastDay)}.`;
      case 'FLOOR':
        return `They should not fall below ${c.value.toFixed(1)}.`;
      case 'WOULD_NOT_LIVE':
        return `From ${longDay(year.start, c.value)} on they would not live through it. Ask your veterinarian.`;
      case 'BARE':
        return `They are without ${amount(c.value, 'bulk', system)} of feed meanwhile: close the store gap first.`;
      case 'FIELD_GIVES':
        return `${names(c.subjects)} gives ${c.value > 0 ? `${amount(c.value, 'litres', system)} a day` : 'no water'}.`;
      case 'THEY_DRINK':
        return `They drink up to ${amount(c.value, 'litres', system)} a day there.`;
    }
  });
}

const PREPARATIONS: Record<Sowing['preparation'], string> = {
  GRAZE_DOWN: 'grazed down',
  LIGHT_DISKING: 'lightly disked',
  BURN_DOWN: 'burnt down',
  FULL_SEEDBED: 'a full seedbed made',
  SPRAYED_OUT: 'the old stand sprayed out',
  BURNT_OFF: 'burnt off by fire',
};

/** "Sow Saddle with cereal rye on 20 September, the sod grazed down" */
export function sowingText(sowing: Sowing, field: string, crop: string): string {
  const how = PREPARATIONS[sowing.preparation];
  return `Sow ${field} with ${crop} on ${longDate(sowing.sowOn)}, ${how}`;
}

/** What becomes of a sowing in the season looked at. */
export function sowingOutcome(
  o: SowingOutcome,
  start: string,
  system: System,
  standing: Sowing['standing'] = null,
): string {
  if (o.daysLate === null || o.chanceOfFailing === null) {
    return (
      'It lies outside the days of this plan: nothing of it is reckoned in this year. What is ' +
      'written for a later year is seen under Years ahead.'
    );
  }
  if (o.skipped) {
    return 'The soil is too dry for what you ask of it in the season looked at: it is not sown.';
  }
  const chance = `${Math.round(o.chanceOfFailing * 100)}% chance that it fails`;
  if (o.failed) {
    return (
      'The seed does not come up in the season looked at: too dry or too cold. Of years as they may ' +
      `be, it fails in about ${Math.round(o.chanceOfFailing * 100)} of 100 when sown on this day.`
    );
  }
  if (standing && o.emergedDay === 0) return stoodOutcome(o, start, system, standing);
  if (o.emergedDay < 0) return `It is not up by the end of the plan. ${chance}.`;
  const up = `Up on ${longDay(start, o.emergedDay)}`;
  const ready =
    o.readyDay < 0
      ? o.endedDay < 0
        ? 'not ready to graze by the end of the plan'
        : 'never ready to graze'
      : `ready to graze on ${longDay(start, o.readyDay)} (high enough, roots hold)`;
  const grain = grainText(o, start);
  const late = o.daysLate > 3 ? ` Sown ${days(Math.round(o.daysLate))} after the usual time.` : '';
  return (
    `${up}, ${ready}. Grows ${amount(o.grownKgPerHa, 'massPerArea', system)} ` +
    `(${figure(o.lowKgPerHa, 'massPerArea', system)} to ${figure(o.highKgPerHa, 'massPerArea', system)}); ${chance}.${late}${grain}`
  );
}

/** Of a crop that was sown before the plan and stands on its first day. */
function stoodOutcome(
  o: SowingOutcome,
  start: string,
  system: System,
  standing: NonNullable<Sowing['standing']>,
): string {
  const use =
    standing.ready || o.readyDay === 0
      ? 'stock may come in'
      : o.readyDay < 0
        ? 'not ready to graze before it ends'
        : `ready to graze on ${longDay(start, o.readyDay)} (high enough, roots hold)`;
  const ends = o.endedDay < 0 ? '' : ` It ends on ${longDay(start, o.endedDay)}.`;
  return (
    `It stands on the first day; ${use}. From then on it grows ` +
    `${amount(o.grownKgPerHa, 'massPerArea', system)}.${grainText(o, start)}${ends}`
  );
}

/** When it heads, and when there is grain in the heads. */
function grainText(o: SowingOutcome, start: string): string {
  if (o.headedDay < 0) return '';
  const heads = ` Heads from ${longDay(start, o.headedDay)}`;
  if (o.doughDay < 0) return `${heads}.`;
  const hard =
    o.grainDay < 0 ? ', not hard before it ends.' : `, hard from ${longDay(start, o.grainDay)}.`;
  return `${heads}, its grain soft dough from ${longDay(start, o.doughDay)}${hard}`;
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

/** What a keeper calls a class of stock, what it is kept for after it where the word alone would not do. */
const KINDS: Record<string, string> = {
  'beef/cow': 'Cows, beef',
  'beef/first_calf_heifer': 'First-calf heifers',
  'beef/replacement_heifer': 'Replacement heifers',
  'beef/steer': 'Steers and stockers',
  'beef/calf': 'Calves, beef',
  'beef/bull': 'Bulls',
  'dairy/cow': 'Cows, dairy',
  'dairy/heifer': 'Heifers, dairy',
  'sheep/ewe': 'Ewes',
  'sheep/lamb': 'Lambs',
  'sheep/ram': 'Rams',
  'goat/doe': 'Does',
  'goat/kid': 'Kids',
  'goat/buck': 'Bucks',
  'horse/adult': 'Horses and ponies',
  'horse/mare': 'Mares in foal or milk',
  'bison/cow': 'Cows, bison',
  'bison/young': 'Young bison',
};

/** "beef/first_calf_heifer" as "First-calf heifers". */
export function kindName(id: string): string {
  return KINDS[id] ?? id.replace('/', ', ').replace(/_/g, ' ');
}

/** The classes as they are offered: what most keep first. */
export function inKeepersOrder<T extends { id: string }>(kinds: T[]): T[] {
  const order = Object.keys(KINDS);
  const at = (k: T) => (order.includes(k.id) ? order.indexOf(k.id) : order.length);
  return [...kinds].sort((a, b) => at(a) - at(b));
}
