/** A field fed off behind a wire, in words. */
import type { Break, BreakField, BreakWinter } from '../api/client';
import { fullDate, lastDay, longDate } from '../units/dates';
import { amount, type System } from '../units/units';
import { daysOf, noWater } from './winter';
import { plural } from './year';

type Named = (groupId: string) => string;

const COMPASS = [
  'north',
  'northeast',
  'east',
  'southeast',
  'south',
  'southwest',
  'west',
  'northwest',
];

/** "south", to the nearest of eight. */
export const compass = (deg: number) => COMPASS[Math.round(deg / 45) % 8];

const list = (of: string[]) =>
  of.length > 1 ? `${of.slice(0, -1).join(', ')} and ${of.at(-1)}` : (of[0] ?? '');

/** "Turnip Piece: 24 breaks feed Ewes from 1 October to 18 November." */
export function breakVerdict(w: BreakWinter, field: string, named: Named): string {
  if (w.from === null) return `${field}: nobody grazes it on these days, as the plan stands.`;
  const who = list(w.groups.map((g) => named(g.groupId)));
  const round = w.breaks.some((b) => b.round > 1) ? ', more than once over' : '';
  return `${field}: ${w.breaks.length} ${w.breaks.length === 1 ? 'break feeds' : 'breaks feed'} ${who} from ${longDate(w.from)} to ${longDate(lastDay(w.toExclusive!))}${round}.`;
}

const AC_PER_HA = 2.4710538;

/** A piece of ground much smaller than a field: "540 m2", "0.13 ac". */
export function groundText(ha: number, system: System): string {
  return system === 'METRIC'
    ? `${(Math.round(ha * 1000) * 10).toLocaleString('en-US')} m2`
    : `${(ha * AC_PER_HA).toFixed(2)} ac`;
}

export function breakTitle(b: Break, place: number): string {
  return `Break ${place + 1}, given on ${fullDate(b.from)}`;
}

export function breakText(b: Break, system: System): string {
  const days = daysOf(b);
  const again = b.round > 1 ? ` The ground is gone over for the ${nth(b.round)} time.` : '';
  return `${groundText(b.areaHa, system)} for ${days} ${plural('day', days)}, to ${longDate(lastDay(b.toExclusive))}.${again}`;
}

const nth = (n: number) => ['', 'first', 'second', 'third'][n] ?? `${n}th`;

/** What one of them eats there and beside it. */
export function rationText(b: Break, system: System): string {
  const share = Math.round((100 * b.kgPerHead) / Math.max(1e-9, b.kgPerHead + b.besideKgPerHead));
  const head = Math.round(b.head);
  const of = (kg: number) => amount(kg, 'perDay', system);
  return b.besideKgPerHead < 0.05
    ? `${head} head: all that they eat, ${of(b.kgPerHead)}, is from it.`
    : `${head} head: ${of(b.kgPerHead)} from it, ${share}% of what they eat; ${of(b.besideKgPerHead)} from elsewhere.`;
}

const LEARNED: Record<string, string> = {
  brassica: 'brassicas',
  small_grain: 'a green cereal',
  sorghum_group: 'sorghum',
  legume_bloating: 'a legume that bloats',
};

/** "Guts learn brassicas slowly: at most 10% of the diet from day 1, 25% from day 4." */
export function rampText(w: BreakWinter): string {
  const steps = w.ramp.map((r) => `${Math.round(100 * r.mostShare)}% from day ${r.fromDay}`);
  return `Guts learn ${LEARNED[w.learnedAs] ?? w.learnedAs.replace(/_/g, ' ')} slowly: at most ${steps.join(', ')} of the diet. Hay or other fibre first, never on empty stomachs. ${keeps(w)}`;
}

/** Whether they are held to the ramp from their first day there. */
function keeps(w: BreakWinter): string {
  const first = w.breaks.at(0);
  const share = first
    ? first.kgPerHead / Math.max(1e-9, first.kgPerHead + first.besideKgPerHead)
    : 0;
  return share > w.ramp[0].mostShare + 0.02
    ? `They eat ${Math.round(100 * share)}% of it on the first break: the plan takes it that they have learned before, on another field or before it begins. If not, begin sooner with less.`
    : 'The plan keeps to it.';
}

/** When a group comes, goes and gives birth. */
export function grazierText(g: BreakWinter['groups'][number], named: Named): string {
  const stay = `${named(g.groupId)}: ${g.days} ${plural('day', g.days)}, from ${longDate(g.from)} to ${longDate(g.last)}`;
  if (g.firstBirth === null) return `${stay}.`;
  return g.last < g.firstBirth
    ? `${stay}; off it before the first births on ${longDate(g.firstBirth)}.`
    : `${stay}; first births on ${longDate(g.firstBirth)}.`;
}

