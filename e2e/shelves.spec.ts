import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, type TestServer, test, wishedCloth } from './server.ts';

/** Puts a yarn into the drawer by hand, its label typed in one line. */
async function putIn(page: Page, server: TestServer, shade: string, label: string, balls: string): Promise<void> {
  await page.goto(`${server.address}/drawer`);
  await page.getByLabel('Yarn', { exact: true }).fill('Skerry cotton');
  await page.getByLabel('Shade', { exact: true }).fill(shade);
  await page.getByLabel('Label in one line').fill(label);
  await page.getByLabel('Whole balls').fill(balls);
  await page.getByRole('button', { name: 'Add to the drawer' }).click();
  await expect(page.getByRole('heading', { name: `Skerry cotton, ${shade}` }).first()).toBeVisible();
}

test('the drawer: a label in one line, counted in metres, out as a table and in again', async ({ page, server }) => {
  await putIn(page, server, 'Oat', '50 g = 85 m', '6');
  await expect(page.getByText('510 m')).toBeVisible();
  await page.getByRole('button', { name: 'One ball less of Oat' }).click();
  await expect(page.getByText('425 m')).toBeVisible();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const table = readFileSync(await (await saving).path(), 'utf8');
  expect(table.split('\n')[1]).toBe('Skerry cotton,Oat,#8aa39b,,cotton,4,85,50,5,,');
  const bring = (text: string) =>
    page.getByLabel('Import CSV').setInputFiles({ name: 'yarn.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await bring(table.replace(',4,', ',aran,'));
  await expect(page.getByRole('alert')).toContainText('Line 2, column “weight”, “aran”');
  await bring(table.replace('Oat', 'Kelp'));
  await expect(page.getByRole('heading', { name: 'Skerry cotton, Kelp' })).toBeVisible();
});

test('among many yarns one is found by its words', { tag: '@long' }, async ({ page, server }) => {
  const yarn = { line: 'Skerry', shade: '#24476b', weight: 4, fibre: 'cotton', balls: 1 };
  const yarns = Array.from({ length: 130 }, (_, n) => ({ ...yarn, name: `Shade ${n}`, lot: `lot ${n % 7}` }));
  await server.post('/drawer/many', { yarns });
  await page.goto(`${server.address}/drawer`);
  const rows = page.getByRole('main').getByRole('listitem').filter({ hasText: 'Shade' });
  await expect(rows).toHaveCount(60);
  await page.getByRole('button', { name: 'Show 60 more' }).click();
  await expect(rows).toHaveCount(120);
  await page.getByLabel('Find a yarn').fill('skerry 77');
  await expect(rows).toHaveCount(1);
  await expect(page.getByText('1 yarn of 130')).toBeVisible();
  await page.getByLabel('Find a yarn').fill('nothing such');
  await expect(rows).toHaveCount(0);
});

test('a wish takes its yarns out of the drawer and sets them aside', { tag: '@long' }, async ({ page, server }) => {
  await putIn(page, server, 'Foam', '50 g = 85 m', '6');
  await page.goto(`${server.address}/wish`);
  await page.getByLabel('A from the drawer').selectOption({ label: 'Skerry cotton, Foam: 6 balls' });
  await expect(page.getByLabel('Name of A')).toHaveValue('Foam');
  await expect(page.getByLabel('m per ball').first()).toHaveValue('85');
  await page.getByLabel('Balls set aside').fill('2');
  await page.getByLabel('Shade of A', { exact: true }).last().fill('#7d8f8a');
  await page.getByLabel('Shade of B', { exact: true }).last().fill('#93a7a0');
  await expect(page.getByRole('region', { name: 'Contrast of A and B' })).toContainText('hardly show');
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByRole('group', { name: 'Cutting mat' })).toBeVisible();
  await page.goto(`${server.address}/drawer`);
  await expect(page.getByText('2 balls set aside for')).toBeVisible();
  await expect(page.getByText('4 free')).toBeVisible();
  await page.getByRole('button', { name: 'Delete Skerry cotton, Foam' }).click();
  await page.getByRole('button', { name: 'Yes, delete it' }).click();
  await expect(page.getByRole('alert')).toContainText('This yarn is set aside for');
});

test('a swatch is planned, counted and weighed, and its counts flow into the plan that goes by it', async ({
  page,
  server,
}) => {
  const title = `Cloth for the pantry, ${Date.now()}`;
  const id = await wishedCloth(server, { title, gauge: { from: 'typical' } });
  await page.goto(`${server.address}/swatches/new`);
  await page.getByLabel('Hook (mm)').fill('50');
  await expect(page.getByText('Use 25 or less.')).toBeVisible();
  await page.getByLabel('Hook (mm)').fill('5');
  await page.getByRole('button', { name: 'Plan this swatch' }).click();
  await expect(page.getByText(/Chain \d+, work/)).toBeVisible();
  const count = async (number: string) => {
    await page.getByRole('form', { name: 'Add a count' }).getByRole('textbox').first().fill(number);
    await page.getByRole('button', { name: 'Save this count' }).click();
    await expect(page.getByRole('button', { name: new RegExp(`Delete ${number} `) })).toBeVisible();
  };
  await count('16');
  await count('18');
  await page.getByRole('button', { name: `Use it for ${title}` }).click();
  await expect(page.getByRole('link', { name: title })).toBeVisible();
  await page.getByRole('form', { name: 'Weigh it' }).getByRole('textbox').fill('16');
  await page.getByRole('button', { name: 'Save weight' }).click();
  await expect(page.getByText(/You use/)).toBeVisible();
  // Another count on the same cloth: the plan moves, and says so on its mat until it is changed.
  await count('14');
  await expect(page.getByRole('status').filter({ hasText: 'follows the new figures' })).toContainText('is now');
  await page.goto(`${server.address}/swatches`);
  // What stands in the book is what was typed: a hook of 5 mm, 14 stitches counted last.
  await expect(page.getByRole('row').filter({ hasText: 'Block check' }).first()).toContainText('5 mm');
  await page.goto(`${server.address}/works/${id}/size`);
  await expect(page.getByRole('status').filter({ hasText: 'You changed the swatch' })).toBeVisible();
  await expect(page.getByText('your swatch').first()).toBeVisible();
});

test('a half-typed wish is kept, taken back, found again, and given up', async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByLabel('Project name').fill('Cloth for the bell');
  await page.getByLabel('Width', { exact: true }).fill('about a hand');
  await expect(page.getByText('✓ Saved', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click();
  await expect(page.getByLabel('Width', { exact: true })).not.toHaveValue('about a hand');
  await page.keyboard.press('Control+Shift+Z');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('about a hand');
  await expect(page.getByText('✓ Saved', { exact: true })).toBeVisible();
  await page.goto(server.address);
  await page.getByRole('link', { name: 'Cloth for the bell' }).click();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('about a hand');
  await page.getByRole('button', { name: 'Delete this draft' }).click();
  await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Cloth for the bell' })).toHaveCount(0);
});

test('a work is put away and taken out again', { tag: '@long' }, async ({ page, server }) => {
  const title = 'Cloth for the boat shed';
  await wishedCloth(server, { title });
  await page.goto(server.address);
  await page.getByRole('button', { name: `Archive: ${title}` }).click();
  await expect(page.getByRole('heading', { name: title })).toHaveCount(0);
  await page.getByRole('button', { name: /^Show the archive/ }).click();
  await page.getByRole('button', { name: `Back to the bench: ${title}` }).click();
  await expect(page.getByRole('button', { name: `Archive: ${title}` })).toBeVisible();
});

test('test strips are weighed, and the way of one is taken', { tag: '@long' }, async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/yarn`);
  await page.getByRole('link', { name: 'Compare them on test strips' }).click();
  const cut = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'Cut' }) });
  await cut.getByLabel('It weighs').fill('1');
  await cut.getByRole('button', { name: 'Save' }).click();
  await expect(cut.getByText('Yarn compared with the estimate')).toBeVisible();
  await cut.getByRole('button', { name: 'Use this way' }).click();
  await expect(cut.getByText('used in this plan')).toBeVisible();
});

test('a way taken on the yarn view is taken back, there and on the mat', { tag: '@long' }, async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/yarn`);
  const way = (name: string) => page.getByRole('button', { name, exact: true });
  await way('cut').click();
  await expect(way('cut')).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(way('carry where needed')).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByText('✓ Saved', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Size' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('✓ Saved', { exact: true })).toBeVisible();
  await expect
    .poll(async () => (await server.get<{ wish: { policy: string } }>(`/works/${id}`)).wish.policy)
    .toBe('as-needed');
});

test('a wish begins from a finished piece, and comes to its counts', { tag: '@long' }, async ({ page, server }) => {
  await page.goto(`${server.address}/given?from=piece`);
  await page.getByRole('button', { name: 'Start a project from it' }).click();
  await expect(page.getByRole('alert').first()).toContainText('on one piece.');
  await page.getByLabel('Counted across', { exact: true }).fill('9');
  await page.getByRole('radio', { name: 'blocks' }).click();
  await page.getByLabel('Width, cm').fill('22.5');
  await page.getByLabel('Counted up', { exact: true }).fill('44');
  await page.getByLabel('Height, cm').fill('24.4');
  await page.getByRole('button', { name: 'Start a project from it' }).click();
  // Nine blocks of four are 36 stitches; 225 mm of 36 are 6.25 mm each, so the piece comes out as it was.
  await expect(page.getByLabel('Stitches across')).toHaveValue('36');
  await expect(page.getByRole('region', { name: 'What you get' }).getByText('22.5 × 24.4 cm')).toBeVisible();
});

test('a row is explained, its strands are hung on the chart, and a term is told where it stands', {
  tag: '@long',
}, async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/rows`);
  await page.getByRole('button', { name: 'Why does row 1 change colour where it does?' }).click();
  await expect(page.getByText(/repeats 4 times, then 4 sc A: 8 × 4 \+ 4 = 36/)).toBeVisible();
  await page.getByLabel('Show idle yarn').check();
  await page.goto(`${server.address}/works/${id}/size`);
  await page.getByRole('button', { name: 'Ends to weave in' }).click();
  await expect(page.getByRole('dialog')).toContainText('to weave in');
});

test('which face is outside is asked before a seam, and settled', { tag: '@long' }, async ({ page, server }) => {
  const id = await wishedCloth(server, { item: 'bag', pieces: 2, finish: { seam: 'sc' } });
  await page.goto(`${server.address}/works/${id}/finish`);
  await expect(page.getByText('First decide which face goes outside.')).toBeVisible();
  await page.getByRole('radio', { name: 'Wrong side' }).click();
  await expect(page.getByText('hold the panels with their right sides together')).toBeVisible();
});

test('inches are told in quarters or in decimals, everywhere at once', { tag: '@long' }, async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/size`);
  await expect(page.getByRole('slider', { name: 'Width' })).toBeVisible();
  await page.getByRole('button', { name: /right hand/ }).click();
  await page.getByRole('radio', { name: 'in, yd, oz' }).click();
  // 36 stitches of 6.25 mm: 225 mm are 8.86 in, in quarters 8 3/4.
  await expect(page.getByText('8 3/4 in').first()).toBeVisible();
  await page.getByRole('radio', { name: '9.50' }).click();
  await expect(page.getByText('8.86 in').first()).toBeVisible();
  await page.goto(`${server.address}/works/${id}/yarn`);
  await expect(page.getByText(/ yd/).first()).toBeVisible();
});
