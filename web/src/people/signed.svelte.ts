import {
  api,
  Refusal,
  signedOut,
  type FoundFarms,
  type PlanRow,
  type Session,
} from '../api/client';
import { forget, keep, kept, opensAlone } from '../device/kept';
import { link } from '../device/link.svelte';
import { queue } from '../device/queue.svelte';
import { me } from '../plan/outbox';
import { problemText } from '../words/refusals';

interface KeptSession {
  state: Session;
  farms: FoundFarms;
}

/** Who is signed in, and what they may see. */
class Signed {
  state = $state<Session | null>(null);
  /** The first farms of those that are looked for. */
  farms = $state.raw<FoundFarms>({ farms: [], found: 0, total: 0 });
  /** What they are looked for by. */
  find = $state('');
  /** The plans of the farm that is open. */
  plans = $state.raw<PlanRow[]>([]);
  private farm = '';
  error = $state('');

  get who() {
    return this.state?.who ?? null;
  }

  async look() {
    try {
      await this.begin(await api.session());
    } catch (e) {
      const was = link.away === null ? null : await kept<KeptSession>('session');
      if (was?.value.state.who) {
        this.farms = was.value.farms;
        this.take(was.value.state);
      } else this.error = explained(e);
    }
  }

  /** Takes a session over and loads what belongs to it. */
  async begin(state: Session) {
    this.error = '';
    if (state.who) {
      this.find = '';
      await this.refresh();
    }
    this.take(state);
    if (state.who) void this.keepThis();
  }

  private take(state: Session) {
    this.state = state;
    me.id = state.who?.id ?? null;
    // what waited for this person goes out now
    if (me.id !== null && link.away === null) void queue.send(api, me.id);
  }

  /** For where there is no signal; a page that has no worker yet does it once it has. */
  async keepThis() {
    if (this.state?.who && opensAlone())
      await keep('session', $state.snapshot({ state: this.state, farms: this.farms }));
  }

  /** What belongs to the person, as it is now. */
  async refresh() {
    const find = this.find;
    const [farms, plans] = await Promise.all([
      api.farms(find),
      this.farm ? api.plansOf(this.farm).catch(gone) : [],
    ]);
    if (find === this.find) this.farms = farms;
    this.plans = plans;
  }

  /** Looks for farms by a part of their name; the answer to what was typed last counts. */
  async lookFor(find: string) {
    this.find = find;
    const farms = await api.farms(find);
    if (find === this.find) this.farms = farms;
  }

  /** A farm is open: its plans are wanted. */
  async opened(farm: string) {
    if (farm === this.farm) return;
    this.farm = farm;
    const plans = farm ? await api.plansOf(farm).catch(gone) : [];
    if (farm === this.farm) this.plans = plans;
  }

  async signOut() {
    await this.begin(await api.signOut());
    await forget();
  }

  /** Why something went wrong. */
  explain(e: unknown): string {
    return explained(e);
  }

  /** Does something and says what went wrong; true when nothing did. */
  async attempt(what: () => Promise<void>): Promise<boolean> {
    this.error = '';
    try {
      await what();
      return true;
    } catch (e) {
      this.error = explained(e);
      return false;
    }
  }
}

/** The farm that was open may be gone, or be no longer theirs. */
function gone(e: unknown): PlanRow[] {
  if (e instanceof Refusal) return [];
  throw e;
}

/** Nothing about people and farms is said in units. */
function explained(e: unknown): string {
  if (e instanceof Refusal) return problemText(e.problem, 'METRIC');
  return e instanceof Error ? e.message : String(e);
}

export const signed = new Signed();

signedOut.tell = () => {
  if (signed.state?.who) void signed.look();
};
