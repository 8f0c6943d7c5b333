import { Refusal } from '../api/client';
import type { System } from '../units/units';
import { rowText } from '../words/refusals';
import { plural } from '../words/year';

/** What became of a table. */
export function receivedText(written: number): string {
  return `${written} ${plural('record', written)} made of it.`;
}

/** What is wrong with a table, row by row, or in one sentence. */
export function wrongText(e: unknown, explain: (e: unknown) => string, system: System): string[] {
  const rows = e instanceof Refusal ? (e.problem.problems ?? []) : [];
  return rows.length === 0
    ? [explain(e)]
    : rows.map((r) => `Row ${r.row}${r.column ? `, ${r.column}` : ''}: ${rowText(r, system)}`);
}
