import { describe, expect, test } from 'vitest';

const SOURCES = import.meta.glob<string>('./**/*.{ts,svelte}', {
  query: '?raw',
  import: 'default',
  eager: true,
});

/** Which folder may use which, from the bottom up; each may use itself, App all. */
const ALLOWED: Record<string, string[]> = {
  api: [],
  units: [],
  words: ['api', 'units'],
  ruler: ['api', 'units', 'words'],
  device: ['api'],
  pocket: ['api'],
  plan: ['api', 'units', 'words', 'ruler', 'device', 'pocket'],
  records: ['api', 'units', 'device', 'plan'],
  form: ['api', 'units', 'words', 'plan'],
  people: ['api', 'units', 'words', 'device', 'plan', 'form'],
  seasons: ['api', 'units', 'words', 'plan', 'ruler', 'form'],
  prices: ['api', 'units', 'words', 'plan', 'form', 'seasons'],
  gaps: ['api', 'units', 'words', 'plan', 'form', 'seasons'],
  morning: ['api', 'units', 'words', 'ruler', 'form', 'people'],
  jobs: ['api', 'units', 'words', 'device', 'plan', 'form'],
  walk: ['api', 'units', 'words', 'ruler', 'device', 'pocket', 'plan', 'records', 'form', 'herd'],
  instruments: ['api', 'units', 'words', 'plan', 'form'],
  shell: ['api', 'units', 'words', 'device', 'plan', 'form', 'people', 'seasons', 'history'],
  history: ['api', 'units', 'words', 'plan'],
  papers: ['api', 'units', 'words', 'plan', 'people'],
  store: ['api', 'units', 'words', 'plan', 'ruler', 'records', 'form'],
  herd: ['api', 'units', 'words', 'plan', 'ruler', 'records', 'form'],
  land: ['api', 'units', 'words', 'plan', 'ruler', 'form', 'people', 'store'],
  winter: ['api', 'units', 'words', 'plan', 'form', 'land'],
  forage: ['api', 'units', 'words', 'plan', 'form', 'land'],
  ahead: ['api', 'units', 'words', 'plan', 'form', 'land'],
  year: ['api', 'units', 'words', 'plan', 'form', 'ruler', 'seasons', 'papers', 'land', 'herd'],
  farm: ['api', 'units', 'words', 'plan', 'form', 'people', 'papers', 'land', 'herd', 'store'],
};

interface Import {
  from: string;
  to: string;
  file: string;
  text: string;
}

function folderOf(path: string): string {
  const parts = path.replace(/^\.\//, '').split('/');
  return parts.length > 1 ? parts[0] : '';
}

/** "./land/X.svelte" and "../plan/y" as "./plan/y" */
function resolved(file: string, path: string): string {
  const at = file.split('/').slice(0, -1);
  for (const step of path.split('/')) {
    if (step === '..') at.pop();
    else if (step !== '.') at.push(step);
  }
  return at.join('/');
}

const imports: Import[] = Object.entries(SOURCES)
  .filter(([file]) => !file.includes('.test.'))
  .flatMap(([file, text]) =>
    [...text.matchAll(/import[^;]*?from\s+'(\.[^']*)'|import\s+'(\.[^']*)'/g)].map((m) => ({
      file,
      from: folderOf(file),
      to: folderOf(resolved(file, m[1] ?? m[2])),
      text: m[0],
    })),
  );

describe('the rooms of the web', () => {
  test('are the ones listed', () => {
    const rooms = new Set(Object.keys(SOURCES).map(folderOf).filter(Boolean));
    expect([...rooms].sort()).toEqual(Object.keys(ALLOWED).sort());
  });

  test('use each other as it is listed and in no other way', () => {
    const wrong = imports
      .filter((i) => i.from && i.from !== i.to && !ALLOWED[i.from]?.includes(i.to))
      .map((i) => `${i.file}: ${i.text}`);
    expect(wrong).toEqual([]);
  });

  test('form no circle', () => {
    const reached = new Map<string, Set<string>>();
    const below = (room: string): Set<string> => {
      const known = reached.get(room);
      if (known) return known;
      const all = new Set<string>();
      reached.set(room, all);
      for (const next of ALLOWED[room]) {
        all.add(next);
        below(next).forEach((r) => all.add(r));
      }
      return all;
    };
    expect(Object.keys(ALLOWED).filter((room) => below(room).has(room))).toEqual([]);
  });

  test('charts know what they are given and nothing of a plan that is open', () => {
    const asking = imports.filter(
      (i) => i.from === 'ruler' && i.to === 'api' && !/^import type/.test(i.text),
    );
    expect(asking.map((i) => i.file)).toEqual([]);
    const charts = Object.keys(SOURCES).filter((f) => f.startsWith('./ruler/'));
    expect(charts.length).toBeGreaterThan(8);
  });
});
