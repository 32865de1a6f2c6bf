import { readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import { at, begunCloth, expect, start, startedCloth, test } from './server.ts';

test('something is wrong: the row is found, a wrong count explained, and rows are ripped back at a known cost', async ({
  page,
  server,
}) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  const help = page.getByRole('button', { name: 'Something is wrong' });
  await help.click();
  await page.getByLabel('Your last row', { exact: true }).fill('| 4A 4B | 4A');
  await page.getByLabel('The row under it', { exact: true }).fill('| 4B 4A | 4B');
  await page.getByRole('button', { name: 'Which row is it?' }).click();
  await expect(page.getByRole('button', { name: /^Row \d+ is done$/ })).toHaveCount(5);
  // The same by touch: the runs of the cloth are there to be tapped.
  for (const row of ['Your last row', 'The row under it']) await page.getByLabel(row, { exact: true }).fill('');
  const tap = (name: string) => page.getByRole('button', { name, exact: true }).click();
  await tap('Your last row: add 4 A');
  await tap('Your last row: add 4 A');
  await tap('Your last row: delete the last one');
  await tap('Your last row: add 4 B');
  await tap('The row under it: add 4 B');
  await expect(page.getByLabel('Your last row', { exact: true })).toHaveValue('4A 4B');
  await tap('Which row is it?');
  // Bands of four rows: those in A begin on rows 9, 17, 25, 33 and 41 over a band in B.
  await expect(page.getByRole('button', { name: /^Row \d+ is done$/ })).toHaveCount(5);
  await page.getByRole('button', { name: 'Row 9 is done' }).click();
  await expect(page.getByTestId('row-number')).toHaveText('Row 10');
  await help.click();
  await page.getByRole('tab', { name: 'My count is wrong' }).click();
  await page.getByLabel('Stitches you count in row 10').fill('35');
  await expect(page.getByText('You left out the last stitch of the row below.')).toBeVisible();
  const ways = page.getByRole('region', { name: 'What it costs' });
  // Nine rows done; whole bands of four in the colour it began with end at 4 and 12: five rows of 36 come out.
  await expect(ways.getByRole('row', { name: /Stop after row 4/ })).toContainText('180');
  // 40 of 44 rows of 1/18 of 10 cm are not there then.
  await expect(ways).toContainText('22.2 cm shorter');
  await expect(ways.getByRole('row', { name: /Leave it/ })).toContainText('000');
  await page.getByRole('tab', { name: 'Rip back' }).click();
  await page.getByLabel('Last row to keep').fill('4');
  await expect(page.getByText('5 rows, 180 stitches')).toBeVisible();
  await page.getByRole('button', { name: 'Rip back to row 4' }).click();
  await expect(page.getByTestId('row-number')).toHaveText('Row 5');
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  // The rows that came out stay in the log.
  await expect(page.getByRole('columnheader', { name: 'Ripped back' })).toBeVisible();
  await expect(page.getByRole('row', { name: / 9 5 / })).toBeVisible();
});

test('the log: a ball is weighed, the cloth measured, a note kept, and the piece made again by its own gauge', async ({
  page,
  server,
}) => {
  const id = await startedCloth(server, { title: `Cloth for the log, ${Date.now()}` });
  const ticks = Array.from({ length: 45 }, (_, row) => ({
    id: crypto.randomUUID(),
    at: 1_700_000_000_000 + (row - 1) * 150_000,
    from: { rows: row, runs: 0 },
    to: { rows: row + 1, runs: 0 },
  }));
  await server.post(`/works/${id}/ticks`, { ticks });
  await page.goto(`${server.address}/works/${id}/log`);
  await expect(page.getByText('44 of 44').first()).toBeVisible();
  await page.getByText('Practice scale').click();
  // A bowl of 120 g first, which counts as nothing.
  await page.getByLabel('On the scale (g)').fill('120');
  await page.getByRole('button', { name: 'Set it to zero' }).click();
  await expect(page.getByText('It shows 0. Now put the ball on it.')).toBeVisible();
  await page.getByLabel('On the scale (g)').fill('140');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByLabel('Weighs now (g)')).toHaveValue('20');
  await page.getByLabel('Started at (g)').fill('50');
  await page.getByRole('button', { name: 'Save weighing' }).click();
  await expect(page.getByText(/used, \d+ % (more|less) than expected|used, as expected/)).toBeVisible();
  await page.getByRole('form', { name: 'Measure it now' }).getByLabel('Width, cm').fill('21.0');
  await page.getByRole('button', { name: 'Save measurement' }).click();
  // 21.0 of 22.5 cm.
  await expect(page.getByText('7 % under the plan')).toBeVisible();
  await page.getByLabel('Note at row 44').fill('Tighter since the tea.');
  await page.getByRole('form', { name: 'Add a note' }).getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Tighter since the tea.')).toBeVisible();
  // The log is read anew after a note; what is typed next is typed onto that.
  await page.waitForLoadState('networkidle');
  const end = page.getByRole('form', { name: 'How it turned out' });
  await end.getByLabel('Width').fill('about so wide');
  await end.getByRole('button', { name: 'Save it' }).click();
  await expect(end.getByRole('alert')).toHaveText(/“about so wide” is not a number\. Type a number such as 24, 24\.5/);
  // Forty-three rows of 150 s after 1,700,000,000 s: at midnight of 15 November 2023 in UTC.
  await expect(page.getByText(/Last row done on 1[45] Nov 2023; not marked as finished yet\./)).toBeVisible();
  await end.getByLabel('Width').fill('21.6 cm');
  await end.getByLabel('Height').fill('24.2 cm');
  await end.getByLabel('Change next time').fill('A hook larger.');
  await end.getByRole('button', { name: 'Save it' }).click();
  const taught = 'the size of this piece, your pace and the yarn you really used';
  await expect(page.getByText(taught)).toBeVisible();
  await expect(page.getByRole('table', { name: 'Your seconds per stitch' })).toContainText('sc');
  await end.getByRole('button', { name: 'Make another' }).click();
  await expect(page.getByRole('heading', { name: /again$/ })).toBeVisible();
  // 36 stitches in 21.6 cm, as the piece came out.
  await expect(page.getByLabel('Stitches', { exact: true })).toHaveValue('36');
  await expect(page.getByLabel('Span of the stitches')).toHaveValue('21.6 cm');
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByText('at your pace')).toBeVisible();
});

