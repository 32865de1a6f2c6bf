/** Where a figure stands along one way, in cells: so many from either edge, or in the middle. */
export interface Standing {
  readonly from: 'begin' | 'middle' | 'end';
  readonly cells: number;
}

/** A figure that is put on the ground once. */
export interface PlacedFigure {
  readonly name: string;
  /** Numbers of its colours, the first worked row first, cells from the edge where row 1 begins; −1 where the ground shows. */
  readonly rows: readonly (readonly number[])[];
  /** From the edge where row 1 begins, and from the lower edge. */
  readonly across: Standing;
  readonly up: Standing;
}
