import { readFileSync } from 'node:fs';
import { at, begunCloth, expect, pastChain, start, type TestServer, test } from './server.ts';

/** 12 stitches and 12 rows in blocks of four. */
const small = { width: { by: 'repeats', count: 3 }, height: { by: 'repeats', count: 3 } };

async function workedTo(server: TestServer, id: string, rows: number): Promise<void> {
  const tick = { id: crypto.randomUUID(), at: 1_700_000_000_000, from: start, to: at(rows) };
  await server.post(`/works/${id}/ticks`, { ticks: [tick] });
}

test('by keyboard, with a power cut in the middle: a whole small cloth, worked to its log', { tag: '@long' }, async ({
  page,
  ownServer,
}) => {
  const id = await begunCloth(ownServer, small);
  await page.goto(`${ownServer.address}/works/${id}/work`);
  const row = page.getByTestId('row-number');
  await expect(row).toHaveText('Row 1');
  for (const left of ['8', '4']) {
    await page.keyboard.press('PageDown');
    await expect(page.getByText(`${left} stitches left in the row`)).toBeVisible();
  }
  await page.keyboard.press('Space');
  for (let n = 2; n <= 6; n++) {
    await expect(row).toHaveText(`Row ${n}`);
    await page.keyboard.press('Enter');
  }
  await expect(row).toHaveText('Row 7');
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await ownServer.kill();
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 step is safe in this browser')).toBeVisible();
  await ownServer.start();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  for (let n = 8; n <= 12; n++) {
    await expect(row).toHaveText(`Row ${n}`);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByRole('heading', { name: 'All 12 rows done' })).toBeVisible();
  await page.getByRole('button', { name: 'Mark as finished' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Finished' })).toBeVisible();
  await page.getByRole('link', { name: 'Log: Galley cloth' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('12 of 12')).toBeVisible();
});

test('the yarn runs short: the rest is planned anew, worked, and the cloth finished; the old plan is kept', async ({
  page,
  server,
}) => {
  const yarn = { weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50, balls: 1 };
  const yarns = [
    { ...yarn, letter: 'A', name: 'Oat', shade: '#e9dfc4' },
    { ...yarn, letter: 'B', name: 'Ferry blue', shade: '#24476b' },
  ];
  const id = await begunCloth(server, { title: 'Short of blue', yarns });
  await workedTo(server, id, 20);
  await page.goto(`${server.address}/works/${id}/log`);
  await page.getByRole('form', { name: 'Weigh a ball' }).getByLabel('Colour').selectOption('B');
  await page.getByLabel('Started at (g)').fill('20');
  await page.getByLabel('Weighs now (g)').fill('8.5');
  await page.getByRole('button', { name: 'Save weighing' }).click();
  await expect(page.getByText(/It ends between rows/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^B: expected \d+ to \d+ m before any weighing/ })).toBeVisible();
  await page.getByRole('link', { name: 'Plan the rest again' }).last().click();
  // Planned: 44 rows do not last. The longest that do end in the colour they began with, so 8k + 4 rows.
  const enough = page.getByRole('row').filter({ hasText: 'As long as the yarn lasts' });
  await enough.getByRole('button').click();
  const rows = Number(await enough.getByRole('cell').first().textContent());
  expect([28, 36]).toContain(rows);
  await expect(page.getByRole('row').filter({ hasText: 'Go on as planned' })).toContainText('✕');
  await expect(enough).toContainText('✓');
  await page.getByRole('button', { name: 'Switch to this plan' }).click();
  await expect(page.getByTestId('row-number')).toHaveText('Row 21');
  await expect(page.getByText(`of ${rows}`, { exact: true })).toBeVisible();
  for (let n = 21; n <= rows; n++) {
    await page.keyboard.press('Enter');
    if (n < rows) await expect(page.getByTestId('row-number')).toHaveText(`Row ${n + 1}`);
  }
  await page.getByRole('button', { name: 'Mark as finished' }).click();
  // The head of the work has this name too: it is finished when the bench is there again.
  await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Short of blue' })).toBeVisible();
  const { state, size } = await server.get<{ state: string; size: { rows: number } }>(`/works/${id}`);
  expect([state, size.rows]).toEqual(['finished', rows]);
  expect(await server.get<object[]>(`/works/${id}/former`)).toHaveLength(1);
});

test('ripped back to a good place and ended there; what was left is looked at again', async ({ page, server }) => {
  const id = await begunCloth(server, { title: 'Ended early' });
  await workedTo(server, id, 14);
  await page.goto(`${server.address}/works/${id}/onward`);
  await page.getByRole('button', { name: 'Rip back to a good place, end there' }).click();
  // 12 rows, the last of the heights 8k + 4 below 14; two rows of 36 come out.
  await expect(page.getByRole('complementary').getByText(/^72 stitches/)).toBeVisible();
  await page.getByRole('button', { name: 'Switch to this plan' }).click();
  await expect(page.getByRole('heading', { name: 'All 12 rows done' })).toBeVisible();
  await page.goto(`${server.address}/works/${id}/onward`);
  // Beside the plan of now, 12 rows of 5.56 mm, the one that was left: 44 rows.
  const plans = page.getByRole('region', { name: 'Earlier plans' }).getByRole('listitem');
  await expect(plans.first()).toContainText('22.5 × 6.7 cm');
  await expect(plans.last()).toContainText('Until row 12');
  await expect(plans.last()).toContainText('22.5 × 24.4 cm');
});

test('a cloth behind the first is planned again, and those after it; the ones that are made stay', async ({
  page,
  server,
}) => {
  const id = await begunCloth(server, { title: 'Three for the galley', pieces: 3 });
  // The first with its ends, the chain of the second, and twenty rows.
  await workedTo(server, id, 46 + 20);
  await page.goto(`${server.address}/works/${id}/onward`);
  await expect(page.getByText('Dishcloth 2 of 3: 20 of 44 rows are done.')).toBeVisible();
  await expect(page.getByText('The first stays as it is.')).toContainText('this dishcloth and the one after it');
  await page.getByRole('button', { name: 'End at the next good place' }).click();
  await page.getByRole('button', { name: 'Switch to this plan' }).click();
  // The row in hand, of a cloth of 20 rows: its steps come next, and then the chain of the third.
  await expect(page.getByRole('heading', { name: 'Dishcloth 2 of 3: All 20 rows done' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Dishcloth 3 of 3', { exact: true })).toBeVisible();
  await pastChain(page);
  await expect(page.getByText('of 20', { exact: true })).toBeVisible();
  // One step back over it: the second, and back into the rows of the first, which are 44.
  await page.getByRole('button', { name: 'Something is wrong' }).click();
  await page.getByRole('tab', { name: 'Rip back' }).click();
  await page.getByLabel('Last row to keep').fill('0');
  await page.keyboard.press('Escape');
  await page.goto(`${server.address}/works/${id}/rows`);
  await expect(page.getByText(/^Dishcloth 3 of 3; .*, 20 rows$/)).toBeVisible();
  await page.goto(`${server.address}/works/${id}/onward`);
  await expect(page.getByText('Dishcloth 3 of 3: 0 of 20 rows are done.')).toBeVisible();
  await expect(page.getByText('The first 2 stay as they are. What you choose holds for this dishcloth.')).toBeVisible();
  const plans = page.getByRole('region', { name: 'Earlier plans' }).getByRole('listitem');
  await expect(plans.last()).toContainText('Until dishcloth 2, row 20');
  await page.goto(`${server.address}/works/${id}/set`);
  await expect(page.getByText('2 of 3 done')).toBeVisible();
  await page.goto(server.address);
  await expect(page.getByText('20 rows left of 20')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Go on at row 1' })).toBeVisible();
});

test('a panel that is joined to one that is made stays as large', async ({ page, server }) => {
  const id = await begunCloth(server, {
    title: 'Bag of two panels',
    item: 'bag',
    pieces: 2,
    finish: { seam: 'sc' },
  });
  await workedTo(server, id, 46 + 12);
  await page.goto(`${server.address}/works/${id}/onward`);
  await expect(page.getByText('This panel is joined to panel 1, which is made')).toBeVisible();
  const ways = page.getByRole('table', { name: 'Ways to finish this project' });
  await expect(ways.getByRole('rowheader')).toHaveText(['Go on as planned', 'Swap A and B from here on']);
});

test('a work is handed over as one file, and merged where it is known', async ({ page, server, ownServer }) => {
  const id = await begunCloth(server, { title: 'Cloth for two hands' });
  await workedTo(server, id, 6);
  await page.goto(`${server.address}/works/${id}/log`);
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save this project as a file' }).click();
  const saved = await saving;
  expect(saved.suggestedFilename()).toBe('cloth-for-two-hands.zip');
  const file = readFileSync(await saved.path());
  await page.goto(`${ownServer.address}/copies`);
  const bring = () =>
    page
      .getByLabel('Open a backup or a project file')
      .setInputFiles({ name: 'cloth.zip', mimeType: 'application/zip', buffer: file });
  await bring();
  await expect(page.getByText('cloth.zip holds one project: Cloth for two hands.')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Open this project' })).toHaveCount(0);
  for (const answer of ['it’s on your bench', 'rows and log of both']) {
    await bring();
    await page.getByRole('button', { name: 'Open this project' }).click();
    await expect(page.getByRole('status').filter({ hasText: answer })).toBeVisible();
  }
  await page.getByRole('link', { name: 'Look at it' }).click();
  await page.getByRole('link', { name: 'Go on at row 7' }).click();
  await expect(page.getByTestId('row-number')).toHaveText('Row 7');
});

test('by taste: the rows to come in sight, told to tug; and what a wrong count costs', { tag: '@long' }, async ({
  page,
  server,
}) => {
  const id = await begunCloth(server, { title: 'Cloth by taste' });
  await workedTo(server, id, 8);
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByRole('img', { name: '8 of 44 rows worked; the rest is covered' })).toBeVisible();
  await page.getByRole('button', { name: 'Display' }).click();
  await page.getByLabel('Hide finished rows and show those to come').check();
  await page.getByLabel('Remind me to pull the idle yarn snug').selectOption({ label: 'at each colour change' });
  await page.keyboard.press('Escape');
  await expect(page.getByRole('img', { name: '8 of 44 rows worked; they are covered' })).toBeVisible();
  await expect(page.getByText('After the change tug A gently')).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(page.getByText('After the change tug B gently')).toBeVisible();
  await page.getByRole('button', { name: 'Display' }).click();
  await page.getByLabel('Remind me to pull the idle yarn snug').selectOption({ label: 'never: I lay it in loosely' });
  await page.keyboard.press('Escape');
  await expect(page.getByText('Lay B in loosely; do not pull it')).toBeVisible();
  await page.getByRole('button', { name: 'Something is wrong' }).click();
  await page.getByRole('tab', { name: 'My count is wrong' }).click();
  await page.getByLabel('Stitches you count in row 9').fill('35');
  // Four stitches of the row are worked.
  const costs = page.getByRole('region', { name: 'What it costs' });
  await expect(costs.getByRole('row', { name: /^Undo row 9 as far as you have got 4 1 / })).toBeVisible();
  await page.getByRole('link', { name: 'See all ways to go on' }).click();
  await expect(page.getByRole('button', { name: 'Go on as planned' })).toBeVisible();
});

test('a photo is made small and kept at its row; what is no picture is told', async ({ page, server }) => {
  const id = await begunCloth(server, { title: 'Cloth in the light' });
  await workedTo(server, id, 5);
  await page.goto(`${server.address}/works/${id}/log`);
  const add = page.getByLabel('Add a photo at row 5');
  const text = { name: 'words.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') };
  await add.setInputFiles(text);
  await expect(page.getByRole('alert')).toContainText('words.txt could not be opened');
  const buffer = await page.screenshot();
  await add.setInputFiles({ name: 'cloth.png', mimeType: 'image/png', buffer });
  const photo = page.getByRole('img', { name: 'The project after row 5' });
  await expect(photo).toBeVisible();
  await page.reload();
  await expect(photo).toBeVisible();
  // Small in the list, and whole a tap away.
  await expect.poll(() => photo.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(320);
  await page.getByRole('link', { name: 'The project after row 5' }).click();
  const whole = page.locator('img');
  await expect.poll(() => whole.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(1200);
  await page.goBack();
  await page.getByRole('button', { name: 'Correct the photo at row 5' }).click();
  const row = page.getByLabel('Taken after row');
  await row.fill('45');
  await expect(row).toHaveAccessibleDescription(/Type a row from 0 to 44/);
  await row.fill('4');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('img', { name: 'The project after row 4' })).toBeVisible();
  await page.getByRole('button', { name: 'Delete the photo at row 4' }).click();
  await expect(page.getByRole('img', { name: 'The project after row 4' })).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('img', { name: 'The project after row 4' })).toBeVisible();
});

test('an open end: at each good place what it is by now, and it is ended there', { tag: '@long' }, async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/wish`);
  await page.getByLabel('Project name').fill('Strip as far as it goes');
  await page.getByLabel(/^Stop anywhere/).check();
  await page.getByRole('button', { name: 'See sizes' }).click();
  await page.getByRole('radio', { name: 'A whole repeat', exact: true }).click();
  await page.getByRole('button', { name: /^Start with \d+ chains/ }).click();
  await pastChain(page);
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  const band = page.getByRole('region', { name: 'You can stop here' });
  await expect(band).toHaveCount(0);
  for (let n = 1; n <= 8; n++) {
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('row-number')).toHaveText(`Row ${n + 1}`);
    // Bands of four rows.
    await expect(band).toHaveCount(n % 4 ? 0 : 1);
  }
  await expect(band).toContainText('The next good place to stop is row 12');
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await band.getByRole('link').click();
  await page.getByRole('button', { name: 'End at the next good place' }).click();
  await page.getByRole('button', { name: 'Switch to this plan' }).click();
  await expect(page.getByRole('heading', { name: 'All 8 rows done' })).toBeVisible();
});

test('blocks on the diagonal, open: where they could begin to shrink it is told, and there they do', {
  tag: '@long',
}, async ({ page, server }) => {
  const id = await begunCloth(server, {
    title: 'Corner of flags',
    pattern: { key: 'signal-flag' },
    width: { by: 'stitches', count: 18 },
    height: { by: 'rows', count: 18 },
    edges: 'whole',
    ending: 'any',
    gauge: { from: 'typical' },
    open: true,
  });
  const ticks = Array.from({ length: 6 }, (_, row) => ({
    id: crypto.randomUUID(),
    at: row,
    from: at(row),
    to: at(row + 1),
  }));
  await server.post(`/works/${id}/ticks`, { ticks });
  await page.goto(`${server.address}/works/${id}/work`);
  const band = page.getByRole('region', { name: 'You can stop here' });
  await expect(band).toContainText('You can start decreasing here');
  await expect(band).toContainText('The next good place to stop is diagonal 12');
  await band.getByRole('link').click();
  await page.getByRole('button', { name: 'Start to shrink sooner' }).click();
  await page.getByRole('button', { name: 'Switch to this plan' }).click();
  // Six blocks either way: eleven diagonals.
  await expect(page.getByText('of 11', { exact: true })).toBeVisible();
  await expect(page.getByTestId('row-number')).toContainText('7');
});
