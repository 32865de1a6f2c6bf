import type { Page } from '@playwright/test';
import { at, begunCloth, expect, test } from './server.ts';

interface Progress {
  readonly progress: { readonly rows: number; readonly runs: number };
}

test('two devices on one work, one of them out of reach: every row of both is kept', async ({
  page,
  browser,
  server,
}) => {
  const id = await begunCloth(server);
  const row = (where: typeof page, n: number) => expect(where.getByTestId('row-number')).toHaveText(`Row ${n}`);
  const path = `${server.address}/works/${id}/work`;
  const other = await (await browser.newContext()).newPage();
  for (const each of [page, other]) {
    await each.goto(path);
    await row(each, 1);
  }
  await page.context().setOffline(true);
  for (const n of [2, 3]) {
    await page.keyboard.press('Enter');
    await row(page, n);
  }
  await expect(page.getByText('2 steps are safe in this browser')).toBeVisible();
  for (const n of [2, 3, 4]) {
    await other.keyboard.press('Enter');
    await row(other, n);
  }
  await expect(other.getByText('✓ Saved')).toBeVisible();
  await page.context().setOffline(false);
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await row(page, 4);
  await page.keyboard.press('Enter');
  await row(page, 5);
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await other.reload();
  await row(other, 5);
  const log = await server.get<{ ticks: { id: string }[] }>(`/works/${id}/log`);
  // One for the chain.
  expect(new Set(log.ticks.map((tick) => tick.id)).size).toBe(7);
  expect((await server.get<Progress>(`/works/${id}`)).progress).toEqual(at(4));
  await other.context().close();
});

test('two tabs on one work count a row once', async ({ context, server }) => {
  const id = await begunCloth(server);
  const [one, two] = [await context.newPage(), await context.newPage()];
  for (const page of [one, two]) {
    await page.goto(`${server.address}/works/${id}/work`);
    await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  }
  await one.keyboard.press('Enter');
  await expect(one.getByText('✓ Saved')).toBeVisible();
  await two.bringToFront();
  await two.waitForLoadState('networkidle');
  // Whichever row this tab shows by now, that row is the one that is counted.
  const shown = await two.evaluate(() => {
    const row = document.querySelector('[data-testid="row-number"]')?.textContent ?? '';
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    return Number(row.replace('Row ', ''));
  });
  // It says “Saved” of the row before until it shows the next.
  await expect(two.getByTestId('row-number')).toHaveText(`Row ${shown + 1}`);
  await expect(two.getByText('✓ Saved')).toBeVisible();
  const { progress } = await server.get<Progress>(`/works/${id}`);
  expect(progress).toEqual(at(shown));
  await two.reload();
  await expect(two.getByTestId('row-number')).toHaveText(`Row ${shown + 1}`);
});

/** The row that a page shows, and those that it shows from now on, one after the other. */
async function rowsSeen(page: Page): Promise<() => Promise<string[]>> {
  await page.evaluate(() => {
    const shown = () => document.querySelector('[data-testid="row-number"]')?.textContent ?? '';
    const seen = [shown()];
    const look = () => {
      if (shown() !== seen.at(-1)) seen.push(shown());
    };
    new MutationObserver(look).observe(document.body, { childList: true, subtree: true, characterData: true });
    Object.assign(window, { seenRows: seen });
  });
  return () => page.evaluate(() => (window as unknown as { seenRows: string[] }).seenRows);
}

