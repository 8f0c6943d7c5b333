import type { Edit } from '../api/client';
import type { PlanSession } from '../plan/session.svelte';

/** What is laid on a field of a plan, and how it is asked for and kept. */
interface Kind<T, W> {
  /** Those of the plan. */
  items: () => T[];
  /** How all of them go through the year, one of them otherwise than it is saved or new. */
  ask: (laid: T | null) => Promise<W[]>;
  put: (item: T) => Edit;
  remove: (id: string) => Edit;
}

/**
 * A layout that is looked at and changed: which of the plan's it is, the part of it that is looked
 * at, what was answered, and what is laid on the screen and not yet saved. To be made while its
 * component is.
 */
export class Laying<T extends { id: string; fieldId: string }, W extends { id: string }> {
  /** As it is laid on the screen and not yet saved. */
  draft = $state.raw<T | null>(null);
  /** Place of the section or break that is looked at. */
  place = $state(0);
  working = $state(false);
  /** Why what is laid cannot be answered. */
  wrong = $state('');
  private answered = $state.raw<W[] | null>(null);
  /** On which field each of those stood that were answered. */
  private fieldOf = $state.raw<Record<string, string>>({});
  private chosenId = $state('');
  private asking = 0;

  constructor(
    private readonly open: PlanSession,
    private readonly kind: Kind<T, W>,
  ) {
    $effect(() => {
      void [open.view, open.season];
      void this.ask(++this.asking, this.draft);
    });
    $effect(() => () => (this.asking = -1));
  }

  /** The one that is looked at. */
  get item(): T | null {
    const all = this.kind.items();
    return this.draft ?? all.find((t) => t.id === this.chosenId) ?? all.at(0) ?? null;
  }

  /** How it goes through the year; what was answered for another field is not drawn on this one. */
  get winter(): W | null {
    const item = this.item;
    return item && this.fieldOf[item.id] === item.fieldId
      ? (this.answered?.find((w) => w.id === item.id) ?? null)
      : null;
  }

  get isNew(): boolean {
    return this.draft !== null && !this.kind.items().some((t) => t.id === this.draft!.id);
  }

  /** One question at a time: the last one that was asked is the one that is shown. */
  private async ask(number: number, laid: T | null) {
    try {
      const found = await this.kind.ask(laid);
      if (number !== this.asking) return;
      this.answered = found;
      this.fieldOf = Object.fromEntries(
        [...this.kind.items(), ...(laid ? [laid] : [])].map((t) => [t.id, t.fieldId]),
      );
      this.wrong = '';
    } catch (e) {
      if (number === this.asking) this.wrong = this.open.explain(e);
    }
  }

  change(part: Partial<T>) {
    const item = this.item;
    if (this.open.mayPlan && item) this.draft = { ...item, ...part };
  }

  begin(item: T) {
    this.place = 0;
    this.draft = item;
  }

  look(id: string) {
    this.chosenId = id;
    this.leave();
    this.place = 0;
  }

  /** As it was. */
  leave() {
    this.draft = null;
    this.wrong = '';
  }

  keep(): Promise<void> {
    const kept = this.draft!;
    return this.edit([this.kind.put(kept)], () => {
      this.chosenId = kept.id;
      // what was laid otherwise meanwhile stays
      if (this.draft === kept) this.draft = null;
    });
  }

  remove(): Promise<void> {
    return this.edit([this.kind.remove(this.item!.id)], () => this.look(''));
  }

  /** Something else of the plan is changed from here. */
  async edit(edits: Edit[], done: () => void = () => {}): Promise<void> {
    this.working = true;
    if (await this.open.edit(edits)) done();
    this.working = false;
  }
}
