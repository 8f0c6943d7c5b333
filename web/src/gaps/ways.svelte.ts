import { isoOf } from '../units/dates';
import type {
  Crop,
  CropSownOn,
  Edit,
  Gap,
  GapPlace,
  InFull,
  Lever,
  Mix,
  Sureness,
} from '../api/client';
import type { PlanSession } from '../plan/session.svelte';
import { kindsFor } from '../words/levers';
import { isBulk } from '../words/needs';

/** Hay is bought some time before it is wanted, not on the plan's first day. */
const BOUGHT_BEFORE_DAYS = 14;

/** In other weather a gap comes so much sooner or later. */
const ASIDE_DAYS = 30;

/** So many kinds of ways are asked for at once. */
const AT_ONCE = 2;

const plain = <T>(value: T): T => $state.snapshot(value) as T;

/** One way is told from another by what it would change. */
export const wayKey = (way: Lever) => `${way.kind} ${JSON.stringify(way.edits)}`;

/**
 * Ways out of one gap: those that were found, the one that is looked at, and those that are tried
 * together with it.
 */
export class GapWays {
  levers = $state.raw<Lever[]>([]);
  looking = $state(false);
  /** The way that is looked at, with what was changed in it. */
  chosen = $state<Lever | null>(null);
  chosenKey = $state('');
  /** Ways of the set, as they were when they were put there. */
  picks = $state.raw<Lever[]>([]);
  /** What the set and the chosen one do; null until the answer is there. */
  full = $state.raw<InFull | null>(null);
  trouble = $state('');
  buyDate = $state('');
  private from = $state(0);
  private next: Edit[][] | null = null;
  private asking = false;
  private answered: Promise<void> = Promise.resolve();
  /** The screen was left: nothing more is asked or read. */
  private gone = false;

  constructor(
    private readonly open: PlanSession,
    from: number,
    readonly kind: Gap['kind'] = 'STORE',
    private readonly group: string | null = null,
  ) {
    this.from = from;
    const start = open.view!.year.start;
    this.buyDate = isoOf(start, Math.max(0, (this.gap?.firstDay ?? 0) - BOUGHT_BEFORE_DAYS));
  }

  private get every(): Gap[] {
    return [...this.open.view!.year.gaps, ...this.open.view!.year.needs];
  }
  /** Every gap of the kind that is looked at; of one group where dry matter does not count. */
  get gaps(): Gap[] {
    const its = (g: Gap) => g.groups.some((s) => s.groupId === this.group);
    return this.every.filter((g) => g.kind === this.kind && (isBulk(g.kind) || its(g)));
  }
  /** The gap that was asked for, or what is left of it; else the first that there is. */
  get gap(): Gap | undefined {
    const all = this.gaps;
    return all.find((g) => g.lastDay >= this.from) ?? all[0];
  }
  private get place(): GapPlace {
    const gap = this.every.indexOf(this.gap!);
    return this.part ? { gap, from: this.part.from, to: this.part.to } : { gap };
  }

  /** The plan days of the gap that are looked at; null for all of it. */
  part = $state.raw<{ from: number; to: number } | null>(null);
  /** Looks at some days of the gap only, or at all of it again. */
  lookAtPart(part: { from: number; to: number } | null) {
    this.part = part;
    void this.look();
  }

  leave() {
    this.gone = true;
    this.open.dropTrial();
    if (this.sure !== null && this.open.view) void this.open.look(this.seasonBefore);
  }

  /** Share of the simulated years in which the gap is to be closed; null: the season looked at. */
  sure = $state<number | null>(null);
  /** What came of asking for it: the years, mildest first. */
  years = $state.raw<Sureness | null>(null);
  sureBusy = $state(false);
  private seasonBefore = '';

  /**
   * Looks at the gap in the simulated year that so large a share of all is no harder than; with
   * null in the season that was looked at before.
   */
  async beSure(share: number | null) {
    this.sureBusy = true;
    try {
      if (this.sure === null) this.seasonBefore = this.open.season;
      else await this.open.look(this.seasonBefore);
      if (this.gone) return;
      this.sure = share;
      this.years = null;
      this.part = null;
      if (share !== null && this.gap) {
        const years = await this.open.api.sureness(this.open.view!.id, this.place, []);
        if (this.gone) return;
        this.years = years;
        const year = this.hardest!;
        const days = { first: this.gap.firstDay - ASIDE_DAYS, last: this.gap.lastDay + ASIDE_DAYS };
        if (year.bareKgBefore >= years.dayKg) {
          await this.open.look(year.season);
          if (this.gone) return;
          const there = this.gaps
            .filter((g) => g.lastDay >= days.first && g.firstDay <= days.last)
            .sort((a, b) => b.shortKg - a.shortKg)[0];
          if (there) this.from = there.firstDay;
        }
      }
      await this.look();
    } catch (e) {
      if (!this.gone) this.open.error = this.open.explain(e);
    } finally {
      this.sureBusy = false;
    }
  }

