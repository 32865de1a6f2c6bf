import { createRequire } from 'node:module';
import { printWords } from '@puntada/core/words';
import { type Font, openSync } from 'fontkit';
import PDFDocument from 'pdfkit';
import type { PrintOptions } from './options.ts';

const require = createRequire(import.meta.url);

/** The static faces of the three families; a variable font is not embedded whole by every reader. */
const faces = {
  text: '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  bold: '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
  mono: '@expo-google-fonts/atkinson-hyperlegible-mono/500Medium/AtkinsonHyperlegibleMono_500Medium.ttf',
  display: '@expo-google-fonts/bricolage-grotesque/700Bold/BricolageGrotesque_700Bold.ttf',
} as const;
export type Face = keyof typeof faces;

/** Signs that the faces have not, and what stands for them. A missing sign would swallow what follows it. */
const instead: Readonly<Record<string, string>> = {
  '←': '<',
  '→': '>',
  '≈': 'about ',
  '△': '!',
  '✓': '+',
  '✕': 'x',
  '−': '-',
  '≤': '<=',
  '≥': '>=',
  '\u202f': ' ',
  '\u00a0': ' ',
};

const opened = Object.values(faces).map((path) => openSync(require.resolve(path)) as Font);

/** Whether every face has a sign; asked once for each. */
const known = new Map<string, boolean>();
function isInEveryFace(sign: string): boolean {
  const answer = known.get(sign) ?? opened.every((face) => face.hasGlyphForCodePoint(sign.codePointAt(0) as number));
  known.set(sign, answer);
  return answer;
}

/** Text in signs that are in every face; what a maker typed in others stands as a question mark, never as a gap. */
export function printable(text: string): string {
  return [...text.normalize('NFC')]
    .map((sign) => instead[sign] ?? (sign < ' ' || isInEveryFace(sign) ? sign : '?'))
    .join('');
}

/** pt of a mm */
export const mm = 72 / 25.4;
export const ink = '#1d1420';
export const soft = '#5c5260';
const rule = '#b9bfba';

/**
 * A document that is written page by page, with its structure for those who have it read aloud: every text is a paragraph,
 * a heading, an item of a list or a figure, and what stands on every page is none of them.
 */
export class Sheet {
  readonly doc: PDFKit.PDFDocument;
  private readonly root: PDFKit.PDFStructureElement;
  private readonly chunks: Buffer[] = [];
  private readonly ended: Promise<Buffer>;
  private readonly title: string;

  constructor(title: string, { paper, way }: Pick<PrintOptions, 'paper' | 'way'>) {
    this.title = printable(title);
    this.doc = new PDFDocument({
      size: paper,
      layout: way,
      margins: { top: 18 * mm, bottom: 18 * mm, left: 18 * mm, right: 18 * mm },
      bufferPages: true,
      autoFirstPage: false,
      pdfVersion: '1.7',
      subset: 'PDF/UA',
      tagged: true,
      displayTitle: true,
      lang: 'en',
      info: { Title: this.title, Creator: 'Puntada' },
      // The types do not know this subset yet.
    } as object);
    for (const [name, path] of Object.entries(faces)) this.doc.registerFont(name, require.resolve(path));
    this.doc.font('text');
    this.root = this.doc.struct('Document');
    this.doc.addStructure(this.root);
    this.doc.on('data', (chunk: Buffer) => this.chunks.push(chunk));
    this.ended = new Promise((done) => this.doc.on('end', () => done(Buffer.concat(this.chunks))));
  }

  /** The room between the margins, pt. */
  get width(): number {
    const { page } = this.doc;
    return page.width - page.margins.left - page.margins.right;
  }

  get height(): number {
    const { page } = this.doc;
    return page.height - page.margins.top - page.margins.bottom;
  }

  get left(): number {
    return this.doc.page.margins.left;
  }

  get top(): number {
    return this.doc.page.margins.top;
  }

