/** How condition is scored, in words. */
import type { GroupKind } from '../api/client';

type Guide = NonNullable<GroupKind['guide']>;

const range = (r: { low: number; high: number }) => `${r.low} to ${r.high}`;

/** What is wanted when, and from where on somebody is asked. */
export function wantedText(g: Guide): string {
  return (
    `Wanted: ${range(g.atBirth)} when they give birth, ${range(g.atMating)} when they are joined, ` +
    `${range(g.atWeaning)} when young are weaned or milking ends. At ${g.floor} or below: separate, ` +
    'feed, and ask a veterinarian or feed adviser; teeth, worms and disease thin animals too. ' +
    'Feel, do not only look: wool and winter coats hide it.'
  );
}
