/** Which plant the features that were looked at leave, in words. */
import type { Walk } from '../api/client';

export type Feature = Walk['weeds'][number];
type Plant = Feature['yesFits'][number];

const NAMES: Record<Plant, string> = {
  WEEDY_SORGHUM: 'weedy perennial sorghum (johnsongrass)',
  SOWN_SORGHUM: 'a sown or volunteer sorghum',
  CORN: 'corn',
  OTHER_GRASS: 'another grass',
};

/** What fits everything that was looked at: yes, no, or not looked at by feature. */
export function fitting(features: Feature[], seen: Record<string, boolean>): Plant[] {
  return (Object.keys(NAMES) as Plant[]).filter((plant) =>
    features.every((f) => {
      if (!(f.id in seen)) return true;
      return (seen[f.id] ? f.yesFits : f.noFits).includes(plant);
    }),
  );
}

/** "By what was seen it is weedy perennial sorghum (johnsongrass)." */
export function weedText(features: Feature[], seen: Record<string, boolean>): string {
  const looked = Object.keys(seen).length;
  if (!looked) return '';
  const fits = fitting(features, seen);
  if (!fits.length) return 'These do not go together: look again, at several plants.';
  if (fits.length > 1)
    return `By what was seen it may be ${fits.map((p) => NAMES[p]).join(', or ')}. Look at more.`;
  return `By what was seen it is ${NAMES[fits[0]]}.`;
}

/** What to do with it, where it may be that weed. */
export const KEEP_OR_CONTROL = [
  'Kept as feed: only grown and rested, never young regrowth, never after frost or in drought, as it may poison with cyanide and nitrate; not for horses. The plan holds stock off it while it is short, where it is stated as a stand.',
  'Controlled: grazed or cut to the ground again and again before it heads, machines and hay free of its seed and creeping stems, nothing carried to clean fields.',
  'Ask an adviser before anything is sprayed: label and local law say what may be done, and some places require its control.',
];
