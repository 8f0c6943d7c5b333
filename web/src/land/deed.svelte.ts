import type { Anchor, Edit, Field } from '../api/client';
import { freshId, type PlanSession } from '../plan/session.svelte';
import type { Tie } from '../words/anchors';
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

/** What is done, and the marks of the year that its dates go by. */
type Done = [edit: Edit, anchors: Anchor[]];

/** What is done on one field, done on others too: each with ids of its own, the same at every call. */
function doneOn(others: Field[]): (done: Done, field: Field) => Done[] {
  const ids: Record<string, string> = {};
  const idFor = (what: string) => (ids[what] ??= freshId(what, []));
  return ([edit, anchors], field) =>
    others.map((f) => {
      const [[key, thing]] = Object.entries(edit) as [string, Record<string, unknown>][];
      const lot = thing.lot as { name: string } | undefined;
      const id = idFor(`${key}-${f.id}`.slice(0, 30));
      const there = {
        [key]: {
          ...thing,
          id,
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
      const its = (a: Anchor) => ({
        ...a,
        itemId: id,
        ofId: a.mark === 'GREEN_UP' ? f.id : a.ofId,
      });
      return [there, anchors.map(its)];
    });
}

/** The thing that an edit puts. */
function thingOf(edit: Edit): { what: Anchor['what']; id: string } {
  const [[key, thing]] = Object.entries(edit) as [string, { id: string }][];
  return { what: key.slice('put'.length).toUpperCase() as Anchor['what'], id: thing.id };
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
  private readonly everywhere: (done: Done, field: Field) => Done[];
  /** What its dates go by where the form says otherwise than the plan; null of a plain date. */
  private ties = $state<Partial<Record<Anchor['part'], Tie | null>>>({});
  private readonly stored: Anchor[];

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
    this.stored = (open.view!.plan.anchors ?? []).filter((a) => a.itemId === changeId);
  }

  /** What one of the dates goes by. */
  tie(part: Anchor['part']): Tie | null {
    const said = this.ties[part];
    return said !== undefined ? said : (this.stored.find((a) => a.part === part) ?? null);
  }

  tieTo(part: Anchor['part'], tie: Tie | null) {
    this.ties[part] = tie;
    this.tryOut();
  }

  /** What it is about, by id. */
  get itemId(): string {
    return thingOf(this.edit()).id;
  }

  private edits(): Edit[] {
    const edit = this.edit();
    const { what, id } = thingOf(edit);
    const said = Object.entries($state.snapshot(this.ties)) as [Anchor['part'], Tie | null][];
    const anchors = said.flatMap(([part, tie]) =>
      tie
        ? [{ what, itemId: id, part, mark: tie.mark, ofId: tie.ofId, daysAfter: tie.daysAfter }]
        : [],
    );
    const freed = said
      .filter(([part, tie]) => !tie && this.stored.some((a) => a.part === part))
      .map(([part]): Edit => ({ removeAnchor: `${what}/${id}/${part}` }));
    const done: Done[] = [[edit, anchors]];
    if (this.whole) done.push(...this.everywhere(done[0], this.field));
    // whoever frees a date does so before it is moved
    return [
      ...freed,
      ...done.flatMap(([put, tied]) => [put, ...tied.map((a): Edit => ({ putAnchor: a }))]),
    ];
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
