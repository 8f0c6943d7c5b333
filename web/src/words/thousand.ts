/** A plan in a thousand simulated years, in words. */
import type { Hold, ThousandResult } from '../api/client';
import { shortDay } from '../units/dates';
import { amount, type System } from '../units/units';
import { plural } from './year';
import { money } from './prices';

/** "4 of 10", or in hundreds where tenths would say none or all. */
export function ofTen(count: number, all: number): string {
  const tenths = Math.round((10 * count) / all);
  const plain = (tenths > 0 && tenths < 10) || count === all;
  if (plain) return `${tenths} of 10`;
  const hundreds = Math.round((100 * count) / all);
  return hundreds > 0 && hundreds < 100
    ? `${hundreds} of 100`
    : `${count.toLocaleString('en-US')} of ${all.toLocaleString('en-US')}`;
}

/** How sure the plan is, in one sentence or two. */
export function sureWords(r: ThousandResult, start: string, system: System): string {
  if (r.fed === r.years)
    return `Feed lasts in every one of ${r.years.toLocaleString('en-US')} simulated years.`;
  const lasts =
    r.fed === 0
      ? 'Feed lasts in no simulated year.'
      : `Feed lasts in ${ofTen(r.fed, r.years)} years.`;
  const worst = r.named.find((y) => y.share === 0.9)!;
  if (worst.bareKg < r.dayKg) {
    const hardest = r.named.at(-1)!;
    return `${lasts} In the hardest ${amount(hardest.bareKg, 'bulk', system)} are missing.`;
  }
  const by =
    r.shortByTenth < 0
      ? ''
      : `In one year of ten it falls short by ${shortDay(start, r.shortByTenth)}; `;
  const missing = `${amount(worst.bareKg, 'bulk', system)} or more are missing in the worst tenth.`;
  return `${lasts} ${by}${by ? missing : missing[0].toUpperCase() + missing.slice(1)}`;
}

/** What to hold so as to be so sure, and what it is for. */
export function holdWords(h: Hold, currency: string, system: System): string {
  const sure = `To be sure in ${ofTen(Math.round(h.share * 100), 100)} years`;
  if (!h.units && h.fedAfter >= h.share * h.years) return `${sure} nothing more is to be held.`;
  if (!h.units)
    return `${sure} no amount of hay is enough: those that go short cannot reach it, or are not there for it.`;
  const bales = `${h.units.toLocaleString('en-US')} ${plural(h.unitName, h.units)}`;
  const cost = h.cost === null ? '' : `, ${currency} ${money(h.cost)}`;
  const tenths = Math.round((10 * h.insuranceKg) / h.missingKg);
  const few: Record<number, string> = { 0: 'Hardly any', 1: 'A tenth', 10: 'All' };
  const part = few[tenths] ?? `${tenths} tenths`;
  return (
    `${sure}: hold ${bales} more${cost}. In the hardest of those years ${amount(h.missingKg, 'bulk', system)} are missing; the rest is lost or eaten on other days. ` +
    `${part} of that is insurance: in the middle year it stays in the barn and rolls over. ` +
    `Run with it, feed lasts in ${h.fedAfter.toLocaleString('en-US')} of ${h.years.toLocaleString('en-US')} years.`
  );
}

/** What it costs to hold, beside what it costs to be short. */
export function holdCostWords(h: Hold, currency: string): string {
  if (!h.units || h.cost === null || h.costInDrought === null || h.shortCostAYear === null)
    return '';
  const short = `Left as it is, what is missing costs ${currency} ${money(h.shortCostAYear)} in the mean year, bought when everybody is short; the same bales would then cost ${currency} ${money(h.costInDrought)}.`;
  if (h.paysUpTo === null) return short;
  if (h.paysUpTo <= 0)
    return `${short} As it is no dearer then, by price alone nothing need be held.`;
  return `${short} By price alone another ton pays for itself up to ${ofTen(Math.floor(h.paysUpTo * 100), 100)} years: what it saves in a short year against what it loses in store in the others, with 5% a year for its money.`;
}

const LIKE: Record<string, string> = {
  '0.1': 'A mild year, one in ten',
  '0.5': 'The middle one of a thousand years',
  '0.8': 'A year like the worst in five',
  '0.9': 'A year like the worst in ten',
  '0.95': 'A year like the worst in twenty',
  '1': 'The hardest of a thousand years',
};

/** What a year is called that a share of all is no harder than. */
export function yearName(share: number): string {
  return LIKE[String(share)] ?? `A year that ${Math.round(share * 100)} of 100 are no harder than`;
}

/** What a year is called that was pointed at: so many of all are milder. */
export function pickedName(rank: number, years: number): string {
  return `A year that ${rank.toLocaleString('en-US')} of ${years.toLocaleString('en-US')} are milder than`;
}
