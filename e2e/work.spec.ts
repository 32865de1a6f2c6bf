import type { Page } from '@playwright/test';
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

/** The rows that a page shows from now on, one after the other. */
async function rowsSeen(page: Page): Promise<() => Promise<string[]>> {
  await page.evaluate(() => {
    const seen: string[] = [];
    const look = () => {
      const text = document.querySelector('[data-testid="row-number"]')?.textContent ?? '';
      if (text !== seen.at(-1)) seen.push(text);
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
  expect(await seen()).toEqual(['Row 2']);
  // And the next row is counted from there.
  await one.keyboard.press('Enter');
  await expect(two.getByTestId('row-number')).toHaveText('Row 3');
  expect(await seen()).toEqual(['Row 2', 'Row 3']);
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
  expect(await seen()).toEqual(['Row 2', 'Row 3']);
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
