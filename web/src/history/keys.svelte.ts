/** What the keyboard does beyond Tab, Enter and Space, in one list. */
export interface Key {
  keys: string;
  what: string;
}

export const KEYS: Key[] = [
  { keys: 'Ctrl Z', what: 'Undo the last change of the plan' },
  { keys: 'Ctrl Shift Z or Ctrl Y', what: 'Redo it' },
  { keys: 'g then y', what: 'Go to Year' },
  { keys: 'g then l', what: 'Go to Land' },
  { keys: 'g then d', what: 'Draw the land' },
  { keys: 'g then h', what: 'Go to Herd' },
  { keys: 'g then s', what: 'Go to Store' },
  { keys: 'g then g', what: 'Go to Gaps' },
  { keys: 'g then o', what: 'Go to Forages' },
  { keys: 'g then m', what: 'Go to Prices' },
  { keys: 'g then w', what: 'Go to Seasons' },
  { keys: 'g then j', what: 'Go to Jobs' },
  { keys: 'g then r', what: 'Go to Walk' },
  { keys: 'g then i', what: 'Go to Winter' },
  { keys: 'g then p', what: 'Go to Papers' },
  { keys: 'g then c', what: 'Go to Changes' },
  { keys: 'g then e', what: 'Go to People' },
  { keys: 'g then f', what: 'Go to Farm' },
  { keys: 'g then a', what: 'Go to all farms' },
  { keys: '?', what: 'Show this list' },
  { keys: 'Esc', what: 'Close what lies on top' },
  { keys: 'Arrow keys', what: 'Move the edge of a closing that has the focus, a day at a time' },
];

const PLACES: Record<string, string> = {
  y: '',
  l: '/land',
  d: '/land/draw',
  g: '/gaps',
  h: '/herd',
  s: '/store',
  o: '/forages',
  m: '/prices',
  w: '/seasons',
  j: '/jobs',
  r: '/walk',
  i: '/winter',
  p: '/papers',
  c: '/changes',
  e: '/people',
  f: '/farm',
};

const STORED = 'larder.single-keys';

/** Single letters can be switched off: they disturb whoever dictates. */
export const single = $state({ on: globalThis.localStorage?.getItem(STORED) !== 'off' });

export function setSingle(on: boolean) {
  single.on = on;
  localStorage.setItem(STORED, on ? 'on' : 'off');
}

export type Command =
  | { kind: 'undo' }
  | { kind: 'redo' }
  | { kind: 'help' }
  | { kind: 'farms' }
  | { kind: 'place'; path: string };

function typing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable) &&
    !(target instanceof HTMLInputElement && /^(checkbox|radio|button)$/.test(target.type))
  );
}

/** Reads one key after the other; undefined where it means nothing. */
export class KeyReader {
  private after = '';

  read(e: KeyboardEvent): Command | undefined {
    const before = this.after;
    this.after = '';
    if (typing(e.target)) return undefined;
    if ((e.ctrlKey || e.metaKey) && !e.altKey) {
      const key = e.key.toLowerCase();
      if (key === 'z') return { kind: e.shiftKey ? 'redo' : 'undo' };
      if (key === 'y' && !e.shiftKey) return { kind: 'redo' };
      return undefined;
    }
    if (e.altKey || !single.on) return undefined;
    if (e.key === '?') return { kind: 'help' };
    if (before === 'g') {
      if (e.key === 'a') return { kind: 'farms' };
      return e.key in PLACES ? { kind: 'place', path: PLACES[e.key] } : undefined;
    }
    if (e.key === 'g') this.after = 'g';
    return undefined;
  }
}