  /** The year that the wanted share of all is no harder than. */
  get hardest(): Sureness['years'][number] | null {
    if (!this.years || this.sure === null) return null;
    const rank = Math.ceil(this.sure * this.years.years.length - 1e-9);
    return this.years.years[Math.max(1, rank) - 1];
  }

  /** What a way brings when it is done so many days later, kg DM; null where it cannot be then. */
  bringsLater(way: Lever, days: number[]): Promise<(number | null)[]> {
    return this.open.api.waiting(this.open.view!.id, this.place, way.edits as Edit[], days);
  }

  /** In how many simulated years what is tried closes the gap. */
  surenessOf(edits: Edit[]): Promise<Sureness> {
    return this.open.api.sureness(this.open.view!.id, this.place, edits);
  }

  /** Kinds of ways that were tried of all that there are, while they are. */
  progress = $state({ done: 0, all: 0 });
  private search = 0;

  /** Finds the ways anew, kind by kind; what is chosen and picked is let go. */
  async look() {
    const search = ++this.search;
    const here = () => !this.gone && search === this.search;
    this.levers = [];
    this.chosen = null;
    this.picks = [];
    this.full = null;
    this.mix = null;
    this.must = [];
    this.never = [];
    this.trouble = '';
    this.open.dropTrial();
    if (!this.gap) return;
    const [id, place, date] = [this.open.view!.id, this.place, this.buyDate];
    const left = kindsFor(this.kind);
    this.progress = { done: 0, all: left.length };
    this.looking = true;
    const worker = async () => {
      for (let kind = left.shift(); kind && here(); kind = left.shift()) {
        const found = await this.open.api.levers(id, place, date, kind);
        if (!here()) return;
        this.levers = [...this.levers, ...found];
        this.progress = { ...this.progress, done: this.progress.done + 1 };
      }
    };
    try {
      await Promise.all(Array.from({ length: AT_ONCE }, worker));
    } catch (e) {
      if (here()) this.open.error = this.open.explain(e);
    }
    if (here()) this.looking = false;
  }

  /** Crops for the gap on a field. */
  crops(fieldId: string, use: string): Promise<Crop[]> {
    return this.open.api.crops(this.open.view!.id, this.place, fieldId, use);
  }
  /** What a crop makes by the day on which it is sown. */
  cropDates(fieldId: string, crop: Crop): Promise<CropSownOn[]> {
    const { forageId, purpose } = crop;
    return this.open.api.cropDates(this.open.view!.id, this.place, fieldId, forageId, purpose);
  }
  /** Looks at a crop that is not in the list, as at the ways that are. */
  chooseCrop(crop: Crop) {
    this.choose({
      kind: 'SOW',
      edits: crop.edits,
      bringsKg: 0,
      inGapKg: 0,
      shortDaysAfter: 0,
      bareKgAfter: 0,
      bareDaysAfter: 0,
      storedKgMore: 0,
      cost: null,
      decideBy: crop.latest,
    });
  }

  /** Leaves the rest untried; what was found stays. */
  stop() {
    this.search++;
    this.looking = false;
  }

  choose(way: Lever) {
    this.chosen = plain(way);
    this.chosenKey = wayKey(way);
    this.try();
  }

  /** The ways that are tried: those of the set, and the chosen one unless it is one of them. */
  get tried(): Lever[] {
    if (!this.chosen) return this.picks;
    const rest = this.picks.filter((p) => wayKey(p) !== this.chosenKey);
    return [...rest, this.chosen];
  }
  picked(way: Lever): boolean {
    return this.picks.some((p) => wayKey(p) === wayKey(way));
  }
  toggle(way: Lever) {
    const key = wayKey(way);
    this.picks = this.picked(way)
      ? this.picks.filter((p) => wayKey(p) !== key)
      : [...this.picks, plain(way)];
    if (this.chosenKey === key) this.chosen = null;
    this.try();
  }
  /** Puts the chosen one, as it was changed, into the set. */
  pickChosen() {
    if (!this.chosen) return;
    this.picks = plain(this.tried);
    this.chosen = null;
    this.chosenKey = '';
  }
  drop() {
    this.picks = [];
    this.mix = null;
    this.chosen = null;
    this.chosenKey = '';
    this.try();
  }

