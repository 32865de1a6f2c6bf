import { type AcrossFit, type AcrossRequest, fitAcross } from '../fit/across.ts';
import { fitUp, type UpFit, type UpRequest } from '../fit/up.ts';
import { at, good, type Problem, type Result, refused } from '../problem.ts';
import type { Prepared } from './prepare.ts';

/** The sizes that the pattern allows near a wish, both ways. */
export interface Sizes {
  readonly across: AcrossFit;
  readonly up: UpFit;
  readonly warnings: readonly Problem[];
}

/** More stitches than this are not laid in one piece. */
const mostStitches = 1_500_000;

/** What `fit` is asked across. */
export function acrossRequest(prepared: Prepared): AcrossRequest {
  const { bound, technique, foundation, gauge, wish, width } = prepared;
  const { stitchWidth } = gauge;
  return { bound, technique, foundation, edges: wish.edges, stitchWidth, wish: width, units: wish.units };
}

/** What `fit` is asked upwards. */
export function upRequest(prepared: Prepared): UpRequest {
  const { bound, gauge, wish, height } = prepared;
  return { bound, ending: wish.ending, rowHeight: gauge.rowHeight, wish: height };
}

/** Fits a prepared wish. Lays nothing, so it is quick enough for every keystroke. */
export function fitSizes(prepared: Prepared): Result<Sizes> {
  const across = fitAcross(acrossRequest(prepared));
  const up = fitUp(upRequest(prepared));
  if (!across.ok || !up.ok) {
    return refused(
      ...(across.ok ? [] : across.problems.map((problem) => at('width', problem))),
      ...(up.ok ? [] : up.problems.map((problem) => at('height', problem))),
    );
  }
  const cells = across.value.chosen.stitches * up.value.chosen.rows;
  if (cells > mostStitches) {
    return refused({
      code: 'out-of-range',
      path: 'width',
      message: `${across.value.chosen.stitches} × ${up.value.chosen.rows} is ${cells} stitches, more than can be planned in one piece.`,
      hint: 'Make it smaller, or plan it as panels.',
    });
  }
  const warnings = [...across.value.warnings, ...up.value.warnings];
  return good({ across: across.value, up: up.value, warnings });
}
