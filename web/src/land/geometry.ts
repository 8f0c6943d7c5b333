/** Sketch maps: from metres on the farm's grid to pixels and back. North is up. */
import type { Field, Off, Outline, Point } from '../api/client';

export interface Frame {
  west: number;
  south: number;
  east: number;
  north: number;
}

export interface MapView {
  width: number;
  height: number;
  /** Pixels for a metre. */
  scale: number;
  west: number;
  north: number;
}

const EMPTY: Frame = { west: -50, south: -50, east: 650, north: 450 };

/** The smallest frame around points, with a margin; a piece of empty ground where there are none. */
export function frameOf(points: Point[], share = 0.06): Frame {
  if (points.length === 0) return EMPTY;
  const east = points.map((p) => p.eastM);
  const north = points.map((p) => p.northM);
  const frame = {
    west: Math.min(...east),
    east: Math.max(...east),
    south: Math.min(...north),
    north: Math.max(...north),
  };
  const margin = Math.max(
    500 * share,
    share * Math.max(frame.east - frame.west, frame.north - frame.south),
  );
  return {
    west: frame.west - margin,
    east: frame.east + margin,
    south: frame.south - margin,
    north: frame.north + margin,
  };
}

const NO_SCALE = 1e-6;

/** A view that shows the whole frame in the middle of width by height. */
export function fit(frame: Frame, width: number, height: number): MapView {
  // a screen that is just going has no width
  const scale = Math.max(
    NO_SCALE,
    Math.min(width / (frame.east - frame.west), height / (frame.north - frame.south)),
  );
  return {
    width,
    height,
    scale,
    west: (frame.west + frame.east - width / scale) / 2,
    north: (frame.south + frame.north + height / scale) / 2,
  };
}

/** The same view, nearer (factor above 1) or further, about its middle; moved by shares of it. */
export function moved(view: MapView, factor: number, right = 0, up = 0): MapView {
  const w = view.width / view.scale;
  const h = view.height / view.scale;
  return {
    ...view,
    scale: view.scale * factor,
    west: view.west + w / 2 - w / factor / 2 + right * w,
    north: view.north - h / 2 + h / factor / 2 + up * h,
  };
}

/** The same view, nearer (factor above 1) or further; the ground under a pixel stays there. */
export function zoomedAt(view: MapView, factor: number, x: number, y: number): MapView {
  const scale = Math.max(LEAST_SCALE, Math.min(MOST_SCALE, view.scale * factor));
  return {
    ...view,
    scale,
    west: view.west + x / view.scale - x / scale,
    north: view.north - y / view.scale + y / scale,
  };
}

/** From a county to a gateway: pixels for a metre. */
const LEAST_SCALE = 0.02;
const MOST_SCALE = 20;

/** The corner of another shape that lies within so many metres of a point, or the place on its fence; else null. */
export function onFence(p: Point, shapes: Point[][], withinM: number): Point | null {
  const far = (a: Point, b: Point) => Math.hypot(a.eastM - b.eastM, a.northM - b.northM);
  const nearest = (points: Point[]) =>
    points.reduce<Point | null>((best, q) => {
      const d = far(p, q);
      return d <= withinM && (!best || d < far(p, best)) ? q : best;
    }, null);
  const corner = nearest(shapes.flat());
  if (corner) return { ...corner };
  const feet = shapes.flatMap((shape) =>
    shape.map((a, i) => {
      const b = shape[(i + 1) % shape.length];
      const [de, dn] = [b.eastM - a.eastM, b.northM - a.northM];
      const length = de * de + dn * dn;
      const t = length === 0 ? 0 : ((p.eastM - a.eastM) * de + (p.northM - a.northM) * dn) / length;
      const s = Math.max(0, Math.min(1, t));
      return { eastM: round(a.eastM + s * de), northM: round(a.northM + s * dn) };
    }),
  );
  return nearest(feet);
}

