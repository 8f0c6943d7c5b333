/** Bales set out for winter, in words. */
import type { BaleSection, BaleSite, BaleWinter } from '../api/client';
import { dayOf, fullDate, lastDay, longDate } from '../units/dates';
import { amount, figure, unitOf, type System } from '../units/units';
import { plural } from './year';

export const daysOf = (s: { from: string | null; toExclusive: string | null }) =>
  s.from === null || s.toExclusive === null ? 0 : dayOf(s.from, s.toExclusive);

/** "East of the Brook: 126 bales last from 8 November to 3 March." */
export function baleVerdict(b: BaleWinter, field: string): string {
  const bales = `${b.laid} ${plural('bale', b.laid)}`;
  if (b.laid === 0) return `${field}: there is room for no bale.`;
  if (b.from === null) return `${field}: ${bales}, none of them fed as the plan stands.`;
  const to = longDate(lastDay(b.toExclusive!));
  return b.opened < b.laid
    ? `${field}: ${b.opened} of ${bales} are opened, from ${longDate(b.from)} to ${to}.`
    : `${field}: ${bales} last from ${longDate(b.from)} to ${to}.`;
}

/** "Section 5, Mon 10 January" */
export function sectionTitle(s: BaleSection, place: number): string {
  return s.from === null
    ? `Section ${place + 1}, not opened in this season`
    : `Section ${place + 1}, opened on ${fullDate(s.from)}`;
}

export function sectionText(s: BaleSection, usualDays: number | null): string {
  const bales = `${s.spots.length} ${plural('bale', s.spots.length)}`;
  if (s.from === null) return `${bales} stay closed: the plan feeds none of this lot by then.`;
  const days = daysOf(s);
  const lasts =
    days === 0
      ? 'eaten the same day'
      : `feed for ${days} ${plural('day', days)}, to ${longDate(lastDay(s.toExclusive!))}`;
  const offered =
    days > 0 && s.offeredDays !== null && Math.abs(s.offeredDays - days) >= 1
      ? ` They hold ${s.offeredDays.toFixed(s.offeredDays < 10 ? 1 : 0)} days of what these stock want.`
      : '';
  const late =
    usualDays !== null && usualDays !== days
      ? ` ${usualDays} in a normal year${days < usualDays ? '; every later move comes sooner' : ''}.`
      : '';
  return `${bales}: ${lasts}.${offered}${late}`;
}

/** On so many days nobody says what they drink. */
export const noWater = (days: number, of: number) =>
  `On ${days} of ${of} ${plural('day', of)} nobody says what they drink: draw the trough, or say with the field where its water is. Stock that live on snow do so only while it lies.`;

/** A warning in a sentence. */
export function baleWarning(
  c: BaleWinter['cautions'][number],
  b: BaleWinter,
  system: System,
): string {
  switch (c.warning) {
    case 'TOO_MANY':
      return `At this spacing they ask for ${amount(b.askedHa, 'area', system)}; the piece has ${amount(b.netHa, 'area', system)}. ${c.value} ${plural('bale', c.value)} ${c.value === 1 ? 'has' : 'have'} no room.`;
    case 'NOT_FED':
      return 'The plan feeds none of this lot: put it in somebody’s order of feeds.';
    case 'STAY_CLOSED':
      return `${c.value} ${plural('bale', c.value)} ${c.value === 1 ? 'is' : 'are'} still closed when the plan ends or the grass carries again.`;
    case 'OVER_LIMIT':
      return `${amount(c.value, 'headDays', system)}: above the ${amount(c.against, 'headDays', system)} that you set.`;
    case 'NEAR_WATER':
      return `${amount(c.value, 'distance', system)} are kept along water; this slope asks for ${amount(c.against, 'distance', system)}. Local rules stand above that.`;
    case 'STEEP':
      return `${Math.round(c.value)} degrees: no site for bales if any other is to be had. Bales roll, and water runs off quickly.`;
    case 'MADE_ELSEWHERE':
      return 'They are said to lie where they were made, and the plan cuts this lot on another field.';
    case 'NO_WATER':
      return noWater(c.value, c.against);
    case 'LOSS_OTHERWISE':
      return `Bales that lie as long as these lose about ${Math.round(100 * c.value)}%; as the lot is fed, ${Math.round(100 * c.against)}% are reckoned with. Right only with rings or feeders over them.`;
    case 'MIXED_OTHERWISE':
      return `The plan opens ${c.value} of the other lot while these last; ${c.against} lie among them. The order of feeds says how much of it they get.`;
    case 'MUCH_LOST':
      return `${Math.round(100 * c.value)}% is not eaten: too few mouths for so many bales at once, or too long on them.`;
  }
}

