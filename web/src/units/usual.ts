import type { System } from './units';

/** Currencies of the places where stock are grazed and that a browser's language names. */
const CURRENCIES: Record<string, string> = {
  US: 'USD',
  CA: 'CAD',
  GB: 'GBP',
  AU: 'AUD',
  NZ: 'NZD',
  ZA: 'ZAR',
  AR: 'ARS',
  UY: 'UYU',
  BR: 'BRL',
  CL: 'CLP',
  MX: 'MXN',
  CH: 'CHF',
  NO: 'NOK',
  SE: 'SEK',
  DK: 'DKK',
  PL: 'PLN',
};
const IN_POUNDS = ['US', 'LR', 'MM'];

/**
 * Units and currency to begin a farm with, by the browser's language; a farm south of the equator
 * is none of the places that weigh in pounds.
 */
export function usualHere(language: string, southern = false): { units: System; currency: string } {
  const country = /-([A-Z]{2})$/.exec(language)?.[1] ?? '';
  const pounds = IN_POUNDS.includes(country);
  return {
    units: pounds && !southern ? 'IMPERIAL' : 'METRIC',
    currency: pounds && southern ? 'EUR' : (CURRENCIES[country] ?? 'EUR'),
  };
}

/** The winter that is on or next, from and to, by hemisphere: mid November to mid April or May to October. */
export function winterHere(today: string, southern: boolean): { from: string; to: string } {
  const [year, month] = today.split('-').map(Number);
  if (southern) {
    const at = month > 10 ? year + 1 : year;
    return { from: `${at}-05-15`, to: `${at}-10-15` };
  }
  const at = month > 4 ? year : year - 1;
  return { from: `${at}-11-15`, to: `${at + 1}-04-15` };
}
