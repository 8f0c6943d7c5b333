/** Days on which a group goes to another field. */
import type { GroupCurve } from '../api/client';

export interface Move {
  day: number;
  groupId: string;
  /** Place of the field among the farm's. */
  field: number;
}

/** All moves of these groups, by day. Coming back from the yard to the same field is none. */
export function movesOf(groups: Pick<GroupCurve, 'id' | 'onField'>[]): Move[] {
  return groups
    .flatMap((g) => {
      let was = -1;
      return g.onField.flatMap((field, day) => {
        if (field < 0 || field === was) return [];
        const move = was >= 0 ? [{ day, groupId: g.id, field }] : [];
        was = field;
        return move;
      });
    })
    .sort((a, b) => a.day - b.day);
}

/** "Cows move to Brook, ewes to Hill." Empty on a day without a move. */
export function movesText(
  moves: Move[],
  day: number,
  groups: { id: string; name: string }[],
  fields: { name: string }[],
): string {
  const on: Record<string, string[]> = {};
  for (const m of moves.filter((m) => m.day === day)) {
    const field = fields[m.field]?.name ?? '';
    (on[field] ??= []).push(groups.find((g) => g.id === m.groupId)?.name ?? '');
  }
  const parts = Object.entries(on).map(([field, who]) => `${who.join(' and ')} to ${field}`);
  return parts.length ? ` Moved that day: ${parts.join(', ')}.` : '';
}
