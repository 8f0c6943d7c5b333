import type { FeedStep } from '../api/client';
import { dayOf, isoOf } from '../units/dates';
import { pushed } from './marks';

/** A step of the order of feeds as a bar: its days half-open, and the row it lies on. */
export interface StepBar {
  step: FeedStep;
  from: number;
  to: number;
  row: number;
}

/**
 * Steps as bars, one below the other where they hold on the same days: what lies higher is eaten
 * first.
 */
export function barsOf(steps: FeedStep[], start: string, days: number): StepBar[] {
  const bars: StepBar[] = [];
  for (const step of steps) {
    const from = Math.max(0, step.fromInclusive ? dayOf(start, step.fromInclusive) : 0);
    const to = Math.min(days, step.toExclusive ? dayOf(start, step.toExclusive) : days);
    const below = bars.filter((b) => b.from < to && from < b.to).map((b) => b.row);
    bars.push({ step, from, to, row: Math.max(-1, ...below) + 1 });
  }
  return bars;
}

/** The step with one end, or all of it, moved; at the plan's own ends it is open again. */
export function stepMoved(
  bar: StepBar,
  edge: 'from' | 'to' | 'whole',
  day: number,
  start: string,
  days: number,
): FeedStep {
  const { from, to } = pushed(edge, day, bar.from, bar.to, days);
  return {
    ...bar.step,
    fromInclusive: from <= 0 ? null : isoOf(start, from),
    toExclusive: to >= days ? null : isoOf(start, to),
  };
}

/** A step in two at a day, for the second half to be changed; itself where the day lies outside. */
export function split(bar: StepBar, day: number, start: string, newId: string): FeedStep[] {
  if (day <= bar.from || day >= bar.to) return [bar.step];
  const at = isoOf(start, day);
  return [
    { ...bar.step, toExclusive: at },
    { ...bar.step, id: newId, fromInclusive: at },
  ];
}
