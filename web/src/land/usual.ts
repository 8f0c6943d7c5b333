import type { Field } from '../api/client';
import type { PlanSession } from '../plan/session.svelte';

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
    paddocks: null,
    block: '',
    heights: null,
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

export function firstForage(open: PlanSession, climateId: string): string {
  const grown = open.forages.filter((f) => f.curves[climateId]).map((f) => f.id);
  return COMMON.find((id) => grown.includes(id)) ?? grown[0];
}
