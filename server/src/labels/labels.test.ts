import { stripDots } from '@puntada/core/records';
import type { Label } from '@puntada/core/words';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { type Listening, listen } from '../../test/listening.ts';
import { begunCloth, galleyCloth } from '../../test/sampleWorks.ts';
import { cutsOf } from './labels.ts';

let server: Listening;
beforeAll(async () => {
  server = await listen();
}, 60_000);
afterAll(() => server.close());

async function sheets(id: string, query: string) {
  const response = await fetch(`http://127.0.0.1:${server.port}/api/works/${id}/labels.pdf?${query}`);
  const pdf = await getDocument({ data: new Uint8Array(await response.arrayBuffer()), isEvalSupported: false }).promise;
  const pages: { width: number; texts: { text: string; x: number; y: number; wide: number }[] }[] = [];
  for (let n = 1; n <= pdf.numPages; n++) {
    const page = await pdf.getPage(n);
    const { items } = await page.getTextContent();
    pages.push({
      width: page.getViewport({ scale: 1 }).width,
      texts: items.flatMap((item) =>
        'str' in item && item.str.trim()
          ? [{ text: item.str, x: item.transform[4] as number, y: item.transform[5] as number, wide: item.width }]
          : [],
      ),
    });
  }
  return { type: response.headers.get('content-type'), pages };
}

describe('labels on sheets', () => {
  it('bear the picture that is a maker’s mark, once the server holds it; what is none is refused', async () => {
    const id = await begunCloth(server);
    // One dot, as a PNG.
    const png =
      'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
    const held = await server.ask('PUT', '/mark', { picture: png });
    expect([held.status, held.body.name]).toEqual([200, expect.stringMatching(/^[0-9a-f]{16}$/)]);
    const raw = async (query: string) => {
      const response = await fetch(`http://127.0.0.1:${server.port}/api/works/${id}/labels.pdf?${query}`);
      return { status: response.status, text: Buffer.from(await response.arrayBuffer()).toString('latin1') };
    };
    expect((await raw('kind=tag&count=1')).text).not.toContain('/Subtype /Image');
    expect((await raw(`kind=tag&count=1&picture=${held.body.name}`)).text).toContain('/Subtype /Image');
    const gone = await raw('kind=tag&count=1&picture=0123456789abcdef');
    expect([gone.status, gone.text.includes('mark-gone')]).toEqual([404, true]);
    const text = `data:image/png;base64,${Buffer.from('no picture').toString('base64')}`;
    expect((await server.ask('PUT', '/mark', { picture: text })).status).toBe(422);
    expect((await server.ask('PUT', '/mark', { picture: 'boat' })).status).toBe(422);
  });

  it('as many as are asked for, over as many sheets as they take, none over the edge', async () => {
    const id = await begunCloth(server);
    const { type, pages } = await sheets(id, 'kind=tag&count=20&mark=M.%20Q.&price=9.50%20%E2%82%AC&paper=LETTER');
    expect(type).toBe('application/pdf');
    // Three tags of 52 mm stand side by side on 180 mm, two of 80 mm above one another on 243 mm: six a sheet.
    expect(pages).toHaveLength(4);
    const titles = pages.map(({ texts }) => texts.filter(({ text, y }) => text === galleyCloth.title && y > 60).length);
    expect(titles).toEqual([6, 6, 6, 2]);
    for (const { texts, width } of pages) {
      for (const { x, wide, text } of texts) expect([text, x > 40 && x + wide < width - 40]).toEqual([text, true]);
    }
    expect(pages[0]?.texts.filter(({ text }) => text === '9.50 €')).toHaveLength(6);
  });

  it('the longest names are made smaller until they fit', async () => {
    const id = await begunCloth(server, 0, { title: 'W'.repeat(80) });
    const { pages } = await sheets(id, `kind=price&count=1&price=${'9'.repeat(20)}&mark=${'M'.repeat(40)}`);
    const words = pages[0]?.texts.filter(({ y }) => y > 60) ?? [];
    expect(words.map(({ text }) => text).join('')).toContain('W'.repeat(8));
    // 18 mm of margin and 45 mm of label.
    for (const { x, wide } of words) expect(x + wide).toBeLessThanOrEqual(((18 + 45) * 72) / 25.4 + 0.5);
  });

  it('a band longer than the paper is cut into parts with an edge to glue, as long together as it is', () => {
    const label: Label = { kind: 'band', width: 700, height: 45, lines: [{ text: 'Blanket', look: 'title' }] };
    const cuts = cutsOf(label, 261);
    expect(cuts.length).toBe(3);
    expect(cuts.reduce((sum, { width }) => sum + width, 0) - 2 * 12).toBeCloseTo(700, 6);
    expect(cuts.every(({ width }) => width <= 261)).toBe(true);
    expect(cuts.map(({ glued }) => glued)).toEqual([true, true, false]);
    expect(cuts.map(({ lines }) => lines.length)).toEqual([1, 0, 0]);
  });

  it('says what it cannot print', async () => {
    const id = await begunCloth(server);
    const { status, body } = await server.ask('GET', `/works/${id}/labels.pdf?kind=song`);
    expect([status, body.problems[0].path]).toEqual([422, 'kind']);
  });
});

describe('the practice label printer', () => {
  const strip = (rows: number) => ({ rows, bits: Buffer.alloc((stripDots / 8) * rows, 0xaa).toString('base64') });
  const hand = (how: object) => server.ask('POST', '/label-printer/hand', how);
  const fault = async (rows: number) => {
    const { status, body } = await server.ask('POST', '/label-printer/print', strip(rows));
    return status === 200 ? body.strip.rows : [status, body.problems[0].code];
  };

  it('prints a strip, cuts it off, and uses up its roll', async () => {
    await hand({ paper: 100 });
    // 203 rows are an inch, and 12 mm are fed before the knife.
    expect(await fault(203)).toBe(203);
    expect((await server.ask('GET', '/label-printer')).body.paper).toBeCloseTo(100 - 25.4 - 12, 6);
  });

  it('says why it does not, prints nothing then, and goes on when it is mended', async () => {
    await hand({ paper: 30 });
    expect(await fault(203)).toEqual([503, 'printer-no-paper']);
    await hand({ paper: 500, cover: 'open' });
    expect(await fault(203)).toEqual([503, 'printer-open']);
    await hand({ cover: 'closed', online: false });
    expect(await fault(203)).toEqual([503, 'printer-offline']);
    expect((await server.ask('GET', '/label-printer')).body.paper).toBe(500);
    await hand({ online: true });
    expect(await fault(100)).toBe(100);
  });

  it('takes no strip that is cut short, too long, or of something else', async () => {
    const cut = { rows: 10, bits: Buffer.alloc(5).toString('base64') };
    const short = await server.ask('POST', '/label-printer/print', cut);
    expect([short.status, short.body.problems[0].code]).toEqual([422, 'strip-cut-short']);
    for (const bad of [{ rows: 0, bits: '' }, { rows: 99_999, bits: 'AA==' }, { rows: 3, bits: 'no bits' }, {}]) {
      expect((await server.ask('POST', '/label-printer/print', bad)).status).toBe(422);
    }
  });
});
