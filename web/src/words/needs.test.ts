import { describe, expect, it } from 'vitest';
import { counted, GAP_KINDS, isBulk, shareText } from './needs';

describe('kinds of gaps', () => {
  it('say what they count in the system of the farm', () => {
    expect(counted('STORE', 2500, 'METRIC')).toBe('2.5 t');
    expect(counted('PROTEIN', 100, 'METRIC')).toBe('100 kg of protein');
    expect(counted('PROTEIN', 100, 'IMPERIAL')).toBe('220 lb of protein');
    expect(counted('ENERGY', 80, 'METRIC')).toBe('80 kg of TDN');
    expect(counted('WATER', 12500, 'METRIC')).toBe('12,500 L');
  });

  it('know where dry matter is what counts', () => {
    const bulk = (Object.keys(GAP_KINDS) as (keyof typeof GAP_KINDS)[]).filter(isBulk);
    expect(bulk).toEqual(['STORE', 'GRAZING']);
  });

  it('tell the share that is taken away', () => {
    expect(shareText(99.5, 100)).toBe('all of it');
    expect(shareText(61.7, 100)).toBe('62%');
    expect(shareText(-3, 100)).toBe('nothing');
    expect(shareText(1, 0)).toBe('nothing');
  });
});
