import type { YearView } from '../api/client';

/** The shelves from the cheapest to the dearest, and what none of them can give; the same looks everywhere. */
export const SHELVES = [
  { name: 'Growing', fill: 'url(#t-growing)', stroke: 'none' },
  { name: 'Standing', fill: 'url(#t-standing)', stroke: 'none' },
  { name: 'Put by', fill: 'url(#t-put-by)', stroke: 'none' },
  { name: 'Bought in', fill: 'url(#t-bought)', stroke: 'none' },
  { name: 'Bare', fill: 'url(#t-bare)', stroke: '#d6401f' },
] as const;

/** What is eaten off each shelf each day, kg DM, and what is bare, in the order of {@link SHELVES}. */
export function shelfSeries(
  year: Pick<YearView, 'growingKg' | 'standingKg' | 'putByKg' | 'boughtInKg' | 'bareKg'>,
): number[][] {
  return [year.growingKg, year.standingKg, year.putByKg, year.boughtInKg, year.bareKg];
}
