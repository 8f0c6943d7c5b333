import { api, type FarmMorning, type MorningPage, type Verdict } from '../api/client';

/** By what the farms are sorted; WORST is how the page begins. */
export type Order = 'WORST' | 'NAME' | 'BARE' | 'IN_TEN' | 'FED' | 'NEXT' | 'LATE' | 'SEEN';

const AT_ONCE = 50;
/** While work is under way it is looked at so often, ms. */
const LOOK_EACH = 1500;

/** The page of all farms: what is asked for, and what was found. It stays while a farm is looked at. */
class Mornings {
  find = $state('');
  verdicts = $state.raw<Verdict[]>([]);
  late = $state(false);
  order = $state<Order>('WORST');
  back = $state(false);
  page = $state.raw<MorningPage | null>(null);
  /** Figures of farms so far: the first page, and what was asked for after it. */
  farms = $state.raw<FarmMorning[]>([]);
  error = $state.raw<unknown>(null);
  private asked = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** As the server and a file are asked. */
  get query(): Record<string, string> {
    return {
      find: this.find.trim(),
      verdict: this.verdicts.join(','),
      late: String(this.late),
      order: this.order,
      back: String(this.back),
    };
  }

  /** Looks anew, at as many as are shown; and again while farms wait. */
  async look(shown = this.farms.length) {
    clearTimeout(this.timer);
    const number = ++this.asked;
    const most = Math.min(200, Math.max(AT_ONCE, shown));
    try {
      const page = await api.mornings({ ...this.query, most: String(most) });
      if (number !== this.asked) return;
      this.page = page;
      this.farms = page.farms;
      this.error = null;
      if (page.progress.waiting) this.timer = setTimeout(() => void this.look(), LOOK_EACH);
    } catch (e) {
      if (number === this.asked) this.error = e;
    }
  }

  /** The next ones after those that are shown. */
  async more() {
    const number = this.asked;
    const next = await api.mornings({
      ...this.query,
      from: String(this.farms.length),
      most: String(AT_ONCE),
    });
    if (number === this.asked) this.farms = [...this.farms, ...next.farms];
  }

  async bringUpToDate() {
    await api.bringMorningsUpToDate();
    await this.look();
  }

  /** Asks for something else: from the beginning. */
  change(what: () => void) {
    what();
    void this.look(0);
  }

  sort(order: Order) {
    this.change(() => {
      this.back = this.order === order ? !this.back : false;
      this.order = order;
    });
  }

  toggle(verdict: Verdict) {
    this.change(() => {
      this.verdicts = this.verdicts.includes(verdict)
        ? this.verdicts.filter((v) => v !== verdict)
        : [...this.verdicts, verdict];
    });
  }

  /** Nobody looks any more. */
  leave() {
    clearTimeout(this.timer);
    this.asked++;
  }
}

export const mornings = new Mornings();
