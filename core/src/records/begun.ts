import { z } from 'zod';
import { anyVersion, type RecordKind } from './record.ts';
import { wishRecord } from './wish.ts';

const figure = z.strictObject({ mid: z.number().positive(), low: z.number().positive(), high: z.number().positive() });
const gaugeFigures = z.strictObject({
  stitchWidth: figure,
  rowHeight: figure,
  source: z.enum(['typical', 'label', 'typed', 'swatch', 'piece']),
});

/** One cloth: its laid fabric and the way of its strands. */
const clothFields = {
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
  /** Moves of the strands, five numbers each: kind, strand, row, from, to. */
  moves: z.array(z.number().int()),
  /** How many colours, where the pattern leaves it open. */
  colours: z.number().int().min(1).max(8).optional(),
  /** Which loops its stitches go into, where it is not both. */
  loops: z.enum(['back', 'front']).optional(),
  /** The gauge it was begun with, mm: as worked and as finished. */
  gauge: z.strictObject({ worked: gaugeFigures, finished: gaugeFigures }).optional(),
  /** Where colours are divided among bobbins: the colour of each strand, and the strand of each run as worked. */
  bobbins: z.strictObject({ colourOf: z.array(z.number().int()), runs: z.array(z.number().int()) }).optional(),
};

/**
 * A work as it was begun: the laid fabric and the way of its strands, in words of their own, so that it stays the
 * same whatever becomes of the engine or the pattern book.
 */
export const frozenSchema = z.strictObject({
  format: z.literal('puntada-begun'),
  version: z.literal(2),
  ...clothFields,
  /** Its foundation chain is the first step of the counter; works begun before it was one begin with row 1. */
  fromChain: z.literal(true).optional(),
  /**
   * Fronts, or backs, of which each is an item of its own with its own seam; several that were begun before they were
   * counted so are one item.
   */
  apart: z.literal(true).optional(),
  /**
   * Cloths of this project that were made by a plan before this one, the first made first: how many of each, the wish
   * they were made by, and the cloth itself. All others are as this work says.
   */
  before: z
    .array(
      z.strictObject({
        pieces: z.number().int().min(1).max(99),
        wish: anyVersion(wishRecord),
        cloth: z.strictObject(clothFields),
      }),
    )
    .max(99)
    .optional(),
});

export const frozenRecord = {
  format: 'puntada-begun',
  schema: frozenSchema,
  // What a version 1 holds is a cloth, the only one of its project, that begins with its first row.
  steps: [(old) => old],
} satisfies RecordKind;

export type FrozenWork = z.infer<typeof frozenSchema>;
export type FrozenCloth = Omit<FrozenWork, 'format' | 'version' | 'fromChain' | 'apart' | 'before'>;
