import { wovenIn } from '../measure/measure.ts';
import { type Handwork, steadySeconds } from '../pace/hours.ts';
import { type OwnPace, secondsBy, unknownPace } from '../pace/ownPace.ts';
import type { Piece } from '../piece/piece.ts';
import type { Prepared } from '../wish/prepare.ts';
import { amountOf, exactly, type Working, type WorkingPart } from './working.ts';

/** The time at the hook of a whole piece. */
export function timeWorking({ wish }: Prepared, { hands }: Pick<Piece, 'hands'>): Working {
  return secondsWorking(wish.pace ?? unknownPace, hands);
}

/** The time that a hand takes for work, by what it does, the most of it first. */
export function secondsWorking(pace: OwnPace, hands: Handwork): Working {
  const time = secondsBy(pace, hands);
  const parts = [...hands].map(([act, seconds]): WorkingPart => {
    const clocked = pace.acts.find((each) => each.act === act);
    const mid = pace.ratio * seconds * (clocked?.factor ?? 1);
    const count = Math.round(seconds / steadySeconds(act));
    return {
      code: 'act',
      facts: { act, count, each: mid / count },
      // The range is of the whole: every part takes the same share of it.
      amount: { low: (mid * time.low) / time.mid, mid, high: (mid * time.high) / time.mid },
      source: clocked ? 'piece' : 'typical',
    };
  });
  parts.sort((a, b) => b.amount.mid - a.amount.mid);
  return { of: 'time', unit: 's', by: 'sum', parts, total: amountOf(time) };
}

/** Pieces that are made alike, plan by plan: those of plans before first. */
export function piecesAlike({ wish }: Prepared, piece: Piece): Piece['beside'] {
  const { share, strands, closedIn, finish, beside } = piece;
  const own = wish.pieces - beside.reduce((sum, { pieces }) => sum + pieces, 0);
  return [...beside, { pieces: own, share, strands, closedIn, finish }];
}

/** Ends to weave in: those of the cloths, colour by colour, and those of the finishing, less what a border closes in. */
export function endsWorking(prepared: Prepared, piece: Piece): Working {
  const alike = piecesAlike(prepared, piece);
  const ofCloth = prepared.yarns.flatMap(({ letter, name }, colour) =>
    alike.flatMap(({ strands, pieces }): WorkingPart[] => {
      const ends = strands.totals.reduce((sum, total, i) => sum + (strands.colourOf[i] === colour ? total.ends : 0), 0);
      if (!ends || !pieces) return [];
      return [{ code: 'ends-cloth', facts: { letter, name, ends, pieces }, amount: exactly(ends * pieces) }];
    }),
  );
  const ofFinish = alike.flatMap(({ finish, pieces }) =>
    finish
      .filter(({ ends }) => ends > 0)
      .map(({ part, ends, times: all }): WorkingPart => {
        const times = (all * pieces) / prepared.wish.pieces;
        return { code: 'ends-finish', facts: { part, ends, times }, amount: exactly(ends * times) };
      }),
  );
  const hidden = alike.flatMap(({ closedIn: ends, pieces }): WorkingPart[] =>
    ends && pieces ? [{ code: 'ends-closed', facts: { ends, pieces }, amount: exactly(-ends * pieces) }] : [],
  );
  const total = wovenIn(piece.yarn);
  return { of: 'ends', unit: 'count', by: 'sum', parts: [...ofCloth, ...ofFinish, ...hidden], total: exactly(total) };
}
