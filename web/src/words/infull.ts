/** What ways out of a gap do together, in sentences. */
import type { InFull, Price } from '../api/client';
import { monthName } from '../units/dates';
import { amount, weightsIn, type System } from '../units/units';
import { money, priceUnit } from './prices';

/** Less than this is rounding, kg DM. */
const SEEN_KG = 50;

/** "USD 1,240", "brings in USD 9,600", "free". */
export function costText(cost: number, currency: string): string {
  if (Math.abs(cost) < 0.5) return 'free';
  return cost < 0 ? `brings in ${currency} ${money(-cost)}` : `${currency} ${money(cost)}`;
}

/** What a tonne or ton brought costs; nothing where it is free, or is paid for. */
export function perBulk(cost: number, kg: number, currency: string, system: System): string {
  if (cost < 0.5 || kg < SEEN_KG) return '';
  const { each, of } = priceUnit('usd_per_t', system);
  return `${currency} ${money((cost / kg) * 1000 * of)} ${each}`;
}

/** What the set brings beside what each brings alone; nothing for one way. */
export function partsText(full: InFull, system: System): string {
  if (full.partsKg.length < 2) return '';
  const sum = full.partsKg.reduce((a, b) => a + b, 0);
  const kg = (v: number) => amount(v, 'bulk', system);
  const alone = `Alone they bring ${full.partsKg.map(kg).join(' and ')}, ${kg(sum)} in sum`;
  const apart = full.bringsKg - sum;
  if (Math.abs(apart) < SEEN_KG) return `${alone}; together just that.`;
  return apart < 0
    ? `${alone}; together ${kg(full.bringsKg)}, as they serve some of the same days.`
    : `${alone}; together ${kg(full.bringsKg)}, as one makes room for the other.`;
}

/** What it takes elsewhere: the months that get worse, and what is left at the end. */
export function otherSide(full: InFull, system: System): string[] {
  const kg = (v: number) => amount(Math.abs(v), 'bulk', system);
  const worse = full.months.filter((m) => m.bareKgLess < -SEEN_KG);
  const said: string[] = [];
  if (worse.length) {
    said.push(
      `It takes from ${worse.map((m) => `${monthName(m.month)} (${kg(m.bareKgLess)} more bare)`).join(', ')}.`,
    );
  }
  if (Math.abs(full.storeKgMore) > SEEN_KG) {
    said.push(
      `On the last day ${kg(full.storeKgMore)} ${full.storeKgMore > 0 ? 'more' : 'less'} is left in store.`,
    );
  }
  if (Math.abs(full.standingKgMore) > SEEN_KG) {
    said.push(
      `Then ${kg(full.standingKgMore)} ${full.standingKgMore > 0 ? 'more' : 'less'} stands on the fields.`,
    );
  }
  if (full.tractorDaysMore) {
    const n = Math.abs(full.tractorDaysMore);
    said.push(
      `The tractor starts on ${n} ${n === 1 ? 'day' : 'days'} ${full.tractorDaysMore > 0 ? 'more' : 'fewer'}.`,
    );
  }
  return said.length ? said : ['It takes nothing elsewhere in this year.'];
}

/** One line of a bill: what it is of, how it comes about, and the money. */
export interface BillText {
  what: string;
  how: string;
  money: number;
  own: boolean;
}

export function billLines(
  full: InFull,
  prices: Price[],
  currency: string,
  system: System,
): BillText[] {
  return full.bill.map((line) => {
    if (line.priceId === 'seed_at_hand') {
      return {
        what: `Seed from the shed, ${line.of}`,
        how: `${amount(line.amount, 'weight', system)} that need not be bought`,
        money: 0,
        own: true,
      };
    }
    if (line.priceId === 'paid_by_others') {
      return {
        what: `Paid by others, ${line.of}`,
        how: `${Math.round(100 * line.amount)}% of it`,
        money: line.money,
        own: true,
      };
    }
    const price = prices.find((p) => p.id === line.priceId);
    if (!price) {
      return {
        what: line.of,
        how: `${money(line.amount)} at ${currency} ${money(line.each)}, as it stands there`,
        money: line.money,
        own: line.own,
      };
    }
    const unit = priceUnit(price.unit, system);
    const many = `${money(line.amount / unit.of)}${unit.many ? ` ${unit.many}` : ''}`;
    return {
      what: `${weightsIn(price.what, system)}, ${line.of}`,
      how: `${many} at ${currency} ${money(line.each * unit.of)} ${unit.each}`,
      money: line.money,
      own: line.own,
    };
  });
}

/** Things that no table prices. */
const UNLISTED: Record<string, string> = {
  water_line: 'a larger water line or tank',
  water_brought: 'water that is brought (what a cubic metre costs stands with the field)',
};

/** What has no price, by name. */
export function unpricedText(full: InFull, prices: Price[], currency: string): string {
  if (!full.unpriced.length) return '';
  const names = full.unpriced.map((id) =>
    (
      prices.find((p) => p.id === id)?.what ??
      UNLISTED[id] ??
      id.replaceAll('_', ' ')
    ).toLowerCase(),
  );
  return `Not in it, as no price in ${currency} is known: ${names.join(', ')}. State it under Prices.`;
}
