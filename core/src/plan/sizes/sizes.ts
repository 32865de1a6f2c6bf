import { mostStitches } from '../../craft/fabric/fabric.ts';
import { type Estimate, times } from '../../craft/values/estimate.ts';
import { at, good, type Problem, type Result, refused } from '../../craft/values/problem.ts';
import { type AcrossFit, type AcrossRequest, fitAcross, isTube, offerWidth, type WidthOffer } from '../fit/across.ts';
import { circleLies, flatIncrease, fullness } from '../fit/circle.ts';
import { fitUp, type HeightOffer, offerHeight, type UpFit, type UpRequest } from '../fit/up.ts';
import { measureOf } from '../items/items.ts';
import type { Prepared } from '../wish/prepare.ts';

/** The sizes that the pattern allows near a wish, both ways. */
export interface Sizes {
  readonly across: AcrossFit;
  readonly up: UpFit;
  readonly warnings: readonly Problem[];
}

/** What a border adds to the width: it goes round a flat piece, and only on top of a tube. */
function besideWidth(prepared: Prepared): Estimate | undefined {
  const { finish, sc } = prepared;
  return isTube(prepared) ? undefined : finish.border && times(sc.height, 2 * finish.border.rounds);
}

/** What border and closing row add to the height. */
function besideHeight(prepared: Prepared): Estimate | undefined {
  const { finish, sc } = prepared;
  const edges = isTube(prepared) ? 1 : 2;
  const rows = (finish.border ? edges * finish.border.rounds : 0) + (finish.closing ? 1 : 0);
  return rows ? times(sc.height, rows) : undefined;
}

/** What `fit` is asked across. */
export function acrossRequest(prepared: Prepared): AcrossRequest {
  const { bound, technique, foundation, finished, wish, width, told, increases } = prepared;
  const { stitchWidth } = finished;
  const beside = besideWidth(prepared);
  const measure = measureOf(wish);
  const edges = wish.edges;
  return { bound, technique, foundation, edges, stitchWidth, beside, measure, increases, wish: width, units: told };
}

/** What `fit` is asked upwards. */
export function upRequest(prepared: Prepared): UpRequest {
  const { bound, technique, finished, wish, height } = prepared;
  const { rowHeight } = finished;
  return { bound, technique, ending: wish.ending, rowHeight, beside: besideHeight(prepared), wish: height };
}

/** Fits a prepared wish. Lays nothing, so it is quick enough for every keystroke. */
export function fitSizes(prepared: Prepared): Result<Sizes> {
  if (prepared.technique.circle) return fitCircle(prepared);
  const across = fitAcross(acrossRequest(prepared));
  const up = fitUp(upRequest(prepared));
  if (!across.ok || !up.ok) {
    return refused(
      ...(across.ok ? [] : across.problems.map((problem) => at('width', problem))),
      ...(up.ok ? [] : up.problems.map((problem) => at('height', problem))),
    );
  }
  const { stitches } = across.value.chosen;
  const { rows } = up.value.chosen;
  const cells = stitches * rows;
  if (cells > mostStitches) {
    const most = Math.floor(mostStitches / stitches);
    return refused({ code: 'too-many-stitches', path: 'width', facts: { stitches, rows, cells, most } });
  }
  const warnings = [...across.value.warnings, ...up.value.warnings, ...leaning(prepared), ...doming(prepared)];
  return good({ across: across.value, up: up.value, warnings });
}

/** In rounds that are not turned figures and seam slant. */
function leaning({ bound, technique }: Prepared): Problem[] {
  if (bound.pattern.made !== 'rounds' || technique.upright) return [];
  return [
    {
      code: 'leans',
      path: 'pattern',
    },
  ];
}

/** How the circle below straight sides will lie. */
function doming({ foundation, increases, sc, finished }: Prepared): Problem[] {
  if (!foundation.circle || increases === undefined) return [];
  const ofSc = foundation.stitch === 'sc';
  const width = (ofSc ? sc.width : finished.stitchWidth).mid;
  const height = (ofSc ? sc.height : finished.rowHeight).mid;
  const lies = circleLies(fullness(increases, width, height));
  if (lies === 'flat') return [];
  return [
    {
      code: 'bottom-lies',
      path: 'increases',
      facts: { increases, lies, flat: flatIncrease(width, height) },
    },
  ];
}

/** A circle is as wide as it is high; of all else the two are apart. */
export function asWideAsHigh(
  { technique }: Prepared,
  size: { width: WidthOffer; height: HeightOffer },
): { width: WidthOffer; height: HeightOffer } {
  if (!technique.circle) return size;
  const { height, difference } = size.height;
  return { ...size, width: { ...size.width, width: height, difference } };
}

/** What a piece of so many stitches and rows comes to. @param rows as the wish counts them */
export function sizeAt(prepared: Prepared, stitches: number, rows: number): { width: WidthOffer; height: HeightOffer } {
  return asWideAsHigh(prepared, {
    width: offerWidth(acrossRequest(prepared), stitches),
    height: offerHeight(upRequest(prepared), rows),
  });
}

/** A circle has one number of wedges; its width is its height, two rows a round. */
function fitCircle(prepared: Prepared): Result<Sizes> {
  const wedges = prepared.bound.across.works.multiple;
  const across = fitAcross({ ...acrossRequest(prepared), wish: { by: 'stitches', count: wedges } });
  const request = upRequest(prepared);
  const { width } = prepared;
  const wish =
    request.wish.by === 'length' && width.by === 'length' ? { by: 'length' as const, mm: width.mm } : request.wish;
  const up = fitUp({ ...request, wish });
  if (!across.ok) return across;
  if (!up.ok) return refused(...up.problems.map((problem) => at('height', problem)));
  const chosen = { ...across.value.chosen, width: up.value.chosen.height, difference: up.value.chosen.difference };
  const { stitchWidth, rowHeight } = prepared.finished;
  const lies = circleLies(fullness(wedges, stitchWidth.mid, rowHeight.mid));
  const flat = flatIncrease(stitchWidth.mid, rowHeight.mid);
  const warnings: Problem[] =
    lies === 'flat'
      ? []
      : [
          {
            code: 'circle-lies',
            path: 'pattern.numbers',
            facts: { wedges, lies, flat },
          },
        ];
  return good({ across: { ...across.value, chosen, offers: [chosen] }, up: up.value, warnings });
}
