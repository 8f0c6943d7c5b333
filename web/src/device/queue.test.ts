import { beforeEach, describe, expect, test, vi } from 'vitest';
import { apiIn, Refusal, type PlanView } from '../api/client';
import { write } from '../plan/outbox';
import { link } from './link.svelte';
import { later, queue } from './queue.svelte';
import { asRecords } from './store';

const api = apiIn({ season: 'normal' });
const ann = { who: 1, planId: 'p', farmName: 'Farm' };
const fed = (units: number) => [
  { on: '2027-12-01', fact: { kind: 'LOT_FED', lotId: 'l', units, groupId: null, note: '' } },
];
const offline = () => new Refusal({ status: 0, code: 'offline' });
const refusal = { code: 'out_of_range', field: 'fed.units', values: {}, place: '' };
const view = { id: 'p' } as PlanView;

/** What the server was sent together, by how many units each fed. */
const sent = () =>
  vi
    .mocked(api.queued)
    .mock.calls.map(([, waited]) =>
      waited.map((w) => (w.records[0].fact as { units: number }).units),
    );
const taken = (refused: number[] = []) =>
  vi.mocked(api.queued).mockImplementation(async (_, waited) =>
    waited.map((w) => {
      const { units } = w.records[0].fact as { units: number };
      return { commandId: w.commandId, refused: refused.includes(units) ? refusal : null };
    }),
  );

beforeEach(async () => {
  vi.restoreAllMocks();
  localStorageStub();
  for (const e of queue.entries) await queue.drop(e.n);
  vi.spyOn(api, 'queued');
  vi.spyOn(api, 'write').mockResolvedValue(view);
  vi.spyOn(api, 'plan').mockResolvedValue(view);
  link.there();
});

function localStorageStub() {
  vi.stubGlobal('localStorage', { getItem: () => 'device', setItem: () => {} });
}

describe('what is written down', () => {
  test('goes out at once while the server is there, and waits no more', async () => {
    expect(await write(api, ann, fed(9))).toBe(view);
    expect(queue.entries).toEqual([]);
  });

  test('waits where the server is away, and goes out in order, each under its name', async () => {
    vi.mocked(api.write).mockRejectedValueOnce(offline());
    expect(await write(api, ann, fed(1))).toBeNull();
    link.lost();
    expect(await write(api, ann, fed(2))).toBeNull();
    expect(api.write).toHaveBeenCalledTimes(1);
    const names = queue.entries.map((e) => e.commandId);
    expect(vi.mocked(api.write).mock.calls[0][1].commandId).toBe(names[0]);
    link.there();
    taken();
    // what comes next does not overtake what waits
    expect(await write(api, ann, fed(3))).toBe(view);
    expect(sent()).toEqual([[1, 2, 3]]);
    const under = vi.mocked(api.queued).mock.calls[0][1].map((w) => w.commandId);
    expect(under.slice(0, 2)).toEqual(names);
    expect(queue.entries).toEqual([]);
  });

  test('is told where the server refuses it, and does not wait then', async () => {
    vi.mocked(api.write).mockRejectedValueOnce(new Refusal({ status: 422, code: 'out_of_range' }));
    await expect(write(api, ann, fed(-1))).rejects.toThrow('out_of_range');
    expect(queue.entries).toEqual([]);
  });

  test.each([0, 401, 429, 503])('waits after a %i', async (status) => {
    const code = status ? 'busy' : 'offline';
    vi.mocked(api.write).mockRejectedValueOnce(new Refusal({ status, code }));
    expect(await write(api, ann, fed(1))).toBeNull();
    expect(queue.of(1)).toHaveLength(1);
  });
});

describe('what waits', () => {
  const waits = (units: number, by = ann) =>
    queue.add({ ...by, commandId: `c${units}`, device: '', records: fed(units) });

  test('is sent for each plan by itself, and only for who wrote it', async () => {
    await waits(1);
    await waits(2, { ...ann, planId: 'q' });
    await waits(3, { ...ann, who: 2 });
    await waits(4);
    taken();
    await queue.send(api, 1);
    expect(sent()).toEqual([[1], [2], [4]]);
    expect(queue.entries.map((e) => e.commandId)).toEqual(['c3']);
  });

  test('stays with the reason where it is refused, and keeps no other back', async () => {
    for (const n of [1, 2, 3]) await waits(n);
    taken([2]);
    await queue.send(api, 1);
    expect(queue.entries.map((e) => [e.commandId, e.problem?.code])).toEqual([
      ['c2', 'out_of_range'],
    ]);
    taken();
    await queue.again(queue.entries[0].n);
    await queue.send(api, 1);
    expect(queue.entries).toEqual([]);
  });

  test('goes on waiting where the signal is lost on the way', async () => {
    await waits(1);
    vi.mocked(api.queued).mockRejectedValueOnce(offline());
    await queue.send(api, 1);
    expect(queue.of(1)).toHaveLength(1);
  });

  test('is told where the plan is gone', async () => {
    await waits(1);
    vi.mocked(api.queued).mockRejectedValueOnce(new Refusal({ status: 404, code: 'not_found' }));
    await queue.send(api, 1);
    expect(queue.entries[0].problem?.code).toBe('not_found');
  });
});

test('what waits stands under the ids that the server will give it', async () => {
  const many = [...fed(1), ...fed(2)];
  const one = await queue.add({ ...ann, commandId: 'a', device: 'd', records: fed(1) });
  const two = await queue.add({ ...ann, commandId: 'b', device: 'd', records: many });
  expect(asRecords(one).map((r) => r.id)).toEqual(['a']);
  expect(asRecords(two).map((r) => r.id)).toEqual(['b.0', 'b.1']);
  expect(queue.waitingIn('p').map((e) => e.commandId)).toEqual(['a', 'b']);
  expect(queue.waitingIn('q')).toEqual([]);
});

test('another time is for what was not reached, not for what was refused', () => {
  expect(later(offline())).toBe(true);
  expect(later(new Refusal({ status: 422, code: 'out_of_range' }))).toBe(false);
  expect(later(new Error('typo'))).toBe(false);
});
