import { begunCloth, expect, test } from './server.ts';

interface Progress {
  readonly progress: { readonly rows: number; readonly runs: number };
}

test('the run in hand, the change announced, and what there should be at the end', async ({ page, server }) => {
  const id = await begunCloth(server, { policy: 'carry-always' });
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByTestId('run-count')).toHaveText('4');
  await expect(page.getByText('close the 4th in B')).toBeVisible();
  await expect(page.getByText('B: carry it inside', { exact: true }).last()).toBeVisible();
  await expect(page.getByText('chain 37 in A; first sc in the 2nd chain from the hook')).toBeVisible();
  const end = page.getByRole('complementary', { name: 'At the end of row 1' });
  await expect(end).toContainText('36');
  await expect(end).toContainText('20 / 16');
  await expect(end).toContainText('sc in A');
  await expect(end).toContainText('ch 1 in A, turn');
  await expect(end).toContainText('at this edge');
  await expect(end).toContainText('Turnclockwise, 1 half-twist');
  await expect(end).toContainText('Balls, left to rightA B');
  await page.keyboard.press('Space');
  await expect(page.getByText('close the 4th in A')).toBeVisible();
  await page.keyboard.press('Backspace');
  await expect(page.getByText('close the 4th in B')).toBeVisible();
});

test('by touch: a run, a row, and back over a row’s end', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  await page.getByRole('button', { name: 'Run done', exact: false }).last().click();
  await expect(page.getByRole('region', { name: 'Row 1, run 2 of 9' })).toBeVisible();
  await page.getByTestId('run-count').click();
  await expect(page.getByRole('region', { name: 'Row 1, run 3 of 9' })).toBeVisible();
  await page.getByRole('button', { name: /Row 1 done/ }).click();
  await expect(page.getByRole('region', { name: 'Row 2, run 1 of 9' })).toBeVisible();
  await page.getByRole('button', { name: /One back/ }).click();
  await expect(page.getByRole('region', { name: 'Row 1, run 9 of 9' })).toBeVisible();
  await expect(page.getByText('✓ Stored')).toBeVisible();
  expect((await server.get<Progress>(`/works/${id}`)).progress).toEqual({ rows: 0, runs: 8 });
});

test('a button that was clicked does not swallow or double the keys', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  await page.getByRole('button', { name: /Row 1 done/ }).click();
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Row 2, run 2 of 9' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Row 3, run 1 of 9' })).toBeVisible();
});

test('a button reached by the keyboard keeps its own keys', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
  const back = page.getByRole('button', { name: /One back/ });
  for (let i = 0; i < 20 && !(await back.evaluate((each) => each === document.activeElement)); i++)
    await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Row 1, run 9 of 9' })).toBeVisible();
});

test.describe('with a kept copy of the pages', () => {
  test.use({ serviceWorkers: 'allow' });

  test('reloaded while the server is away it still opens, takes ticks, and delivers each once', async ({
    page,
    ownServer,
  }) => {
    const id = await begunCloth(ownServer);
    await page.goto(`${ownServer.address}/works/${id}/work`);
    await expect(page.getByTestId('row-number')).toHaveText('Row 1');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('row-number')).toHaveText('Row 2');
    await expect(page.getByText('✓ Stored')).toBeVisible();
    // The pages are kept by the browser once its worker is in charge.
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await ownServer.kill();
    await page.reload();
    await expect(page.getByTestId('row-number')).toHaveText('Row 2');
    for (let run = 0; run < 5; run++) await page.keyboard.press('Space');
    await expect(page.getByText(/No server\. 5 steps kept here/)).toBeVisible();
    await page.reload();
    await expect(page.getByRole('region', { name: 'Row 2, run 6 of 9' })).toBeVisible();
    await ownServer.start();
    await expect(page.getByText('✓ Stored')).toBeVisible({ timeout: 15000 });
    expect((await ownServer.get<Progress>(`/works/${id}`)).progress).toEqual({ rows: 1, runs: 5 });
    await page.reload();
    await expect(page.getByRole('region', { name: 'Row 2, run 6 of 9' })).toBeVisible();
  });
});

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
  await expect(page.getByText(/No server\. 2 steps kept here/)).toBeVisible();
  for (const n of [2, 3, 4]) {
    await other.keyboard.press('Enter');
    await row(other, n);
  }
  await expect(other.getByText('✓ Stored')).toBeVisible();
  await page.context().setOffline(false);
  await expect(page.getByText('✓ Stored')).toBeVisible();
  await row(page, 4);
  await page.keyboard.press('Enter');
  await row(page, 5);
  await expect(page.getByText('✓ Stored')).toBeVisible();
  await other.reload();
  await row(other, 5);
  const log = await server.get<{ ticks: { id: string }[] }>(`/works/${id}/log`);
  expect(new Set(log.ticks.map((tick) => tick.id)).size).toBe(6);
  expect((await server.get<Progress>(`/works/${id}`)).progress).toEqual({ rows: 4, runs: 0 });
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
  await expect(one.getByText('✓ Stored')).toBeVisible();
  await two.bringToFront();
  await two.keyboard.press('Enter');
  await expect(two.getByText('✓ Stored')).toBeVisible();
  const { progress } = await server.get<Progress>(`/works/${id}`);
  expect(progress.rows).toBeLessThanOrEqual(2);
  await two.reload();
  await expect(two.getByTestId('row-number')).toHaveText(`Row ${progress.rows + 1}`);
});

test('the last row leads to a finished work', async ({ page, server }) => {
  const id = await begunCloth(server);
  await server.post(`/works/${id}/ticks`, {
    ticks: [{ id: crypto.randomUUID(), at: 1, from: { rows: 0, runs: 0 }, to: { rows: 43, runs: 0 } }],
  });
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByRole('complementary')).toContainText('fasten off');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'All 44 rows are worked' })).toBeVisible();
  await expect(page.getByText('✓ Stored')).toBeVisible();
  await page.getByRole('button', { name: 'Mark it finished' }).click();
  await expect(page.getByRole('heading', { name: 'Finished' })).toBeVisible();
});
