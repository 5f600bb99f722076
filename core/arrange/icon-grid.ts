import { bottom, overlaps, right, type Rect, type Size } from '../values/geometry.ts';

/** A grid on which icons stand: cells of one size from a corner, those that something stands on left out. */
export interface IconGrid {
  cell: Size;
  /** px between two cells, and off the sides of the area. */
  spacing: number;
  margin: number;
  from: 'top-left' | 'top-right' | 'bottom-left' | 'bottom-right';
  /** Whether a column is filled before the next, or a row. */
  flow: 'columns' | 'rows';
}

/**
 * Where so many icons stand in an area, px: fewer where there is no room for all. What stands in the area is given way
 * to, so that the same icons come to the next free cells.
 */
export function iconCells(count: number, area: Rect, grid: IconGrid, standing: readonly Rect[]): Rect[] {
  const { cell, spacing, margin, from, flow } = grid;
  const fit = (length: number, one: number) =>
    Math.max(0, Math.floor((length - 2 * margin + spacing) / (one + spacing)));
  const columns = fit(area.width, cell.width);
  const rows = fit(area.height, cell.height);
  const [isRight, isLow] = [from.endsWith('right'), from.startsWith('bottom')];
  const near = standing.filter((rect) => overlaps(rect, area));
  const cells: Rect[] = [];
  for (let index = 0; index < columns * rows && cells.length < count; index++) {
    const [column, row] =
      flow === 'columns'
        ? [Math.floor(index / rows), index % rows]
        : [index % columns, Math.floor(index / columns)];
    const across = margin + column * (cell.width + spacing);
    const down = margin + row * (cell.height + spacing);
    const rect = {
      x: isRight ? right(area) - across - cell.width : area.x + across,
      y: isLow ? bottom(area) - down - cell.height : area.y + down,
      ...cell,
    };
    if (!near.some((one) => overlaps(one, rect))) cells.push(rect);
  }
  return cells;
}
