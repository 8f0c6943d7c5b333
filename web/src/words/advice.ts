/** What a year says beyond its gaps, in sentences. */
import type { Advice } from '../api/client';
import { monthName } from '../units/dates';
import { amount, type System } from '../units/units';

/** A field lags that grows less than this share of those like it. */
const LAGS = 0.85;

/** A field is little used of which less than this share of what grows is eaten or cut. */
const LITTLE = 0.4;

/** Feed that nobody eats, kg DM: less is not spoken of. */
const SEEN_KG = 500;

const percent = (share: number) => `${Math.round(share * 100)}%`;

/** How large a herd the plan would carry. */
export function carriesText(normal: number | null, dry: number | null, season: string): string {
  const of = (share: number | null) =>
    share === null
      ? 'not even a tenth of the herd'
      : share >= 2.99
        ? 'three times the herd or more'
        : `${percent(share)} of the herd`;
  const same = normal !== null && dry !== null && Math.abs(normal - dry) < 0.03;
  return same
    ? `As it stands this plan feeds ${of(normal)} all year, ${season} and in a dry one.`
    : `As it stands this plan feeds ${of(normal)} all year, ${season}; in a dry one ${of(dry)}.`;
}

/** When most is lost that grew and was not eaten. */
export function lossText(months: Advice['months'], system: System): string {
  const grown = months.reduce((n, m) => n + m.grownKg, 0);
  const lost = months.reduce((n, m) => n + m.lostKg, 0);
  if (lost < SEEN_KG || grown <= 0) return 'Next to nothing of what grows is lost uneaten.';
  const worst = [...months].sort((a, b) => b.lostKg - a.lostKg).slice(0, 2);
  return `${amount(lost, 'bulk', system)} of what grows or stands dies or weathers uneaten, most in ${worst
    .map((m) => `${monthName(m.month)} (${amount(m.lostKg, 'bulk', system)})`)
    .join(' and ')}.`;
}

/** What is said of a field; nothing where it does as well as the others. */
export function fieldText(field: Advice['fields'][number]): string {
  const said: string[] = [];
  const like = field.likeGrownKgPerHa;
  if (like !== null && field.grownKgPerHa < LAGS * like) {
    said.push(`grows ${percent(field.grownKgPerHa / like)} of what others of its kind do`);
  }
  const used = field.grazedKgPerHa + field.cutKgPerHa;
  if (field.grownKgPerHa > 0 && used < LITTLE * field.grownKgPerHa) {
    said.push(`${percent(used / field.grownKgPerHa)} of what it grows is eaten or cut`);
  }
  return said.join('; ');
}
