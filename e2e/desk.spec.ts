import { readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, type TestServer, test } from './server.ts';

/** Opens an empty chart in a technique. */
async function empty(page: Page, server: TestServer, technique: string, name: string, size?: [number, number]) {
  await page.goto(`${server.address}/desk`);
  await page.getByRole('radio', { name: technique }).check({ force: true });
  await page.getByLabel('Name').fill(name);
  if (size) {
    await page.getByLabel('Cells wide').fill(String(size[0]));
    await page.getByLabel('Rows', { exact: true }).fill(String(size[1]));
  }
  await page.getByRole('button', { name: 'Open the chart' }).click();
  await expect(page.getByRole('heading', { name })).toBeVisible();
  await expect(page.getByRole('application')).toBeVisible();
}

const worked = (page: Page) => page.getByRole('status').filter({ hasText: 'Can be worked' });

/** From the desk to the chain. */
async function toTheChain(page: Page) {
  await page.getByRole('link', { name: 'Start a project' }).click();
  await page.getByRole('button', { name: 'See sizes' }).first().click();
  await expect(page.getByRole('button', { name: /^Start with \d+ chains|^Start with / })).toBeVisible();
}

test('a fir by the keyboard alone, from an empty desk to its chain', async ({ page, server }) => {
  await page.goto(`${server.address}/book`);
  const press = async (...keys: string[]) => {
    for (const key of keys) await page.keyboard.press(key);
  };
  await page.getByRole('link', { name: 'Make a pattern' }).focus();
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'Make a pattern' })).toBeVisible();
  await page.getByLabel('Name').focus();
  await page.keyboard.type('Fir');
  await press('Tab');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('7');
  await press('Tab');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('6');
  await press('Enter');
  const chart = page.getByRole('application');
  await expect(chart).toBeVisible();
  await chart.focus();
  // From the trunk in row 1 upwards: 1, 5, 3, 1 stitches of B, one row of ground below and one above.
  await press('ArrowUp', 'ArrowLeft', 'ArrowLeft', 'ArrowLeft', 'b');
  await press('ArrowUp', 'b', 'ArrowLeft', 'b', 'ArrowLeft', 'b', 'ArrowRight', 'ArrowRight', 'ArrowRight', 'b');
  await press('ArrowRight', 'b');
  await press('ArrowUp', 'ArrowLeft', 'b', 'ArrowLeft', 'b', 'ArrowLeft', 'b', 'ArrowUp', 'ArrowRight', 'b');
  await expect(worked(page)).toBeVisible();
  await expect(page.getByTestId('announced')).toContainText('Row 5, cell 4: B');
  await expect(page.getByText('It can be worked over a multiple of 7.')).toBeVisible();
  await page.getByRole('tab', { name: 'Rows' }).focus();
  await press('Enter');
  await expect(page.getByLabel('Rows as runs, row 1 first')).toHaveValue(
    [
      'row 1 ←: 7A',
      'row 2 →: 3A 1B 3A',
      'row 3 ←: 1A 5B 1A',
      'row 4 →: 2A 3B 2A',
      'row 5 ←: 3A 1B 3A',
      'row 6 →: 7A',
    ].join('\n'),
  );
  // Undone to the empty chart and drawn again, also after the page was closed.
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await page.waitForTimeout(900);
  await page.reload();
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click();
  await page.getByRole('tab', { name: 'Rows' }).click();
  await expect(page.getByLabel('Rows as runs, row 1 first')).toHaveValue(/row 5 ←: 7A/);
  await page.getByRole('button', { name: 'Redo (Ctrl Shift Z)' }).click();
  await expect(page.getByLabel('Rows as runs, row 1 first')).toHaveValue(/row 5 ←: 3A 1B 3A/);
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
  await toTheChain(page);
});

test('a mosaic of six by eight: one cell that cannot be worked is crossed out, and mended by a tap', async ({
  page,
  server,
}) => {
  await empty(page, server, 'overlay mosaic', 'Six by eight', [6, 8]);
  await page.getByRole('application').focus();
  for (const key of ['ArrowLeft', 'ArrowLeft', 'b', 'ArrowUp', 'a']) await page.keyboard.press(key);
  await expect(page.getByText('1 cell cannot be worked')).toBeVisible();
  await expect(page.getByText('Row 2, cell 3: a drop is above a drop')).toBeVisible();
  await page.getByRole('button', { name: 'Make row 1, cell 3 A' }).click();
  await expect(worked(page)).toBeVisible();
  await toTheChain(page);
});

