import { z } from 'zod';
import { fibres } from '../craft/gauge/fibres.ts';
import { weightClasses } from '../craft/gauge/typical.ts';
import { acts } from '../craft/stitches/acts.ts';
import { policies } from '../craft/technique/policy.ts';
import { parseLength, withUnit } from '../craft/units/length.ts';
import { longestPattern } from './ownPattern.ts';
import { labelOf, type RecordKind } from './record.ts';

const letters = z.string().regex(/^[A-H]$/);

/** A length as typed, with its unit or in the units of the wish. */
const typedLength = z.string().trim().min(1).max(40);

const wholeNumber = (least: number, most: number) => z.number().int().min(least).max(most);

const count = () => wholeNumber(1, 3000);

export const wishedWidthSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('length'), length: typedLength }),
  z.strictObject({ by: z.literal('chain'), count: count() }),
  z.strictObject({ by: z.literal('stitches'), count: count() }),
  z.strictObject({ by: z.literal('repeats'), count: count() }),
]);

export const wishedHeightSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('length'), length: typedLength }),
  z.strictObject({ by: z.literal('rows'), count: count() }),
  z.strictObject({ by: z.literal('repeats'), count: count() }),
]);

const gaugeCount = z.strictObject({
  count: z.number().positive().max(1000),
  over: typedLength,
});

const moreCounts = z.array(gaugeCount).max(20).optional();

export const gaugeSchema = z.discriminatedUnion('from', [
  z.strictObject({
    from: z.literal('counted'),
    stitches: gaugeCount,
    rows: gaugeCount,
    /** Counted again, another day or elsewhere on the cloth. */
    moreStitches: moreCounts,
    moreRows: moreCounts,
    /** Counted after the washing that the piece will get: sizes go by these, yarn by the others. */
    washedStitches: moreCounts,
    washedRows: moreCounts,
    /** Yarn really used against yarn predicted, from a weighed swatch: the logarithm, and its relative sd. */
    weighed: z.strictObject({ ratio: z.number().min(-1.5).max(1.5), error: z.number().positive().max(1) }).optional(),
    /** The swatch of the swatch book it comes from. */
    swatch: z.uuid().optional(),
  }),
  z.strictObject({ from: z.literal('typical') }),
]);

/** mm; letters and numbers of hooks differ from place to place, so only millimetres are read. */
export const hookSize = z.number().min(0.5).max(25);

const blendSchema = z
  .array(
    z.strictObject({
      fibre: z.enum(fibres),
      percent: z.number().positive().max(100),
    }),
  )
  .refine((parts) => parts.length >= 2 && parts.length <= 5, 'blend-two-to-five')
  .refine((parts) => Math.abs(parts.reduce((sum, { percent }) => sum + percent, 0) - 100) < 0.5, 'blend-hundred')
  .refine((parts) => new Set(parts.map(({ fibre }) => fibre)).size === parts.length, 'fibre-twice');

