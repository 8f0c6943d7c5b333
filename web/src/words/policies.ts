/** Where keepers differ, in words. */
import type { Lever, PolicyEffect } from '../api/client';
import { amount, type System } from '../units/units';
import { costText } from './infull';
import { money } from './prices';

type Question = PolicyEffect['question'];
type Side = NonNullable<PolicyEffect['side']>;

export interface QuestionWords {
  name: string;
  /** What holds where neither side is taken. */
  neither: string;
  sides: { side: Side; name: string; reason: string }[];
}

export const QUESTIONS: Record<Question, QuestionWords> = {
  DROUGHT: {
    name: 'When feed fails',
    neither: 'Each gap decides',
    sides: [
      {
        side: 'HAY_THROUGH',
        name: 'Feed hay through it',
        reason:
          'The herd took years to breed and would be dear to buy back. Hay is paid once; bought late, in a wide drought, it is the dearest feed there is. No sale is offered then.',
      },
      {
        side: 'SELL_EARLY',
        name: 'Sell early',
        reason:
          'What is sold first sells best, and grass that is not bitten bare comes back. Growing stock go before those that breed. No hay is offered then.',
      },
    ],
  },
  NITROGEN: {
    name: 'Nitrogen for the grass',
    neither: 'As each field is planned',
    sides: [
      {
        side: 'BAGGED_NITROGEN',
        name: 'From the bag',
        reason:
          'Feed on a known date and more head on the land. It takes clover out, and without rain it does little.',
      },
      {
        side: 'LEGUMES',
        name: 'From legumes',
        reason:
          'Costs less and stock gain better on it, with fewer head on the land; bloat must be watched. No nitrogen is offered, and what is planned is looked at as if it were not.',
      },
    ],
  },
  TAKE: {
    name: 'How much a bite leaves',
    neither: 'As each field says',
    sides: [
      {
        side: 'TAKE_HALF',
        name: 'Take half, leave half',
        reason: 'More is eaten of each round; regrowth starts from a fair leaf.',
      },
      {
        side: 'TOP_THIRD',
        name: 'Take the top third',
        reason:
          'The best of it for stock that must gain, and the fastest regrowth. Less is eaten of each round, so that more land is wanted or fewer head.',
      },
    ],
  },
  BREAKS: {
    name: 'How long on a piece',
    neither: 'As each field says',
    sides: [
      {
        side: 'SHORT_BREAKS',
        name: 'A day or two behind a moved fence',
        reason: 'More of what stands is eaten and less trodden; somebody moves the fence each day.',
      },
      {
        side: 'LONG_BREAKS',
        name: 'Some days on each piece',
        reason: 'Less work and fewer fences; more is trodden, and regrowth is bitten again.',
      },
    ],
  },
  NATIVES: {
    name: 'Native summer grass before frost',
    neither: 'As the order of feeds has it',
    sides: [
      {
        side: 'REST_BEFORE_FROST',
        name: 'Rest it for a month',
        reason:
          'Its roots fill in the last weeks of growth, and it comes back thick. The others carry the stock meanwhile. It is shut for thirty days up to the usual first frost.',
      },
      {
        side: 'GRAZE_TO_FROST',
        name: 'Graze it to the frost',
        reason: 'What is left standing loses its worth with the frost.',
      },
    ],
  },
  SOD: {
    name: 'Winter crops into sod',
    neither: 'As they are planned',
    sides: [
      {
        side: 'SEED_EVERY_YEAR',
        name: 'Every year',
        reason: 'One cannot know in autumn what the season will be.',
      },
      {
        side: 'SKIP_DRY_YEARS',
        name: 'Not where it is dry',
        reason:
          'Seed in dry ground is lost, and the sod pays for the disturbance. In a dry season none is offered, and what is planned is looked at as if it were not.',
      },
    ],
  },
};

/** Ways that a side rules out. */
export const RULES_OUT: Partial<Record<Side, Lever['kind']>> = {
  SELL_EARLY: 'BUY_HAY',
  HAY_THROUGH: 'SELL',
  LEGUMES: 'NITROGEN',
};

/** What a side is called. */
export function sideName(side: string): string {
  const all = Object.values(QUESTIONS).flatMap((q) => q.sides);
  return all.find((s) => s.side === side)?.name.toLowerCase() ?? side;
}

/** Neither a figure nor a day worth speaking of changes, kg DM. */
const SEEN_KG = 50;

/** What a side does beside neither. */
export function effectText(
  effect: PolicyEffect,
  neither: PolicyEffect,
  currency: string,
  system: System,
): string {
  const kg = (v: number) => amount(Math.abs(v), 'bulk', system);
  const said: string[] = [];
  const tell = (by: number, text: (more: string) => string) => {
    if (Math.abs(by) >= SEEN_KG) said.push(text(`${kg(by)} ${by > 0 ? 'more' : 'less'}`));
  };
  tell(effect.bareKg - neither.bareKg, (m) => `${m} is bare`);
  tell(effect.grazedKg - neither.grazedKg, (m) => `${m} is grazed`);
  tell(effect.storedKg - neither.storedKg, (m) => `${m} stored or bought feed is eaten`);
  tell(effect.standingKg - neither.standingKg, (m) => `${m} stands on the last day`);
  if (effect.cost === null) said.push('what it costs is not known');
  else if (effect.cost <= -0.5) said.push(`${currency} ${money(-effect.cost)} is saved`);
  else if (effect.cost >= 0.5) said.push(`it costs ${costText(effect.cost, currency)}`);
  const season = effect.season === 'dry' ? 'In a dry year ' : '';
  if (!said.length) return `${season ? `${season}nothing` : 'Nothing'} changes on this farm.`;
  const text = `${season}${said.join(', ')}.`;
  return text[0].toUpperCase() + text.slice(1);
}
