import type { Fabric } from '../../craft/fabric/fabric.ts';
import { type StitchKey, stitchKinds } from '../../craft/stitches/kinds.ts';
import { columnsFrom, columnsTo } from './chart.ts';
import { CARRY } from './moves.ts';
import { totalsByColour } from './route.ts';
import type { Strands } from './strands.ts';

/** What idle strands do to a cloth. */
export interface StrandLedger {
  readonly ends: number;
  readonly cuts: number;
  /** Stitches with an idle strand inside, a strand each. */
  readonly carried: number;
  readonly climbedRows: number;
  readonly floats: number;
  readonly bobbins: number;
  /** Stitches with 0, 1, 2, 3 and more idle strands inside. */
  readonly thickness: readonly [number, number, number, number];
  /** How much shows through: stitches carried × contrast × how open they are. */
  readonly show: number;
}

/** How far a strand inside a stitch can be seen, against an sc; most in tall stitches and between posts. */
const openness: Partial<Record<StitchKey, number>> = {
  hdc: 1.3,
  dc: 1.6,
  'hdc@between': 1.8,
  cluster: 1.6,
  'cluster@space': 1.8,
  block: 1.8,
  'dc@ring': 1.6,
  inc: 1.6,
};

const opennessOf = stitchKinds.map((kind) => openness[kind.key] ?? openness[kind.standsFor] ?? 1);

/** Idle strands in each cell of the fabric. */
export function insideCells(fabric: Fabric, { inside, chart }: Pick<Strands, 'inside' | 'chart'>): Uint8Array {
  const { cellOf } = chart;
  return cellOf ? Uint8Array.from(cellOf, (at) => inside[at] as number) : inside.subarray(0, fabric.kinds.length);
}

/** Of the strands in each cell those that lie inside their own colour; nothing where no colour is divided. */
function hiddenCells(fabric: Fabric, { chart, moves, colourOf }: Strands): Uint8Array | undefined {
  if (colourOf.every((colour, strand) => colour === strand)) return undefined;
  const { columns } = chart;
  const hidden = new Uint8Array(chart.rows * columns);
  for (let i = 0; i < moves.length; i++) {
    if (moves.kind[i] !== CARRY) continue;
    const row = moves.row[i] as number;
    const own = colourOf[moves.colour[i] as number];
    const to = columnsTo(chart, row, moves.from[i] as number, moves.to[i] as number);
    for (let x = columnsFrom(chart, row, moves.from[i] as number, moves.to[i] as number); x < to; x++) {
      const at = row * columns + x;
      if (colourOf[chart.colours[at] as number] === own) hidden[at] = (hidden[at] as number) + 1;
    }
  }
  return insideCells(fabric, { inside: hidden, chart });
}

/** Counts what the strands do. @param contrast of the yarns, 0 to 1 */
export function strandLedger(fabric: Fabric, strands: Strands, contrast: number): StrandLedger {
  const totals = totalsByColour(strands, fabric.colourCount);
  const sum = (key: 'ends' | 'cuts' | 'carried' | 'climbedRows' | 'floats') =>
    totals.reduce((whole, total) => whole + total[key], 0);
  const thickness = [0, 0, 0, 0];
  let show = 0;
  const hidden = hiddenCells(fabric, strands);
  insideCells(fabric, strands).forEach((count, cell) => {
    (thickness[Math.min(3, count)] as number)++;
    const shown = count - (hidden?.[cell] ?? 0);
    if (shown) show += shown * (opennessOf[fabric.kinds[cell] as number] as number);
  });
  return {
    ends: sum('ends'),
    cuts: sum('cuts'),
    carried: sum('carried'),
    climbedRows: sum('climbedRows'),
    floats: sum('floats'),
    bobbins: strands.bobbins.reduce((whole, count) => whole + count, 0),
    thickness: thickness as [number, number, number, number],
    show: show * contrast,
  };
}
