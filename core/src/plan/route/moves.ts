/** What can be done with a strand. The numbers are what a move list stores. */
export const CARRY = 0;
export const CLIMB = 1;
export const FLOAT_UP = 2;
/** Across the back within one row. */
export const FLOAT = 3;
/** Across the back from the row below. */
export const FLOAT_RISING = 4;
export const CUT = 5;

/**
 * A growing list of moves, five numbers each. Boundaries count from column 0.
 * carry, floats: in row `row` from boundary `from` to `to`;
 * climb, float-up: in row `row`, hanging at `from` = `to`; cut: after `from` in row `row`, joined again in row `to`.
 */
export class MoveList {
  length = 0;
  kind = new Uint8Array(256);
  colour = new Uint8Array(256);
  row = new Int32Array(256);
  from = new Int32Array(256);
  to = new Int32Array(256);

  add(kind: number, colour: number, row: number, from: number, to: number): void {
    if (this.length === this.kind.length) this.grow();
    const i = this.length++;
    this.kind[i] = kind;
    this.colour[i] = colour;
    this.row[i] = row;
    this.from[i] = from;
    this.to[i] = to;
  }

  private grow(): void {
    const wider = <T extends Uint8Array | Int32Array>(old: T, next: T): T => {
      next.set(old);
      return next;
    };
    const size = this.kind.length * 4;
    this.kind = wider(this.kind, new Uint8Array(size));
    this.colour = wider(this.colour, new Uint8Array(size));
    this.row = wider(this.row, new Int32Array(size));
    this.from = wider(this.from, new Int32Array(size));
    this.to = wider(this.to, new Int32Array(size));
  }
}
