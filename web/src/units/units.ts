/** Conversion and print of quantities. Inside all is SI: kg DM, ha, kg/ha. */
export type System = 'IMPERIAL' | 'METRIC';

export type Quantity =
  | 'area'
  | 'mass'
  | 'bulk'
  | 'massPerArea'
  | 'rate'
  | 'weight'
  | 'gain'
  | 'perDay'
  | 'pricePerMass'
  | 'share'
  | 'nutrient'
  | 'water'
  | 'depth'
  | 'distance'
  | 'pricePerKg'
  | 'litres'
  | 'volume'
  | 'energy'
  | 'speed'
  | 'walk'
  | 'size'
  | 'density'
  | 'rind'
  | 'percent'
  | 'temperature'
  | 'degrees'
  | 'headDays'
  | 'count'
  | 'plain';

const KG_PER_LB = 0.45359237;
const HA_PER_ACRE = 0.40468564224;
const LB_AC_PER_KG_HA = HA_PER_ACRE / KG_PER_LB;
const KG_PER_TON = 2000 * KG_PER_LB;

interface Unit {
  factor: number;
  /** Shown where the factor's line begins: Fahrenheit counts from 32. */
  offset?: number;
  unit: string;
  digits: number;
}

const UNITS: Record<Quantity, Record<System, Unit>> = {
  area: {
    IMPERIAL: { factor: 1 / HA_PER_ACRE, unit: 'ac', digits: 1 },
    METRIC: { factor: 1, unit: 'ha', digits: 2 },
  },
  mass: {
    IMPERIAL: { factor: 1 / KG_PER_LB, unit: 'lb', digits: 0 },
    METRIC: { factor: 1, unit: 'kg', digits: 0 },
  },
  bulk: {
    IMPERIAL: { factor: 1 / KG_PER_TON, unit: 'tons', digits: 1 },
    METRIC: { factor: 0.001, unit: 't', digits: 1 },
  },
  massPerArea: {
    IMPERIAL: { factor: LB_AC_PER_KG_HA, unit: 'lb/ac', digits: 0 },
    METRIC: { factor: 1, unit: 'kg/ha', digits: 0 },
  },
  rate: {
    IMPERIAL: { factor: LB_AC_PER_KG_HA, unit: 'lb/ac/day', digits: 1 },
    METRIC: { factor: 1, unit: 'kg/ha/day', digits: 1 },
  },
  weight: {
    IMPERIAL: { factor: 1 / KG_PER_LB, unit: 'lb', digits: 0 },
    METRIC: { factor: 1, unit: 'kg', digits: 0 },
  },
  gain: {
    IMPERIAL: { factor: 1 / KG_PER_LB, unit: 'lb/day', digits: 2 },
    METRIC: { factor: 1, unit: 'kg/day', digits: 2 },
  },
  perDay: {
    IMPERIAL: { factor: 1 / KG_PER_LB, unit: 'lb/head/day', digits: 1 },
    METRIC: { factor: 1, unit: 'kg/head/day', digits: 1 },
  },
  pricePerMass: {
    IMPERIAL: { factor: KG_PER_TON / 1000, unit: 'a ton', digits: 0 },
    METRIC: { factor: 1, unit: 'a tonne', digits: 0 },
  },
  nutrient: {
    IMPERIAL: { factor: LB_AC_PER_KG_HA, unit: 'lb/ac', digits: 0 },
    METRIC: { factor: 1, unit: 'kg/ha', digits: 0 },
  },
  water: {
    IMPERIAL: { factor: 1 / 25.4, unit: 'in', digits: 1 },
    METRIC: { factor: 1, unit: 'mm', digits: 0 },
  },
  depth: {
    IMPERIAL: { factor: 1 / 2.54, unit: 'in', digits: 0 },
    METRIC: { factor: 1, unit: 'cm', digits: 0 },
  },
  distance: {
    IMPERIAL: { factor: 1 / 0.3048, unit: 'ft', digits: 0 },
    METRIC: { factor: 1, unit: 'm', digits: 0 },
  },
  pricePerKg: {
    IMPERIAL: { factor: KG_PER_LB, unit: 'a lb', digits: 2 },
    METRIC: { factor: 1, unit: 'a kg', digits: 2 },
  },
  temperature: {
    IMPERIAL: { factor: 1.8, offset: 32, unit: 'F', digits: 0 },
    METRIC: { factor: 1, unit: 'C', digits: 0 },
  },
  degrees: {
    IMPERIAL: { factor: 1.8, unit: 'F', digits: 1 },
    METRIC: { factor: 1, unit: 'C', digits: 1 },
  },
  headDays: {
    IMPERIAL: { factor: HA_PER_ACRE, unit: 'head-days/ac', digits: 0 },
    METRIC: { factor: 1, unit: 'head-days/ha', digits: 0 },
  },
  litres: {
    IMPERIAL: { factor: 0.264172, unit: 'gal', digits: 0 },
    METRIC: { factor: 1, unit: 'L', digits: 0 },
  },
  volume: {
    IMPERIAL: { factor: 264.172, unit: 'gal', digits: 0 },
    METRIC: { factor: 1, unit: 'm3', digits: 1 },
  },
  energy: {
    IMPERIAL: { factor: 1, unit: 'MJ', digits: 0 },
    METRIC: { factor: 1, unit: 'MJ', digits: 0 },
  },
  speed: {
    IMPERIAL: { factor: 1 / 1.609344, unit: 'mph', digits: 0 },
    METRIC: { factor: 1, unit: 'km/h', digits: 0 },
  },
  walk: {
    IMPERIAL: { factor: 1 / 1.609344, unit: 'miles a day', digits: 1 },
    METRIC: { factor: 1, unit: 'km a day', digits: 1 },
  },
  size: {
    IMPERIAL: { factor: 1 / 0.3048, unit: 'ft', digits: 1 },
    METRIC: { factor: 1, unit: 'm', digits: 2 },
  },
  density: {
    IMPERIAL: { factor: 1 / 16.018463, unit: 'lb/cu ft', digits: 1 },
    METRIC: { factor: 1, unit: 'kg/m3', digits: 0 },
  },
  rind: {
    IMPERIAL: { factor: 1 / 2.54, unit: 'in', digits: 1 },
    METRIC: { factor: 1, unit: 'cm', digits: 0 },
  },
  percent: {
    IMPERIAL: { factor: 1, unit: '%', digits: 1 },
    METRIC: { factor: 1, unit: '%', digits: 1 },
  },
  share: {
    IMPERIAL: { factor: 100, unit: '%', digits: 0 },
    METRIC: { factor: 100, unit: '%', digits: 0 },
  },
  count: {
    IMPERIAL: { factor: 1, unit: '', digits: 0 },
    METRIC: { factor: 1, unit: '', digits: 0 },
  },
  plain: {
    IMPERIAL: { factor: 1, unit: '', digits: 1 },
    METRIC: { factor: 1, unit: '', digits: 1 },
  },
};

