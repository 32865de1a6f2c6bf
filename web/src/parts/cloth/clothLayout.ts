import { baseCourses, cellsIn, codeOf, courseCells, type Fabric, isRoundMaking, stitchKind } from '@puntada/core/craft';

const between = codeOf('hdc@between');

/**
 * How the cells of a fabric lie on the face that is seen. `based` is a tube on a circle: where it is shown as one cloth,
 * the rounds of the circle are drawn out to the width of the sides.
 */
export type ClothShape = 'grid' | 'brick' | 'clusters' | 'blocks' | 'circle' | 'based';

export function shapeOf(fabric: Fabric): ClothShape {
  if (fabric.making === 'diagonals') return 'blocks';
  const base = baseCourses(fabric);
  if (base > 0) return base === fabric.courses ? 'circle' : 'based';
  const second = stitchKind(fabric.kinds[(fabric.starts[1] as number) - 1] as number);
  const next = fabric.courses > 1 ? courseCells(fabric, 1).kinds : undefined;
  if (next?.includes(between)) return 'brick';
  if (second.standsFor === 'cluster' || second.key === 'edge-dc') return 'clusters';
  // A wedge circle begins with a counted chain.
  return second.key === 'dc@ring' ? 'circle' : 'grid';
}

/** Whether it lies double, so that half of each round is seen. */
export function liesDouble(fabric: Fabric): boolean {
  return isRoundMaking(fabric.making) && shapeOf(fabric) !== 'circle';
}

/** Size of the seen face, in stitch widths and row heights of its gauge. A circle is measured in row heights both ways. */
export function faceOf(fabric: Fabric): { across: number; up: number } {
  const shape = shapeOf(fabric);
  if (shape === 'blocks') return { across: fabric.count, up: fabric.courses - fabric.count + 1 };
  if (shape === 'clusters') return { across: fabric.count, up: fabric.courses };
  if (shape === 'circle') return { across: 2 * fabric.courses, up: 2 * fabric.courses };
  return { across: fabric.stitches, up: fabric.courses };
}

/** A cell's place from column 0, and its width, in stitch widths. */
export function placeOf(fabric: Fabric, shape: ClothShape, course: number, x: number): { at: number; width: number } {
  if (shape === 'brick') {
    const half = course % 2 ? 0.5 : 0;
    return { at: x + half - 0.25, width: 1 };
  }
  if (shape === 'based') {
    const width = fabric.stitches / cellsIn(fabric, course);
    return { at: x * width, width };
  }
  if (shape !== 'clusters') return { at: x, width: 1 };
  const odd = course % 2 === 1;
  const from = Math.max(0, odd ? x - 0.5 : x);
  const to = Math.min(fabric.count + (cellsIn(fabric, 0) > fabric.count ? 0.5 : 0), (odd ? x - 0.5 : x) + 1);
  return { at: from, width: Math.max(0.2, to - from) };
}
