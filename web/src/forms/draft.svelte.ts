import type { Edit } from '../api/client';
import { open } from '../plan.svelte';

/** An item being edited: every change is tried on the whole year at once, and saved on demand. */
export class Draft<T extends { id: string }> {
  item = $state<T | null>(null);
  changed = $state(false);
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly toEdits: (item: T) => Edit[]) {}

  choose(item: T | null, changed = false) {
    clearTimeout(this.timer);
    this.item = item ? structuredClone($state.snapshot(item) as T) : null;
    this.changed = changed;
    open.dropTrial();
    if (changed) this.tryOut();
  }

  set<K extends keyof T>(key: K, value: T[K]) {
    if (!this.item) return;
    this.item[key] = value;
    this.touch();
  }

  touch() {
    this.changed = true;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.tryOut(), 60);
  }

  async save(): Promise<boolean> {
    clearTimeout(this.timer);
    const taken = await open.edit(this.toEdits($state.snapshot(this.item) as T));
    if (taken) this.changed = false;
    return taken;
  }

  private tryOut() {
    if (this.item) open.tryOut(this.toEdits($state.snapshot(this.item) as T));
  }
}
