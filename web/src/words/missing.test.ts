import { expect, test } from 'vitest';
import { missing } from './missing';

const field = (id: string, cover: number | null, soil: unknown, forageId = 'fescue') => ({
  id,
  name: `Field ${id}`,
  soil,
  stand: { forageId, openingCoverKgPerHa: cover },
});
const lot = (id: string, worthFrom: string, weighedErrorKg: number | null) => ({
  id,
  name: `Lot ${id}`,
  unitName: 'round bale',
  worthFrom,
  weighedErrorKg,
});
const full = {
  farm: {
    groups: [{ id: 'c', name: 'Cows' }],
    fields: [field('1', 1800, { texture: 'LOAM' })],
  },
  plan: { steps: [{ groupId: 'c' }], cuts: [], purchases: [] },
  year: { lots: [lot('h', 'TEST', 4)] },
};

test('a plan in which all is said asks for nothing, nor does one without animals', () => {
  expect(missing(full)).toEqual([]);
  const nobody = { ...full, farm: { ...full.farm, groups: [], fields: [] } };
  expect(missing(nobody)).toEqual([]);
});

test('ground, hay and feeds are asked for first', () => {
  const empty = {
    farm: { groups: [{ id: 'c', name: 'Cows' }], fields: [] },
    plan: { steps: [], cuts: [], purchases: [] },
    year: { lots: [] },
  };
  expect(missing(empty).map((m) => m.text)).toEqual([
    'what Cows may eat',
    'the ground: nothing grows here',
    'hay: none is put by',
  ]);
  expect(missing(empty)[0].to).toBe('herd?group=c&side=feeds');
});

test('what is taken as usual is named, more than two things by their number', () => {
  const fields = [field('1', null, null), field('2', 900, null), field('3', 900, null)];
  const said = missing({
    ...full,
    farm: { ...full.farm, fields },
    year: { lots: [lot('h', 'ASSUMED', null)] },
  });
  expect(said).toEqual([
    { text: 'what stands on Field 1 on the first day (half grown)', to: 'land?field=1&side=seen' },
    { text: 'what a round bale of Lot h weighs', to: 'store?lot=h&side=records' },
    { text: 'what kind of feed Lot h is', to: 'store?lot=h&side=lot' },
    { text: 'the soil of 3 fields', to: 'land?field=1&side=place' },
  ]);
});

test('of residue and of hay that is cut in the plan nothing is asked', () => {
  const fields = [field('1', null, null, 'corn_residue')];
  const said = missing(
    { ...full, farm: { ...full.farm, fields }, year: { lots: [lot('h', 'CUT', null)] } },
    ['corn_residue'],
  );
  expect(said).toEqual([]);
});
