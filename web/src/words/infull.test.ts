import { describe, expect, it } from 'vitest';
import type { InFull, Price } from '../api/client';
import { billLines, costText, otherSide, partsText, perBulk, unpricedText } from './infull';

const month = (name: string, bareKgLess: number) => ({
  month: name,
  bareKg: 0,
  bareKgLess,
  grazedKgMore: 0,
  storedKgMore: 0,
  needKgLess: 0,
  standingKgMore: 0,
});
const full = (more: Partial<InFull>): InFull => ({
  edits: [],
  gapKgBefore: 10000,
  gapKgAfter: 0,
  bringsKg: 10000,
  shortDaysAfter: 0,
  bareKgAfter: 0,
  bareDaysAfter: 0,
  months: [],
  seasons: [],
  bill: [],
  cost: 0,
  costHours: 0,
  unpriced: [],
  storeKgMore: 0,
  standingKgMore: 0,
  handledHoursMore: 0,
  tractorDaysMore: 0,
  partsKg: [],
  ...more,
});
const price = (id: string, what: string, unit: string): Price => ({
  id,
  group: 'hay',
  what,
  unit,
  bought: true,
  sold: false,
  low: 1,
  likely: 2,
  high: 3,
  own: false,
  season: [],
  dryYearFactor: 1,
  note: '',
});

describe('ways in full', () => {
  it('say what they cost, or bring in', () => {
    expect(costText(0, 'EUR')).toBe('free');
    expect(costText(1240.4, 'EUR')).toBe('EUR 1,240');
    expect(costText(-43048, 'USD')).toBe('brings in USD 43,048');
    expect(perBulk(1000, 5000, 'EUR', 'METRIC')).toBe('EUR 200 a tonne');
    // a short ton is 0.907 of a tonne
    expect(perBulk(1000, 5000, 'USD', 'IMPERIAL')).toBe('USD 181 a ton');
    expect(perBulk(-1000, 5000, 'USD', 'IMPERIAL')).toBe('');
    expect(perBulk(100, 10, 'USD', 'METRIC')).toBe('');
  });

  it('say where the set brings less than its parts', () => {
    const text = (bringsKg: number) =>
      partsText(full({ bringsKg, partsKg: [6000, 5000] }), 'METRIC');
    expect(text(11000)).toBe(
      'Alone they bring 6.0 t and 5.0 t, 11.0 t in sum; together just that.',
    );
    expect(text(8000)).toContain('together 8.0 t, as they serve some of the same days.');
    expect(text(12000)).toContain('as one makes room for the other.');
    expect(partsText(full({ partsKg: [] }), 'METRIC')).toBe('');
  });

  it('say what they take elsewhere', () => {
    expect(otherSide(full({}), 'METRIC')).toEqual(['It takes nothing elsewhere in this year.']);
    const said = otherSide(
      full({
        months: [month('2027-11', -1200), month('2028-02', 9000)],
        storeKgMore: -3000,
        standingKgMore: 400,
        tractorDaysMore: 1,
      }),
      'METRIC',
    );
    expect(said).toEqual([
      'It takes from Nov 2027 (1.2 t more bare).',
      'On the last day 3.0 t less is left in store.',
      'Then 0.4 t more stands on the fields.',
      'The tractor starts on 1 day more.',
    ]);
  });

  it('make up their cost line by line in the user’s units', () => {
    const bill = [
      { priceId: 'mow', of: 'Saddle', amount: 4, each: 50, money: 200, hours: 2, own: false },
      { priceId: null, of: 'Hay', amount: 10, each: 40, money: 400, hours: 0, own: true },
      { priceId: 'steer', of: 'Steers', amount: 300, each: 8, money: -2400, hours: 0, own: false },
    ];
    const prices = [
      price('mow', 'Mowing', 'usd_per_ha'),
      price('steer', 'Steer, about 230 kg', 'usd_per_kg_live'),
    ];
    expect(billLines(full({ bill }), prices, 'USD', 'METRIC').map((l) => l.how)).toEqual([
      '4 ha at USD 50 a ha',
      '10 at USD 40, as it stands there',
      '300 kg live at USD 8 a kg live',
    ]);
    const imperial = billLines(full({ bill }), prices, 'USD', 'IMPERIAL');
    expect(imperial[0].how).toBe('9.88 ac at USD 20 an acre');
    expect(imperial[2].what).toBe('Steer, about 510 lb, Steers');
    expect(imperial[2].money).toBe(-2400);
  });

  it('name what has no price', () => {
    expect(unpricedText(full({}), [], 'XYZ')).toBe('');
    expect(
      unpricedText(full({ unpriced: ['mow'] }), [price('mow', 'Mowing', 'usd_per_ha')], 'XYZ'),
    ).toBe('Not in it, as no price in XYZ is known: mowing. State it under Prices.');
  });
});
