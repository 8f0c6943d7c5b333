import { describe, expect, it } from 'vitest';
import type { Fact, StakeLine } from '../api/client';
import { againstText, heldText, placeText, rainText, seenText, stakeText } from './seen';

const name = (id: string) => ({ near: 'Near Field', far: 'Far Field', cows: 'Cows' })[id] ?? id;

const stake = (of: Partial<StakeLine>): StakeLine => ({
  fieldId: 'near',
  stake: 'by the oak',
  leftOn: '2028-04-20',
  leftCm: 8,
  seenOn: '2028-05-01',
  seenCm: 14.5,
  tips: 'POINTED',
  cmPerDay: 0.59,
  restDays: 11,
  askedRestDays: 20,
  enterCm: 20,
  recovered: false,
  toGoDays: 10,
  ...of,
});

describe('a stake', () => {
  it('says growth, rest and how long to wait', () => {
    expect(stakeText(stake({}), 'METRIC')).toBe(
      'by the oak: 14.5 cm on 1 May, left at 8 cm 11 days before, 4.1 cm a week, tips pointed. Not ready: at this growth 10 days more to 20 cm. Move elsewhere, walk again in 7 days.',
    );
    expect(stakeText(stake({ toGoDays: 3 }), 'IMPERIAL')).toContain(
      '5.7 in on 1 May, left at 3.1 in 11 days before, 1.6 in a week, tips pointed. Not ready: at this growth 3 days more to 7.9 in. Move elsewhere, walk again in 3 days.',
    );
  });
  it('knows tall from recovered, and recovered from rested', () => {
    const tall = { seenCm: 22, toGoDays: null };
    expect(stakeText(stake({ ...tall, tips: 'BLUNT' }), 'METRIC')).toContain(
      'Tall enough, and as bitten: not recovered.',
    );
    expect(stakeText(stake({ ...tall, recovered: true }), 'METRIC')).toContain(
      'Recovered by its height after 11 days; this time of the year asks for 20 days of rest.',
    );
    expect(stakeText(stake({ ...tall, recovered: true, restDays: 25 }), 'METRIC')).toMatch(
      /pointed\. Recovered\.$/,
    );
    expect(stakeText(stake({ cmPerDay: 0, toGoDays: null }), 'METRIC')).toContain(
      'no growth, tips pointed. Not ready for 20 cm, and not growing by the stake.',
    );
    expect(
      stakeText(stake({ seenOn: '2028-04-20', seenCm: 8, cmPerDay: null, tips: null }), 'METRIC'),
    ).toBe('by the oak: 8 cm on 20 Apr. Stock have just left.');
  });
});

describe('what is said of fields and groups', () => {
  it('tells where a group is and how that is known', () => {
    const at = { groupId: 'cows', head: 52, since: '2028-04-17', written: false };
    expect(placeText({ ...at, fieldId: 'near' }, name)).toBe(
      '52 head: Near Field since 17 Apr, as the plan has it',
    );
    expect(placeText({ ...at, fieldId: null, written: true }, name)).toBe(
      '52 head: fed, on no field since 17 Apr, as written down',
    );
  });
  it('says what speaks against a field', () => {
    const field = { plantsLift: false, shut: false, young: false } as Parameters<
      typeof againstText
    >[0];
    const tall = { ...field, expectedKgPerHa: 2000, enterKgPerHa: 1500 };
    expect(againstText(tall, undefined, 'METRIC')).toBe('');
    expect(againstText({ ...tall, expectedKgPerHa: 900 }, undefined, 'METRIC')).toBe(
      '900 kg/ha expected, 1,500 kg/ha is wanted',
    );
    expect(againstText({ ...tall, young: true }, undefined, 'METRIC')).toContain('young');
    const held = { recordId: 'r', fieldId: 'near', since: '2028-04-20', until: null, why: 'flood' };
    expect(againstText(tall, held, 'METRIC')).toBe('shut by hand: flood');
    expect(heldText({ ...held, until: '2028-05-02' })).toBe(
      'Shut by hand since 20 April until 2 May: flood.',
    );
  });
  it('holds rain against the usual', () => {
    const rain = { from: '2028-04-01', readings: 2, days: 9, mm: 25.4, usualMm: 50.8 };
    expect(rainText(rain, 'IMPERIAL')).toBe(
      '1.0 in in the gauge by 2 readings since 1 April, of 9 days; 2.0 in usually fall on these. The plan’s soils had this rain.',
    );
    expect(rainText({ ...rain, mm: 0 }, 'IMPERIAL')).toMatch(/^Nothing in the gauge by 2/);
  });
});

describe('a line of a record', () => {
  const line = (fact: unknown) => seenText(fact as Fact, name, 'METRIC');
  it('says what was written down', () => {
    expect(line({ kind: 'HERD_MOVED', groupId: 'cows', fieldId: 'far' })).toBe('Cows to Far Field');
    expect(line({ kind: 'HERD_MOVED', groupId: 'cows', fieldId: null })).toBe(
      'Cows to no field, fed',
    );
    expect(line({ kind: 'HEAD_COUNTED', groupId: 'cows', head: 50, why: 'SOLD' })).toBe(
      'Cows: 50 head, sold',
    );
    expect(line({ kind: 'NOTICED', what: 'SOIL', fieldId: 'near', amount: 0.375 })).toBe(
      'Near Field: soil: a ball that breaks',
    );
    expect(line({ kind: 'NOTICED', what: 'FROST', fieldId: null, amount: -3 })).toBe(
      'lowest of the night -3 C',
    );
    expect(line({ kind: 'FIELD_HELD', fieldId: 'far', why: 'flood' })).toBe(
      'Far Field shut: flood',
    );
    const stems = ['leafy', 'jointed', 'jointed'].map((stageId) => ({ stageId, pointCm: null }));
    expect(line({ kind: 'STEMS_SEEN', fieldId: 'far', stems })).toBe(
      'Far Field: 3 stems, mostly jointed',
    );
    expect(line({ kind: 'LOT_COUNTED' })).toBe('');
  });
});
