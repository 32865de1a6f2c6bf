import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { at, begunCloth, expect, type TestServer, test } from './server.ts';

async function prefer(server: TestServer, preferences: { terms: 'US' | 'UK'; hand: 'right' | 'left' }): Promise<void> {
  await fetch(`${server.address}/api/preferences`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ units: 'cm', ...preferences }),
  });
}

/** Where the run in hand and the first run to come stand on the screen. */
async function places(page: Page): Promise<{ current: number; next: number }> {
  const ribbon = page.getByRole('region', { name: /^Row \d+, step/ });
  const current = await ribbon.getByRole('button').boundingBox();
  const next = await ribbon.getByText('4B', { exact: true }).first().boundingBox();
  if (!current || !next) throw new Error('the ribbon is not there');
  return { current: current.x, next: next.x };
}

test('the ribbon runs the way the hand works', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByText('← right to left')).toBeVisible();
  const right = await places(page);
  expect(right.next).toBeLessThan(right.current);
  await prefer(server, { terms: 'UK', hand: 'left' });
  await page.reload();
  await expect(page.getByText('left to right →')).toBeVisible();
  const left = await places(page);
  expect(left.next).toBeGreaterThan(left.current);
  // In UK terms a single crochet is a double.
  await expect(page.getByRole('complementary')).toContainText('dc in A');
  await expect(page.getByText('skip 1 chain, first dc in the 2nd chain from the hook')).toBeVisible();
});

test('a row of one run is told as pairs, and its last stitch is named', async ({ page, server }) => {
  const id = await begunCloth(server, { pattern: { key: 'houndstooth' }, policy: 'carry-always' });
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByTestId('run-count')).toHaveText('38');
  await expect(page.getByText('sc, dc by turns', { exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: /close the 38th in B/ })).toBeVisible();
  await expect(page.getByRole('complementary')).toContainText('19 sc, 19 dc');
  await expect(page.getByRole('complementary')).toContainText('dc in A');
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Row 2, step 1 of 1' })).toBeVisible();
  await expect(page.getByText('A: carry it inside', { exact: true }).last()).toBeVisible();
});

test('settings are kept, and every view obeys them', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(server.address);
  await expect(page.getByRole('heading', { name: 'In progress' })).toBeVisible();
  await page.getByRole('button', { name: /cm · US/ }).click();
  await page.getByRole('radio', { name: 'UK (dc, tr)' }).click();
  await page.getByRole('radio', { name: 'Left hand' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByText('Row 1, RS: 4 dc A, 4 dc B, 4 dc A …').first()).toBeVisible();
  await page.goto(`${server.address}/works/${id}/rows`);
  await expect(page.getByRole('radio', { name: 'UK terms' })).toHaveAttribute('aria-checked', 'true');
  await expect(page.getByRole('radio', { name: 'Left hand' })).toHaveAttribute('aria-checked', 'true');
});

test('an entry of the log that the server does not take is kept and told, until it is thrown away', async ({
  page,
  server,
}) => {
  await page.goto(server.address);
  const [work, entry] = ['00000000-0000-4000-8000-00000000000d', '00000000-0000-4000-8000-00000000000e'];
  await page.evaluate(({ key, text }) => localStorage.setItem(key, text), {
    key: `puntada.entry.${work}.0000000000001000.${entry}`,
    text: JSON.stringify({ kind: 'note', id: entry, at: 1000, row: 3, text: 'Kettle.' }),
  });
  await page.reload();
  await expect(page.getByText('There is no such project here')).toBeVisible();
  await expect(page.getByText('Not saved: 1 note (“Kettle.”)')).toBeVisible();
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('Not saved: 1 note (“Kettle.”)')).toBeVisible();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const waiting = JSON.parse(readFileSync(await (await saving).path(), 'utf8'));
  expect(waiting).toMatchObject([{ id: entry, workId: work, entry: { kind: 'note', text: 'Kettle.' } }]);
  // It stays over visits, on every page, until its maker has decided.
  await page.goto(`${server.address}/drawer`);
  await page.getByRole('button', { name: 'Delete it' }).click();
  await expect(page.getByText('Not saved')).toBeHidden();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Yarn drawer' })).toBeVisible();
  await expect(page.getByText('Not saved')).toBeHidden();
  const left = await page.evaluate(() => Object.keys(localStorage).filter((each) => each.startsWith('puntada.entry.')));
  expect(left).toEqual([]);
});

test.describe('with a kept copy of the pages', () => {
  test.use({ serviceWorkers: 'allow' });

  test('the bench opens from its kept copy while the server is away', async ({ page, ownServer }) => {
    await begunCloth(ownServer, { title: 'Cloth by the window' });
    await page.goto(ownServer.address);
    await expect(page.getByRole('link', { name: 'Cloth by the window', exact: true })).toBeVisible();
    await expect(page.getByText('44 rows left of 44')).toBeVisible();
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await ownServer.kill();
    await page.reload();
    await expect(page.getByRole('link', { name: 'Cloth by the window', exact: true })).toBeVisible();
    await page.goto(`${ownServer.address}/wish`);
    await page.getByRole('button', { name: 'See sizes' }).click();
    await expect(page.getByRole('alert')).toContainText('does not answer');
  });

  test('what waits for the server is seen, saved as a file, and deleted where it was a slip', async ({
    page,
    ownServer,
  }) => {
    const id = await begunCloth(ownServer);
    await page.goto(`${ownServer.address}/works/${id}/work`);
    await expect(page.getByTestId('row-number')).toHaveText('Row 1');
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await ownServer.kill();
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('row-number')).toHaveText('Row 2');
    await page.getByText('See what waits').click();
    await expect(page.getByRole('listitem').filter({ hasText: '1 step' })).toBeVisible();
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as a file' }).click();
    expect((await saving).suggestedFilename()).toBe('puntada-waiting.json');
    await page.getByRole('button', { name: 'Delete it' }).click();
    await expect(page.getByText('See what waits')).toHaveCount(0);
    await expect(page.getByTestId('row-number')).toHaveText('Row 1');
    await ownServer.start();
    await expect(page.getByText('Puntada’s server is away')).toHaveCount(0);
    const { progress } = await ownServer.get<{ progress: { rows: number } }>(`/works/${id}`);
    expect(progress.rows).toBe(at(0).rows);
  });
});

test('a work that is not begun, and one that is not there, say what to do', async ({ page, server }) => {
  await page.goto(`${server.address}/works/00000000-0000-4000-8000-000000000000/work`);
  await expect(page.getByRole('main')).toContainText('There is no such project here.');
  const { id } = await server.post<{ id: string }>('/works', {
    wish: (await server.get<{ wish: unknown }>(`/works/${await begunCloth(server)}`)).wish,
  });
  await page.goto(`${server.address}/works/${id}/work`);
  await page.getByRole('link', { name: 'Choose a size' }).click();
  await expect(page.getByTestId('chains')).toHaveText('37');
});
