import type { AnimalGroup, FeedStep } from '../api/client';
import type { Side } from '../form/Tabs.svelte';
import type { PlanSession } from '../plan/session.svelte';
import { amount } from '../units/units';
import { plural } from '../words/year';

/** The sides of a group, each with a sentence of what is set there as it is set now. */
export function sidesOf(
  open: PlanSession,
  group: AnimalGroup,
  steps: FeedStep[],
  known: boolean,
): Side[] {
  const sides: Side[] = [
    { id: 'year', name: 'This year' },
    {
      id: 'animals',
      name: 'Animals',
      note: `${group.head} head of ${amount(group.weightKg, 'weight', open.system)}; who comes, goes and gives birth when.`,
    },
    {
      id: 'feeds',
      name: 'Order of feeds',
      note: `${steps.length} ${plural('step', steps.length)}, the first that has feed is eaten first.`,
    },
    {
      id: 'keeping',
      name: 'Intake and keeping',
      note: 'What they eat by weight and stage or by your own figure, and what cold and walking add.',
    },
  ];
  if (!known) return [sides[1], sides[2], sides[3]];
  return [
    ...sides,
    { id: 'condition', name: 'Condition', note: 'Scores you saw, and what is to be expected.' },
    { id: 'less', name: 'Need less', note: 'Weaning, selling in an order, the least supplement.' },
  ];
}
