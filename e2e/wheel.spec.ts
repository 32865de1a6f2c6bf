import { expect, test } from './server.ts';

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
  await expect(page.getByText('✓ Saved')).toBeVisible();
  const [stored] = await server.get<{ pattern: { text: string } }[]>('/patterns');
  expect(stored?.pattern.text).toContain('setup: | 1dc@ring:D 1dc@ring:B 1dc@ring:C 1dc@ring:B |');
  expect(stored?.pattern.text).toContain('row: | (j)dc:D (j)dc:B (j)dc:C (j)dc:B |');

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
