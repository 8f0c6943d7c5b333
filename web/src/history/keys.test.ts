import { beforeAll, describe, expect, test, vi } from 'vitest';
import { KeyReader, KEYS } from './keys.svelte';

class Element {
  isContentEditable = false;
  constructor(
    readonly tagName: string,
    readonly type = '',
  ) {}
}
class Input extends Element {}

function press(key: string, more: Partial<KeyboardEvent> = {}): KeyboardEvent {
  return { key, target: new Element('BODY'), ...more } as unknown as KeyboardEvent;
}

describe('keys', () => {
  beforeAll(() => {
    vi.stubGlobal('HTMLElement', Element);
    vi.stubGlobal('HTMLInputElement', Input);
  });

  test('undo and redo', () => {
    const reader = new KeyReader();
    expect(reader.read(press('z', { ctrlKey: true }))).toEqual({ kind: 'undo' });
    expect(reader.read(press('Z', { ctrlKey: true, shiftKey: true }))).toEqual({ kind: 'redo' });
    expect(reader.read(press('y', { metaKey: true }))).toEqual({ kind: 'redo' });
  });

  test('a letter after g leads somewhere, alone nowhere', () => {
    const reader = new KeyReader();
    expect(reader.read(press('l'))).toBeUndefined();
    reader.read(press('g'));
    expect(reader.read(press('l'))).toEqual({ kind: 'place', path: '/land' });
    expect(reader.read(press('l'))).toBeUndefined();
  });

  test('inside an input the keys write and undo what is typed', () => {
    const reader = new KeyReader();
    const target = new Input('INPUT', 'text') as unknown as EventTarget;
    expect(reader.read(press('?', { target }))).toBeUndefined();
    expect(reader.read(press('z', { ctrlKey: true, target }))).toBeUndefined();
    const box = new Input('INPUT', 'checkbox') as unknown as EventTarget;
    expect(reader.read(press('?', { target: box }))).toEqual({ kind: 'help' });
  });

  test('every key is listed once', () => {
    expect(new Set(KEYS.map((k) => k.keys)).size).toBe(KEYS.length);
  });
});
