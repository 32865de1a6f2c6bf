import { at, begunCloth, expect, start, startedCloth, test } from './server.ts';

interface Progress {
  readonly progress: { readonly rows: number; readonly runs: number };
}

test('the run in hand, the change announced, and what there should be at the end', async ({ page, server }) => {
  const id = await begunCloth(server, { policy: 'carry-always' });
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByTestId('run-count')).toHaveText('4');
  await expect(page.getByRole('button', { name: /close the 4th in B/ })).toBeVisible();
  await expect(page.getByText('B: carry it inside', { exact: true }).last()).toBeVisible();
  await expect(page.getByText('skip 1 chain, first sc in the 2nd chain from the hook')).toBeVisible();
  const end = page.getByRole('complementary', { name: 'At the end of row 1' });
  await expect(end).toContainText('36');
  await expect(end).toContainText('20 / 16');
  await expect(end).toContainText('sc in A');
  await expect(end).toContainText('turn; ch 1 in A');
  await expect(end).toContainText('at this edge');
  await expect(end).toContainText('Turnclockwise, 1 half-twist');
  await expect(end).toContainText('Balls, left to rightA B');
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: /close the 4th in A/ })).toBeVisible();
  await page.keyboard.press('Backspace');
  await expect(page.getByRole('button', { name: /close the 4th in B/ })).toBeVisible();
});

test('each run is read against the row below, markers are told at the start, and the last run is looked over', async ({
  page,
  server,
}) => {
  const id = await begunCloth(server, { pattern: { key: 'buoys', stitch: 'sc' } });
  const ticks = [{ id: crypto.randomUUID(), at: Date.now(), from: at(0), to: at(3) }];
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByText('Mark the first and the last stitch: the edges stay straight.')).toBeVisible();
  await server.post(`/works/${id}/ticks`, { ticks });
  await page.reload();
  // Row 4 widens each lozenge by one on either side.
  await expect(page.getByText('Compare: starts with the A below, ends 1 short of its end')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('Compare: starts 1 before the B below, ends 1 past it')).toBeVisible();
});

test('a work is laid down and taken up again, and the clock at it begins anew', async ({ page, server }) => {
  const id = await startedCloth(server);
  const begins = Date.now() - 35 * 60_000;
  const steps = [0, 15, 34].map((minutes, row) => ({
    id: crypto.randomUUID(),
    at: begins + minutes * 60_000,
    from: row ? at(row) : start,
    to: at(row + 1),
  }));
  await server.post(`/works/${id}/ticks`, { ticks: steps });
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByText('0:35 in this session: rest your hands for 5 min')).toBeVisible();
  await page.getByRole('button', { name: 'Pause' }).click();
  await expect(page.getByText('Paused; the next step carries on')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('0:00 in this session')).toBeVisible();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await expect(page.getByRole('table', { name: 'Sessions, latest first' }).getByRole('row')).toHaveCount(3);
});

