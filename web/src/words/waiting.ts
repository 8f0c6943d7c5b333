/** What waits on a device to be sent, in words. */
import type { Fact, Seen } from '../api/client';
import { shortDate } from '../units/dates';
import { plural } from './year';

const WHAT: Record<Fact['kind'], string> = {
  COVER_SEEN: 'reading',
  STEMS_SEEN: 'stems',
  HERD_MOVED: 'move',
  FIELD_HELD: 'shut by hand',
  FIELD_OPENED: 'opened by hand',
  HEAD_COUNTED: 'head',
  STAKE_SEEN: 'stake',
  NOTICED: 'something seen',
  BIRTHS_SEEN: 'births',
  PHOTO_TAKEN: 'photo',
  LOT_FED: 'feed given',
  LOT_COUNTED: 'count',
  LOT_TESTED: 'test',
  SAMPLE_SENT: 'sample',
  CONDITION_SEEN: 'condition',
  WEATHER_MEASURED: 'weather',
  STRUCK: 'something struck out',
  JOB_MARKED: 'job',
  HOLD_LIFTED: 'hold lifted',
};

/** Id of the thing that a record is about, or nothing. */
function aboutOf(fact: Fact): string {
  if (fact.kind === 'HERD_MOVED') return fact.groupId;
  const about = fact as { fieldId?: string | null; lotId?: string; groupId?: string };
  return about.fieldId || about.lotId || about.groupId || '';
}

/** "20 Apr: reading of Home Bottom" */
export function recordTitle(seen: Seen, name: (id: string) => string): string {
  const fact = seen.fact as Fact;
  const about = aboutOf(fact);
  return `${shortDate(seen.on)}: ${WHAT[fact.kind]}${about ? ` of ${name(about)}` : ''}`;
}

/** "3 records wait on this device" */
export function waitText(n: number): string {
  return `${n} ${plural('record', n)} ${n === 1 ? 'waits' : 'wait'} on this device`;
}

/** What is told while the server is away. */
export function awayText(since: string, planAsOf: string | null, waiting: number): string {
  const plan = planAsOf === null ? '' : ` The plan is as it was ${planAsOf}.`;
  const wait =
    waiting === 0
      ? 'What you write down waits on this device and goes out by itself'
      : waiting === 1
        ? `${waitText(1)} and goes out by itself`
        : `${waitText(waiting)} and go out by themselves`;
  return `No connection since ${since.replace(/^at /, '')}.${plan} ${wait} once there is one.`;
}
