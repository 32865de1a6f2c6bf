import { measureOf } from '../items/items.ts';
import type { Piece } from '../piece/piece.ts';
import type { Plan } from '../piece/plan.ts';
import type { Prepared } from '../wish/prepare.ts';
import { endsWorking, piecesAlike, timeWorking } from './handWorkings.ts';
import {
  chainsWorking,
  heightWorking,
  rowsWorking,
  stitchesWorking,
  tubeWorking,
  widthWorking,
} from './sizeWorkings.ts';
import type { Working } from './working.ts';
import { ballsWorking, chanceWorking, gramsWorking, metresWorking } from './yarnWorkings.ts';

/** How the figures of one colour come about. */
export interface YarnWorkings {
  readonly letter: string;
  readonly metres: Working;
  readonly grams: Working;
  readonly balls?: Working | undefined;
  /** That the balls to buy are enough. */
  readonly chance?: Working | undefined;
  /** That what lies in the drawer is enough. */
  readonly drawer?: Working | undefined;
}

/** How the figures of a piece come about. */
export interface PieceWorkings {
  readonly yarn: readonly YarnWorkings[];
  readonly ends: Working;
  readonly time: Working;
}

/** How the figures of a size come about. */
export interface SizeWorkings {
  /** Nothing where it begins without a chain. */
  readonly chains?: Working | undefined;
  readonly stitches: Working;
  readonly rows: Working;
  readonly width: Working;
  /** Of a tube: its other width, all the way round where it is wished flat or across, else flat. */
  readonly otherWidth?: Working | undefined;
  readonly height: Working;
}

/** How the numbers of a size come about; it need not be laid for it. */
export function sizeWorkings({ prepared, width, height }: Pick<Plan, 'prepared' | 'width' | 'height'>): SizeWorkings {
  return {
    chains: chainsWorking(prepared, width),
    stitches: stitchesWorking(width),
    rows: rowsWorking(height),
    width: widthWorking(prepared, width, height),
    otherWidth: tubeWorking(prepared, width, measureOf(prepared.wish) === 'around' ? 'flat' : 'around'),
    height: heightWorking(prepared, height),
  };
}

/** How yarn, ends and time of a piece come about. */
export function pieceWorkings(prepared: Prepared, piece: Piece): PieceWorkings {
  const { sure } = prepared.wish;
  const alike = piecesAlike(prepared, piece);
  const yarn = piece.yarn.map((need, colour): YarnWorkings => {
    const own = prepared.yarns[colour];
    const stitches = alike.reduce((sum, { pieces, share }) => sum + pieces * (share[colour] ?? 0), 0);
    return {
      letter: need.letter,
      metres: metresWorking(need, stitches),
      grams: gramsWorking(need),
      balls: ballsWorking(need, sure),
      chance: need.balls && chanceWorking(need, need.balls.count),
      drawer: need.drawer && chanceWorking(need, own?.balls ?? 0, own?.partGrams ?? 0),
    };
  });
  return { yarn, ends: endsWorking(prepared, piece), time: timeWorking(prepared, piece) };
}
