/** Bales on a field as a keeper changes them. */
import type {
  BaleField,
  BaleSection,
  BaleWinter,
  FeedStep,
  Field,
  Outline,
  Point,
} from '../api/client';
import { dayOf, isoOf } from '../units/dates';
import type { System } from '../units/units';

/** Forty by fifty feet, or twelve by fifteen metres. */
export const USUAL: Record<System, { alongM: number; acrossM: number; edgeM: number }> = {
  METRIC: { alongM: 12, acrossM: 15, edgeM: 8 },
  IMPERIAL: { alongM: 12.192, acrossM: 15.24, edgeM: 7.62 },
};

/**
 * Rows go across the longest side of a field, so that the wire is short; degrees from north to the
 * east, 0 to 180.
 */
export function acrossLongest(edge: Point[]): number {
  let best = 0;
  let length = -1;
  edge.forEach((p, i) => {
    const q = edge[(i + 1) % edge.length];
    const [e, n] = [q.eastM - p.eastM, q.northM - p.northM];
    if (Math.hypot(e, n) > length) {
      length = Math.hypot(e, n);
      best = (Math.atan2(e, n) * 180) / Math.PI;
    }
  });
  return Math.round((best + 270) % 180) % 180;
}

export function fresh(id: string, field: Field, lotId: string, system: System): BaleField {
  const { alongM, acrossM, edgeM } = USUAL[system];
  return {
    id,
    fieldId: field.id,
    lotId,
    bales: 60,
    atOnce: 8,
    counts: [],
    spacing: {
      alongM,
      acrossM,
      rowsDeg: acrossLongest(field.outline!.edge),
      shiftAlongM: 0,
      shiftAcrossM: 0,
    },
    edgeM,
    waterM: 10,
    fromLast: false,
    mostHeadDaysPerHa: null,
    places: [],
    padWinters: 2,
    onEnd: false,
    stringsOnDay: false,
    asMade: false,
    mixed: null,
  };
}

/** Pads kept again for the same winter take the place of the others: so many days about its end. */
const SAME_WINTER_DAYS = 200;

/** The pads of a winter's bales that were opened, in the middle of each. */
export function padsOf(winter: BaleWinter): Outline['pads'][number] | null {
  const at = winter.sections
    .filter((s) => s.from !== null)
    .flatMap((s) => s.spots.map((p) => p.at));
  return winter.toExclusive && at.length ? { eatenUp: winter.toExclusive, at } : null;
}

/** Those of an outline that are of the same winter. */
export const keptPads = (outline: Outline, eatenUp: string) =>
  outline.pads.find((p) => Math.abs(dayOf(p.eatenUp, eatenUp)) < SAME_WINTER_DAYS) ?? null;

export function withPads(outline: Outline, pads: Outline['pads'][number]): Outline {
  const same = keptPads(outline, pads.eatenUp);
  return { ...outline, pads: [...outline.pads.filter((p) => p !== same), pads] };
}

export const withoutPads = (outline: Outline, eatenUp: string): Outline => {
  const same = keptPads(outline, eatenUp);
  return { ...outline, pads: outline.pads.filter((p) => p !== same) };
};

/**
 * The order of feeds of a group with the other lot of a mixed line before all else, for as long as
 * the line lasts then: so much longer than without it.
 */
export function withOtherLot(
  steps: FeedStep[],
  own: Pick<FeedStep, 'id' | 'groupId'>,
  lotId: string,
  winter: Pick<BaleWinter, 'from' | 'toExclusive' | 'mixture'>,
): FeedStep[] {
  const share = Math.round(1000 * winter.mixture!.otherShare) / 1000;
  const days = Math.ceil(dayOf(winter.from!, winter.toExclusive!) / (1 - share));
  const step: FeedStep = {
    ...own,
    kind: 'STORE',
    sourceIds: [lotId],
    fromInclusive: winter.from,
    toExclusive: isoOf(winter.from!, days),
    portion: { bound: 'AT_MOST', share, kgPerHeadDay: null },
    roundDays: null,
  };
  const others = steps.filter(
    (s) =>
      s.groupId === own.groupId &&
      !(s.kind === 'STORE' && s.sourceIds.length === 1 && s.sourceIds[0] === lotId && s.portion),
  );
  return [step, ...others];
}

