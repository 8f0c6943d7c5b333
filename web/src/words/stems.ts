/** What split stems of a small grain say, in words. */
import type { FeedAhead, StemAnswer } from '../api/client';
import { amount, rounded, unitOf, type System } from '../units/units';
import { movesText } from './walk';

const NAMES: Record<string, string> = {
  leafy: 'Leafy',
  lengthening: 'Lengthening',
  jointed: 'Jointed',
  flag_leaf: 'Flag leaf',
  boot: 'Boot',
  heading: 'Headed',
  flowering: 'Flowering',
  milk: 'Milk',
  soft_dough: 'Soft dough',
  hard_dough: 'Hard dough',
};

export const stageName = (id: string) => NAMES[id] ?? id;

/** Fewer stems are too small a sample. */
export const ENOUGH = 10;

/** "14 stems, half of them jointed or further" */
export function sampleText(a: StemAnswer): string {
  const one = a.stems === 1 ? '1 stem' : `${a.stems} stems`;
  const half = `Half of them are ${stageName(a.stageId).toLowerCase()} or further.`;
  return a.enough
    ? `${one}. ${half}`
    : `${one}: too small a sample, take ${ENOUGH - a.stems} more at least, from all over the field. The plan is not corrected by it.`;
}

/** How much comes back at a height. */
export function regrowText(share: number, cm: number, system: System): string {
  return `Left at ${rounded(cm, 'depth', system)} ${unitOf('depth', system)}, ${Math.round(100 * share)}% of the stems grow again.`;
}

const USE: Record<StemAnswer['use'], string> = {
  GRAZE: 'Graze it.',
  GRAZE_WITH_CARE: 'Graze with care.',
  WAIT: 'Wait.',
  SILAGE: 'Cut it for wilted silage.',
  HAY: 'Cut it for hay.',
};

/** What it is good for now, and how low. */
export function useNowText(a: StemAnswer, once: boolean, system: System): string {
  const graze = a.use === 'GRAZE' || a.use === 'GRAZE_WITH_CARE';
  if (graze && !a.tallEnough)
    return 'Wait: by its stems it could be grazed, and it is not tall enough yet to let stock in.';
  const at =
    a.setToCm === null ? '' : `${rounded(a.setToCm, 'depth', system)} ${unitOf('depth', system)}`;
  if (once) return `${USE[a.use]} The mower is usually set to ${at}.`;
  if (a.setToCm === null)
    return `${USE[a.use]} The growing points are higher than a mower or a mouth can leave: whatever is taken now is taken once.`;
  const share = Math.round(100 * a.regrowShareAtSet);
  return `${USE[a.use]} Take stock off, or set the mower, at ${at}: ${share}% of the stems grow again.`;
}

/** What becomes of the later uses in the plan. */
export function laterText(a: StemAnswer, before: FeedAhead, system: System): string {
  if (!a.enough) return '';
  if (!a.countsInPlan)
    return 'The plan has no crop of it sown and growing there, so its later uses stay as they were.';
  const less = a.laterKgBefore - a.laterKgAfter;
  const part =
    Math.abs(less) < 0.02 * Math.max(1, a.laterKgBefore)
      ? 'What the plan takes off this field from here on stays as it was.'
      : `From here on the plan takes ${amount(a.laterKgAfter, 'bulk', system)} off this field instead of ${amount(a.laterKgBefore, 'bulk', system)}.`;
  return `${part} ${movesText(before, a.after)}`;
}
