import type { Box } from "./useRange";

/**
 * How a block comes into the cells that are chosen: one cell fills them all, a block that fits into them
 * several times is repeated, any other comes once, as large as it is.
 * @returns the rows and columns it takes, and the cell of the block for each of them
 */
export function spread<T>(block: T[][], box: Box) {
  const [rows, columns] = [block.length, Math.max(...block.map((row) => row.length))];
  const [high, wide] = [box.bottom - box.top + 1, box.right - box.left + 1];
  const height = high % rows === 0 ? high : rows;
  const width = wide % columns === 0 ? wide : columns;
  const at = (row: number, column: number): T | undefined => block[row % rows]?.[column % columns];
  return { height, width, at };
}

/** The cells to which a box grows when its corner is drawn to a place: along the side that is further away. */
export function drawnTo(box: Box, row: number, column: number): Box {
  const down = Math.max(row - box.bottom, box.top - row, 0);
  const across = Math.max(column - box.right, box.left - column, 0);
  if (down >= across) return { ...box, top: Math.min(box.top, row), bottom: Math.max(box.bottom, row) };
  return { ...box, left: Math.min(box.left, column), right: Math.max(box.right, column) };
}

/** Which row or column of a block stands so far from its beginning, where it is repeated both ways. */
export const turnOf = (distance: number, length: number) => ((distance % length) + length) % length;
