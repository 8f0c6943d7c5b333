import {
  Refusal,
  type CoverSeen,
  type FarmRecord,
  type Pack,
  type Problem,
  type ReadingLine,
  type StemAnswer,
  type StemsSeen,
  type Walk,
  type WalkAnswer,
} from '../api/client';
import type { Asked } from './worker';

type Told = { number: number; told?: { answer?: unknown; refused?: Problem }; failed?: string };

/** Has the engine be on this device before it is needed; the page's worker keeps what is fetched. */
export async function fetchEngine(): Promise<void> {
  const { file } = (await (await fetch('/pocket.json')).json()) as { file: string };
  await (await fetch(file)).arrayBuffer();
}

/** The engine on this device: the same one as on the server, on a plan that was kept. */
export class Pocket {
  private worker: Worker | null = null;
  private number = 0;
  private readonly waiting = new Map<number, (told: Told) => void>();
  private opened = '';

  private ask<T>(call: Asked['call'], ...values: unknown[]): Promise<T> {
    this.worker ??= this.begun();
    const asked: Asked = { number: ++this.number, call, values };
    return new Promise((done, fail) => {
      this.waiting.set(asked.number, ({ told, failed }) => {
        if (told?.refused) fail(new Refusal({ status: 422, ...told.refused }));
        else if (failed !== undefined) fail(new Error(failed));
        else done(told!.answer as T);
      });
      this.worker!.postMessage(asked);
    });
  }

  private begun(): Worker {
    const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<Told>) => {
      this.waiting.get(data.number)?.(data);
      this.waiting.delete(data.number);
    };
    return worker;
  }

  /**
   * Has it reckon with a plan and records.
   *
   * @param key of the pack: under the same one with the same records there is nothing to do
   */
  async open(key: string, pack: Pack, more: FarmRecord[]): Promise<void> {
    const now = [key, ...more.map((r) => r.id)].join(' ');
    if (now === this.opened) return;
    this.opened = now;
    try {
      await this.ask('open', pack.stated, [...pack.records, ...more], pack.drySeed);
    } catch (e) {
      this.opened = '';
      throw e;
    }
  }

  walk(on: string): Promise<Walk> {
    return this.ask('walk', on);
  }

  answer(on: string, reading: CoverSeen): Promise<WalkAnswer> {
    return this.ask('answer', on, reading);
  }

  stems(on: string, stems: StemsSeen): Promise<StemAnswer> {
    return this.ask('stems', on, stems);
  }

  readings(): Promise<ReadingLine[]> {
    return this.ask('readings');
  }
}

export const pocket = new Pocket();
