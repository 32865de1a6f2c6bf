import { type LengthUnit, parseLength } from '../../craft/units/length.ts';
import { rowsIn, type Sequence, standingAt } from '../../plan/steps/sequence.ts';
import type { Measuring } from '../../records/logEntry.ts';

/** Two cloths that are to match, measured at nearly the same row. */
export interface PieceApart {
  /** Which cloth, from 0, and with which one it is compared: the nearest before it that was measured there. */
  readonly piece: number;
  readonly than: number;
  readonly side: 'width' | 'height';
  /** Rows of the later one when it was measured. */
  readonly row: number;
  /** How much larger it is, mm; negative where it is smaller. */
  readonly by: number;
}

/** A difference smaller than this is none, mm: cloth gives as much under the tape. */
const noticed = 4;
/** Rows that two measurements may lie apart and still be of the same place. */
const rowsApart = 3;

interface Measured {
  readonly piece: number;
  readonly rows: number;
  readonly width: number | undefined;
  readonly height: number | undefined;
}

function measuredOf(measure: Measuring, sequence: Sequence, units: LengthUnit): Measured {
  const stands = standingAt(sequence, measure.position.rows);
  // Before the first row of the next one it is the one that has just come off the hook.
  const off = stands.rows === 0 && stands.piece > 0;
  const [piece, rows] = off ? [stands.piece - 1, rowsIn(sequence, stands.piece - 1)] : [stands.piece, stands.rows];
  const mm = (text: string | undefined) => {
    const read = text === undefined ? undefined : parseLength(text, units);
    return read?.ok ? read.value : undefined;
  };
  return { piece, rows, width: mm(measure.width), height: mm(measure.height) };
}

/**
 * Cloths of a set, or panels of one thing, that came out unlike: each against the nearest one before it that was measured
 * within three rows of the same place. A height is set right by the rows between the two. @param measures in their order
 */
export function piecesApart(measures: readonly Measuring[], sequence: Sequence, units: LengthUnit): PieceApart[] {
  const all = measures.map((measure) => measuredOf(measure, sequence, units));
  const found = new Map<string, PieceApart>();
  for (const own of all) {
    const before = all
      .filter((each) => each.piece < own.piece && Math.abs(each.rows - own.rows) <= rowsApart)
      .sort((a, b) => b.piece - a.piece || Math.abs(a.rows - own.rows) - Math.abs(b.rows - own.rows));
    for (const side of ['width', 'height'] as const) {
      const mine = own[side];
      const other = before.find((each) => each[side] !== undefined);
      const theirs = other?.[side];
      if (mine === undefined || theirs === undefined || !other) continue;
      const same = side === 'height' && other.rows > 0 ? (theirs * own.rows) / other.rows : theirs;
      const apart: PieceApart = { piece: own.piece, than: other.piece, side, row: own.rows, by: mine - same };
      // What was measured last holds.
      if (Math.abs(apart.by) < noticed) found.delete(`${own.piece} ${side}`);
      else found.set(`${own.piece} ${side}`, apart);
    }
  }
  return [...found.values()];
}
