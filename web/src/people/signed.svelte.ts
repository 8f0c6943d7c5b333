import { api, Refusal, signedOut, type FarmRow, type PlanRow, type Session } from '../api/client';
import { problemText } from '../words/refusals';

/** Who is signed in, and what they may see. */
class Signed {
  state = $state<Session | null>(null);
  farms = $state<FarmRow[]>([]);
  plans = $state<PlanRow[]>([]);
  error = $state('');

  get who() {
    return this.state?.who ?? null;
  }

  async look() {
    try {
      await this.begin(await api.session());
    } catch (e) {
      this.error = explained(e);
    }
  }

  /** Takes a session over and loads what belongs to it. */
  async begin(state: Session) {
    this.error = '';
    if (state.who) await this.refresh();
    this.state = state;
  }

  async refresh() {
    const [farms, plans] = await Promise.all([api.farms(), api.plans()]);
    this.farms = farms;
    this.plans = plans;
  }

  async signOut() {
    await this.begin(await api.signOut());
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

/** Nothing about people and farms is said in units. */
function explained(e: unknown): string {
  if (e instanceof Refusal) return problemText(e.problem, 'METRIC');
  return e instanceof Error ? e.message : String(e);
}

export const signed = new Signed();

signedOut.tell = () => {
  if (signed.state?.who) void signed.look();
};
