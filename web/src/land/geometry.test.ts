import { describe, expect, it } from 'vitest';
import {
  fit,
  frameOf,
  gridLines,
  heightOf,
  middle,
  moved,
  onFence,
  pathOf,
  pointAt,
  roomAt,
  whole,
  wrapped,
  xOf,
  yOf,
  zoomedAt,
} from './geometry';

const square = [
  { eastM: 0, northM: 0 },
  { eastM: 200, northM: 0 },
  { eastM: 200, northM: 100 },
  { eastM: 0, northM: 100 },
];

describe('a sketch map', () => {
  const view = fit(frameOf(square), 600, 400);

  it('shows the whole frame in the middle, north up', () => {
    expect(xOf(view, { eastM: 100, northM: 50 })).toBeCloseTo(300);
    expect(yOf(view, { eastM: 100, northM: 50 })).toBeCloseTo(200);
    expect(yOf(view, square[3])).toBeLessThan(yOf(view, square[0]));
    for (const p of square) {
      expect(xOf(view, p)).toBeGreaterThanOrEqual(0);
      expect(xOf(view, p)).toBeLessThanOrEqual(600);
    }
  });
  it('that has no width yet, or none any more, is drawn without a fault', () => {
    expect(pathOf(fit(frameOf(square), 0, 400), square, true)).not.toContain('NaN');
    expect(xOf(fit(frameOf([]), 0, 0), square[1])).not.toBeNaN();
  });
  it('finds the point under a pixel again, on the grid', () => {
    const p = { eastM: 135, northM: 45 };
    expect(pointAt(view, xOf(view, p) + 0.3, yOf(view, p) - 0.3, 5)).toEqual(p);
  });
  it('stays about its middle when it comes nearer', () => {
    const near = moved(view, 2);
    expect(xOf(near, { eastM: 100, northM: 50 })).toBeCloseTo(300);
    expect(yOf(near, { eastM: 100, northM: 50 })).toBeCloseTo(200);
    expect(near.scale).toBeCloseTo(2 * view.scale);
  });
  it('knows the middle of a shape, also of a crooked one', () => {
    expect(middle(square)).toEqual({ eastM: 100, northM: 50 });
    const triangle = [square[0], square[1], square[3]];
    expect(middle(triangle).eastM).toBeCloseTo(200 / 3);
    expect(middle([square[0], square[1]])).toEqual({ eastM: 100, northM: 0 });
  });
  it('puts a name on the lines that its field has room for', () => {
    expect(roomAt(view, square)).toBeCloseTo(200 * view.scale);
    expect(heightOf(view, square)).toBeCloseTo(100 * view.scale);
    expect(wrapped('Upper Orchard', 200)).toEqual(['Upper Orchard']);
    expect(wrapped('Upper Orchard', 60)).toEqual(['Upper', 'Orchard']);
    expect(wrapped('Upper Orchard', 20)).toEqual([]);
  });
  it('closes shapes and leaves lines open', () => {
    expect(pathOf(view, square, true)).toMatch(/Z$/);
    expect(pathOf(view, square, false)).not.toMatch(/Z$/);
    expect(pathOf(view, [], true)).toBe('');
  });
  it('draws grid lines within the view', () => {
    expect(gridLines(-30, 260, 100)).toEqual([0, 100, 200]);
  });
  it('takes an outline as whole from three corners, a waterway from two', () => {
    const line = { kind: 'WATERWAY' as const, name: '', points: square.slice(0, 2), bufferM: 10 };
    expect(whole({ edge: square.slice(0, 2), off: [], pads: [] })).toBe(false);
    expect(whole({ edge: square, off: [line], pads: [] })).toBe(true);
    expect(whole({ edge: square, off: [{ ...line, kind: 'POND' }], pads: [] })).toBe(false);
  });
});

describe('by hand', () => {
  const view = { width: 100, height: 100, scale: 1, west: 0, north: 100 };

  it('zooms about the point under the hand', () => {
    const near = zoomedAt(view, 2, 30, 40);
    expect(pointAt(near, 30, 40, 0.1)).toEqual(pointAt(view, 30, 40, 0.1));
    expect(near.scale).toBe(2);
    expect(zoomedAt(view, 1000, 0, 0).scale).toBe(20);
  });

  it('falls on the corner, else on the fence, of a neighbour that is near', () => {
    const square = [
      { eastM: 0, northM: 0 },
      { eastM: 100, northM: 0 },
      { eastM: 100, northM: 100 },
      { eastM: 0, northM: 100 },
    ];
    expect(onFence({ eastM: 103, northM: 4 }, [square], 6)).toEqual({ eastM: 100, northM: 0 });
    expect(onFence({ eastM: 103, northM: 50 }, [square], 6)).toEqual({ eastM: 100, northM: 50 });
    expect(onFence({ eastM: 110, northM: 50 }, [square], 6)).toBeNull();
    expect(onFence({ eastM: 3, northM: 4 }, [], 6)).toBeNull();
  });
});