test('what another tab has brought to the server is not taken back for a moment', async ({ context, server }) => {
  const id = await begunCloth(server);
  const [one, two] = [await context.newPage(), await context.newPage()];
  // What the second tab sends goes nowhere: it is the first that brings its row and its note.
  await two.route(`**/api/works/${id}/*`, (route) =>
    route.request().method() === 'POST' ? undefined : route.continue(),
  );
  for (const page of [one, two]) {
    await page.goto(`${server.address}/works/${id}/work`);
    await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  }
  const seen = await rowsSeen(two);
  await two.keyboard.press('Enter');
  await expect(two.getByTestId('row-number')).toHaveText('Row 2');
  await expect.poll(async () => (await server.get<Progress>(`/works/${id}`)).progress).toEqual(at(1));
  await expect(two.getByText('✓ Saved')).toBeVisible();
  await expect(one.getByTestId('row-number')).toHaveText('Row 2');
  expect(await seen()).toEqual(['Row 1', 'Row 2']);
  // And the next row is counted from there.
  await one.keyboard.press('Enter');
  await expect(two.getByTestId('row-number')).toHaveText('Row 3');
  expect(await seen()).toEqual(['Row 1', 'Row 2', 'Row 3']);
  await two.goto(`${server.address}/works/${id}/log`);
  const note = (page: Page) => page.getByRole('listitem').filter({ hasText: 'Kettle.' });
  await two.getByLabel('Note at row 2').fill('Kettle.');
  await two.getByRole('form', { name: 'Add a note' }).getByRole('button', { name: 'Save' }).click();
  await expect(note(two)).toBeVisible();
  await two.evaluate(() => {
    const look = () => {
      const notes = [...document.querySelectorAll('li')].map((each) => each.textContent ?? '');
      if (!notes.some((each) => each.includes('Kettle.'))) document.body.dataset.lost = 'true';
    };
    new MutationObserver(look).observe(document.body, { childList: true, subtree: true, characterData: true });
  });
  type Told = { entries: { text?: string }[] };
  const told = async () => (await server.get<Told>(`/works/${id}/log`)).entries.map(({ text }) => text);
  await expect.poll(told).toEqual(['Kettle.']);
  await one.goto(`${server.address}/works/${id}/log`);
  await expect(note(one)).toBeVisible();
  await expect(note(two)).toBeVisible();
  expect(await two.evaluate(() => document.body.dataset.lost)).toBeUndefined();
});

test('a row finished in the very moment of leaving is kept', async ({ page, server }) => {
  const id = await begunCloth(server);
  const row = page.getByTestId('row-number');
  for (let made = 0; made < 4; made++) {
    await page.goto(`${server.address}/works/${id}/work`);
    await expect(row).toHaveText(`Row ${made + 1}`);
    await page.keyboard.press('Enter');
    await page.goto('about:blank');
  }
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(row).toHaveText('Row 5');
});

test('an answer made before a row arrived does not hide it', async ({ page, server }) => {
  const id = await begunCloth(server);
  const moment = () => {
    let come = () => {};
    const comes = new Promise<void>((done) => {
      come = done;
    });
    return { come, comes };
  };
  const [asked, given] = [moment(), moment()];
  let lost = true;
  // What is sent goes nowhere; from the next page on, not before the server was asked how far the work is.
  await page.route(`**/api/works/${id}/ticks`, async (route) => {
    if (lost) return;
    await asked.comes;
    await route.fulfill({ response: await route.fetch() });
    setTimeout(given.come, 500);
  });
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
  lost = false;
  // And its answer comes last.
  let answers = 0;
  await page.route(`**/api/works/${id}`, async (route) => {
    const response = await route.fetch();
    asked.come();
    if (answers++ === 0) await given.comes;
    await route.fulfill({ response });
  });
  await page.goto(`${server.address}/works/${id}/log`);
  await expect(page.getByText('1 of 44').first()).toBeVisible();
});

test('an answer that was on its way while a row was taken does not take it back for a moment', async ({
  page,
  server,
}) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  const row = page.getByTestId('row-number');
  await expect(row).toHaveText('Row 1');
  let asked = 0;
  let release = () => {};
  const released = new Promise<void>((done) => {
    release = done;
  });
  // The answer after the first row comes only after the second one was taken.
  await page.route(`**/api/works/${id}`, async (route) => {
    const response = await route.fetch();
    if (asked++ === 0) await released;
    await route.fulfill({ response });
  });
  const seen = await rowsSeen(page);
  await page.keyboard.press('Enter');
  await expect(row).toHaveText('Row 2');
  // Looked at again, the page asks how far the work is.
  await page.evaluate(() => window.dispatchEvent(new Event('focus')));
  await expect.poll(() => asked).toBeGreaterThan(0);
  await page.keyboard.press('Enter');
  await expect(row).toHaveText('Row 3');
  await expect.poll(async () => (await server.get<Progress>(`/works/${id}`)).progress.rows).toBe(at(2).rows);
  await expect(page.getByText('✓ Saved')).toBeVisible();
  release();
  await page.waitForTimeout(1000);
  expect(await seen()).toEqual(['Row 1', 'Row 2', 'Row 3']);
});
