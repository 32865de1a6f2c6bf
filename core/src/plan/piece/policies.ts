import type { Fabric } from '../../craft/fabric/fabric.ts';
import { lightnessOf } from '../../craft/shades/colour.ts';
import { type Policy, policies } from '../../craft/technique/policy.ts';
import { closedIn } from '../finish/closedIn.ts';
import { measureParts } from '../measure/parts.ts';
import { typicalPace } from '../pace/hours.ts';
import { type StrandLedger, strandLedger } from '../route/ledger.ts';
import { totalsByColour } from '../route/route.ts';
import type { Strands } from '../route/strands.ts';
import type { Prepared } from '../wish/prepare.ts';
import { measuringRequest, type Piece, routePiece } from './piece.ts';

/** What one way of treating the idle colour comes to for one piece. */
export interface PolicyFigures extends StrandLedger {
  readonly policy: Policy;
  /** Yarn that is in no stitch: carried, climbed, floated, and tails; m. */
  readonly extraMetres: number;
  /** Minutes spent on strands and ends alone. */
  readonly minutes: number;
  /** Where that yarn is, m. */
  readonly extra: { readonly carried: number; readonly bridged: number; readonly tails: number };
  /** Its ends, colour by colour. */
  readonly endsOf: readonly number[];
  /** Those of them that the border closes in: nobody weaves them in. */
  readonly closedIn: number;
  /** Another way that comes to the very same for this cloth. */
  readonly sameAs?: Policy;
}

/** How far the shades of a work lie apart in lightness, 0 to 1. */
export function contrastOf(prepared: Prepared): number {
  const lightness = prepared.yarns.map((yarn) => lightnessOf(yarn.shade));
  return (Math.max(...lightness) - Math.min(...lightness)) / 100;
}

/** What is done with the strands, to tell whether two ways are one: every move, and which strand works which cell. */
function wayOf({ moves, chart }: Strands): string {
  const { length } = moves;
  const parts = [moves.kind, moves.colour, moves.row, moves.from, moves.to].map((each) =>
    Array.from({ length }, (_, i) => each[i]).join(),
  );
  return `${parts.join('|')}|${chart.colourCount}`;
}

/** So many ends to a square metre are no longer chosen without saying what carrying would cost instead. */
export const manyEnds = 40;

/** What another way than many ends would cost. */
export interface ManyEnds {
  /** In a square metre, and in the piece. */
  readonly perSquareMetre: number;
  readonly ends: number;
  /** The same piece with its strands carried throughout. */
  readonly carried: { readonly ends: number; readonly extraMetres: number; readonly minutes: number };
  readonly extraMetres: number;
  readonly minutes: number;
}

/** Whether a piece whose strands go as needed has many ends, and what carrying would cost instead. */
export function manyEndsOf(prepared: Prepared, piece: Piece): ManyEnds | undefined {
  const { wish, technique, gauge } = prepared;
  if (technique.policy || wish.policy !== 'as-needed') return undefined;
  const area = (piece.fabric.kinds.length * gauge.stitchWidth.mid * gauge.rowHeight.mid) / 1e6;
  const perSquareMetre = (piece.ends - piece.closedIn) / area;
  // A small piece has its few ends whatever is done.
  if (perSquareMetre <= manyEnds || piece.ends <= 4 * piece.share.length) return undefined;
  const figures = comparePolicies(prepared, piece.fabric);
  const [carried, own] = ['carry-always', 'as-needed'].map((policy) => figures.find((each) => each.policy === policy));
  if (!carried || !own || carried.ends >= own.ends) return undefined;
  const { extraMetres, minutes } = own;
  return { perSquareMetre, ends: piece.ends, carried, extraMetres, minutes };
}

/** The policies side by side for one laid piece: yarn, ends, minutes, thickness and what shows through. */
export function comparePolicies(prepared: Prepared, fabric: Fabric): PolicyFigures[] {
  const { technique, foundation } = prepared;
  const contrast = contrastOf(prepared);
  const offered = technique.policy ? [technique.policy] : policies;
  const found = new Map<string, Policy>();
  return offered.map((policy) => {
    const strands = routePiece({ ...prepared, wish: { ...prepared.wish, policy } }, fabric);
    const ledger = strandLedger(fabric, strands, contrast);
    const parts = measureParts({ ...measuringRequest(prepared, { fabric, strands, foundation }), strands });
    const whole = (part: 'carried' | 'bridged' | 'tails') => parts.reduce((sum, each) => sum + each[part], 0);
    const extra = { carried: whole('carried'), bridged: whole('bridged'), tails: whole('tails') };
    const extraMetres = extra.carried + extra.bridged + extra.tails;
    const endsOf = totalsByColour(strands, fabric.colourCount).map(({ ends }) => ends);
    const hidden = closedIn(prepared, strands, ledger.ends).reduce((sum, each) => sum + each, 0);
    const { end, carry, join } = typicalPace;
    const minutes = ((ledger.ends - hidden) * end + ledger.carried * carry + ledger.cuts * join) / 60;
    const way = wayOf(strands);
    const same = found.get(way);
    if (same === undefined) found.set(way, policy);
    const figures = { ...ledger, policy, extraMetres, minutes, extra, endsOf, closedIn: hidden };
    return { ...figures, ...(same === undefined ? {} : { sameAs: same }) };
  });
}