test('eight lines of UK text, pasted: each understood, one run short pointed at, a project started on it', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/desk?way=rows`);
  const rows = [
    'Ch 22',
    'Row 1 (RS): 21 dc in oat',
    'Row 2 (WS): 3 dc in oat, *3 dc in kelp, 3 dc in oat; rep from * to end',
    'Row 3: 3 dc in oat, (3 dc in kelp, 3 dc in oat) x 2, 3 dc in kelp, 2 dc in oat',
    'Row 4: dc in each st across in oat',
    'Rows 5–8: repeat rows 1–4',
  ];
  const text = page.getByLabel('Rows, one or more lines');
  await text.fill(rows.join('\n'));
  const read = page.getByRole('region', { name: 'What was read' });
  await page.getByRole('radio', { name: 'UK' }).click();
  await expect(read.getByText('Read in UK terms; A is oat, B is kelp.')).toBeVisible();
  await expect(read.getByText('Row 3 has 20 stitches, other rows have 21.').first()).toBeVisible();
  await text.fill(rows.join('\n').replace('2 dc in oat', '3 dc in oat'));
  await expect(read.getByText('rows 5 to 8, 21 stitches')).toBeVisible();
  await page.getByRole('button', { name: 'Start a project on it' }).click();
  await page.getByRole('button', { name: 'See sizes' }).first().click();
  // UK double crochet is US single crochet: 22 chains make its 21 stitches.
  await expect(page.getByRole('button', { name: 'Start with 22 chains' })).toBeVisible();
});

test('a word in letters, a shell from a picture, out as a table and in again', async ({ page, server }) => {
  await empty(page, server, 'carried colourwork', 'Tide', [12, 9]);
  await page.getByRole('tab', { name: 'Letters' }).click();
  await page.getByLabel('Words, a line for each line').fill('漢');
  await expect(page.getByRole('alert')).toContainText('There is no letter for 漢');
  await page.getByLabel('Words, a line for each line').fill('TIDE 2026');
  await page.getByRole('button', { name: 'Set in the middle' }).click();
  await page.getByRole('tab', { name: 'Rows' }).click();
  // The top line of T, read from where row 1 begins, at the right: 2 of ground, the 6 and so on, the T’s bar at the end.
  await expect(page.getByLabel('Rows as runs, row 1 first')).toHaveValue(/row 7 .* 5B 2A\n/);
  await page.getByRole('tab', { name: 'Picture' }).click();
  const shell = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(400, 400);
    const ctx = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
    ctx.fillStyle = '#f2ead8';
    ctx.fillRect(0, 0, 400, 400);
    ctx.fillStyle = '#20406a';
    ctx.beginPath();
    ctx.moveTo(200, 360);
    ctx.arc(200, 220, 160, Math.PI, 0);
    ctx.fill();
    return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())];
  });
  const picture = page.getByLabel('Take a picture from this device');
  await picture.setInputFiles({ name: 'empty.png', mimeType: 'image/png', buffer: Buffer.alloc(0) });
  await expect(page.getByRole('alert')).toContainText('no picture that can be read');
  await picture.setInputFiles({ name: 'shell.png', mimeType: 'image/png', buffer: Buffer.from(shell) });
  await page.getByLabel('Cells wide').fill('20');
  await page.getByRole('button', { name: 'Make it into stitches' }).click();
  await expect(worked(page).or(page.getByRole('tab', { name: 'Check' }))).toBeVisible();
  await page.getByRole('tab', { name: 'Check' }).click();
  await expect(page.getByText('It can be worked over a multiple of 20.')).toBeVisible();
  await page.getByRole('tab', { name: 'Save' }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'CSV' }).click();
  const table = await (await saving).path();
  await page.goto(`${server.address}/desk?way=file`);
  await page.getByLabel('Open a pattern: text, JSON, CSV or a picture').setInputFiles({
    name: 'ragged.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('A,B\nA\n'),
  });
  await expect(page.getByRole('alert')).toContainText('Line 2 of the table has 1 cells, others have 2.');
  await page.getByLabel('Open a pattern: text, JSON, CSV or a picture').setInputFiles(table);
  await expect(page.getByText('It can be worked over a multiple of 20.')).toBeVisible();
});

test('a project keeps the pattern as it took it, until it is told to take the change', async ({ page, server }) => {
  await empty(page, server, 'corner to corner', 'Lantern', [6, 6]);
  const chart = page.getByRole('application');
  const box = await chart.boundingBox();
  if (!box) throw new Error('no chart');
  await page.getByRole('radio', { name: 'Box' }).click();
  await page.mouse.move(box.x + 130, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + 250, box.y + 180, { steps: 4 });
  await page.mouse.up();
  await expect(worked(page)).toBeVisible();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  const desk = page.url();
  await toTheChain(page);
  const project = page.url().replace('/size', '/wish');
  await page.goto(desk);
  await page.getByRole('application').focus();
  const saving = page.waitForResponse((answer) => answer.request().method() === 'PUT' && answer.ok());
  await page.keyboard.press('b');
  await saving;
  await page.goto(project);
  await expect(page.getByText('You changed “Lantern” since this project took it.')).toBeVisible();
  await page.getByRole('button', { name: 'Take the change' }).click();
  await expect(page.getByText('You changed “Lantern”')).toBeHidden();
  await page.goto(desk);
  await page.getByRole('tab', { name: 'Save' }).click();
  await page.getByRole('button', { name: 'Delete this pattern' }).click();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Lantern', exact: true })).toBeVisible();
});

test('every tool and act of the desk does to the rows what it says', async ({ page, server }) => {
  await empty(page, server, 'carried colourwork', 'Tools', [4, 4]);
  const chart = page.getByRole('application');
  const press = async (...keys: string[]) => {
    await chart.focus();
    for (const key of keys) await page.keyboard.press(key);
  };
  const act = (name: string) => page.getByRole('button', { name, exact: true }).click();
  const mirror = (name: string) => page.getByLabel('Mirrors').getByLabel(name).click();
  const rows = async (...runs: string[]) => {
    await page.getByRole('tab', { name: 'Rows' }).click();
    const text = runs.map((run, i) => `row ${i + 1} ${i % 2 ? '→' : '←'}: ${run}`).join('\n');
    await expect(page.getByLabel('Rows as runs, row 1 first')).toHaveValue(text);
  };
  // Cell 1 of row 1, and what is opposite it.
  await mirror('Mirror left and right');
  await press(' ');
  await rows('1B 2A 1B', '4A', '4A', '4A');
  await mirror('Mirror up and down');
  await press('ArrowUp', ' ');
  await rows('1B 2A 1B', '1B 2A 1B', '1B 2A 1B', '4A');
  await mirror('Mirror left and right');
  await mirror('Mirror up and down');
  // Two rows and two cells on from cell 1 of row 4 is cell 3 of row 2.
  await mirror('Repeat half a drop on');
  await press('ArrowUp', 'ArrowUp', ' ');
  await rows('1B 2A 1B', '1B 1A 2B', '1B 2A 1B', '1B 3A');
  await mirror('Repeat half a drop on');
  // The column over cell 1 hangs together, and not with the one over cell 4.
  await page.getByRole('radio', { name: 'Pen A' }).click();
  await page.getByRole('radio', { name: 'Fill' }).click();
  await press(' ');
  await rows('3A 1B', '2A 2B', '3A 1B', '4A');
  await press('Control+a');
  await act('Flip across');
  await rows('1B 3A', '2B 2A', '1B 3A', '4A');
  await act('Flip up');
  await rows('4A', '1B 3A', '2B 2A', '1B 3A');
  // Twice a quarter is half a turn.
  await act('Turn');
  await act('Turn');
  await rows('3A 1B', '2A 2B', '3A 1B', '4A');
  await act('Copy');
  await act('Clear');
  await rows('4A', '4A', '4A', '4A');
  await act('Paste');
  await rows('3A 1B', '2A 2B', '3A 1B', '4A');
  // A B over B B, from cells 3 and 4 of rows 1 and 2 over all.
  await press('Escape', 'PageDown', 'End', 'Shift+ArrowUp', 'Shift+ArrowRight');
  await act('Tile over all');
  await rows('1A 1B 1A 1B', '4B', '1A 1B 1A 1B', '4B');
  await page.getByRole('tab', { name: 'Size' }).click();
  await act('Add a yarn');
  await expect(page.getByLabel('Shade of C')).toBeVisible();
  await act('Leave out C');
  await expect(page.getByLabel('Shade of C')).toHaveCount(0);
  await act('Add a row above');
  await act('Add a column');
  await expect(page.getByRole('textbox', { name: 'Rows', exact: true })).toHaveValue('5');
  await expect(page.getByLabel('Cells wide')).toHaveValue('5');
  await act('Delete the row');
  await act('Delete the column');
  await rows('1A 1B 1A 1B', '4B', '1A 1B 1A 1B', '4B');
  // Nearer and further, and by other eyes; the drawing stays what it is.
  for (const name of ['Smaller cells', 'Smaller cells', 'Larger cells', 'Fit']) await act(name);
  const eyes = page.getByLabel('Look at it');
  for (const value of await eyes
    .locator('option')
    .evaluateAll((all) => all.map((each) => (each as HTMLOptionElement).value)))
    await eyes.selectOption(value);
  await page.getByRole('tab', { name: 'Save' }).click();
  for (const [name, begins] of [
    ['Text', 'pattern '],
    ['JSON', '{'],
    ['SVG', '<svg'],
    ['PNG', '\u0089PNG'],
  ] as const) {
    const saving = page.waitForEvent('download');
    await act(name);
    expect(readFileSync(await (await saving).path(), 'latin1').slice(0, begins.length)).toBe(begins);
  }
  await act('Make a copy');
  await expect(page.getByRole('heading', { name: 'Tools, copy' })).toBeVisible();
  await page.getByRole('button', { name: 'Plan a swatch' }).click();
  await expect(page).toHaveURL(/\/swatches\/new$/);
});
