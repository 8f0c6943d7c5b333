import type { Edit } from '../api/client';
import { thePlan } from '../plan/context';

/** An item being edited: every change is tried on the whole year at once, and saved on demand. To be made by a component. */
export class Draft<T extends { id: string }> {
  private readonly open = thePlan();
  item = $state<T | null>(null);
  changed = $state(false);
  /** The revision that the item was taken from. */
  private base = 0;
  /** The item as it was stored then. */
  private original = '';

  /**
   * @param toEdits the edits that store an item
   * @param stored the stored item with that id, or the first one where there is none
   */
  constructor(
    private readonly toEdits: (item: T) => Edit[],
    private readonly stored: (id: string | null) => T | null,
  ) {}

  choose(item: T | null, changed = false) {
    this.item = item ? structuredClone($state.snapshot(item) as T) : null;
    this.changed = changed;
    this.base = this.open.view!.revision;
    this.original = JSON.stringify(this.stored(item?.id ?? null));
    this.open.dropTrial();
    if (changed) this.tryOut();
  }

  set<K extends keyof T>(key: K, value: T[K]) {
    if (!this.item) return;
    this.item[key] = value;
    this.touch();
  }

  touch() {
    this.changed = true;
    this.tryOut();
  }

  /**
   * Shows what is stored now, unless something is typed that is not. What is typed stands on the plan
   * as it is now where nobody changed the item itself.
   */
  refresh() {
    if (!this.changed) this.choose(this.stored(this.item?.id ?? null));
    else if (JSON.stringify(this.stored(this.item?.id ?? null)) === this.original)
      this.base = this.open.view!.revision;
  }

  discard() {
    this.choose(this.stored(this.item?.id ?? null));
  }

  /**
   * Stores the item, also in other plans. Where somebody else's change won, theirs is shown.
   */
  async save(also: string[] = []): Promise<boolean> {
    const revision = this.open.view!.revision;
    const taken = await this.open.edit(
      this.toEdits($state.snapshot(this.item) as T),
      this.base,
      also,
    );
    if (taken || this.open.view!.revision !== revision) this.discard();
    return taken;
  }

  private tryOut() {
    if (this.item) void this.open.tryOut(this.toEdits($state.snapshot(this.item) as T));
  }
}
