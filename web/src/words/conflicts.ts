/** What of a plan stands in its own way, a sentence each. */
import type { Conflict, PlanView } from '../api/client';
import { longDay, shortDay } from '../units/dates';
import { amount, type System } from '../units/units';

type Farm = PlanView['farm'];

const MOST_NAMED = 3;

function listed(names: string[]): string {
  if (names.length <= MOST_NAMED) {
    return names.length < 2
      ? (names[0] ?? '')
      : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
  }
  return `${names.slice(0, MOST_NAMED - 1).join(', ')} and ${names.length - MOST_NAMED + 1} more`;
}

export function conflictText(c: Conflict, farm: Farm, start: string, system: System): string {
  const fields = farm.fields.filter((f) => c.subjects.includes(f.id)).map((f) => f.name);
  const groups = farm.groups.filter((g) => c.subjects.includes(g.id)).map((g) => g.name);
  const [field, group] = [listed(fields), listed(groups)];
  const are = fields.length > 1 ? 'are' : 'is';
  const span = `${shortDay(start, c.fromDay)} to ${shortDay(start, c.toDay - 1)}`;
  switch (c.code) {
    case 'CUT_WHILE_SHUT':
      return `${field} is cut while it is shut (${span}): the cut takes what was to be kept.`;
    case 'CUT_WHILE_SOWN':
      return (
        `${field} is cut while a crop has it out of use from ${longDay(start, c.fromDay)}` +
        (c.value < 0
          ? '; it is not ready by the end of the plan.'
          : ` until it is ready on ${longDay(start, c.value)}.`)
      );
    case 'NOT_HAYABLE':
      return `${field} is to be cut on ${longDay(start, c.fromDay)} and is not said to be fit for mowing: see Place and soil.`;
    case 'NOTHING_TO_CUT':
      return `${field}: nothing stands above the stubble on the day of the cut, ${longDay(start, c.fromDay)}.`;
    case 'STEP_SHUT_OUT':
      return `${group}: ${field} ${are} shut from ${span}, and the step that grazes there has nothing else.`;
    case 'STEP_HELD':
      return `${group}: a caution holds ${field} from ${span}, and the step that grazes there has nothing else.`;
    case 'NOT_READY':
      return (
        `${group} are to graze ${field} from ${longDay(start, c.fromDay)}; what is sown there is ` +
        (c.value < 0 ? 'not ready by the end of the plan.' : `ready on ${longDay(start, c.value)}.`)
      );
    case 'STEP_NEVER_REACHED':
      return (
        `${group} are to graze ${field} (${span}), and nobody does: ` +
        (c.value > 1
          ? `up to ${amount(c.value, 'bulk', system)} stand there while other feed is given. Move that step earlier.`
          : 'nothing stands there above what must be left.')
      );
    case 'PORTION_NEVER_GIVEN':
      return `${group}: the portion of stored feed from ${span} is never given; nothing of it is in store.`;
    case 'SOWN_OVER_CROP':
      return `${field} is prepared for the next crop on ${longDay(start, c.fromDay)}, and ${amount(c.value, 'massPerArea', system)} of the one before still stand there: graze or cut it first, or say when it ends.`;
    case 'OPENS_HELD':
      return `${field} opens on ${longDay(start, c.fromDay)}, and a caution holds it to ${longDay(start, c.toDay - 1)}.`;
    case 'KEPT_FOR_NOBODY':
      return `${field}: ${amount(c.value, 'bulk', system)} stand when it opens on ${longDay(start, c.fromDay)}, and nobody eats of it afterwards.`;
    case 'NO_OTHER_GROUND':
      return `While ${field} is shut (${span}) there is no other ground to graze.`;
    case 'PASS_BELOW_RESIDUAL':
      return `Passes on ${field} leave ${amount(c.value, 'massPerArea', system)}, less than the ${amount(c.other, 'massPerArea', system)} that must be left.`;
    case 'SOWING_FAILS':
      return `${field}: the seed sown on ${longDay(start, c.fromDay)} does not come up in this season.`;
    case 'LOAD_ON_THE_REST':
      return (
        `While ${field} is shut (${span}) stock take ${amount(c.value, 'rate', system)} of the rest, ` +
        (isConflict(c)
          ? `where ${amount(c.other, 'rate', system)} grow: it is eaten down.`
          : `where ${amount(c.other, 'rate', system)} grow.`)
      );
  }
}

/** What a shut field asks of the rest is a conflict only where less grows there. */
export function isConflict(c: Conflict): boolean {
  return c.code !== 'LOAD_ON_THE_REST' || c.value > c.other;
}

/** Stands before what cannot come off as it is planned. */
export function flagged(conflicts: Conflict[], itemId: string): string {
  const such = (c: Conflict) => c.itemId === itemId && c.code !== 'LOAD_ON_THE_REST';
  return conflicts.some(such) ? '! ' : '';
}
