import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { Refusal, type PlanView } from '../api/client';
import { PlanSession } from './session.svelte';

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

let plan: PlanSession;

beforeEach(async () => {
  vi.restoreAllMocks();
  plan = new PlanSession();
  vi.spyOn(plan.api, 'catalogue').mockResolvedValue({ forages: [] } as never);
  vi.spyOn(plan.api, 'weather').mockResolvedValue([]);
  vi.spyOn(plan.api, 'plan').mockResolvedValue(view(1));
  await plan.open('p');
});

test('a plan that is left while it is on its way does not come back', async () => {
  const slow = later<PlanView>();
  vi.mocked(plan.api.plan).mockReturnValueOnce(slow.promise);
  const first = plan.open('q');
  expect(plan.view).toBeNull();
  await plan.open('p');
  slow.settle(view(7, { id: 'q' }));
  await first;
  expect(plan.view!.id).toBe('p');
});

describe('edits', () => {
  test('of one person wait for each other, so that nobody conflicts with themselves', async () => {
    const first = later<PlanView>();
    const edit = vi.spyOn(plan.api, 'edit').mockReturnValueOnce(first.promise);
    edit.mockResolvedValueOnce(view(3));
    const one = plan.edit([{ namePlan: 'a' }]);
    const two = plan.edit([{ namePlan: 'b' }]);
    await Promise.resolve();
    expect(edit).toHaveBeenCalledTimes(1);
    first.settle(view(2));
    expect(await one).toBe(true);
    expect(await two).toBe(true);
    expect(edit.mock.calls.map((c) => c[1].revision)).toEqual([1, 2]);
    expect(plan.view!.revision).toBe(3);
  });

  test('of a form are not stale by an edit of mine that was on its way', async () => {
    const first = later<PlanView>();
    const edit = vi.spyOn(plan.api, 'edit').mockReturnValueOnce(first.promise);
    edit.mockResolvedValueOnce(view(3)).mockRejectedValueOnce(stale(3));
    const one = plan.edit([{ namePlan: 'a' }]);
    const two = plan.edit([{ namePlan: 'b' }], 1);
    first.settle(view(2));
    expect(await one).toBe(true);
    expect(await two).toBe(true);
    // what was taken from an older plan than the one that is shown is told so
    void plan.edit([{ namePlan: 'c' }], 2);
    await vi.waitFor(() => expect(plan.conflict).not.toBeNull());
    expect(edit.mock.calls.map((c) => c[1].revision)).toEqual([1, 2, 2]);
  });

  test('one that is refused says so and lets the next one go', async () => {
    const refused = new Refusal({ status: 422, code: 'missing', field: 'field.name' });
    vi.spyOn(plan.api, 'edit').mockRejectedValueOnce(refused).mockResolvedValueOnce(view(2));
    expect(await plan.edit([{ namePlan: '' }])).toBe(false);
    expect(plan.error).toContain('is needed');
    expect(await plan.edit([{ namePlan: 'b' }])).toBe(true);
  });

  test('on what somebody else changed wait for an answer and are put on top', async () => {
    const edit = vi.spyOn(plan.api, 'edit').mockRejectedValueOnce(stale(5));
    const mine = plan.edit([{ namePlan: 'a' }]);
    await vi.waitFor(() => expect(plan.conflict).not.toBeNull());
    edit.mockResolvedValueOnce(view(6));
    await plan.putOnTop();
    expect(await mine).toBe(true);
    expect(edit.mock.lastCall![1]).toMatchObject({ revision: 1, onTopOf: 5 });
    expect(plan.conflict).toBeNull();
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
      const edit = vi.spyOn(plan.api, 'edit').mockRejectedValueOnce(elsewhere(...of));
      const mine = plan.edit([{ removeField: 'a' }], undefined, ['q', 'r', 's']);
      await vi.waitFor(() => expect(plan.conflict).not.toBeNull());
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
      await plan.overThere();
      expect(edit.mock.lastCall![1].alsoIn).toEqual([
        { plan: 'q', onTopOf: 4 },
        { plan: 's', onTopOf: null },
      ]);
      expect(await mine).toBe(true);
    });

    test('leave those plans alone where somebody says so', async () => {
      const { edit, mine } = await refusedBy(against({ clashes: [clash] }));
      await plan.notThere();
      expect(edit.mock.lastCall![1].alsoIn!.map((a) => a.plan)).toEqual(['r', 's']);
      expect(await mine).toBe(true);
      expect(plan.conflict).toBeNull();
    });
  });

  test('that are given up show what is stored', async () => {
    vi.spyOn(plan.api, 'edit').mockRejectedValueOnce(stale(5));
    const mine = plan.edit([{ namePlan: 'a' }]);
    await vi.waitFor(() => expect(plan.conflict).not.toBeNull());
    vi.spyOn(plan.api, 'plan').mockResolvedValueOnce(view(5));
    await plan.dropMine();
    expect(await mine).toBe(false);
    expect(plan.view!.revision).toBe(5);
  });
});

