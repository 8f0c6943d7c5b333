/** Sentences about one field: for what it is good, for whom, and what speaks against a crop. */
import type { Fitting, LetGrow, PlanView, YearView } from '../api/client';
import { longDay } from '../units/dates';
import { amount, type System } from '../units/units';

/** How ripe a stand is, in the words of the quality tables. */
export function stageWord(ripeness: number): string {
  if (ripeness < 0.2) return 'leafy';
  if (ripeness < 0.45) return 'full leaf';
  if (ripeness < 0.65) return 'boot or bud';
  if (ripeness < 0.9) return 'heading or bloom';
  return 'ripe';
}

/** The same stand wants another day for another purpose. */
export function purposes(grown: LetGrow, start: string): string[] {
  return [
    grown.regrowthDay < 0
      ? 'To graze and have it come again: it never stands ready while leafy.'
      : `To graze and have it come again: from ${longDay(start, grown.regrowthDay)}, and leave much.`,
    grown.singleCutDay < 0
      ? 'To cut once: there is nothing to cut before it heads.'
      : `To cut once: about ${longDay(start, grown.singleCutDay)}, when most digestible feed stands and it has not gone past heading.`,
  ];
}

/** For how long a stand left alone is good enough for a group. */
export function enoughText(
  e: LetGrow['enough'][number],
  farm: PlanView['farm'],
  start: string,
): string {
  const group = farm.groups.find((g) => g.id === e.groupId)?.name ?? e.groupId;
  const asks =
    e.tdnNeedPct === null
      ? ''
      : ` (asks for ${e.tdnNeedPct.toFixed(0)}% TDN and ${e.proteinNeedPct?.toFixed(0)}% protein)`;
  if (e.lastDay < 0) return `${group}: not good enough by itself${asks}.`;
  return e.toTheEnd
    ? `${group}: good enough throughout${asks}.`
    : `${group}: good enough to ${longDay(start, e.lastDay)}${asks}; leave it no longer for them.`;
}

/** "2 passes, 3.1 t eaten on them" */
export function passText(pass: YearView['passes'][number], system: System): string {
  if (pass.count === 0) return 'no pass, it never stands that high';
  return `${pass.count} ${pass.count === 1 ? 'pass' : 'passes'}, ${amount(pass.eatenKg, 'bulk', system)} eaten on them`;
}

const AGAINST: Record<Fitting['against'][number], string> = {
  TOO_COOL: 'too cool after that day',
  TOO_DRY: 'too little rain after that day',
  FROST_COMES_FIRST: 'frost comes before it is ready',
  HEADS_AT_ONCE: 'heads before winter',
  FREEZES: 'winters are too cold for it',
  LATE: 'more than six weeks late',
  OUT_OF_SEASON: 'not sown at this time of year here',
  NO_CONDITIONER: 'thick stems, and no conditioner',
  NO_MIXER: 'stock leave its hay, and there is no mixer',
  NO_HAY: 'no crop for hay',
  NOT_IN_TIME: 'not ready before the gap ends',
  SHUT_TO_STOCK: 'shut to stock that is to eat it, at every stage',
};

/** What speaks against a crop, in a few words; empty where nothing does. */
export function againstText(against: Fitting['against']): string {
  return against.map((a) => AGAINST[a]).join(', ');
}
