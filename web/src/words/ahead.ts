import type { AheadStretch, YearsAhead } from '../api/client';
import { longDate } from '../units/dates';
import { amount, figure, unitOf, type System } from '../units/units';

type Year = YearsAhead['years'][number];
type Stand = YearsAhead['stands'][number];

/** What a stretch of days is for a field. */
export function stretchText(kind: AheadStretch['kind'], forage: string): string {
  switch (kind) {
    case 'STAND':
      return forage;
    case 'YOUNG':
      return `${forage}, young`;
    case 'CROP':
      return forage;
    case 'GROUND':
      return `ground for ${forage}`;
  }
}

const dated = (iso: string) => `${longDate(iso)} ${iso.slice(0, 4)}`;

/** "Short of 3.1 t over 25 days, first on 12 February 2028" */
export function shortText(y: Year, system: System): string {
  if (!y.firstShort) return 'Nobody goes short.';
  const days = y.shortDays === 1 ? 'one day' : `${y.shortDays} days`;
  return `Short of ${amount(y.shortKg, 'bulk', system)} over ${days}, first on ${dated(y.firstShort)}.`;
}

/** What the years come to, in one or two sentences. */
export function yearsSentence(a: YearsAhead, system: System): string {
  const worst = a.years.reduce((w, y) => (y.shortKg > w.shortKg ? y : w));
  const shorts = a.years.filter((y) => y.firstShort).length;
  const lacks =
    shorts === 0
      ? `Nobody goes short in any of the ${a.years.length} years.`
      : `Feed is short in ${shorts} of ${a.years.length} years, most in the one from ${dated(worst.start)}.`;
  const ends = a.years.map((y) => figure(y.storeKg, 'bulk', system));
  const unit = unitOf('bulk', system);
  const store = `In store as each year ends: ${ends.slice(0, -1).join(', ')} and ${ends.at(-1)} ${unit}.`;
  return `${lacks} ${store}`;
}

/** What becomes of a stand that is sown. */
export function standText(s: Stand): string {
  if (s.skipped) return 'too dry: not sown';
  if (s.failed) return 'fails';
  if (!s.readyOn) return 'not ready in these years';
  return `first use ${dated(s.readyOn)}`;
}
