/** Blocks: what the keeper calls the fields that are managed together. */
export interface InBlock {
  id: string;
  block: string;
}

export interface Block<T extends InBlock> {
  /** Empty for the fields of none. */
  name: string;
  fields: T[];
}

/** Fields by block, in the order in which the blocks first come; those of none last. */
export function blocksOf<T extends InBlock>(fields: T[]): Block<T>[] {
  const blocks: Block<T>[] = [];
  for (const f of fields) {
    const there = blocks.find((b) => b.name === f.block);
    if (there) there.fields.push(f);
    else blocks.push({ name: f.block, fields: [f] });
  }
  return [...blocks.filter((b) => b.name), ...blocks.filter((b) => !b.name)];
}

/** The blocks that these fields are exactly, or null where they are no whole blocks. */
export function wholeBlocks<T extends InBlock>(fields: T[], chosen: string[]): string[] | null {
  const blocks = blocksOf(fields).filter((b) => b.name && chosen.includes(b.fields[0].id));
  const ids = new Set(blocks.flatMap((b) => b.fields.map((f) => f.id)));
  return blocks.length && ids.size === chosen.length && chosen.every((id) => ids.has(id))
    ? blocks.map((b) => b.name)
    : null;
}

/** The fields chosen, with a block taken in whole or left out whole. */
export function withBlock<T extends InBlock>(
  block: Block<T>,
  chosen: string[],
  on: boolean,
): string[] {
  const of = new Set(block.fields.map((f) => f.id));
  const others = chosen.filter((id) => !of.has(id));
  return on
    ? [...chosen, ...block.fields.map((f) => f.id).filter((id) => !chosen.includes(id))]
    : others;
}
