import type { PlateLine } from '../api/client';

/** A common line for a leafy sward, where the table has none. */
const COMMON = { perClickKg: 140, baseKg: 500 };

/**
 * The line of this device's plate on a sward, kg DM/ha: the table's until somebody sets another.
 *
 * @param common of the table for this sward and season, or null
 */
export function plateLine(forageId: string, common: PlateLine | null) {
  const key = `larder-plate-${forageId}`;
  const kept = /^(-?[\d.]+) (-?[\d.]+)$/.exec(localStorage.getItem(key) ?? '');
  const from = common?.usable ? common : COMMON;
  return {
    perUnitKg: kept ? Number(kept[1]) : from.perClickKg,
    baseKg: kept ? Number(kept[2]) : from.baseKg,
    own: kept !== null,
    keep(perUnitKg: number, baseKg: number) {
      if (perUnitKg === from.perClickKg && baseKg === from.baseKg) localStorage.removeItem(key);
      else localStorage.setItem(key, `${perUnitKg} ${baseKg}`);
    },
  };
}
