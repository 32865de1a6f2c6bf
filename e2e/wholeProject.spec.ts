import type { Locator, Page } from '@playwright/test';
import { expect, pastChain, type TestServer, test } from './server.ts';

test.use({ firstUse: true });

const newest = async (server: TestServer) =>
  (await server.get<{ state: string; size: { rows: number }; wish: { item: string } }[]>('/works'))[0];

/** Goes on by Tab until something has the focus, as a person without a mouse does. */
async function tabTo(page: Page, place: Locator): Promise<void> {
  await expect(place).toBeVisible();
  for (let i = 0; i < 120; i++) {
    if (await place.evaluate((each) => each === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`not reached by Tab: ${place}`);
}

test('by keyboard alone, from an empty bench to a finished cloth', async ({ page, server }) => {
  const press = async (role: 'link' | 'button', name: string | RegExp) => {
    await tabTo(page, page.getByRole(role, { name }));
    await page.keyboard.press('Enter');
  };
  await page.goto(server.address);
  await press('link', 'New project');
  // Two questions: what, and how big; all else has its usual answer.
  await tabTo(page, page.getByRole('radio', { name: 'Dishcloth' }));
  for (const label of ['Width', 'Height']) {
    await tabTo(page, page.getByLabel(label, { exact: true }));
    await page.keyboard.press('ControlOrMeta+A');
    await page.keyboard.type('8');
  }
  await press('button', 'See sizes');
  await press('button', /^Start with \d+ chains$/);
  await pastChain(page);
  const row = page.getByTestId('row-number');
  await expect(row).toHaveText('Row 1');
  const { rows } = (await newest(server))?.size ?? { rows: 0 };
  expect(rows).toBeGreaterThan(3);
  for (let n = 1; n <= rows; n++) {
    await expect(row).toHaveText(`Row ${n}`);
    await page.keyboard.press('Enter');
  }
  await press('button', 'Mark as finished');
  await expect(page.getByRole('heading', { name: 'Finished' })).toBeVisible();
  expect(await newest(server)).toMatchObject({ state: 'finished', wish: { item: 'dishcloth' } });
});

test.describe('by touch alone, on a phone', () => {
  test.use({ hasTouch: true, isMobile: true, viewport: { width: 390, height: 844 } });
  test('from an empty bench to a finished cloth; what comes of it and the next act are always in sight', async ({
    page,
    server,
  }) => {
    await page.goto(server.address);
    await page.getByRole('link', { name: 'New project' }).tap();
    await page.getByRole('radio', { name: 'Potholder' }).tap();
    await page.getByRole('radio', { name: 'Dishcloth' }).tap();
    // The patterns stand on a sheet of their own; the one that is taken closes it.
    await page.getByRole('button', { name: 'Pattern', exact: true }).tap();
    await page.getByRole('button', { name: 'Choose another pattern' }).tap();
    const sheet = page.getByRole('dialog', { name: 'Patterns' });
    await sheet.getByRole('radio', { name: /Houndstooth/ }).tap();
    await expect(sheet).toBeHidden();
    await expect(page.getByText('Houndstooth').first()).toBeVisible();
    await page.getByRole('button', { name: 'Choose another pattern' }).tap();
    await sheet.getByRole('radio', { name: /Block check/ }).tap();
    await page.getByRole('button', { name: 'Pattern', exact: true }).tap();
    for (const label of ['Width', 'Height']) await page.getByLabel(label, { exact: true }).fill('8');
    const bar = page.getByRole('region', { name: 'What it comes to, and what is next' });
    await expect(bar).toBeInViewport({ ratio: 1 });
    await expect(bar).toContainText('chains');
    await page.evaluate(() => window.scrollTo(0, 0));
    await expect(bar.getByRole('button', { name: 'See sizes' })).toBeInViewport({ ratio: 1 });
    await bar.getByRole('button', { name: 'See sizes' }).tap();
    await expect(page.getByRole('group', { name: 'Cutting mat' })).toBeInViewport();
    await expect(bar).toContainText('cm');
    await bar.getByRole('button', { name: /^Start with/ }).tap();
    await expect(page.getByTestId('step-name')).toHaveText(/^Chain \d+$/);
    await expect(page.getByRole('button', { name: 'Next', exact: true })).toBeInViewport({ ratio: 1 });
    await page.getByRole('button', { name: 'Step done' }).tap();
    await expect(page.getByTestId('row-number')).toHaveText('Row 1');
    const { rows } = (await newest(server))?.size ?? { rows: 0 };
    await page.getByRole('button', { name: 'Next', exact: true }).tap();
    for (let n = 1; n <= rows; n++) await page.getByRole('button', { name: `Finish row ${n}` }).tap();
    await page.getByRole('button', { name: 'Mark as finished' }).tap();
    await expect(page.getByRole('heading', { name: 'Finished' })).toBeVisible();
    expect((await newest(server))?.state).toBe('finished');
  });
});

test('by names and live texts alone: nothing is looked at but what a screen reader has', { tag: '@long' }, async ({
  page,
  server,
}) => {
  /** All that is heard of the page. */
  const heard = () => page.locator('body').ariaSnapshot();
  const tells = (what: RegExp) => expect.poll(heard).toMatch(what);
  await page.goto(server.address);
  await tells(/heading "Bench" \[level=1\]/);
  await page.getByRole('link', { name: 'New project' }).press('Enter');
  await tells(/radio "Dishcloth" \[checked\]/);
  for (const name of ['Width', 'Height']) await page.getByRole('textbox', { name, exact: true }).fill('8');
  await tells(/region "What you get"/);
  await page.getByRole('button', { name: 'See sizes' }).press('Enter');
  await tells(/slider "Width"/);
  await tells(/button "Start with \d+ chains"/);
  await page.getByRole('button', { name: /^Start with \d+ chains$/ }).press('Enter');
  await tells(/status: Chain \d+/);
  await page.keyboard.press('Enter');
  // What is to be worked, and where that is, is told by itself at each step.
  await tells(/status: \d+ single crochet in A, close the \d+(st|nd|rd|th) in B; row 1 of \d+/);
  const rows = Number(/; row 1 of (\d+)/.exec(await heard())?.[1]);
  await page.keyboard.press('Space');
  await tells(/status: \d+ single crochet in B.*; row 1 of/);
  for (let n = 1; n < rows; n++) {
    await page.keyboard.press('Enter');
    await tells(new RegExp(`status: .*; row ${n + 1} of ${rows}`));
  }
  await page.keyboard.press('Enter');
  await tells(new RegExp(`heading "All ${rows} rows done"`));
  await page.getByRole('button', { name: 'Mark as finished' }).press('Enter');
  await tells(/heading "Finished" \[level=2\]/);
});

test('an empty bench invites: an example that is clearly one and can be thrown away, yarn, and a draft', async ({
  page,
  server,
}) => {
  await page.goto(server.address);
  await page.getByRole('button', { name: 'Look at an example' }).click();
  // 24 cm at 16 stitches in 10 cm are 38.4: 36 is the nearest on 8k + 4, on 37 chains.
  await expect(page.getByTestId('chains')).toHaveText('37');
  await expect(page.getByRole('heading', { name: 'Example: a checked dishcloth' })).toBeVisible();
  await page.getByRole('link', { name: 'Bench: all projects' }).click();
  await page.getByRole('button', { name: 'Delete: Example: a checked dishcloth' }).click();
  await page.getByRole('link', { name: 'Add yarn from a label' }).click();
  await expect(page.getByText(/Your yarn will lie here/)).toBeVisible();
  // With but a draft on it, a bench has a way to a new project still.
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'Scarf' }).click();
  await expect(page.getByText('✓ Saved', { exact: true })).toBeVisible();
  await page.goto(server.address);
  await expect(page.getByRole('link', { name: 'Keep editing' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'New project' })).toBeVisible();
});
