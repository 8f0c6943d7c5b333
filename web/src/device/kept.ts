import { isOffline } from '../api/client';
import { store } from './store';

/** Something the server sent, with when that was. */
export interface Kept<T> {
  at: number;
  value: T;
}

/** Kept for where there is no signal; what cannot be kept is done without. */
export async function keep(key: string, value: unknown): Promise<void> {
  try {
    await (await store())?.put('kept', { at: Date.now(), value }, key);
  } catch {
    // the device is full, or lets nothing be kept
  }
}

export async function kept<T>(key: string): Promise<Kept<T> | null> {
  try {
    return ((await (await store())?.get('kept', key)) as Kept<T> | undefined) ?? null;
  } catch {
    return null;
  }
}

/** What the server says, or where it is away, what it said last. */
export async function remembered<T>(key: string, ask: () => Promise<T>): Promise<T> {
  try {
    const said = await ask();
    if (opensAlone()) void keep(key, said);
    return said;
  } catch (e) {
    const was = isOffline(e) ? await kept<T>(key) : null;
    if (!was) throw e;
    return was.value;
  }
}

/** Whoever signs out leaves nothing of the farms behind; what waits to be sent stays. */
export async function forget(): Promise<void> {
  await (await store())?.clear('kept');
}

/** True where the product opens without a network: what it needs is kept as well. */
export function opensAlone(): boolean {
  return typeof navigator !== 'undefined' && !!navigator.serviceWorker?.controller;
}
