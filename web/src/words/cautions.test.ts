import { describe, expect, it } from 'vitest';
import { inUnits } from './cautions';

describe('a caution', () => {
  it('speaks of inches and Fahrenheit on an imperial farm', () => {
    expect(inUnits('Open at 45 cm for true sudangrass, 60 cm for hybrids.', 'IMPERIAL')).toBe(
      'Open at 18 in for true sudangrass, 24 in for hybrids.',
    );
    expect(inUnits('Leave 20 to 25 cm of stubble.', 'IMPERIAL')).toBe(
      'Leave 8 to 10 in of stubble.',
    );
    expect(inUnits('Near 70 C call for help; a low near -2 C.', 'IMPERIAL')).toBe(
      'Near 158 F call for help; a low near 28 F.',
    );
  });

  it('is left as it is on a metric farm', () => {
    expect(inUnits('Open at 45 cm, near 70 C.', 'METRIC')).toBe('Open at 45 cm, near 70 C.');
  });

  it('leaves words with the same letters alone', () => {
    expect(inUnits('Give 3 cows and 12 Calves room.', 'IMPERIAL')).toBe(
      'Give 3 cows and 12 Calves room.',
    );
  });
});
