import { replace, router } from 'svelte-spa-router';

/**
 * What stands behind the question mark of the address: what is chosen on a screen, so that a reload
 * or a link shows it again.
 */
export function asked(name: string): string | null {
  return new URLSearchParams(router.querystring ?? '').get(name);
}

/**
 * For a screen, when it is made: what writes what is chosen on it into the address; null takes it out.
 * Nothing is added to the history. Once another screen stands there, nothing is written.
 */
export function teller(): (chosen: Record<string, string | null>) => void {
  const here = router.location;
  return (chosen) => {
    if (router.location === here) tell(chosen);
  };
}

function tell(chosen: Record<string, string | null>) {
  const now = new URLSearchParams(router.querystring ?? '');
  const before = now.toString();
  for (const [name, value] of Object.entries(chosen)) {
    if (value === null) now.delete(name);
    else now.set(name, value);
  }
  const after = now.toString();
  if (after !== before) void replace(after ? `${router.location}?${after}` : router.location);
}
