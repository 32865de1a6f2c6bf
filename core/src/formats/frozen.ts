import { z } from 'zod';
import { chooseFoundation, type Foundation } from '../fit/foundation.ts';
import type { Fabric } from '../lay/fabric.ts';
import { type BoundPattern, bindPattern } from '../patterns/bind.ts';
import { printPattern } from '../patterns/print.ts';
import { readPattern } from '../patterns/read.ts';
import type { Plan } from '../plan/plan.ts';
import { good, type Result, refused } from '../problem.ts';
import { MoveList } from '../route/moves.ts';
import { stitchCode, stitchKind } from '../stitches/kinds.ts';

/**
 * A work as it was begun: the laid fabric and the way of its strands, in words of their own, so that it stays the
 * same whatever becomes of the engine or the pattern book.
 */
export const frozenSchema = z.strictObject({
  format: z.literal('puntada-begun'),
  version: z.literal(1),
  /** The stitch pattern in the notation, with the maker's choices. */
  pattern: z.string().max(20000),
  stitch: z.string().max(20),
  numbers: z.record(z.string(), z.number().int()),
  foundation: z.string().max(40),
  stitches: z.number().int().min(1).max(3000),
  /** Every different row once, as runs from the edge where row 1 begins: `4 sc A, 4 sc B`. */
  rows: z.array(z.string().max(40000)).max(3000),
  /** Which of `rows` each course is. */
  courses: z.array(z.number().int().min(0)).min(1).max(3000),
  /** Moves of the strands, five numbers each: kind, colour, row, from, to. */
  moves: z.array(z.number().int()),
});

export type FrozenWork = z.infer<typeof frozenSchema>;

/** A frozen work brought back to the shapes of the pipeline. */
export interface ThawedWork {
  readonly fabric: Fabric;
  readonly moves: MoveList;
  readonly bound: BoundPattern;
  readonly foundation: Foundation;
}

function rowText(fabric: Fabric, course: number, letters: readonly string[]): string {
  const words: string[] = [];
  const base = course * fabric.stitches;
  for (let x = 0; x < fabric.stitches; ) {
    const kind = fabric.kinds[base + x] as number;
    const colour = fabric.colours[base + x] as number;
    const from = x++;
    while (x < fabric.stitches && fabric.kinds[base + x] === kind && fabric.colours[base + x] === colour) x++;
    words.push(`${x - from} ${stitchKind(kind).key} ${letters[colour]}`);
  }
  return words.join(', ');
}

/** Freezes a plan at the moment it is begun. */
export function freeze(plan: Plan): FrozenWork {
  const { fabric, strands } = plan.piece;
  const { bound, foundation } = plan.prepared;
  const rows: string[] = [];
  const courses: number[] = [];
  const known = new Map<string, number>();
  for (let course = 0; course < fabric.courses; course++) {
    const text = rowText(fabric, course, bound.pattern.colours);
    const index = known.get(text) ?? rows.push(text) - 1;
    known.set(text, index);
    courses.push(index);
  }
  const { moves } = strands;
  const flat: number[] = [];
  for (let i = 0; i < moves.length; i++) {
    for (const part of [moves.kind, moves.colour, moves.row, moves.from, moves.to]) flat.push(part[i] as number);
  }
  return {
    format: 'puntada-begun',
    version: 1,
    pattern: printPattern(bound.pattern),
    stitch: bound.stitch,
    numbers: { ...bound.numbers },
    foundation: foundation.key,
    stitches: fabric.stitches,
    rows,
    courses,
    moves: flat,
  };
}

function readRow(text: string, letters: readonly string[]): { kinds: number[]; colours: number[] } | undefined {
  const kinds: number[] = [];
  const colours: number[] = [];
  for (const run of text.split(', ')) {
    const [count, key = '', letter = ''] = run.split(' ');
    const kind = stitchCode(key);
    const colour = letters.indexOf(letter);
    if (kind === undefined || colour < 0 || !Number.isInteger(Number(count))) return undefined;
    for (let n = Number(count); n > 0; n--) {
      kinds.push(kind);
      colours.push(colour);
    }
  }
  return { kinds, colours };
}

/** Brings a frozen work back, or says where it is damaged. */
export function thaw(frozen: FrozenWork): Result<ThawedWork> {
  const damaged = (path: string, message: string) =>
    refused({ code: 'fabric-broken', path, message, hint: 'Restore the work from a backup.' });
  const pattern = readPattern(frozen.pattern);
  if (!pattern.ok) return pattern;
  const own = pattern.value.stitches.length ? frozen.stitch : undefined;
  const bound = bindPattern(pattern.value, { stitch: own, numbers: frozen.numbers });
  if (!bound.ok) return bound;
  const foundation = chooseFoundation(bound.value.stitch, frozen.foundation);
  if (!foundation.ok) return foundation;
  const letters = pattern.value.colours;
  const rows = frozen.rows.map((text) => readRow(text, letters));
  const size = frozen.courses.length * frozen.stitches;
  const kinds = new Uint8Array(size);
  const colours = new Uint8Array(size);
  for (const [course, index] of frozen.courses.entries()) {
    const row = rows[index];
    if (!row || row.kinds.length !== frozen.stitches) {
      return damaged(`rows.${index}`, `Row ${course + 1} of the begun work cannot be read.`);
    }
    kinds.set(row.kinds, course * frozen.stitches);
    colours.set(row.colours, course * frozen.stitches);
  }
  if (frozen.moves.length % 5) return damaged('moves', 'The strand moves of the begun work are cut short.');
  const moves = new MoveList();
  for (let i = 0; i < frozen.moves.length; i += 5) {
    const [kind = 0, colour = 0, row = 0, from = 0, to = 0] = frozen.moves.slice(i, i + 5);
    moves.add(kind, colour, row, from, to);
  }
  const fabric: Fabric = {
    making: 'flat',
    courses: frozen.courses.length,
    stitches: frozen.stitches,
    kinds,
    colours,
    colourCount: letters.length,
  };
  return good({ fabric, moves, bound: bound.value, foundation: foundation.value });
}