test('everything goes out as one file and comes back; a damaged one is refused with its reason', async ({
  page,
  server,
}) => {
  await begunCloth(server, { title: 'Cloth for the lighthouse' });
  await page.goto(server.address);
  await page.getByRole('button', { name: /right hand/ }).click();
  await page.getByRole('link', { name: 'Back up, open a file, put a copy back' }).click();
  await expect(page.getByRole('heading', { name: 'Safe copies' })).toBeFocused();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Back up everything to a file' }).click();
  const saved = await saving;
  const file = readFileSync(await saved.path());
  await saved.delete();
  const bring = (buffer: Buffer) =>
    page
      .getByLabel('Open a backup or a project file')
      .setInputFiles({ name: 'puntada.zip', mimeType: 'application/zip', buffer });
  await bring(file.subarray(0, file.length - 100));
  await expect(page.getByRole('alert')).toContainText('It is no whole archive');
  await bring(Buffer.from('{"format": "puntada-ba'));
  await expect(page.getByRole('alert')).toContainText('This file is damaged');
  await begunCloth(server, { title: 'Cloth that came later' });
  await bring(file);
  await expect(page.getByText(/puntada.zip was made on .* and holds 1 project, 0 yarns and 0 swatches/)).toBeVisible();
  await page.getByRole('button', { name: 'Replace everything with it' }).click();
  // The bench is opened anew with what was put back.
  await expect(page.getByRole('heading', { name: 'Cloth for the lighthouse' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Cloth that came later' })).toHaveCount(0);
  // What was there is a tap away.
  await page.goto(`${server.address}/copies`);
  const copy = page.getByRole('listitem').filter({ hasText: 'Before a copy was put back' }).first();
  await copy.getByRole('button', { name: /^Check/ }).click();
  await expect(copy.getByText('✓ Whole: 2 projects, 0 yarns and 0 swatches.')).toBeVisible();
  const fetching = page.waitForEvent('download');
  await copy.getByRole('link', { name: /^Save as a file/ }).click();
  expect((await fetching).suggestedFilename()).toMatch(/^puntada-.*-before-restore\.zip$/);
  // What takes long is stopped: here the server is at it until it is told.
  let told = false;
  await page.route('**/api/copies/jobs/*', async (route) => {
    if (route.request().method() === 'DELETE') told = true;
    const job = { id: crypto.randomUUID(), state: told ? 'stopped' : 'running', done: 1, of: 4 };
    await (told && route.request().method() !== 'GET' ? route.continue() : route.fulfill({ json: job }));
  });
  await copy.getByRole('button', { name: /^Check/ }).click();
  await expect(page.getByRole('progressbar', { name: 'Reading the copy through…' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  expect(told).toBe(true);
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.unroute('**/api/copies/jobs/*');
  await copy.getByRole('button', { name: /^Put back/ }).click();
  await copy.getByRole('button', { name: 'Replace everything with it' }).click();
  await expect(page.getByRole('heading', { name: 'Cloth that came later' })).toBeVisible();
});

test('a foot switch in another window works the row, and a dark room keeps its places', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  const pads = await page.context().newPage();
  await pads.goto(`${server.address}/switch`);
  await pads.getByRole('button', { name: 'Clicker: finish row' }).click();
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
  await pads.getByRole('button', { name: 'Foot switch: next' }).click();
  // 36 stitches, four of them worked.
  await expect(page.getByText('32 stitches left in the row')).toBeVisible();
  await pads.getByRole('button', { name: 'Clicker: back one' }).click();
  await expect(page.getByText('36 stitches left in the row')).toBeVisible();
  await page.bringToFront();
  await page.keyboard.press('PageDown');
  await expect(page.getByText('32 stitches left in the row')).toBeVisible();
  await page.getByRole('button', { name: 'Display' }).click();
  await page.getByLabel('Dark screen').check();
  await page.getByLabel('Bigger').check();
  await page.keyboard.press('Escape');
  await page.reload();
  await expect(page.getByText('anticlockwise, no twist')).toBeVisible();
  await expect(page.locator('[data-room="dark"]')).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(
    violations.flatMap((each) => each.nodes.map((node) => `${each.id} ${node.html} ${node.failureSummary}`)),
  ).toEqual([]);
});

test('the pace of each session is drawn against a steady hand', async ({ page, server }) => {
  const id = await startedCloth(server, { title: 'Cloth of two evenings' });
  // A row of 36 sc with eight changes takes a steady hand 36 × 3 + 8 × 5 + 4 = 152 s: the first evening 150 s a row, the
  // second 300 s.
  const begins = 1_700_000_000_000;
  const when = (row: number) => (row < 5 ? row * 150_000 : 86_400_000 + row * 300_000);
  const ticks = Array.from({ length: 10 }, (_, row) => ({
    id: crypto.randomUUID(),
    at: begins + when(row),
    // The chain is made with the first row, before any clock ran.
    from: row ? at(row) : start,
    to: at(row + 1),
  }));
  await server.post(`/works/${id}/ticks`, { ticks });
  await page.goto(`${server.address}/works/${id}/log`);
  const chart = page.getByRole('img', { name: 'Time of 2 sessions compared with an average pace: 99 %, 197 %' });
  await expect(chart).toBeVisible();
});

test('of many sessions the latest eight are told, and all where it is asked', async ({ page, server }) => {
  const id = await startedCloth(server);
  // One row an evening, ten evenings.
  const ticks = Array.from({ length: 10 }, (_, row) => ({
    id: crypto.randomUUID(),
    at: 1_700_000_000_000 + row * 86_400_000,
    from: row ? at(row) : start,
    to: at(row + 1),
  }));
  await server.post(`/works/${id}/ticks`, { ticks });
  await page.goto(`${server.address}/works/${id}/log`);
  const sessions = page.getByRole('table', { name: 'Sessions, latest first' }).getByRole('row');
  await expect(sessions).toHaveCount(9);
  await page.getByRole('button', { name: 'All 10 sessions' }).click();
  await expect(sessions).toHaveCount(11);
  await page.getByRole('button', { name: 'The latest 8 only' }).click();
  await expect(sessions).toHaveCount(9);
});

test.describe('with a kept copy of the pages', () => {
  test.use({ serviceWorkers: 'allow' });

  test('a photo made while the server is away wait, and arrive from another page', async ({ page, ownServer }) => {
    const id = await startedCloth(ownServer, { title: 'Cloth by the window' });
    await page.goto(`${ownServer.address}/works/${id}/log`);
    await expect(page.getByRole('heading', { name: 'Photos' })).toBeVisible();
    // The pages are kept by the browser once its worker is in charge.
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await ownServer.kill();
    const photo = readFileSync(new URL('../docs/screenshots/bench.png', import.meta.url));
    await page
      .getByLabel('Add a photo at row 0')
      .setInputFiles({ name: 'cloth.png', mimeType: 'image/png', buffer: photo });
    await expect(page.getByRole('img', { name: 'The project after row 0' })).toBeVisible();
    await expect(page.getByText(/server is away\. .*1 photo is kept here/)).toBeVisible();
    await page.getByRole('link', { name: 'Bench: all projects' }).click();
    await expect(page.getByText(/server is away\. .*1 photo is kept here/)).toBeVisible();
    await ownServer.start();
    await expect(page.getByText(/server is away/)).toBeHidden();
    await expect
      .poll(async () => {
        const { entries } = await ownServer.get<{ entries: { kind: string }[] }>(`/works/${id}/log`);
        return entries.map(({ kind }) => kind);
      })
      .toEqual(['photo']);
    // What is shown now comes from the server.
    await page.goto(`${ownServer.address}/works/${id}/log`);
    const kept = page.getByRole('img', { name: 'The project after row 0' });
    await expect.poll(() => kept.evaluate((each: HTMLImageElement) => each.naturalWidth)).toBe(320);
  });
});
