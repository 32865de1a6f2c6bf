import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { begunCloth, expect, test, wishedCloth } from './server.ts';

async function clean(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map((each) => `${each.id}: ${each.nodes.map((node) => node.target.join(' ')).join(', ')}`)).toEqual(
    [],
  );
}

const desk = { width: 1280, height: 800 };
const tablet = { width: 820, height: 1180 };
const phone = { width: 390, height: 844 };

interface Works {
  readonly wished: string;
  readonly begun: string;
}

/** Every view; those that are laid out otherwise on a phone are looked at by axe there as well. */
const views: readonly { path: (works: Works) => string; otherwise?: true }[] = [
  { path: () => '/', otherwise: true },
  { path: () => '/wish', otherwise: true },
  { path: ({ wished }) => `/works/${wished}/wish` },
  { path: ({ wished }) => `/works/${wished}/size`, otherwise: true },
  { path: ({ wished }) => `/works/${wished}/rows` },
  { path: ({ wished }) => `/works/${wished}/yarn` },
  { path: ({ wished }) => `/works/${wished}/strips` },
  { path: ({ wished }) => `/works/${wished}/finish` },
  { path: () => '/book' },
  { path: () => '/book/tide-marks' },
  { path: () => '/words' },
  { path: () => '/switch' },
  { path: () => '/shopping' },
  { path: () => '/given' },
  { path: () => '/given?from=piece' },
  { path: () => '/drawer' },
  { path: () => '/swatches' },
  { path: () => '/swatches/new' },
  { path: ({ begun }) => `/works/${begun}/work`, otherwise: true },
  { path: ({ begun }) => `/works/${begun}/log` },
  { path: ({ begun }) => `/works/${begun}/onward` },
  { path: () => '/evenings' },
];

const parts = 4;

for (let part = 0; part < parts; part++) {
  test(`every view is axe clean and holds its width, part ${part + 1} of ${parts}`, async ({ page, server }) => {
    const works = {
      wished: await wishedCloth(server, { title: 'Bunk blanket for the upper room by the harbour window' }),
      begun: await begunCloth(server),
    };
    for (const { path, otherwise } of views.filter((_, i) => i % parts === part)) {
      const view = path(works);
      await page.setViewportSize(desk);
      await page.goto(server.address + view);
      await expect(page.getByRole('main')).toBeVisible();
      await page.waitForLoadState('networkidle');
      await clean(page);
      for (const size of [tablet, phone]) {
        await page.setViewportSize(size);
        const over = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        await expect.poll(over, { message: `${view} at ${size.width} px` }).toBeLessThanOrEqual(0);
      }
      if (otherwise) await clean(page);
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
