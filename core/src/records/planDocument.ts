import { z } from 'zod';

/** A figure with its unit, range and source. A typical figure has no `mid`: it is never to be read as one number. */
const figureSchema = z.strictObject({
  low: z.number(),
  high: z.number(),
  mid: z.number().optional(),
  unit: z.enum(['mm', 'm', 'g']),
  source: z.enum(['typical', 'label', 'typed', 'swatch', 'piece']),
  text: z.string(),
  short: z.string().describe('the text without its mark of being typical'),
});
export type Figure = z.infer<typeof figureSchema>;

const multipleSchema = z.strictObject({ stitches: z.string(), chains: z.string() });
const problemSchema = z.strictObject({
  code: z.string(),
  path: z.string(),
  message: z.string(),
  hint: z.string(),
  instead: z.array(z.number()).readonly().optional(),
  anywhere: z.number().optional(),
});

/** How a number comes about: its parts, each with where it comes from, and what they come to. */
const workingSchema = z.strictObject({
  of: z.string(),
  heading: z.string(),
  by: z.enum(['sum', 'chance']).describe('the parts are added up, or the chance follows from them'),
  parts: z.array(
    z.strictObject({
      text: z.string(),
      amount: z.string(),
      from: z.string().optional().describe('nothing where it follows from the pattern or the wish'),
      low: z.number(),
      high: z.number(),
    }),
  ),
  total: z.strictObject({ amount: z.string(), low: z.number(), high: z.number() }),
});
export type PrintedWorking = z.infer<typeof workingSchema>;

