import { randomUUID } from 'node:crypto';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { type Listening, listen } from '../../test/listening.ts';
import { at, begunCloth, galleyCloth } from '../../test/sampleWorks.ts';

let server: Listening;
beforeAll(async () => {
  server = await listen();
}, 60000);
afterAll(() => server.close());

async function printed(id: string, query = '', language = 'en-GB') {
  const response = await fetch(`http://127.0.0.1:${server.port}/api/works/${id}/print.pdf${query}`, {
    headers: { 'accept-language': language },
  });
  const bytes = new Uint8Array(await response.arrayBuffer());
  return { status: response.status, type: response.headers.get('content-type'), bytes };
}

/** The text of each page, read back from the file. */
async function pagesOf(bytes: Uint8Array): Promise<string[]> {
  const task = getDocument({ data: bytes.slice(), useSystemFonts: false, isEvalSupported: false });
  const pdf = await task.promise;
  const pages: string[] = [];
  for (let n = 1; n <= pdf.numPages; n++) {
    const { items } = await (await pdf.getPage(n)).getTextContent();
    pages.push(
      items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' '),
    );
  }
  await task.destroy();
  return pages;
}

describe('a project on paper', () => {
  it('holds cover, beginning, every row, chart, finishing and yarn, read back from the file', async () => {
    const id = await begunCloth(server);
    const { status, type, bytes } = await printed(id);
    expect([status, type]).toEqual([200, 'application/pdf']);
    const pages = await pagesOf(bytes);
    const all = pages.join(' ');
    expect(pages[0]).toContain(galleyCloth.title);
    // Its measures stand at its sides, and again among what it is.
    expect(pages[0]?.match(/24\.4 cm/g)).toHaveLength(2);
    expect(all).toContain('Chain 37');
    // Every row, in words: 44 of them, each with its 36 stitches.
    for (const row of [1, 2, 22, 44]) expect(all).toContain(`Row ${row} (`);
    expect(all).toContain('(4 sc A, 4 sc B) × 4, 4 sc A');
    expect(all).toContain('Abbreviations used');
    expect(all).toContain('Stitches 1 to 36');
    expect(pages.at(-1)).toContain(`${pages.length} of ${pages.length}`);
  });

  it('says what it is for those who have it read aloud: language, title, structure, figures in words', async () => {
    const { bytes } = await printed(await begunCloth(server), '?parts=cover,chart');
    const raw = Buffer.from(bytes).toString('latin1');
    expect(raw).toMatch(/\/Lang \(en\)/);
    expect(raw).toContain('/DisplayDocTitle true');
    expect(raw).toContain('/MarkInfo');
    expect(raw).toContain('/S /Figure');
    expect(raw).toContain('/S /H1');
    expect(raw).toMatch(/\/Alt \(/);
    // No face is left to the reader: every one is embedded.
    expect(raw.match(/\/FontFile2/g)?.length).toBeGreaterThanOrEqual(3);
  });

  it('has a page for the swatch: its chain, its rows, and room to count', async () => {
    const { bytes } = await printed(await begunCloth(server), '?parts=swatch');
    const [page] = await pagesOf(bytes);
    // Three whole repeats of 8, more than 15 cm of the typical stitch: 24 stitches, and one chain to turn.
    expect(page).toContain('Swatch');
    expect(page).toMatch(/Chain 25\b/);
    expect(page).toContain('Stitches in 10 cm');
    expect(page).toContain('as worked ________');
    expect(page).toContain('Row 1');
  });

  it('draws a border and a strap beside the cloth, with their measures', async () => {
    const { body: made } = await server.ask('POST', '/works', {
      wish: {
        ...galleyCloth,
        item: 'bag',
        pieces: 2,
        border: { rounds: 2, colour: 'A' },
        finish: { seam: 'sc', strap: { drop: '30 cm', width: '4 cm', kind: 'sc along', load: 40 } },
      },
    });
    const [page] = await pagesOf((await printed(made.id, '?parts=cover')).bytes);
    expect(page).toContain('With its border:');
    // 4 cm wide; as long as both drops, its joining and what it stretches by ask for.
    expect(page).toMatch(/Strap: \d+(\.\d)? × 4\.0? ?cm|Strap: \d+(\.\d)? × 4 cm/);
  });

  it('tells the log: notes, balls on the scale, measures, and where each was', async () => {
    const id = await begunCloth(server, 20);
    const head = { format: 'puntada-entry', version: 3, at: Date.UTC(2026, 10, 29, 12) };
    const add = (entry: object) =>
      server.ask('POST', `/works/${id}/log`, { entry: { ...head, id: randomUUID(), ...entry } });
    await add({ kind: 'note', row: at(8).rows, text: 'Row 5 taken out once' });
    const position = at(20);
    await add({
      kind: 'weigh',
      letter: 'A',
      ball: 1,
      before: 50,
      beforeIsLabel: true,
      after: 38.5,
      scale: 0.1,
      position,
    });
    await add({ kind: 'measure', width: '22 cm', position });
    const all = (await pagesOf((await printed(id, '?parts=log', 'de-DE')).bytes)).join(' ');
    expect(all).toContain('Row 8: Row 5 taken out once');
    expect(all).toContain('Ball 1 of A: 50 g when it was begun, 38,5 g now; after row 20');
    expect(all).toContain('22 cm wide; after row 20');
    expect(all).toContain('29 Nov');
    const empty = await pagesOf((await printed(await begunCloth(server), '?parts=log')).bytes);
    expect(empty.join(' ')).toContain('Nothing has been noted, weighed or measured yet.');
  });

  it('writes numbers as the language of the browser does', async () => {
    const id = await begunCloth(server);
    const cover = async (language: string) =>
      (await pagesOf((await printed(id, '?parts=cover', language)).bytes)).join(' ');
    // 36 stitches and 44 rows at 16 and 18 in 10 cm.
    expect(await cover('en-GB')).toMatch(/22\.5 cm × 24\.4 cm/);
    expect(await cover('de-DE,de;q=0.9,en;q=0.8')).toMatch(/22,5 cm × 24,4 cm/);
    expect(await cover('en-GB')).toContain('Gauge 16 stitches and 18 rows in 10 cm');
    expect(await cover('*')).toMatch(/22\.5 cm × 24\.4 cm/);
  });

  it('prints only what is asked, on the paper that is asked, upright or across', async () => {
    const id = await begunCloth(server);
    const { bytes } = await printed(id, '?parts=rows&paper=LETTER&way=landscape&boxes=0&grouped=1');
    const pdf = await getDocument({ data: bytes.slice(), isEvalSupported: false }).promise;
    const { width, height } = (await pdf.getPage(1)).getViewport({ scale: 1 });
    // US Letter is 11 × 8.5 inches of 72 points.
    expect([width, height]).toEqual([792, 612]);
    const all = (await pagesOf(bytes)).join(' ');
    expect(all).not.toContain('Abbreviations used');
    expect(all).toMatch(/Rows? \d+.*as rows? \d/);
  });

  it('goes over several sheets where the chart is wide, each with its own numbers', async () => {
    const wide = { ...galleyCloth, item: 'blanket', width: { by: 'stitches', count: 148 } };
    const { body } = await server.ask('POST', '/works', { wish: wide });
    const pages = await pagesOf((await printed(body.id, '?parts=chart')).bytes);
    expect(pages.length).toBeGreaterThan(1);
    const spans = pages.map((page) => /Stitches (\d+) to (\d+)/.exec(page)?.slice(1).map(Number) as [number, number]);
    expect(spans[0]?.[0]).toBe(1);
    expect(Math.max(...spans.map(([, to]) => to))).toBe(148);
    // Each sheet begins two cells before the end of the one beside it.
    for (const [i, [from]] of spans.entries()) {
      if (from > 1) expect(from).toBe((spans[i - 1]?.[1] ?? 0) - 1);
    }
  });

  it('is large enough to be read from the arm of a chair, and has a line to sign', async () => {
    const id = await begunCloth(server);
    const large = await pagesOf((await printed(id, '?parts=large&point=30')).bytes);
    expect(large.length).toBeGreaterThan(8);
    expect((await pagesOf((await printed(id, '?parts=proof')).bytes)).join(' ')).toContain('Checked by');
  });

  it('refuses what it cannot print, and says where', async () => {
    const id = await begunCloth(server);
    const response = await server.ask('GET', `/works/${id}/print.pdf?parts=song`);
    expect([response.status, response.body.problems[0].path]).toEqual([422, 'parts.0']);
    expect((await server.ask('GET', '/works/5f0c8a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d/print.pdf')).status).toBe(404);
  });
});