describe('trials', () => {
  test('ask one question at a time, the newest next, and each answer shows', async () => {
    const first = later<never>();
    const second = later<never>();
    const trial = vi.spyOn(plan.api, 'trial').mockReturnValueOnce(first.promise);
    trial.mockReturnValueOnce(second.promise);
    const asked = plan.tryOut([{ namePlan: 'a' }]);
    void plan.tryOut([{ namePlan: 'b' }]);
    void plan.tryOut([{ namePlan: 'c' }]);
    expect(trial).toHaveBeenCalledTimes(1);
    first.settle({ mark: 'old' } as never);
    const mark = () => (plan.year as never as { mark: string }).mark;
    await vi.waitFor(() => expect(mark()).toBe('old'));
    second.settle({ mark: 'newest' } as never);
    await asked;
    expect(trial).toHaveBeenCalledTimes(2);
    expect(trial.mock.lastCall![1]).toEqual([{ namePlan: 'c' }]);
    expect(mark()).toBe('newest');
    expect((plan.ghost as never as { mark: number }).mark).toBe(1);
  });

  test('a refusal of what is typed on meanwhile is not told', async () => {
    let refuse!: (problem: Refusal) => void;
    const trial = vi.spyOn(plan.api, 'trial');
    trial.mockReturnValueOnce(new Promise<never>((_, no) => (refuse = no)));
    const told: string[] = [];
    trial.mockImplementationOnce(() => {
      told.push(plan.trialError);
      return Promise.resolve({ mark: 'whole' } as never);
    });
    const asked = plan.tryOut([{ namePlan: '3' }]);
    void plan.tryOut([{ namePlan: '30' }]);
    refuse(new Refusal({ status: 422, code: 'missing', field: 'plan.name' }));
    await asked;
    expect(told).toEqual(['']);
    expect(plan.trialError).toBe('');
  });

  test('an answer that comes after the trial was dropped is not shown', async () => {
    const answer = later<never>();
    vi.spyOn(plan.api, 'trial').mockReturnValueOnce(answer.promise);
    const asked = plan.tryOut([{ namePlan: 'a' }]);
    plan.dropTrial();
    answer.settle({ mark: 'late' } as never);
    await asked;
    expect(plan.trial).toBeNull();
  });
});

describe('undo', () => {
  test('is not sent where there is nothing to undo, or by who may not plan', async () => {
    const undo = vi.spyOn(plan.api, 'undo').mockResolvedValue(view(2));
    await plan.undo();
    expect(undo).not.toHaveBeenCalled();
    const told = { how: 'EDITED', changes: [] };
    vi.spyOn(plan.api, 'plan').mockResolvedValue(view(1, { undo: told, role: 'HELPER' }));
    await plan.open('p');
    await plan.undo();
    expect(undo).not.toHaveBeenCalled();
  });
});

