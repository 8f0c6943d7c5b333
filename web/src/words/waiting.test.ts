import { expect, test } from 'vitest';
import { awayText, recordTitle, waitText } from './waiting';

test('a record is told by its day, its kind and what it is about', () => {
  const name = (id: string) => (id === 'f1' ? 'Home Bottom' : id);
  const seen = (fact: object) => ({ on: '2028-04-20', fact }) as never;
  expect(recordTitle(seen({ kind: 'COVER_SEEN', fieldId: 'f1' }), name)).toBe(
    '20 Apr: reading of Home Bottom',
  );
  expect(recordTitle(seen({ kind: 'LOT_FED', lotId: 'rounds' }), name)).toBe(
    '20 Apr: feed given of rounds',
  );
  expect(recordTitle(seen({ kind: 'STRUCK', record: 'x' }), name)).toBe(
    '20 Apr: something struck out',
  );
});

test('how many wait', () => {
  expect(waitText(1)).toBe('1 record waits on this device');
  expect(waitText(3)).toBe('3 records wait on this device');
});

test('that the server is away, from when the plan is, and what becomes of what is written', () => {
  expect(awayText('at 9:41', null, 0)).toBe(
    'No connection since 9:41. What you write down waits on this device and goes out by itself once there is one.',
  );
  expect(awayText('at 9:41', 'on 3 May at 17:05', 2)).toBe(
    'No connection since 9:41. The plan is as it was on 3 May at 17:05. 2 records wait on this device and go out by themselves once there is one.',
  );
});
