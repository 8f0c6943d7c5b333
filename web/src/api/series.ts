import type { components } from './schema';

type Sent = components['schemas']['Series'];

/** What is sent, with the values of the days in the place of how they change. */
export type Read<T> = T extends Sent
  ? number[]
  : T extends (infer One)[]
    ? Read<One>[]
    : T extends object
      ? { [K in keyof T]: Read<T[K]> }
      : T;

function isSeries(value: object): value is Sent {
  return 'step' in value && 'of' in value && Array.isArray(value.of);
}

/** Puts the values of the days wherever a series is written as it changes. */
export function withDays<T>(sent: T): Read<T> {
  if (Array.isArray(sent)) {
    // most of what is sent is numbers
    return (typeof sent[0] === 'object' ? sent.map(withDays) : sent) as Read<T>;
  }
  if (sent === null || typeof sent !== 'object') return sent as Read<T>;
  if (isSeries(sent)) {
    let sum = 0;
    return sent.of.map((change) => (sum += change) * sent.step) as Read<T>;
  }
  for (const [key, value] of Object.entries(sent)) {
    if (value !== null && typeof value === 'object')
      (sent as Record<string, unknown>)[key] = withDays(value);
  }
  return sent as Read<T>;
}
