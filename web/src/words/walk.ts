/** What a reading of a field and a round over all of them come to, in words. */
import type {
  Clipped,
  FeedAhead,
  FieldToWalk,
  PlateLine,
  SwardSign,
  WalkAnswer,
  YoungRule,
} from '../api/client';
import { dayOf, longDate } from '../units/dates';
import { amount, figure, rounded, unitOf, type System } from '../units/units';
import { days, plural } from './year';

const NOTHING_KG_PER_HA = 1;

/** Less than this many days of feed, and a reading is what was expected. */
const NO_DIFFERENCE = 0.5;

/** "1,450 kg/ha stands; 1,900 was expected" */
export function standsText(a: Pick<WalkAnswer, 'seen' | 'expectedKgPerHa'>, system: System) {
  return (
    `${amount(a.seen.coverKgPerHa, 'massPerArea', system)} stands; ` +
    `${figure(a.expectedKgPerHa, 'massPerArea', system)} was expected`
  );
}

/** "About 3 days' less feed for all animals"; empty where nobody eats, or it does not count. */
export function differenceText(a: Pick<WalkAnswer, 'counts' | 'feedDays'>, needKgPerDay: number) {
  if (!a.counts || needKgPerDay <= 0) return '';
  const { feedDays } = a;
  const n = Math.round(Math.abs(feedDays));
  if (Math.abs(feedDays) < NO_DIFFERENCE) return 'Hardly a day’s feed more or less.';
  return `About ${n} ${n === 1 ? 'day’s' : 'days’'} ${feedDays < 0 ? 'less' : 'more'} feed for all animals.`;
}

/** Whether stock may come in, and for how long it feeds them. */
export const NOT_THERE =
  'In the plan nothing stands there on this day: written down, it changes nothing. Say under Land what stands there, and from when.';

export function useText(
  a: WalkAnswer,
  field: Pick<FieldToWalk, 'askedRestDays' | 'young' | 'shut'>,
  system: System,
  needKgPerDay: number,
): string {
  if (!a.counts) return NOT_THERE;
  const n = Math.floor(a.forAllDays);
  const feeds =
    needKgPerDay <= 0
      ? 'Nobody is there to feed.'
      : n < 1
        ? 'Above what is to be left it would not feed all your animals for a day.'
        : `Above what is to be left it would feed all your animals for ${days(n)}.`;
  if (field.shut) return `Shut for now, as the plan has it. ${feeds}`;
  if (a.rootsHold === false)
    return 'Not ready: plants lift when they are pulled. Nobody comes in until a pull says that roots hold; walk again in 7 days.';
  if (a.effect === 'SHUT' || a.effect === 'WAIT')
    return `Not ready: ${reasonsText(a)}. Move elsewhere, walk again in 7 days.`;
  if (field.young && a.rootsHold === null)
    return 'Not ready: what was sown there is young. Tall enough is not enough: pull, and see that the roots hold.';
  if (a.seen.coverKgPerHa < a.openKgPerHa)
    return `Not ready: ${amount(a.openKgPerHa, 'massPerArea', system)} is wanted before stock come in. ${feeds}`;
  if (a.restDays !== null && a.restDays < field.askedRestDays)
    return `Tall enough after ${days(a.restDays)}; this time of the year asks for ${days(field.askedRestDays)} of rest. ${feeds}`;
  if (a.effect === 'CAUTION') return `With care: ${reasonsText(a)}. ${feeds}`;
  return `Ready. ${feeds}`;
}

const reasonsText = (a: Pick<WalkAnswer, 'reasons'>) =>
  [...new Set(a.reasons.map((r) => r.meaning))].join('; ');

/** How the last day of feed moves, in a normal year and in a dry one. */
export function movesText(before: FeedAhead, after: FeedAhead): string {
  if (before.bareNormal === after.bareNormal && before.bareDry === after.bareDry)
    return 'The first day without feed stays where it was.';
  const part = (name: string, from: string | null, to: string | null) =>
    from === to
      ? ''
      : to === null
        ? `${name} feed now lasts to the end of the plan`
        : from === null
          ? `${name} feed now falls short on ${longDate(to)}`
          : `${name} the first day without feed moves from ${longDate(from)} to ${longDate(to)}`;
  const parts = [
    part('in a normal year', before.bareNormal, after.bareNormal),
    part('in a dry one', before.bareDry, after.bareDry),
  ].filter((p) => p !== '');
  const said = parts.join('; ');
  return `${said[0].toUpperCase()}${said.slice(1)}.`;
}

/** How fast the season runs by the readings so far; empty where they say nothing. */
export function paceText(share: number): string {
  const percent = Math.round(share * 100);
  if (percent === 100) return '';
  return `By the readings so far growth runs at ${percent}% of what was expected; from here it is reckoned so, and what they said fades by half in 45 days.`;
}

/** Where the line of a plate comes from, and how sure it is. */
export function plateText(line: PlateLine | null, own: boolean): string {
  if (own) return 'Your own line for this sward, kept on this device.';
  if (line === null)
    return 'A common line for a leafy sward; the table has none for this one. Set your own; not where stems carry the plate.';
  return `The table’s line for this sward and season, in clicks of half a centimetre, from ${line.fromClicks} to ${line.toClicks}; known to ${Math.round(100 * line.errorShare)}% until you clip. ${line.note}`.trim();
}

