import { describe, expect, it } from 'vitest';
import { amount, quantityOf, rounded, shown, toSi } from './units';

describe('units', () => {
  it('prints in the unit of the system', () => {
    expect(amount(0.40468564224, 'area', 'IMPERIAL')).toBe('1.0 ac');
    expect(amount(1, 'area', 'METRIC')).toBe('1.00 ha');
    expect(amount(907.18474, 'bulk', 'IMPERIAL')).toBe('1.0 tons');
    expect(amount(35137, 'bulk', 'METRIC')).toBe('35.1 t');
    expect(amount(0.42, 'share', 'METRIC')).toBe('42%');
    expect(amount(558, 'weight', 'IMPERIAL')).toBe('1,230 lb');
  });

  it('knows that 1,000 lb an acre are 1,121 kg a hectare', () => {
    expect(toSi(1000, 'massPerArea', 'IMPERIAL')).toBeCloseTo(1120.85, 2);
  });

  it('comes back from what was typed', () => {
    for (const q of ['area', 'weight', 'massPerArea', 'rate', 'pricePerMass'] as const) {
      expect(toSi(shown(123.4, q, 'IMPERIAL'), q, 'IMPERIAL')).toBeCloseTo(123.4, 9);
    }
  });

  it('counts Fahrenheit from 32, and differences of it not', () => {
    expect(amount(20, 'temperature', 'IMPERIAL')).toBe('68 F');
    expect(toSi(68, 'temperature', 'IMPERIAL')).toBeCloseTo(20, 9);
    expect(amount(5, 'degrees', 'IMPERIAL')).toBe('9.0 F');
    expect(amount(25.4, 'water', 'IMPERIAL')).toBe('1.0 in');
    expect(amount(112.085, 'nutrient', 'IMPERIAL')).toBe('100 lb/ac');
  });

  it('shows no false decimals in an input', () => {
    expect(rounded(390.1, 'weight', 'IMPERIAL')).toBe(860);
  });

  it('reads the measure off the end of a name', () => {
    expect(quantityOf('field.areaHa')).toBe('area');
    expect(quantityOf('stand.monthlyKgPerHaDay')).toBe('rate');
    expect(quantityOf('field.residualKgPerHa')).toBe('massPerArea');
    expect(quantityOf('group.flatIntakeKgPerHeadDay')).toBe('perDay');
    expect(quantityOf('portion.kgPerHeadDay')).toBe('perDay');
    expect(quantityOf('portion.share')).toBe('share');
    expect(quantityOf('heights.leaveCm')).toBe('depth');
    expect(quantityOf('lot.dmShare')).toBe('share');
    expect(quantityOf('field.utilization')).toBe('share');
    expect(quantityOf('figures.utilizationStrip')).toBe('share');
    expect(quantityOf('figures.rootDepthCm')).toBe('depth');
    expect(quantityOf('figures.winterHardyC')).toBe('temperature');
    expect(quantityOf('terms.valuePerKgGain')).toBe('pricePerKg');
    expect(quantityOf('off.bufferM')).toBe('distance');
  });

  it('measures water, wind, ways and bales', () => {
    expect(amount(3785.41, 'litres', 'IMPERIAL')).toBe('1,000 gal');
    expect(amount(16.09344, 'speed', 'IMPERIAL')).toBe('10 mph');
    expect(amount(1.524, 'size', 'IMPERIAL')).toBe('5.0 ft');
    expect(amount(170, 'density', 'METRIC')).toBe('170 kg/m3');
    expect(quantityOf('size.rindCm')).toBe('rind');
    expect(quantityOf('keeping.walkKmPerDay')).toBe('walk');
    expect(quantityOf('test.proteinPct')).toBe('percent');
    expect(quantityOf('lie.waterLPerDay')).toBe('litres');
  });
});
