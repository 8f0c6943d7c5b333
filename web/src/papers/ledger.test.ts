import { expect, test } from 'vitest';
import type { YearView } from '../api/client';
import { ledgerText } from './ledger';

const line: YearView['ledger'][number] = {
  month: '2027-10',
  startDay: 0,
  endDay: 31,
  needKg: 1000,
  growingKg: 600.4,
  standingKg: 0,
  putByKg: 300,
  boughtInKg: 0,
  bareKg: 99.6,
  grownKg: 750,
  storeKg: 12_000,
  unitsOpened: 3,
};

test('a heading says its unit, figures are plain numbers in it, the year stands last', () => {
  const year = { ledger: [line], total: { ...line, month: '' } };
  const [head, first, last] = ledgerText(year, 'METRIC')
    .split('\n')
    .map((row) => row.split('\t'));
  expect(head.slice(0, 3)).toEqual(['Month', 'Need, kg DM', 'Growing, kg DM']);
  expect(first).toEqual(['2027-10', '1000', '600', '0', '300', '0', '100', '750', '12000', '3']);
  expect(last[0]).toBe('Year');
  // 1,000 kg are 2,205 lb
  expect(ledgerText(year, 'IMPERIAL').split('\n')[1].split('\t')[1]).toBe('2205');
});
