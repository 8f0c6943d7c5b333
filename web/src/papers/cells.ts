import Papa from 'papaparse';

/** A list as rows of cells, its first row the names of the columns. */
export type Cells = string[][];

export function cellsOf(csv: string): Cells {
  return Papa.parse<string[]>(csv.trim(), { delimiter: ',' }).data;
}

export function csvOf(cells: Cells): string {
  const rows = cells.filter((row, i) => i === 0 || row.some((c) => c.trim() !== ''));
  return Papa.unparse(rows, { newline: '\n' }) + '\n';
}

/** Rows and columns that are chosen, from corner to corner, both included. */
export interface Range {
  row: number;
  column: number;
  toRow: number;
  toColumn: number;
}

export function cornered({ row, column, toRow, toColumn }: Range): Range {
  return {
    row: Math.min(row, toRow),
    column: Math.min(column, toColumn),
    toRow: Math.max(row, toRow),
    toColumn: Math.max(column, toColumn),
  };
}

/** What is chosen as a spreadsheet takes it: tabs between cells. */
export function copied(cells: Cells, range: Range): string {
  const { row, column, toRow, toColumn } = cornered(range);
  return Papa.unparse(
    cells.slice(row, toRow + 1).map((r) => r.slice(column, toColumn + 1)),
    { delimiter: '\t', newline: '\n' },
  );
}

/**
 * What was copied elsewhere, put in from a cell on, over what stands there; rows that are not there
 * yet are added, columns are not. One cell fills all that is chosen.
 */
export function pasted(cells: Cells, range: Range, text: string): Cells {
  const { row, column, toRow, toColumn } = cornered(range);
  const block = Papa.parse<string[]>(text.replace(/\r?\n$/, ''), {
    delimiter: '\t',
  }).data;
  const width = cells[0].length;
  const next = cells.map((r) => [...r]);
  if (block.length === 1 && block[0].length === 1) {
    for (let r = row; r <= toRow; r++)
      for (let c = column; c <= toColumn; c++) next[r][c] = block[0][0];
    return next;
  }
  block.forEach((from, r) => {
    while (next.length <= row + r) next.push(new Array<string>(width).fill(''));
    from.forEach((cell, c) => {
      if (column + c < width) next[row + r][column + c] = cell;
    });
  });
  return next;
}

/** Each column of what is chosen filled with its topmost cell; of one cell, with the one above it. */
export function filledDown(cells: Cells, range: Range): Cells {
  const { row, column, toRow, toColumn } = cornered(range);
  const from = row === toRow && row > 1 ? row - 1 : row;
  return cells.map((r, i) =>
    i > from && i <= toRow
      ? r.map((cell, c) => (c >= column && c <= toColumn ? cells[from][c] : cell))
      : r,
  );
}
