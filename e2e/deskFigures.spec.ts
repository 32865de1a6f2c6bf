import type { Page } from '@playwright/test';
import { expect, type TestServer, test, wishedCloth } from './server.ts';

/*
 * What failed in trials for want of a desk, each from an empty chart to its chain.
 */
const long = { tag: '@long' };

async function empty(page: Page, server: TestServer, technique: string, name: string, size?: [number, number]) {
  await page.goto(`${server.address}/desk`);
  await page.getByRole('radio', { name: technique }).focus();
  await page.keyboard.press('Space');
  await page.getByLabel('Name').focus();
  await page.keyboard.type(name);
  for (const [label, count] of size
    ? ([
        ['Cells wide', size[0]],
        ['Rows', size[1]],
      ] as const)
    : []) {
    await page.getByLabel(label, { exact: true }).focus();
    await page.keyboard.press('Control+a');
    await page.keyboard.type(String(count));
  }
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name })).toBeVisible();
  await page.getByRole('application').focus();
}

const worked = (page: Page) => page.getByRole('status').filter({ hasText: 'Can be worked' });

async function toTheChain(page: Page) {
  await page.getByRole('link', { name: 'Start a project' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'See sizes' }).first().focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Start with / })).toBeVisible();
}

/** Types rows of letters onto a chart, the first worked first, from where row 1 begins: each key is one cell. */
async function typeRows(page: Page, rows: readonly string[]) {
  for (const [row, letters] of rows.entries()) {
    if (row) await page.keyboard.press('ArrowUp');
    for (const [cell, letter] of [...letters].entries()) {
      if (cell) await page.keyboard.press(row % 2 ? 'ArrowRight' : 'ArrowLeft');
      if (letter !== '.') await page.keyboard.press(letter);
    }
  }
}

test('a lantern of 12 by 10 in blocks, by the keyboard alone', long, async ({ page, server }) => {
  await empty(page, server, 'corner to corner', 'Lantern', [12, 10]);
  await typeRows(page, [
    '............',
    '...bbbbbb...',
    '....bbbb....',
    '...bb..bb...',
    '...bb..bb...',
    '...bb..bb...',
    '...bb..bb...',
    '....bbbb....',
    '.....bb.....',
    '............',
  ]);
  await expect(worked(page)).toBeVisible();
  await toTheChain(page);
});

test('a diamond in three colours, by the keyboard alone', long, async ({ page, server }) => {
  await empty(page, server, 'carried colourwork', 'Diamond', [9, 9]);
  await typeRows(page, [
    '....b....',
    '...bbb...',
    '..bbcbb..',
    '.bbcccbb.',
    'bbcccccbb',
    '.bbcccbb.',
    '..bbcbb..',
    '...bbb...',
    '....b....',
  ]);
  await expect(worked(page)).toBeVisible();
  await expect(page.getByText('It can be worked over a multiple of 9.')).toBeVisible();
  await toTheChain(page);
});

test('a net in which one run is short: it is caught, and made whole again', long, async ({ page, server }) => {
  await empty(page, server, 'interlocked mesh', 'Net');
  await expect(worked(page)).toBeVisible();
  await page.getByRole('tab', { name: 'Rows' }).click();
  const rows = page.getByLabel('Rows as runs, row 1 first');
  const whole = await rows.inputValue();
  const short = whole.replace(/(row 2 .*?)2( ?bpdc)/, '$11$2');
  expect(short).not.toBe(whole);
  await rows.fill(short);
  await expect(page.getByText('Row 2 has 3 cells where the others have 4.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Draw these rows' })).toBeDisabled();
  await rows.fill(whole);
  await page.getByRole('tab', { name: 'Check' }).click();
  await expect(worked(page)).toBeVisible();
  await toTheChain(page);
});

test('TIDE 2026 on the corner of a blanket, at its margins', long, async ({ page, server }) => {
  await empty(page, server, 'carried colourwork', 'Tide', [12, 9]);
  await page.getByRole('tab', { name: 'Letters' }).click();
  await page.getByLabel('Words, a line for each line').fill('TIDE 2026');
  await page.getByRole('button', { name: 'Set in the middle' }).click();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  const id = await wishedCloth(server, {
    title: 'Blanket with its year',
    item: 'blanket',
    width: { by: 'length', length: '90 cm' },
    height: { by: 'length', length: '60 cm' },
  });
  await page.goto(`${server.address}/works/${id}/wish`);
  const once = page.getByRole('region', { name: 'Put on it once' });
  await once.getByLabel('Add a figure').selectOption({ label: 'Tide' });
  await once.getByLabel('Tide, across').getByText('From the right').click();
  await once.getByLabel('Margin').fill('6 cm');
  await once.getByLabel('Tide, up').getByText('From below').click();
  await once.getByLabel('Margin').nth(1).fill('5 cm');
  await page.getByRole('button', { name: 'See sizes' }).click();
  // 5 cm of rows of 5.56 mm are 9; 6 cm of stitches of 6.25 mm are 9.6.
  await expect(page.getByRole('button', { name: /^Tide:/ })).toHaveAccessibleName(
    /(9|10) stitches from where row 1 begins, 9 rows up/,
  );
  await expect(page.getByRole('button', { name: /^Start with / })).toBeVisible();
});
