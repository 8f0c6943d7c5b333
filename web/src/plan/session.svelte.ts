import {
  apiIn,
  isOffline,
  Refusal,
  type Also,
  type Api,
  type Catalogue,
  type Doubt,
  type Edit,
  type EditRequest,
  type FieldYear,
  type MarkDates,
  type Part,
  type PlanView,
  type Problem,
  type Seen,
  type ShelvesAsked,
  type WeatherRecord,
  type YearView,
} from '../api/client';
import { keep, kept, opensAlone, remembered } from '../device/kept';
import { link } from '../device/link.svelte';
import { queue } from '../device/queue.svelte';
import { fetchEngine } from '../pocket/pocket';
import { hear, type Heard } from './live';
import { me, write } from './outbox';
import { problemText } from '../words/refusals';
import type { System } from '../units/units';

/**
 * Edits of mine that were made on a plan which somebody changed meanwhile, or that clash with what
 * another plan of the farm holds.
 */
export interface Conflict {
  request: EditRequest;
  problem: Problem;
}

/** What was shown is kept once it has stood for so long, ms. */
const KEEP_AFTER_MS = 1000;

/** What of a plan is kept on the device. */
interface KeptPlan {
  view: PlanView;
  catalogue: Catalogue;
}

const CONFLICTS = ['stale_revision', 'clashes_elsewhere'];

/**
 * A plan that is open: what is stored, what is being tried out, and what stood before the last edit.
 * Several may stand beside each other, each in its season.
 */
