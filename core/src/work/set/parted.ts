import type { Belief } from '../../craft/values/belief.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import { thaw } from '../../plan/begun/frozen.ts';
import { prepareWork } from '../../plan/begun/made.ts';
import { admits } from '../../plan/fit/progression.ts';
import { heightRule } from '../../plan/fit/up.ts';
import { handBelief } from '../../plan/piece/piece.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { itemsTouched, panelsOf } from '../../plan/steps/sequence.ts';
import type { Work } from '../../records/answers.ts';
import type { Weighing } from '../../records/logEntry.ts';
import type { Wish } from '../../records/wish.ts';
import type { Position } from '../progress/progress.ts';
import { costsOfProject, type ProjectCosts } from '../underway/inHand.ts';

/** One project of a set as it stands. */
export interface SetMember {
  readonly work: Work;
  readonly weighings: readonly Weighing[];
}

/** What makes one yarn of a wish the same as one of another. */
export function yarnKey({ name, shade, ballMetres, ballGrams, drawer }: Wish['yarns'][number]): string {
  return JSON.stringify([name, shade, ballMetres, ballGrams, drawer]);
}

/** A stretch of the set that is made as one: what stays of a project, or the items of it that are not begun. */
export interface Stretch {
  readonly id: string;
  readonly wish: Wish;
  readonly costs: ProjectCosts;
  readonly belief: Belief;
  readonly now: Position;
  readonly weighings: readonly Weighing[];
}

/** A project as it is counted, and how much of it is begun. */
interface Touched {
  readonly counted: Counted;
  readonly items: number;
  readonly panels: number;
}

/** A project, parted into what stays and what may be planned otherwise. */
export interface Parted {
  readonly id: string;
  /** Items that stay as they are. */
  readonly keep: number;
  readonly kept: Stretch | undefined;
  /** Of the items that are not begun. */
  readonly open: Wish | undefined;
  readonly panels: number;
  /** The project that is its other side, by its place among them. */
  readonly other: number | undefined;
}

/** What is counted of a project, and what is known of the hand in it. */
type Counted = Pick<Stretch, 'costs' | 'belief'>;

function countBegun(work: Work, wish: Wish): Counted | undefined {
  const cloth = work.begun ? thaw(work.begun) : undefined;
  const prepared = prepareWork({ ...work, wish });
  if (!cloth?.ok || !prepared.ok) return undefined;
  return { costs: costsOfProject(prepared.value, cloth.value), belief: handBelief(prepared.value) };
}

/** What is counted of a project as it is: as it hangs on the hook, or as it is planned. */
export function countOf(work: Work, wish: Wish): Counted | undefined {
  return work.state === 'wished' ? planned(wish) : countBegun(work, wish);
}

/** Items of a project that are touched, and how many cloths each has; nothing where it cannot be counted. */
function touchedOf({ work }: SetMember): Touched | undefined {
  const { wish, progress, state } = work;
  const counted = countOf(work, wish);
  if (!counted) return undefined;
  const { sequence } = counted.costs;
  const touched = { wished: 0, begun: itemsTouched(sequence, progress), finished: sequence.items };
  return { counted, items: touched[state], panels: panelsOf(sequence) };
}

/** @param items that stay as they are: those that are touched, and those whose other side is */
function part(
  { work, weighings }: SetMember,
  { counted: whole, panels }: Touched,
  items: number,
): Omit<Parted, 'other'> {
  const { id, wish, progress } = work;
  const pieces = Math.min(wish.pieces, items * panels);
  if (!pieces) return { id, keep: 0, kept: undefined, open: wish, panels };
  const counted = (pieces < wish.pieces && countOf(work, { ...wish, pieces })) || whole;
  // What is set aside stays with what is begun.
  const yarns = wish.yarns.map(({ balls: _balls, partGrams: _grams, ...yarn }) => yarn);
  return {
    id,
    keep: items,
    panels,
    kept: { id, wish, ...counted, now: progress, weighings },
    open: pieces < wish.pieces ? { ...wish, pieces: wish.pieces - pieces, yarns } : undefined,
  };
}

/**
 * Of each project of a set the one that its other side is: a back stands behind its front, and takes yarns of it. Nothing of
 * one that has no other side, or whose other side is not there.
 */
function othersOf(members: readonly SetMember[]): readonly (number | undefined)[] {
  const other: (number | undefined)[] = members.map(() => undefined);
  members.forEach(({ work: { wish: back } }, i) => {
    if (back.set?.part !== 'back') return;
    const front = members.findIndex(({ work: { wish } }, at) => {
      const keys = wish.yarns.map(yarnKey);
      const fits = wish.set?.part === 'front' && wish.pieces === back.pieces;
      return fits && other[at] === undefined && back.yarns.every((yarn) => keys.includes(yarnKey(yarn)));
    });
    if (front < 0) return;
    other[i] = front;
    other[front] = i;
  });
  return other;
}

export interface Planned extends Counted {
  readonly rows: number;
  readonly stitches: number;
  readonly size: { readonly width: Estimate; readonly height: Estimate };
  readonly rule: (rows: number) => boolean;
}

/** What items that are not begun come to; nothing where they cannot be made so. */
export function planned(wish: Wish): Planned | undefined {
  const plan = planWish(wish);
  if (!plan.ok) return undefined;
  const { prepared, piece, width, height } = plan.value;
  const { bound, foundation, technique } = prepared;
  const cloth = { bound, foundation, fabric: piece.fabric, strands: piece.strands };
  return {
    costs: costsOfProject(prepared, cloth),
    belief: handBelief(prepared),
    rows: piece.rows,
    stitches: piece.stitches,
    size: { width: width.width, height: height.height },
    rule: (rows) => admits(heightRule(bound, technique, wish.ending), rows),
  };
}

/** Parts every project of a set that can be counted into what stays of it and what is not begun, each with its other side. */
export function partSet(members: readonly SetMember[]): Parted[] {
  const known = members.flatMap((member) => {
    const touched = touchedOf(member);
    return touched ? [{ member, touched }] : [];
  });
  const others = othersOf(known.map(({ member }) => member));
  return known.map(({ member, touched }, i) => {
    const other = others[i];
    // What stands on the hook in front is to have its back as it was planned, and the other way about.
    const items = Math.max(touched.items, other === undefined ? 0 : (known[other]?.touched.items ?? 0));
    return { ...part(member, touched, items), other };
  });
}
