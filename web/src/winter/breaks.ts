/** Breaks as a keeper lays them. */
import type { BreakField, Field, Point } from '../api/client';

export function freshBreaks(id: string, field: Field): BreakField {
  return {
    id,
    fieldId: field.id,
    fromInclusive: null,
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
  const mean = (of: (p: Point) => number) =>
    Math.round((10 * ring.reduce((n, p) => n + of(p), 0)) / Math.max(1, ring.length)) / 10;
  return { eastM: mean((p) => p.eastM), northM: mean((p) => p.northM) };
}
