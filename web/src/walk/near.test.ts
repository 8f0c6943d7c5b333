import { expect, test } from 'vitest';
import type { Walk } from '../api/client';
import { metresTo, nearestFirst } from './near';

const place = (fieldId: string, longitudeDeg: number, latitudeDeg: number) => ({
  fieldId,
  longitudeDeg,
  latitudeDeg,
});

test('a thousandth of a degree is 111 m north, and half of it east at 60 degrees', () => {
  const here = { longitudeDeg: 10, latitudeDeg: 60 };
  expect(metresTo(here, place('a', 10, 60.001))).toBeCloseTo(111.3, 0);
  expect(metresTo(here, place('a', 10.001, 60))).toBeCloseTo(55.7, 0);
});

test('the nearest come first, what is not drawn last', () => {
  const walk = {
    fields: ['plain', 'far', 'near', 'other'].map((fieldId) => ({ fieldId })),
    places: [place('far', 10, 60.01), place('near', 10, 60.001)],
  } as unknown as Walk;
  const order = nearestFirst(walk, { longitudeDeg: 10, latitudeDeg: 60 }).map((f) => f.fieldId);
  expect(order).toEqual(['near', 'far', 'plain', 'other']);
});
