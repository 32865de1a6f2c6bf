import { z } from 'zod';

/** What is tied round, hung on or laid with a finished piece. */
export const labelKinds = ['band', 'tag', 'care', 'price', 'list'] as const;
export type LabelKind = (typeof labelKinds)[number];

/** What a maker says of a label beside what the project tells. */
export const labelWishSchema = z.object({
  kind: z.enum(labelKinds),
  /** How many pieces a band goes round: one, a pair, three. */
  together: z.coerce.number().int().min(1).max(3).default(1),
  /** Initials or a name; empty for none. */
  mark: z.string().trim().max(40).default(''),
  /** The name under which the server holds a picture that is the mark; empty for none. */
  picture: z
    .string()
    .regex(/^[0-9a-f]{0,16}$/)
    .default(''),
  /** As it is to stand there, with its currency; empty for none. */
  price: z.string().trim().max(20).default(''),
});
export type LabelWish = z.output<typeof labelWishSchema>;

/** A small picture that is the mark of a maker, as a data URL. */
export const markPictureSchema = z.strictObject({
  picture: z
    .string()
    .max(120_000)
    .regex(/^data:image\/(png|jpeg);base64,[A-Za-z0-9+/]+=*$/),
});

/** Dots across the strip of a label printer: 48 mm of 58 mm paper at 203 dots an inch. */
export const stripDots = 384;
/** Dots down a strip, at most: thirty centimetres. */
export const stripRows = 2400;

/** A strip to print: a bit for each dot, rows from the top, eight dots a byte from the left, in base64. */
export const stripSchema = z.strictObject({
  rows: z.number().int().min(1).max(stripRows),
  bits: z.base64().max(Math.ceil((stripDots / 8) * stripRows * 1.4)),
});
export type Strip = z.output<typeof stripSchema>;

/** What a label printer says of itself, and the strip that came out of it last. */
export const labelPrinterSchema = z.object({
  online: z.boolean(),
  cover: z.enum(['closed', 'open']),
  /** mm of paper that are left on the roll. */
  paper: z.number().min(0),
  strip: stripSchema.optional(),
});
export type LabelPrinterState = z.output<typeof labelPrinterSchema>;

/** What is done to the practice printer by hand. */
export const printerHandSchema = z.strictObject({
  online: z.boolean().optional(),
  cover: z.enum(['closed', 'open']).optional(),
  paper: z.number().min(0).max(20_000).optional(),
});
