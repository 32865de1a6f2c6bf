import type { Page } from '@playwright/test';
import { expect, pastChain, test } from './server.ts';

async function wishFor(page: Page, address: string, item: string): Promise<void> {
  await page.goto(`${address}/wish`);
  await page.getByRole('radio', { name: item, exact: true }).click();
}

async function countOnSwatch(page: Page, stitches: string, rows: string): Promise<void> {
  await page.getByRole('radio', { name: 'I counted it' }).click();
  await page.getByLabel('Stitches', { exact: true }).fill(stitches);
  await page.getByLabel('Rows', { exact: true }).fill(rows);
}

async function sized(page: Page, width: string, height: string): Promise<void> {
  await page.getByLabel('Width', { exact: true }).fill(width);
  await page.getByLabel(/^(Height|Length)$/).fill(height);
}

async function layOnMat(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByRole('group', { name: 'Cutting mat' })).toBeVisible();
}

async function goTo(page: Page, stage: 'Rows' | 'Yarn' | 'Finishing' | 'Size'): Promise<void> {
  await page.getByRole('navigation', { name: 'Stages of this project' }).getByRole('link', { name: stage }).click();
}

async function begin(page: Page, words: string | RegExp): Promise<void> {
  await page.getByRole('button', { name: words }).click();
  if (String(words).includes('chains')) await pastChain(page);
  await expect(page.getByTestId('row-number')).toBeVisible();
}

/** Every row to the last one, each done at once. @returns how many there were */
async function workAll(page: Page): Promise<number> {
  const number = page.getByTestId('row-number');
  let rows = 0;
  while (await number.isVisible()) {
    const before = await number.textContent();
    await page.keyboard.press('Enter');
    await page.waitForFunction(
      (words) => document.querySelector('[data-testid="row-number"]')?.textContent !== words,
      before,
    );
    rows++;
  }
  await expect(page.getByRole('heading', { name: /^All \d+ (row|round)s done$/ })).toBeVisible();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  return rows;
}

test('a mosaic cushion around a chain: both widths told, worked to its last round, one seam', async ({
  page,
  server,
}) => {
  await wishFor(page, server.address, 'Cushion cover');
  await page.getByRole('radio', { name: /Tide marks/ }).click();
  await expect(page.getByRole('radio', { name: 'rounds, not turning' })).toBeChecked();
  await expect(page.getByLabel('First row')).toHaveValue('');
  await expect(page.getByText('one seam, at the top')).toBeVisible();
  await countOnSwatch(page, '16', '17');
  await layOnMat(page);
  // 40 cm are 64 a face. A wave of 6 begins each face, so 12k round: 132, which is 66 a face, on 66 + 1 chains.
  await expect(page.getByTestId('chains')).toHaveText('67');
  await expect(page.getByRole('slider', { name: 'Width' })).toHaveAttribute(
    'aria-valuetext',
    '132 stitches, 41.3 cm flat, 82.5 cm around',
  );
  await goTo(page, 'Rows');
  await expect(page.getByText(/66 stitches along the chain, then 66 along its other side/)).toBeVisible();
  await goTo(page, 'Finishing');
  await expect(page.getByText('Close the top through both tops: 66 pairs.')).toBeVisible();
  await goTo(page, 'Size');
  await begin(page, 'Start with 67 chains');
  await expect(page.getByText('Joined with')).toBeVisible();
  // 40 cm of 5.88 mm are 68 rounds, and every odd one ends in A.
  expect(await workAll(page)).toBe(67);
});