/** Whether the first lot is no better than what is wanted without the other. */
const alone = (m: NonNullable<BaleWinter['mixture']>) =>
  m.alone.proteinPct < m.proteinNeedPct - 0.05 || m.alone.tdnPct < m.tdnNeedPct - 0.5;

/** What the other lot among them changes. */
export function mixtureText(
  m: NonNullable<BaleWinter['mixture']>,
  other: string,
  system: System,
): string {
  const worth = (b: typeof m.mixed) =>
    `${b.proteinPct.toFixed(1)}% protein, ${b.tdnPct.toFixed(0)}% TDN`;
  const cost =
    m.alone.costPerTonneDm !== null && m.mixed.costPerTonneDm !== null
      ? ` The dry matter costs ${amount(m.mixed.costPerTonneDm, 'pricePerMass', system)} instead of ${amount(m.alone.costPerTonneDm, 'pricePerMass', system)}.`
      : ' What both cost is not known: it stands with the lots in the store.';
  const lacks = [
    m.mixed.proteinPct < m.proteinNeedPct - 0.05 ? `${m.proteinNeedPct.toFixed(1)}% protein` : '',
    m.mixed.tdnPct < m.tdnNeedPct - 0.5 ? `${m.tdnNeedPct.toFixed(0)}% TDN` : '',
  ].filter((t) => t);
  const need =
    m.groupIds.length === 0
      ? ''
      : lacks.length
        ? ` Those who eat there want ${lacks.join(' and ')} at their neediest: both together are short of it${alone(m) ? ', as the first is alone' : ''}.`
        : ' That is enough for those who eat there, all winter.';
  return `${Math.round(100 * m.otherShare)}% of the dry matter is ${other}: ${worth(m.mixed)} together, instead of ${worth(m.alone)}.${cost}${need}`;
}

/** What speaks for a field, or against it. */
export function sitePointText(p: BaleSite['points'][number], system: System): string {
  switch (p.what) {
    case 'PHOSPHORUS':
      return `phosphorus ${Math.round(p.value)} mg/kg by its test`;
    case 'NO_TEST':
      return 'no soil test says what it lacks';
    case 'SHELTERED':
      return 'out of the wind';
    case 'EXPOSED':
      return 'in the wind';
    case 'DRY_OR_FROZEN':
      return 'reached on dry or frozen ground only';
    case 'ON_FOOT':
      return 'reached on foot only';
    case 'OLD_PADS':
      return `${p.value} old ${plural('pad', p.value)} left out`;
    case 'WATER':
      return `water in it, a strip of ${amount(p.value, 'distance', system)} is kept`;
    case 'SLOPE':
      return `slope of ${Math.round(p.value)} degrees`;
    case 'FAR':
      return `${amount(p.value, 'distance', system)} from the yard`;
    case 'NO_ROOM':
      return 'no bale has room';
    case 'TAKEN':
      return 'bales stand there';
  }
}

/** What is left for the grass. */
export function nutrientText(b: BaleWinter, system: System): string {
  const of = (kg: number) => figure(kg, 'nutrient', system);
  const { broughtKgPerHa: got, leftKgPerHa: left } = b;
  return (
    `Brought, on the ground that they take: nitrogen ${of(got.nKg)}, phosphorus ${of(got.pKg)}, potassium ${of(got.kKg)} ${unitOf('nutrient', system)}. ` +
    `Of the nitrogen ${of(left.low.nKg)} to ${of(left.high.nKg)} stay. About ${of(left.soonNKg)} of it is found by the next growth, and the plan reckons what that grows, all over the field. Most lies where the bales stood.`
  );
}
