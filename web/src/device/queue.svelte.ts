import { Refusal, type Api, type Problem } from '../api/client';
import { dropPhotos, sendPhotos } from './photos';
import { store, type Waiting } from './store';

/** The server takes so many at once. */
const AT_ONCE = 100;

type New = Pick<Waiting, 'commandId' | 'planId' | 'farmName' | 'who' | 'device' | 'records'>;

/** True where the server may take it another time: it was not reached, had no time, or knows nobody. */
export function later(e: unknown): boolean {
  if (!(e instanceof Refusal)) return false;
  const { status = 0, code } = e.problem;
  return code === 'offline' || status >= 500 || status === 401 || status === 429;
}

/**
 * What was written down and has not been taken by the server: kept on the device until it has, in
 * the order of writing. Each goes under a name of its own, which the server takes once.
 */
export class Queue {
  entries = $state.raw<Waiting[]>([]);
  /** Places of those whose first answer is still on its way: they are not told to wait. */
  private direct = $state.raw<number[]>([]);
  private sending: Promise<void> | null = null;
  private alone = 0;

  /** Takes up what a browser that was closed has left. */
  async load() {
    const db = await store();
    if (!db) return;
    const onDevice = (await db.getAll('queue')) as Waiting[];
    const last = onDevice.at(-1)?.n ?? 0;
    // what was added meanwhile, or could not be kept, is not among those
    this.entries = [...onDevice, ...this.entries.filter((e) => e.n < 0 || e.n > last)];
  }

  /** What waits for another time. */
  get waiting(): Waiting[] {
    return this.entries.filter((e) => !this.direct.includes(e.n));
  }

  /** The same of one plan, but for what was refused. */
  waitingIn(planId: string | undefined): Waiting[] {
    return this.waiting.filter((e) => e.planId === planId && e.problem === null);
  }

  /** The first answer has come, or will not. */
  answered(n: number) {
    this.direct = this.direct.filter((d) => d !== n);
  }

  /**
   * Keeps it before anything else is done with it.
   *
   * @param direct it is sent now, and {@link answered} tells the end of that
   */
  async add(what: New, direct = false): Promise<Waiting> {
    const entry = { ...what, at: Date.now(), problem: null };
    const db = await store();
    let n = --this.alone;
    try {
      if (db) n = await db.add('queue', entry);
    } catch {
      // the device is full, or lets nothing be kept: it waits as long as the page is open
    }
    const added = { ...entry, n };
    if (direct) this.direct = [...this.direct, n];
    this.entries = [...this.entries.filter((e) => e.n !== n), added];
    return added;
  }

  async drop(n: number) {
    await this.dropAll(this.entries.filter((e) => e.n === n));
  }

  private async dropAll(taken: Waiting[]) {
    const gone = taken.map((e) => e.n);
    const queue = (await store())?.transaction('queue', 'readwrite');
    for (const n of gone) void queue?.store.delete(n);
    await queue?.done;
    this.entries = this.entries.filter((e) => !gone.includes(e.n));
    for (const e of taken) await dropPhotos(e.records);
  }

  private async refuse(n: number, problem: Problem | null) {
    const entry = this.entries.find((e) => e.n === n);
    if (!entry) return;
    const told = { ...entry, problem };
    if (n > 0) await (await store())?.put('queue', told);
    this.entries = this.entries.map((e) => (e.n === n ? told : e));
  }

  /** Lets what was refused be sent again. */
  async again(n: number) {
    await this.refuse(n, null);
  }

  /** What waits to be sent for a person, the oldest first. */
  of(who: number | null): Waiting[] {
    return this.entries.filter((e) => e.who === who && e.problem === null);
  }

  /**
   * Sends what waits for a person, oldest first. One at a time, also where two pages are open; what
   * cannot be sent now goes on waiting.
   */
  send(api: Api, who: number): Promise<void> {
    this.sending ??= this.locked(() => this.sendAll(api, who)).finally(() => (this.sending = null));
    return this.sending;
  }

  private async locked(what: () => Promise<void>): Promise<void> {
    if (typeof navigator === 'undefined' || !navigator.locks) return what();
    await navigator.locks.request('wise-larder-queue', what);
  }

  private async sendAll(api: Api, who: number) {
    await this.load();
    for (let next = this.of(who); next.length; next = this.of(who)) {
      const { planId } = next[0];
      const differs = next.findIndex((e) => e.planId !== planId);
      const all = next.slice(0, differs < 0 ? AT_ONCE : Math.min(differs, AT_ONCE));
      try {
        const some = await this.withPhotos(api, all);
        if (!some.length) continue;
        const taken = await api.queued(
          planId,
          some.map(({ commandId, device, records }) => ({ commandId, device, records })),
        );
        await this.dropAll(some.filter((_, i) => taken[i].refused === null));
        for (const [i, e] of some.entries())
          if (taken[i].refused !== null) await this.refuse(e.n, taken[i].refused as Problem);
      } catch (e) {
        if (later(e) || !(e instanceof Refusal)) return;
        // the plan is gone, or no longer theirs to write in
        for (const one of all) await this.refuse(one.n, e.problem);
      }
    }
  }

  /** Those of some whose pictures the server has now; whose it refuses is refused with them. */
  private async withPhotos(api: Api, some: Waiting[]): Promise<Waiting[]> {
    const there: Waiting[] = [];
    for (const one of some) {
      try {
        await sendPhotos(api, one.planId, one.records);
        there.push(one);
      } catch (e) {
        if (later(e) || !(e instanceof Refusal)) throw e;
        await this.refuse(one.n, e.problem);
      }
    }
    return there;
  }
}

export const queue = new Queue();