test('a houndstooth potholder in turned rounds: 28 a face, 56 round', { tag: '@long' }, async ({ page, server }) => {
  await wishFor(page, server.address, 'Potholder');
  await page.getByRole('radio', { name: /^Houndstooth/ }).click();
  await expect(page.getByRole('radio', { name: 'rounds, turning' })).toBeChecked();
  await countOnSwatch(page, '14', '11');
  await layOnMat(page);
  await expect(page.getByTestId('chains')).toHaveText('29');
  await expect(page.getByRole('slider', { name: 'Width' })).toHaveAttribute(
    'aria-valuetext',
    '56 stitches, 20.0 cm flat, 40.0 cm around',
  );
  await begin(page, 'Start with 29 chains');
  await expect(page.getByRole('complementary')).toContainText('28 sc, 28 dc');
  // 20 cm of 9.09 mm are 22 rounds; of one row a colour every odd one last row matches the first: 21 or 23, and 21 is no farther.
  expect([21, 23]).toContain(await workAll(page));
});

test('a basket on a circle: the ring, 13 rounds of increases and one that fits, then its sides', {
  tag: '@long',
}, async ({ page, server }) => {
  await wishFor(page, server.address, 'Basket');
  await countOnSwatch(page, '15', '16');
  await expect(page.getByText(/across, \d+\.\d cm around/).first()).toBeVisible();
  await layOnMat(page);
  // 18 cm across are 84.8 round; blocks of 4 by 2 colours begin both faces on 16k: 80 round, 53.3 cm, 17.0 cm across.
  await expect(page.getByRole('slider', { name: 'Width' })).toHaveAttribute(
    'aria-valuetext',
    '80 stitches, 17.0 cm across, 53.3 cm around',
  );
  await expect(page.getByText(/6 per round × 13 rounds = 78, \+ 2 spread over one more round = 80/)).toBeVisible();
  await begin(page, 'Start with a ring');
  await expect(page.getByText('magic ring in A', { exact: false }).first()).toBeVisible();
  // 14 cm of 6.25 mm are 22.4: whole bands of 4 that end as they began are 20. With the 14 of the circle 34.
  expect(await workAll(page)).toBe(34);
});

test('a mesh: base row, two nets, and the closing row through both', async ({ page, server }) => {
  await wishFor(page, server.address, 'Mat');
  await page.getByLabel('Technique', { exact: true }).selectOption('mesh');
  await page.getByRole('radio', { name: /Two nets/ }).click();
  await page.getByRole('radio', { name: 'Windows', exact: true }).click();
  await page.getByLabel('Windows across').fill('4');
  await page.getByLabel('Height', { exact: true }).fill('12 cm');
  await layOnMat(page);
  // Two nets come again after 4 windows: 2 × 4 + 3 = 11 a row, on one chain more.
  await expect(page.getByTestId('chains')).toHaveText('12');
  await goTo(page, 'Rows');
  await expect(page.getByText(/^11 sc A$/).first()).toBeVisible();
  await page.getByRole('listbox').focus();
  await page.keyboard.press('End');
  await expect(page.getByText(/fpdc around the B post/).first()).toBeVisible();
  await expect(page.getByRole('option', { selected: true })).toContainText('11 stitches');
  await goTo(page, 'Size');
  await begin(page, 'Start with 12 chains');
  await workAll(page);
});

test('a scarf in an order of five scraps: a yarn for every letter, and each comes in where it is named', {
  tag: '@long',
}, async ({ page, server }) => {
  await wishFor(page, server.address, 'Scarf');
  await page.getByRole('radio', { name: /^Houndstooth/ }).click();
  await page.getByLabel('Your own stripe order').fill('A A | B A C A D A E A | A');
  await expect(page.getByLabel('Name of E')).toBeVisible();
  await countOnSwatch(page, '14', '11');
  await sized(page, '18 cm', '30 cm');
  await layOnMat(page);
  await goTo(page, 'Rows');
  const rows = page.getByRole('listbox', { name: 'Rows in words' });
  await expect(rows.getByRole('option').nth(2)).toContainText('B');
  await expect(rows.getByText('Finish the last dc in B.').first()).toBeVisible();
  await goTo(page, 'Size');
  await begin(page, /^Start with \d+ chains/);
  // 30 cm of 9.09 mm are 33 rows; the order closes in A after any whole part of it that ends so.
  const worked = await workAll(page);
  expect(worked % 2).toBe(1);
});

