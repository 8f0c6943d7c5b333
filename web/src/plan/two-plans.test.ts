// @vitest-environment jsdom
import { flushSync, mount, unmount } from 'svelte';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { PlanView, YearView } from '../api/client';
import { PlanSession } from './session.svelte';
import TwoPlans from './TwoPlans.test.svelte';

const DAYS = 365;
const flat = (kg: number) => new Array<number>(DAYS).fill(kg);

/** A year in which the store lasts, or ends and leaves some days bare. */
function year(season: string, bareDays: number): YearView {
  const gap = {
    kind: 'STORE',
    firstDay: 150,
    lastDay: 149 + bareDays,
    shortDays: bareDays,
    shortKg: 100 * bareDays,
    animalUnitDays: 10 * bareDays,
    causes: [],
  };
  return {
    season,
    start: '2027-09-01',
    days: DAYS,
    needKg: flat(100),
    growingKg: flat(100),
    standingKg: flat(0),
    putByKg: flat(0),
    boughtInKg: flat(0),
    bareKg: flat(0),
    storeKg: flat(2000),
    total: { needKg: 36_500, bareKg: 100 * bareDays },
    gaps: bareDays ? [gap] : [],
    groups: [],
    fields: [],
    lots: [],
    bands: [],
    doubts: [],
    ledger: [{ month: '2027-09' }],
  } as unknown as YearView;
}

const view = (id: string, units: string, bareDays: number) =>
  ({
    id,
    revision: 1,
    role: 'OWNER',
    others: [],
    farm: { units },
    year: year('normal', bareDays),
  }) as unknown as PlanView;

async function session(id: string, units: string, bareDays: number): Promise<PlanSession> {
  const plan = new PlanSession();
  vi.spyOn(plan.api, 'catalogue').mockResolvedValue({ forages: [] } as never);
  vi.spyOn(plan.api, 'weather').mockResolvedValue([]);
  vi.spyOn(plan.api, 'plan').mockResolvedValue(view(id, units, bareDays));
  await plan.open(id);
  return plan;
}

describe('two plans on one page', () => {
  let left: PlanSession;
  let right: PlanSession;
  let page: Record<string, unknown>;
  const side = (name: string) => document.querySelector(`[data-testid=${name}]`)!;
  const verdict = (name: string) => side(name).querySelector('[data-testid=verdict]')!.textContent;

  beforeEach(async () => {
    vi.stubGlobal(
      'ResizeObserver',
      class {
        observe() {}
        unobserve() {}
        disconnect() {}
      },
    );
    left = await session('wet', 'METRIC', 0);
    right = await session('dry', 'IMPERIAL', 12);
    page = mount(TwoPlans, { target: document.body, props: { left, right } });
    flushSync();
  });

  afterEach(async () => {
    await unmount(page);
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
  });

  test('each show their own year in their own units', () => {
    expect(verdict('left')).toBe('Feed lasts the whole year.');
    expect(verdict('right')).toMatch(/^Feed falls short from/);
    expect(side('left').textContent).toContain('Area, ha');
    expect(side('right').textContent).toContain('Area, ac');
    expect(side('left').querySelector('input')!.value).toBe('4.047');
    expect(side('right').querySelector('input')!.value).toBe('10');
  });

  test('what is tried out in one leaves the other as it is', async () => {
    vi.spyOn(right.api, 'trial').mockResolvedValue(year('normal', 0));
    const before = side('left').innerHTML;
    await right.tryOut([{ namePlan: 'x' }]);
    flushSync();
    expect(side('right').textContent).toContain('Bare days 12 now, 0 with this');
    expect(side('left').innerHTML).toBe(before);
  });

  test('a season of one is asked for that one alone', async () => {
    const asked: string[] = [];
    vi.stubGlobal('fetch', async (path: string) => {
      asked.push(path);
      return { ok: true, status: 200, json: async () => ({ ...view('dry', 'IMPERIAL', 30) }) };
    });
    vi.mocked(left.api.plan).mockRestore();
    vi.mocked(right.api.plan).mockRestore();
    await right.look('dry');
    await left.look('normal');
    expect(asked).toEqual(['/api/plans/dry?season=dry', '/api/plans/wet']);
  });

  test('what is wrong in one is said there', async () => {
    const { Refusal } = await import('../api/client');
    const refused = new Refusal({ status: 422, code: 'missing', field: 'field.areaHa' });
    vi.spyOn(left.api, 'trial').mockRejectedValue(refused);
    await left.tryOut([{ namePlan: 'x' }]);
    flushSync();
    expect(side('left').querySelector('input')!.getAttribute('aria-invalid')).toBe('true');
    expect(side('right').querySelector('input')!.getAttribute('aria-invalid')).toBe('false');
  });
});