  /** Asks what is tried does; of several questions only the newest is asked. */
  try() {
    const ways = plain(this.tried).map((w) => w.edits as Edit[]);
    if (!ways.length) {
      this.next = null;
      this.full = null;
      this.open.dropTrial();
      return;
    }
    this.next = ways;
    if (!this.asking) this.answered = this.ask();
  }

  private async ask() {
    this.asking = true;
    while (this.next && !this.gone) {
      const ways = this.next;
      this.next = null;
      try {
        const full = await this.open.api.ways(this.open.view!.id, this.place, ways);
        if (this.gone || this.next || !this.tried.length) continue;
        this.full = full;
        this.trouble = '';
        void this.open.tryOut(full.edits as Edit[]);
      } catch (e) {
        if (this.gone) break;
        this.full = null;
        this.trouble = this.open.explain(e);
      }
    }
    this.asking = false;
  }

  /** The cheapest mix and the ways that it was chosen among; null until one is asked for. */
  mix = $state.raw<{ answer: Mix; among: Lever[] } | null>(null);
  mixing = $state(false);
  /** Ways, by what they would change, that must be in it, and that may not. */
  must = $state.raw<string[]>([]);
  never = $state.raw<string[]>([]);
  mayBuy = $state(true);
  /** Hours of work that there are for the mix; null where nobody said. */
  hoursMost = $state<number | null>(null);

  /** Seeks the cheapest mix among what was found, and tries it. */
  async seekMix() {
    const among = this.levers.filter((l) => l.kind !== 'BUY_HAY');
    // it changes the herd's calendar for good: in it only where somebody wants that
    if (!this.mix) this.never = among.filter((l) => l.kind === 'MOVE_BIRTHS').map(wayKey);
    const places = (keys: string[]) =>
      among.flatMap((l, i) => (keys.includes(wayKey(l)) ? [i] : []));
    this.mixing = true;
    try {
      const answer = await this.open.api.mix(
        this.open.view!.id,
        this.place,
        plain(among).map((l) => l.edits as Edit[]),
        places(this.must),
        places(this.never),
        this.mayBuy,
        this.sure,
        this.hoursMost,
      );
      if (this.gone) return;
      this.mix = { answer, among };
      this.chosen = null;
      this.chosenKey = '';
      this.picks = [...answer.taken.map((i) => among[i]), ...this.hayOf(answer)];
      this.try();
    } catch (e) {
      if (!this.gone) this.open.error = this.open.explain(e);
    }
    this.mixing = false;
  }

  private hayOf(answer: Mix): Lever[] {
    const bought = this.levers.find((l) => l.kind === 'BUY_HAY');
    if (!answer.hay.length) return [];
    return [
      {
        kind: 'BUY_HAY',
        edits: answer.hay,
        bringsKg: 0,
        inGapKg: 0,
        shortDaysAfter: 0,
        bareKgAfter: 0,
        bareDaysAfter: 0,
        storedKgMore: 0,
        cost: answer.hayCost,
        decideBy: bought?.decideBy ?? answer.hay[0].putPurchase!.date,
      },
    ];
  }

  /** Takes a way into the mix, leaves it out, or lets the mix decide, and seeks anew. */
  rule(way: Lever, as: 'must' | 'never' | 'free') {
    const key = wayKey(way);
    const without = (keys: string[]) => keys.filter((k) => k !== key);
    this.must = as === 'must' ? [...without(this.must), key] : without(this.must);
    this.never = as === 'never' ? [...without(this.never), key] : without(this.never);
    void this.seekMix();
  }

  /** Puts what is tried into the plan; true where that was done. */
  async apply(): Promise<boolean> {
    await this.answered;
    if (!this.full) return false;
    return (await this.open.edit(plain(this.full.edits) as Edit[])) && !this.gone;
  }

  /** Keeps what is tried as a plan of its own; its address. */
  async keep(name: string): Promise<string | null> {
    await this.answered;
    if (!this.full) return null;
    const edits = plain(this.full.edits) as Edit[];
    const { id } = await this.open.api.copy(this.open.view!.id, name);
    const made = await this.open.api.plan(id);
    await this.open.api.edit(id, { revision: made.revision, onTopOf: null, edits, alsoIn: [] });
    return id;
  }

  async moveBuying(iso: string) {
    this.buyDate = iso;
    try {
      const found = await this.open.api.levers(this.open.view!.id, this.place, iso, 'BUY_HAY');
      if (this.gone || this.buyDate !== iso) return;
      this.levers = [...this.levers.filter((l) => l.kind !== 'BUY_HAY'), ...found];
      if (found[0]) this.choose(found[0]);
    } catch (e) {
      if (!this.gone) this.open.error = this.open.explain(e);
    }
  }
}
