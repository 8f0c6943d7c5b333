import { getContext, setContext } from 'svelte';
import type { PlanSession } from './session.svelte';

const KEY = Symbol('the plan that what stands below is about');

/** Hands a plan down to every component below; another one may stand beside it. */
export function givePlan(plan: PlanSession): PlanSession {
  return setContext(KEY, plan);
}

/** The plan that a component is about. To be asked for while it is made. */
export function thePlan(): PlanSession {
  return getContext<PlanSession>(KEY);
}
