import type { Role } from '../api/client';

/** What a person here is, and may. */
export const ROLES: Record<Role, { one: string; plural: string; may: string }> = {
  OWNER: {
    one: 'an owner',
    plural: 'owners',
    may: 'changes plans, invites people, removes plans and the farm',
  },
  PLANNER: { one: 'a planner', plural: 'planners and owners', may: 'changes plans' },
  HELPER: {
    one: 'a helper',
    plural: 'helpers, planners and owners',
    may: 'looks and tries things out, writes down what was fed and counted, sends samples',
  },
  READER: { one: 'a reader', plural: 'everybody here', may: 'looks and tries things out' },
};
