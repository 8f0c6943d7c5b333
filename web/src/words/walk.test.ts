import { describe, expect, test } from 'vitest';
import type { FeedAhead, FieldToWalk, SwardSign, WalkAnswer } from '../api/client';
import {
  aheadLines,
  clippedText,
  plateText,
  differenceText,
  expectedText,
  lastText,
  movesText,
  offLineText,
  paceText,
  roundText,
  signTitle,
  signWord,
  stakeText,
  standsText,
  useText,
  youngText,
} from './walk';

const ahead = (over: Partial<FeedAhead> = {}): FeedAhead => ({
  standsDays: 40,
  standsToTheEnd: false,
  bareNormal: '2028-02-21',
  bareDry: '2028-02-10',
  ...over,
});

const field = (over: Partial<FieldToWalk> = {}): FieldToWalk => ({
  fieldId: 'church',
  forageId: 'tall_fescue_novel',
  season: 'SPRING',
  expectedKgPerHa: 1900,
  expectedCm: 14.2,
  doubtKgPerHa: 500,
  leaveKgPerHa: 1100,
  enterKgPerHa: 1500,
  growthKgPerHaDay: 30,
  grazedOn: null,
  askedRestDays: 25,
  young: false,
  plantsLift: false,
  sandy: false,
  shut: false,
  lastOn: null,
  lastKgPerHa: null,
  readToday: false,
  daysAtStake: 2.6,
  ...over,
});

const answer = (over: Partial<WalkAnswer> = {}): WalkAnswer => ({
  seen: { coverKgPerHa: 1450, lowKgPerHa: 1000, highKgPerHa: 1900 },
  expectedKgPerHa: 1900,
  counts: true,
  feedDays: -2.8,
  forAllDays: 11.6,
  effect: 'READY',
  reasons: [],
  ready: true,
  openKgPerHa: 1500,
  rootsHold: null,
  restDays: null,
  before: ahead(),
  after: ahead(),
  paceBefore: 1,
  paceAfter: 1,
  ...over,
});

const SIGN = (id: string, what: string, values: string[]): SwardSign => ({
  id,
  what,
  note: '',
  values: values.map((v) => ({ id: v, meaning: `means ${v}`, effect: 'READY' })),
});

describe('a reading', () => {
  test('says what stands and what was expected, in the units of the keeper', () => {
    expect(standsText(answer(), 'METRIC')).toBe('1,450 kg/ha stands; 1,900 was expected');
    expect(standsText(answer(), 'IMPERIAL')).toBe('1,294 lb/ac stands; 1,695 was expected');
  });
  test('is so many days of feed more or less', () => {
    expect(differenceText(answer(), 300)).toBe('About 3 days’ less feed for all animals.');
    expect(differenceText(answer({ feedDays: 1.2 }), 300)).toBe(
      'About 1 day’s more feed for all animals.',
    );
    expect(differenceText(answer({ feedDays: 0.3 }), 300)).toBe(
      'Hardly a day’s feed more or less.',
    );
  });
  test('tells who may come in, the hardest reason first', () => {
    const tall = answer({ seen: { coverKgPerHa: 2400, lowKgPerHa: 2000, highKgPerHa: 2800 } });
    expect(useText(tall, field(), 'METRIC', 300)).toMatch(/^Ready\. .*for 11 days\.$/);
    expect(useText(tall, field({ shut: true }), 'METRIC', 300)).toMatch(/^Shut for now/);
    expect(useText(tall, field({ young: true }), 'METRIC', 300)).toMatch(
      /pull, and see that the roots/,
    );
    const held = { ...tall, rootsHold: true };
    expect(useText(held, field({ young: true }), 'METRIC', 300)).toMatch(/^Ready/);
    expect(useText({ ...tall, rootsHold: false }, field(), 'METRIC', 300)).toMatch(/plants lift/);
    expect(useText(answer(), field(), 'METRIC', 300)).toMatch(/^Not ready: 1,500 kg\/ha is wanted/);
    expect(useText({ ...tall, restDays: 9 }, field(), 'METRIC', 300)).toMatch(
      /asks for 25 days of rest/,
    );
    const blunt = { signId: 'tips_bitten', value: 'mostly_blunt', meaning: 'grazed lately' };
    expect(useText({ ...tall, effect: 'WAIT', reasons: [blunt] }, field(), 'METRIC', 300)).toBe(
      'Not ready: grazed lately. Move elsewhere, walk again in 7 days.',
    );
    expect(
      useText({ ...tall, effect: 'CAUTION', reasons: [blunt] }, field(), 'METRIC', 300),
    ).toMatch(/^With care: grazed lately\./);
    expect(useText({ ...tall, forAllDays: 0.4 }, field(), 'METRIC', 300)).toMatch(/not feed all/);
  });
  test('moves the last day of feed, or does not', () => {
    expect(movesText(ahead(), ahead())).toBe('The first day without feed stays where it was.');
    expect(movesText(ahead(), ahead({ bareNormal: '2028-02-19' }))).toBe(
      'In a normal year the first day without feed moves from 21 February to 19 February.',
    );
    expect(movesText(ahead(), ahead({ bareNormal: null, bareDry: '2028-03-01' }))).toBe(
      'In a normal year feed now lasts to the end of the plan; in a dry one the first day without feed moves from 10 February to 1 March.',
    );
    expect(movesText(ahead({ bareDry: null }), ahead())).toMatch(/in a dry one|In a dry one/);
  });
});

test('the pace is told only where it is another', () => {
  expect(paceText(1)).toBe('');
  expect(paceText(0.853)).toContain('85%');
});

