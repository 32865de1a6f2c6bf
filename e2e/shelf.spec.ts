import { begunCloth, expect, test, wishedCloth } from './server.ts';

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

test('among many projects one is found by its yarn, by what it is, and in another order', async ({ page, server }) => {
  for (let n = 0; n < 12; n++) await wishedCloth(server, { title: `Cloth ${String.fromCharCode(97 + n)}` });
  const due = await wishedCloth(server, { title: 'Zip bag', item: 'bag' });
  await server.put(`/schedule/due/${due}`, { due: '2027-03-01' });
  await page.goto(server.address);
  const names = page.getByRole('main').getByRole('heading', { level: 3 });
  // What is due stands first; then the latest worked.
  await expect(names).toHaveCount(13);
  await expect(names.first()).toHaveText('Zip bag');
  await page.getByLabel('Order').selectOption({ label: 'By name' });
  await expect(names.first()).toHaveText('Cloth a');
  await page.getByLabel('Order').selectOption({ label: 'Latest worked first' });
  await expect(names.nth(1)).toHaveText('Cloth l');
  await page.getByLabel('Show').selectOption({ label: 'Bag' });
  await expect(names).toHaveText(['Zip bag']);
  await page.getByLabel('Find a project').fill('cloth b');
  await expect(page.getByText('No project has “cloth b” in its name')).toBeVisible();
  await page.getByLabel('Show').selectOption('');
  await expect(names).toHaveText(['Cloth b']);
});

test('an old photo without a small picture gets one as the log is opened', async ({ page, server }) => {
  const id = await begunCloth(server, { title: 'Cloth in the light' });
  await page.goto(server.address);
  const image = await page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [900, 700];
    const ctx = canvas.getContext('2d') as CanvasRenderingContext2D;
    for (let y = 0; y < 700; y += 20) {
      ctx.fillStyle = `hsl(${y} 60% 50%)`;
      ctx.fillRect(0, y, 900, 20);
    }
    return canvas.toDataURL('image/jpeg', 0.7);
  });
  const entry = crypto.randomUUID();
  const label = { format: 'puntada-entry', version: 3, kind: 'photo', row: 0 };
  await server.post(`/works/${id}/log`, { entry: { ...label, id: entry, at: 1_790_000_000_000, image } });
  const bytes = async (size: string) =>
    (await (await fetch(`${server.address}/api/works/${id}/photos/${entry}?size=${size}`)).arrayBuffer()).byteLength;
  expect(await bytes('small')).toBe(await bytes('image'));
  await page.goto(`${server.address}/works/${id}/log`);
  await expect.poll(async () => (await bytes('small')) < (await bytes('image')) / 2).toBe(true);
  expect((await server.get<{ largeOnly: string[] }>(`/works/${id}/log`)).largeOnly).toEqual([]);
});
