import type { Overlay, PlanView, WeatherRecord } from '../api/client';
import { lastDay, longDate } from '../units/dates';
import { figure, unitOf, type System } from '../units/units';
import { yearNames } from './yearNames.svelte';

export interface SeasonOption {
  key: string;
  name: string;
}

/** Seeds that are offered by name; any other can be typed. */
export const OFFERED_SEEDS = [1, 2, 3];

/** Every season that this plan can be looked at in, by kind. */
export function seasonOptions(
  plan: PlanView['plan'],
  records: WeatherRecord[],
  current: string,
): SeasonOption[] {
  const options: SeasonOption[] = [
    { key: 'normal', name: 'Normal year' },
    { key: 'dry', name: 'Dry year, one in ten' },
    { key: 'wet', name: 'Wet year, one in ten' },
    ...OFFERED_SEEDS.map((n) => ({
      key: `seed:${n}`,
      name: yearNames[`seed:${n}`] ?? `Simulated year ${n}`,
    })),
    ...Object.entries(yearNames)
      .filter(([key]) => !OFFERED_SEEDS.some((n) => key === `seed:${n}`))
      .map(([key, name]) => ({ key, name })),
    ...plan.scenarios.map((s) => ({ key: `scenario:${s.id}`, name: s.name })),
    ...records.flatMap((r) =>
      r.years.map((y) => ({
        key: `recorded:${r.id}:${y.first}`,
        name: `${r.name}, from ${longDate(y.first)} ${y.first.slice(0, 4)}`,
      })),
    ),
  ];
  if (!options.some((o) => o.key === current)) {
    options.push({ key: current, name: current.replace('seed:', 'Simulated year ') });
  }
  return options;
}

/** "in a dry year" for a sentence; nothing in the normal one. */
export function inSeasonWords(key: string, options: SeasonOption[]): string {
  if (key === 'normal') return '';
  if (key === 'dry') return 'In the dry year that comes once in ten';
  if (key === 'wet') return 'In the wet year that comes once in ten';
  const name = options.find((o) => o.key === key)?.name ?? key;
  return `In ${name.replace(/^(A|The) /, (article) => article.toLowerCase())}`;
}

/** What an overlay does, in words. */
export function overlayText(o: Overlay, system: System): string {
  const when =
    (o.fromInclusive ? ` from ${longDate(o.fromInclusive)}` : ' from the first day') +
    (o.toExclusive ? ` to ${longDate(lastDay(o.toExclusive))}` : ' to the end');
  switch (o.kind) {
    case 'RAIN':
      return `${Math.abs(Math.round(o.amount * 100))}% ${o.amount < 0 ? 'less' : 'more'} rain${when}`;
    case 'HEAT': {
      const degrees = figure(Math.abs(o.amount), 'degrees', system);
      return `${degrees} ${unitOf('degrees', system)} ${o.amount < 0 ? 'cooler' : 'warmer'}${when}`;
    }
    case 'KILLING_FROST':
      return `A killing frost on ${longDate(o.fromInclusive!)}`;
    case 'LATE_SPRING':
      return `Everything ${Math.round(o.amount)} days later${when}`;
  }
}