export const yarnSchema = z.strictObject({
  letter: letters,
  name: z.string().trim().min(1).max(60),
  shade: z.string().regex(/^#[0-9a-fA-F]{6}$/),
  weight: z.union(weightClasses.map((n) => z.literal(n))),
  fibre: z.enum(fibres),
  /** What it is blended of, where it is more than one fibre. */
  blend: blendSchema.optional(),
  ballMetres: z.number().positive().max(5000).optional(),
  ballGrams: z.number().positive().max(2000).optional(),
  /** What lies in the drawer: whole balls, and what is left of one begun. */
  balls: wholeNumber(0, 1000).optional(),
  partGrams: z.number().min(0).max(2000).optional(),
  /** The yarn of the drawer that this is; `balls` and `partGrams` are then what is set aside for the work. */
  drawer: z.uuid().optional(),
});

/** Key of an item: `dishcloth`, `bag panel`. Which there are is known to the plan. */
const itemKey = z
  .string()
  .regex(/^[a-z][a-z ]*$/)
  .max(40);
export type Item = z.infer<typeof itemKey>;

/** Patterns that a border may be worked in. */
export const borderPatternKeys = ['bands', 'dots', 'checks', 'teeth'] as const;

const borderSchema = z.strictObject({
  rounds: wholeNumber(1, 20),
  colour: letters.default('A'),
  /** Stitches along the sides by gauge, which lies flatter, or by the maker's rule. */
  by: z.enum(['gauge', 'rule']).default('gauge'),
  /** Two layers that hide the ends of mosaic rows. */
  envelope: z.boolean().default(false),
  /** Its rounds in a pattern, with a second colour. */
  pattern: z.strictObject({ key: z.enum(borderPatternKeys), colour: letters.default('B') }).optional(),
});

/** The face of the cloth that is outside. */
export const outsideSchema = z.enum(['RS', 'WS']);

const finishSchema = z.strictObject({
  /** Inside length of a hanging ring. */
  ring: typedLength.optional(),
  strap: z
    .strictObject({
      /** From the shoulder or hand to the top of the bag. */
      drop: typedLength,
      width: typedLength.default('3 cm'),
      kind: z.enum(['chain cord', 'sc along', 'sc across', 'hdc', 'dc', 'bought']),
      /** Newtons it is to bear; 10 N is about 1 kg. */
      load: z.number().min(0).max(500).default(30),
      colour: letters.default('A'),
    })
    .optional(),
  seam: z.enum(['whipped', 'mattress', 'slip stitch', 'sc']).optional(),
  /** A cover in one cloth: the flap that it folds over with. */
  flap: typedLength.optional(),
  /** It is sewn with a long end that the last row leaves, where a seam is sewn. */
  longEnd: z.boolean().optional(),
  /** Colours of the closing row, the seam and the ring; A where they are left out. */
  closingColour: letters.optional(),
  seamColour: letters.optional(),
  ringColour: letters.optional(),
  /** A round of sc about the open upper end; with eyelets a second one, for a cord. */
  mouth: z
    .strictObject({
      eyelets: z.boolean().default(false),
      /** The edge of flat panels that is the mouth: the last row, or the foundation, which is firmer. */
      edge: z.enum(['last', 'foundation']).optional(),
    })
    .optional(),
  /** The face that is outside when a tube or a seam is closed; asked before it is. */
  outside: outsideSchema.optional(),
});

const actSchema = z.enum(acts);

export const paceSchema = z.strictObject({
  /** Against a steady hand: 1.2 takes a fifth longer. */
  ratio: z.number().min(0.1).max(10),
  /** Of its logarithm. */
  sd: z.number().min(0).max(1),
  /** Each thing that was clocked: beside the rest, how sure, and its part of the time. */
  acts: z
    .array(
      z.strictObject({
        act: actSchema,
        factor: z.number().min(0.1).max(10),
        sd: z.number().min(0).max(1),
        share: z.number().min(0).max(1),
      }),
    )
    .max(acts.length)
    .readonly(),
});

/** Where something stands along one way, and how far from that edge, as typed. */
function standing<const From extends readonly [string, ...string[]]>(from: From) {
  return z.strictObject({ from: z.enum(from), margin: typedLength.default('0') });
}

/** Everything a plan is made from. The one shape behind the screen, the API and the command line. */
export const wishSchema = z.strictObject({
  ...labelOf('puntada-wish', 5),
  title: z.string().trim().min(1).max(80),
  item: itemKey,
  units: z.enum(['cm', 'in']).default('cm'),
  width: wishedWidthSchema,
  height: wishedHeightSchema,
  /** The height is the most that it may become: at each good place it is decided whether to go on. */
  open: z.literal(true).optional(),
  pattern: z.strictObject({
    /** A pattern of the book … */
    key: z.string().min(1).max(60).optional(),
    /** … or one written out in the notation (docs/pattern-notation.md). */
    text: z.string().min(1).max(longestPattern).optional(),
    stitch: z.string().max(20).optional(),
    /** Made in rounds, where the pattern is written flat or in the other kind of rounds. */
    made: z.enum(['turned-rounds', 'rounds']).optional(),
    /** Colours row by row in the maker's own order: `A A | B A | A A`. */
    order: z.string().trim().min(1).max(2000).optional(),
    /** Which loops of the row below the stitches go into. */
    loops: z.enum(['both', 'back', 'front']).optional(),
    numbers: z.record(z.string().max(20), z.number()).optional(),
  }),
  /** Figures, words and pictures that are put on the pattern once. */
  placed: z
    .array(
      z.strictObject({
        /** A pattern in the notation, in colours; where it is in A the ground shows. */
        text: z.string().min(1).max(longestPattern),
        /** From the edge where row 1 begins, from the other, or in the middle. */
        across: standing(['begin', 'middle', 'end']),
        /** From the lower edge, the upper, or in the middle. */
        up: standing(['begin', 'middle', 'end']),
      }),
    )
    .min(1)
    .max(6)
    .optional(),
  foundation: z.string().max(40).optional(),
  /** Where in the chain the first row goes. */
  into: z.enum(['one loop', 'two loops', 'back bump']).default('one loop'),
  /** Increases a round of the circle on which sides stand; the flattest where it is left out. */
  increases: wholeNumber(3, 36).optional(),
  /** What the width of a tube means: as it lies flat, all the way round, or across its circle; what the item says if left out. */
  across: z.enum(['flat', 'round', 'diameter']).optional(),
  /** How many of it are made: panels, or a set. */
  pieces: wholeNumber(1, 99).default(1),
  /** The set that it is made for, together with other wishes: the same in other yarns, or the back of this. */
  set: z
    .strictObject({
      /** The same in all of them. */
      id: z.uuid(),
      title: z.string().trim().min(1).max(80),
      /** The other side of what is joined: it takes the outside size of the front. */
      part: z.enum(['front', 'back']).optional(),
      /** The other side of what is joined, as it is planned: stitches of its last row, and its rows. */
      other: z.strictObject({ stitches: count(), courses: count() }).optional(),
    })
    .optional(),
  border: borderSchema.optional(),
  /** A plain row of sc in A that ends the cloth as it begins. */
  closing: z.boolean().default(false),
  /** What the first washing does, where the piece will be washed. */
  wash: z.enum(['cotton-hot', 'acrylic', 'wool-blocked', 'superwash-tumbled']).optional(),
  finish: finishSchema.optional(),
  /** A size may be so far off the wished one, either way; any where it is left out. */
  tolerance: typedLength.optional(),
  /** For small children: no floats, no open loops, no long cords. */
  smallChildren: z.boolean().default(false),
  /** Each is folded when it is done, for a stall or a gift. */
  fold: z.boolean().optional(),
  /** The chance with which yarn is to be enough: 0.95, or 0.99 where the dye lot is never to be had again. */
  sure: z.number().min(0.5).max(0.999).default(0.95),
  edges: z.enum(['whole', 'mirrored', 'centred']).default('mirrored'),
  ending: z.enum(['any', 'whole', 'as-begun']).default('as-begun'),
  gauge: gaugeSchema,
  /** mm */
  hook: hookSize.optional(),
  yarns: z.array(yarnSchema).min(1).max(8),
  policy: z.enum(policies).default('as-needed'),
  floats: z.boolean().default(false),
  /** How the maker feels about weaving in ends: it prices them. */
  weaving: z.enum(['hate', 'usual', 'easy']).optional(),
  /** How the last loop is fastened: its end drawn through, or locked under a second colour. */
  lastLoop: z.enum(['drawn', 'locked']).optional(),
  /** What the last one taught, to be thought of in this one. */
  lessons: z.array(z.string().trim().min(1).max(2000)).max(20).optional(),
  /** The pace of the hand that makes it, as far as its steps were clocked; without it that of a steady hand. */
  pace: paceSchema.optional(),
  /** Test strips that were weighed, g, by the way with the idle strand. */
  strips: z.partialRecord(z.enum(policies), z.number().positive().max(500)).optional(),
  /** The size chosen on the mat; without it the one nearest to the wish is taken. */
  choice: z.strictObject({ stitches: count(), rows: count() }).optional(),
});

/**
 * Version 2 may have figures placed on its ground; version 3 may be made for a set, and its mouth edged; version 4 may have
 * a border in a pattern, and be folded; version 5 may say how its last loop is fastened, in which colours it is finished, and
 * of what size its other side is.
 */
export const wishRecord = {
  format: 'puntada-wish',
  schema: wishSchema,
  steps: [(old) => old, (old) => old, (old) => old, (old) => old],
} satisfies RecordKind;

/** A wish as it is stored: everything filled in. */
export type Wish = z.output<typeof wishSchema>;
/** A wish as it may be written: what has a usual value may be left out. */
export type WishInput = z.input<typeof wishSchema>;

/** The same wish with the unit behind every length, so that its bare numbers may be in another. */
export function withUnitsTyped(wish: Wish): Wish {
  const own = (text: string) => withUnit(text, wish.units);
  const some = (text: string | undefined) => text && own(text);
  const sized = <S extends Wish['width'] | Wish['height']>(size: S): S =>
    size.by === 'length' ? { ...size, length: own(size.length) } : size;
  const count = <C extends { readonly over: string }>(each: C): C => ({ ...each, over: own(each.over) });
  const { gauge, finish, tolerance, placed } = wish;
  const placedWithUnit = ({ text, across, up }: NonNullable<Wish['placed']>[number]) => ({
    text,
    across: { ...across, margin: own(across.margin) },
    up: { ...up, margin: own(up.margin) },
  });
  return {
    ...wish,
    width: sized(wish.width),
    height: sized(wish.height),
    ...(tolerance ? { tolerance: own(tolerance) } : {}),
    ...(placed ? { placed: placed.map(placedWithUnit) } : {}),
    gauge:
      gauge.from === 'typical'
        ? gauge
        : {
            ...gauge,
            stitches: count(gauge.stitches),
            rows: count(gauge.rows),
            ...Object.fromEntries(
              (['moreStitches', 'moreRows', 'washedStitches', 'washedRows'] as const).flatMap((name) => {
                const more = gauge[name];
                return more ? [[name, more.map(count)]] : [];
              }),
            ),
          },
    ...(finish
      ? {
          finish: {
            ...finish,
            ring: some(finish.ring),
            flap: some(finish.flap),
            strap: finish.strap && { ...finish.strap, drop: own(finish.strap.drop), width: own(finish.strap.width) },
          },
        }
      : {}),
  };
}

/** Whether a typed length can be read; for a form to ask before it sends. */
export function lengthReads(typed: string, units: Wish['units']): boolean {
  return parseLength(typed, units).ok;
}
