import { type StitchKey, stitchKind, stitchKinds } from '../stitches/kinds.ts';
import type { CourseView } from './technique.ts';

/** The letter of a colour by its number, from 0. */
export function letterOf(colour: number): string {
  return String.fromCharCode(65 + colour);
}

/** The stitch in a column, or undefined where there is none. */
export function keyAt(kinds: Uint8Array | undefined, column: number): StitchKey | undefined {
  const code = kinds?.[column];
  return code === undefined ? undefined : stitchKinds[code]?.key;
}

/** The main stitch that a cell stands for. */
export function mainAt(kinds: Uint8Array | undefined, column: number): StitchKey | undefined {
  const code = kinds?.[column];
  return code === undefined ? undefined : stitchKinds[code]?.standsFor;
}

/** Column of the first and of the last cell worked. */
export function firstColumn(view: CourseView): number {
  return view.forward ? 0 : view.kinds.length - 1;
}

export function lastColumn(view: CourseView): number {
  return view.forward ? view.kinds.length - 1 : 0;
}

/** Refuses a counted turning chain anywhere but at the beginning of a course. */
export function opensOnlyFirst(view: CourseView): void {
  const first = firstColumn(view);
  for (let x = 0; x < view.kinds.length; x++) {
    const kind = stitchKind(view.kinds[x] as number);
    if (kind.opens && x !== first) view.refuse(x, 'opens-elsewhere', { key: kind.key });
  }
}

/** Refuses a second colour in a course that is worked in one. */
export function oneColour(view: CourseView): void {
  const { colours } = view;
  const first = colours[firstColumn(view)];
  for (let x = 0; x < colours.length; x++) {
    if (colours[x] !== first) view.refuse(x, 'second-colour');
  }
}

/** How the first stitch of a course is made where the turning chain counts. */
export function countedOpening(kind: StitchKey, turn: number, counted: boolean): StitchKey {
  if (!counted) return kind;
  if (kind === 'hdc') return 'hdc-ch2';
  if (kind === 'dc') return turn === 2 ? 'dc-ch2' : 'dc-ch3';
  return kind;
}
