import type { Fact, RecordLine } from '../api/client';
import { queue } from '../device/queue.svelte';
import { asRecords } from '../device/store';
import { thePlan } from '../plan/context';

type Kind = Fact['kind'];
type Line<K extends Kind> = Omit<RecordLine, 'fact'> & { fact: Extract<Fact, { kind: K }> };

/** What was written down about one lot, group or field, or all, the newest first. To be made by a component. */
export class Written {
  private lines = $state<RecordLine[]>([]);
  private readonly plan = thePlan();

  /** Looks again whenever another thing is meant or the plan's view was renewed. */
  constructor(private readonly about: () => string | null) {
    const open = this.plan;
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

  /** The records of one kind, also those that were struck out and those that wait on this device. */
  of<K extends Kind>(kind: K): Line<K>[] {
    const waiting = queue.waitingIn(this.plan.view?.id).flatMap(asRecords);
    const struck = waiting.map((r) => (r.fact.kind === 'STRUCK' ? r.fact.record : ''));
    const fresh = waiting
      // one that is just being taken may be in both
      .filter((r) => isAbout(r.fact, this.about()) && !this.lines.some((l) => l.id === r.id))
      .map(({ written, ...r }) => ({
        ...r,
        ...written,
        who: HERE,
        at: written.at!,
        struckBy: null,
      }));
    return [...fresh.reverse(), ...this.lines]
      .map((l) => (l.struckBy === null && struck.includes(l.id) ? { ...l, struckBy: 'you' } : l))
      .filter((l): l is Line<K> => l.fact.kind === kind);
  }
}

const HERE = 'waits on this device';

function isAbout(fact: Fact, id: string | null): boolean {
  return id === null || Object.values(fact).includes(id);
}
