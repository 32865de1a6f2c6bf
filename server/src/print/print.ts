import { good, type Problem, type Result, type ToldUnit } from '@puntada/core/craft';
import { type MadeWork, type Plan, planWork, thaw } from '@puntada/core/plan';
import type { LogEntry, PlanDocument } from '@puntada/core/records';
import {
  beginLines,
  coverLines,
  datesOf,
  endsLine,
  logLines,
  type Maker,
  type PrintPart,
  passedChecks,
  placeName,
  planDocument,
  printPartNames,
  printWords,
  problemWords,
  sizeText,
  spanWords,
  yarnLines,
} from '@puntada/core/words';
import { planSwatch, sequenceOfWork, swatchOf } from '@puntada/core/work';
import { type ChartInks, chartPages, smallCircle, smallCloth } from './chart.ts';
import type { PrintOptions } from './options.ts';
import { schematic } from './schematic.ts';
import { ink, mm, printable, Sheet, soft } from './sheet.ts';

/** What is printed: a work as it is made, and how its maker reads. */
export interface Printed {
  readonly work: MadeWork;
  readonly maker: Maker;
  /** How lengths are told. */
  readonly told: ToldUnit;
  readonly options: PrintOptions;
  /** What was logged, where that is printed. */
  readonly entries?: readonly LogEntry[] | undefined;
  /** Where the maker lives, for the order of days: `GB`. */
  readonly region?: string | undefined;
}

interface Context {
  readonly sheet: Sheet;
  readonly work: MadeWork;
  readonly plan: Plan;
  readonly document: PlanDocument;
  readonly inks: ChartInks;
  readonly proportion: number;
  readonly options: PrintOptions;
  readonly maker: Maker;
  readonly entries: readonly LogEntry[];
  readonly region: string | undefined;
}

/** pt beside and below a drawing for its measures. */
const measureRoom = { beside: 130, below: 26 };

/** A line as long as a side with a stroke at each end, and what it measures. */
function measures(sheet: Sheet, drawn: { wide: number; tall: number }, y: number, { size }: PlanDocument): void {
  const { doc, left } = sheet;
  const across = size.tube?.text ?? size.width.text;
  sheet.figure(printWords.measures(across, size.height.text), () => {
    const [below, beside] = [y + drawn.tall + 8, left + drawn.wide + 8];
    doc.moveTo(left, below).lineTo(left + drawn.wide, below);
    for (const x of [left, left + drawn.wide]) doc.moveTo(x, below - 3).lineTo(x, below + 3);
    doc.moveTo(beside, y).lineTo(beside, y + drawn.tall);
    for (const at of [y, y + drawn.tall]) doc.moveTo(beside - 3, at).lineTo(beside + 3, at);
    doc.lineWidth(0.75).strokeColor(ink).stroke();
    doc.font('text').fontSize(10).fillColor(ink);
    const wide = Math.max(drawn.wide, 180);
    doc.text(printable(across), left, below + 5, { width: wide, align: wide > drawn.wide ? 'left' : 'center' });
    const width = measureRoom.beside - 22;
    const high = doc.heightOfString(printable(size.height.text), { width });
    doc.text(printable(size.height.text), beside + 7, y + (drawn.tall - high) / 2, { width });
  });
}

function cover({ sheet, plan, document, inks, proportion, maker }: Context): void {
  sheet.page();
  sheet.heading(1, plan.prepared.wish.title);
  const alt = printWords.clothAlt(plan.prepared.wish.title);
  sheet.doc.y += 6;
  const y = sheet.doc.y;
  const room = { wide: sheet.width - measureRoom.beside, tall: sheet.height * 0.36 };
  const { fabric } = plan.piece;
  const drawn =
    document.size.shape === 'circle'
      ? smallCircle(sheet, fabric, inks, Math.min(room.wide, room.tall), alt, maker.hand)
      : smallCloth(sheet, fabric, proportion, inks, room.wide, room.tall, alt, maker.hand);
  measures(sheet, drawn, y, document);
  sheet.doc.y = y + drawn.tall + measureRoom.below + 12;
  sheet.line(sheet.doc.y - 6);
  for (const [name, text] of coverLines(document, plan.prepared.told, maker.terms)) sheet.named(name, text);
  sheet.doc.moveDown(0.4);
  sheet.heading(2, printWords.materials);
  for (const [name, text] of yarnLines(document)) sheet.named(name, text);
  schematic(sheet, plan);
  if (document.cautions.length) {
    sheet.doc.moveDown(0.4);
    sheet.heading(2, printWords.cautions);
    for (const { text } of document.cautions) sheet.paragraph(text);
  }
}

