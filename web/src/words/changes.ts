import type { Change } from '../api/client';

/** What can change, as it stands before its name. */
export const THINGS: Record<Change['what'], string> = {
  SETTINGS: 'the settings of',
  YEAR: 'the plan',
  FIELD: 'field',
  GROUP: 'group',
  LOT: 'lot',
  FEEDING: 'the order of feeds of',
  CLOSING: 'the shutting of',
  CUT: 'the cut of',
  PURCHASE: 'the purchase',
  SOWING: 'the sowing of',
  DRESSING: 'the nitrogen on',
  IRRIGATION: 'the watering of',
  SCENARIO: 'the weather scenario',
  PASS: 'the passes for light on',
  ANCHOR: 'what a date goes by of',
  FORAGE: 'the own forage',
  PRICE: 'the price of',
  POLICY: 'the policy',
  SEED: 'the seed of',
  JOB: 'the job',
  RUNG: 'the rung of the drought plan,',
  BALES: 'the bales set out on',
  BREAKS: 'the breaks on',
  GROUND: 'what the ground brings along of',
  TEST: 'the test of',
};

/** A date that goes by a mark of the year, or does no longer. */
export function anchorText(change: Change): string {
  const done = {
    ADDED: 'Tied a date to a mark of the year',
    REMOVED: 'Made a tied date a plain one',
    CHANGED: 'Moved a date against its mark of the year',
  }[change.kind];
  return `${done}: ${change.name}`;
}

/** One change of an import in a sentence. */
export function changeText(change: Change): string {
  if (change.what === 'ANCHOR') return anchorText(change);
  const verb = { ADDED: 'Adds', REMOVED: 'Removes', CHANGED: 'Changes' }[change.kind];
  return `${verb} ${THINGS[change.what]} ${change.name}`;
}
