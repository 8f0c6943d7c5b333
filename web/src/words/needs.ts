/** Kinds of gaps in words, and what each counts. */
import type { Gap } from '../api/client';
import { amount, type System } from '../units/units';

type Kind = Gap['kind'];

export interface GapKind {
  name: string;
  /** What the button that opens its ways says. */
  ways: string;
  /** "too little protein", before the days on which it is. */
  meaning: string;
  /** Dry matter is what counts. */
  bulk: boolean;
}

export const GAP_KINDS: Record<Kind, GapKind> = {
  STORE: { name: 'Store gap', ways: 'Ways to close it', meaning: '', bulk: true },
  GRAZING: {
    name: 'Grazing gap',
    ways: 'Ways to feed less from the store',
    meaning: '',
    bulk: true,
  },
  CONDITION: {
    name: 'Animals at risk',
    ways: 'Ways to keep their condition',
    meaning: 'thinner than the floor',
    bulk: false,
  },
  WATER: {
    name: 'Water',
    ways: 'Ways to water them',
    meaning: 'less water than they drink',
    bulk: false,
  },
  ENERGY: {
    name: 'Energy',
    ways: 'Ways to meet energy',
    meaning: 'feed enough, too little energy in it',
    bulk: false,
  },
  PROTEIN: {
    name: 'Protein',
    ways: 'Ways to meet protein',
    meaning: 'feed enough, too little protein in it',
    bulk: false,
  },
};

export const isBulk = (kind: Kind) => GAP_KINDS[kind].bulk;

/** What stands in the address of a gap whose ways are looked at. */
export function gapQuery(gap: Gap): string {
  const kind = gap.kind === 'STORE' ? '' : `&kind=${gap.kind}`;
  const group = isBulk(gap.kind) ? '' : `&group=${gap.groups[0].groupId}`;
  return `from=${gap.firstDay}${kind}${group}`;
}

/** So much of what a gap counts: "3.4 t", "120 kg of protein". Condition is told by its days. */
export function counted(kind: Kind, kg: number, system: System): string {
  switch (kind) {
    case 'STORE':
    case 'GRAZING':
      return amount(kg, 'bulk', system);
    case 'ENERGY':
      return `${amount(kg, 'mass', system)} of TDN`;
    case 'PROTEIN':
      return `${amount(kg, 'mass', system)} of protein`;
    case 'WATER':
      return amount(kg, 'litres', system);
    case 'CONDITION':
      return '';
  }
}

/** What share of a gap is taken away: "all", "62%", "nothing". */
export function shareText(kg: number, of: number): string {
  const percent = of <= 0 ? 0 : Math.round((100 * kg) / of);
  if (percent >= 99) return 'all of it';
  return percent <= 0 ? 'nothing' : `${percent}%`;
}
