import { describe, expect, it } from 'vitest';
import { carriesText, fieldText, lossText } from './advice';

const FIELD = {
  fieldId: 'a',
  grownKgPerHa: 6000,
  grazedKgPerHa: 4000,
  cutKgPerHa: 0,
  lostKgPerHa: 100,
  likeGrownKgPerHa: 6100,
};
const month = (m: string, lostKg: number) => ({
  month: m,
  grownKg: 10000,
  grazedKg: 0,
  cutKg: 0,
  lostKg,
  standsKg: 0,
});

describe('beyond gaps', () => {
  it('says what herd is carried, in both kinds of years', () => {
    expect(carriesText(0.77, 0.76, 'in a normal year')).toBe(
      'As it stands this plan feeds 77% of the herd all year, in a normal year and in a dry one.',
    );
    expect(carriesText(3, null, 'in a normal year')).toBe(
      'As it stands this plan feeds three times the herd or more all year, in a normal year; in a dry one not even a tenth of the herd.',
    );
  });
  it('says when most is lost', () => {
    expect(lossText([month('2027-11', 11000), month('2027-12', 9000)], 'METRIC')).toContain(
      '20.0 t of what grows or stands dies or weathers uneaten, most in Nov',
    );
    expect(lossText([month('2027-11', 10)], 'METRIC')).toContain('Next to nothing');
  });
  it('names fields that lag or are little used, and no others', () => {
    expect(fieldText(FIELD)).toBe('');
    expect(fieldText({ ...FIELD, grownKgPerHa: 4575, grazedKgPerHa: 1000 })).toBe(
      'grows 75% of what others of its kind do; 22% of what it grows is eaten or cut',
    );
    expect(fieldText({ ...FIELD, likeGrownKgPerHa: null })).toBe('');
  });
});
