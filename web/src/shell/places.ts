import type { Offer } from '../form/Menu.svelte';

/** A screen of a plan: its address below the plan's own, with what it opens at. */
export interface Place {
  path: string;
  name: string;
  query?: string;
}

/** Where the work is done, in the order of the tabs. */
export const PLACES: Place[] = [
  { path: '', name: 'Year' },
  { path: '/land', name: 'Land' },
  { path: '/herd', name: 'Herd' },
  { path: '/store', name: 'Store' },
  { path: '/gaps', name: 'Gaps' },
  { path: '/seasons', name: 'Seasons' },
  { path: '/jobs', name: 'Jobs' },
  { path: '/walk', name: 'Walk' },
  { path: '/winter', name: 'Winter' },
  { path: '/papers', name: 'Papers' },
];

/** On a phone these lie under the thumb, the jobs as today's. */
export const THUMBS: Place[] = [
  { path: '', name: 'Year' },
  { path: '/jobs', name: 'Today' },
  { path: '/walk', name: 'Walk' },
  { path: '/store', name: 'Store' },
];

/** Whoever helps needs no more than what is to be done, what is seen, and what was fed. */
export const HELPERS: Place[] = [
  { path: '/jobs', name: 'Today' },
  { path: '/walk', name: 'Walk' },
  { path: '/store', name: 'Fed', query: '?side=records' },
];

/** What is set once and seldom looked at: it stands in the farm's menu. */
export const ASIDE: Place[] = [
  { path: '/farm', name: 'Farm' },
  { path: '/ahead', name: 'Years ahead' },
  { path: '/forages', name: 'Forages' },
  { path: '/prices', name: 'Prices' },
  { path: '/market', name: 'Hay market' },
  { path: '/instruments', name: 'Instruments' },
  { path: '/changes', name: 'Changes' },
  { path: '/people', name: 'People' },
];

/** True where a place or a room behind it is open: drawing the map is Land. */
export function isAt(location: string, base: string, path: string): boolean {
  const here = base + path;
  return location === here || (path !== '' && location.startsWith(`${here}/`));
}

export function leading(
  places: { path: string; name: string }[],
  base: string,
  location: string,
): Offer[] {
  return places.map(({ path, name }) => ({
    id: path,
    name,
    href: `#${base}${path}`,
    current: isAt(location, base, path),
  }));
}