test('the bench tells what is due, and whose yarn will not last', async ({ page, server }) => {
  const id = await begunCloth(server, {
    yarns: ['A', 'B'].map((letter, i) => ({
      letter,
      name: letter === 'A' ? 'Oat' : 'Ferry blue',
      shade: letter === 'A' ? '#e9dfc4' : '#24476b',
      weight: 4,
      fibre: 'cotton',
      ballMetres: 85,
      ballGrams: 50,
      balls: i + 1,
    })),
  });
  const entry = { kind: 'weigh', id: crypto.randomUUID(), at: Date.now(), letter: 'A', ball: 1, before: 50 };
  const rest = { beforeIsLabel: false, after: 10, scale: 1, position: at(12) };
  await server.post(`/works/${id}/log`, { entry: { ...entry, ...rest } });
  const ticks = [{ id: crypto.randomUUID(), at: Date.now(), from: at(0), to: at(12) }];
  await server.post(`/works/${id}/ticks`, { ticks });
  const due = new Date(Date.now() + 9 * 86_400_000).toISOString().slice(0, 10);
  await fetch(`${server.address}/api/schedule/due/${id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ due }),
  });
  await page.goto(server.address);
  await expect(page.getByText(new RegExp(`due \\w{3} ${Number(due.slice(8))} `))).toBeVisible();
  // Forty grams for twelve rows of 44: ten more hold out for some three.
  const short = page.getByRole('link', { name: /A runs out between rows 1[3-6] and 1[4-8]/ });
  await expect(short).toBeVisible();
  await short.click();
  await expect(page.getByRole('heading', { name: 'Yarn on the scale' })).toBeVisible();
});

test('by touch: a run, a row, and back over a row’s end', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  await page.getByRole('button', { name: 'Next', exact: false }).last().click();
  await expect(page.getByRole('region', { name: 'Row 1, step 2 of 9' })).toBeVisible();
  await page.getByTestId('run-count').click();
  await expect(page.getByRole('region', { name: 'Row 1, step 3 of 9' })).toBeVisible();
  await page.getByRole('button', { name: /Finish row 1/ }).click();
  await expect(page.getByRole('region', { name: 'Row 2, step 1 of 9' })).toBeVisible();
  // Back takes back what was done at a stroke: the rest of the row; then, run by run.
  const back = page.getByRole('button', { name: /Back one/ });
  await back.click();
  await expect(page.getByRole('region', { name: 'Row 1, step 3 of 9' })).toBeVisible();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  expect((await server.get<Progress>(`/works/${id}`)).progress).toEqual(at(0, 2));
  await back.click();
  await expect(page.getByRole('region', { name: 'Row 1, step 2 of 9' })).toBeVisible();
  // What was done before the page was opened is gone back over run by run.
  await page.getByRole('button', { name: /Finish row 1/ }).click();
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await page.reload();
  await back.click();
  await expect(page.getByRole('region', { name: 'Row 1, step 9 of 9' })).toBeVisible();
});

test('a button that was clicked does not swallow or double the keys', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  await page.getByRole('button', { name: /Finish row 1/ }).click();
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Row 2, step 2 of 9' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Row 3, step 1 of 9' })).toBeVisible();
});

test('a button reached by the keyboard keeps its own keys', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
  const back = page.getByRole('button', { name: /Back one/ });
  for (let i = 0; i < 20 && !(await back.evaluate((each) => each === document.activeElement)); i++)
    await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Row 1, step 1 of 9' })).toBeVisible();
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
    await expect(page.getByText('✓ Saved')).toBeVisible();
    // The pages are kept by the browser once its worker is in charge.
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await ownServer.kill();
    await page.reload();
    await expect(page.getByTestId('row-number')).toHaveText('Row 2');
    for (let run = 0; run < 5; run++) await page.keyboard.press('Space');
    await expect(page.getByText('5 steps are safe in this browser')).toBeVisible();
    await page.getByRole('button', { name: 'Pause' }).click();
    const kept = page.getByText(/server is away\. .*5 steps and 1 pause are kept here/);
    await expect(kept).toBeVisible();
    await page.reload();
    await expect(page.getByRole('region', { name: 'Row 2, step 6 of 9' })).toBeVisible();
    await expect(page.getByText('Paused; the next step carries on')).toBeVisible();
    await ownServer.start();
    await expect(page.getByText('✓ Saved')).toBeVisible({ timeout: 15000 });
    await expect(kept).toBeHidden();
    const { entries } = await ownServer.get<{ entries: { kind: string }[] }>(`/works/${id}/log`);
    expect(entries.map(({ kind }) => kind)).toEqual(['pause']);
    expect((await ownServer.get<Progress>(`/works/${id}`)).progress).toEqual(at(1, 5));
    await page.reload();
    await expect(page.getByRole('region', { name: 'Row 2, step 6 of 9' })).toBeVisible();
  });
});

test('a step is read from afar, shown at its place, and says what there should be when it is done', async ({
  page,
  server,
}) => {
  const cloth = { width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 44 }, ending: 'any' };
  const id = await begunCloth(server, { ...cloth, border: { rounds: 2, colour: 'A', by: 'rule' } });
  await server.post(`/works/${id}/ticks`, {
    ticks: [{ id: crypto.randomUUID(), at: Date.now(), from: at(0), to: at(44) }],
  });
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByTestId('step-name')).toHaveText('Border, round 1 of 2');
  await expect(page.getByRole('figure', { name: 'The piece laid out, with the place of each step' })).toBeVisible();
  const there = page.getByRole('definition').first();
  // 34 along the top between the corners, as many along the bottom; three in each corner.
  await expect(page.getByText('34', { exact: true }).first()).toBeVisible();
  const sides: number[] = [];
  const whole = Number(await there.textContent());
  for (let side = 0; side < 4; side++) {
    const heard = (await page.getByTestId('heard').textContent()) ?? '';
    sides.push(Number(/: (\d+) sc /.exec(heard)?.[1]));
    await page.keyboard.press('Space');
    await expect(page.getByTestId('heard')).not.toHaveText(heard);
  }
  expect([sides[0], sides[2]]).toEqual([34, 34]);
  expect(whole).toBe(sides.reduce((sum, each) => sum + each, 0) + 4 * 3);
  // Each further round has eight more.
  await expect(page.getByTestId('step-name')).toHaveText('Border, round 2 of 2');
  await expect(there).toHaveText(String(whole + 8));
});

test('the last row leads to a finished work', async ({ page, server }) => {
  const id = await begunCloth(server);
  await server.post(`/works/${id}/ticks`, {
    ticks: [{ id: crypto.randomUUID(), at: 1, from: at(0), to: at(43) }],
  });
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByRole('complementary')).toContainText('fasten off');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'All 44 rows done' })).toBeVisible();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await page.getByRole('link', { name: 'See the finishing steps' }).click();
  await expect(page.getByText('4 to weave in')).toBeVisible();
  await page.goBack();
  await page.getByRole('link', { name: 'Note how it turned out' }).click();
  await expect(page.getByRole('form', { name: 'How it turned out' })).toBeVisible();
  await page.goBack();
  await page.getByRole('button', { name: 'Mark as finished' }).click();
  await expect(page.getByRole('heading', { name: 'Finished' })).toBeVisible();
});
