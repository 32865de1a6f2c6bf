import { findFoundation, parseLength, tubeBegins } from '@puntada/core/craft';
import { itemNamed, type PatternedRound, type Sequence, type WorkStep } from '@puntada/core/plan';
import type { PlanDocument, Wish } from '@puntada/core/records';

/** The sheet on which a piece is laid out, px. */
export const sheet = { width: 440, height: 430, room: 64 };

/** Lines of words stand at the foot of the sheet: the piece lies so much higher, px. */
const feet = 14;

/** Where a piece lies on the sheet, px. */
export interface Lies {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  /** px of a mm */
  readonly scale: number;
  /** Height of the strap over it, px; 0 without one. */
  readonly drop: number;
}

/** Lays a piece out as large as the sheet holds it, with its strap over it. */
export function layOut(document: PlanDocument, wish: Wish): Lies {
  const middle = (figure: { low: number; high: number }) => (figure.low + figure.high) / 2;
  const [wide, high] = [middle(document.size.tube?.flat ?? document.size.width), middle(document.size.height)];
  const strap = wish.finish?.strap;
  const read = strap ? parseLength(strap.drop, wish.units) : undefined;
  const drop = read?.ok ? read.value : 0;
  const scale = Math.min((sheet.width - 2 * sheet.room) / wide, (sheet.height - 2 * sheet.room) / (high + drop));
  const [w, h] = [wide * scale, high * scale];
  return { x: (sheet.width - w) / 2, y: (sheet.height - h + drop * scale) / 2 - feet, w, h, scale, drop: drop * scale };
}

/** Sides of a piece along which something runs. */
export type Side = 'top' | 'right' | 'bottom' | 'left';

/** The sides that are really open, and so are closed: a ring above and below, a round on a chain above, panels at three or four. */
export function seamSides({ size, foundation }: PlanDocument, wish: Wish): Side[] {
  const { mouth, sides } = itemNamed(wish.item);
  const begun = findFoundation(foundation.key);
  if (size.tube) {
    const foot = begun && tubeBegins(begun) === 'ring' ? (['bottom'] as const) : [];
    return [...(mouth ? [] : (['top'] as const)), ...foot];
  }
  if (wish.finish?.flap) return ['left', 'right'];
  return ['left', 'bottom', 'right', ...(sides === 4 ? (['top'] as const) : [])];
}

/** The steps of the first item of a project, by what they are. */
export function stepsOfOne({ units, pieces, items }: Sequence): ReadonlyMap<string, readonly WorkStep[]> {
  const perItem = Math.max(1, Math.round(pieces / items));
  const found = new Map<string, WorkStep[]>();
  for (const unit of units) {
    if (unit.kind !== 'step' || unit.piece >= perItem) continue;
    found.set(unit.step.code, [...(found.get(unit.step.code) ?? []), unit.step]);
  }
  return found;
}

const sideNames: Readonly<Record<string, Side>> = {
  ...{ far: 'left', near: 'right', top: 'top', bottom: 'bottom' },
  ...{ first: 'left', second: 'right' },
};

/** The side along which a part of a step runs; nothing where it runs along none. */
export function sideOf({ facts }: WorkStep['runs'][number]): Side | undefined {
  return sideNames[String(facts?.side ?? facts?.at)];
}

/** Stitches or pairs along each side, as the counter counts them. */
export function countsAt(steps: readonly WorkStep[] | undefined): Partial<Record<Side, number>> {
  const counts: Partial<Record<Side, number>> = {};
  for (const run of steps?.[0]?.runs ?? []) {
    const side = sideOf(run);
    if (side) counts[side] = Number(run.facts?.count);
  }
  // An envelope is counted round by round: its sides are told with it.
  const told = steps?.[0]?.told.find(({ code }) => code === 'border-sides')?.facts;
  if (!told || Object.keys(counts).length) return counts;
  const [across, up] = [Number(told.across), Number(told.up)];
  return { top: across, bottom: across, left: up, right: up };
}

/** The rounds of a border in a pattern, as the counter works them, with the letter of its second colour; nothing where it is plain. */
export function patternAt(
  steps: readonly WorkStep[] | undefined,
): { readonly rounds: readonly PatternedRound[]; readonly second: string } | undefined {
  const first = steps?.[0]?.runs[0]?.facts;
  if (first?.cells === undefined) return undefined;
  // Where an item has several cloths, each has its border.
  const rounds = (steps ?? []).slice(0, Number(steps?.[0]?.facts?.of)).map(({ runs: [top, far] }) => ({
    across: String(top?.facts?.cells),
    up: String(far?.facts?.cells ?? ''),
    corner: top?.facts?.in === top?.facts?.second ? 'x' : '.',
  }));
  return { rounds, second: String(first.second) };
}

type EndOnPiece = PlanDocument['endPlaces'][number];

/** In the order in which they are woven in: up the edge where row 1 begins, down the other, then inside from below. */
function endsInOrder(ends: readonly EndOnPiece[]): EndOnPiece[] {
  const edge = ({ across }: EndOnPiece) => (across <= 0 ? 0 : across >= 1 ? 1 : 2);
  const along = (end: EndOnPiece) => (edge(end) === 1 ? -end.up : end.up);
  return [...ends].sort((a, b) => edge(a) - edge(b) || along(a) - along(b));
}

/** Two marks nearer than this would lie over one another, px. */
const apart = 20;

/** An end on the sheet: where it hangs, and where its number stands. */
export interface EndMark {
  readonly number: number;
  readonly letter: string;
  readonly behind: boolean;
  readonly at: readonly [x: number, y: number];
  readonly tip: readonly [x: number, y: number];
}

/** Ends on the sheet, their numbers pushed apart along each edge. @param mirrored for a right hand, whose row 1 begins at the right @param room that each takes, px; 0 without numbers */
export function endMarks(
  ends: readonly EndOnPiece[],
  { x, y, w, h }: Lies,
  mirrored: boolean,
  tail: number,
  room = apart,
): EndMark[] {
  const marks = endsInOrder(ends).map(({ letter, across, up, behind = false }, i) => {
    const at = [x + w * (mirrored ? 1 - across : across), y + h * (1 - up)] as const;
    const side = across <= 0 || across >= 1 ? (mirrored === across <= 0 ? 1 : -1) : 0;
    return { number: i + 1, letter, behind, at, side, tip: [at[0] + side * tail, at[1]] as [number, number] };
  });
  for (const side of [-1, 0, 1]) {
    const own = marks.filter((mark) => mark.side === side).sort((a, b) => a.tip[1] - b.tip[1] || a.tip[0] - b.tip[0]);
    own.forEach((mark, i) => {
      const before = own[i - 1];
      const near = before && (side !== 0 || Math.abs(before.tip[0] - mark.tip[0]) < room);
      if (near && mark.tip[1] - before.tip[1] < room) mark.tip[1] = before.tip[1] + room;
    });
    // What was pushed over the foot goes back up, together.
    const over = Math.max(0, (own.at(-1)?.tip[1] ?? 0) - (y + h + room / 2));
    own.toReversed().forEach((mark, i, all) => {
      const below = all[i - 1];
      const most = below ? below.tip[1] - room : mark.tip[1] - over;
      if (over && side !== 0) mark.tip[1] = Math.min(mark.tip[1], most);
    });
  }
  return marks;
}
