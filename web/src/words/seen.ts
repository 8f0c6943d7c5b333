/** What is seen on a walk besides covers, in words: moves, heads, stakes, weather, holds. */
import type { Fact, HeldByHand, HerdPlace, Noticed, StakeLine, Walk } from '../api/client';
import { longDate, shortDate } from '../units/dates';
import { amount, rounded, shown, unitOf, type System } from '../units/units';
import { stageName } from './stems';
import { days, plural } from './year';

const WHY = {
  COUNTED: 'counted',
  DIED: 'died',
  SOLD: 'sold',
  BOUGHT: 'bought',
  STRAYED: 'strayed',
};
export const WHYS = (Object.keys(WHY) as (keyof typeof WHY)[]).map((id) => ({
  id,
  name: id === 'COUNTED' ? 'just counted' : `some ${WHY[id]}`,
}));

export const NOTICED: { id: Noticed['what']; name: string; farm: boolean; field: boolean }[] = [
  { id: 'RAIN', name: 'Rain', farm: true, field: false },
  { id: 'FROST', name: 'Frost', farm: true, field: false },
  { id: 'SNOW', name: 'Snow', farm: true, field: false },
  { id: 'SOIL', name: 'Soil', farm: false, field: true },
  { id: 'WATER', name: 'Water', farm: true, field: true },
  { id: 'FENCE', name: 'Fence', farm: true, field: true },
  { id: 'LODGED', name: 'Lodged', farm: false, field: true },
  { id: 'ICED', name: 'Iced over', farm: false, field: true },
  { id: 'WEEDS', name: 'Weeds', farm: false, field: true },
  { id: 'INSECTS', name: 'Insects', farm: false, field: true },
  { id: 'OTHER', name: 'Other', farm: true, field: true },
];

/** Water in the soil by feel, from a hand's depth, and the share of what plants can use. */
export const SOILS = [
  { id: 0.125, name: 'runs dry or crumbles', title: 'under a quarter of what plants can use' },
  { id: 0.375, name: 'a ball that breaks', title: 'a quarter to half' },
  { id: 0.75, name: 'a ball that holds', title: 'half to full' },
  { id: 1, name: 'wet and slick', title: 'full: it poaches' },
];

/** "120 head, Home Bottom since 12 April, as written down" */
export function placeText(p: HerdPlace, name: (id: string) => string): string {
  const where = p.fieldId === null ? 'fed, on no field' : name(p.fieldId);
  return `${Math.round(p.head)} head: ${where} since ${shortDate(p.since)}, ${p.written ? 'as written down' : 'as the plan has it'}`;
}

/** What speaks against a field for stock, or nothing. */
export function againstText(
  f: Walk['fields'][number],
  held: HeldByHand | undefined,
  system: System,
): string {
  if (held) return `shut by hand: ${held.why}`;
  if (f.plantsLift) return 'shut, as plants lift when they are pulled';
  if (f.shut) return 'shut, as the plan has it';
  if (f.young) return 'young: nobody has found that its roots hold';
  if (f.expectedKgPerHa < f.enterKgPerHa)
    return `${amount(f.expectedKgPerHa, 'massPerArea', system)} expected, ${amount(f.enterKgPerHa, 'massPerArea', system)} is wanted`;
  return '';
}

/** What a stake says. */
export function stakeText(s: StakeLine, system: System): string {
  const cm = (v: number) => `${tenths(shown(v, 'depth', system))} ${unitOf('depth', system)}`;
  const rest =
    s.leftOn === null || s.leftCm === null || s.seenOn === s.leftOn
      ? ''
      : `, left at ${cm(s.leftCm)} ${days(s.restDays ?? 0)} before`;
  const grown = s.cmPerDay === null ? '' : `, ${growthText(s.cmPerDay, system)}`;
  const tips = s.tips === null ? '' : s.tips === 'POINTED' ? ', tips pointed' : ', tips blunt';
  return `${s.stake}: ${cm(s.seenCm)} on ${shortDate(s.seenOn)}${rest}${grown}${tips}. ${verdict(s, cm)}`;
}

/** To a tenth, where it is not whole: the last centimetre is what is waited for. */
const tenths = (v: number) => String(Number(v.toFixed(1)));

function growthText(cmPerDay: number, system: System): string {
  const aWeek = shown(7 * cmPerDay, 'depth', system);
  return Math.abs(aWeek) < 0.05
    ? 'no growth'
    : `${aWeek.toFixed(1)} ${unitOf('depth', system)} a week`;
}

