import { good, type Problem, type Result, type ToldUnit } from '@puntada/core/craft';
import { type MadeWork, planWork } from '@puntada/core/plan';
import { labelWishSchema } from '@puntada/core/records';
import { type Label, type LabelLine, labelNames, labelOf } from '@puntada/core/words';
import { z } from 'zod';
import { type Face, ink, mm, printable, Sheet, soft } from '../print/sheet.ts';

/** What is on the sheets: which label, how many of it, and on which paper. */
export const labelSheet = labelWishSchema.extend({
  count: z.coerce.number().int().min(1).max(200).default(8),
  paper: z.enum(['A4', 'LETTER']).default('A4'),
});
export type LabelSheet = z.output<typeof labelSheet>;

export interface PrintedLabels {
  readonly work: MadeWork;
  readonly told: ToldUnit;
  readonly sheet: LabelSheet;
  /** The picture that is the mark, PNG or JPEG. */
  readonly picture?: Uint8Array | undefined;
}

/** Between labels, so that each is cut on its own, mm. */
const gap = 6;
/** What two parts of a band that is longer than the paper are glued by, mm. */
const glue = 12;

const looks: Readonly<Record<Exclude<LabelLine['look'], 'picture'>, { face: Face; size: number; after: number }>> = {
  mark: { face: 'display', size: 13, after: 5 },
  title: { face: 'bold', size: 10.5, after: 3 },
  text: { face: 'text', size: 9, after: 2.5 },
  price: { face: 'display', size: 14, after: 3 },
};

/** A label, or a part of one that is longer than the paper is wide; what is said stands on the first. */
interface Cut {
  readonly width: number;
  readonly height: number;
  readonly lines: readonly LabelLine[];
  readonly glued: boolean;
}

/** @param most mm that are to be had across */
export function cutsOf({ width, height, lines }: Label, most: number): Cut[] {
  if (width <= most) return [{ width, height, lines, glued: false }];
  const parts = Math.ceil((width - glue) / (most - glue));
  const each = (width - glue) / parts + glue;
  return Array.from({ length: parts }, (_, i) => ({
    width: each,
    height,
    lines: i === 0 ? lines : [],
    glued: i < parts - 1,
  }));
}

/** Short strokes outside each corner, where the knife is laid. */
function marks(sheet: Sheet, x: number, y: number, wide: number, tall: number): void {
  const { doc } = sheet;
  const [near, far] = [1 * mm, 2.6 * mm];
  for (const [cornerX, outX] of [
    [x, -1],
    [x + wide, 1],
  ] as const) {
    for (const [cornerY, outY] of [
      [y, -1],
      [y + tall, 1],
    ] as const) {
      doc.moveTo(cornerX + outX * near, cornerY).lineTo(cornerX + outX * far, cornerY);
      doc.moveTo(cornerX, cornerY + outY * near).lineTo(cornerX, cornerY + outY * far);
    }
  }
  doc.lineWidth(0.4).strokeColor(soft).stroke();
}

/** A picture that is a mark is so high, mm. */
const pictureTall = 12;

/** The lines of a label in its middle, each made smaller until it fits across. */
function write(
  sheet: Sheet,
  { width, height, lines: all, glued }: Cut,
  x: number,
  y: number,
  picture: Buffer | undefined,
): void {
  const { doc } = sheet;
  const lines = all.filter((line): line is LabelLine & { look: keyof typeof looks } => line.look !== 'picture');
  const own = lines.length < all.length && picture ? picture : undefined;
  const first = own ? (pictureTall + 2) * mm : 0;
  const inner = (width - (glued ? glue : 0) - 6) * mm;
  // A band is read at its front, which is its middle, however long it is.
  const column = Math.min(inner, 90 * mm);
  const set = lines.map(({ text, look }) => {
    const { face, size, after } = looks[look];
    const words = printable(text);
    let fits = size;
    const tall = () => doc.font(face).fontSize(fits).heightOfString(words, { width: column, align: 'center' });
    while (fits > 6 && tall() > 3.2 * fits * 1.2) fits -= 0.5;
    return { words, face, size: fits, tall: tall(), after };
  });
  const tallest = set.reduce((sum, line) => sum + line.tall + line.after, first);
  const scale = Math.min(1, (height * mm - 4 * mm) / tallest);
  let at = y + (height * mm - tallest * scale) / 2;
  if (own) {
    const fit: [number, number] = [column, pictureTall * mm * scale];
    doc.image(own, x + 3 * mm + (inner - column) / 2, at, { fit, align: 'center', valign: 'center' });
    at += first * scale;
  }
  for (const { words, face, size, tall, after } of set) {
    doc
      .font(face)
      .fontSize(size * scale)
      .fillColor(ink);
    doc.text(words, x + 3 * mm + (inner - column) / 2, at, { width: column, align: 'center' });
    at += (tall + after) * scale;
  }
  if (!glued) return;
  const edge = x + (width - glue) * mm;
  doc
    .moveTo(edge, y)
    .lineTo(edge, y + height * mm)
    .dash(2, { space: 2 });
  doc.lineWidth(0.4).strokeColor(soft).stroke().undash();
}

/** As many labels as are asked for, side by side on sheets with marks to cut along. @returns a PDF, or why there is none */
export async function printLabels({ work, told, sheet: wish, picture }: PrintedLabels): Promise<Result<Uint8Array>> {
  const planned = planWork(work, told);
  if (!planned.ok) return { ok: false, problems: planned.problems as readonly Problem[] };
  const label = labelOf(planned.value, wish);
  const sheet = new Sheet(`${planned.value.prepared.wish.title}: ${labelNames[wish.kind]}`, {
    paper: wish.paper,
    way: label.width > 160 ? 'landscape' : 'portrait',
  });
  sheet.page();
  const cuts = cutsOf(label, sheet.width / mm);
  let [x, y, row] = [sheet.left, sheet.top, 0];
  for (let i = 0; i < wish.count; i++) {
    for (const cut of cuts) {
      const [wide, tall] = [cut.width * mm, cut.height * mm];
      if (x > sheet.left && x + wide > sheet.left + sheet.width + 0.5) [x, y, row] = [sheet.left, y + row, 0];
      if (y > sheet.top && y + tall > sheet.top + sheet.height + 0.5) {
        sheet.page();
        [x, y, row] = [sheet.left, sheet.top, 0];
      }
      const [left, top] = [x, y];
      sheet.figure(cut.lines.map(({ text }) => text).join('. ') || labelNames[wish.kind], () => {
        marks(sheet, left, top, wide, tall);
        write(sheet, cut, left, top, picture && Buffer.from(picture));
      });
      x += wide + gap * mm;
      row = Math.max(row, tall + gap * mm);
    }
  }
  return good(await sheet.end());
}
