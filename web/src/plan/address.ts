import { replace, router } from 'svelte-spa-router';

/**
 * What stands behind the question mark of the address: what is chosen on a screen, so that a reload
 * or a link shows it again.
 */
export function asked(name: string): string | null {
  return new URLSearchParams(router.querystring ?? '').get(name);
}

/** Writes what is chosen into the address; null takes it out. Nothing is added to the history. */
export function tell(chosen: Record<string, string | null>) {
  const now = new URLSearchParams(router.querystring ?? '');
  const before = now.toString();
  for (const [name, value] of Object.entries(chosen)) {
    if (value === null) now.delete(name);
    else now.set(name, value);
  }
  const after = now.toString();
  if (after !== before) void replace(after ? `${router.location}?${after}` : router.location);
}
