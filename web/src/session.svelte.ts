import { api, Refusal, signedOut, type FarmRow, type PlanRow, type Session } from './api/client';
import { open } from './plan.svelte';

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
      this.error = open.explain(e);
    }
  }

  /** Takes a session over and loads what belongs to it. */
  async begin(state: Session) {
    this.error = '';
    if (state.who) await this.refresh();
    else open.close();
    this.state = state;
  }

  async refresh() {
    const [farms, plans] = await Promise.all([api.farms(), api.plans(), open.needCatalogue()]);
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
      this.error = e instanceof Error && !(e instanceof Refusal) ? e.message : open.explain(e);
      return false;
    }
  }
}

export const signed = new Signed();

signedOut.tell = () => {
  if (signed.state?.who) void signed.look();
};
