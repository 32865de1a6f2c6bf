import { cellsIn, patternBook, techniqueOf, techniques } from '@puntada/core/craft';
import { type Plan, planWish } from '@puntada/core/plan';
import { type Wish, wishSchema } from '@puntada/core/records';
import { type Maker, planDocument } from '@puntada/core/words';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { galleyCloth } from '../../test/sampleWorks.ts';
import { printOptions } from './options.ts';
import { printPlan } from './print.ts';
import { printable } from './sheet.ts';

/** One text of a page: what it says, and where it lies, pt from the lower left corner. */
interface Piece {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly wide: number;
}

interface ReadPage {
  readonly width: number;
  readonly height: number;
  readonly pieces: readonly Piece[];
}

/** A document as another program reads it. */
async function readBack(bytes: Uint8Array): Promise<ReadPage[]> {
  const task = getDocument({ data: Uint8Array.from(bytes), useSystemFonts: false, isEvalSupported: false });
  const pdf = await task.promise;
  const pages: ReadPage[] = [];
  for (let n = 1; n <= pdf.numPages; n++) {
    const page = await pdf.getPage(n);
    const { width, height } = page.getViewport({ scale: 1 });
    const { items } = await page.getTextContent();
    const pieces = items.flatMap((item) =>
      'str' in item && item.str.trim()
        ? [{ text: item.str, x: item.transform[4] as number, y: item.transform[5] as number, wide: item.width }]
        : [],
    );
    pages.push({ width, height, pieces });
  }
  await task.destroy();
  return pages;
}

const margin = (18 * 72) / 25.4;
/** Where the foot of a page stands, below what is told. */
const foot = (16 * 72) / 25.4;

/** What stands on the pages without their feet, and without any room between signs: where a line breaks is not told. */
function running(pages: readonly ReadPage[]): string {
  return pages
    .flatMap(({ pieces }) => pieces.filter(({ y }) => y > foot).map(({ text }) => text))
    .join('')
    .replace(/\s+/g, '');
}

function planned(change: object): Plan | undefined {
  const wish: Wish = wishSchema.parse({
    ...galleyCloth,
    width: { by: 'length', length: '18 cm' },
    height: { by: 'length', length: '16 cm' },
    ...change,
  });
  const plan = planWish(wish);
  return plan.ok ? plan.value : undefined;
}

async function print(plan: Plan, maker: Maker, query: object): Promise<ReadPage[]> {
  const work = { wish: plan.prepared.wish, begun: undefined };
  const pdf = await printPlan({ work, maker, told: plan.prepared.told, options: printOptions.parse(query) });
  if (!pdf.ok) throw new Error(JSON.stringify(pdf.problems));
  return readBack(pdf.value);
}

/** A pattern of each technique that the cloth of the documents can be made in. */
const ofEach = techniques.flatMap(({ key: technique }) => {
  for (const { key } of patternBook.filter((entry) => entry.technique === technique)) {
    for (const item of ['dishcloth', 'mat', 'round mat', 'blanket', 'basket', 'cosy']) {
      const plan = planned({ item, pattern: { key }, yarns: yarnsFor(key) });
      if (plan) return [{ technique, key, plan }];
    }
  }
  return [];
});

function yarnsFor(key: string) {
  const colours = patternBook.find((entry) => entry.key === key)?.colours ?? ['A', 'B'];
  return colours.map((letter) => ({
    letter,
    name: `Yarn ${letter}`,
    shade: '#e9dfc4',
    weight: 4,
    fibre: 'cotton',
    ballMetres: 85,
    ballGrams: 50,
  }));
}

const papers = ['A4', 'LETTER'] as const;
const makers = (['US', 'UK'] as const).flatMap((terms) =>
  (['right', 'left'] as const).flatMap((hand) =>
    (['compact', 'printed'] as const).map((manner) => ({ terms, hand, manner })),
  ),
);
/** In every run each technique is read in two of its sixteen ways, unlike from technique to technique; on demand in all. */
const ways = ofEach.flatMap(({ technique, key, plan }, i) => {
  const all = papers.flatMap((paper) => makers.map((maker) => ({ paper, maker })));
  const some = process.env.PUNTADA_LONG ? all : [all[(3 * i) % 16], all[(3 * i + 9) % 16]];
  return some.flatMap((way) => (way ? [{ technique, key, plan, ...way }] : []));
});

