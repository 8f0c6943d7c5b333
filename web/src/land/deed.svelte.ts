import type { Edit, Field } from '../api/client';
import { freshId, type PlanSession } from '../plan/session.svelte';
import { actOffers, type Act } from './acts';

/** The other fields of its block on which the same can be done. */
function blockMates(open: PlanSession, field: Field, act: Act): Field[] {
  if (!field.block) return [];
  return open.view!.farm.fields.filter(
    (f) =>
      f.id !== field.id &&
      f.block === field.block &&
      actOffers(open, f).some((o) => o.id === act && !o.disabled),
  );
}

/** What is done on one field, done on others too: each with ids of its own, the same at every call. */
function doneOn(others: Field[]): (edit: Edit, field: Field) => Edit[] {
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

/**
 * Something done on a field as its form has it: tried at once, saved on demand, and on the whole block
 * where the keeper says so.
 */
export class Deed {
  /** Done on the rest of the block too. */
  whole = $state(false);
  /** The rest of the block; nobody where something planned is changed. */
  readonly mates: Field[];
  private readonly everywhere: (edit: Edit, field: Field) => Edit[];

  /** @param edit what the form holds now */
  constructor(
    private readonly open: PlanSession,
    readonly field: Field,
    act: Act,
    changeId: string | null,
    private readonly edit: () => Edit,
  ) {
    this.mates = changeId ? [] : blockMates(open, field, act);
    this.everywhere = doneOn(this.mates);
  }

  private edits(): Edit[] {
    return this.whole ? this.everywhere(this.edit(), this.field) : [this.edit()];
  }

  tryOut() {
    void this.open.tryOut(this.edits());
  }

  onWhole(on: boolean) {
    this.whole = on;
    this.tryOut();
  }

  /** True when it is in the plan now. */
  put(): Promise<boolean> {
    return this.open.edit(this.edits());
  }
}
