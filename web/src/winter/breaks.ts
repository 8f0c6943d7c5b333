/** Breaks as a keeper lays them. */
import type { BreakField, FeedStep, Field, Plan, Point } from '../api/client';

/** Of a field that is sown in the plan the days from then on are meant. */
export function fromSowing(plan: Pick<Plan, 'sowings'>, fieldId: string): string | null {
  const days = plan.sowings.filter((s) => s.fieldId === fieldId).map((s) => s.sowOn);
  return days.sort().at(-1) ?? null;
}

/**
 * The order of feeds of a group with a step of its own for a field, before all others, so that they
 * are on it every day from the first to the last.
 */
export function withOwnStep(
  steps: FeedStep[],
  own: Pick<FeedStep, 'id' | 'groupId' | 'fromInclusive' | 'toExclusive'>,
  fieldId: string,
): FeedStep[] {
  const step: FeedStep = {
    ...own,
    kind: 'GRAZE',
    sourceIds: [fieldId],
    portion: null,
    roundDays: null,
  };
  return [step, ...steps.filter((s) => s.groupId === own.groupId)];
}

export function freshBreaks(id: string, field: Field, plan: Pick<Plan, 'sowings'>): BreakField {
  return {
    id,
    fieldId: field.id,
    fromInclusive: fromSowing(plan, field.id),
    toExclusive: null,
    towardsDeg: 180,
    downhillDeg: null,
    daysEach: 1,
    blocks: 1,
    backFence: true,
    waterM: 10,
    places: [],
    written: { who: '', shelter: '', wet: '', rules: '' },
  };
}

/** Fields that are grazed in strips first: those are the ones meant for it. */
export function likelyFirst(fields: Field[]): Field[] {
  const strip = (f: Field) => (f.grazing === 'STRIP' ? 0 : 1);
  return fields.filter((f) => f.outline).sort((a, b) => strip(a) - strip(b));
}

/** The middle of the largest ring, where something new is put first. */
export function middleOf(rings: Point[][]): Point {
  const ring = rings.reduce((a, b) => (b.length > a.length ? b : a), rings[0] ?? []);
  const middle = (of: (p: Point) => number) =>
    ring.length ? Math.round(5 * (Math.min(...ring.map(of)) + Math.max(...ring.map(of)))) / 10 : 0;
  return { eastM: middle((p) => p.eastM), northM: middle((p) => p.northM) };
}
