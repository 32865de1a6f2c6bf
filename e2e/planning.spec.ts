import { expect, test, wishedCloth } from './server.ts';

test('what was changed on the mat is taken back and taken up again', async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/size`);
  const width = page.getByRole('slider', { name: 'Width' });
  const before = (await width.getAttribute('aria-valuetext')) ?? '';
  await width.focus();
  await page.keyboard.press('ArrowRight');
  await expect(width).not.toHaveAttribute('aria-valuetext', before);
  const after = (await width.getAttribute('aria-valuetext')) ?? '';
  await page.keyboard.press('Control+z');
  await expect(width).toHaveAttribute('aria-valuetext', before);
  await page.getByRole('button', { name: /^Redo/ }).click();
  await expect(width).toHaveAttribute('aria-valuetext', after);
  await expect(page.getByText('✓ Saved', { exact: true })).toBeVisible();
});

test('as big as the yarn at hand allows, and where one row of blocks more takes one ball more', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'I counted it' }).click();
  for (const i of [0, 1]) {
    await page.getByLabel('m per ball').nth(i).fill('85');
    await page.getByLabel('g per ball').nth(i).fill('50');
    await page.getByLabel('Balls you have').nth(i).fill('1');
  }
  await page.getByRole('button', { name: 'See sizes' }).click();
  await page.getByRole('button', { name: 'As big as my yarn allows' }).click();
  await expect(page.getByText(/your yarn makes \((over )?9\d % sure to be enough/)).toBeVisible();
  // It is taken and kept.
  await expect(page.getByText('✓ Saved', { exact: true })).toBeVisible();
  const chains = await page.getByTestId('chains').innerText();
  await page.reload();
  await expect(page.getByTestId('chains')).toHaveText(chains);
  const heights = page.getByRole('region', { name: 'Balls for each height' });
  await expect(heights.getByRole('button', { name: /^\d+ rows, \d+ balls/ }).first()).toBeVisible();
});

test('a pattern as given: its multiple is of chains, and its row fits', async ({ page, server }) => {
  await page.goto(`${server.address}/given`);
  await page.getByLabel('Stitch multiple, as written').fill('multiple of 9 + 2');
  await page.getByLabel('Chains', { exact: true }).fill('47');
  await page.getByLabel('Rows, one or more, as they are written').fill('1A | 6A 3B |');
  const verdict = page.getByRole('region', { name: 'Result' });
  await expect(verdict).toContainText('The multiple counts chains.');
  await expect(verdict).toContainText('The row fits 47 chains exactly');
  await page.getByLabel('Chains', { exact: true }).fill('40 cm');
  // What is wrong stands at its field, with what was typed.
  await expect(page.getByLabel('Chains', { exact: true })).toHaveAccessibleDescription(
    /A length such as 40 cm does not belong here/,
  );
  await expect(page.getByLabel('Chains', { exact: true })).toHaveValue('40 cm');
});

test('a wish is made again from one on the bench', async ({ page, server }) => {
  await wishedCloth(server, { title: 'Cloth for the pantry' });
  await page.goto(server.address);
  await page.getByRole('button', { name: 'Make another: Cloth for the pantry' }).first().click();
  await expect(page.getByLabel('Project name')).toHaveValue('Cloth for the pantry, again');
});

test('rows are seen from either side, and the words are spelled out', async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/rows`);
  await expect(page.getByText('single crochet')).toBeVisible();
  await page.getByRole('radio', { name: 'WS', exact: true }).click();
  await expect(page.getByRole('radio', { name: 'WS', exact: true })).toBeChecked();
  await page.getByLabel('Swap A and B').check();
  await expect(page.getByText('Mark the first and the last stitch: the edges stay straight.')).toBeVisible();
  await page.goto(`${server.address}/words`);
  await expect(page.getByText('raised front treble crochet').first()).toBeVisible();
});

test('another pattern beside this one: what it takes more or less', async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/yarn`);
  await page.getByLabel('Compare with').selectOption('houndstooth');
  await expect(page.getByText(/(balls?|m of yarn) (less|more)|the same number/).first()).toBeVisible();
  await expect(page.getByText('as planned')).toBeVisible();
});

test('a label typed in one line, and the list of what to buy', async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByLabel('Label of A, in one line').fill('100 g = 210 m');
  await expect(page.getByLabel('m per ball').first()).toHaveValue('210');
  await expect(page.getByLabel('g per ball').first()).toHaveValue('100');
  await page.getByLabel('Project name').fill('Cloth to shop for');
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByTestId('chains')).toBeVisible();
  await page.goto(`${server.address}/shopping`);
  await expect(page.getByText('Cloth to shop for').first()).toBeVisible();
});

test('every question of finishing is asked where it belongs, and kept', async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'Blanket', exact: true }).click();
  await page.getByLabel('Project name').fill('Blanket with everything');
  await page.getByLabel('Border, rounds of sc').fill('2');
  await page.getByLabel('Border in').selectOption('B');
  await page.getByLabel('First wash').selectOption('cotton-hot');
  await page.getByLabel('A plain closing row of sc').check();
  await page.getByLabel('For a baby or small child').check();
  await expect(page.getByText(/safe-sleep advice/)).toBeVisible();
  await page.getByLabel('Technique', { exact: true }).selectOption('flecks');
  await page.getByRole('radio', { name: /Salt spray/ }).click();
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByTestId('chains')).toBeVisible();
  const works = await server.get<{ wish: { title: string } }[]>('/works');
  expect(works.find((work) => work.wish.title === 'Blanket with everything')?.wish).toMatchObject({
    pattern: { key: 'salt-spray' },
    border: { rounds: 2, colour: 'B' },
    wash: 'cotton-hot',
    closing: true,
    smallChildren: true,
  });
});

test('the book is looked through by technique, look and order', async ({ page, server }) => {
  await page.goto(`${server.address}/book`);
  await page.getByLabel('Technique').selectOption('mesh');
  await expect(page.getByRole('link', { name: /nets|cover/i })).toHaveCount(2);
  await page.getByLabel('Technique').selectOption('');
  await page.getByRole('radio', { name: 'lines', exact: true }).click();
  await page.getByRole('radio', { name: 'name', exact: true }).click();
  const names = await page.locator('main ul a').allInnerTexts();
  expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)));
  await page.reload();
  await expect(page.getByRole('radio', { name: 'lines', exact: true })).toBeChecked();
});
