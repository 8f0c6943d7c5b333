import type { Edit, Field } from '../api/client';
import { freshId, type PlanSession } from '../plan/session.svelte';
import { actOffers, type Act } from './acts';

/** The other fields of its block on which the same can be done. */
export function blockMates(open: PlanSession, field: Field, act: Act): Field[] {
  if (!field.block) return [];
  return open.view!.farm.fields.filter(
    (f) =>
      f.id !== field.id &&
      f.block === field.block &&
      actOffers(open, f).some((o) => o.id === act && !o.disabled),
  );
}

/** What is done on one field, done on others too: each with ids of its own, the same at every call. */
export function doneOn(others: Field[]): (edit: Edit, field: Field) => Edit[] {
  const ids: Record<string, string> = {};
  const idFor = (what: string) => (ids[what] ??= freshId(what, []));
  return (edit, field) => [
    edit,
    ...others.map((f) => {
      const [[key, thing]] = Object.entries(edit) as [string, Record<string, unknown>][];
      const lot = thing.lot as { name: string } | undefined;
      return {
        [key]: {
          ...thing,
          id: idFor(`${key}-${f.id}`.slice(0, 30)),
          fieldId: f.id,
          ...(lot
            ? {
                lot: {
                  ...lot,
                  id: idFor(`lot-${f.id}`.slice(0, 30)),
                  name: lot.name.replace(field.name, f.name),
                },
              }
            : {}),
        },
      } as Edit;
    }),
  ];
}