function before({ sheet, document }: Context): void {
  sheet.page();
  sheet.heading(2, printPartNames.before);
  for (const [name, text] of beginLines(document)) sheet.named(name, text);
  for (const text of document.placed) sheet.named('', text);
  sheet.named(printWords.change, document.technique.change);
  sheet.named(printWords.idle, document.technique.idle);
  sheet.doc.moveDown(0.6);
  sheet.heading(2, printWords.abbreviations);
  for (const { abbreviation, words, made } of document.legend) {
    sheet.named(abbreviation, made ? `${words}. ${made}` : words);
  }
}

/** A box to tick, which is not read. */
function box(sheet: Sheet, y: number, size: number): void {
  const { doc } = sheet;
  doc.markContent('Artifact', { type: 'Layout' });
  doc.rect(sheet.left, y, size, size).lineWidth(0.75).strokeColor(ink).stroke();
  doc.endMarkedContent();
}

function rows({ sheet, document, options }: Context): void {
  sheet.page();
  sheet.heading(2, printPartNames.rows);
  const indent = options.boxes ? 6 * mm : 0;
  const lines = options.grouped ? document.grouped.map((text) => ({ text, strands: [] })) : document.rows;
  for (const { text, strands } of lines) {
    sheet.doc.font('text').fontSize(11);
    sheet.room(sheet.doc.heightOfString(text, { width: sheet.width - indent }) + 8);
    if (options.boxes) box(sheet, sheet.doc.y + 1.5, 9);
    sheet.paragraph(text, { indent, after: 0.25 });
    if (!options.strands) continue;
    for (const strand of strands)
      sheet.paragraph(strand, { indent: indent + 4 * mm, size: 9.5, colour: soft, after: 0.15 });
  }
}

/** One row a block, for the arm of a chair. */
function large({ sheet, document, options }: Context): void {
  sheet.page();
  sheet.heading(2, printPartNames.large);
  for (const { text } of document.rows) {
    sheet.doc.font('text').fontSize(options.point);
    const tall = sheet.doc.heightOfString(text, { width: sheet.width - 10 * mm, lineGap: options.point * 0.18 });
    sheet.room(tall + options.point);
    box(sheet, sheet.doc.y + 4, options.point * 0.7);
    sheet.paragraph(text, { size: options.point, indent: 10 * mm, after: 0.2 });
    sheet.line(sheet.doc.y);
    sheet.doc.y += options.point * 0.4;
  }
}

function chart({ sheet, plan, inks, proportion, options, maker }: Context): void {
  chartPages(sheet, plan.piece.fabric, proportion, inks, options, plan.prepared.wish.title, maker.hand);
}

function finish({ sheet, document }: Context): void {
  sheet.page();
  sheet.heading(2, printPartNames.finish);
  for (const { name, colour, times, steps } of document.finish) {
    sheet.heading(3, `${name}${colour ? `, ${colour}` : ''}${times > 1 ? ` × ${times}` : ''}`);
    for (const step of steps) sheet.paragraph(step);
  }
  sheet.paragraph(document.ending);
  sheet.named(printWords.ends, endsLine(document.ends, document.size.pieces));
  for (const text of document.endPlaces.length ? [document.strands.untwist] : []) if (text) sheet.paragraph(text);
}

function yarn({ sheet, document }: Context): void {
  sheet.page();
  sheet.heading(2, printPartNames.yarn);
  for (const { letter, name, metres, grams, balls, parts, ends, closedIn, stitches } of document.colours) {
    sheet.heading(3, `${letter}, ${name}`);
    sheet.named(printWords.yarn, `${metres.text}, ${grams.text}${balls ? `: ${balls.text}` : ''}`);
    for (const [part, figure] of Object.entries(parts)) sheet.named(part, figure.text);
    sheet.named(printWords.stitches, String(stitches));
    sheet.named(printWords.ends, String(ends - closedIn));
    if (closedIn) sheet.named(printWords.closedIn, String(closedIn));
  }
}

