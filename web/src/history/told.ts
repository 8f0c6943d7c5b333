import type { Change, Told } from '../api/client';
import { lastDay, longDate } from '../units/dates';
import { anchorText, THINGS } from '../words/changes';
import { memberValue, memberWord } from '../words/members';
import { sideName } from '../words/policies';
import { plural } from '../words/year';
import type { System } from '../units/units';

/** More things than this in one line are counted, not named. */
const MOST_NAMED = 4;

/** What a change of the history did, in one line. */
export function toldText(told: Told, system: System): string {
  switch (told.how) {
    case 'BEGAN_EMPTY':
      return 'Began empty';
    case 'BEGAN_DEMO':
      return 'Began as the demo farm';
    case 'BEGAN_FROM_FILE':
      return 'Began from a file';
    case 'BEGAN_FROM_HAY_SUM':
      return 'Began from a hay sum';
    case 'COPIED':
      return `Copied from ${told.name} at change ${told.number}`;
    case 'BEGINS_FROM':
      return `Took its first day from ${told.name} at change ${told.number}`;
    case 'REPLACED':
      return `Replaced by a file: ${told.name}`;
    case 'WENT_BACK':
      return `Went back to how it stood at change ${told.number}`;
    case 'UNDID':
      return `Undid: ${what(told, system)}`;
    case 'REDID':
      return `Redid: ${what(told, system)}`;
    case 'ALSO':
      return `With ${told.name}: ${what(told, system)}`;
    case 'EDITED':
    case 'SAID':
      return what(told, system);
  }
}

function what(told: Told, system: System): string {
  if (told.words) return told.words;
  if (told.changes.length === 0) return 'Changed nothing';
  const named = told.changes.slice(0, MOST_NAMED).map((c) => doneText(c, system));
  const left = told.changes.length - named.length;
  return named.join('; ') + (left > 0 ? `; and ${left} more` : '');
}

/** One thing that was changed, as it was done. */
export function doneText(change: Change, system: System): string {
  if (change.what === 'ANCHOR') return anchorText(change);
  const thing = THINGS[change.what];
  if (change.what === 'POLICY' && change.kind !== 'ADDED') {
    return change.kind === 'REMOVED'
      ? `Took no side any more: ${sideName(change.name)}`
      : `Took a side: ${sideName(change.name)}`;
  }
  if (change.kind === 'REMOVED') {
    const kept = ['FIELD', 'GROUP', 'LOT', 'SCENARIO', 'FORAGE'].includes(change.what);
    return `${kept ? 'Removed' : 'Took back'} ${thing} ${change.name}`;
  }
  if (change.kind === 'ADDED') return addedText(change, system);
  const members = [...new Set(change.members.map((m) => memberWord(m.member)))].join(', ');
  switch (change.what) {
    case 'YEAR': {
      const after = (member: string) => change.members.find((m) => m.member === member)?.after;
      const called = after('plan.name');
      const start = after('year.start');
      const months = after('year.months');
      return [
        called === undefined ? '' : `Named the plan ${called}`,
        start === undefined ? '' : `Set the plan’s first day to ${day(start)}`,
        months === undefined ? '' : `Set the plan’s length to ${months} months`,
      ]
        .filter(Boolean)
        .join('; ');
    }
    case 'FEEDING':
      return `Changed ${thing} ${change.name}`;
    default:
      return `Changed ${thing} ${change.name}: ${members}`;
  }
}

function addedText(change: Change, system: System): string {
  const states = (member: string) => change.members.find((m) => m.member === member)?.after;
  switch (change.what) {
    case 'CLOSING':
      return `Shut ${change.name} from ${day(states('closing.fromInclusive'))} to ${day(
        lastDay(String(states('closing.toExclusive'))),
      )}`;
    case 'CUT':
      return `Cut ${change.name} on ${day(states('cut.date'))}`;
    case 'PURCHASE': {
      const units = Number(states('lot.units'));
      const unit = plural(String(states('lot.unitName')), units);
      return `Bought ${memberValue('lot.units', units, system)} ${unit} for ${day(states('purchase.date'))}`;
    }
    case 'SOWING':
      return `Sow ${change.name} on ${day(states('sowing.sowOn'))}`;
    case 'DRESSING':
      return `Nitrogen on ${change.name} on ${day(states('dressing.date'))}`;
    case 'IRRIGATION':
      return `Water ${change.name} on ${day(states('irrigation.date'))}`;
    case 'PRICE':
      return `Set ${THINGS.PRICE} ${change.name}`;
    case 'SEED':
      return `Put seed of ${change.name} in the shed`;
    case 'POLICY':
      return `Took a side: ${sideName(change.name)}`;
    case 'PASS':
      return `Light passes on ${change.name} from ${day(states('lightPass.fromInclusive'))}`;
    default:
      return `Added ${THINGS[change.what]} ${change.name}`;
  }
}

function day(iso: unknown): string {
  return typeof iso === 'string' ? `${longDate(iso)} ${iso.slice(0, 4)}` : 'a day';
}
