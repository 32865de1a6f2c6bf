import AxeBuilder from '@axe-core/playwright';
import type { Locator, Page } from '@playwright/test';
import { begunCloth, expect, test, weighedSwatch, wishedCloth } from './server.ts';

async function clean(page: Page): Promise<void> {
  // There are no frames to look into, so it need not open a page of its own to put its findings together.
  const { violations } = await new AxeBuilder({ page })
    .options({ resultTypes: ['violations'] })
    .setLegacyMode()
    .analyze();
  expect(violations.map((each) => `${each.id}: ${each.nodes.map((node) => node.target.join(' ')).join(', ')}`)).toEqual(
    [],
  );
}

const desk = { width: 1280, height: 800 };
const tablet = { width: 820, height: 1180 };
const phone = { width: 390, height: 844 };

interface Works {
  readonly bag: string;
  readonly begun: string;
  readonly swatch: string;
}

/** Every view; those that are laid out otherwise on a phone are looked at by axe there as well. */
const views: readonly { path: (works: Works) => string; otherwise?: true }[] = [
  { path: () => '/', otherwise: true },
  { path: () => '/wish', otherwise: true },
  { path: ({ bag }) => `/works/${bag}/wish` },
  { path: ({ bag }) => `/works/${bag}/size`, otherwise: true },
  { path: ({ bag }) => `/works/${bag}/rows` },
  { path: ({ bag }) => `/works/${bag}/yarn` },
  { path: ({ bag }) => `/works/${bag}/strips` },
  { path: ({ bag }) => `/works/${bag}/finish` },
  { path: () => '/book' },
  { path: () => '/book/tide-marks' },
  { path: () => '/book/two-nets' },
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

/**
 * What a view says; what is not in sight is there too. The notation of patterns has one wording for all, and the
 * list of words tells the other terms beside the maker's own.
 */
function wordsOf(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const main = document.querySelector('main')?.cloneNode(true) as HTMLElement;
    for (const each of main.querySelectorAll('pre, script, style, [data-terms="US"]')) each.remove();
    return [...main.querySelectorAll('*')].flatMap((each) =>
      [...each.childNodes].flatMap((node) => (node.nodeType === Node.TEXT_NODE ? [node.textContent ?? ''] : [])),
    );
  });
}

const parts = 4;

for (let part = 0; part < parts; part++) {
  test(`every view is axe clean, holds its width, and in UK terms has no word of the US, part ${part + 1} of ${parts}`, async ({
    page,
    server,
  }) => {
    await fetch(`${server.address}/api/preferences`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ units: 'cm', terms: 'UK', hand: 'right', fractions: 'quarters' }),
    });
    const works = {
      bag: await wishedCloth(server, {
        title: 'Bunk bag for the upper room by the harbour window',
        item: 'bag',
        pattern: { key: 'long-steps', numbers: { p: 2, q: 5 } },
        pieces: 2,
        closing: true,
        border: { rounds: 2, colour: 'A' },
        finish: { seam: 'sc', strap: { drop: '30 cm', width: '4 cm', kind: 'sc along', load: 40 } },
      }),
      begun: await begunCloth(server, { pattern: { key: 'houndstooth' } }),
      swatch: await weighedSwatch(server),
    };
    for (const { path, otherwise } of views.filter((_, i) => i % parts === part)) {
      const view = path(works);
      await page.setViewportSize(desk);
      await page.goto(server.address + view);
      await expect(page.getByRole('main')).toBeVisible();
      await page.waitForLoadState('networkidle');
      await clean(page);
      const words = await wordsOf(page);
      expect(words.length, view).toBeGreaterThan(2);
      const left = words.filter((each) => /\b(sc|hdc|gauge)\b|single crochet|half double/i.test(each));
      expect(left, view).toEqual([]);
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
  await tabTo(page, page.getByRole('slider', { name: 'Width' }));
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
});

test('what opens over the row in hand is axe clean too', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  await page.getByRole('button', { name: 'Display' }).click();
  await clean(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Something is wrong' }).click();
  for (const tab of ['Find my row', 'My count is wrong', 'Rip back', 'Common slips and how to mend them']) {
    await page.getByRole('tab', { name: tab }).click();
    if (tab === 'My count is wrong') await page.getByLabel('Stitches you count in row 1').fill('35');
    await clean(page);
  }
});