export class PlanSession {
  // what comes whole is replaced whole: nothing watches its thousands of days one by one
  view = $state.raw<PlanView | null>(null);
  catalogue = $state.raw<Catalogue | null>(null);
  trial = $state.raw<YearView | null>(null);
  before = $state.raw<YearView | null>(null);
  error = $state('');
  trialProblem = $state<Problem | null>(null);
  conflict = $state<Conflict | null>(null);
  system = $state<System>('METRIC');
  /** Key of the season that the whole product is looked at in. */
  season = $state('normal');
  records = $state.raw<WeatherRecord[]>([]);
  /** Dates that others may go by; null until a screen asks. */
  marks = $state.raw<MarkDates[] | null>(null);
  private marksOf = '';
  /** The season that years are asked for in; it shows once the answer is there. */
  private readonly looking = $state({ season: 'normal' });
  /** Calls about this plan, in its season. */
  readonly api: Api = apiIn(this.looking);
  /** Parts of a tried year that the screen shows; null for all. */
  private parts: Part[] | null = null;
  /** The field or group of which a screen shows more than of the others. */
  private about: () => string | null = () => null;
  /** Shelves in another measure or of one group that the screen shows. */
  private shelves: () => ShelvesAsked | null = () => null;
  /** What a form holds that is not saved: it is tried together with whatever else is tried. */
  private drafted: Edit[] = [];
  private openings = 0;
  /** Counts the trials that ended: what was asked before is not shown any more. */
  private endedTrials = 0;
  private trying = false;
  private next: Edit[] | null = null;
  private settle: ((taken: boolean) => void) | null = null;
  private queue: Promise<boolean> = Promise.resolve(true);
  /** Each revision that an edit of mine was made on, and the one that it made. */
  private mine: Record<number, number> = {};
  /** What is tried out now, beside what a form holds. */
  private tried: Edit[] = [];
  private hangUp = () => {};
  /** When what is shown was sent, ms, where it was kept on the device; null where it is fresh. */
  keptAt = $state<number | null>(null);
  /** Counts how often the engine's part of a plan was kept. */
  packs = $state(0);
  /** Everything is on the device that opens this plan without a network. */
  opensAlone = $state(false);
  private keeping: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    link.onback(() => void this.back());
  }

  /** The year to draw: the one tried out while there is one. */
  get year(): YearView {
    return this.trial ?? this.view!.year;
  }

  /** The year to compare with: the stored one during a trial, else the one before the last edit. */
  get ghost(): YearView | null {
    return this.trial ? this.view!.year : this.before;
  }

  /** What can stand on a field: the keeper's own first, then the product's. */
  get forages(): Catalogue['forages'] {
    return [...(this.view?.ownForages ?? []), ...(this.catalogue?.forages ?? [])];
  }

  /** True for whoever may write down what was seen: all but readers. */
  get mayWrite(): boolean {
    return this.view?.role !== 'READER';
  }

  get mayPlan(): boolean {
    return this.view?.role === 'OWNER' || this.view?.role === 'PLANNER';
  }

  get trialError(): string {
    return this.trialProblem ? problemText(this.trialProblem, this.system) : '';
  }

  /** What is wrong with one input of what is being tried out. */
  wrong(field: string): string {
    return this.trialProblem?.field === field ? this.trialError : '';
  }

  /** What is hard to believe in one input of a field, group or lot. */
  doubt(subjectId: string, field: string): Doubt | undefined {
    return this.year.doubts.find((d) => d.subjectId === subjectId && d.field === field);
  }

  /** What dates can go by, as the plan stands now. */
  async needMarks() {
    const of = `${this.view!.id} ${this.view!.revision}`;
    if (this.marksOf === of) return;
    this.marksOf = of;
    try {
      const marks = await this.api.marks(this.view!.id);
      if (this.marksOf === of) this.marks = marks;
    } catch (e) {
      this.marksOf = '';
      this.error = this.explain(e);
    }
  }

  async needCatalogue() {
    this.catalogue ??= await this.api.catalogue();
  }

  /** Opens a plan; the one that stood here is gone at once, and its answers are not waited for. */
  async open(id: string) {
    if (this.view && this.view.id !== id) this.close();
    const opening = ++this.openings;
    try {
      this.season = this.looking.season = 'normal';
      const { view, catalogue, at } = await this.fetched(id);
      if (opening !== this.openings) return;
      this.catalogue = catalogue;
      this.show(view, at);
      this.before = null;
      this.system = this.view!.farm.units;
      this.hangUp();
      this.hangUp = hear(id, (told) => void this.heard(id, told));
      void this.needRecords();
    } catch (e) {
      if (opening !== this.openings) return;
      this.close();
      this.error = this.explain(e);
    }
  }

  /** A plan from the server, or where that is away, as it was kept. */
  private async fetched(id: string): Promise<KeptPlan & { at: number | null }> {
    try {
      await this.needCatalogue();
      return { view: await this.api.plan(id), catalogue: this.catalogue!, at: null };
    } catch (e) {
      const was = isOffline(e) ? await kept<KeptPlan>(`plan ${id}`) : null;
      if (!was) throw e;
      return { ...was.value, at: was.at };
    }
  }

  /** Keeps what a phone needs to open without a network: the plan as it stands, and the engine's. */
  keepLater() {
    clearTimeout(this.keeping);
    this.keeping = setTimeout(() => void this.keepNow(), KEEP_AFTER_MS);
  }

  private async keepNow() {
    const view = this.view;
    if (!view || !opensAlone() || link.away !== null || this.season !== 'normal') return;
    try {
      const pack = await this.api.pack(view.id);
      await keep(`plan ${view.id}`, { view, catalogue: this.catalogue });
      await keep(`pack ${view.id}`, pack);
      await keep('last plan', view.id);
      await remembered(`jobs ${view.id} ${this.system}`, () => this.api.jobs(view.id, this.system));
      this.packs++;
      await fetchEngine();
      if (this.view?.id === view.id) this.opensAlone = true;
    } catch {
      // another time
    }
  }

  /** The server is there again: what waited goes out, and what is shown becomes fresh. */
  private async back() {
    if (me.id === null) return;
    await queue.send(this.api, me.id);
    const id = this.view?.id;
    if (!id) return;
    try {
      const view = await this.api.plan(id);
      if (this.view?.id !== id || this.conflict) return;
      const { before } = this;
      this.show(view);
      this.before = before;
      this.hangUp();
      this.hangUp = hear(id, (told) => void this.heard(id, told));
    } catch (e) {
      this.error = this.explain(e);
    }
  }

  close() {
    this.openings++;
    this.keptAt = null;
    this.opensAlone = false;
    clearTimeout(this.keeping);
    this.hangUp();
    this.settled(false);
    this.queue = Promise.resolve(true);
    this.mine = {};
    this.dropTrial();
    this.view = null;
    this.records = [];
    this.before = null;
    this.conflict = null;
    this.error = '';
  }

  /** Takes over what is stored now. */
  private show(view: PlanView, keptAt: number | null = null) {
    this.dropTrial();
    this.keptAt = keptAt;
    if (keptAt === null) this.keepLater();
    this.before = this.view?.id === view.id ? this.view.year : null;
    this.view = view;
    this.season = this.looking.season = view.year.season;
    this.error = '';
  }

  /**
   * Somebody has changed the plan, perhaps I myself. What is being tried out or typed stays, on the
   * plan as it is now; after my own edits there is nothing to ask for.
   */
  private async heard(id: string, told: Heard) {
    await this.queue;
    const known = () => this.view?.id !== id || told.revision! <= this.view.revision;
    const elsewhere = told.plan !== null && told.plan !== id;
    if (elsewhere && this.view?.others.some((o) => o.id === told.plan)) return;
    if (told.plan === id && known()) return;
    try {
      const view = await this.api.plan(id);
      if (this.view?.id !== id || this.conflict || view.revision < this.view.revision) return;
      if (view.revision > this.view.revision) this.before = this.view.year;
      this.view = view;
      this.keepLater();
      if (this.trial) void this.tryOut(this.tried);
    } catch (e) {
      this.error = this.explain(e);
    }
  }

  /** Takes over a plan that another call has stored. */
  took(view: PlanView) {
    this.show(view);
  }

  /** Looks at the same plan in another season; nothing of the plan changes. */
  async look(season: string) {
    const was = this.looking.season;
    this.looking.season = season;
    try {
      this.show(await this.api.plan(this.view!.id));
      this.before = null;
    } catch (e) {
      this.looking.season = was;
      this.error = this.explain(e);
    }
  }

  /** The farm's recorded weather, for the season switch. */
  async needRecords() {
    const id = this.view!.id;
    try {
      const records = await this.api.weather(id);
      if (this.view?.id === id) this.records = records;
    } catch (e) {
      this.error = this.explain(e);
    }
  }

  /**
   * Stores edits as one revision. True when they were taken, perhaps on top of somebody else's.
   * Edits of one person are sent one after the other, each on what the one before it left, so that
   * nobody conflicts with themselves. What was typed on an older revision says so, else it would
   * quietly bring back what an undo took; of what is shown now only edits of mine that are on their
   * way make it older.
   */
  edit(edits: Edit[], revision?: number, also: string[] = []): Promise<boolean> {
    const alsoIn = also.map((plan) => ({ plan, onTopOf: null }));
    const shown = this.view!.revision;
    const madeOn = () =>
      revision === undefined
        ? this.view!.revision
        : revision === shown
          ? this.afterMine(revision)
          : revision;
    const sent = this.queue.then(() =>
      this.send({ revision: madeOn(), onTopOf: null, edits, alsoIn }),
    );
    this.queue = sent.catch(() => false);
    return sent;
  }

  private afterMine(revision: number): number {
    let after = revision;
    while (this.mine[after] !== undefined) after = this.mine[after];
    return after;
  }

  private async send(request: EditRequest): Promise<boolean> {
    try {
      const view = await this.api.edit(this.view!.id, request);
      this.mine[request.revision] = view.revision;
      this.show(view);
      return true;
    } catch (e) {
      if (e instanceof Refusal && CONFLICTS.includes(e.problem.code)) {
        this.conflict = { request, problem: e.problem };
        return new Promise((settle) => (this.settle = settle));
      }
      this.error = isOffline(e)
        ? 'The server does not answer: this change was not stored. What you write down is kept.'
        : this.explain(e);
      return false;
    }
  }

  /**
   * Writes down what was seen or done. No edit of anybody can make it stale. True also where it
   * waits on the device until the server is there.
   */
  async write(seen: Seen[]): Promise<boolean> {
    const { id, farm } = this.view!;
    try {
      const by = { who: me.id ?? 0, planId: id, farmName: farm.name };
      const view = await write(this.api, by, seen);
      if (view && this.view?.id === id) this.show(view);
      return true;
    } catch (e) {
      this.error = this.explain(e);
      return false;
    }
  }

  /** Puts mine on top of what I was told; told again when the plan has moved on once more. */
  async putOnTop() {
    const { request, problem } = this.conflict!;
    await this.sendAgain({ ...request, onTopOf: problem.revision! });
  }

  /** Puts mine also over what other plans hold; those that cannot take it are left out. */
  async overThere() {
    const { request, problem } = this.conflict!;
    const against = problem.against!;
    const told = (also: Also) => against.find((a) => a.plan === also.plan);
    const alsoIn = request
      .alsoIn!.filter((also) => !told(also)?.refused)
      .map((also) => ({ ...also, onTopOf: told(also)?.revision ?? also.onTopOf }));
    await this.sendAgain({ ...request, alsoIn });
  }

  /** Leaves the plans alone in which something stands against mine. */
  async notThere() {
    const { request, problem } = this.conflict!;
    const against = problem.against!.map((a) => a.plan);
    const alsoIn = request.alsoIn!.filter((also) => !against.includes(also.plan));
    await this.sendAgain({ ...request, alsoIn });
  }

  private async sendAgain(request: EditRequest) {
    try {
      this.show(await this.api.edit(this.view!.id, request));
      this.settled(true);
    } catch (e) {
      if (e instanceof Refusal && CONFLICTS.includes(e.problem.code)) {
        this.conflict = { request, problem: e.problem };
        return;
      }
      this.error = this.explain(e);
      await this.dropMine();
    }
  }

  /** Asks anew for what is stored. */
  async again() {
    this.view = await this.api.plan(this.view!.id);
  }

  /** Gives mine up and shows what is stored. */
  async dropMine() {
    const said = this.error;
    this.show(await this.api.plan(this.view!.id));
    this.error = said;
    this.settled(false);
  }

  private settled(taken: boolean) {
    this.conflict = null;
    this.settle?.(taken);
    this.settle = null;
  }

  async undo() {
    if (this.mayPlan && this.view?.undo)
      await this.step(this.api.undo(this.view.id, this.view.revision));
  }

  async redo() {
    if (this.mayPlan && this.view?.redo)
      await this.step(this.api.redo(this.view.id, this.view.revision));
  }

  /** Takes a whole new state of the plan; where it moved on meanwhile, shows it and says so. */
  async step(answer: Promise<PlanView>): Promise<boolean> {
    try {
      this.show(await answer);
      return true;
    } catch (e) {
      if (e instanceof Refusal && e.problem.code === 'stale_revision') {
        this.show(await this.api.plan(this.view!.id));
      }
      this.error = this.explain(e);
      return false;
    }
  }

  /** A form says what it holds and has not saved; an empty list where it holds nothing. */
  draft(edits: Edit[]) {
    this.drafted = edits;
  }

  /**
   * Shows what edits would do, on top of what an open form holds: one question at a time, always the
   * newest next. Each answer shows, so that the picture moves while a hand does.
   */
  async tryOut(edits: Edit[]) {
    this.tried = edits;
    this.next = [...this.drafted, ...edits];
    if (this.trying) return;
    this.trying = true;
    while (this.next) {
      const number = this.endedTrials;
      const asked: Edit[] = this.next;
      this.next = null;
      try {
        const parts = this.parts;
        // of none where the screen shows more of none
        const about = parts && (this.about() ?? '');
        const year = await this.api.trial(this.view!.id, asked, parts, about, this.shelves());
        if (number === this.endedTrials) {
          this.trial = this.filled(year, parts);
          this.trialProblem = null;
        }
      } catch (e) {
        // half a number is refused too: what is typed on meanwhile is not told so
        if (number === this.endedTrials && !this.next) {
          if (e instanceof Refusal) this.trialProblem = e.problem;
          else this.error = String(e);
        }
      }
    }
    this.trying = false;
  }

  /** What no picture of this screen shows is not asked for; it stands as it is stored. */
  private filled(year: YearView, parts: Part[] | null): YearView {
    if (!parts) return year;
    const { fields, groups, water, needs } = this.view!.year;
    return {
      ...year,
      needs: parts.includes('NEEDS') ? year.needs : needs,
      fields: parts.includes('FIELDS')
        ? year.fields.map((f, i) =>
            asDrawn(completed(f, stored(fields, f.id)), this.trial?.fields[i] ?? fields[i]),
          )
        : fields,
      ...(parts.includes('GROUPS')
        ? { groups: year.groups.map((g) => completed(g, stored(groups, g.id))) }
        : { groups, water }),
    };
  }

  /**
   * A screen says which parts of a tried year it shows, and of which field or group it shows all;
   * what it returns is called when it goes.
   */
  shows(
    parts: Part[],
    about: () => string | null = () => null,
    shelves: () => ShelvesAsked | null = () => null,
  ): () => void {
    this.parts = parts;
    this.about = about;
    this.shelves = shelves;
    return () => {
      if (this.parts !== parts) return;
      this.parts = null;
      this.about = () => null;
      this.shelves = () => null;
    };
  }

  /** Shows a year that is not the stored one, such as one of the history. */
  showYear(year: YearView) {
    this.dropTrial();
    this.trial = year;
  }

  /** Ends a trial; what a form holds and has not saved shows again. */
  endTrial() {
    if (this.drafted.length) void this.tryOut([]);
    else this.dropTrial();
  }

  dropTrial() {
    this.endedTrials++;
    this.next = null;
    this.trial = null;
    this.trialProblem = null;
  }

  explain(e: unknown): string {
    return e instanceof Refusal ? problemText(e.problem, this.system) : String(e);
  }
}

