import AxeBuilder from '@axe-core/playwright';
import type { Locator, Page } from '@playwright/test';
import { begunCloth, expect, test, weighedSwatch, wishedCloth } from './server.ts';

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
  readonly swatch: string;
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
  { path: ({ swatch }) => `/swatches/${swatch}` },
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
      swatch: await weighedSwatch(server),
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

/** Goes on by Tab until something has the focus, as a person without a mouse does. */
async function tabTo(page: Page, place: Locator): Promise<void> {
  await expect(place).toBeVisible();
  for (let i = 0; i < 120; i++) {
    if (await place.evaluate((each) => each === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`not reached by Tab: ${place}`);
}

test('a whole plan by keyboard alone, from the bench to its finish and its first row', async ({ page, server }) => {
  const type = async (label: string, text: string) => {
    await tabTo(page, page.getByLabel(label, { exact: true }));
    await page.keyboard.press('ControlOrMeta+A');
    await page.keyboard.type(text);
  };
  const stage = async (name: string) => {
    await tabTo(page, page.getByRole('navigation', { name: 'Stages of this work' }).getByRole('link', { name }));
    await page.keyboard.press('Enter');
  };
  await page.goto(server.address);
  await tabTo(page, page.getByRole('link', { name: 'New wish' }));
  await page.keyboard.press('Enter');
  // One tab stop for all items; the arrows choose among them.
  await tabTo(page, page.getByRole('radio', { name: 'Dishcloth' }));
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await expect(page.getByRole('radio', { name: 'Blanket' })).toBeChecked();
  await type('What you call it', 'Blanket without a mouse');
  await type('Width', '60');
  await type('Height', '80');
  await tabTo(page, page.getByRole('radio', { name: 'Typical for the yarn' }));
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await type('Stitches', '14');
  await type('Rows', '16');
  await type('Border, rounds of sc', '2');
  await tabTo(page, page.getByRole('button', { name: 'Lay it on the mat' }));
  await page.keyboard.press('Enter');
  // 600 mm less 4 rows of 6.25: 575 mm are 80.5 stitches of 7.14; alike on 8k + 4, so 76 or 84, on 85 chains.
  await expect(page.getByTestId('chains')).toHaveText('85');
  await tabTo(page, page.getByRole('slider', { name: 'Width' }));
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByTestId('chains')).not.toHaveText('85');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await stage('Rows');
  await tabTo(page, page.getByRole('listbox').first());
  await page.keyboard.press('ArrowDown');
  await stage('Yarn');
  await tabTo(page, page.getByRole('button', { name: 'cut always' }));
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'cut always' })).toHaveAttribute('aria-pressed', 'true');
  await stage('Finish');
  await expect(page.getByText('sc along the top and the bottom')).toBeVisible();
  await stage('Size');
  await tabTo(page, page.getByRole('slider', { name: 'Width' }));
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
});

test('what opens over the row in hand is axe clean too', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  await page.getByRole('button', { name: 'Reading' }).click();
  await clean(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Something is wrong' }).click();
  for (const tab of ['Find my row', 'The count is off', 'Rip back', 'Slips and cures']) {
    await page.getByRole('tab', { name: tab }).click();
    if (tab === 'The count is off') await page.getByLabel('Counted in row 1').fill('35');
    await clean(page);
  }
});
