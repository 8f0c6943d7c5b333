/** How the ground stands, how long feed lasts and how many animals growth carries, in words. */
import type { Greening, LandInUse, Outlook } from '../api/client';
import { isoOf, longDay } from '../units/dates';
import { amount, type System } from '../units/units';
import { days } from './year';

type Ahead = Pick<
  Outlook,
  | 'inFrontKg'
  | 'storedKg'
  | 'lastsDays'
  | 'lastsWithStoreDays'
  | 'bareInNormalDays'
  | 'bareInDryDays'
>;

/** How long what is there on a day lasts: nothing grows, a normal year, a dry one. */
export function aheadSentence(
  o: Ahead,
  start: string,
  day: number,
  system: System,
  bareNow = false,
): string {
  const planDays = o.lastsDays.length;
  const lasts = (n: number) =>
    day + 1 + n >= planDays
      ? 'to the end of the plan'
      : `${days(n)}, to ${longDay(start, day + n)}`;
  const bare = (inDays: number, season: string) =>
    inDays < 0
      ? `${season} no day of the plan is bare after it`
      : `${season} the next bare day is ${longDay(start, day + inDays)}, ${days(inDays)} on`;
  return (
    `On ${longDay(start, day)} ${amount(o.inFrontKg[day], 'bulk', system)} stand in front of the ` +
    `herd. If nothing more grew they would last ${lasts(o.lastsDays[day])}; with the ` +
    `${amount(o.storedKg[day], 'bulk', system)} in store ${lasts(o.lastsWithStoreDays[day])}. ` +
    (bareNow && o.lastsWithStoreDays[day] > 0
      ? 'That day is bare all the same: no order of feeds opens what is there. '
      : '') +
    `${capital(bare(o.bareInNormalDays[day], 'in a normal year'))}; ` +
    `${bare(o.bareInDryDays[day], 'in a dry one')}.`
  );
}

export type LandUse = LandInUse['uses'][number]['use'];

export const USES: Record<LandUse, string> = {
  GRAZED: 'open to the herd',
  CROP: 'crops that are ready',
  FOR_A_CUT: 'kept for a cut',
  SHUT: 'shut for later',
  HELD: 'held',
  BEING_SOWN: 'being sown, not ready',
  BARE: 'with nothing on it',
};

/** When least ground is open to the herd, and what the rest is for then. */
/** How long stands lag behind the first, and from green to useful. */
export function greenSentence(
  greening: readonly Greening[],
  start: string,
  name: (id: string) => string,
): string {
  const first = greening[0];
  if (!first) return 'No stand here wakes from a winter or a dry season within this plan.';
  const until = first.usefulDay;
  const use =
    until < 0
      ? 'it does not come to a first use within the plan'
      : `of use from ${longDay(start, until)}, ${until - first.greenDay} days later`;
  const last = greening[greening.length - 1];
  const lag = last.greenDay - first.greenDay;
  const behind = lag > 0 ? ` ${name(last.fieldId)} greens up last, ${lag} days after it.` : '';
  return `${name(first.fieldId)} is green first, on ${longDay(start, first.greenDay)}, and ${use}.${behind}`;
}

export function landSentence(land: LandInUse, start: string, system: System): string {
  if (land.wholeHa <= 0) return 'There is no land in the plan yet.';
  const on = land.narrowestDay;
  const of = (use: LandUse) => land.uses.find((u) => u.use === use)?.ha[on] ?? 0;
  const left = of('GRAZED') + of('CROP');
  const whole = amount(land.wholeHa, 'area', system);
  if (land.wholeHa - left < 0.01 * land.wholeHa)
    return `All ${whole} are open to the herd all year.`;
  const rest = land.uses
    .filter((u) => u.use !== 'GRAZED' && u.use !== 'CROP' && u.ha[on] > 0.001 * land.wholeHa)
    .map((u) => `${amount(u.ha[on], 'area', system)} ${USES[u.use]}`);
  return (
    `Least is open to the herd on ${longDay(start, on)}: ${amount(left, 'area', system)} of ` +
    `${whole}, ${Math.round((100 * left) / land.wholeHa)}%. ${capital(rest.join(', '))}.`
  );
}

const capital = (text: string) => text[0].toUpperCase() + text.slice(1);

export interface StockedMonth {
  month: string;
  needKg: number;
  eatableKg: number;
  leftKg: number;
  /** Animal units that are there, and that the month's growth would feed. */
  there: number;
  carries: number;
  state: 'over' | 'about right' | 'under' | 'dormant' | 'nobody';
}

/** A month whose growth is within this share of the need is neither. */
const ABOUT = 0.15;

/** A month that grows less than a tenth of the best is no season. */
const IN_SEASON = 0.1;

/** Each month's herd against its growth; an animal unit eats so much a day. */
export function stockedMonths(o: Pick<Outlook, 'months'>, audKg: number): StockedMonth[] {
  const best = Math.max(0, ...o.months.map((m) => m.eatableKg / (m.endDay - m.startDay)));
  return o.months.map((m) => {
    const dormant = m.eatableKg / (m.endDay - m.startDay) <= best * IN_SEASON;
    const unitKg = audKg * (m.endDay - m.startDay);
    const [there, carries] = [m.needKg / unitKg, m.eatableKg / unitKg];
    return {
      month: m.month,
      needKg: m.needKg,
      eatableKg: m.eatableKg,
      leftKg: m.leftKg,
      there,
      carries,
      state:
        there <= 0
          ? 'nobody'
          : dormant
            ? 'dormant'
            : carries < there * (1 - ABOUT)
              ? 'over'
              : carries > there * (1 + ABOUT)
                ? 'under'
                : 'about right',
    };
  });
}

/** What two thirds of the growing months carry at least, and what the best one would tempt to. */
export function carried(months: StockedMonth[]): { season: number; flush: number } {
  const flush = Math.max(0, ...months.map((m) => m.carries));
  const season = months
    .filter((m) => m.state !== 'dormant')
    .map((m) => m.carries)
    .filter((c) => c > 0)
    .sort((a, b) => b - a);
  return { season: season[Math.max(0, Math.ceil((season.length * 2) / 3) - 1)] ?? 0, flush };
}

/** The stocking in three sentences. */
export function stockingSentence(months: StockedMonth[], herdsOverall: number): string {
  const { season, flush } = carried(months);
  const units = (n: number) => `${Math.round(n).toLocaleString('en-US')} animal units`;
  const there = Math.max(0, ...months.map((m) => m.there));
  const over = months.filter((m) => m.carries < m.there).length;
  const under = months.filter((m) => m.carries > m.there).length;
  if (there <= 0) return 'Nobody is there to feed.';
  const best = months.find((m) => m.carries === flush);
  const tempts =
    best && flush > season * 1.25
      ? ` ${monthWord(best.month)} alone would carry ${units(flush)}: a herd bought for it is too many for the rest.`
      : '';
  return (
    `The land carries at least ${units(season)} through most of its growing months; at most ${units(there)} are there.` +
    tempts +
    ` More is asked of it than grows in ${over} of ${months.length} months, less in ${under}. ` +
    `Over the whole plan growth that would be eaten is ${herdsOverall.toFixed(1)} times the need.`
  );
}

function monthWord(month: string): string {
  return longDay(isoOf(`${month}-01`, 0), 0).split(' ')[1];
}
