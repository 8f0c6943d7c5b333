import { describe, expect, it } from 'vitest';
import { againstText, enoughText, passText, purposes, stageWord } from './land';

const START = '2027-09-01';
const farm = { groups: [{ id: 'cows', name: 'Cows' }] } as Parameters<typeof enoughText>[1];

describe('words about a field', () => {
  it('names stages', () => {
    expect([0, 0.3, 0.5, 0.75, 1].map(stageWord)).toEqual([
      'leafy',
      'full leaf',
      'boot or bud',
      'heading or bloom',
      'ripe',
    ]);
  });
  it('gives each purpose its own day', () => {
    const lines = purposes({ rows: [], enough: [], regrowthDay: 10, singleCutDay: 45 }, START);
    expect(lines[0]).toContain('from 11 September');
    expect(lines[1]).toContain('about 16 October');
    const none = purposes({ rows: [], enough: [], regrowthDay: -1, singleCutDay: -1 }, START);
    expect(none.join(' ')).toContain('never stands ready');
  });
  it('says for how long it is good enough for whom', () => {
    const e = { groupId: 'cows', lastDay: 30, tdnNeedPct: 54, proteinNeedPct: 8, toTheEnd: false };
    expect(enoughText(e, farm, START)).toBe(
      'Cows: good enough to 1 October (asks for 54% TDN and 8% protein); leave it no longer for them.',
    );
    expect(enoughText({ ...e, toTheEnd: true }, farm, START)).toContain('throughout');
    expect(enoughText({ ...e, lastDay: -1, tdnNeedPct: null }, farm, START)).toBe(
      'Cows: not good enough by itself.',
    );
  });
  it('counts passes', () => {
    expect(passText({ passId: 'p', count: 0, eatenKg: 0 }, 'METRIC')).toContain('no pass');
    expect(passText({ passId: 'p', count: 1, eatenKg: 900 }, 'METRIC')).toBe(
      '1 pass, 0.9 t eaten on them',
    );
  });
  it('says what speaks against a crop', () => {
    expect(againstText(['TOO_DRY', 'NO_CONDITIONER'])).toBe(
      'too little rain after that day, thick stems, and no conditioner',
    );
    expect(againstText([])).toBe('');
  });
});
