/**
 * Gives each row a column of its own at the least total cost (Kuhn and Munkres, with potentials).
 * O(rows² · columns); rows may not be more than columns. @returns the column of each row
 */
export function assign(rows: number, columns: number, cost: (row: number, column: number) => number): Int32Array {
  const rowPotential = new Float64Array(rows + 1);
  const columnPotential = new Float64Array(columns + 1);
  const rowOf = new Int32Array(columns + 1);
  const way = new Int32Array(columns + 1);
  for (let row = 1; row <= rows; row++) {
    rowOf[0] = row;
    let at = 0;
    const least = new Float64Array(columns + 1).fill(Number.POSITIVE_INFINITY);
    const used = new Uint8Array(columns + 1);
    do {
      used[at] = 1;
      const own = rowOf[at] as number;
      let delta = Number.POSITIVE_INFINITY;
      let next = 0;
      for (let column = 1; column <= columns; column++) {
        if (used[column]) continue;
        const reduced = cost(own - 1, column - 1) - (rowPotential[own] as number) - (columnPotential[column] as number);
        if (reduced < (least[column] as number)) {
          least[column] = reduced;
          way[column] = at;
        }
        if ((least[column] as number) < delta) {
          delta = least[column] as number;
          next = column;
        }
      }
      for (let column = 0; column <= columns; column++) {
        if (used[column]) {
          (rowPotential[rowOf[column] as number] as number) += delta;
          (columnPotential[column] as number) -= delta;
        } else (least[column] as number) -= delta;
      }
      at = next;
    } while (rowOf[at] !== 0);
    while (at) {
      const before = way[at] as number;
      rowOf[at] = rowOf[before] as number;
      at = before;
    }
  }
  const columnOf = new Int32Array(rows);
  for (let column = 1; column <= columns; column++) {
    if (rowOf[column]) columnOf[(rowOf[column] as number) - 1] = column - 1;
  }
  return columnOf;
}
