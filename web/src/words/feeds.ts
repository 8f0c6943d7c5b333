/** A step of the order of feeds in few words. */
import type { FeedStep, Leavings, PlanView } from '../api/client';
import { longDate } from '../units/dates';
import { amount, type System } from '../units/units';
import { wholeBlocks } from './blocks';
import { plural } from './year';

const BOUND = { AT_LEAST: 'at least', EXACTLY: '', AT_MOST: 'at most' } as const;

/** "Graze 12 fields", "First-cut fescue, 9 lb a head", "Hay lot A and 2 more, at most 30%" */
export function stepText(
  step: FeedStep,
  farm: PlanView['farm'],
  plan: PlanView['plan'],
  system: System,
): string {
  const lots = [...farm.lots, ...plan.cuts.map((c) => c.lot), ...plan.purchases.map((p) => p.lot)];
  const from: { id: string; name: string }[] = step.kind === 'GRAZE' ? farm.fields : lots;
  const names = step.sourceIds.map((id) => from.find((x) => x.id === id)?.name ?? id);
  const all = names.length === 0 || names.length === from.length;
  let what: string;
  if (step.kind === 'GRAZE') {
    const blocks = wholeBlocks(farm.fields, step.sourceIds);
    if (all) what = 'Graze every field';
    else if (blocks && names.length > 1) what = `Graze ${blocks.join(' and ')}`;
    else if (names.length <= 2) what = `Graze ${names.join(' and ')}`;
    else what = `Graze ${names.length} fields`;
  } else if (all) what = 'The whole store';
  else what = names.length <= 2 ? names.join(' and ') : `${names[0]} and ${names.length - 1} more`;
  return `${what}${portionText(step, system)}${step.roundDays ? `, a round in ${step.roundDays} days` : ''}`;
}

function portionText({ portion }: FeedStep, system: System): string {
  if (!portion) return '';
  const much =
    portion.kgPerHeadDay !== null
      ? `${amount(portion.kgPerHeadDay, 'perDay', system)}`
      : `${Math.round(100 * (portion.share ?? 0))}%`;
  return `, ${BOUND[portion.bound]} ${much}`.replace(',  ', ', ');
}

/** "A third of 9 round bales lay there on 4 March: wasteful or poor hay. …" */
export function leavingsText(l: Leavings, unitName: string): string {
  const many = (n: number) => `${n} ${plural(unitName, n)}`;
  const said = `${Math.round(100 * l.leftShare)}% of ${many(l.units)} lay there on ${longDate(l.on)}: ${l.meaning}.`;
  const next =
    l.nextUnits > l.units
      ? `${many(l.nextUnits)} next time, or sooner.`
      : l.nextUnits < l.units
        ? `${many(l.nextUnits)} next time for as many days, or as many and later.`
        : l.leftShare > 0.2
          ? 'As many next time, and later.'
          : 'As many next time.';
  return `${said} ${next}${l.watchCondition ? ' Look at their condition.' : ''}`;
}