function verdict(s: StakeLine, cm: (v: number) => string): string {
  if (s.seenOn === s.leftOn) return 'Stock have just left.';
  const asked = s.askedRestDays;
  if (s.recovered && s.restDays !== null && s.restDays < asked)
    return `Recovered by its height after ${days(s.restDays)}; this time of the year asks for ${days(asked)} of rest.`;
  if (s.recovered) return 'Recovered.';
  if (s.enterCm === null) return 'What height is wanted here is not known.';
  if (s.seenCm >= s.enterCm) return 'Tall enough, and as bitten: not recovered.';
  if (s.toGoDays === null)
    return `Not ready for ${cm(s.enterCm)}, and not growing by the stake. Move elsewhere, walk again in 7 days.`;
  return `Not ready: at this growth ${days(s.toGoDays)} more to ${cm(s.enterCm)}. Move elsewhere, walk again in ${days(Math.min(7, s.toGoDays))}.`;
}

/** Rain in the gauge beside what usually falls. */
export function rainText(rain: NonNullable<Walk['rain']>, system: System): string {
  const n = `${rain.readings} ${plural('reading', rain.readings)}`;
  const mm = rain.mm > 0 ? amount(rain.mm, 'water', system) : 'Nothing';
  return `${mm} in the gauge by ${n} since ${longDate(rain.from)}, of ${days(rain.days)}; ${amount(rain.usualMm, 'water', system)} usually fall on these. The plan’s soils had this rain.`;
}

/** "12 of 80 gave birth, 31 by the plan; 13 young live. The last on 4 March." */
export function birthsText(b: Walk['births'][number]): string {
  const plan = `${Math.round(b.plannedBorn)} by the plan`;
  if (b.lastOn === null) return `No birth of ${b.dams} written down; ${plan}.`;
  return `${b.born} of ${b.dams} gave birth, ${plan}; ${b.young} young live. The last on ${longDate(b.lastOn)}.`;
}

/** "Shut since 3 April: flooded" */
export function heldText(h: HeldByHand): string {
  const until = h.until === null ? '' : ` until ${longDate(h.until)}`;
  return `Shut by hand since ${longDate(h.since)}${until}: ${h.why}.`;
}

/** What was noticed, measured where it is. */
function noticedText(n: Noticed, system: System): string {
  const name = NOTICED.find((w) => w.id === n.what)!.name.toLowerCase();
  const { amount: of } = n;
  if (of === null) return name;
  if (n.what === 'RAIN' && of === 0) return 'no rain in the gauge';
  if (n.what === 'RAIN') return `${amount(of, 'water', system)} of rain`;
  if (n.what === 'FROST') return `lowest of the night ${amount(of, 'temperature', system)}`;
  if (n.what === 'SNOW') return `${amount(of, 'depth', system)} of snow`;
  return `soil: ${SOILS.find((s) => s.id === of)?.name ?? `${Math.round(100 * of)}% of its water`}`;
}

/** One line of a record of a walk that is no reading, or nothing for other kinds. */
export function seenText(fact: Fact, name: (id: string) => string, system: System): string {
  switch (fact.kind) {
    case 'HERD_MOVED':
      return `${name(fact.groupId)} to ${fact.fieldId === null ? 'no field, fed' : name(fact.fieldId)}`;
    case 'HEAD_COUNTED':
      return `${name(fact.groupId)}: ${fact.head} head${fact.why === 'COUNTED' ? '' : `, ${WHY[fact.why]}`}`;
    case 'BIRTHS_SEEN':
      return `${name(fact.groupId)}: ${fact.dams} gave birth, ${fact.young} young live`;
    case 'PHOTO_TAKEN':
      return fact.fieldId ? `photo of ${name(fact.fieldId)}` : 'photo';
    case 'CONDITION_SEEN':
      return `${name(fact.groupId)} scored ${fact.score}`;
    case 'STAKE_SEEN': {
      const cm = `${rounded(fact.heightCm, 'depth', system)} ${unitOf('depth', system)}`;
      return `${name(fact.fieldId)}, ${fact.stake}: ${cm}${fact.left ? ', stock just left' : ''}`;
    }
    case 'STEMS_SEEN': {
      const n = fact.stems.length;
      const most = fact.stems.map((s) => s.stageId).sort((a, b) => count(fact, b) - count(fact, a));
      return `${name(fact.fieldId)}: ${n} ${plural('stem', n)}, mostly ${stageName(most[0]).toLowerCase()}`;
    }
    case 'FIELD_HELD':
      return `${name(fact.fieldId)} shut: ${fact.why}`;
    case 'FIELD_OPENED':
      return `${name(fact.fieldId)} open again: ${fact.why}`;
    case 'NOTICED':
      return `${fact.fieldId === null ? '' : `${name(fact.fieldId)}: `}${noticedText(fact, system)}`;
    default:
      return '';
  }
}

const count = (fact: Extract<Fact, { kind: 'STEMS_SEEN' }>, stage: string) =>
  fact.stems.filter((s) => s.stageId === stage).length;
