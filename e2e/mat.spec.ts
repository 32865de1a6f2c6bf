import { expect, test, wishedCloth } from './server.ts';

test('arrow keys go from notch to notch, and the choice is kept', async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/size`);
  const width = page.getByRole('slider', { name: 'Width' });
  const height = page.getByRole('slider', { name: 'Height' });
  await width.focus();
  await page.keyboard.press('ArrowRight');
  await expect(width).toHaveAttribute('aria-valuetext', '44 stitches, 27.5 cm');
  await page.keyboard.press('ArrowDown');
  await expect(height).toHaveAttribute('aria-valuetext', '36 rows, 20.0 cm');
  // Home and End go to the first and the last mark.
  const [low, high] = [await height.getAttribute('aria-valuemin'), await height.getAttribute('aria-valuemax')];
  await height.focus();
  await page.keyboard.press('End');
  await expect(height).toHaveAttribute('aria-valuenow', high ?? '');
  await page.keyboard.press('Home');
  await expect(height).toHaveAttribute('aria-valuenow', low ?? '');
  await page.keyboard.press('ArrowUp');
  await expect(height).toHaveAttribute('aria-valuenow', String(Number(low) + 1));
  while ((await height.getAttribute('aria-valuetext')) !== '36 rows, 20.0 cm') await page.keyboard.press('ArrowUp');
  await expect(page.getByText('✓ Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('slider', { name: 'Width' })).toHaveAttribute('aria-valuetext', '44 stitches, 27.5 cm');
  await expect(page.getByRole('slider', { name: 'Height' })).toHaveAttribute('aria-valuetext', '36 rows, 20.0 cm');
});

test('edge, ending and strand rules change what is offered', async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/size`);
  const width = page.getByRole('slider', { name: 'Width' });
  await page.getByRole('radio', { name: 'Whole blocks' }).click();
  // 24 cm are 38.4 stitches: of 36 and 40 the second is nearer.
  await expect(width).toHaveAttribute('aria-valuetext', '40 stitches, 25.0 cm');
  await expect(page.getByText('an even number of blocks: the two edges differ in colour')).toBeVisible();
  await page.getByRole('radio', { name: 'Centred' }).click();
  await width.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(width).toHaveAttribute('aria-valuetext', '36 stitches, 22.5 cm');
  await page.getByRole('radio', { name: 'A whole repeat', exact: true }).click();
  await page.getByRole('slider', { name: 'Height' }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('slider', { name: 'Height' })).toHaveAttribute('aria-valuetext', '40 rows, 22.2 cm');
  await page.getByRole('radio', { name: 'Any row' }).click();
  await page.keyboard.press('Tab');
  const ticket = page.getByRole('region', { name: 'This size in figures' });
  await expect(ticket.getByText('Ends to weave in').locator('xpath=ancestor::div[1]')).toContainText('4');
  // Cut at every change: far more ends.
  await page.getByRole('radio', { name: 'Cut' }).click();
  await expect(ticket.getByText('Ends to weave in').locator('xpath=ancestor::div[1]')).toContainText(/\d{3}/);
  await page.getByRole('radio', { name: 'Carry all the way' }).click();
  await expect(ticket.getByText('Ends to weave in').locator('xpath=ancestor::div[1]')).toContainText('4');
});

test('an alternative is taken with one tap, and the counts that work are told', async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/size`);
  await page.getByRole('button', { name: 'Closest to square, matching edges' }).click();
  // 275 mm × 289 mm is the squarest with both edges match and as begun.
  await expect(page.getByRole('slider', { name: 'Width' })).toHaveAttribute('aria-valuetext', '44 stitches, 27.5 cm');
  await expect(page.getByRole('slider', { name: 'Height' })).toHaveAttribute('aria-valuetext', '52 rows, 28.9 cm');
  await expect(page.getByText('Any multiple of 4 works (chain 4 + 1).')).toBeVisible();
  await expect(page.getByText('For matching edges: 8 + 4 (chain 8 + 5).')).toBeVisible();
});

test('a notch of the tape can be tapped', async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/size`);
  await page.getByText('27.5', { exact: true }).first().click();
  await expect(page.getByTestId('chains')).toHaveText('45');
});

