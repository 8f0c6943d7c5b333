import { type Fact, type RecordLine } from '../api/client';
import { thePlan } from '../plan/context';

type Kind = Fact['kind'];
type Line<K extends Kind> = Omit<RecordLine, 'fact'> & { fact: Extract<Fact, { kind: K }> };

/** What was written down about one lot, group or field, or all, the newest first. To be made by a component. */
export class Written {
  private lines = $state<RecordLine[]>([]);

  /** Looks again whenever another thing is meant or the plan's view was renewed. */
  constructor(about: () => string | null) {
    const open = thePlan();
    $effect(() => {
      const view = open.view;
      const id = about();
      if (view)
        open.api
          .records(view.id, id)
          .then((lines) => {
            if (id === about()) this.lines = lines;
          })
          .catch((e) => (open.error = open.explain(e)));
    });
  }

  /** The records of one kind, also those that were struck out. */
  of<K extends Kind>(kind: K): Line<K>[] {
    return this.lines.filter((l): l is Line<K> => l.fact.kind === kind);
  }
}
