import { describe, expect, it } from 'vitest';
import {
  labelSpot,
  movedSpan,
  roundTicks,
  rulerScale,
  runs,
  stack,
  stepBand,
  stepLine,
  zoomed,
} from './scale';

describe('the ruler', () => {
  it('puts day 0 at the gutter and the end at the right margin', () => {
    const scale = rulerScale(1000, 365, 168, 10);
    expect(scale.x(0)).toBe(168);
    expect(scale.x(365)).toBe(990);
  });

  it('finds the day under a point and clips to the plan', () => {
    const scale = rulerScale(1000, 365, 168, 10);
    expect(scale.day(scale.x(100))).toBe(100);
    expect(scale.day(-50)).toBe(0);
    expect(scale.day(5000)).toBe(365);
  });
});

describe('the days in view', () => {
  const year = { from: 0, to: 365 };

  it('are drawn over the whole width, and nothing outside of them', () => {
    const scale = rulerScale(110, 365, 10, 0, { from: 100, to: 110 });
    expect(scale.x(100)).toBe(10);
    expect(scale.x(110)).toBe(110);
    expect(scale.day(60)).toBe(105);
    const path = stepBand(scale, new Array(365).fill(0), new Array(365).fill(1), (v) => v);
    expect(path).toBe('M10 1H110V0H10Z');
  });

  it('keep the day under the pointer where it is', () => {
    const span = zoomed(year, 365, 0.5, 100);
    const before = rulerScale(1000, 365, 0, 0, year);
    const after = rulerScale(1000, 365, 0, 0, span);
    expect(span.to - span.from).toBe(183);
    expect(Math.abs(after.x(100) - before.x(100))).toBeLessThan(6);
  });

  it('stay within the plan and show a week at least', () => {
    expect(zoomed(year, 365, 2, 10)).toEqual(year);
    const week = zoomed(year, 365, 0.001, 364);
    expect(week).toEqual({ from: 357, to: 364 });
    expect(movedSpan(week, 365, 100)).toEqual({ from: 358, to: 365 });
    expect(movedSpan(week, 365, -1000)).toEqual({ from: 0, to: 7 });
  });
});

describe('bands', () => {
  const scale = rulerScale(14, 4, 10, 0); // one pixel a day
  const y = (v: number) => 10 - v;

  it('draws a day from its start to its end', () => {
    expect(stepLine(scale, [1, 2, 2, 0], y)).toBe('M10 9H11V8H13V10H14');
  });

  it('leaves out days on which there is nothing', () => {
    const path = stepBand(scale, [0, 0, 0, 0], [1, 0, 0, 2], y);
    expect(path.match(/M/g)).toHaveLength(2);
    // back along a lower edge of its own
    expect(stepBand(scale, [1, 0, 0, 0], [2, 2, 3, 0], y)).toBe('M10 8H12V7H13V10H11V9H10Z');
    expect(path).toBe('M10 9H11V10H10ZM13 8H14V10H13Z');
  });

  it('stacks each series on the ones below', () => {
    const [low, high] = stack([
      [1, 2],
      [3, 4],
    ]);
    expect(low).toEqual({ lower: [0, 0], upper: [1, 2] });
    expect(high).toEqual({ lower: [1, 2], upper: [4, 6] });
  });

  it('finds runs of days', () => {
    expect(runs(6, (d) => [1, 2, 5].includes(d))).toEqual([
      [1, 3],
      [5, 6],
    ]);
  });

  it('labels only where the label fits', () => {
    const wide = rulerScale(400, 4, 0, 0);
    expect(labelSpot(wide, [0, 0, 0, 0], [8, 8, 8, 0], y, 250, 5)).toEqual({
      x: 100,
      y: 6,
      day: 1,
    });
    expect(labelSpot(wide, [0, 0, 0, 0], [8, 8, 8, 0], y, 350, 5)).toBeNull();
    expect(labelSpot(wide, [0, 0, 0, 0], [2, 2, 2, 2], y, 50, 5)).toBeNull();
  });

  it('chooses round ticks', () => {
    expect(roundTicks(2600, 4)).toEqual([1000, 2000]);
    expect(roundTicks(1000, 4)).toEqual([250, 500, 750, 1000]);
  });
});
