/** The one ruler: days across, the same on every screen of the plan. Pure mathematics, tested alone. */
export interface RulerScale {
  width: number;
  left: number;
  right: number;
  days: number;
  /** Left edge of a day, px. */
  x(day: number): number;
  /** Day under a point, clipped to the plan. */
  day(x: number): number;
}

export function rulerScale(width: number, days: number, left = 168, right = 10): RulerScale {
  const span = Math.max(1, width - left - right);
  return {
    width,
    left,
    right,
    days,
    x: (day) => left + (day / days) * span,
    day: (x) => Math.max(0, Math.min(days, Math.round(((x - left) / span) * days))),
  };
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
  let d = 0;
  while (d < scale.days) {
    if (upper[d] - lower[d] <= least) {
      d++;
      continue;
    }
    const from = d;
    while (d < scale.days && upper[d] - lower[d] > least) d++;
    const top: string[] = [];
    const bottom: string[] = [];
    for (let i = from; i < d; i++) {
      const a = round(scale.x(i));
      const b = round(scale.x(i + 1));
      top.push(`${a} ${round(y(upper[i]))}L${b} ${round(y(upper[i]))}`);
      bottom.unshift(`${b} ${round(y(lower[i]))}L${a} ${round(y(lower[i]))}`);
    }
    parts.push(`M${top.join('L')}L${bottom.join('L')}Z`);
  }
  return parts.join('');
}

/** Path of a daily series as a stepped line. */
export function stepLine(
  scale: RulerScale,
  values: ArrayLike<number>,
  y: (value: number) => number,
): string {
  let path = '';
  for (let d = 0; d < scale.days; d++) {
    const level = round(y(values[d]));
    path += `${d === 0 ? 'M' : 'L'}${round(scale.x(d))} ${level}L${round(scale.x(d + 1))} ${level}`;
  }
  return path;
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
  const fits = runs(scale.days, (d) => y(lower[d]) - y(upper[d]) >= height);
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

function round(v: number): number {
  return Math.round(v * 10) / 10;
}
