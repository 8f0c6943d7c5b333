/** The engine beside the page, so that a thumb never waits for it. */
interface Engine {
  open(stated: unknown, records: unknown, drySeed: number): unknown;
  walk(on: string): unknown;
  answer(on: string, reading: unknown): unknown;
  stems(on: string, stems: unknown): unknown;
  readings(): unknown;
}

export interface Asked {
  number: number;
  call: keyof Engine;
  values: unknown[];
}

let engine: Promise<Engine> | null = null;

async function load(): Promise<Engine> {
  const named = (await (await fetch('/pocket.json')).json()) as { file: string };
  return (await import(/* @vite-ignore */ named.file)) as Engine;
}

self.onmessage = async ({ data }: MessageEvent<Asked>) => {
  try {
    engine ??= load();
    const of = (await engine) as unknown as Record<string, (...values: unknown[]) => unknown>;
    self.postMessage({ number: data.number, told: of[data.call](...data.values) });
  } catch (e) {
    engine = null;
    self.postMessage({ number: data.number, failed: String(e) });
  }
};