  page(): void {
    this.doc.addPage();
  }

  /** Begins a new page unless so much room is left, pt. */
  room(height: number): void {
    if (this.doc.y + height > this.top + this.height) this.page();
  }

  private add(kind: string, draw: () => void, options: { alt?: string } = {}): void {
    const element = this.doc.struct(kind, options, draw);
    this.root.add(element);
    element.end();
  }

  heading(level: 1 | 2 | 3, text: string): void {
    const size = { 1: 26, 2: 16, 3: 12 }[level];
    this.room(size * 3);
    this.add(`H${level}`, () => {
      this.doc
        .font(level === 3 ? 'bold' : 'display')
        .fontSize(size)
        .fillColor(ink)
        .text(printable(text), this.left, this.doc.y, { width: this.width });
    });
    this.doc.moveDown(level === 1 ? 0.3 : 0.2);
  }

  paragraph(text: string, { size = 11, face = 'text' as Face, colour = ink, indent = 0, after = 0.35 } = {}): void {
    this.add('P', () => {
      this.doc
        .font(face)
        .fontSize(size)
        .fillColor(colour)
        .text(printable(text), this.left + indent, this.doc.y, { width: this.width - indent, lineGap: size * 0.18 });
    });
    this.doc.moveDown(after);
  }

  /** A name at the left, and what it is behind it. */
  named(name: string, text: string, column = 42 * mm): void {
    const { doc } = this;
    doc.font('text').fontSize(11);
    const words = doc.heightOfString(printable(text), { width: this.width - column, lineGap: 2 });
    doc.font('bold').fontSize(10);
    const tall = Math.max(words, name ? doc.heightOfString(printable(name), { width: column - 6 }) : 0);
    this.room(tall + 6);
    const y = doc.y;
    this.add('P', () => {
      if (name) {
        doc
          .font('bold')
          .fontSize(10)
          .fillColor(soft)
          .text(printable(name), this.left, y + 0.5, { width: column - 6 });
      }
      doc
        .font('text')
        .fontSize(11)
        .fillColor(ink)
        .text(printable(text), this.left + column, y, { width: this.width - column, lineGap: 2 });
    });
    const end = Math.max(y + tall, doc.y) + 3;
    doc.y = end;
    this.line(end);
    doc.y = end + 3;
  }

  /** A fine line across, which is not read. */
  line(y: number): void {
    const { doc } = this;
    doc.markContent('Artifact', { type: 'Layout' });
    doc
      .moveTo(this.left, y)
      .lineTo(this.left + this.width, y)
      .lineWidth(0.4)
      .strokeColor(rule)
      .stroke();
    doc.endMarkedContent();
  }

  /** A drawing, with what it shows in words. */
  figure(alt: string, draw: () => void): void {
    this.add(
      'Figure',
      () => {
        this.doc.save();
        draw();
        this.doc.restore();
      },
      { alt: printable(alt) },
    );
  }

  /** Sets the foot of every page, and ends. @returns the whole document */
  async end(): Promise<Buffer> {
    const { doc } = this;
    const { start, count } = doc.bufferedPageRange();
    for (let i = 0; i < count; i++) {
      doc.switchToPage(start + i);
      const { page } = doc;
      const y = page.height - 12 * mm;
      const below = page.margins.bottom;
      page.margins.bottom = 0;
      doc.markContent('Artifact', { type: 'Pagination' });
      doc.font('text').fontSize(9).fillColor(soft);
      doc.text(`${this.title} · ${printWords.made}`, this.left, y, {
        width: this.width * 0.75,
        lineBreak: false,
        ellipsis: true,
      });
      doc.text(printWords.page(i + 1, count), this.left, y, { width: this.width, align: 'right', lineBreak: false });
      doc.endMarkedContent();
      page.margins.bottom = below;
    }
    this.root.end();
    doc.end();
    return this.ended;
  }
}
