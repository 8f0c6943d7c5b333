import type { Doubt } from '../api/client';
import { figure, quantityOf, unitOf, type System } from '../units/units';

/** What is hard to believe in a figure, and what is usual. */
export function doubtText(doubt: Doubt, system: System): string {
  const q = quantityOf(doubt.field);
  const unit = unitOf(q, system);
  const usual = `${figure(doubt.usualMin, q, system)} to ${figure(doubt.usualMax, q, system)}${unit ? ' ' + unit : ''}`;
  switch (doubt.code) {
    case 'NO_CLIMATE_GROWS_THIS':
      return doubt.field === 'stand.monthlyKgPerHaDay'
        ? `Doubtful: the mean over the year is ${figure(doubt.value, q, system)}; no climate in the tables grows beyond ${usual}. Taken as typed.`
        : `Doubtful: no climate in the tables grows beyond ${usual} in a year. Taken as typed.`;
    case 'DAMP_HAY_HEATS':
      return `Hay this damp heats in a stack and can burn: ${usual} is safe. Ask your adviser before you stack it.`;
    case 'TOO_STEEP_TO_CUT':
      return 'Steep for a tractor: cutting or turning across it can roll one over. Ask somebody who knows the slope before you cut.';
    case 'NEEDS_CONDITIONER':
      return 'Its stems are thick: without a conditioner they dry badly, and damp hay heats. None is among your machines.';
    case 'NEEDS_MIXER':
      return 'Stock leave much of this hay lying unless it is ground or mixed. No mixer is among your machines.';
    case 'NEEDS_MACHINE':
      return 'The machine to make it so is not among yours (see Farm).';
    case 'DRAWN_OTHERWISE':
      return `The map says ${usual}. Taken as typed.`;
    case 'LIES_OVER_ANOTHER':
      return `On the map ${figure(doubt.value, 'area', system)} ${unitOf('area', system)} of it lie over another field.`;
    case 'STRIP_TOO_NARROW':
      return `A strip of ${figure(doubt.value, 'distance', system)} ${unitOf('distance', system)} by water; ${figure(doubt.usualMin, 'distance', system)} are usual on this slope, so that dung, nitrogen and soil stay out of it. Local code stands above both.`;
    case 'KEPT_TOO_LONG':
      return 'Wrapped feed is for a year: this was cut longer ago. Look at film, smell and mould before it is fed, and ask your veterinarian where in doubt.';
    case 'STAYS_WHERE_IT_IS':
      return 'Silage in a clamp stays where it was made: opened and moved it spoils.';
    case 'UNUSUAL':
      return `Unusual: ${usual} is usual. Taken as typed.`;
  }
}
