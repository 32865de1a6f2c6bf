import { expect, test, wishedCloth } from './server.ts';

/*
 * What a browser keeps, and what it does not: told before anything is lost by it.
 */

test('A browser that keeps nothing says so before anything is counted', async ({ page, server }) => {
  await page.addInitScript(() => {
    // As in a private window of some browsers.
    Object.defineProperty(indexedDB, 'open', {
      value: () => {
        throw new DOMException('no database here', 'SecurityError');
      },
    });
  });
  await page.goto(server.address);
  await expect(page.getByText('This browser keeps nothing between visits')).toBeVisible();
});

test('A browser that is nearly full says so, and one with room does not', async ({ page, server }) => {
  await page.goto(server.address);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByText('hardly any room left')).toBeHidden();
  await page.addInitScript(() => {
    Object.defineProperty(navigator.storage, 'estimate', {
      value: async () => ({ quota: 60_000_000, usage: 55_000_000 }),
    });
  });
  await page.reload();
  await expect(page.getByText('hardly any room left')).toBeVisible();
});

test('An idea that is changed in two windows is not written over in either', async ({ browser, server }) => {
  const id = await wishedCloth(server, { title: 'Two windows' });
  const [one, other] = [await browser.newContext(), await browser.newContext()];
  const [first, second] = [await one.newPage(), await other.newPage()];
  for (const page of [first, second]) {
    await page.addInitScript(() => localStorage.setItem('puntada.idea', JSON.stringify(['about'])));
    await page.goto(`${server.address}/works/${id}/wish`);
    await expect(page.getByLabel('Project name')).toBeVisible();
  }
  const name = (page: typeof first) => page.getByLabel('Project name');
  await name(first).fill('From the first');
  await expect(first.getByText('✓ Saved')).toBeVisible();
  await name(second).fill('From the second');
  await expect(second.getByText('✕ Changed elsewhere')).toBeVisible();
  const title = async () => (await server.get<{ title: string }>(`/drafts/${id}`)).title;
  expect(await title()).toBe('From the first');
  await second.getByRole('button', { name: 'Keep what I have here' }).click();
  await expect(second.getByText('✓ Saved')).toBeVisible();
  expect(await title()).toBe('From the second');
  // The first is told in its turn, and may look at what is there now.
  await name(first).fill('From the first again');
  await expect(first.getByText('✕ Changed elsewhere')).toBeVisible();
  await first.getByRole('button', { name: 'Show the latest version' }).click();
  await expect(name(first)).toHaveValue('From the second');
  await one.close();
  await other.close();
});