/** The bales with so many at once in the sections that are opened from a day on. */
export function withNext(
  bales: BaleField,
  sections: BaleSection[],
  from: string,
  atOnce: number,
): BaleField {
  const done = sections.filter((s) => s.from !== null && s.from <= from);
  return { ...bales, counts: done.map((s) => s.spots.length), atOnce };
}

/**
 * How far apart a baler leaves bales in a row, m: it drops one where it has taken up as much.
 *
 * @param unitKg dry matter of one
 * @param madeKgPerHa hay made
 * @param widthM that it takes up at once, from row to row
 */
export function madeApartM(unitKg: number, madeKgPerHa: number, widthM: number): number {
  const m = (10_000 * unitKg) / (madeKgPerHa * widthM);
  return Math.max(3, Math.min(200, Math.round(10 * m) / 10));
}

/** How many bales stand before a section. */
export function startOf(sections: BaleSection[], place: number): number {
  return sections.slice(0, place).reduce((n, s) => n + s.spots.length, 0);
}

/**
 * The bales with the wire of a section behind so many of all of them; the wires behind it stay
 * where they are. A section keeps a bale.
 */
export function withWire(
  bales: BaleField,
  sections: BaleSection[],
  place: number,
  behind: number,
): BaleField {
  const counts = sections.map((s) => s.spots.length);
  const start = startOf(sections, place);
  const end = start + counts[place] + (counts[place + 1] ?? 0);
  const at = Math.max(start + 1, Math.min(end - 1, behind));
  const changed = [...counts.slice(0, place), at - start];
  if (place + 1 < counts.length) changed.push(end - at);
  return { ...bales, counts: [...changed, ...bales.counts.slice(changed.length)] };
}

/** The bales with so many in a section; those behind it follow. */
export function withCount(
  bales: BaleField,
  sections: BaleSection[],
  place: number,
  count: number,
): BaleField {
  const counts = sections.slice(0, place).map((s) => s.spots.length);
  return { ...bales, counts: [...counts, Math.max(1, count), ...bales.counts.slice(place + 1)] };
}

/** Behind how many of all bales, in their order, the wire stands that is drawn to a point. */
export function behindAt(sections: BaleSection[], at: Point): number {
  let best = 0;
  let nearest = Infinity;
  sections
    .flatMap((s) => s.spots)
    .forEach((spot, i) => {
      const d = Math.hypot(spot.at.eastM - at.eastM, spot.at.northM - at.northM);
      if (d < nearest) {
        nearest = d;
        best = i + 1;
      }
    });
  return best;
}

const SCALES = [250, 500, 750, 1000, 1250, 1500, 2000, 2500, 5000, 10_000];

/** The largest scale, one to so many, at which a piece has room on a sheet. */
export function paperScale(widthM: number, heightM: number, sheetMm = { wide: 240, high: 130 }) {
  return (
    SCALES.find(
      (s) => (widthM * 1000) / s <= sheetMm.wide && (heightM * 1000) / s <= sheetMm.high,
    ) ?? SCALES[SCALES.length - 1]
  );
}

/** A round length, in metres, that is about a fifth of a width. */
export function barLength(widthM: number, system: System): { m: number; text: string } {
  const per = system === 'METRIC' ? 1 : 0.3048;
  const unit = system === 'METRIC' ? 'm' : 'ft';
  const want = widthM / 5 / per;
  const round = [5, 10, 20, 25, 50, 100, 200, 250, 500, 1000].filter((n) => n <= want).at(-1) ?? 5;
  return { m: round * per, text: `${round} ${unit}` };
}
