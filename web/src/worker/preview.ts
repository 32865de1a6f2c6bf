import type { Estimate, Fabric, Result } from '@puntada/core/craft';
import {
  cautionsFor,
  type HookAdvice,
  hookAdvice,
  type MadeWork,
  measureOf,
  type PatternedRound,
  planWork,
  roundsInPattern,
  type TubeMeasure,
  type TubeSize,
  widthsAcross,
} from '@puntada/core/plan';
import { readShape, wishSchema } from '@puntada/core/records';
import { cautionWords } from '@puntada/core/words';

/** What a wish would come to, as far as a picture and a few lines need it. */
export interface PreviewFigures {
  readonly fabric: Fabric;
  /** The cloth without its border, mm. */
  readonly cloth: { readonly width: number; readonly height: number };
  readonly width: Estimate;
  readonly height: Estimate;
  readonly chains: number;
  /** Rounds of border, their depth in mm and their colour, 0 for A. */
  readonly border:
    | {
        readonly depth: number;
        readonly colour: number;
        /** Its rounds, and the colour of what is `x` in them. */
        readonly pattern?: { readonly rounds: readonly PatternedRound[]; readonly colour: number } | undefined;
      }
    | undefined;
  readonly round: boolean;
  /** How many more of it there are. */
  readonly behind: number;
  /** mm, with the colour, 0 for A. */
  readonly strap: { readonly drop: number; readonly width: number; readonly colour: number } | undefined;
  readonly ring: number | undefined;
  readonly cautions: readonly string[];
  readonly hook: HookAdvice;
  /** Both widths of what is worked in rounds. */
  readonly tube: { readonly widths: TubeSize; readonly measure: TubeMeasure } | undefined;
}

/** Plans the nearest size of a wish for a look at it; of a work that is begun the cloth on the hook. */
export function preview(wish: unknown, begun?: MadeWork['begun']): Result<PreviewFigures> {
  const read = readShape(wishSchema, wish);
  if (!read.ok) return read;
  const plan = planWork({ wish: read.value, begun });
  if (!plan.ok) return plan;
  const { piece, width, height, prepared } = plan.value;
  const { technique, finished, finish, sc } = prepared;
  const round = technique.circle === true;
  const across = widthsAcross(prepared, width.stitches) * finished.stitchWidth.mid;
  const up = (technique.heights?.(piece.rows) ?? piece.rows) * finished.rowHeight.mid;
  const { border } = finish;
  return {
    ok: true,
    value: {
      fabric: piece.fabric,
      cloth: round ? { width: height.height.mid, height: height.height.mid } : { width: across, height: up },
      width: width.width,
      height: height.height,
      chains: width.chains,
      border: border && {
        depth: border.rounds * sc.height.mid,
        colour: border.colour,
        pattern: border.pattern && {
          rounds: roundsInPattern(piece.finish.find(({ part }) => part === 'border')?.steps ?? []),
          colour: border.pattern.colour,
        },
      },
      round,
      behind: Math.min(2, prepared.wish.pieces - 1),
      strap: finish.strap && { drop: finish.strap.drop, width: finish.strap.width, colour: finish.strap.colour },
      ring: finish.ring,
      hook: hookAdvice(prepared),
      tube: width.tube && { widths: width.tube, measure: measureOf(prepared.wish) },
      cautions: cautionsFor(prepared.wish).map((caution) => cautionWords[caution.code]),
    },
  };
}
