import type { Lot } from '../api/client';
import type { Side } from '../form/Tabs.svelte';
import { plural } from '../words/year';

/** The sides of a lot, each with a sentence of what is read or set there. */
export function sidesOf(lot: Lot, known: boolean): Side[] {
  const set: Side = {
    id: 'lot',
    name: 'The lot',
    note: `${lot.units.toLocaleString('en-US')} ${plural(lot.unitName, lot.units)}: how many, how heavy, how dry, where they stand.`,
  };
  if (!known) return [set];
  return [
    { id: 'year', name: 'How many' },
    set,
    { id: 'worth', name: 'Worth', note: 'By the tables until a test says more.' },
    {
      id: 'records',
      name: 'Fed and counted',
      note: 'What was fed and what is left, as it was seen.',
    },
    { id: 'cost', name: 'Loss and cost', note: 'Where its dry matter goes, and what it costs.' },
  ];
}