/** What really happened: notes, balls on the scale, measures, and how it came out. */
function log({ sheet, plan, work, entries, region }: Context): void {
  sheet.page();
  sheet.heading(2, printPartNames.log);
  const { prepared, piece } = plan;
  const begun = work.begun ? thaw(work.begun) : undefined;
  const { bound, foundation } = prepared;
  const sequence = sequenceOfWork(prepared, begun?.ok ? begun.value : { ...piece, bound, foundation });
  const placeOf = (units: number) => placeName(sequence, units, prepared.wish.item);
  const lines = logLines(entries, datesOf(region), placeOf);
  if (!lines.length) sheet.paragraph(printWords.nothingLogged);
  for (const [name, text] of lines) sheet.named(name, text);
}

function proof({ sheet, plan, maker }: Context): void {
  sheet.page();
  sheet.heading(2, printPartNames.proof);
  for (const { what, over, passed } of passedChecks(plan, maker))
    sheet.named(over, `${passed ? '+' : 'x'} ${what}`, 60 * mm);
  sheet.doc.moveDown(2);
  for (const word of [printWords.checked, printWords.date]) {
    sheet.paragraph(word, { colour: soft });
    sheet.doc.moveDown(0.8);
    sheet.line(sheet.doc.y);
    sheet.doc.moveDown(0.8);
  }
}

/** A swatch in the same pattern, yarns and hook, with room for what is counted on it. */
function swatch({ sheet, plan, maker }: Context): void {
  const { wish, told } = plan.prepared;
  sheet.page();
  sheet.heading(2, printPartNames.swatch);
  const small = planSwatch(swatchOf(wish));
  if (!small.ok) {
    for (const problem of small.problems) sheet.paragraph(problemWords(problem).message);
    return;
  }
  const { width, height } = small.value;
  const document = planDocument(small.value, maker);
  sheet.named(printWords.swatchChain, String(width.chains));
  sheet.named(printWords.swatchSize, sizeText(width.width, height.height, wish.units));
  sheet.named(printWords.swatchHook, `${document.hook.used ?? document.hook.usual} mm`);
  for (const [name, text] of yarnLines(document)) sheet.named(name, text);
  sheet.doc.moveDown(0.4);
  sheet.heading(3, printWords.swatchRows);
  for (const line of document.grouped) sheet.paragraph(line, { after: 0.25 });
  sheet.doc.moveDown(0.6);
  sheet.heading(3, printWords.swatchCount);
  sheet.paragraph(printWords.swatchHow);
  sheet.doc.moveDown(0.6);
  const span = spanWords(told);
  for (const name of [printWords.swatchStitches(span), printWords.swatchRowsIn(span)]) {
    sheet.named(name, printWords.swatchBefore);
    sheet.doc.moveDown(0.8);
  }
  sheet.named(printWords.swatchWeight, printWords.swatchGrams);
}

const parts: Readonly<Record<PrintPart, (context: Context) => void>> = {
  cover,
  before,
  rows,
  large,
  chart,
  finish,
  yarn,
  log,
  proof,
  swatch,
};

/** A plan as a PDF with its structure. @returns its bytes, or why it cannot be planned */
export async function printPlan({
  work,
  maker,
  told,
  options,
  entries = [],
  region,
}: Printed): Promise<Result<Uint8Array>> {
  const planned = planWork(work, told);
  if (!planned.ok) return { ok: false, problems: planned.problems as readonly Problem[] };
  const plan = planned.value;
  const { bound, yarns, gauge } = plan.prepared;
  const sheet = new Sheet(plan.prepared.wish.title, options);
  const context: Context = {
    sheet,
    work,
    plan,
    document: planDocument(plan, maker),
    inks: {
      shades: yarns.map((each) => each.shade),
      letters: bound.colours,
      names: yarns.map((each) => each.name),
    },
    proportion: gauge.stitchWidth.mid / gauge.rowHeight.mid,
    options,
    maker,
    entries,
    region,
  };
  for (const part of options.parts) parts[part](context);
  return good(await sheet.end());
}
