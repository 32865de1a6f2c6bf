import type { Page } from '@playwright/test';
import { expect, test } from './server.ts';

/** Chooses an item and leaves everything else as it is offered. */
async function wishFor(page: Page, address: string, item: string): Promise<void> {
  await page.goto(`${address}/wish`);
  await page.getByRole('radio', { name: item, exact: true }).click();
}

async function layOnMat(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByRole('group', { name: 'Cutting mat' })).toBeVisible();
}

async function goTo(page: Page, stage: 'Rows' | 'Yarn' | 'Finishing'): Promise<void> {
  await page.getByRole('navigation', { name: 'Stages of this project' }).getByRole('link', { name: stage }).click();
}

async function countOnSwatch(page: Page, stitches: string, rows: string): Promise<void> {
  await page.getByRole('radio', { name: 'I counted it' }).click();
  await page.getByLabel('Stitches', { exact: true }).fill(stitches);
  await page.getByLabel('Rows', { exact: true }).fill(rows);
}

test('a bordered blanket: the border is counted, and taken off the wish', { tag: '@long' }, async ({
  page,
  server,
}) => {
  await wishFor(page, server.address, 'Blanket');
  await countOnSwatch(page, '14', '16');
  await expect(page.getByLabel('Border, rounds of sc')).toHaveValue('3');
  await layOnMat(page);
  // 100 cm less 6 rows of 6.25 mm: 962.5 mm are 134.75 stitches of 7.14 mm; alike on 8k + 4, so 132 on 133 chains.
  await expect(page.getByTestId('chains')).toHaveText('133');
  await goTo(page, 'Yarn');
  await expect(page.getByRole('row', { name: /border/ })).toBeVisible();
  await page.getByRole('button', { name: 'cut' }).click();
  await expect(page.getByRole('button', { name: 'cut' })).toHaveAttribute('aria-pressed', 'true');
  await goTo(page, 'Finishing');
  // 132 stitches wide, and its two outer ones are in the corners: 130 sc along the top.
  await expect(page.getByText('130 sc along the top and the bottom')).toBeVisible();
});

test('a bag of two panels with a strap: joined at three sides, the strap shorter than it hangs', async ({
  page,
  server,
}) => {
  await wishFor(page, server.address, 'Bag');
  await expect(page.getByLabel('Panels', { exact: true })).toHaveValue('2');
  await page.getByLabel('Drop').fill('30 cm');
  await countOnSwatch(page, '16', '18');
  await layOnMat(page);
  await goTo(page, 'Finishing');
  await expect(page.getByText('Join two panels at three sides')).toBeVisible();
  // Twice 300 mm and 100 mm to join.
  await expect(page.getByText('for 70.0 cm when loaded')).toBeVisible();
  await expect(page.getByText(/keep eyelets smaller than the knot/)).toBeVisible();
});

test('a double-thick potholder: a tube around a chain, and never of acrylic', { tag: '@long' }, async ({
  page,
  server,
}) => {
  await wishFor(page, server.address, 'Potholder');
  await countOnSwatch(page, '17', '19');
  await page.getByLabel('Fibre').first().selectOption('acrylic');
  await expect(page.getByText(/acrylic, which melts/).first()).toBeVisible();
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page).toHaveURL(/\/wish(\?draft=[-0-9a-f]+)?$/);
  await page.getByLabel('Fibre').first().selectOption('cotton');
  await layOnMat(page);
  // 20 cm of 5.88 mm are 34 a face; each side starts a repeat of 8: 32 a face, 64 round, on 32 + 1 chains.
  await expect(page.getByTestId('chains')).toHaveText('33');
  await expect(page.getByText('Width, lying flat')).toBeVisible();
  await expect(page.getByText('All the way round')).toBeVisible();
  await goTo(page, 'Finishing');
  await expect(page.getByText('32 pairs')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Hanging ring' })).toBeVisible();
});

test('a cushion cover is sized by its insert', { tag: '@long' }, async ({ page, server }) => {
  await wishFor(page, server.address, 'Cushion cover');
  await page.getByLabel('Insert, cm').fill('45');
  await page.getByRole('button', { name: 'Make it 4 % smaller' }).click();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('43.2');
  await layOnMat(page);
  await goTo(page, 'Finishing');
  await expect(page.getByText(/Close the top through both tops/)).toBeVisible();
});