describe('a trial', () => {
  const year = (mark: string, diet: number[] = [9]) => ({
    total: mark,
    fields: [{ id: 'a', mark, waterPercent: [9] }],
    groups: [
      { id: 'cows', mark, scoreTenths: [9] },
      { id: 'ewes', mark, scoreTenths: diet },
    ],
    water: mark,
  });

  test('asks for what the screen shows; the rest stands as it is stored', async () => {
    vi.spyOn(plan.api, 'plan').mockResolvedValue(view(1, { year: year('stored', [5]) }));
    await plan.open('p');
    const answer = { ...year('tried', []), fields: [] };
    const trial = vi.spyOn(plan.api, 'trial').mockResolvedValue(answer as never);
    const gone = plan.shows(['GROUPS'], () => 'cows');
    await plan.tryOut([{ namePlan: 'a' }]);
    expect(trial.mock.lastCall!.slice(2)).toEqual([['GROUPS'], 'cows', null]);
    // of the ewes nobody asked for the diet
    expect(plan.year).toEqual({ ...year('tried', [5]), fields: year('stored').fields });
    gone();
    await plan.tryOut([{ namePlan: 'a' }]);
    expect(trial.mock.lastCall!.slice(2)).toEqual([null, null, null]);
    expect(plan.year.fields).toEqual([]);
  });

  test('of a screen that shows more of none asks for none', async () => {
    const trial = vi.spyOn(plan.api, 'trial').mockResolvedValue(year('tried') as never);
    plan.shows(['FIELDS']);
    await plan.tryOut([]);
    expect(trial.mock.lastCall!.slice(2)).toEqual([['FIELDS'], '', null]);
  });

  test('of a screen that has gone does not take the parts of the next one', () => {
    const first = plan.shows(['FIELDS']);
    const second = plan.shows(['GROUPS']);
    first();
    const trial = vi.spyOn(plan.api, 'trial').mockResolvedValue(year('tried') as never);
    void plan.tryOut([]);
    expect(trial.mock.lastCall![2]).toEqual(['GROUPS']);
    second();
  });
});

describe('changes of others', () => {
  let tell: (told: object) => void;

  beforeEach(async () => {
    vi.stubGlobal(
      'EventSource',
      class {
        addEventListener(_: string, hear: (e: { data: string }) => void) {
          tell = (told) => hear({ data: JSON.stringify(told) });
        }
        close() {
          tell = () => {};
        }
      },
    );
    plan.close();
    await plan.open('p');
    vi.mocked(plan.api.plan).mockClear();
  });

  afterEach(() => vi.unstubAllGlobals());

  test('arrive, and what is being tried out stands on the plan as it is now', async () => {
    const trial = vi.spyOn(plan.api, 'trial').mockResolvedValue({ mark: 'tried' } as never);
    await plan.tryOut([{ namePlan: 'mine' }]);
    vi.mocked(plan.api.plan).mockResolvedValueOnce(view(2));
    tell({ plan: 'p', revision: 2 });
    await vi.waitFor(() => expect(plan.view!.revision).toBe(2));
    await vi.waitFor(() => expect(trial).toHaveBeenCalledTimes(2));
    expect(trial.mock.calls[1][1]).toEqual([{ namePlan: 'mine' }]);
    expect(plan.trial).not.toBeNull();
  });

  test('are not asked for after my own, or of another plan that is known', async () => {
    vi.spyOn(plan.api, 'edit').mockResolvedValueOnce(view(2, { others: [{ id: 'q', name: 'Q' }] }));
    await plan.edit([{ namePlan: 'a' }]);
    tell({ plan: 'p', revision: 2 });
    tell({ plan: 'q', revision: 9 });
    await new Promise((done) => setTimeout(done));
    expect(plan.api.plan).not.toHaveBeenCalled();
  });

  test('wait for what I am sending, and bring the records of others', async () => {
    const mine = later<PlanView>();
    vi.spyOn(plan.api, 'edit').mockReturnValueOnce(mine.promise);
    const sent = plan.edit([{ namePlan: 'a' }]);
    tell({ plan: null, revision: null });
    await new Promise((done) => setTimeout(done));
    expect(plan.api.plan).not.toHaveBeenCalled();
    vi.mocked(plan.api.plan).mockResolvedValueOnce(view(2, { records: 1 }));
    mine.settle(view(2));
    await sent;
    await vi.waitFor(() => expect(plan.view).toHaveProperty('records', 1));
  });

  test('of a plan that is closed are not heard', async () => {
    plan.close();
    tell({ plan: 'p', revision: 2 });
    await new Promise((done) => setTimeout(done));
    expect(plan.api.plan).not.toHaveBeenCalled();
  });
});
