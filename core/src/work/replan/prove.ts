import { courseCells, type Fabric } from '../../craft/fabric/fabric.ts';
import { printPattern } from '../../craft/notation/print.ts';
import { type Facts, good, type Result, refused } from '../../craft/values/problem.ts';
import { wishAsBegun } from '../../plan/begun/asBegun.ts';
import {
  type ClothBefore,
  clothAt,
  freezeWork,
  type ThawedCloth,
  type ThawedWork,
  thaw,
} from '../../plan/begun/frozen.ts';
import { prepareCloth } from '../../plan/begun/made.ts';
import { checkStrands } from '../../plan/check/strands.ts';
import { CUT, type MoveList } from '../../plan/route/moves.ts';
import { chartOf } from '../../plan/route/ofFabric.ts';
import { shifted } from '../../plan/route/shifted.ts';
import { clothInHand, panelsOf } from '../../plan/steps/sequence.ts';
import type { FrozenWork } from '../../records/begun.ts';
import type { Wish } from '../../records/wish.ts';
import type { Position } from '../progress/progress.ts';
import { sequenceOfWork } from '../underway/inHand.ts';

function alike(a: Uint8Array, b: Uint8Array): boolean {
  return a.length === b.length && a.every((each, i) => each === b[i]);
}

/** How many courses from the first on are the same, stitch for stitch. Diagonals grow alike in pieces of any width. */
export function sameCourses(a: Fabric, b: Fabric): number {
  if (a.making !== b.making || (a.making !== 'diagonals' && a.count !== b.count)) return 0;
  const most = Math.min(a.courses, b.courses);
  for (let course = 0; course < most; course++) {
    const [one, other] = [courseCells(a, course), courseCells(b, course)];
    if (!alike(one.kinds, other.kinds) || !alike(one.colours, other.colours)) return course;
  }
  return most;
}

/** The moves that were made below a row; a cut counts as made here only with the joining that follows it. */
function made({ length, kind, colour, row, from, to }: MoveList, below: number): string[] {
  const found: string[] = [];
  for (let i = 0; i < length; i++) {
    if ((row[i] as number) >= below || (kind[i] === CUT && (to[i] as number) >= below)) continue;
    found.push([kind[i], colour[i], row[i], from[i], to[i]].join(' '));
  }
  return found.sort();
}

/** The cloths that stay as they are once the rest is planned otherwise from this one on. @param piece from 0 */
export function beforeWith({ wish, cloth }: { wish: Wish; cloth: ThawedWork }, piece: number): ClothBefore[] {
  const { before = [], fromChain: _chain, apart: _apart, ...own } = cloth;
  const kept: ClothBefore[] = [];
  let left = piece;
  for (const each of before) {
    const pieces = Math.min(left, each.pieces);
    if (pieces > 0) kept.push({ ...each, pieces });
    left -= pieces;
  }
  return left > 0 ? [...kept, { pieces: left, wish, cloth: own }] : kept;
}

/**
 * Proves that a cloth can go on by another plan: what is worked stays stitch for stitch, no strand is moved otherwise
 * than it was, and every colour is where the hook wants it in all that is to come.
 * @param stays courses that are worked
 */
function proveCloth(old: ThawedCloth, now: ThawedCloth, stays: number): Result<true> {
  const broken = (path: string, what: string, facts: Facts = {}) =>
    refused({ code: 'onward-broken', path, facts: { ...facts, what } });
  const pattern = ({ bound }: ThawedCloth) => printPattern(bound.pattern);
  if (old.foundation.key !== now.foundation.key || pattern(old) !== pattern(now)) return broken('begun', 'beginning');
  const same = sameCourses(old.fabric, now.fabric);
  if (same < stays) return broken(`row ${same + 1}`, 'row', { row: same + 1 });
  const before = shifted(old.strands.moves, old.fabric, now.fabric);
  if (made(before, stays).join() !== made(now.strands.moves, stays).join()) return broken('begun.moves', 'moves');
  const proof = checkStrands(chartOf(now.fabric), { ...now.strands, totals: [], bobbins: [] });
  return proof.ok ? good(true) : proof;
}

/** A begun work, and where its counter stands in units of the whole. */
interface Begun {
  readonly begun: FrozenWork;
  readonly wish: Wish;
  readonly at: Position;
}

/**
 * Proves another plan for the rest of a whole project, from the cloth in hand on. @returns the project by that plan: the
 * cloths that are made stay, and are kept with it, whatever the plan says of them
 */
export function proveRest({ begun, wish, at }: Begun, next: FrozenWork): Result<FrozenWork> {
  const [old, now] = [thaw(begun), thaw({ ...next, before: undefined })];
  if (!old.ok) return old;
  if (!now.ok) return now;
  const prepared = prepareCloth(wishAsBegun(wish, begun.apart), old.value);
  if (!prepared.ok) return prepared;
  const sequence = sequenceOfWork(prepared.value, old.value);
  const inHand = clothInHand(sequence, at);
  if (!inHand) return refused({ code: 'no-rows-to-come', path: 'progress' });
  const { piece, rows, runs } = inHand;
  const own = clothAt<ThawedWork>(old.value, piece);
  const proof = proveCloth(own, now.value, rows + (runs > 0 ? 1 : 0));
  if (!proof.ok) return proof;
  // What is joined to a cloth that is made stays as large.
  const [was, is] = [own.fabric, now.value.fabric];
  if (piece % panelsOf(sequence) > 0 && (was.courses !== is.courses || was.count !== is.count)) {
    return refused({ code: 'onward-broken', path: 'begun', facts: { what: 'matched' } });
  }
  const { fromChain, apart } = old.value;
  return good(freezeWork({ ...now.value, fromChain, apart, before: beforeWith({ wish, cloth: old.value }, piece) }));
}
