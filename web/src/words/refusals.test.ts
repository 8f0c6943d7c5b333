import { describe, expect, it } from 'vitest';
import openapi from '../../openapi.json';
import type { Problem } from '../api/client';
import { CODES, problemText, rowText } from './refusals';

interface Value {
  type: string;
  format?: string;
  pattern?: string;
}

/** What the server can send, as it describes itself. */
const SENT = openapi.components.schemas.Refusals.properties as Record<
  string,
  { properties?: Record<string, Value> }
>;

/** Any values of the kind that comes with a code. */
function values(code: string): Record<string, unknown> {
  const sample = (name: string, as: Value) => {
    if (as.type === 'number') return 7;
    if (as.pattern) return '--04-30';
    if (as.format === 'date') return '2027-03-09';
    return name === 'needed' || name === 'has' ? 'PLANNER' : 'Saddle';
  };
  return Object.fromEntries(
    Object.entries(SENT[code].properties ?? {}).map(([k, v]) => [k, sample(k, v)]),
  );
}

describe('refusals', () => {
  it('have a sentence for every code of the server and for no other', () => {
    expect(CODES.filter((c) => c !== 'offline' && c !== 'unknown').sort()).toEqual(
      Object.keys(SENT).sort(),
    );
  });

  it.each(Object.keys(SENT))('%s is a sentence in both systems of units', (code) => {
    for (const system of ['METRIC', 'IMPERIAL'] as const) {
      const said = problemText({ code, field: 'field.areaHa', values: values(code) }, system);
      expect(said).toMatch(/^[A-Z0-9"].*[.]$/);
      expect(said).not.toMatch(/undefined|NaN|null|Invalid|\[object|_/);
    }
  });

  it('give the range in the units of the user', () => {
    const problem = {
      code: 'out_of_range',
      field: 'field.areaHa',
      values: { value: -1, min: 0.01, max: 5000 },
    };
    expect(problemText(problem, 'IMPERIAL')).toBe('Area: 0.025 to 12,355.3 ac is accepted.');
    expect(problemText(problem, 'METRIC')).toBe('Area: 0.01 to 5,000.00 ha is accepted.');
  });

  it('give the days that would do', () => {
    const weaned = {
      code: 'weaned_before_birth',
      field: 'group.weaning',
      values: { first: '--04-30', last: '--01-25', longestDays: 330 },
    };
    expect(problemText(weaned, 'METRIC')).toContain('30 April to 25 January is accepted');
    const shut = {
      code: 'already_shut',
      field: 'closing.dates',
      values: { field: 'Saddle', from: '2027-08-01', last: '2027-11-30' },
    };
    expect(problemText(shut, 'METRIC')).toBe(
      'Saddle is already shut from 1 August 2027 to 30 November 2027.',
    );
  });

  it('say whose business it is, and who changed the plan', () => {
    expect(
      problemText({ code: 'role_too_low', values: { needed: 'PLANNER', has: 'READER' } }, 'METRIC'),
    ).toBe('This is for planners and owners; you are a reader here.');
    const stale = { code: 'stale_revision', since: [{ who: 'Kim' }, { who: 'Kim' }] };
    expect(problemText(stale as unknown as Problem, 'METRIC')).toContain('(by Kim)');
  });

  it('name the place in a file and none in a request', () => {
    const missing = { code: 'missing', field: 'field.areaHa', values: {} };
    expect(problemText({ ...missing, place: 'plans[0].farm.fields[2]' }, 'METRIC')).toBe(
      'In the file at plans[0].farm.fields[2]: Area is needed.',
    );
    expect(problemText({ ...missing, place: 'edits[0].putField' }, 'METRIC')).toBe(
      'Area is needed.',
    );
    const row = { row: 0, column: 'edge', problem: { ...missing, place: 'Long Meadow' } };
    expect(rowText(row, 'METRIC')).toBe('Long Meadow: Area is needed.');
  });

  it('of a server that is newer than the page still say what to do', () => {
    expect(problemText({ code: 'not_heard_of' }, 'METRIC')).toContain('Load the page again');
  });
});
