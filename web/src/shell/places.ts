import type { Offer } from '../form/Menu.svelte';

/** Where the work is done, in the order of the tabs. */
export const PLACES: { path: string; name: string }[] = [
  { path: '', name: 'Year' },
  { path: '/land', name: 'Land' },
  { path: '/herd', name: 'Herd' },
  { path: '/store', name: 'Store' },
  { path: '/gaps', name: 'Gaps' },
  { path: '/seasons', name: 'Seasons' },
  { path: '/jobs', name: 'Jobs' },
  { path: '/walk', name: 'Walk' },
  { path: '/papers', name: 'Papers' },
];

/** On a phone these lie under the thumb, the jobs as today's. */
export const THUMBS: { path: string; name: string }[] = [
  { path: '', name: 'Year' },
  { path: '/jobs', name: 'Today' },
  { path: '/walk', name: 'Walk' },
  { path: '/store', name: 'Store' },
];

/** What is set once and seldom looked at: it stands in the farm's menu. */
export const ASIDE: { path: string; name: string }[] = [
  { path: '/farm', name: 'Farm' },
  { path: '/forages', name: 'Forages' },
  { path: '/prices', name: 'Prices' },
  { path: '/market', name: 'Hay market' },
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
