import { closesEdges, isAtEdge } from '../../plan/finish/closedIn.ts';
import { endsOnPiece } from '../../plan/finish/endsOnPiece.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import type { PlanDocument } from '../../records/planDocument.ts';
import { rounded } from './figures.ts';

/** More than so many ends are no longer told apart on a drawing. */
const mostEnds = 400;

/** Where the ends of one piece are that are woven in, in parts of its width and height. */
export function endPlacesOf({ piece, prepared }: Plan): PlanDocument['endPlaces'] {
  const { strands } = piece;
  const closed = closesEdges(prepared);
  return endsOnPiece(piece.fabric, prepared.technique, strands)
    .filter((end) => !(closed && isAtEdge(end, strands)))
    .slice(0, mostEnds)
    .map(({ strand, across, up, behind }) => ({
      letter: prepared.bound.colours[strands.colourOf[strand] ?? 0] ?? '',
      across: rounded(across, 4),
      up: rounded(up, 4),
      ...(behind ? { behind } : {}),
    }));
}