describe('what another program reads on the pages', () => {
  it('is one number of ends on cover, finishing and yarn page: 4 of a mosaic throw with an envelope, 80 closed in', async () => {
    const plan = planned({
      item: 'blanket',
      pattern: { key: 'tide-marks' },
      width: { by: 'stitches', count: 27 },
      height: { by: 'rows', count: 40 },
      edges: 'whole',
      ending: 'any',
      border: { rounds: 2, colour: 'B', envelope: true },
    }) as Plan;
    const read = running(
      await print(plan, { terms: 'US', hand: 'right' }, { parts: 'cover,finish,yarn', paper: 'A4' }),
    );
    const said = [...read.matchAll(/Endstoweavein(\d+)/g)].map(([, count]) => Number(count));
    // Two ends of each of two layers in B; of the rows none is woven in.
    expect(said).toEqual([4, 4, 0, 4]);
    expect(read).toContain('Endstoweavein4;80moreareclosedinbytheborder');
    expect([...read.matchAll(/Endsclosedinbytheborder(\d+)/g)].map(([, count]) => Number(count))).toEqual([40, 40]);
    expect(read).toContain('Fastenoffthelastrowliketheothers.');
  });

  it('is of every technique', () => {
    expect(ofEach.map(({ technique }) => technique)).toEqual(techniques.map(({ key }) => key));
  });

  it.each(ways)(
    '$technique, $key on $paper, $maker.terms $maker.hand $maker.manner: its rows, in order',
    async ({ plan, paper, maker }) => {
      const pages = await print(plan, maker, { parts: 'cover,before,rows,finish,yarn', paper, strands: '1' });
      const read = running(pages);
      expect(read).not.toContain('\ufffd');
      let from = read.indexOf('Rows'.replace(/\s/g, ''));
      for (const { text } of planDocument(plan, maker).rows) {
        const row = printable(text).replace(/\s+/g, '');
        // Every sign of a row is in every face.
        expect(row).not.toContain('?');
        const at = read.indexOf(row, from);
        expect([row, at >= from]).toEqual([row, true]);
        from = at + row.length;
      }
      // Nothing reaches over the margins, and no line lies on another.
      for (const { pieces, width } of pages) {
        for (const { x, wide, text } of pieces) {
          expect([text, x >= margin - 0.5 && x + wide <= width - margin + 0.5]).toEqual([text, true]);
        }
        for (const [i, one] of pieces.entries()) {
          const over = pieces
            .slice(i + 1)
            .find(
              (other) =>
                Math.abs(other.y - one.y) < 4 && other.x < one.x + one.wide - 1 && one.x < other.x + other.wide - 1,
            );
          expect([one.text, over?.text]).toEqual([one.text, undefined]);
        }
      }
    },
  );

  it.each(['right', 'left'] as const)(
    'a chart over several sheets is the chart of a %s hand: put together from its letters',
    async (hand) => {
      const plan = planned({
        pattern: { key: 'block-check' },
        width: { by: 'stitches', count: 84 },
        height: { by: 'rows', count: 100 },
      });
      if (!plan) throw new Error('no plan');
      const { fabric } = plan.piece;
      const pages = await print(plan, { terms: 'US', hand, manner: 'compact' }, { parts: 'chart' });
      expect(pages.length).toBeGreaterThan(2);
      const seen = new Map<string, string>();
      for (const { pieces } of pages) {
        const words = pieces
          .map(({ text }) => text)
          .join(' ')
          .replace(/\s+/g, ' ');
        const [, from, to, low, high] = (/Stitches (\d+) to (\d+), rows (\d+) to (\d+)/i.exec(words) ?? []).map(
          Number,
        ) as number[];
        if (!from || !to || !low || !high) throw new Error(words.slice(0, 200));
        const letters = pieces.filter(({ text }) => /^[AB]$/.test(text)).sort((a, b) => b.y - a.y || a.x - b.x);
        expect(letters).toHaveLength((to - from + 1) * (high - low + 1));
        letters.forEach(({ text }, i) => {
          const row = high - Math.floor(i / (to - from + 1));
          const across = i % (to - from + 1);
          // Row 1 begins at the right of a right hand, at the left of a left one.
          const stitch = hand === 'right' ? to - across : from + across;
          const place = `${row} ${stitch}`;
          expect([place, seen.get(place) ?? text]).toEqual([place, text]);
          seen.set(place, text);
        });
      }
      expect(seen.size).toBe(fabric.stitches * fabric.courses);
      for (let row = 0; row < fabric.courses; row++) {
        for (let cell = 0; cell < cellsIn(fabric, row); cell++) {
          const colour = fabric.colours[(fabric.starts[row] as number) + cell] as number;
          expect(seen.get(`${row + 1} ${cell + 1}`)).toBe(plan.prepared.bound.colours[colour]);
        }
      }
    },
  );

  it('has no gap where a maker types signs that no face has', () => {
    expect(printable('Mañana ½ × 3 → 港 🧶, déjà')).toBe('Mañana ½ × 3 > ? ?, déjà');
    // The letter and its accent as two signs are one.
    expect(printable('n\u0303')).toBe('ñ');
  });

  it('knows a technique for every pattern it prints', () => {
    for (const { plan } of ofEach) expect(techniqueOf(plan.prepared.bound.pattern).ok).toBe(true);
  });
});
