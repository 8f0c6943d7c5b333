import { Refusal, type Api, type PlanView, type Seen } from '../api/client';
import { link } from '../device/link.svelte';
import { sendPhotos } from '../device/photos';
import { later, queue } from '../device/queue.svelte';

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

/** Who is signed in: whatever is written down goes out under their name. */
export const me: { id: number | null } = { id: null };

/** Who writes, and in which plan of which farm. */
export interface Writer {
  who: number;
  planId: string;
  farmName: string;
}

/**
 * Writes down what was seen: on the device first, so that neither a lost signal nor a closed browser
 * loses it, then with the server. What the server cannot take now waits.
 *
 * @returns the plan with it, or null where it waits
 * @throws Refusal where the server refuses it; then nothing of it waits either
 */
export async function write(api: Api, by: Writer, records: Seen[]): Promise<PlanView | null> {
  const command = { commandId: commandId(), device: device(), records };
  const before = queue.of(by.who).length > 0;
  const away = link.away !== null;
  const entry = await queue.add({ ...by, ...command }, !away);
  if (away) return null;
  try {
    if (before) {
      // in the order of writing
      await queue.send(api, by.who);
      return await taken(api, by.planId, entry.n);
    }
    await sendPhotos(api, by.planId, records);
    const view = await api.write(by.planId, command);
    await queue.drop(entry.n);
    return view;
  } catch (e) {
    if (later(e)) return null;
    await queue.drop(entry.n);
    throw e;
  } finally {
    queue.answered(entry.n);
  }
}

async function taken(api: Api, planId: string, n: number): Promise<PlanView | null> {
  const mine = queue.entries.find((e) => e.n === n);
  if (mine?.problem) {
    await queue.drop(n);
    throw new Refusal({ status: 422, ...mine.problem });
  }
  return mine ? null : api.plan(planId);
}
