import { beforeEach, describe, expect, test, vi } from 'vitest';
import { api, Refusal, type PlanView } from './api/client';
import { open } from './plan.svelte';

const view = (revision: number, more: object = {}): PlanView =>
  ({
    id: 'p',
    revision,
    role: 'OWNER',
    undo: null,
    redo: null,
    farm: { units: 'METRIC' },
    year: { season: 'normal', mark: revision },
    ...more,
  }) as never;

/** A promise that is settled when the test says so. */
function later<T>() {
  let settle!: (value: T) => void;
  const promise = new Promise<T>((done) => (settle = done));
  return { promise, settle };
}

const stale = (revision: number) =>
  new Refusal({ status: 409, code: 'stale_revision', revision, since: [] });

beforeEach(async () => {
  vi.restoreAllMocks();
  vi.spyOn(api, 'catalogue').mockResolvedValue({ forages: [] } as never);
  vi.spyOn(api, 'weather').mockResolvedValue([]);
  vi.spyOn(api, 'plan').mockResolvedValue(view(1));
  open.close();
  await open.open('p');
});

describe('edits', () => {
  test('of one person wait for each other, so that nobody conflicts with themselves', async () => {
    const first = later<PlanView>();
    const edit = vi.spyOn(api, 'edit').mockReturnValueOnce(first.promise);
    edit.mockResolvedValueOnce(view(3));
    const one = open.edit([{ namePlan: 'a' }]);
    const two = open.edit([{ namePlan: 'b' }]);
    await Promise.resolve();
    expect(edit).toHaveBeenCalledTimes(1);
    first.settle(view(2));
    expect(await one).toBe(true);
    expect(await two).toBe(true);
    expect(edit.mock.calls.map((c) => c[1].revision)).toEqual([1, 2]);
    expect(open.view!.revision).toBe(3);
  });

  test('one that is refused says so and lets the next one go', async () => {
    const refused = new Refusal({ status: 422, code: 'missing', field: 'field.name' });
    vi.spyOn(api, 'edit').mockRejectedValueOnce(refused).mockResolvedValueOnce(view(2));
    expect(await open.edit([{ namePlan: '' }])).toBe(false);
    expect(open.error).toContain('is needed');
    expect(await open.edit([{ namePlan: 'b' }])).toBe(true);
  });

  test('on what somebody else changed wait for an answer and are put on top', async () => {
    const edit = vi.spyOn(api, 'edit').mockRejectedValueOnce(stale(5));
    const mine = open.edit([{ namePlan: 'a' }]);
    await vi.waitFor(() => expect(open.conflict).not.toBeNull());
    edit.mockResolvedValueOnce(view(6));
    await open.putOnTop();
    expect(await mine).toBe(true);
    expect(edit.mock.lastCall![1]).toMatchObject({ revision: 1, onTopOf: 5 });
    expect(open.conflict).toBeNull();
  });

  describe('also in other plans', () => {
    const clash = { name: 'Saddle', member: 'field.areaHa', mine: 5, theirs: 9 };
    const against = (more: object) => ({
      plan: 'q',
      name: 'Dry year',
      revision: 4,
      clashes: [],
      refused: null,
      ...more,
    });
    const elsewhere = (...of: object[]) =>
      new Refusal({ status: 409, code: 'clashes_elsewhere', against: of } as never);

    async function refusedBy(...of: object[]) {
      const edit = vi.spyOn(api, 'edit').mockRejectedValueOnce(elsewhere(...of));
      const mine = open.edit([{ removeField: 'a' }], undefined, ['q', 'r', 's']);
      await vi.waitFor(() => expect(open.conflict).not.toBeNull());
      edit.mockResolvedValueOnce(view(2));
      return { edit, mine };
    }

    test('are made there too once it is told, where they can be', async () => {
      const { edit, mine } = await refusedBy(
        against({ clashes: [clash] }),
        against({ plan: 'r', refused: { code: 'unknown_id' } }),
      );
      expect(edit.mock.calls[0][1].alsoIn).toEqual([
        { plan: 'q', onTopOf: null },
        { plan: 'r', onTopOf: null },
        { plan: 's', onTopOf: null },
      ]);
      await open.overThere();
      expect(edit.mock.lastCall![1].alsoIn).toEqual([
        { plan: 'q', onTopOf: 4 },
        { plan: 's', onTopOf: null },
      ]);
      expect(await mine).toBe(true);
    });

    test('leave those plans alone where somebody says so', async () => {
      const { edit, mine } = await refusedBy(against({ clashes: [clash] }));
      await open.notThere();
      expect(edit.mock.lastCall![1].alsoIn!.map((a) => a.plan)).toEqual(['r', 's']);
      expect(await mine).toBe(true);
      expect(open.conflict).toBeNull();
    });
  });

  test('that are given up show what is stored', async () => {
    vi.spyOn(api, 'edit').mockRejectedValueOnce(stale(5));
    const mine = open.edit([{ namePlan: 'a' }]);
    await vi.waitFor(() => expect(open.conflict).not.toBeNull());
    vi.spyOn(api, 'plan').mockResolvedValueOnce(view(5));
    await open.dropMine();
    expect(await mine).toBe(false);
    expect(open.view!.revision).toBe(5);
  });
});

