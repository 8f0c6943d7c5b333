import { describe, expect, test } from 'vitest';
import { cellsOf, copied, csvOf, filledDown, pasted } from './cells';

const LIST = 'name,area_ha,note\nSaddle,6,"dry, steep"\nRidge,8,\nDraw,3,wet\n';
const cells = cellsOf(LIST);
const one = (row: number, column: number) => ({ row, column, toRow: row, toColumn: column });

describe('a list as a table', () => {
  test('is the same list again, less rows that hold nothing', () => {
    expect(cells).toHaveLength(4);
    expect(cells[1][2]).toBe('dry, steep');
    expect(csvOf(cells)).toBe(LIST);
    expect(csvOf([...cells, ['', ' ', '']])).toBe(LIST);
  });

  test('copies and takes blocks as a spreadsheet does', () => {
    expect(copied(cells, { row: 2, column: 1, toRow: 1, toColumn: 0 })).toBe('Saddle\t6\nRidge\t8');
    const put = pasted(cells, one(3, 0), 'Hill\t4\r\nBog\t2\r\n');
    expect(put.slice(3)).toEqual([
      ['Hill', '4', 'wet'],
      ['Bog', '2', ''],
    ]);
    expect(pasted(cells, one(1, 2), 'a\tb')[1]).toEqual(['Saddle', '6', 'a']);
    expect(cells[3]).toEqual(['Draw', '3', 'wet']);
  });

  test('one cell fills all that is chosen', () => {
    const range = { row: 1, column: 1, toRow: 3, toColumn: 1 };
    expect(pasted(cells, range, '5').map((r) => r[1])).toEqual(['area_ha', '5', '5', '5']);
  });

  test('is filled down from the topmost, or from above a single cell', () => {
    const range = { row: 1, column: 1, toRow: 3, toColumn: 2 };
    expect(filledDown(cells, range).slice(1)).toEqual([
      ['Saddle', '6', 'dry, steep'],
      ['Ridge', '6', 'dry, steep'],
      ['Draw', '6', 'dry, steep'],
    ]);
    expect(filledDown(cells, one(3, 1))[3]).toEqual(['Draw', '8', 'wet']);
    expect(filledDown(cells, one(1, 1))).toEqual(cells);
  });
});
