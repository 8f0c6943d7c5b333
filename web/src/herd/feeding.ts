import type { FeedStep } from '../api/client';
import { freshId } from '../plan/session.svelte';

/** A step moved up or down the order. */
export function reordered(steps: FeedStep[], id: string, by: number): FeedStep[] {
  const at = steps.findIndex((s) => s.id === id);
  const to = at + by;
  if (at < 0 || to < 0 || to >= steps.length) return steps;
  const next = [...steps];
  next.splice(to, 0, ...next.splice(at, 1));
  return next;
}

/** A new step; grass goes before the stored feed that would leave nothing for it to do. */
export function added(
  steps: FeedStep[],
  kind: FeedStep['kind'],
  groupId: string,
  taken: string[],
): { steps: FeedStep[]; id: string } {
  const step: FeedStep = {
    id: freshId(`${groupId}-${kind.toLowerCase()}`, taken),
    groupId,
    kind,
    sourceIds: [],
    fromInclusive: null,
    toExclusive: null,
    portion: null,
    roundDays: null,
  };
  const store = steps.findIndex((s) => s.kind === 'STORE' && s.portion === null);
  const at = kind === 'GRAZE' && store >= 0 ? store : steps.length;
  return { steps: [...steps.slice(0, at), step, ...steps.slice(at)], id: step.id };
}

/** The earlier step, counted from 1, that feeds all there is on every day of this one; else 0. */
export function behind(steps: FeedStep[], i: number): number {
  const covers = (s: FeedStep) =>
    s.kind === 'STORE' &&
    s.portion === null &&
    (s.fromInclusive === null ||
      (steps[i].fromInclusive !== null && s.fromInclusive <= steps[i].fromInclusive!)) &&
    (s.toExclusive === null ||
      (steps[i].toExclusive !== null && s.toExclusive >= steps[i].toExclusive!));
  return steps[i]?.kind === 'GRAZE' ? steps.slice(0, i).findIndex(covers) + 1 : 0;
}
