import type { Page } from '@playwright/test';
import { expect, test, weighedSwatch, wishedCloth } from '../e2e/server.ts';

/** The longest the page does not answer after a step, ms: the browser's own long tasks, over 50 ms. */
async function longest(page: Page, step: () => Promise<unknown>): Promise<number> {
  await page.waitForTimeout(800);
  await page.evaluate(() => (window as unknown as { found: number[] }).found.splice(0));
  await step();
  await page.waitForTimeout(1200);
  return page.evaluate(() => Math.max(0, ...(window as unknown as { found: number[] }).found));
}

/** Views as they are opened from the bench, and the bench itself. */
const opened = [
  '/',
  '/wish',
  '/works/:id/size',
  '/works/:id/rows',
  '/works/:id/yarn',
  '/works/:id/work',
  '/works/:id/log',
  '/works/:id/onward',
  '/works/:id/finish',
  '/works/:id/strips',
  '/book',
  '/book/lone-sail',
  '/drawer',
  '/swatches',
  '/swatches/new',
  '/swatches/:swatch',
  '/shopping',
  '/evenings',
  '/given',
  '/words',
];

const patterns = [/Tide marks/, /Houndstooth/, /Quay linen/];

/** Each step is taken so often, and the middle one told: a shared machine stalls now and then by itself. */
const times = 3;

async function middleOf(page: Page, step: (n: number) => Promise<unknown>): Promise<number> {
  const found: number[] = [];
  for (let n = 0; n < times; n++) found.push(await longest(page, () => step(n)));
  return middle(found);
}

function middle(found: readonly number[]): number {
  return [...found].sort((a, b) => a - b)[Math.floor(found.length / 2)] as number;
}

/** Opens a view from another one, without reading the page anew. */
function openWithin(page: Page, to: string): Promise<void> {
  return page.evaluate((address) => {
    history.pushState({}, '', address);
    dispatchEvent(new PopStateEvent('popstate'));
  }, to);
}

/** Every step that a maker takes often, each against the bare work of opening a page with nothing in it. */
test('answering', async ({ page, server }) => {
  test.setTimeout(600_000);
  await page.addInitScript(() => {
    const found: number[] = [];
    Object.assign(window, { found });
    const keep = (list: PerformanceObserverEntryList) =>
      found.push(...list.getEntries().map((entry) => entry.duration));
    new PerformanceObserver(keep).observe({ type: 'longtask' });
  });
  const id = await wishedCloth(server, {
    item: 'blanket',
    width: { by: 'length', length: '125 cm' },
    height: { by: 'length', length: '111 cm' },
  });
  await page.goto(`${server.address}/switch`);
  const blank = await longest(page, () => page.reload());
  const told: [string, number][] = [];
  const time = async (name: string, step: (n: number) => Promise<unknown>) =>
    told.push([name, await middleOf(page, step)]);
  await page.goto(`${server.address}/wish`);
  await time('type a width', (n) => page.getByLabel('Width', { exact: true }).fill(`${42 + n}`));
  await time('take a pattern', (n) => page.getByRole('radio', { name: patterns[n] as RegExp }).click());
  await page.goto(`${server.address}/works/${id}/size`);
  await time('a notch on the mat', () => page.getByRole('slider', { name: 'Width' }).press('ArrowRight'));
  const { wish, revision } = await server.get<{ wish: object; revision: number }>(`/works/${id}`);
  await server.post(`/works/${id}/begin`, { revision, wish });
  await page.goto(`${server.address}/works/${id}/rows`);
  await time('a row in the chart', () => page.getByRole('listbox').first().press('ArrowDown'));
  await page.goto(`${server.address}/works/${id}/work`);
  await time('a run worked', () => page.keyboard.press('PageDown'));
  await time('a row worked', () => page.keyboard.press('Enter'));
  const swatch = await weighedSwatch(server);
  for (const view of opened) {
    const to = view.replace(':id', id).replace(':swatch', swatch);
    const found: number[] = [];
    for (let n = 0; n < times; n++) {
      await page.goto(`${server.address}${view === '/' ? '/switch' : '/'}`);
      found.push(await longest(page, () => openWithin(page, to)));
    }
    told.push([`open ${view}`, middle(found)]);
  }
  for (const [name, ms] of told) console.log(`${name}: ${ms > 50 ? `${Math.round(ms)} ms` : 'under 50 ms'}`);
  console.log(`reloading the barest page: ${Math.round(blank)} ms`);
  expect(told.filter(([, ms]) => ms > 100)).toEqual([]);
});
