import type { AnimalGroup, FeedStep } from '../api/client';
import type { PlanSession } from '../plan/session.svelte';

/** Species that commonly bear more than one. Product defaults, shown as such and changed where seen. */
const YOUNG: Record<string, number> = { sheep: 1.5, goat: 1.6, beef: 0.9, dairy: 0.95 };
const YOUNG_OTHERS = 0.8;
const SPREAD_DAYS = 60;

/** Where grass grows through a mild winter milk follows the grass: births come in one block. */
const DAIRY_SPREAD_DAYS = 150;
const maritime = (climateId: string) => climateId.startsWith('maritime');

/** Before the spring flush; dairy herds of other climates calve from autumn on. Assumption. */
function firstBirth(kindId: string, climateId: string, southern: boolean): string {
  if (kindId !== 'dairy/cow') return southern ? '--08-15' : '--03-15';
  if (maritime(climateId)) return southern ? '--07-25' : '--02-01';
  return southern ? '--03-01' : '--09-01';
}

/** A group of common animals of a kind: weight and gain from the tables, births in spring. */
export function usualGroup(
  open: PlanSession,
  id: string,
  name: string,
  kindId: string,
  head: number,
): AnimalGroup {
  const { kinds, climates } = open.catalogue!;
  const kind = kinds.find((k) => k.id === kindId)!;
  const climateId = open.view!.farm.climateId;
  const southern = climates.find((c) => c.id === climateId)?.southern ?? false;
  return {
    id,
    name,
    kind: kindId,
    head,
    weightKg: kind.defaultWeightKg,
    gainKgPerDay: kind.defaultGainKgPerDay,
    flatIntakeKgPerHeadDay: null,
    birthStart: kind.dam ? firstBirth(kindId, climateId, southern) : null,
    birthSpreadDays:
      kindId === 'dairy/cow' && !maritime(climateId) ? DAIRY_SPREAD_DAYS : SPREAD_DAYS,
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
      conditionAtStart: null,
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
    portion: null,
    roundDays: null,
  }));
}
