import { describe, expect, it } from 'vitest';
import { LEVER_KINDS, leverTitle, setName, waitingText, kindsFor } from './levers';

const FARM = {
  fields: [
    { id: 'a', name: 'Church Field' },
    { id: 'b', name: 'Saddle' },
    { id: 'c', name: 'Long Acre' },
  ],
  lots: [{ id: 'h', name: 'Square hay' }],
} as never;
const title = (kind: string, ...edits: object[]) =>
  leverTitle({ kind, edits } as never, FARM, () => 'Cone or basket feeder that holds it');
const step = (sourceIds: string[]) => ({
  setFeeding: { groupId: 'g', steps: [{ sourceIds, fromInclusive: '2028-02-20' }] },
});
const change = (more: object) => ({
  putGroup: {
    name: 'Steers',
    weaning: '--08-05',
    changes: [{ date: '2028-01-06', head: 18, moneyPerHead: null, note: '', ...more }],
  },
});

describe('ways', () => {
  it('are named by what they do', () => {
    expect(title('STOCKPILE', { putClosing: { fieldId: 'a' } })).toBe('Shut Church Field');
    const part = { id: 'a', share: 0.25, newId: 'a-p', newName: 'Church Field (a quarter)' };
    expect(
      title(
        'SOW',
        { partField: part },
        { putSowing: { fieldId: 'a-p', forageId: 'rye', sowOn: '2027-09-10' } },
      ),
    ).toBe('Sow rye on a quarter of Church Field, 10 Sep');
    const hours = {
      setFeeding: { groupId: 'g', steps: [{ sourceIds: ['b'], portion: { share: 0.25 } }] },
    };
    expect(title('RICH_HOURS', hours)).toBe('Some hours a day on Saddle: 25% of what they eat');
    expect(title('LIMIT_HOURS', { putLot: { name: 'Rounds' } })).toBe(
      'Rounds for some hours a day',
    );
    expect(title('MORE_SEED', { putSowing: { fieldId: 'b' } })).toBe(
      'Half as much seed again on Saddle',
    );
    const oats = { fieldId: 'a', forageId: 'spring_oats', sowOn: '2027-08-25' };
    expect(title('COMPANION', { putSowing: oats })).toBe(
      'Oats with what is sown on Church Field, 25 Aug',
    );
    const bale = { units: 1, unitName: 'round bale' };
    expect(title('BUY_HAY', { putPurchase: { lot: bale, date: '2028-02-06' } })).toBe(
      'Buy 1 round bale, there 6 Feb',
    );
    expect(title('OPEN_STANDING', step(['a', 'b', 'c']))).toBe(
      'Open Church Field and 2 more from 20 Feb',
    );
    expect(title('OPEN_STORE', step(['h']))).toBe('Feed Square hay');
    expect(title('OPEN_SOONER', { putClosing: { fieldId: 'b', toExclusive: '2028-02-20' } })).toBe(
      'Open Saddle on 20 Feb already',
    );
    expect(title('LESS_WASTE', { putLot: { name: 'Rounds', feedingMethodId: 'f_cone' } })).toBe(
      'Feed Rounds by cone or basket feeder',
    );
    expect(title('WEAN_SOONER', change({}))).toBe('Wean Steers on 5 Aug');
    expect(title('SELL', change({}))).toBe('Sell 18 of Steers, 6 Jan');
    expect(title('SEND_AWAY', change({ untilExclusive: '2028-03-18' }))).toBe(
      'Send 18 of Steers away, 6 Jan to 17 Mar',
    );
    expect(title('CUT_SURPLUS', { putCut: { fieldId: 'c', date: '2027-05-28' } })).toBe(
      'Cut Long Acre on 28 May',
    );
    expect(
      leverTitle(
        {
          kind: 'SOW',
          edits: [{ putSowing: { fieldId: 'b', forageId: 'rye', sowOn: '2027-09-05' } }],
        } as never,
        FARM,
        () => '',
        () => 'cereal rye',
      ),
    ).toBe('Sow cereal rye on Saddle, 5 Sep');
    expect(title('MOVE_BIRTHS', { putGroup: { name: 'Cows', birthStart: '--03-31' } })).toBe(
      'Births of Cows from 31 Mar',
    );
    expect(
      title('CUT_WRAPPED', { putCut: { fieldId: 'c', date: '2027-05-28' } }, step(['h'])),
    ).toBe('Cut and wrap Long Acre on 28 May');
    expect(
      title('SLOW_ROUND', {
        setFeeding: {
          groupId: 'g',
          steps: [
            { roundDays: 30, fromInclusive: '2027-03-01' },
            { roundDays: 70, fromInclusive: '2027-11-05' },
          ],
        },
      }),
    ).toBe('Rounds of 70 days from 5 Nov');
    expect(
      title('STORE_FIRST', {
        setFeeding: {
          groupId: 'g',
          steps: [{ sourceIds: [], fromInclusive: '2027-06-02', toExclusive: '2027-06-30' }],
        },
      }),
    ).toBe('Feed from the store 2 Jun to 29 Jun');
    const gift = (date: string) => ({ putIrrigation: { fieldId: 'b', date } });
    expect(title('IRRIGATE', gift('2027-06-02'), gift('2027-06-12'))).toBe(
      'Water Saddle 2 times from 2 Jun',
    );
    const lot = { units: 3, unitName: 'tonne bag', name: 'Soybean hulls' };
    expect(title('CONCENTRATE', { putPurchase: { lot } }, step(['h']))).toBe(
      'Buy 3 tonne bags of soybean hulls',
    );
    expect(
      title(
        'SUPPLEMENT',
        { putPurchase: { lot: { ...lot, name: 'Maize (corn) grain, cracked' } } },
        { putPurchase: { lot: { units: 1, unitName: 'bag', name: 'Soybean meal, high protein' } } },
        step(['h']),
      ),
    ).toBe('Buy 3 tonne bags of maize grain and 1 bag of soybean meal');
    expect(
      title('BETTER_FEED', {
        setFeeding: {
          steps: [{ sourceIds: ['h'], portion: { bound: 'EXACTLY', share: 0.25 } }],
        },
      }),
    ).toBe('Square hay for them: 25% of what they eat');
    expect(
      title('KEEP_OFF', {
        putClosing: { fieldId: 'b', fromInclusive: '2027-07-01', toExclusive: '2027-08-01' },
      }),
    ).toBe('Keep off Saddle, 1 Jul to 31 Jul');
    const watered = (water: string) => ({ putField: { name: 'Saddle', lie: { water } } });
    expect(title('BRING_WATER', watered('HAULED'))).toBe('Bring water to Saddle');
    expect(title('BRING_WATER', watered('TROUGH'))).toBe('More water at Saddle');
    expect(title('SMALL_BREAKS', watered('TROUGH'))).toBe('Strips on Saddle');
    expect(title('NITROGEN', { putDressing: { fieldId: 'c', date: '2027-09-10' } })).toBe(
      'Nitrogen on Long Acre, 10 Sep',
    );
  });

  it('are called together by what they do', () => {
    expect(setName(['Sell 12 of Steers, 6 Jan', 'Buy 40 round bales'])).toBe(
      'Sell 12 of Steers and buy 40 round bales',
    );
  });

  it('say what they ask, and why one is not offered, in whole sentences', () => {
    for (const kind of Object.values(LEVER_KINDS)) {
      expect(kind.note).toMatch(/^[A-Z].*\.$/);
      expect(kind.none).toMatch(/^[A-Z].*\.$/);
    }
  });
});

describe('waiting', () => {
  it('is told beside what it brings now', () => {
    const say = (kg: number) => `${kg / 1000} t`;
    expect(waitingText(9000, 8000, -20, say)).toBe(
      'Waiting: a week later it brings 8 t, a month later it brings nothing.',
    );
    expect(waitingText(9000, 9000, 8950, say)).toContain('next to nothing');
    expect(waitingText(9000, 8000, null, say)).toContain('a month later it cannot be done');
    expect(waitingText(9000, null, null, say)).toBe('');
  });

  it('serve the kinds of gaps that they can', () => {
    expect(kindsFor('STORE')).not.toContain('SUPPLEMENT');
    expect(kindsFor('GRAZING')).not.toContain('BUY_HAY');
    expect(kindsFor('PROTEIN')).toEqual(expect.arrayContaining(['BETTER_FEED', 'SUPPLEMENT']));
    expect(kindsFor('WATER')).toEqual(['KEEP_OFF', 'SEND_AWAY', 'BRING_WATER']);
  });
});
