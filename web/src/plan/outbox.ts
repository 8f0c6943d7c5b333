import { Refusal, type Api, type PlanView, type Seen } from '../api/client';

const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';
const DEVICE = 'larder-device';

/** A name that no other request has, here or on another device. */
export function commandId(): string {
  const bytes = Array.from(crypto.getRandomValues(new Uint8Array(20)));
  return bytes.map((b) => LETTERS[b % LETTERS.length]).join('');
}

/** What this device calls itself in records: what it runs on, and a few letters of its own. */
export function device(): string {
  let name = localStorage.getItem(DEVICE);
  if (!name) {
    const runsOn = /Android|iPhone|iPad|Windows|Mac|Linux/.exec(navigator.userAgent)?.[0];
    name = `${runsOn ?? 'Device'} ${commandId().slice(0, 4)}`;
    localStorage.setItem(DEVICE, name);
  }
  return name;
}

/**
 * Writes down what was seen. A request whose answer was lost is sent once more under the same name,
 * which the server takes once.
 */
export async function write(api: Api, planId: string, records: Seen[]): Promise<PlanView> {
  const command = { commandId: commandId(), device: device(), records };
  try {
    return await api.write(planId, command);
  } catch (e) {
    if (e instanceof Refusal && e.problem.code === 'offline') return api.write(planId, command);
    throw e;
  }
}
