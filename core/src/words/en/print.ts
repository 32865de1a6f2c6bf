import type { ToldUnit } from '../../craft/units/length.ts';
import { figure } from '../../craft/values/decimal.ts';
import type { Figure, PlanDocument } from '../../records/planDocument.ts';
import { countOver, spanWords } from '../figures/figures.ts';
import { type Terms, termed } from '../terms/termed.ts';
import { coursesText } from './counts.ts';
import { upper } from './lists.ts';

/** The parts of a printed plan, in their order on paper. */
export const printParts = [
  'cover',
  'before',
  'rows',
  'large',
  'chart',
  'finish',
  'yarn',
  'log',
  'proof',
  'swatch',
] as const;
export type PrintPart = (typeof printParts)[number];

/** What each part is called where it is chosen, and over its first page. */
export const printPartNames: Readonly<Record<PrintPart, string>> = {
  cover: 'Cover',
  before: 'Before you begin',
  rows: 'Rows',
  large: 'Large print',
  chart: 'Chart',
  finish: 'Finishing',
  yarn: 'Yarn',
  log: 'Log',
  proof: 'Proof sheet',
  swatch: 'Swatch',
};

/** A line with its name before it. */
export type Named = readonly [name: string, text: string];

/** How many stitches or rows in the span that makers count over; of typical ones a range. */
function over({ low, mid, high, source }: Figure, told: ToldUnit): string {
  return countOver(source === 'typical' || mid === undefined ? { low, high } : { low: mid, high: mid }, told);
}

/** So many ends, of all pieces where there are several; those that a border closes in beside them. */
export function endsLine({ toWeave, closedIn }: NonNullable<PlanDocument['ends']>, pieces: number): string {
  const all = pieces > 1 ? `, all ${pieces} pieces` : '';
  const closed = closedIn ? `; ${closedIn} more are closed in by the border` : '';
  return `${toWeave}${all}${closed}`;
}

/** What stands on the cover: sizes, gauge, hook and what is needed. */
export function coverLines(
  { size, gauge, hook, pattern, time, ends }: PlanDocument,
  told: ToldUnit,
  terms: Terms,
): Named[] {
  return [
    ['Pattern', pattern.name],
    // Once is enough to say that both are typical.
    ['Finished size', `${size.height.source === 'typical' ? size.width.short : size.width.text} × ${size.height.text}`],
    ...(size.tube ? [['In rounds', size.tube.text] as const] : []),
    ...(size.pieces > 1 ? [['Pieces', String(size.pieces)] as const] : []),
    ['Stitches and rows', `${size.stitches} ${size.counts}, ${coursesText(size.courses, pattern.made)}`],
    [
      upper(termed('{gauge}', terms)),
      `${over(gauge.stitchWidth, told)} ${size.shape === 'circle' ? 'stitches' : size.counts} and ${over(gauge.rowHeight, told)} ${/rounds$/.test(pattern.made) ? 'rounds' : 'rows'} in ${spanWords(told)}`,
    ],
    ['Hook', `${figure(hook.used ?? hook.usual)} mm`],
    ['Ends to weave in', endsLine(ends, size.pieces)],
    ['Time', time.text],
  ];
}

/** The yarn of each colour, with its balls and how sure they are. */
export function yarnLines({ colours }: PlanDocument): Named[] {
  return colours.map(({ letter, name, metres, grams, balls }) => [
    `${letter}, ${name}`,
    balls ? `${metres.short}, ${grams.short}: ${balls.text}` : `${metres.short}, ${grams.text}`,
  ]);
}

/** How the work is begun. */
export function beginLines({ foundation, pattern }: PlanDocument): Named[] {
  return [
    ...(foundation.chains
      ? [
          [
            'Foundation',
            `Chain ${foundation.chains} in ${foundation.colour}; the first stitch goes into the ${foundation.name}.`,
          ] as const,
        ]
      : [['Foundation', `${foundation.name} in ${foundation.colour}`] as const]),
    ...foundation.advice.map((text) => ['', text] as const),
    ['Works on', pattern.multiple.stitches],
    ...(pattern.alike.stitches === pattern.multiple.stitches
      ? []
      : [['Edges match on', pattern.alike.stitches] as const]),
    ['In chains', pattern.multiple.chains],
    ['Good places to end', pattern.ends],
    ['Watch out', pattern.careful],
  ].filter(([, text]) => text) as Named[];
}

/** Words of the printed pages that stand for themselves. */
export const printWords = {
  withBorder: 'With its border',
  strap: 'Strap',
  schematic: 'Schematic',
  swatchChain: 'Chain',
  swatchSize: 'Size to make',
  swatchHook: 'Hook',
  swatchRows: 'Its rows',
  swatchCount: 'Count it',
  swatchStitches: (span: string) => `Stitches in ${span}`,
  swatchRowsIn: (span: string) => `Rows in ${span}`,
  swatchBefore: 'as worked ________   washed and dried ________',
  swatchWeight: 'Weight',
  swatchGrams: '________ g, dry, with its tails',
  swatchHow:
    'Count in the middle, away from the edges, in three places. Wash and dry it as the piece will be, then count again.',
  materials: 'Yarn to have ready',
  cautions: 'Take care',
  abbreviations: 'Abbreviations used',
  how: 'How it is made',
  begin: 'How it begins',
  change: 'Colour change',
  idle: 'Idle yarn',
  checked: 'Checked by',
  date: 'Date',
  key: 'Key',
  page: (n: number, of: number) => `${n} of ${of}`,
  chartPage: (from: number, to: number, low: number, high: number) =>
    `Stitches ${from} to ${to}, rows ${low} to ${high}`,
  chartAlt: (name: string, wide: number, high: number) => `Chart of ${name}: ${wide} stitches by ${high} rows.`,
  clothAlt: (name: string) => `The cloth of ${name} in its colours.`,
  measures: (wide: string, high: string) => `Its measures: ${wide} wide, ${high} high.`,
  nothingLogged: 'Nothing has been noted, weighed or measured yet.',
  made: 'Made with Puntada',
  yarn: 'In all',
  ends: 'Ends to weave in',
  closedIn: 'Ends closed in by the border',
  stitches: 'Stitches',
} as const;