test('feed from here is told three ways', () => {
  expect(aheadLines(ahead({ bareDry: null }), '2028-02-01').map((l) => l.text)).toEqual([
    '40 days',
    'to 21 February, 20 days',
    'to the end of the plan',
  ]);
  expect(aheadLines(ahead({ standsToTheEnd: true }), '2028-02-21')[0].text).toBe(
    'to the end of the plan',
  );
  expect(aheadLines(ahead(), '2028-02-21')[1].text).toMatch(/^short this very day/);
});

test('a field of the round says what is expected and when somebody looked', () => {
  expect(expectedText(field(), 'METRIC')).toBe('1,900 kg/ha expected, about 14 cm');
  expect(expectedText(field({ expectedCm: null }), 'IMPERIAL')).toBe('1,695 lb/ac expected');
  expect(expectedText(field({ expectedKgPerHa: 0 }), 'METRIC')).toMatch(/^nothing/);
  expect(lastText(field(), '2028-02-01', 'METRIC')).toBe('never read in this plan');
  const read = field({ lastOn: '2028-01-25', lastKgPerHa: 1820 });
  expect(lastText(read, '2028-02-01', 'METRIC')).toBe('1,820 read 7 days ago');
  expect(lastText(field({ readToday: true }), '2028-02-01', 'METRIC', 1450)).toBe(
    '1,450 read this day',
  );
  expect(stakeText(field())).toBe('may move the forecast by 3 days');
  expect(stakeText(field({ daysAtStake: 0.2 }))).toMatch(/less than a day/);
});

test('the round says where to begin', () => {
  const name = (id: string) => (id === 'church' ? 'Church Field' : id);
  expect(roundText([field(), field({ readToday: true })], ['church'], name, 300)).toBe(
    '2 fields, 1 read this day. First Church Field: a look there changes the forecast most.',
  );
  expect(roundText([field({ readToday: true })], [], name, 300)).toMatch(/^1 field, 1 read/);
});

test('a young stand says from when it may be opened', () => {
  const rule = {
    fieldId: 'a',
    lookCm: 15,
    openCm: 20,
    test: '20 of 20 hold',
    leaves: '4 leaves',
    onSand: 'wait one more leaf',
    downToCm: 9,
    note: '',
  };
  expect(youngText(rule, 'METRIC')).toBe(
    'A young stand. Pull from 15 cm on; open from 20 cm on this sand where roots hold: 20 of 20 hold. 4 leaves. On sand: wait one more leaf. The first visit ends at 9 cm.',
  );
  expect(youngText({ ...rule, onSand: '' }, 'METRIC')).not.toContain('sand');
});

test('nothing is claimed where nobody eats, nothing is there or nothing counts', () => {
  const none = answer({ counts: false, feedDays: 0 });
  expect(differenceText(none, 300)).toBe('');
  expect(useText(none, field(), 'METRIC', 300)).toMatch(/changes nothing/);
  expect(differenceText(answer(), 0)).toBe('');
  const tall = answer({ seen: { coverKgPerHa: 2400, lowKgPerHa: 2000, highKgPerHa: 2800 } });
  expect(useText(tall, field(), 'METRIC', 0)).toBe('Ready. Nobody is there to feed.');
  expect(roundText([], [], (id) => id, 0)).toMatch(/^There is no field yet/);
  expect(roundText([field()], [], (id) => id, 0)).toMatch(/Nobody is there to feed/);
});

test('signs are read as they are spoken', () => {
  const bare = SIGN('bare_ground', 'bare_ground', ['under_5', '5_15']);
  expect(signTitle(bare)).toBe('Bare ground');
  expect(signWord(bare, 'under_5')).toBe('under 5%');
  expect(signWord(bare, '5_15')).toBe('5 to 15%');
  const leaves = SIGN('leaf_stage_fescue', 'leaf_stage', ['1', 'over_4']);
  expect(signTitle(leaves)).toBe('New leaves since it was grazed');
  expect(signWord(leaves, 'over_4')).toBe('over 4');
  expect(signTitle(SIGN('leaf_stage_legume', 'leaf_stage', ['bud']))).toBe('Stage');
  expect(signWord(SIGN('tips_bitten', 'tips', ['half_blunt']), 'half_blunt')).toBe('half blunt');
});

describe('where a reading’s mass comes from', () => {
  const line = {
    usable: true,
    perClickKg: 95,
    baseKg: 10,
    fromClicks: 10,
    toClicks: 34,
    errorShare: 0.24,
    note: 'Bunchy stands need more readings.',
  };
  test('says whose line a plate reads by', () => {
    expect(plateText(line, false)).toBe(
      'The table’s line for this sward and season, in clicks of half a centimetre, from 10 to 34; known to 24% until you clip. Bunchy stands need more readings.',
    );
    expect(plateText(line, true)).toContain('Your own line');
    expect(plateText(null, false)).toContain('the table has none for this one');
  });
  test('says where a plate rides off its line', () => {
    expect(offLineText(line, false, [30, 44])).toBe(
      '37 clicks on the mean: the line holds up to 34. Stems carry the plate there: clip frames or use the stick.',
    );
    expect(offLineText(line, false, [4, 6])).toContain('holds from 10 on');
    expect(offLineText(line, false, [10, 34])).toBe('');
    expect(offLineText(line, true, [90])).toBe('');
    expect(offLineText(null, false, [90])).toBe('');
  });
  test('says what own frames say of heights', () => {
    const frames = { forageId: 'f', frames: 6, times: 1.184, errorShare: 0.094, used: true };
    expect(clippedText(frames)).toBe(
      '6 frames of yours with heights hold 1.18 times what the table has, ±9%; heights are read by them.',
    );
    expect(clippedText({ ...frames, frames: 1, errorShare: 1, used: false })).toContain(
      '1 frame of yours with heights hold 1.18 times what the table has, ±100%: too few',
    );
  });
});
