import { describe, expect, test } from 'vitest';
import { blocksOf, wholeBlocks, withBlock } from './blocks';

const f = (id: string, block: string) => ({ id, block });
const FIELDS = [f('a', 'Home'), f('b', ''), f('c', 'Hill'), f('d', 'Home')];

describe('blocks', () => {
  test('gather fields in their order, those of none last', () => {
    expect(blocksOf(FIELDS).map((b) => [b.name, b.fields.map((x) => x.id)])).toEqual([
      ['Home', ['a', 'd']],
      ['Hill', ['c']],
      ['', ['b']],
    ]);
    expect(blocksOf([])).toEqual([]);
  });

  test('are told where what is chosen is whole blocks and nothing else', () => {
    expect(wholeBlocks(FIELDS, ['d', 'a'])).toEqual(['Home']);
    expect(wholeBlocks(FIELDS, ['a', 'c', 'd'])).toEqual(['Home', 'Hill']);
    expect(wholeBlocks(FIELDS, ['a'])).toBeNull();
    expect(wholeBlocks(FIELDS, ['a', 'd', 'b'])).toBeNull();
    expect(wholeBlocks(FIELDS, [])).toBeNull();
  });

  test('are taken and left whole, and the order of what was chosen stays', () => {
    const [home] = blocksOf(FIELDS);
    expect(withBlock(home, ['c', 'd'], true)).toEqual(['c', 'd', 'a']);
    expect(withBlock(home, ['c', 'd', 'a'], false)).toEqual(['c']);
  });
});
