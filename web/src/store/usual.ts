import type { Catalogue, Lot } from '../api/client';

type Package = Catalogue['packages'][number];

/** True for mouths that are sheep and goats only: they eat small bales from a rack. */
export function smallStock(kinds: string[]): boolean {
  return kinds.length > 0 && kinds.every((k) => /^(sheep|goat)\//.test(k));
}

/** What a package is called when it is counted, how dry it is, how it is kept and fed. */
export function habits(
  p: Package,
  forSmallStock: boolean,
): Pick<Lot, 'unitName' | 'dmShare' | 'storageMethodId' | 'feedingMethodId'> {
  const ring = 'f_ring_open';
  switch (p.shape) {
    case 'wrapped_round':
      return {
        unitName: 'wrapped bale',
        dmShare: 0.5,
        storageMethodId: 's_wrapped_sound',
        feedingMethodId: ring,
      };
    case 'clamp':
      return {
        unitName: 'cubic metre',
        dmShare: 0.33,
        storageMethodId: 's_clamp_sealed',
        feedingMethodId: 'f_bunk',
      };
    case 'small_square':
      return {
        unitName: 'small bale',
        dmShare: 0.87,
        storageMethodId: 's_barn',
        feedingMethodId: forSmallStock ? 'f_rack_small' : 'f_bunk',
      };
    case 'bag':
      return p.id.startsWith('sack')
        ? {
            unitName: 'sack',
            dmShare: 0.89,
            storageMethodId: 's_bin_dry',
            feedingMethodId: 'f_trough_suppl',
          }
        : {
            unitName: 'metre of bag',
            dmShare: 0.35,
            storageMethodId: 's_bag_sound',
            feedingMethodId: 'f_bunk',
          };
    case 'bulk':
      return {
        unitName: 'cubic metre',
        dmShare: 0.88,
        storageMethodId: 's_bin_dry',
        feedingMethodId: 'f_trough_suppl',
      };
    case 'large_square':
      return {
        unitName: 'large bale',
        dmShare: 0.87,
        storageMethodId: 's_barn',
        feedingMethodId: 'f_bunk',
      };
    default:
      return {
        unitName: 'round bale',
        dmShare: 0.87,
        storageMethodId: 's_barn',
        feedingMethodId: ring,
      };
  }
}

/** A lot of common bales: weight from the tables, in the barn, fed as is usual for them. */
export function usualLot(
  id: string,
  name: string,
  kind: Package,
  units: number,
  forSmallStock: boolean,
): Lot {
  return {
    id,
    name,
    units,
    kgPerUnitAsFed: kind.typicalKg,
    pricePerTonneAsFed: null,
    note: '',
    ...habits(kind, forSmallStock),
    ...nothingSaid(),
    size: kind.size,
  };
}

/** Of a lot of which no more is said. */
export function nothingSaid(): Pick<Lot, 'origin' | 'size' | 'reserve'> {
  return {
    origin: {
      feedId: null,
      cutOn: null,
      wrap: 'NOT_SAID',
      place: '',
      movable: true,
      makingPerUnit: null,
      haulingPerUnit: null,
      worth: null,
    },
    size: null,
    reserve: null,
  };
}
