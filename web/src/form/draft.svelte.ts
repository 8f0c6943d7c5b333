import { onDestroy } from 'svelte';
import type { Edit } from '../api/client';
import { thePlan } from '../plan/context';

/** An item being edited: every change is tried on the whole year at once, and saved on demand. To be made by a component. */
export class Draft<T extends { id: string }> {
  private readonly open = thePlan();
  item = $state<T | null>(null);
  changed = $state(false);
  /** Its screen is left: what is stored is shown by others. */
  private gone = false;
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
  ) {
    onDestroy(() => {
      this.gone = true;
      this.open.draft([]);
    });
  }

  choose(item: T | null, changed = false) {
    this.take(item, changed);
    this.open.draft([]);
    this.open.dropTrial();
    if (changed) this.tryOut();
  }

  private take(item: T | null, changed: boolean) {
    this.item = item ? structuredClone($state.snapshot(item) as T) : null;
    this.changed = changed;
    this.base = this.open.view!.revision;
    this.original = JSON.stringify(this.stored(item?.id ?? null));
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
   * as it is now where nobody changed the item itself. What else is being tried out stays.
   */
  refresh() {
    if (!this.changed) this.take(this.stored(this.item?.id ?? null), false);
    else {
      if (JSON.stringify(this.stored(this.item?.id ?? null)) === this.original)
        this.base = this.open.view!.revision;
      this.tryOut();
    }
  }

  discard() {
    this.choose(this.stored(this.item?.id ?? null));
  }

  /**
   * Stores the item, also in other plans. Where somebody else's change won, theirs is shown. What is
   * typed while the server still stores stays, as a change of what it has stored.
   */
  async save(also: string[] = []): Promise<boolean> {
    const revision = this.open.view!.revision;
    const item = $state.snapshot(this.item) as T;
    const sent = JSON.stringify(item);
    const taken = await this.open.edit(this.toEdits(item), this.base, also);
    if (this.gone) return taken;
    const typedOn = this.changed && JSON.stringify($state.snapshot(this.item)) !== sent;
    if (!typedOn) {
      if (taken || this.open.view!.revision !== revision) this.discard();
    } else if (taken && this.item!.id === item.id) {
      this.original = JSON.stringify(this.stored(item.id));
      this.refresh();
    }
    return taken;
  }

  private tryOut() {
    if (!this.item) return;
    this.open.draft(this.toEdits($state.snapshot(this.item) as T));
    void this.open.tryOut([]);
  }
}