/** A warning in a sentence. */
export function breakWarning(
  c: BreakWinter['cautions'][number],
  w: BreakWinter,
  named: Named,
  system: System,
): string {
  switch (c.warning) {
    case 'NOT_GRAZED':
      return 'Nobody comes to it on these days: no order of feeds goes there, other fields carry them, or nothing on it is ready.';
    case 'NEAR_WATER':
      return `${amount(c.value, 'distance', system)} are kept along water; this slope asks for ${amount(c.against, 'distance', system)}. Local rules stand above that.`;
    case 'FROM_WATER':
      return `It begins at the water, ${amount(c.value, 'distance', system)} from it, and ends ${amount(c.against, 'distance', system)} away: what is trodden bare lies there all winter. Begin at the far side.`;
    case 'UPHILL':
      return 'The wire is moved uphill: what runs off comes down over ground that is bare already. Begin at the top.';
    case 'BIRTHS':
      return `${named(c.groupId)}: first births on ${longDate(c.on!)}, on it until ${longDate(c.last!)}. Nobody gives birth on a crop or in mud: have them off before the first, not the mean.`;
    case 'NOT_WRITTEN':
      return c.value === 0
        ? 'Nothing is written yet: who looks at them, where they lie dry, what is done in a wet week.'
        : `${c.value} of ${c.against} are written: who looks at them, where they lie dry, what is done in a wet week.`;
    case 'STEEP':
      return `${Math.round(c.value)} degrees: no place for winter feeding if any other is to be had.`;
    case 'STANDS_AT_WATER':
      return `A trough or feeder stands ${amount(c.value, 'distance', system)} from water; this slope asks for ${amount(c.against, 'distance', system)}.`;
    case 'LONG_BREAKS':
      return `${c.value} days on one break: more of it is trodden in than the plan reckons with.`;
    case 'COME_AND_GO':
      return `They come and go, ${c.value} spells in all, and each time their guts learn anew: the ramp is lost. Keep them on it from the first day to the last.`;
    case 'HELD':
      return `Shut from ${longDate(c.on!)} to ${longDate(c.last!)} by what is said under the cautions, as after frost: nobody goes in, and behind it their guts begin anew.`;
    case 'SNOWED':
      return `Snow shuts it from ${longDate(c.on!)} in this season: what stands then is left, and the feed that replaces it must be there.`;
    case 'NO_WATER':
      return noWater(c.value, c.against);
    case 'AFTER_USE_BY':
      return `From ${longDate(c.on!)} what is kept there is grazed more than ${Math.round(c.against)} days after the first killing frost, by when it should be used: it weathers fast by then. Use it sooner, and keep the bales for later.`;
    case 'SHORT_OF_PROTEIN':
      return `In ${c.value} of ${c.against} ${plural('week', c.against)} all that they eat is short of protein. What would bring it stands under the gaps.`;
    case 'NOT_REACHED': {
      const last = w.breaks.at(-1)!;
      const snowed = w.cautions.some((o) => o.warning === 'SNOWED');
      const days = snowed ? 0 : Math.floor(((w.netHa - w.eatenHa) / last.areaHa) * daysOf(last));
      return `${Math.round(100 * c.value)}% of the ground is not come to${days > 0 ? `: ${days} ${plural('day', days)} more at the pace of the last break` : ''}.`;
    }
  }
}

/** What each time over the field gives; nothing where it is gone over once. */
export function passesText(w: BreakWinter, system: System): string {
  return w.passes.length < 2
    ? ''
    : `${w.passes
        .map(
          (p) =>
            `the ${nth(p.round)} time ${amount(p.eatenKgPerHa, 'massPerArea', system)} on ${amount(p.areaHa, 'area', system)}`,
        )
        .join(', ')}.`.replace(/^t/, 'T');
}

/** "7.4% protein in the first week, 6.1% in the last; 8.1% wanted. ..." */
export function dietText(weeks: BreakWinter['weeks']): string {
  const [first, last] = [weeks[0], weeks.at(-1)!];
  const lows = weeks.map((w) => w.proteinNeedPct);
  const wanted = `${Math.max(...lows).toFixed(1)}%`;
  const lack = weeks.find((w) => w.proteinPct < w.proteinNeedPct - 0.25);
  const energy = weeks.find((w) => w.tdnPct < w.tdnNeedPct - 1);
  const told = [
    lack ? `short of protein from the week of ${longDate(lack.from)}` : '',
    energy ? `short of energy from that of ${longDate(energy.from)}` : '',
  ].filter((t) => t);
  const all = `Protein in all of it: ${first.proteinPct.toFixed(1)}% in the first week${
    weeks.length > 1 ? `, ${last.proteinPct.toFixed(1)}% in the last` : ''
  }; at most ${wanted} are wanted.`;
  return told.length ? `${all} They are ${told.join(' and ')}.` : `${all} That is enough.`;
}

/** What is looked at each day. */
export const DAILY_CHECKS = [
  'Every head up, eating and bright; none bloated, staggering, lame or alone.',
  'Fibre eaten before the wire is moved; nobody moved on hungry.',
  'Water running and clean; wire live; a dry place to lie that all have room on.',
  'No dirty water on its way to a stream: move them, or stand them off.',
  'Anything amiss: off the crop, and the veterinarian is called.',
];

/**
 * What is looked at besides where corn stood: its ears before, leaf and husk while they graze, by
 * the table of signs.
 */
export function residueChecks(w: BreakWinter, system: System): string[] {
  if (w.learnedAs !== 'corn_residue') return [];
  const few = system === 'METRIC' ? '0.3 to a square metre' : 'one to 36 square feet';
  const row = system === 'METRIC' ? '100 m' : '110 yards';
  const many = system === 'METRIC' ? '0.6' : 'one to 18';
  return [
    `Ears counted before it is opened, on ${row} of row over its width, a half ear as a half: above ${few} go in strips so narrow that nobody fills up on grain; above ${many} nobody goes in before they are picked up. Grain overload kills.`,
    'Leaf and husk: while there is plenty they find what the first week says; where only stalk and cob are left, they move on.',
  ];
}

export const WRITTEN = [
  'who',
  'shelter',
  'wet',
  'rules',
] as const satisfies (keyof BreakField['written'])[];
