import type { Offer } from '../form/Menu.svelte';
import type { ActKind, PlannedThing } from '../plan/planned';
import type { PlanSession } from '../plan/session.svelte';
import type { Field, YearView } from '../api/client';

/** What can be done on a field, or asked of it. */
export type Act = ActKind | 'grow' | 'part';

/** What is being done: something new, perhaps from a day on, or something planned that is changed. */
export interface Doing {
  act: Act;
  day: number | null;
  change: PlannedThing | null;
}

const NAMES: [Act, string][] = [
  ['shut', 'Shut it for later'],
  ['cut', 'Cut it for hay or silage'],
  ['sow', 'Sow a crop'],
  ['nitrogen', 'Put nitrogen on'],
  ['water', 'Water it'],
  ['pass', 'Graze lightly for light'],
  ['part', 'Part it in two'],
  ['grow', 'Ask what comes if it is left alone'],
];

/** What the menu of a field offers; what cannot be done says why. */
export function actOffers(open: PlanSession, field: Field): Offer[] {
  const forage = open.forages.find((f) => f.id === field.stand.forageId);
  const grows = !forage?.cropResidue && !forage?.fallow;
  const against: Partial<Record<Act, string>> = {};
  if (!field.hayable) against.cut = 'It is not said to be fit for mowing; see Place and soil.';
  if (!open.view!.farm.groups.length) against.pass = 'There are no animals yet.';
  if (!grows) {
    const none = forage?.fallow ? 'Nothing grows on fallow.' : 'Residue does not grow.';
    against.nitrogen = against.water = against.grow = against.pass = none;
    against.cut ??= none;
  }
  return NAMES.map(([id, name]) => ({ id, name, note: against[id], disabled: id in against }));
}

const DAYS_BEFORE_FROST = 75;
const SHUT_DAYS = 110;

/** Shut some ten weeks before the first frost, to the first gap or for four months. */
export function usualShutting(year: YearView): { from: number; to: number } {
  const frost = year.bands.find((b) => b.kind === 'FIRST_FROST');
  const last = year.days - 1;
  const from = Math.max(0, Math.min(last - 30, (frost?.midDay ?? 120) - DAYS_BEFORE_FROST));
  const gap = year.gaps.find((g) => g.kind === 'STORE' && g.firstDay > from + 30);
  return { from, to: Math.min(last, gap?.firstDay ?? from + SHUT_DAYS) };
}

/** The day with the most standing, a little before which a cut is due. */
export function fullestDay(year: YearView, fieldId: string): number {
  const cover = year.fields.find((f) => f.id === fieldId)?.coverKgPerHa ?? [];
  return cover.reduce((best, kg, d) => (kg > cover[best] ? d : best), 0);
}

/** The day from which it grows most over the next month: nitrogen is wanted then. */
export function growingFrom(year: YearView, fieldId: string): number {
  const f = year.fields.find((x) => x.id === fieldId);
  if (!f) return 0;
  const gain = (d: number) => f.coverKgPerHa[Math.min(year.days - 1, d + 30)] - f.coverKgPerHa[d];
  let best = 0;
  for (let d = 0; d < year.days - 30; d++) if (gain(d) > gain(best)) best = d;
  return best;
}

/** The day on which its soil is driest, or half way where nobody has asked about its water. */
export function driestDay(year: YearView, fieldId: string): number {
  const water = year.fields.find((f) => f.id === fieldId)?.waterPercent ?? [];
  if (!water.length) return Math.floor(year.days / 2);
  return water.reduce((best, p, d) => (p < water[best] ? d : best), 0);
}