function stored<T extends { id: string }>(of: T[], id: string): T | undefined {
  return of.find((item) => item.id === id);
}

/** The one that is drawn already, where nothing that is drawn of it differs: it is not drawn anew. */
function asDrawn(field: FieldYear, drawn: FieldYear | undefined): FieldYear {
  const same =
    drawn?.id === field.id &&
    drawn.eatenKg === field.eatenKg &&
    drawn.grownKg === field.grownKg &&
    drawn.coverKgPerHa.every((kg, d) => kg === field.coverKgPerHa[d]) &&
    drawn.grazedKg.every((kg, d) => kg === field.grazedKg[d]);
  return same ? drawn : field;
}

/** Days that were not asked for stand as they are stored. */
function completed<T extends object>(tried: T, stored: T | undefined): T {
  if (!stored) return tried;
  const left = Object.entries(tried).filter(([, v]) => Array.isArray(v) && v.length === 0);
  return { ...tried, ...Object.fromEntries(left.map(([k]) => [k, stored[k as keyof T]])) };
}

const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';

/** A short id that no item has, here or in another browser at the same moment. */
export function freshId(name: string, taken: string[]): string {
  const base =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 26) || 'item';
  let id: string;
  do {
    const tail = Array.from(crypto.getRandomValues(new Uint8Array(5)));
    id = `${base}-${tail.map((b) => LETTERS[b % LETTERS.length]).join('')}`;
  } while (taken.includes(id));
  return id;
}