test('a granny blanket in three colours: lantern diamonds, worked to the end', { tag: '@long' }, async ({
  page,
  server,
}) => {
  await wishFor(page, server.address, 'Blanket');
  await page.getByRole('radio', { name: /Lantern diamonds/ }).click();
  await expect(page.getByLabel('Name of C')).toBeVisible();
  await sized(page, '45 cm', '50 cm');
  await layOnMat(page);
  await goTo(page, 'Rows');
  await expect(page.getByText(/skip 2 chains before every other cluster/).first()).toBeVisible();
  await goTo(page, 'Finishing');
  await expect(page.getByText(/in each corner/).first()).toBeVisible();
  await goTo(page, 'Size');
  await begin(page, /^Start with \d+ chains/);
  const rows = await workAll(page);
  // A plain row of A comes again after six.
  expect(rows % 6).toBe(1);
});

test('every choice of how it is made is kept: rounds, beginning, loops, measure, ending, ends, blend, flap', async ({
  page,
  server,
}) => {
  await wishFor(page, server.address, 'Cushion cover');
  await expect(page.getByRole('radio', { name: 'rounds, turning' })).toBeChecked();
  await page.getByLabel('First row').selectOption('ring-sc');
  await page.getByLabel('Work into the chain’s').selectOption('back bump');
  await page.getByLabel('Work into the row below’s').selectOption('back');
  await page.getByRole('radio', { name: 'all the way round' }).click();
  await page.getByLabel('Width', { exact: true }).fill('80');
  await page.getByRole('radio', { name: 'With a whole repeat' }).click();
  await page.getByLabel('Blend (optional)').first().fill('60 cotton, 40 bamboo');
  await page.getByRole('radio', { name: 'I’d rather avoid it' }).click();
  await expect(page.getByText('A ring is open below and above: two seams.')).toBeVisible();
  await layOnMat(page);
  await expect(page.getByRole('slider', { name: 'Width' })).toHaveAttribute('aria-valuetext', /around, .* flat/);
  const wishOf = async () => {
    const id = /works\/([-0-9a-f]+)/.exec(page.url())?.[1];
    return (await server.get<{ wish: Record<string, unknown> }>(`/works/${id}`)).wish;
  };
  expect(await wishOf()).toMatchObject({
    pattern: { made: 'turned-rounds', loops: 'back' },
    foundation: 'ring-sc',
    into: 'back bump',
    across: 'round',
    ending: 'whole',
    weaving: 'hate',
  });
  await goTo(page, 'Finishing');
  await expect(page.getByText(/Close the bottom through both edges of the first round/)).toBeVisible();
  // The same flat, in one cloth with a flap.
  await page.getByRole('navigation', { name: 'Stages of this project' }).getByRole('link', { name: 'Idea' }).click();
  await page.getByRole('radio', { name: 'rows, turning' }).click();
  await page.getByLabel('Width', { exact: true }).fill('40');
  await page.getByLabel('Flap (if made in one piece)').fill('10 cm');
  await expect(page.getByText('One fabric, folded over with its flap: close two sides.')).toBeVisible();
  await layOnMat(page);
  expect(await wishOf()).toMatchObject({ finish: { flap: '10 cm' } });
  await goTo(page, 'Finishing');
  await expect(page.getByText(/lay the flap of 10.0 cm over the opening/)).toBeVisible();
});

test('a basket takes the increases that its maker wants, and says how the bottom will lie', async ({
  page,
  server,
}) => {
  await wishFor(page, server.address, 'Basket');
  await countOnSwatch(page, '15', '16');
  await page.getByLabel('Increases per round').fill('9');
  await layOnMat(page);
  await expect(page.getByText(/With 9 increases per round the bottom/)).toBeVisible();
});
