/** What simulated instruments read, and the tables that they send. */
import { isoOf } from '../units/dates';

const SPOTS = 30;
/** From spot to spot of a field, by its mean. */
const SPREAD = 0.25;

/** Numbers that come again from the same seed: 0 to below 1. */
export function drawn(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

function about(mean: number, spread: number, next: () => number): number {
  const far = Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  return mean + spread * far;
}

export interface PlateLine {
  perClickKg: number;
  baseKg: number;
}

/** Clicks of half a centimetre at thirty spots of a field that stands at so much, kg DM/ha. */
export function clicksAt(kgPerHa: number, line: PlateLine, next: () => number): number[] {
  const mean = Math.max(1, (kgPerHa - line.baseKg) / line.perClickKg);
  return Array.from({ length: SPOTS }, () =>
    Math.max(0, Math.round(about(mean, SPREAD * mean, next))),
  );
}

/** A table as a plate meter writes it. */
export function plateTable(field: string, on: string, clicks: number[]): string {
  const rows = clicks.map((c, i) => {
    const minute = String(i % 60).padStart(2, '0');
    return `${cell(field)},${on}T08:${minute},${c}`;
  });
  return ['field,time,clicks', ...rows, ''].join('\n');
}

const cell = (text: string) => (/[",\n]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text);

export type Spell = 'DRY' | 'SHOWERS' | 'STORM' | 'FROST';

export interface StationDay {
  date: string;
  tminC: number;
  tmaxC: number;
  rainMm: number;
}

const DAYS = 7;

/** The week before a day, in one kind of weather. */
export function weekBefore(on: string, spell: Spell, next: () => number): StationDay[] {
  const [low, high] = spell === 'FROST' ? [-4, 6] : spell === 'DRY' ? [9, 24] : [7, 17];
  return Array.from({ length: DAYS }, (_, i) => {
    const tminC = Math.round(10 * about(low, 2, next)) / 10;
    const wet =
      spell === 'SHOWERS'
        ? next() < 0.6
          ? 1 + 6 * next()
          : 0
        : spell === 'STORM' && i === DAYS - 2
          ? 45 + 20 * next()
          : 0;
    return {
      date: isoOf(on, i - DAYS),
      tminC,
      tmaxC: Math.max(tminC + 2, Math.round(10 * about(high, 2, next)) / 10),
      rainMm: Math.round(10 * wet) / 10,
    };
  });
}

/** A table as a weather station writes it. */
export function stationTable(days: StationDay[]): string {
  const rows = days.map((d) => [d.date, d.tminC, d.tmaxC, d.rainMm].join(','));
  return ['date,tmin_c,tmax_c,rain_mm', ...rows, ''].join('\n');
}