export function unitOf(quantity: Quantity, system: System): string {
  return UNITS[quantity][system].unit;
}

/** SI to what is shown, unrounded. */
export function shown(si: number, quantity: Quantity, system: System): number {
  const { factor, offset = 0 } = UNITS[quantity][system];
  return si * factor + offset;
}

/** What was typed to SI. */
export function toSi(value: number, quantity: Quantity, system: System): number {
  const { factor, offset = 0 } = UNITS[quantity][system];
  return (value - offset) / factor;
}

/** More decimals in an input box than in print, where a keeper types them. */
const INPUT_DIGITS: Partial<Record<Quantity, number>> = { share: 1, plain: 1, area: 1 };

/** Rounded for an input box: no more decimals than the quantity deserves. */
export function rounded(si: number, quantity: Quantity, system: System): number {
  const digits = UNITS[quantity][system].digits + (INPUT_DIGITS[quantity] ?? 0);
  return Number(shown(si, quantity, system).toFixed(digits));
}

/** By decimals; made once, as making one takes longer than all it prints. */
const PRINTED = [0, 1, 2].map(
  (digits) =>
    new Intl.NumberFormat('en-US', {
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
    }),
);

/** Number with thousands separators, without its unit. */
export function figure(si: number, quantity: Quantity, system: System): string {
  const { digits } = UNITS[quantity][system];
  return PRINTED[digits].format(shown(si, quantity, system));
}