/** What the headless door prints for a plan. */
export const planDocumentSchema = z.strictObject({
  format: z.literal('puntada-plan'),
  version: z.literal(1),
  title: z.string(),
  item: z.string(),
  pattern: z.strictObject({
    key: z.string(),
    name: z.string(),
    technique: z.string(),
    stitch: z.string(),
    numbers: z.record(z.string(), z.number()),
    made: z.string(),
    colours: z.array(z.string()),
    trueRepeat: z.number().int().describe('courses after which stitch, colour and direction come back'),
    order: z.string().optional().describe('colours row by row'),
    loops: z.string(),
    ends: z.string(),
    careful: z.string(),
    multiple: multipleSchema.describe('counts on which the pattern can be worked'),
    alike: multipleSchema.describe('counts on which both edges look alike'),
  }),
  gauge: z.strictObject({ stitchWidth: figureSchema, rowHeight: figureSchema }),
  foundation: z.strictObject({
    key: z.string(),
    name: z.string(),
    into: z.string(),
    advice: z.array(z.string()),
    chains: z.number().int(),
    colour: z.string().optional().describe('the letter of the colour it is begun in'),
    firstInto: z.number().int(),
    turningChains: z.number().int(),
    turningChainCounts: z.boolean(),
    circle: z
      .strictObject({ increases: z.number().int(), rounds: z.array(z.number().int()), adjusting: z.number().int() })
      .optional()
      .describe('the rounds of the circle on which the sides stand'),
  }),
  hook: z.strictObject({ usual: z.number(), used: z.number().optional(), advice: z.array(z.string()) }),
  size: z.strictObject({
    stitches: z.number().int().describe('what the widths of the pattern count, as `counts` says'),
    counts: z.string(),
    shape: z.enum(['flat', 'tube', 'circle', 'diagonal']),
    stitchesInRow: z.number().int(),
    rows: z.number().int(),
    courses: z.number().int(),
    pieces: z.number().int(),
    width: figureSchema,
    height: figureSchema,
    tube: z
      .strictObject({ flat: figureSchema, around: figureSchema, diameter: figureSchema, text: z.string() })
      .optional()
      .describe('the widths of what is worked in rounds'),
    items: z.number().int().describe('how many items are joined of the pieces'),
    differenceWidth: z.string(),
    differenceHeight: z.string(),
    edgesAlike: z.boolean(),
    endsAsBegun: z.boolean(),
    why: z.array(z.string()),
  }),
  widths: z.array(
    z.strictObject({
      stitches: z.number().int(),
      chains: z.number().int(),
      width: figureSchema,
      difference: z.string(),
      edgesAlike: z.boolean(),
    }),
  ),
  heights: z.array(
    z.strictObject({
      rows: z.number().int(),
      height: figureSchema,
      difference: z.string(),
      whole: z.boolean(),
      endsAsBegun: z.boolean(),
    }),
  ),
  colours: z.array(
    z.strictObject({
      letter: z.string(),
      name: z.string(),
      stitches: z.number().int(),
      metres: figureSchema,
      grams: figureSchema,
      parts: z.record(z.string(), figureSchema),
      ends: z.number().int(),
      closedIn: z.number().int().describe('ends among them that an envelope border closes in: they are not woven in'),
      balls: z
        .strictObject({ count: z.number().int(), text: z.string(), short: z.string(), chance: z.number() })
        .optional(),
      chances: z.array(z.strictObject({ balls: z.number().int(), chance: z.number() })),
      drawer: z.strictObject({ chance: z.number() }).optional(),
      ballEnds: z.array(
        z.strictObject({
          ball: z.number().int(),
          between: z.tuple([z.number().int(), z.number().int()]),
          joinAfter: z.number().int(),
        }),
      ),
    }),
  ),
  strands: z.strictObject({
    policy: z.string(),
    floats: z.boolean(),
    ends: z.number().int(),
    carriedStitches: z.number().int(),
    rowsClimbed: z.number().int(),
    bobbins: z.number().int(),
    thickness: z.array(z.number().int()).describe('cells with 0, 1, 2, 3 and more idle strands inside'),
    showThrough: z.number(),
    halfTwists: z.number().int(),
    untwist: z.string(),
  }),
  policies: z.array(
    z.strictObject({
      policy: z.string(),
      name: z.string(),
      ends: z.number().int(),
      carriedStitches: z.number(),
      extraMetres: z.number(),
      minutes: z.number(),
      thickness: z.array(z.number().int()),
      showThrough: z.number(),
      sameAs: z.string().optional().describe('another way that comes to the very same'),
      workings: z.strictObject({ extra: workingSchema, ends: workingSchema, time: workingSchema }).optional(),
    }),
  ),
  technique: z.strictObject({ change: z.string(), lookOver: z.string(), height: z.string(), idle: z.string() }),
  endingOpen: z
    .boolean()
    .default(false)
    .describe('the last loop may be fastened either way: nothing is worked on from it'),
  ends: z
    .strictObject({ toWeave: z.number().int(), closedIn: z.number().int() })
    .default({ toWeave: 0, closedIn: 0 })
    .describe('ends of all pieces and their finishing: those woven in, and those that an envelope border closes in'),
  finish: z.array(
    z.strictObject({
      part: z.string().describe('closing, border, envelope, seam, strap or ring'),
      name: z.string(),
      colour: z.string(),
      stitches: z.number().int(),
      rounds: z.array(z.number().int()).default([]).describe('stitches at the end of each of its rounds'),
      ends: z.number().int(),
      times: z.number().int().describe('how often it is done: for each piece, or for each item'),
      steps: z.array(z.string()),
    }),
  ),
  ending: z.string().default('').describe('what to do with the last loop, and with the yarn on the hook'),
  time: z.strictObject({ hours: z.tuple([z.number(), z.number()]), text: z.string() }),
  measureNext: z.array(z.strictObject({ what: z.string(), within: z.string() })),
  savings: z.array(z.string()),
  endPlaces: z
    .array(z.strictObject({ letter: z.string(), across: z.number(), up: z.number(), behind: z.boolean().optional() }))
    .describe(
      'where the ends of one piece are that are woven in, before its finishing: parts of its width from the side where row 1 begins, and of its height, as the piece lies; `behind` on the hind half of a tube; at most 400',
    ),
  folded: z.strictObject({
    width: figureSchema,
    height: figureSchema,
    short: z.string().describe('width × height, without the mark of being typical'),
    band: figureSchema.describe('girth of the folded set and 3 cm of overlap'),
  }),
  placed: z.array(z.string()).describe('where each figure that is put on the pattern once stands'),
  cautions: z.array(z.strictObject({ about: z.string(), code: z.string(), text: z.string() })),
  rows: z.array(
    z.strictObject({
      number: z.number().int(),
      side: z.enum(['RS', 'WS']),
      text: z.string(),
      strands: z.array(z.string()),
      changes: z.array(z.string()),
      markers: z.array(z.string()),
      ahead: z.array(z.string()),
    }),
  ),
  legend: z.array(z.strictObject({ abbreviation: z.string(), words: z.string(), made: z.string().optional() })),
  grouped: z.array(z.string()).describe('the rows with those that come again told once'),
  workings: z
    .strictObject({
      chains: workingSchema.optional(),
      stitches: workingSchema,
      rows: workingSchema,
      width: workingSchema,
      height: workingSchema,
      ends: workingSchema,
      time: workingSchema,
      yarn: z.array(
        z.strictObject({
          letter: z.string(),
          metres: workingSchema,
          grams: workingSchema,
          balls: workingSchema.optional(),
          chance: workingSchema.optional().describe('that the balls to buy are enough'),
          drawer: workingSchema.optional().describe('that what is set aside is enough'),
        }),
      ),
    })
    .describe('how every number comes about: lengths in mm, yarn in m and g, time in s'),
  warnings: z.array(problemSchema),
});
export type PlanDocument = z.infer<typeof planDocumentSchema>;
