import { type Browser, expect, type Page } from '@playwright/test';
import { begunCloth, test, wishedCloth } from '../e2e/server.ts';

/** What a maker waits for, and what it takes. */
interface Load {
  /** ms to the first paint, and until the heading of the view stands and nothing is on its way. */
  readonly paint: number;
  readonly ready: number;
  /** Over the wire, without fonts and workers. */
  readonly kilobytes: number;
  readonly requests: number;
  readonly shift: number;
}

const views = [
  ['bench', () => '/'],
  ['idea', () => '/wish'],
  ['size', (id: string) => `/works/${id}/size`],
  ['rows', (id: string) => `/works/${id}/rows`],
  ['yarn', (id: string) => `/works/${id}/yarn`],
  ['finishing', (id: string) => `/works/${id}/finish`],
  ['make', (_: string, begun: string) => `/works/${begun}/work`],
  ['log', (_: string, begun: string) => `/works/${begun}/log`],
  ['book', () => '/book'],
  ['drawer', () => '/drawer'],
  ['evenings', () => '/evenings'],
] as const;

async function load(page: Page, address: string): Promise<Load> {
  const client = await page.context().newCDPSession(page);
  await client.send('Network.enable');
  const asked = new Map<string, string>();
  let bytes = 0;
  client.on('Network.requestWillBeSent', ({ requestId, request }) => asked.set(requestId, request.url));
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (!/\.woff2|worker/.test(asked.get(requestId) ?? '')) bytes += encodedDataLength;
  });
  await page.addInitScript(() => {
    Object.assign(window, { shift: 0 });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as (PerformanceEntry & { value: number; hadRecentInput: boolean })[]) {
        if (!entry.hadRecentInput) (window as unknown as { shift: number }).shift += entry.value;
      }
    }).observe({ type: 'layout-shift', buffered: true });
  });
  const started = performance.now();
  await page.goto(address);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.getByRole('main').waitFor();
  const ready = performance.now() - started;
  await page.waitForLoadState('networkidle');
  const told = await page.evaluate(() => ({
    paint: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0,
    shift: (window as unknown as { shift: number }).shift,
  }));
  await client.detach();
  return { ...told, ready, kilobytes: bytes / 1000, requests: asked.size };
}

/** A first visit in a browser that knows nothing, and a second one in the same. */
async function coldAndWarm(browser: Browser, address: string): Promise<{ cold: Load; warm: Load }> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const cold = await load(await context.newPage(), address);
  const warm = await load(await context.newPage(), address);
  await context.close();
  return { cold, warm };
}

test('the first load of every view', async ({ browser, server }) => {
  test.setTimeout(300_000);
  const [wished, begun] = [await wishedCloth(server), await begunCloth(server)];
  const told: string[] = [];
  for (const [name, path] of views) {
    const { cold, warm } = await coldAndWarm(browser, server.address + path(wished, begun));
    for (const [visit, each] of Object.entries({ cold, warm })) {
      const { paint, ready, kilobytes, requests, shift } = each;
      told.push(
        `${name.padEnd(10)} ${visit} paint ${paint.toFixed(0).padStart(5)} ms  ready ${ready.toFixed(0).padStart(5)} ms  ` +
          `${kilobytes.toFixed(0).padStart(5)} kB  ${String(requests).padStart(3)} requests  shift ${shift.toFixed(3)}`,
      );
    }
    expect.soft(cold.shift, `${name} moves`).toBeLessThanOrEqual(0.02);
  }
  process.stdout.write(`${told.join('\n')}\n`);
});
