/** Two years beside each other, in figures and in words. */
import type { YearView } from '../api/client';
import { longDay } from '../units/dates';
import { amount, type System } from '../units/units';
import { days, storeGaps } from './year';

/** One figure of both years; the difference is empty where they are alike. */
export interface Compared {
  name: string;
  here: string;
  there: string;
  difference: string;
}

const bareDays = (year: YearView) => year.bareKg.filter((kg) => kg > 0.5).length;
const lowestKg = (year: YearView) => Math.min(...year.storeKg);
const atEndKg = (year: YearView) => year.storeKg[year.days - 1] ?? 0;
const sum = (year: YearView, of: 'cutKg' | 'grownKg' | 'wastedKg') =>
  year.fields.reduce((kg, f) => kg + f[of], 0);

/** What a keeper would look at first: its name, the figure, and the figure in words. */
function rowsOf(
  system: System,
  currency: string,
): [string, (y: YearView) => number, (n: number) => string][] {
  const bulk = (kg: number) => amount(kg, 'bulk', system);
  const money = (n: number) => `${currency} ${Math.round(n).toLocaleString('en-US')}`;
  return [
    ['Days bare', bareDays, days],
    ['Bare', (y) => y.total.bareKg, bulk],
    ['Needed', (y) => y.total.needKg, bulk],
    ['Eaten growing', (y) => y.total.growingKg, bulk],
    ['Eaten standing', (y) => y.total.standingKg, bulk],
    ['Eaten of what is put by', (y) => y.total.putByKg, bulk],
    ['Eaten of what is bought in', (y) => y.total.boughtInKg, bulk],
    ['Grown', (y) => sum(y, 'grownKg'), bulk],
    ['Cut', (y) => sum(y, 'cutKg'), bulk],
    ['Trodden down', (y) => sum(y, 'wastedKg'), bulk],
    ['Store at its lowest', lowestKg, bulk],
    ['Store at the end', atEndKg, bulk],
    ['Feeding costs', (y) => y.costs.total, money],
  ];
}

/** Several years beside each other: a row for each figure, a cell for each year. */
export function manyCompared(
  years: YearView[],
  system: System,
  currency: string,
): { name: string; cells: string[]; differs: boolean }[] {
  return rowsOf(system, currency).map(([name, of, text]) => {
    const cells = years.map((y) => text(of(y)));
    return { name, cells, differs: new Set(cells).size > 1 };
  });
}

/** What a keeper would look at first, of both. */
export function compared(
  here: YearView,
  there: YearView,
  system: System,
  currency: string,
): Compared[] {
  return rowsOf(system, currency).map(([name, of, text]) => {
    const [a, b] = [of(here), of(there)];
    const alike = text(a) === text(b);
    return {
      name,
      here: text(a),
      there: text(b),
      difference: alike ? '' : `${text(Math.abs(a - b))} ${a > b ? 'more' : 'less'}`,
    };
  });
}

/** How this year differs from another one, in one or two sentences. */
export function comparedWords(here: YearView, there: YearView, system: System): string {
  const [a, b] = [bareDays(here), bareDays(there)];
  const [gapHere, gapThere] = [storeGaps(here)[0], storeGaps(there)[0]];
  const kg = Math.abs(here.total.bareKg - there.total.bareKg);
  const said: string[] = [];
  if (a === 0 && b === 0) said.push('Feed lasts in both.');
  else if (a === b && kg < 1) said.push(`Both are bare on ${days(a)}.`);
  else if (a === 0) said.push(`No day is bare here, against ${b} there.`);
  else if (b === 0) said.push(`${days(a)} bare here, and none there.`);
  else {
    const change =
      a === b ? 'As many bare days' : `${days(Math.abs(a - b))} ${a < b ? 'fewer' : 'more'} bare`;
    said.push(
      `${change} than there (${a} against ${b}), ${amount(kg, 'bulk', system)} ` +
        `${here.total.bareKg < there.total.bareKg ? 'less' : 'more'} missing.`,
    );
  }
  if (gapHere && gapThere && gapHere.firstDay !== gapThere.firstDay) {
    const by = Math.abs(gapHere.firstDay - gapThere.firstDay);
    said.push(
      `The gap begins on ${longDay(here.start, gapHere.firstDay)}, ${days(by)} ` +
        `${gapHere.firstDay > gapThere.firstDay ? 'later' : 'earlier'}.`,
    );
  }
  return said.join(' ');
}

/** What only one of two lists says. */
export function onlyIn(mine: string[], theirs: string[]): string[] {
  const there = new Set(theirs);
  return mine.filter((text) => !there.has(text));
}