const round = (m: number) => Math.round(m * 10) / 10;

export const xOf = (view: MapView, p: Point) => (p.eastM - view.west) * view.scale;
export const yOf = (view: MapView, p: Point) => (view.north - p.northM) * view.scale;

/** The point of the grid under a pixel, on the nearest `snap` metres. */
export function pointAt(view: MapView, x: number, y: number, snap: number): Point {
  return {
    eastM: snapped(view.west + x / view.scale, snap),
    northM: snapped(view.north - y / view.scale, snap),
  };
}

export function snapped(m: number, snap: number): number {
  return Math.round((Math.round(m / snap) * snap + Number.EPSILON) * 10) / 10;
}

/** SVG path through points; closed for a shape. */
export function pathOf(view: MapView, points: Point[], closed: boolean): string {
  if (points.length === 0) return '';
  const steps = points.map((p) => `${xOf(view, p).toFixed(1)} ${yOf(view, p).toFixed(1)}`);
  return `M${steps.join('L')}${closed ? 'Z' : ''}`;
}

/** Middle of a shape by area; the mean of its corners where it has none. */
export function middle(points: Point[]): Point {
  let area = 0;
  let east = 0;
  let north = 0;
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length];
    const cross = p.eastM * q.northM - q.eastM * p.northM;
    area += cross / 2;
    east += ((p.eastM + q.eastM) * cross) / 6;
    north += ((p.northM + q.northM) * cross) / 6;
  });
  if (Math.abs(area) > 1) return { eastM: east / area, northM: north / area };
  return {
    eastM: points.reduce((s, p) => s + p.eastM, 0) / Math.max(1, points.length),
    northM: points.reduce((s, p) => s + p.northM, 0) / Math.max(1, points.length),
  };
}

/** Width of a shape on screen at the height of its middle, in pixels: the room for its name. */
export function roomAt(view: MapView, points: Point[]): number {
  const { northM } = middle(points);
  const crossings = points
    .map((p, i) => [p, points[(i + 1) % points.length]])
    .filter(([p, q]) => p.northM > northM !== q.northM > northM)
    .map(([p, q]) => p.eastM + ((northM - p.northM) / (q.northM - p.northM)) * (q.eastM - p.eastM));
  return crossings.length < 2 ? 0 : (Math.max(...crossings) - Math.min(...crossings)) * view.scale;
}

/** Height of a shape on screen, in pixels. */
export function heightOf(view: MapView, points: Point[]): number {
  const north = points.map((p) => p.northM);
  return (Math.max(...north) - Math.min(...north)) * view.scale;
}

/** A name on the lines that fit into so many pixels, at about seven for a letter; none where no word does. */
export function wrapped(name: string, room: number): string[] {
  const lines: string[] = [];
  for (const word of name.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && (last.length + 1 + word.length) * 7 <= room)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines.every((l) => l.length * 7 <= room + 4) ? lines : [];
}

/** Every point of every field's edge. */
export function allPoints(fields: Field[]): Point[] {
  return fields.flatMap((f) => f.outline?.edge ?? []);
}

/** Lines of the grid across a view: metres of each, at a step that leaves room between them. */
export function gridLines(from: number, to: number, step: number): number[] {
  const lines: number[] = [];
  for (let at = Math.ceil(from / step) * step; at <= to; at += step)
    lines.push(Math.abs(at) < step / 1e6 ? 0 : at);
  return lines;
}

export const OFF_NAMES: Record<Off['kind'], string> = {
  WATERWAY: 'Waterway',
  POND: 'Pond',
  HOLLOW: 'Wet hollow',
  OLD_BALE_PAD: 'Old bale pad',
};

/** True where an outline is whole enough to be measured and saved. */
export function whole(outline: Outline): boolean {
  return (
    outline.edge.length >= 3 &&
    outline.off.every((o) => o.points.length >= (o.kind === 'WATERWAY' ? 2 : 3))
  );
}
