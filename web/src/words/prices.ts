/** Prices and what they are prices of, in words and in the user's units. */
import type { Price } from '../api/client';
import type { System } from '../units/units';

interface PriceUnit {
  /** The price of one: "a ha". */
  each: string;
  /** So many of it: "ha". */
  many: string;
  /** How many of the product's own unit one of these is. */
  of: number;
}

const HA_PER_ACRE = 0.40468564224;
const KG_PER_LB = 0.45359237;
const T_PER_TON = (2000 * KG_PER_LB) / 1000;
const KM_PER_MILE = 1.609344;
const M_PER_FT = 0.3048;
const L_PER_GAL = 3.785412;

const same = (each: string, many: string): Record<System, PriceUnit> => ({
  METRIC: { each, many, of: 1 },
  IMPERIAL: { each, many, of: 1 },
});
const either = (
  metric: [string, string],
  imperial: [string, string],
  of: number,
): Record<System, PriceUnit> => ({
  METRIC: { each: metric[0], many: metric[1], of: 1 },
  IMPERIAL: { each: imperial[0], many: imperial[1], of },
});
const kilo = (of: string) => either([`a kg${of}`, `kg${of}`], [`a lb${of}`, `lb${of}`], KG_PER_LB);

/** By the unit of the table of prices. */
export const PRICE_UNITS: Record<string, Record<System, PriceUnit>> = {
  usd_per_t_as_fed: either(['a tonne', 't'], ['a ton', 'tons'], T_PER_TON),
  usd_per_t: either(['a tonne', 't'], ['a ton', 'tons'], T_PER_TON),
  usd_per_kg: kilo(''),
  usd_per_kg_seed: kilo(' of seed'),
  usd_per_kg_n: kilo(' of nitrogen'),
  usd_per_kg_p: kilo(' of phosphorus'),
  usd_per_kg_k: kilo(' of potassium'),
  usd_per_kg_live: kilo(' live'),
  usd_per_ha: either(['a ha', 'ha'], ['an acre', 'ac'], HA_PER_ACRE),
  usd_per_mm_ha: either(
    ['a mm on a ha', 'mm ha'],
    ['an acre-inch', 'acre-inches'],
    25.4 * HA_PER_ACRE,
  ),
  usd_per_m: either(['a m', 'm'], ['a ft', 'ft'], M_PER_FT),
  usd_per_m2: either(['a m2', 'm2'], ['a sq ft', 'sq ft'], M_PER_FT * M_PER_FT),
  usd_per_m3: either(['a m3', 'm3'], ['a thousand gal', 'thousand gal'], L_PER_GAL),
  usd_per_m3_km: either(
    ['a m3 and km', 'm3 km'],
    ['a thousand gal and mile', 'thousand gal miles'],
    L_PER_GAL * KM_PER_MILE,
  ),
  usd_per_l: either(['a L', 'L'], ['a gal', 'gal'], L_PER_GAL),
  usd_per_loaded_km: either(['a loaded km', 'km'], ['a loaded mile', 'miles'], KM_PER_MILE),
  usd_per_t_km: either(
    ['a t and km', 't km'],
    ['a ton and mile', 'ton miles'],
    T_PER_TON * KM_PER_MILE,
  ),
  usd_per_head_km: either(
    ['a head and km', 'head km'],
    ['a head and mile', 'head miles'],
    KM_PER_MILE,
  ),
  usd_per_bale: same('a bale', 'bales'),
  usd_per_head: same('a head', 'head'),
  usd_per_head_day: same('a head and day', 'head days'),
  usd_per_animal_unit_day: same('an animal unit and day', 'AUD'),
  usd_per_hour: same('an hour', 'hours'),
  usd_per_kwh: same('a kWh', 'kWh'),
  usd_per_sample: same('a sample', 'samples'),
  usd_per_visit: same('a visit', 'visits'),
  usd_each: same('each', ''),
};

/** Prices that move together, in the order in which they are shown. */
export const PRICE_GROUPS: Record<string, string> = {
  hay: 'Hay',
  straw: 'Straw',
  silage: 'Haylage and silage',
  concentrate: 'Grain and by-products',
  protein: 'Protein feeds and licks',
  mineral: 'Minerals',
  nitrogen: 'Nitrogen',
  phosphorus_potassium: 'Phosphorus and potassium',
  lime: 'Lime',
  machine_work: 'Machine work, hired',
  labour: 'Labour',
  agistment: 'Agistment and board',
  seed: 'Seed',
  cattle_store: 'Growing cattle',
  cattle_cull: 'Cull cattle',
  cattle_finished: 'Finished cattle',
  cattle_breeding: 'Breeding cattle',
  dairy_stock: 'Dairy stock',
  milk: 'Milk',
  sheep: 'Sheep',
  wool: 'Wool',
  goats: 'Goats',
  horses: 'Horses',
  bison: 'Bison',
  services: 'Sale costs, tests, services',
  transport: 'Moving animals',
  feeders: 'Feeders',
  fencing: 'Fence',
  water: 'Water',
  irrigation: 'Irrigation',
  fuel: 'Fuel',
  electricity: 'Electricity',
};

export function priceUnit(unit: string, system: System): PriceUnit {
  return PRICE_UNITS[unit]?.[system] ?? { each: unit, many: unit, of: 1 };
}

/** Money with the decimals that its size deserves, without its currency. */
export function money(v: number): string {
  const digits = Math.abs(v) < 20 && Math.round(v) !== v ? 2 : 0;
  return v.toLocaleString('en-US', {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
  });
}

/** "64 to 146", of what is usual; nothing where the product knows none in the farm's currency. */
export function usualText(price: Price, system: System): string {
  if (price.low === null || price.high === null) return '';
  const { of } = priceUnit(price.unit, system);
  return `${money(price.low * of)} to ${money(price.high * of)}`;
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** "most in Mar, least in Aug", where a price moves over the year. */
export function seasonText(season: number[]): string {
  if (!season.length) return '';
  const most = season.indexOf(Math.max(...season));
  const least = season.indexOf(Math.min(...season));
  if (most === least) return '';
  const share = Math.round((season[most] / season[least] - 1) * 100);
  return `${share}% dearer in ${MONTHS[most]} than in ${MONTHS[least]}`;
}
