import type { Locator, Page } from '@playwright/test';
import { begunCloth, expect, pastChain, test } from './server.ts';
import { axe } from './walk.ts';

/** Goes on by Tab until something has the focus, as a person without a mouse does. */
async function tabTo(page: Page, place: Locator): Promise<void> {
  await expect(place).toBeVisible();
  for (let i = 0; i < 120; i++) {
    if (await place.evaluate((each) => each === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`not reached by Tab: ${place}`);
}

test('a whole plan by keyboard alone, from the bench to its finish and its first row', { tag: '@long' }, async ({
  page,
  server,
}) => {
  const type = async (label: string, text: string) => {
    await tabTo(page, page.getByLabel(label, { exact: true }));
    await page.keyboard.press('ControlOrMeta+A');
    await page.keyboard.type(text);
  };
  /** Goes on by an arrow within a group that is one tab stop, and takes what it comes to, as quickly as fingers can. */
  const take = async (place: Locator) => {
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Space');
    await expect(place).toBeChecked();
  };
  const stage = async (name: string) => {
    await tabTo(page, page.getByRole('navigation', { name: 'Stages of this project' }).getByRole('link', { name }));
    await page.keyboard.press('Enter');
  };
  await page.goto(server.address);
  await tabTo(page, page.getByRole('link', { name: 'New project' }));
  await page.keyboard.press('Enter');
  // One tab stop for all items; the arrows choose among them.
  await tabTo(page, page.getByRole('radio', { name: 'Dishcloth' }));
  await page.keyboard.press('End');
  await expect(page.getByRole('radio', { name: 'One panel for a bag', exact: true })).toBeFocused();
  await page.keyboard.press('Home');
  await take(page.getByRole('radio', { name: 'Blanket', exact: true }));
  await type('Project name', 'Blanket without a mouse');
  await type('Width', '60');
  await type('Height', '80');
  await tabTo(page, page.getByRole('radio', { name: 'Typical for this yarn' }));
  await take(page.getByRole('radio', { name: 'I counted it' }));
  await type('Stitches', '14');
  await type('Rows', '16');
  await type('Border, rounds of sc', '2');
  await tabTo(page, page.getByRole('button', { name: 'See sizes' }));
  await page.keyboard.press('Enter');
  // 600 mm less 4 rows of 6.25: 575 mm are 80.5 stitches of 7.14; alike on 8k + 4, so 76 or 84, on 85 chains.
  await expect(page.getByTestId('chains')).toHaveText('85');
  await tabTo(page, page.getByRole('slider', { name: 'Width' }));
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByTestId('chains')).not.toHaveText('85');
  await expect(page.getByText('✓ Saved', { exact: true })).toBeVisible();
  await stage('Rows');
  await tabTo(page, page.getByRole('listbox').first());
  await page.keyboard.press('ArrowDown');
  await stage('Yarn');
  await tabTo(page, page.getByRole('button', { name: 'cut' }));
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'cut' })).toHaveAttribute('aria-pressed', 'true');
  await stage('Finishing');
  await expect(page.getByText('sc along the top and the bottom')).toBeVisible();
  await stage('Size');
  await tabTo(page, page.getByRole('button', { name: /^Start with/ }));
  await page.keyboard.press('Enter');
  await pastChain(page);
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
});

test('what opens over the row in hand is axe clean too', { tag: '@long' }, async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  await page.getByRole('button', { name: 'Display' }).click();
  expect(await axe(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Something is wrong' }).click();
  for (const tab of ['Find my row', 'My count is wrong', 'Rip back', 'Common slips and how to mend them']) {
    await page.getByRole('tab', { name: tab }).click();
    if (tab === 'My count is wrong') await page.getByLabel('Stitches you count in row 1').fill('35');
    expect(await axe(page)).toEqual([]);
  }
});
