import { mkdtempSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, weighedSwatch } from './server.ts';

test('a circle of wedges: drawn, taken back, rehearsed without a project, and started', async ({ page, server }) => {
  await page.goto(`${server.address}/desk`);
  await page.getByText('Wedge circle').first().click();
  await page.getByLabel('Name').fill('Shore wheel');
  await page.getByRole('button', { name: 'Open the chart' }).click();
  await expect(page.getByRole('img', { name: '12 wedges in A B by turns' })).toBeVisible();
  await page.getByRole('button', { name: 'Add a wedge' }).click();
  await expect(page.getByRole('img', { name: '12 wedges in A B C by turns' })).toBeVisible();
  // Four wedges that repeat, with a plain round after one that grows.
  await page.getByRole('button', { name: 'Add a wedge' }).click();
  await page.getByLabel('Wedge 4').selectOption('A');
  await expect(page.getByText('Wedge 4 and wedge 1 are both A')).toBeVisible();
  await page.getByLabel('Wedge 4').selectOption('B');
  await expect(page.getByText('✓ This can be worked.')).toBeVisible();
  await page.getByRole('button', { name: 'Add a round' }).click();
  await page.getByRole('button', { name: '2: grows' }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: '2: grows' })).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByRole('button', { name: '2: plain' })).toBeVisible();
  // A touch on the face gives a wedge the colour in hand.
  await page.getByRole('radio', { name: 'Colour D' }).click();
  await page.locator('svg[role="img"] path').first().click();
  await expect(page.getByLabel('Wedge 1')).toHaveValue('D');
  const text = async () => (await server.get<{ pattern: { text: string } }[]>('/patterns'))[0]?.pattern.text;
  await expect.poll(text).toContain('setup: | 1dc@ring:D 1dc@ring:B 1dc@ring:C 1dc@ring:B |');
  await expect(page.getByText('✓ Saved')).toBeVisible();
  expect(await text()).toContain('row: | (j)dc:D (j)dc:B (j)dc:C (j)dc:B |');

  // How many go round, a round less and a wedge less, each taken back; the name stays as it was typed.
  await page.getByLabel('Wedges around').selectOption('16');
  await expect(page.getByRole('img', { name: '16 wedges in D B C B by turns' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('Shore wheel, wide');
  await page
    .getByRole('region', { name: 'Rounds that repeat' })
    .getByRole('button', { name: 'Leave out the last' })
    .click();
  await expect(page.getByRole('button', { name: '2: plain' })).toHaveCount(0);
  await page
    .getByRole('region', { name: 'Wedges of one repeat' })
    .getByRole('button', { name: 'Leave out the last' })
    .click();
  await expect(page.getByLabel('Wedge 4')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click();
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click();
  await expect(page.getByRole('button', { name: '2: plain' })).toBeVisible();
  await expect(page.getByLabel('Wedge 4')).toHaveValue('B');
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Shore wheel, wide');
  await page.getByRole('textbox', { name: 'Note' }).fill('For the round table.');
  await expect
    .poll(async () => (await server.get<{ pattern: { note: string } }[]>('/patterns'))[0]?.pattern.note)
    .toBe('For the round table.');

  await page.getByRole('link', { name: 'Rehearse 4 rounds' }).click();
  await expect(page.getByTestId('row-number')).toHaveText('Round 1');
  await page.keyboard.press('Space');
  await expect(page.getByTestId('heard')).toContainText('in the ring in B');
  for (let round = 0; round < 4; round++) await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: '4 rounds rehearsed' })).toBeVisible();
  await page.keyboard.press('Backspace');
  await expect(page.getByTestId('row-number')).toHaveText('Round 4');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Once more' }).click();
  await expect(page.getByTestId('row-number')).toHaveText('Round 1');
  // Nothing was made of it.
  expect(await server.get('/works')).toEqual([]);
  await page.getByRole('link', { name: 'Back to the pattern' }).click();
  await page.getByRole('link', { name: 'Start a project' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('New project');
});

test('a pattern of the book is rehearsed from its page', async ({ page, server }) => {
  await page.goto(`${server.address}/book/lone-sail`);
  await page.getByRole('link', { name: 'Rehearse the first rows' }).click();
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('button', { name: /^Back one/ }).click();
  await page.getByRole('link', { name: 'Back to the pattern' }).click();
  await expect(page.getByRole('link', { name: 'Rehearse the first rows' })).toBeVisible();
});

test('own patterns are put in order by hand', async ({ page, server }) => {
  for (const name of ['Ash', 'Birch', 'Cedar']) {
    const text = `pattern own-1 "${name}"\nabout ""\ntechnique carried\nmade flat\nstitch sc\ncolours A B\nacross 2 "repeats"\nup 1 "rows"\nread seen\nrow: | 1A 1B |\n`;
    await server.post('/patterns', { pattern: { format: 'puntada-own-pattern', version: 1, text, note: '' } });
  }
  await page.goto(`${server.address}/book?in=own`);
  const names = page.getByRole('main').getByRole('listitem').locator('a');
  await expect(names).toHaveText(['Cedar', 'Birch', 'Ash']);
  await page.getByRole('button', { name: 'Later: Cedar' }).click();
  await expect(names).toHaveText(['Birch', 'Cedar', 'Ash']);
  await page.getByRole('button', { name: 'Earlier: Ash' }).focus();
  await page.keyboard.press('Enter');
  await expect(names).toHaveText(['Birch', 'Ash', 'Cedar']);
  await page.reload();
  await expect(names).toHaveText(['Birch', 'Ash', 'Cedar']);
});

test('rows as somebody wrote them are checked against each other, the chain, the multiple; a project takes the gauge', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/given`);
  const rows = ['Gauge: 16 sts and 18 rows = 10 cm', 'Ch 37.'];
  for (let row = 1; row <= 8; row++) {
    const [a, b] = row <= 4 ? ['A', 'B'] : ['B', 'A'];
    rows.push(`Row ${row}: *4 sc in ${a}, 4 sc in ${b}; rep from * to last 4 sts, 4 sc in ${a}.`);
  }
  await page.getByLabel('Rows, one or more').fill(rows.join('\n'));
  const result = page.getByRole('region', { name: 'Result' });
  await expect(result.getByText('Every row has 36 stitches.')).toBeVisible();
  await expect(result.getByText('37 chains are right for them.')).toBeVisible();
  await expect(result.getByText('multiple of 8 stitches plus 4')).toBeVisible();
  await page.getByLabel('Stitch multiple, as written').fill('8n + 5');
  await expect(result.getByText('That is the multiple as it is written, in chains.')).toBeVisible();
  await page.getByLabel('Chains').fill('36');
  await expect(result.getByText('36 chains are not right for them: make 37.')).toBeVisible();
  await page.getByLabel('Chains').fill('37');
  // One run short is pointed at.
  await page.getByLabel('Rows, one or more').fill(rows.join('\n').replace('Row 6: *4 sc in B', 'Row 6: *3 sc in B'));
  await expect(result.getByText('✕ ')).toBeVisible();
  await page.getByLabel('Rows, one or more').fill(rows.join('\n'));
  await result.getByRole('button', { name: 'Start a project on it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('New project');
  await expect(page.getByLabel('Chains in it')).toHaveValue('37');
  await expect(page.getByLabel('Stitches', { exact: true })).toHaveValue('16');
  await expect(page.getByLabel('Rows', { exact: true })).toHaveValue('18');
});

test('a picture begins a chart, whose cells take the proportion of a counted swatch', async ({ page, server }) => {
  await weighedSwatch(server);
  await page.goto(`${server.address}/desk?way=file`);
  const shell = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(90, 60);
    const ctx = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
    ctx.fillStyle = '#e9dfc4';
    ctx.fillRect(0, 0, 90, 60);
    ctx.fillStyle = '#24476b';
    ctx.fillRect(30, 15, 30, 30);
    return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())];
  });
  await page
    .getByLabel('Open a pattern: text, JSON, CSV or a picture')
    .setInputFiles({ name: 'Shell.png', mimeType: 'image/png', buffer: Buffer.from(shell) });
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Shell');
  await expect(page.getByRole('tab', { name: 'Picture' })).toHaveAttribute('data-state', 'active');
  await expect(page.getByRole('img', { name: 'picture' })).toBeVisible();
  await page.getByRole('button', { name: 'Make it into stitches' }).click();
  // A third of its width, in the middle, is of the other colour.
  await expect
    .poll(async () => (await server.get<{ pattern: { text: string } }[]>('/patterns'))[0]?.pattern.text)
    .toMatch(/A{18,22}B{18,22}A{18,22}/);

  // One of 200 MB is refused by its size, before any of it is read.
  const folder = mkdtempSync(join(tmpdir(), 'puntada-huge-'));
  const huge = join(folder, 'huge.png');
  writeFileSync(huge, Buffer.from(shell));
  truncateSync(huge, 200_000_000);
  await page.getByRole('tab', { name: 'Picture' }).click();
  await page.getByLabel('Take another picture').setInputFiles(huge);
  await expect(page.getByRole('alert')).toContainText('200 MB');
  rmSync(folder, { recursive: true });

  await page.getByRole('tab', { name: 'Size' }).click();
  const field = page.getByLabel('Cells in the proportion of');
  const height = () =>
    page.getByTestId('desk').evaluate((desk) => (desk.firstElementChild as HTMLElement).style.height);
  const before = await height();
  await field.selectOption({ label: 'Lone sail, 5 mm' });
  await expect.poll(height).not.toBe(before);
  await page.reload();
  await page.getByRole('tab', { name: 'Size' }).click();
  await expect(field.locator('option:checked')).toHaveText('Lone sail, 5 mm');
});
