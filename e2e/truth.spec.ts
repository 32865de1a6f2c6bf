import { at, begunCloth, expect, pastChain, test, wishedCloth } from './server.ts';

test('once it is begun every screen tells the cloth on the hook, its colours swapped on the way', async ({
  page,
  server,
}) => {
  const id = await begunCloth(server, { title: 'Turned about' });
  const ticks = Array.from({ length: 16 }, (_, row) => ({
    id: crypto.randomUUID(),
    at: Date.now() - (20 - row) * 150_000,
    from: at(row),
    to: at(row + 1),
  }));
  await server.post(`/works/${id}/ticks`, { ticks });
  await page.goto(`${server.address}/works/${id}/size`);
  const ticket = page.getByRole('region', { name: 'This size in figures' });
  // 11 bands of 4 rows, 20 + 16 and 16 + 20 by turns: 4 (6 × 20 + 5 × 16) = 800 of A.
  await expect(ticket.getByText(/^800 stitches/)).toBeVisible();
  await page.goto(`${server.address}/works/${id}/onward`);
  await page.getByRole('row').filter({ hasText: 'Swap A and B from here on' }).getByRole('button').click();
  await page.getByRole('button', { name: 'Switch to this plan' }).click();
  await expect(page.getByTestId('row-number')).toHaveText('Row 17');
  // Four bands as they were, 4 (2 × 20 + 2 × 16) = 288 of A; of the seven to come four have 16 of A now, and three 20:
  // 4 (4 × 16 + 3 × 20) = 496. In all 784, and 800 of B.
  await page.goto(`${server.address}/works/${id}/size`);
  await expect(ticket.locator('li').first()).toContainText('784 stitches');
  await expect(ticket.locator('li').nth(1)).toContainText('800 stitches');
  await page.goto(`${server.address}/works/${id}/rows`);
  await expect(page.getByRole('option', { selected: true })).toContainText('B, ');
  await expect(page.getByRole('option', { selected: true })).toContainText('(16 A, 20 B)');
  await page.goto(`${server.address}/works/${id}/yarn`);
  await expect(page.getByRole('row', { name: /^stitches/ }).first()).toBeVisible();
  await page.goto(`${server.address}/works/${id}/finish`);
  await expect(page.getByText(/\d+ to weave in/)).toBeVisible();
});

test('what is begun with two presses begins once', async ({ page, server }) => {
  const id = await wishedCloth(server, { title: 'Begun once' });
  let begun = 0;
  await page.route('**/begin', async (route) => {
    begun++;
    await new Promise((done) => setTimeout(done, 600));
    await route.continue();
  });
  await page.goto(`${server.address}/works/${id}/size`);
  await expect(page.getByRole('button', { name: 'Start with 37 chains' })).toBeEnabled();
  // Two presses in one moment.
  await page.getByRole('button', { name: 'Start with 37 chains' }).evaluate((button: HTMLButtonElement) => {
    button.click();
    button.click();
  });
  await expect(page.getByTestId('step-name')).toHaveText('Chain 37');
  expect(begun).toBe(1);
  expect((await server.get<{ revision: number }>(`/works/${id}`)).revision).toBe(2);
});

test('a note is written before the work is begun, and comes back at its row', { tag: '@long' }, async ({
  page,
  server,
}) => {
  const id = await wishedCloth(server, { title: 'Noted before' });
  await page.goto(`${server.address}/works/${id}/rows`);
  await page.getByRole('listbox').focus();
  await page.keyboard.press('ArrowDown');
  await page.getByRole('textbox', { name: 'Note at row 2' }).fill('Loosely here: the edge drew in last time.');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('option').nth(1)).toContainText('Loosely here');
  await page.goto(`${server.address}/works/${id}/size`);
  await page.getByRole('button', { name: 'Start with 37 chains' }).click();
  await pastChain(page);
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await expect(page.getByText('Loosely here')).toHaveCount(0);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
  await expect(page.getByText('Loosely here: the edge drew in last time.')).toBeVisible();
});

test('refused rows offer their neighbours and to end anywhere, where they are asked for', { tag: '@long' }, async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'Rows', exact: true }).click();
  await page.getByLabel('Rows', { exact: true }).first().fill('42');
  const preview = page.getByRole('region', { name: 'What you get' });
  // Bands of 4 that end as they began: 8k + 4.
  await expect(preview.getByRole('button', { name: 'Use 36' })).toBeVisible();
  await expect(preview.getByRole('button', { name: 'Use 44' })).toBeVisible();
  await preview.getByRole('button', { name: 'Let it stop at any row' }).click();
  await expect(page.getByRole('radio', { name: 'Anywhere' })).toBeChecked();
  await expect(preview).toContainText('42 rows');
});

test('yarns take one another’s letters: what they are stays with them', { tag: '@long' }, async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByLabel('Name of A').fill('Oat of the first lot');
  await page.getByLabel('Letter').first().selectOption('B');
  await expect(page.getByLabel('Name of B')).toHaveValue('Oat of the first lot');
  await expect(page.getByLabel('Name of A')).toHaveValue('Ferry blue');
});

test('what this version cannot read stands on the bench with why, and everything else goes on', async ({
  page,
  server,
}) => {
  const id = await begunCloth(server, { title: 'Still here' });
  await page.route('**/api/unread', (route) =>
    route.fulfill({
      json: {
        works: [
          {
            id,
            title: 'From next year',
            problem: {
              code: 'cannot-be-read',
              path: 'wish.loft',
              facts: { why: 'field-unknown', key: 'loft' },
            },
          },
        ],
        yarns: [],
        swatches: [],
        entries: [],
      },
    }),
  );
  await page.goto(server.address);
  const unread = page.getByRole('region', { name: 'Could not be read' });
  await expect(unread).toContainText('From next year');
  await expect(unread).toContainText('“loft”');
  await expect(page.getByRole('heading', { name: 'Still here' })).toBeVisible();
});

test('what the last one taught stands over the wish of the next', { tag: '@long' }, async ({ page, server }) => {
  const id = await wishedCloth(server, { title: 'Galley cloth, again', lessons: ['Half a millimetre up.'] });
  await page.goto(`${server.address}/works/${id}/wish`);
  await expect(page.getByRole('region', { name: 'Your note from last time' })).toContainText('Half a millimetre up.');
});

test('a hook moves a typical size, and how a special stitch is made is a tap away', { tag: '@long' }, async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/wish`);
  await expect(page.getByText('5 mm is the usual hook for this weight.', { exact: false })).toBeVisible();
  await page.getByLabel('Hook (mm)').fill('6');
  await expect(page.getByText(/typical size is adjusted to a 6 mm hook/)).toBeVisible();
  const id = await begunCloth(server, { pattern: { key: 'two-nets' }, ending: 'whole', edges: 'whole' });
  await page.goto(`${server.address}/works/${id}/work`);
  for (const row of [1, 2]) {
    await expect(page.getByTestId('row-number')).toHaveText(`Row ${row}`);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByTestId('row-number')).toHaveText('Row 3');
  await page.keyboard.press('Space');
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: /^How dc .* is made$/ }).click();
  await expect(page.getByText(/the stitch of the base row that A left free/).first()).toBeVisible();
});