describe('trials', () => {
  test('ask one question at a time, and only the newest answer is shown', async () => {
    const first = later<never>();
    const trial = vi.spyOn(api, 'trial').mockReturnValueOnce(first.promise);
    trial.mockResolvedValueOnce({ mark: 'newest' } as never);
    const asked = open.tryOut([{ namePlan: 'a' }]);
    void open.tryOut([{ namePlan: 'b' }]);
    void open.tryOut([{ namePlan: 'c' }]);
    expect(trial).toHaveBeenCalledTimes(1);
    first.settle({ mark: 'old' } as never);
    await asked;
    expect(trial).toHaveBeenCalledTimes(2);
    expect(trial.mock.lastCall![1]).toEqual([{ namePlan: 'c' }]);
    expect((open.year as never as { mark: string }).mark).toBe('newest');
    expect((open.ghost as never as { mark: number }).mark).toBe(1);
  });

  test('an answer that comes after the trial was dropped is not shown', async () => {
    const answer = later<never>();
    vi.spyOn(api, 'trial').mockReturnValueOnce(answer.promise);
    const asked = open.tryOut([{ namePlan: 'a' }]);
    open.dropTrial();
    answer.settle({ mark: 'late' } as never);
    await asked;
    expect(open.trial).toBeNull();
  });
});

describe('undo', () => {
  test('is not sent where there is nothing to undo, or by who may not plan', async () => {
    const undo = vi.spyOn(api, 'undo').mockResolvedValue(view(2));
    await open.undo();
    expect(undo).not.toHaveBeenCalled();
    const told = { how: 'EDITED', changes: [] };
    vi.spyOn(api, 'plan').mockResolvedValue(view(1, { undo: told, role: 'HELPER' }));
    await open.open('p');
    await open.undo();
    expect(undo).not.toHaveBeenCalled();
  });
});

describe('a trial', () => {
  const year = (mark: string) => ({ total: mark, fields: mark, groups: mark, water: mark });

  test('asks for what the screen shows; the rest stands as it is stored', async () => {
    vi.spyOn(api, 'plan').mockResolvedValue(view(1, { year: year('stored') }));
    await open.open('p');
    const answer = { ...year('tried'), fields: [] };
    const trial = vi.spyOn(api, 'trial').mockResolvedValue(answer as never);
    const gone = open.shows('GROUPS');
    await open.tryOut([{ namePlan: 'a' }]);
    expect(trial.mock.lastCall![2]).toEqual(['GROUPS']);
    expect(open.year).toEqual({ ...year('tried'), fields: 'stored' });
    gone();
    await open.tryOut([{ namePlan: 'a' }]);
    expect(trial.mock.lastCall![2]).toBeNull();
    expect(open.year.fields).toEqual([]);
  });

  test('of a screen that has gone does not take the parts of the next one', () => {
    const first = open.shows('FIELDS');
    const second = open.shows('GROUPS');
    first();
    const trial = vi.spyOn(api, 'trial').mockResolvedValue(year('tried') as never);
    void open.tryOut([]);
    expect(trial.mock.lastCall![2]).toEqual(['GROUPS']);
    second();
  });
});
