import type { Anchor, Edit, FeedStep } from '../api/client';
import type { Tie } from '../words/anchors';
import { freshId } from '../plan/session.svelte';
import { barsOf, split } from '../ruler/steps';

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

/**
 * The order of feeds with one step in two at a plan day, in its middle where that day is none of its
 * own; the end of the whole stays tied to what it was tied to. Null of a step too short for it.
 */
export function inTwo(
  steps: FeedStep[],
  id: string,
  day: number,
  year: { start: string; days: number },
  ties: Ties,
  anchors: Anchor[],
): { steps: FeedStep[]; ties: Ties; id: string; day: number } | null {
  const bar = barsOf(steps, year.start, year.days).find((b) => b.step.id === id);
  if (!bar || bar.to - bar.from < 2) return null;
  const inside = day > bar.from && day < bar.to;
  const at = inside ? day : Math.floor((bar.from + bar.to) / 2);
  const newId = freshId(
    id,
    steps.map((s) => s.id),
  );
  const end = tieOf(ties, anchors, id, 'TO');
  return {
    steps: steps.flatMap((s) => (s.id === id ? split(bar, at, year.start, newId) : [s])),
    ties: end ? withTie(withTie(ties, id, 'TO', null), newId, 'TO', end) : ties,
    id: newId,
    day: at,
  };
}

/**
 * Another group's order of feeds with a copy of a step: a portion first, grazing before stored feed
 * that would leave nothing for it, all else last. Its dates are plain ones.
 */
export function copiedTo(
  groupId: string,
  theirs: FeedStep[],
  step: FeedStep,
  taken: string[],
): FeedStep[] {
  const made = added(theirs, step.kind, groupId, taken);
  const copy = { ...step, id: made.id, groupId };
  if (step.portion) return [copy, ...theirs];
  return made.steps.map((s) => (s.id === made.id ? copy : s));
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

type End = 'FROM' | 'TO';

/** What ends of steps go by where a draft says otherwise than the plan: by step and end. */
export type Ties = Record<string, Tie | null>;

const tieKey = (stepId: string, part: End) => `FEEDING/${stepId}/${part}`;

/** What an end of a step goes by; null of a plain date. */
export function tieOf(ties: Ties, anchors: Anchor[], stepId: string, part: End): Tie | null {
  const said = ties[tieKey(stepId, part)];
  if (said !== undefined) return said;
  return (
    anchors.find((a) => a.what === 'FEEDING' && a.itemId === stepId && a.part === part) ?? null
  );
}

export function withTie(ties: Ties, stepId: string, part: End, tie: Tie | null): Ties {
  return { ...ties, [tieKey(stepId, part)]: tie };
}

/** A group's order of feeds with what its dates go by, as edits. */
export function feedingEdits(
  groupId: string,
  steps: FeedStep[],
  ties: Ties,
  anchors: Anchor[],
): Edit[] {
  const freed: Edit[] = [];
  const tied: Edit[] = [];
  for (const step of steps)
    for (const part of ['FROM', 'TO'] as const) {
      const key = tieKey(step.id, part);
      const said = ties[key];
      const open = (part === 'FROM' ? step.fromInclusive : step.toExclusive) === null;
      if (said && !open)
        tied.push({
          putAnchor: {
            what: 'FEEDING',
            itemId: step.id,
            part,
            mark: said.mark,
            ofId: said.ofId,
            daysAfter: said.daysAfter,
          },
        });
      else if (
        said === null &&
        anchors.some((a) => a.what === 'FEEDING' && a.itemId === step.id && a.part === part)
      )
        freed.push({ removeAnchor: key });
    }
  return [...freed, { setFeeding: { groupId, steps } }, ...tied];
}
