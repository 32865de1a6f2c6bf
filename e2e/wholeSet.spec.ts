import { expect, startedCloth, test } from './server.ts';

test('a set of two: its steps are worked and skipped, and every place is told by its own cloth', async ({
  page,
  server,
}) => {
  const id = await startedCloth(server, { title: 'Two for the galley', pieces: 2 });
  const tick = (from: number, to: number, time: number) =>
    server.post(`/works/${id}/ticks`, {
      ticks: [{ id: crypto.randomUUID(), at: time, from: { rows: from, runs: 0 }, to: { rows: to, runs: 0 } }],
    });
  // The first cloth but for its last row of nine runs.
  await tick(0, 44, Date.now() - 60_000);
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByTestId('row-number')).toHaveText('Row 44');
  await expect(page.getByText('Dishcloth 1 of 2').first()).toBeVisible();
  await page.keyboard.press('Enter');
  const step = page.getByTestId('step-name');
  await expect(step).toHaveText('Weave in 4 ends');
  await expect(page.getByRole('button', { name: 'Mark as finished' })).toHaveCount(0);
  await page.keyboard.press('Space');
  await expect(page.getByText('2 of 4', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Skip this step' }).click();
  await page.getByLabel('Why (optional)').fill('all at once, later');
  await page.getByRole('button', { name: 'Skip it' }).click();
  // 37 chains are twenty and seventeen.
  await expect(step).toHaveText('Chain 37');
  await expect(page.getByTestId('heard')).toContainText('20 chains, to 20: put a marker in');
  await page.keyboard.press('Space');
  await expect(page.getByTestId('heard')).toContainText('17 chains, to 37');
  await page.keyboard.press('Space');
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await expect(page.getByText('Dishcloth 2 of 2').first()).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
  await page.goto(`${server.address}/works/${id}/rows`);
  await expect(page.getByText('Dishcloth 2 of 2')).toBeVisible();
  await page.getByRole('textbox', { name: 'Note at row 2' }).fill('The tight one');
  await page.getByRole('form', { name: 'Note at row 2' }).getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('The tight one')).toBeVisible();
  await page.goto(`${server.address}/works/${id}/log`);
  const notes = page.getByRole('region', { name: 'Notes' });
  await expect(notes).toContainText('dishcloth 2, row 2');
  await expect(notes).toContainText('Skipped: Weave in 4 ends (all at once, later)');
  await expect(notes.getByRole('textbox', { name: 'Note at dishcloth 2, row 1' })).toBeVisible();
  // One row of a cloth of 44 rows of 5.5 mm is no row 47: 5.5 mm is what was planned, and nothing is asked.
  const measured = page.getByRole('region', { name: 'Measured' });
  await measured.getByLabel('Height, cm').fill('0.6');
  await measured.getByRole('button', { name: 'Save measurement' }).click();
  await expect(measured).toContainText('After dishcloth 2, row 1: 0.6 cm high');
  await page.goto(server.address);
  await expect(page.getByRole('link', { name: 'Go on at row 2' })).toBeVisible();
});
