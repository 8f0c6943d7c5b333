import { describe, expect, test } from 'vitest';
import type { DateThatTells } from '../api/client';
import {
  besideWords,
  birthWords,
  decidesName,
  decidesWords,
  gaugeWords,
  monthDay,
  plainBound,
  rightWords,
  rungText,
  signWords,
  thenWords,
} from './signs';

const told: DateThatTells = {
  sign: 'STANDS',
  day: 280,
  below: 1793.4,
  fires: 100,
  right: 80,
  hard: 160,
  of: 500,
  missingKg: 20000,
  groupId: 'steers',
  head: 18,
  savesKg: 8000,
  savesLaterKg: 3000,
  needThen: 1000,
  needMost: 1310,
};

describe('dates that tell', () => {
  test('have a bound that can be kept in mind, in the units in which it is read', () => {
    expect(signWords('STANDS', plainBound('STANDS', 1793.4, 'IMPERIAL'), 'IMPERIAL')).toBe(
      'less than 1,600 lb/ac stands on the farm',
    );
    expect(signWords('SOIL_WATER', plainBound('SOIL_WATER', 51.3, 'METRIC'), 'METRIC')).toBe(
      'the soil holds less than 51% of the water it can',
    );
    expect(signWords('RAIN', plainBound('RAIN', 78, 'METRIC'), 'METRIC')).toBe(
      'less than 80 mm of rain has fallen in sixty days',
    );
  });

  test('say how often they are right and what they do not see', () => {
    expect(rightWords(told)).toBe(
      'Right in 8 of 10 such years; it tells 5 of 10 hard years by then, and is silent in the others.',
    );
  });

  test('say what selling saves, what waiting costs, and what births add', () => {
    expect(thenWords(told, 'Steers', 'METRIC')).toBe(
      'Such a year goes on to miss 20.0 t. Selling 18 from Steers then saves 8.0 t of it. Four weeks later it saves 5.0 t less.',
    );
    expect(thenWords({ ...told, savesKg: 100 }, 'Steers', 'METRIC')).toContain('next to nothing');
    expect(thenWords(told, '', 'METRIC')).toBe('Such a year goes on to miss 20.0 t.');
    expect(birthWords(told)).toBe('Need rises by 31% within four months of that day.');
    expect(birthWords({ ...told, needMost: 1050 })).toBe('');
  });

  test('become rungs', () => {
    expect(monthDay('--06-10')).toBe('10 June');
    const rung = {
      id: 'r',
      on: '--06-10',
      sign: 'STORE' as const,
      below: 20000,
      doThis: 'Buy hay',
    };
    expect(rungText(rung, 'METRIC')).toBe('If less than 20.0 t is in store: Buy hay');
    expect(rungText({ ...rung, sign: null, below: null }, 'METRIC')).toBe('Buy hay');
  });
});

describe('what decides', () => {
  test('is named by its months, also over the turn of the year', () => {
    const rain = { what: 'RAIN' as const, month: 3, months: 3, kg: -3400 };
    expect(decidesName(rain, '2027-09-01')).toBe('Rain, December to February');
    expect(decidesWords(rain, 'METRIC')).toBe('3.4 t less');
    expect(decidesName({ ...rain, what: 'BIRTHS', month: -1 }, '2027-09-01')).toBe(
      'Births two weeks later',
    );
  });
});

describe('two plans in the same years', () => {
  const mine = { seeds: [1, 2, 3], bareKgByYear: [0, 500, 5000], dayKg: 100, fed: 1, years: 3 };
  test('are told apart year by year, whatever their order', () => {
    const other = { seeds: [3, 1, 2], bareKgByYear: [2000, 0, 900], fed: 1 };
    expect(besideWords(mine, other, 'Dry', 'METRIC')).toBe(
      'In the same 3 years "Dry" is fed in 1, this plan in 1. It misses less in 1 year and more in 1; in the mean 0.9 t less.',
    );
  });
  test('that are alike are said to be', () => {
    expect(besideWords(mine, mine, 'Same', 'METRIC')).toContain('None of the years is apart');
  });
});

test('the years of the own gauge are counted', () => {
  const years = [
    { first: '2018-09-01', bareKg: 0 },
    { first: '2019-09-01', bareKg: 4000 },
  ];
  expect(gaugeWords(years, 100, 'METRIC')).toBe(
    'In 1 of the 2 years of your own gauge feed lasts. The hardest began 1 Sep 2019: 4.0 t missing.',
  );
  expect(gaugeWords(years.slice(0, 1), 100, 'METRIC')).toBe(
    'In 1 of the 1 years of your own gauge feed lasts.',
  );
});
