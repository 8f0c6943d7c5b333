/** The one ruler: days across, the same on every screen of the plan. Pure mathematics, tested alone. */
export interface RulerScale {
  width: number;
  left: number;
  right: number;
  days: number;
  /** The days in view, half-open. */
  from: number;
  to: number;
  /** Left edge of a day, px. */
  x(day: number): number;
  /** Day under a point, clipped to the plan. */
  day(x: number): number;
  /** Clips what is drawn to the days in view; undefined where all of them are. */
  clip?: string;
}

/** Days in view, half-open. */
export interface Span {
  from: number;
  to: number;
}

/** Of the clip path that {@link RulerScale.clip} names. */
export const CLIP_ID = 'ruler-span';

export function rulerScale(
  width: number,
  days: number,
  left = 168,
  right = 10,
  span: Span = { from: 0, to: days },
): RulerScale {
  // while a page is laid out it may have no width yet
  const across = Math.max(1, width - left - right);
  const shown = span.to - span.from;
  return {
    width: left + across + right,
    left,
    right,
    days,
    from: span.from,
    to: span.to,
    x: (day) => left + ((day - span.from) / shown) * across,
    day: (x) => Math.max(0, Math.min(days, Math.round(span.from + ((x - left) / across) * shown))),
    clip: shown < days ? `url(#${CLIP_ID})` : undefined,
  };
}

const LEAST_DAYS_SHOWN = 7;

/** The span grown or shrunk by a factor around a day, within the plan and no less than a week. */
export function zoomed(span: Span, days: number, factor: number, at: number): Span {
  const shown = span.to - span.from;
  const next = Math.max(LEAST_DAYS_SHOWN, Math.min(days, shown * factor));
  const share = (at - span.from) / shown;
  return within({ from: at - share * next, to: at + (1 - share) * next }, days);
}

/** The span moved by some days, within the plan. */
export function movedSpan(span: Span, days: number, by: number): Span {
  return within({ from: span.from + by, to: span.to + by }, days);
}

function within({ from, to }: Span, days: number): Span {
  const shown = Math.round(to - from);
  const start = Math.round(Math.max(0, Math.min(days - shown, from)));
  return { from: start, to: start + shown };
}

/**
 * Path of a band between two daily series, in steps: a day holds one value from its start to its
 * end. Runs where the band is empty are left out, so that nothing is drawn where there is nothing.
 */
export function stepBand(
  scale: RulerScale,
  lower: ArrayLike<number>,
  upper: ArrayLike<number>,
  y: (value: number) => number,
  least = 0,
): string {
  const parts: string[] = [];
  const end = lastShown(scale);
  let d = firstShown(scale);
  while (d < end) {
    if (upper[d] - lower[d] <= least) {
      d++;
      continue;
    }
    const from = d;
    while (d < end && upper[d] - lower[d] > least) d++;
    parts.push(outline(scale, lower, upper, y, from, d));
  }
  return parts.join('');
}

/** One run of a band: along its upper edge, and back along its lower one. */
function outline(
  scale: RulerScale,
  lower: ArrayLike<number>,
  upper: ArrayLike<number>,
  y: (value: number) => number,
  from: number,
  to: number,
): string {
  let level = round(y(upper[from]));
  let path = `M${round(scale.x(from))} ${level}`;
  for (let i = from + 1; i < to; i++) {
    const next = round(y(upper[i]));
    if (next !== level) path += `H${round(scale.x(i))}V${next}`;
    level = next;
  }
  level = round(y(lower[to - 1]));
  path += `H${round(scale.x(to))}V${level}`;
  for (let i = to - 2; i >= from; i--) {
    const next = round(y(lower[i]));
    if (next !== level) path += `H${round(scale.x(i + 1))}V${next}`;
    level = next;
  }
  return `${path}H${round(scale.x(from))}Z`;
}

/** Path of a daily series as a stepped line. */
export function stepLine(
  scale: RulerScale,
  values: ArrayLike<number>,
  y: (value: number) => number,
): string {
  const start = firstShown(scale);
  const end = lastShown(scale);
  if (start >= end) return '';
  let level = round(y(values[start]));
  let path = `M${round(scale.x(start))} ${level}`;
  for (let d = start + 1; d < end; d++) {
    const next = round(y(values[d]));
    if (next !== level) path += `H${round(scale.x(d))}V${next}`;
    level = next;
  }
  return `${path}H${round(scale.x(end))}`;
}

/** Runs of days on which a test holds, half-open. */
export function runs(days: number, test: (day: number) => boolean): [number, number][] {
  const found: [number, number][] = [];
  let from = -1;
  for (let d = 0; d <= days; d++) {
    const on = d < days && test(d);
    if (on && from < 0) from = d;
    if (!on && from >= 0) {
      found.push([from, d]);
      from = -1;
    }
  }
  return found;
}

/** Series stacked on one another: the lower and the upper edge of each. */
export function stack(series: number[][]): { lower: number[]; upper: number[] }[] {
  let base = new Array<number>(series[0]?.length ?? 0).fill(0);
  return series.map((values) => {
    const lower = base;
    const upper = values.map((v, i) => v + lower[i]);
    base = upper;
    return { lower, upper };
  });
}

/**
 * Where a label of this size fits into a band: the middle of its longest run that is thick enough,
 * or null.
 */
export function labelSpot(
  scale: RulerScale,
  lower: number[],
  upper: number[],
  y: (value: number) => number,
  width: number,
  height: number,
): { x: number; y: number; day: number } | null {
  const [start, end] = [firstShown(scale), lastShown(scale)];
  const fits = runs(
    scale.days,
    (d) => d >= start && d < end && y(lower[d]) - y(upper[d]) >= height,
  );
  const best = fits.sort((a, b) => b[1] - b[0] - (a[1] - a[0]))[0];
  if (!best || scale.x(best[1]) - scale.x(best[0]) < width) return null;
  const mid = Math.floor((best[0] + best[1]) / 2);
  return { x: scale.x(mid), y: (y(lower[mid]) + y(upper[mid])) / 2, day: mid };
}

/** Round steps up to a maximum: at most `most` of them. */
export function roundTicks(max: number, most: number): number[] {
  const raw = max / most;
  const power = 10 ** Math.floor(Math.log10(Math.max(raw, 1e-9)));
  const step = [1, 2, 2.5, 5, 10].map((m) => m * power).find((s) => s >= raw) ?? raw;
  const ticks: number[] = [];
  for (let t = step; t <= max * 1.0001; t += step) ticks.push(t);
  return ticks;
}

function firstShown(scale: RulerScale): number {
  return Math.max(0, Math.floor(scale.from));
}

function lastShown(scale: RulerScale): number {
  return Math.min(scale.days, Math.ceil(scale.to));
}

function round(v: number): number {
  return Math.round(v * 10) / 10;
}
