import { isOffline, Refusal } from '../api/client';
import type {
  CoverSeen,
  Pack,
  ReadingLine,
  StemAnswer,
  StemsSeen,
  Walk,
  WalkAnswer,
} from '../api/client';
import { keep, kept, opensAlone } from '../device/kept';
import { link } from '../device/link.svelte';
import { queue } from '../device/queue.svelte';
import { asRecords } from '../device/store';
import type { PlanSession } from '../plan/session.svelte';
import { pocket, type Pocket } from '../pocket/pocket';

/** The server has so long, where the device can answer as well, ms. */
const PATIENCE_MS = 4000;

/** A round with its readings, and when the plan was kept that the device reckoned it from. */
export interface Reckoned {
  walk: Walk;
  readings: ReadingLine[];
  keptAt: number | null;
}

/** The engine of this device on a plan, with what waits as if it were taken; null where nothing of it was kept. */
async function onDevice(planId: string): Promise<{ engine: Pocket; at: number } | null> {
  const pack = await kept<Pack>(`pack ${planId}`);
  if (!pack) return null;
  await pocket.open(`${planId} ${pack.at}`, pack.value, queue.waitingIn(planId).flatMap(asRecords));
  return { engine: pocket, at: pack.at };
}

/**
 * From the server, or where it is away or slow, from the device.
 *
 * @param late is given what a slow server says in the end
 */
async function either<T>(
  planId: string,
  server: () => Promise<T>,
  device: (of: { engine: Pocket; at: number }) => Promise<T>,
  late: (found: T) => void = () => {},
): Promise<T> {
  const able = await kept(`pack ${planId}`);
  if (link.away === null) {
    try {
      if (!able) return await server();
      const slow = new Promise<'slow'>((done) => setTimeout(() => done('slow'), PATIENCE_MS));
      const said = server();
      const first = await Promise.race([said, slow]);
      if (first !== 'slow') return first as T;
      // where it fails after all, the device has answered
      said.then(late, () => {});
    } catch (e) {
      if (!isOffline(e) || !able) throw e;
    }
  }
  const here = await onDevice(planId);
  if (!here) throw new Refusal({ status: 0, code: 'offline' });
  return device(here);
}

/** The last round that was shown, at once: the engine of a cold phone takes some seconds. */
export async function lastWalk(planId: string, on: string): Promise<Reckoned | null> {
  const last = link.away === null ? null : await kept<Reckoned>(`walk ${planId}`);
  return last?.value.walk.on === on ? last.value : null;
}

/** A round; `late` is given the server's, where that comes after the device's own. */
export async function walkOn(
  open: PlanSession,
  on: string,
  late: (found: Reckoned) => void,
): Promise<Reckoned> {
  const id = open.view!.id;
  const found = await either<Reckoned>(
    id,
    async () => ({
      walk: await open.api.walk(id, on),
      readings: await open.api.readings(id),
      keptAt: null,
    }),
    async ({ engine, at }) => ({
      walk: await engine.walk(on),
      readings: await engine.readings(),
      keptAt: at,
    }),
    late,
  );
  if (opensAlone()) void keep(`walk ${id}`, found);
  return found;
}

export function answerTo(open: PlanSession, on: string, reading: CoverSeen): Promise<WalkAnswer> {
  const id = open.view!.id;
  return either(
    id,
    () => open.api.walkAnswer(id, on, reading),
    ({ engine }) => engine.answer(on, reading),
  );
}

export function stemsAnswer(open: PlanSession, on: string, stems: StemsSeen): Promise<StemAnswer> {
  const id = open.view!.id;
  return either(
    id,
    () => open.api.stems(id, on, stems),
    ({ engine }) => engine.stems(on, stems),
  );
}

/** Has the device's engine be ready before it is needed: its first dry year takes it some seconds. */
export async function warm(planId: string, on: string): Promise<void> {
  try {
    await (await onDevice(planId))?.engine.walk(on);
  } catch {
    // the server answers, or it is tried again when it is asked
  }
}
