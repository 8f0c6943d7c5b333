import { connection } from '../api/client';

/** Asked soon, and then so often, whether the server is there again, ms. */
const ASK_AFTER_MS = 400;
const ASK_EVERY_MS = 5000;

/** Whether the server answers. */
class Link {
  /** Since when it does not, ms; null while it does. */
  away = $state<number | null>(null);
  private timer: ReturnType<typeof setInterval> | undefined;
  private readonly listeners = new Set<() => void>();

  constructor() {
    connection.lost = () => this.lost();
    connection.there = () => this.there();
    if (typeof window === 'undefined') return;
    window.addEventListener('online', () => void this.ask());
    window.addEventListener('offline', () => this.lost());
  }

  /** Calls back each time the server is there again, until what it returns is called. */
  onback(what: () => void): () => void {
    this.listeners.add(what);
    return () => this.listeners.delete(what);
  }

  lost() {
    if (this.away !== null) return;
    this.away = Date.now();
    setTimeout(() => void this.ask(), ASK_AFTER_MS);
    this.timer = setInterval(() => void this.ask(), ASK_EVERY_MS);
  }

  there() {
    if (this.away === null) return;
    this.away = null;
    clearInterval(this.timer);
    this.listeners.forEach((what) => what());
  }

  private async ask() {
    if (this.away === null) return;
    try {
      // any answer at all is one
      await fetch('/api/session', { headers: { Accept: 'application/json' } });
      this.there();
    } catch {
      // still away
    }
  }
}

export const link = new Link();