/** Where the plate's mean lies off the table's line; '' while it does not. */
export function offLineText(line: PlateLine | null, own: boolean, clicks: number[]): string {
  if (own || !line?.usable || clicks.length === 0) return '';
  const mean = clicks.reduce((s, c) => s + c, 0) / clicks.length;
  if (mean > line.toClicks)
    return `${Math.round(mean)} clicks on the mean: the line holds up to ${line.toClicks}. Stems carry the plate there: clip frames or use the stick.`;
  return mean < line.fromClicks
    ? `${Math.round(mean)} clicks on the mean: the line holds from ${line.fromClicks} on, and is a guess below.`
    : '';
}

/** What the farm's own frames say of the table of heights. */
export function clippedText(c: Clipped): string {
  const times = `${c.times.toFixed(2)} times what the table has, ±${Math.round(100 * c.errorShare)}%`;
  const frames = `${c.frames} ${plural('frame', c.frames)} of yours`;
  return c.used
    ? `${frames} with heights hold ${times}; heights are read by them.`
    : `${frames} with heights hold ${times}: too few, or too far apart to go by.`;
}

/** Three ways feed can last from a day on. */
export function aheadLines(a: FeedAhead, on: string): { name: string; text: string }[] {
  const bare = (iso: string | null) =>
    iso === null
      ? 'to the end of the plan'
      : iso <= on
        ? 'short this very day, as the plan feeds'
        : `to ${longDate(iso)}, ${days(dayOf(on, iso))}`;
  return [
    {
      name: 'Nothing more grows',
      text: a.standsToTheEnd ? 'to the end of the plan' : days(a.standsDays),
    },
    { name: 'As in a normal year', text: bare(a.bareNormal) },
    { name: 'As in a dry one, one in ten', text: bare(a.bareDry) },
  ];
}

/** "1,900 kg/ha expected, about 14 cm" */
export function expectedText(f: FieldToWalk, system: System): string {
  if (f.expectedKgPerHa < NOTHING_KG_PER_HA) return 'nothing is expected to stand there';
  const cm =
    f.expectedCm === null
      ? ''
      : `, about ${rounded(f.expectedCm, 'depth', system)} ${unitOf('depth', system)}`;
  return `${amount(f.expectedKgPerHa, 'massPerArea', system)} expected${cm}`;
}

/**
 * When somebody last looked.
 *
 * @param nowKgPerHa what was read this day, if anything was
 */
export function lastText(f: FieldToWalk, on: string, system: System, nowKgPerHa?: number): string {
  if (nowKgPerHa !== undefined) return `${figure(nowKgPerHa, 'massPerArea', system)} read this day`;
  if (f.lastOn === null) return 'never read in this plan';
  const ago = dayOf(f.lastOn, on);
  return `${figure(f.lastKgPerHa!, 'massPerArea', system)} read ${days(ago)} ago`;
}

/** By how much feed the forecast may be off there. */
export function stakeText(f: FieldToWalk): string {
  const n = Math.round(f.daysAtStake);
  return n < 1 ? 'moves the forecast by less than a day' : `may move the forecast by ${days(n)}`;
}

const TITLES: Record<string, string> = {
  tips_bitten: 'Tips, as by biting',
  tips_dry: 'Tips, as by drought or frost',
  bare_ground: 'Bare ground',
  anchorage_new: 'Pulled, as a beast does',
};

export function signTitle(s: SwardSign): string {
  const leaves = s.values.some((v) => /^\d/.test(v.id));
  return TITLES[s.id] ?? (leaves ? 'New leaves since it was grazed' : 'Stage');
}

/** "half blunt", "15 to 30%", "over 3" */
export function signWord(s: SwardSign, value: string): string {
  const unit = s.what === 'bare_ground' ? '%' : '';
  const span = /^(\d+)_(\d+)$/.exec(value);
  if (span) return `${span[1]} to ${span[2]}${unit}`;
  return value.replace(/_/g, ' ') + (/\d$/.test(value) ? unit : '');
}

/** When a young stand may be opened, by height, roots and leaves. */
export function youngText(r: YoungRule, system: System): string {
  const height = (cm: number) => `${rounded(cm, 'depth', system)} ${unitOf('depth', system)}`;
  return (
    `A young stand. Pull from ${height(r.lookCm)} on; open from ${height(r.openCm)}` +
    `${r.onSand ? ' on this sand' : ''} where roots hold: ${r.test}. ${r.leaves}. ` +
    `${r.onSand ? `On sand: ${r.onSand}. ` : ''}` +
    `The first visit ends at ${height(r.downToCm)}.`
  );
}

/** What is walked and what is left, and where to begin. */
export function roundText(
  fields: FieldToWalk[],
  first: string[],
  name: (id: string) => string,
  needKgPerDay: number,
) {
  if (!fields.length) return 'There is no field yet to walk. Add one under Land.';
  const read = fields.filter((f) => f.readToday).length;
  const count = `${fields.length} ${plural('field', fields.length)}, ${read} read this day.`;
  if (needKgPerDay <= 0)
    return `${count} Nobody is there to feed in the next weeks, so that no look moves a forecast.`;
  if (read === fields.length) return count;
  if (!first.length)
    return `${count} ${read ? 'A look at the others would hardly move the forecast.' : 'A look would hardly move the forecast.'}`;
  return `${count} First ${first.map(name).join(', ')}: a look there changes the forecast most.`;
}
