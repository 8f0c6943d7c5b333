import type { AnimalGroup, Catalogue, Field, FeedStep, Lot } from '../api/client';
import { open } from '../plan.svelte';

type Package = Catalogue['packages'][number];

/** Species that commonly bear more than one. Product defaults, shown as such and changed where seen. */
const YOUNG: Record<string, number> = { sheep: 1.5, goat: 1.6, beef: 0.9, dairy: 0.95 };
const YOUNG_OTHERS = 0.8;
const SPREAD_DAYS = 60;

/** A group of common animals of a kind: weight and gain from the tables, births in spring. */
export function usualGroup(id: string, name: string, kindId: string, head: number): AnimalGroup {
  const { kinds, climates } = open.catalogue!;
  const kind = kinds.find((k) => k.id === kindId)!;
  const southern = climates.find((c) => c.id === open.view!.farm.climateId)?.southern ?? false;
  return {
    id,
    name,
    kind: kindId,
    head,
    weightKg: kind.defaultWeightKg,
    gainKgPerDay: kind.defaultGainKgPerDay,
    flatIntakeKgPerHeadDay: null,
    birthStart: kind.dam ? (southern ? '--08-15' : '--03-15') : null,
    birthSpreadDays: SPREAD_DAYS,
    youngPerDam: kind.dam ? (YOUNG[kindId.split('/')[0]] ?? YOUNG_OTHERS) : 0,
    weaning: null,
    youngLeave: null,
    fromInclusive: null,
    toExclusive: null,
    changes: [],
    keeping: {
      byEnergy: false,
      shelter: 'SHELTERED',
      windKmPerHour: 0,
      walkKmPerDay: 0,
      deathsPerYearShare: 0,
      conditionFloor: null,
      snowAsWater: false,
      besidesKgPerDay: 0,
    },
  };
}

/** Graze every field, then eat the whole store: also what is added later. */
export function usualSteps(groupId: string): FeedStep[] {
  return (['GRAZE', 'STORE'] as const).map((kind) => ({
    id: `${groupId}-${kind.toLowerCase()}`,
    groupId,
    kind,
    sourceIds: [],
    fromInclusive: null,
    toExclusive: null,
    mostShare: null,
  }));
}

/** A field in rotation, half grown on the first day; growth as usual in the climate. */
export function usualField(id: string, name: string, forageId: string, areaHa: number): Field {
  return {
    id,
    name,
    areaHa,
    stand: {
      forageId,
      yieldKgPerHa: null,
      monthlyKgPerHaDay: null,
      openingCoverKgPerHa: null,
      openingDeadShare: 0.1,
      fromInclusive: null,
      toExclusive: null,
    },
    grazing: 'ROTATIONAL',
    utilization: null,
    residualKgPerHa: null,
    turnInKgPerHa: null,
    hayable: false,
    note: '',
    soil: null,
    deductedHa: null,
    lie: {
      slopeDeg: null,
      water: 'NOT_SAID',
      access: 'ANY_WEATHER',
      exposure: 'ORDINARY',
      shade: false,
      distanceM: null,
      onlyGroups: [],
      formerly: '',
      soilTest: null,
      waterLPerDay: null,
      waterCostPerM3: null,
    },
    outline: null,
  };
}

/** What a package is called when it is counted, how dry it is, how it is kept and fed. */
export function habits(
  p: Package,
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
        feedingMethodId: 'f_rack_small',
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
export function usualLot(id: string, name: string, kind: Package, units: number): Lot {
  return {
    id,
    name,
    units,
    kgPerUnitAsFed: kind.typicalKg,
    pricePerTonneAsFed: null,
    note: '',
    ...habits(kind),
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
    },
    size: null,
    reserve: null,
  };
}

/** Common pastures, the commonest first: what is offered until somebody says what grows there. */
const COMMON = [
  'fescue_white_clover',
  'ryegrass_white_clover',
  'tall_fescue_novel',
  'timothy',
  'bermudagrass',
  'smooth_brome',
];

export function firstForage(climateId: string): string {
  const grown = open.forages.filter((f) => f.curves[climateId]).map((f) => f.id);
  return COMMON.find((id) => grown.includes(id)) ?? grown[0];
}
