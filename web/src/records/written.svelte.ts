import type { Fact, RecordLine, Seen } from '../api/client';
import { queue } from '../device/queue.svelte';
import type { Waiting } from '../device/store';
import { isoTime } from '../units/dates';
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
    const waiting = queue.waiting
      .filter((e) => e.planId === this.plan.view?.id && e.problem === null)
      .flatMap((e) => e.records.map((r, i) => this.line(e, i, r)))
      .filter((l) => isAbout(l.fact as Fact, this.about()));
    // one that is just being taken may be in both
    const fresh = waiting.filter((w) => !this.lines.some((l) => l.id === w.id)).reverse();
    return [...fresh, ...this.lines].filter((l): l is Line<K> => l.fact.kind === kind);
  }

  private line(e: Waiting, i: number, r: Seen): RecordLine {
    return {
      id: e.records.length === 1 ? e.commandId : `${e.commandId}.${i}`,
      on: r.on,
      fact: r.fact as Fact,
      who: 'waits on this device',
      at: isoTime(e.at),
      device: e.device,
      struckBy: null,
    };
  }
}

function isAbout(fact: Fact, id: string | null): boolean {
  return id === null || Object.values(fact).includes(id);
}