test('a round mat: rounds for notches, and a word where it would not lie flat', { tag: '@long' }, async ({
  page,
  server,
}) => {
  await wishFor(page, server.address, 'Round mat');
  await countOnSwatch(page, '14', '7.7');
  // A circle is asked for one size only.
  await expect(page.getByLabel('Diameter')).toHaveValue('30');
  await expect(page.getByLabel('Width', { exact: true })).toHaveCount(0);
  await page.getByRole('radio', { name: 'Rounds', exact: true }).click();
  await expect(page.getByLabel('Rounds', { exact: true })).toHaveValue('11');
  await page.getByRole('radio', { name: 'Diameter' }).click();
  await expect(page.getByLabel('Diameter')).toHaveValue('30');
  await page.getByLabel('Wedges', { exact: true }).fill('8');
  await layOnMat(page);
  await expect(page.getByText(/With 8 wedges it will cup/)).toBeVisible();
  // 30 cm by rounds of 25.97 mm: 12 of them.
  await expect(page.getByRole('slider', { name: 'Height' })).toHaveAttribute('aria-valuetext', /^12 rounds/);
  await expect(page.getByRole('button', { name: 'Start with a ring' })).toBeVisible();
  await goTo(page, 'Rows');
  await expect(page.getByText(/magic ring in A/)).toBeVisible();
  await goTo(page, 'Finishing');
  await expect(page.getByText('4 to weave in')).toBeVisible();
});

test('a set of twelve cloths shares its balls', { tag: '@long' }, async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByLabel('How many').fill('12');
  await countOnSwatch(page, '16', '18');
  for (const i of [0, 1]) {
    await page.getByLabel('m per ball').nth(i).fill('85');
    await page.getByLabel('g per ball').nth(i).fill('50');
    await page.getByLabel('Balls you have').nth(i).fill('3');
  }
  await layOnMat(page);
  await goTo(page, 'Yarn');
  await expect(page.getByText(/^Buy \d+ balls/).first()).toBeVisible();
  await expect(page.getByText('What you have is not enough (under 1 %)').first()).toBeVisible();
  await goTo(page, 'Finishing');
  await expect(page.getByText('Paper band around all 12')).toBeVisible();
});

test('the book: find a pattern, read what it states, and wish for something in it', { tag: '@long' }, async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/book`);
  await page.getByLabel('Find').fill('tide');
  await page.getByRole('link', { name: 'Tide marks' }).click();
  const pattern = page.getByRole('article', { name: 'Tide marks' });
  await expect(pattern).toContainText('a multiple of 6 + 3 stitches (chain 6 + 4)');
  await expect(pattern).toContainText('envelope border');
  await pattern.getByRole('link', { name: 'Start a project with it' }).click();
  await expect(page.getByRole('radio', { name: /Tide marks/ })).toBeChecked();
  await layOnMat(page);
  await goTo(page, 'Rows');
  await expect(page.getByText(/dc flo 2 below/).first()).toBeVisible();
});

const others = [
  // Both strands are carried throughout: each begins once and is left once.
  { item: 'Dishcloth', finish: '4 to weave in' },
  { item: 'One panel for a bag', finish: 'to weave in' },
  { item: 'Scarf', finish: 'Folded' },
  { item: 'Mat', finish: 'Paper band' },
  { item: 'Strap', finish: 'to weave in' },
];

// One of them in every run; all where long proofs are asked for.
for (const { item, finish } of process.env.PUNTADA_LONG ? others : others.slice(0, 1)) {
  test(`${item}, as it is offered: laid, every row told, its yarn and its finish counted`, async ({ page, server }) => {
    await wishFor(page, server.address, item);
    await layOnMat(page);
    await goTo(page, 'Rows');
    await expect(page.getByText(/You should have: \d+ /).first()).toBeVisible();
    await goTo(page, 'Yarn');
    await expect(page.getByRole('row', { name: /^stitches/ }).first()).toBeVisible();
    await goTo(page, 'Finishing');
    await expect(page.getByText(finish).first()).toBeVisible();
  });
}
