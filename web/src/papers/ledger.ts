/** The month ledger as a spreadsheet takes it. */
import type { YearView } from '../api/client';
import { shown, unitOf, type System } from '../units/units';

export const LEDGER_COLUMNS = [
  ['needKg', 'Need'],
  ['growingKg', 'Growing'],
  ['standingKg', 'Standing'],
  ['putByKg', 'Put by'],
  ['boughtInKg', 'Bought in'],
  ['bareKg', 'Bare'],
  ['grownKg', 'Grown on the fields'],
  ['storeKg', 'In store at the end'],
] as const;

/** Rows by line, cells by tab; each heading with its unit, figures plain, the year last. */
export function ledgerText(year: Pick<YearView, 'ledger' | 'total'>, system: System): string {
  const unit = unitOf('mass', system);
  const head = [
    'Month',
    ...LEDGER_COLUMNS.map(([, name]) => `${name}, ${unit} DM`),
    'Units opened',
  ];
  const rows = [...year.ledger, { ...year.total, month: 'Year' }].map((line) => [
    line.month,
    ...LEDGER_COLUMNS.map(([key]) => String(Math.round(shown(line[key], 'mass', system)))),
    String(line.unitsOpened),
  ]);
  return [head, ...rows].map((cells) => cells.join('\t')).join('\n');
}