test('a change made on a stale copy is refused, and the fresh plan is shown on request', async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/size`);
  await expect(page.getByTestId('chains')).toHaveText('37');
  const work = await server.get<{ wish: { width: unknown } }>(`/works/${id}`);
  const elsewhere = { revision: 1, wish: { ...work.wish, width: { by: 'length', length: '40 cm' } } };
  await fetch(`${server.address}/api/works/${id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(elsewhere),
  });
  await page.getByRole('slider', { name: 'Width' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('alert')).toContainText('changed elsewhere');
  expect((await server.get<{ wish: { width: unknown } }>(`/works/${id}`)).wish.width).toEqual({
    by: 'length',
    length: '40 cm',
  });
  await page.getByRole('button', { name: 'Show the latest version' }).click();
  await expect(page.getByTestId('chains')).toHaveText('61');
});

test('inches: the mat and the ticket follow the maker', async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/size`);
  await expect(page.getByTestId('chains')).toHaveText('37');
  await page.getByRole('button', { name: /cm · US/ }).click();
  await page.getByRole('radio', { name: 'in, yd, oz' }).click();
  await page.keyboard.press('Escape');
  // 225 mm are 8.858 in, to the quarter 8 3/4; 240 mm are 9.449, to the quarter 9 1/2.
  await expect(page.getByRole('slider', { name: 'Width' })).toHaveAttribute('aria-valuetext', '36 stitches, 8 3/4 in');
  await expect(page.getByText('asked for 9 1/2 × 9 1/2 in')).toBeVisible();
  await expect(page.getByRole('region', { name: 'This size in figures' })).toContainText(/\d+–\d+ yd/);
});

test('a charted pattern: both edge rules, and the mat as the chart is drawn', async ({ page, server }) => {
  const id = await wishedCloth(server, { pattern: { key: 'buoys', stitch: 'sc' } });
  await page.goto(`${server.address}/works/${id}/size`);
  const width = page.getByRole('slider', { name: 'Width' });
  // 38.4 stitches are wished: 37 are 6 × 6 + 1.
  await expect(width).toHaveAttribute('aria-valuetext', '37 stitches, 23.1 cm');
  await expect(page.getByText('6 buoys × 6 + 1 = 37 stitches')).toBeVisible();
  await page.getByRole('radio', { name: 'Whole buoys' }).click();
  await expect(width).toHaveAttribute('aria-valuetext', '36 stitches, 22.5 cm');
  await expect(page.getByText('the two edges end differently')).toBeVisible();
});

test('a size further off the wish than is allowed is told as such, on the ticket and among the others', async ({
  page,
  server,
}) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/size`);
  const allowed = page.getByLabel('How far off may it be?');
  await allowed.fill('a bit');
  await allowed.blur();
  await expect(page.getByText('“a bit” is not a length.')).toBeVisible();
  await allowed.fill('2');
  await allowed.press('Enter');
  await expect(page.getByText('✓ Saved', { exact: true })).toBeVisible();
  // 36 stitches are 1.5 cm under 24 cm, 44 are 3.5 cm over.
  const ticket = page.getByRole('region', { name: 'This size in figures' });
  await expect(ticket.getByText('you allow')).toHaveCount(0);
  await expect(page.getByRole('row', { name: /One step wider/ })).toContainText('further off than you allow');
  await page.getByRole('slider', { name: 'Width' }).press('ArrowRight');
  await expect(ticket).toContainText('further off than the 2.0 cm you allow');
  await page.reload();
  await expect(allowed).toHaveValue('2 cm');
});

test.describe('where a comma stands before the tenths', () => {
  test.use({ locale: 'de-DE' });

  test('every number has it: on the ticket and beside it, and what is typed with it is read', async ({
    page,
    server,
  }) => {
    const id = await wishedCloth(server);
    await page.goto(`${server.address}/works/${id}/size`);
    const ticket = page.getByRole('region', { name: 'This size in figures' });
    await expect(ticket).toContainText('22,5 cm');
    await expect(page.locator('main')).not.toContainText(/\d\.\d/);
    const off = page.getByLabel('How far off may it be?');
    await off.fill('1,5');
    await off.press('Tab');
    await expect(page.getByRole('alert')).toHaveCount(0);
  });
});
