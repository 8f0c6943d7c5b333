/** The product's cautions are written in centimetres and degrees Celsius; they are read in one's own. */
import type { System } from '../units/units';

const INCH_CM = 2.54;

function inches(cm: number): string {
  return `${Math.round(cm / INCH_CM)}`;
}
function fahrenheit(c: number): string {
  return `${Math.round(c * 1.8 + 32)}`;
}

const HEIGHT = /(\d+)(?:( to | or )(\d+))? cm\b/g;
const WARMTH = /(-?\d+)(?:( to )(-?\d+))? C\b/g;

function each(text: string, of: RegExp, unit: string, as: (n: number) => string): string {
  return text.replace(of, (_, low: string, between?: string, high?: string) =>
    high === undefined
      ? `${as(Number(low))} ${unit}`
      : `${as(Number(low))}${between}${as(Number(high))} ${unit}`,
  );
}

/** "Leave 20 to 25 cm of stubble" as "Leave 8 to 10 in of stubble" on an imperial farm. */
export function inUnits(text: string, system: System): string {
  if (system === 'METRIC') return text;
  return each(each(text, HEIGHT, 'in', inches), WARMTH, 'F', fahrenheit);
}
