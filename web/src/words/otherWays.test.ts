import { describe, expect, it } from 'vitest';
import { leadText, OTHER_WAYS } from './otherWays';

describe('other ways', () => {
  it('say by when they would have to be begun', () => {
    const way = { name: '', note: '', lead: [40, 120] as [number, number] };
    expect(leadText(way, '2028-02-20', '2027-09-01')).toBe(
      'Takes 40 to 120 days: to be begun by 11 Jan at the latest.',
    );
    expect(leadText(way, '2028-02-20', '2028-01-12')).toBe(
      'Takes 40 to 120 days: for this gap it is too late since 11 Jan.',
    );
  });
  it('take no shorter at worst than at best', () => {
    for (const way of OTHER_WAYS) expect(way.lead[0], way.name).toBeLessThanOrEqual(way.lead[1]);
  });
});
