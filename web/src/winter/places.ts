/** What stands on a field while it is fed off. */
import type { BreakField } from '../api/client';

export type Stands = BreakField['places'][number]['what'];

export const PLACES: Record<Stands, { name: string; letter: string }> = {
  TROUGH: { name: 'Trough', letter: 'W' },
  FEEDER: { name: 'Hay feeder', letter: 'H' },
  LYING: { name: 'Dry place to lie', letter: 'L' },
  SHELTER: { name: 'Shelter', letter: 'S' },
};
