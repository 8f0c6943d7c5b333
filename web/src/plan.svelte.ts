import {
  api,
  Refusal,
  type Catalogue,
  type Edit,
  type PlanView,
  type YearView,
} from './api/client';
import { problemText } from './words';
import type { System } from './units';

/** The open plan: what is stored, what is being tried out, and what stood before the last edit. */
class OpenPlan {
  view = $state<PlanView | null>(null);
  catalogue = $state<Catalogue | null>(null);
  trial = $state<YearView | null>(null);
  before = $state<YearView | null>(null);
  error = $state('');
  trialError = $state('');
  system = $state<System>('METRIC');
  private trialNumber = 0;

  /** The year to draw: the one tried out while there is one. */
  get year(): YearView {
    return this.trial ?? this.view!.year;
  }

  /** The year to compare with: the stored one during a trial, else the one before the last edit. */
  get ghost(): YearView | null {
    return this.trial ? this.view!.year : this.before;
  }

  async open() {
    try {
      const plans = await api.plans();
      this.catalogue = await api.catalogue();
      this.view = await api.plan(plans[0].slug);
      this.system = this.view.farm.units;
    } catch (e) {
      this.error = this.explain(e);
    }
  }

  /** Stores edits as one revision. True when they were taken. */
  async edit(edits: Edit[]): Promise<boolean> {
    const view = this.view!;
    try {
      const changed = await api.edit(view.id, view.revision, edits);
      this.trialNumber++;
      this.before = view.year;
      this.view = changed;
      this.trial = null;
      this.error = '';
      this.trialError = '';
      return true;
    } catch (e) {
      this.error = this.explain(e);
      if (e instanceof Refusal && e.problem.code === 'stale_revision') {
        this.view = await api.plan(view.id);
        this.trial = null;
      }
      return false;
    }
  }

  /** Shows what edits would do; only the newest answer counts. */
  async tryOut(edits: Edit[]) {
    const number = ++this.trialNumber;
    try {
      const year = await api.trial(this.view!.id, edits);
      if (number === this.trialNumber) {
        this.trial = year;
        this.trialError = '';
      }
    } catch (e) {
      if (number === this.trialNumber) {
        this.trialError = this.explain(e);
      }
    }
  }

  dropTrial() {
    this.trialNumber++;
    this.trial = null;
    this.trialError = '';
  }

  explain(e: unknown): string {
    return e instanceof Refusal ? problemText(e.problem, this.system) : String(e);
  }
}

export const open = new OpenPlan();

/** A short id that no item of the list has. */
export function freshId(name: string, taken: string[]): string {
  const base =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 30) || 'item';
  let id = base;
  for (let n = 2; taken.includes(id); n++) id = `${base}-${n}`;
  return id;
}