/** Number with its unit. */
export function amount(si: number, quantity: Quantity, system: System): string {
  const unit = unitOf(quantity, system);
  const text = figure(si, quantity, system);
  return unit === '%' ? text + unit : unit ? `${text} ${unit}` : text;
}

/** Names the measure an input of the API is in, by the unit at the end of its name. */
export function quantityOf(field: string): Quantity {
  if (/(areaHa|deductedHa|outline)$/.test(field)) return 'area';
  if (/KgPerHaDay$/.test(field)) return 'rate';
  if (/[nN]itrogen(ToCome)?KgPerHa$/.test(field)) return 'nutrient';
  if (/KgPerHa$/.test(field)) return 'massPerArea';
  if (/(water|rain)Mm$/.test(field)) return 'water';
  if (/waterLPerDay$/.test(field)) return 'litres';
  if (/windKmPerHour$/.test(field)) return 'speed';
  if (/besidesKgPerDay$/.test(field)) return 'perDay';
  if (/walkKmPerDay$/.test(field)) return 'walk';
  if (/rindCm$/.test(field)) return 'rind';
  if (/densityKgPerM3$/.test(field)) return 'density';
  if (/(diameter|width|length|height)M$/.test(field)) return 'size';
  if (/weighedKg$/.test(field)) return 'weight';
  if (/(protein|tdn|fibre|calcium|phosphorus|nitrate)Pct$/.test(field)) return 'percent';
  if (/([dD]epth|[hH]eight|point|snow)Cm$/.test(field) || /^heights\./.test(field)) return 'depth';
  if (/(Hardy|frost)C$/.test(field)) return 'temperature';
  if (/(utilization\w*|droughtHold|PerMonth|senescencePerDay|\.share)$/.test(field)) return 'share';
  if (/HeadDaysPerHa$/.test(field)) return 'headDays';
  if (/(distance|buffer|east|north|edge|water|along|across|shiftAlong|shiftAcross)M$/.test(field))
    return 'distance';
  if (/([pP]ricePerKg|valuePerKgGain)$/.test(field)) return 'pricePerKg';
  if (/(gainKgPerDay|audKg)$/.test(field)) return 'gain';
  if (/^plate\.\w+Kg$/.test(field)) return 'massPerArea';
  if (/[kK]gPerHeadDay$/.test(field)) return 'perDay';
  if (/(weightKg|kgPerUnitAsFed|seed\.kg)$/.test(field)) return 'weight';
  if (/pricePerTonneAsFed$/.test(field)) return 'pricePerMass';
  if (/Share$/.test(field)) return 'share';
  if (/(head|units|Days|months|paddocks)$/.test(field)) return 'count';
  return 'plain';
}

const M_PER_FT = 0.3048;

/** A text of the tables that names lengths in metres, in feet where the farm measures so. */
export function lengthsIn(text: string, system: System): string {
  if (system === 'METRIC') return text;
  const feet = (m: string) => String(Math.round((Number(m) / M_PER_FT) * 2) / 2);
  return text.replace(
    /((?:\d+(?:\.\d+)? x )*\d+(?:\.\d+)?) m\b/g,
    (_, sizes: string) => `${sizes.split(' x ').map(feet).join(' x ')} ft`,
  );
}

/** A text of the tables that names heights in cm, in inches where the farm measures so. */
export function heightsIn(text: string, system: System): string {
  if (system === 'METRIC') return text;
  return text.replace(/(\d+) cm\b/g, (_, cm: string) => `${Math.round(Number(cm) / 2.54)} in`);
}

/** A text of the tables that names weights in kg, in pounds where the farm weighs so. */
export function weightsIn(text: string, system: System): string {
  if (system === 'METRIC') return text;
  return text.replace(/(\d+) kg\b/g, (_, kg: string) => {
    const lb = Number(kg) / KG_PER_LB;
    return `${lb < 20 ? Math.round(lb) : Math.round(lb / 10) * 10} lb`;
  });
}
