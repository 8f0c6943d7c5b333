import type { Field } from '../api/client';
import type { Side } from '../form/Tabs.svelte';
import type { PlanSession } from '../plan/session.svelte';
import { amount } from '../units/units';

const MOVES = {
  SET_STOCKED: 'stock are in all of it at once',
  ROTATIONAL: 'moves every 3 to 7 days',
  STRIP: 'a new strip every day',
} as const;

/** The sides of a field, each with a sentence of what is set there as it is set now. */
export function sidesOf(open: PlanSession, field: Field, known: boolean): Side[] {
  const forage = open.forages.find((f) => f.id === field.stand.forageId);
  const { heights, stand } = field;
  const result = open.year.fields.find((f) => f.id === field.id);
  const leaves =
    typeof heights?.leaveCm === 'number'
      ? `leaves ${amount(heights.leaveCm, 'depth', open.system)} in height`
      : result
        ? `leaves ${amount(result.residualKgPerHa, 'massPerArea', open.system)}`
        : 'leaves what the stand asks for';
  const growth = stand.monthlyKgPerHaDay
    ? 'grows by your own monthly rates'
    : stand.yieldKgPerHa !== null
      ? `grows ${amount(stand.yieldKgPerHa, 'massPerArea', open.system)} in a normal year, as you say`
      : 'grows as usual in this climate';
  const sides: Side[] = [
    { id: 'stand', name: 'Stand and growth', note: `${forage?.name ?? 'The stand'} ${growth}.` },
    {
      id: 'grazing',
      name: 'Grazing',
      note: `${MOVES[field.grazing][0].toUpperCase()}${MOVES[field.grazing].slice(1)}, ${leaves}.`,
    },
    {
      id: 'place',
      name: 'Place and soil',
      note: `${amount(field.areaHa, 'area', open.system)}; ${
        field.soil ? field.soil.texture.toLowerCase().replaceAll('_', ' ') : 'soil not said'
      }; ${field.hayable ? 'can be mown' : 'not said to be fit for mowing'}.`,
    },
    {
      id: 'seen',
      name: 'Measure',
      note: 'Heights, a plate or clipped frames, turned into what stands on the first day.',
    },
  ];
  return known ? [{ id: 'year', name: 'This year' }, ...sides] : [sides[2], sides[0], sides[1]];
}
