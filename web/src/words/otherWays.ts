/** Ways out of a gap that keepers know and that are not tried on the year, with why. */
import { isoOf, shortDate } from '../units/dates';

export interface OtherWay {
  name: string;
  /** What it does and what it takes elsewhere. */
  note: string;
  /** Days from deciding to feed, at best and at worst. */
  lead: [number, number];
  /** Where the product helps with it otherwise. */
  where?: string;
}

/** Lead times are those of practice; none of these is in the list of ways that are run. */
export const OTHER_WAYS: OtherWay[] = [
  {
    name: 'Skip a field, then decide',
    note: 'Leave out the field furthest ahead for a week or so in the flush; hay, stockpile or grazing is chosen when growth is clearer. The others rest less meanwhile.',
    lead: [7, 20],
  },
  {
    name: 'Set bales out and open them in turn',
    note: 'Saves tractor hours and puts nutrients on poor ground; mud in a mild winter, twine and film to be taken off.',
    lead: [7, 60],
    where: 'the way of feeding of a lot, in Store',
  },
  {
    name: 'Graze stalks and stubble',
    note: 'Dry stock on what the harvest left, where it can be fenced and watered. Downed ears, spray intervals and nitrate first.',
    lead: [0, 14],
    where: 'a field of crop residue, in Land',
  },
  {
    name: 'Hold the cash and buy hay only if it comes to it',
    note: 'Nothing is paid in good years; in a wide drought it is the worst choice. Set a ceiling price.',
    lead: [3, 21],
    where: 'Prices has the season and the dry year',
  },
  {
    name: 'A reserve of bales that rolls over',
    note: 'Weeks of feed in good storage, oldest out first, refilled in flush years; a loss in store each year.',
    lead: [0, 7],
    where: 'a lot keeps units back for a season, in Store',
  },
  {
    name: 'A cover sown into standing maize',
    note: 'Protein beside the stalks on the same ground; grain yield and residual sprays set the limit.',
    lead: [70, 130],
  },
  {
    name: 'Fallow to store water, and sow on time',
    note: 'Some weeks of bare ground for a safer start of the crop. Grazing is lost for all of it.',
    lead: [40, 120],
  },
  {
    name: 'Clover by frost, or legumes for nitrogen',
    note: 'Cheap protein and nitrogen, hit and miss; full worth in the second year. Bloat must be watched.',
    lead: [90, 730],
  },
  {
    name: 'A sward of many kinds',
    note: 'Growth is spread over the seasons, roots go deep. Light grazing in the year of sowing.',
    lead: [70, 400],
  },
  {
    name: 'Summer-active grass or lucerne on part of the farm',
    note: 'The standing answer to the summer slump. Its field gives little for a year, and the shoulders of the year get weaker.',
    lead: [365, 900],
  },
  {
    name: 'Cool-season natives below warm-season ones',
    note: 'A longer season without yearly seed: dear seed and two slow years.',
    lead: [540, 1100],
  },
];

/** Whether a way can still serve a gap that begins on a day, and by when it is to be begun. */
export function leadText(way: OtherWay, gapFrom: string, today: string): string {
  const [low, high] = way.lead;
  const by = isoOf(gapFrom, -low);
  const takes = low === high ? `${low} days` : `${low} to ${high} days`;
  return by < today
    ? `Takes ${takes}: for this gap it is too late since ${shortDate(by)}.`
    : `Takes ${takes}: to be begun by ${shortDate(by)} at the latest.`;
}
