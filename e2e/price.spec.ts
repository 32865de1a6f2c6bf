import { at, begunCloth, expect, test } from './server.ts';

test('what a cloth costs and three ways to a price add up as they are shown; rate and currency hold for all projects', async ({
  browser,
  page,
  server,
}) => {
  const label = { line: 'Tidewool', weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50, balls: 4 };
  const oat = await server.post<{ id: string }>('/drawer', {
    yarn: { ...label, name: 'Oat', shade: '#e9dfc4', price: 3.4 },
  });
  const yarn = { weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50 };
  const id = await begunCloth(server, {
    yarns: [
      { ...yarn, letter: 'A', name: 'Oat', shade: '#e9dfc4', drawer: oat.id },
      { ...yarn, letter: 'B', name: 'Ferry blue', shade: '#24476b' },
    ],
  });
  await page.goto(`${server.address}/works/${id}/finish`);
  await page.getByRole('link', { name: 'Cost and price' }).click();
  // The ball of A has its price in the drawer; that of B is asked for.
  await expect(page.getByText('The price of B is not known')).toBeVisible();
  await page.getByLabel('A ball of B').fill('free');
  await expect(page.getByText('Type an amount, such as 3.40.')).toBeVisible();
  await page.getByLabel('A ball of B').fill('3.60');
  await expect(page.getByText('is not known')).toHaveCount(0);
  await page.getByLabel('Label', { exact: true }).fill('0.20');
  await page.getByLabel('An hour is to earn').fill('12');
  await page.getByLabel('What others ask for the like').fill('15');
  const ways = page.getByRole('region', { name: 'Three ways to a price' });
  await expect(ways.getByRole('listitem')).toHaveCount(3);
  const text = await ways.innerText();
  const number = (after: string) => Number(new RegExp(`${after}\\s+([\\d.]+)`).exec(text)?.[1]);
  const [materials, hours] = [number('Yarn and what goes with it'), number('Your work on one, at your pace')];
  expect(materials).toBeGreaterThan(0.2);
  const prices = await ways.locator('li b').allInnerTexts();
  const [paid, times, asked] = prices.map((each) => Number.parseFloat(each));
  expect([paid, times, asked]).toEqual([
    expect.closeTo(materials + 12 * hours, 2),
    expect.closeTo(3 * materials, 2),
    15,
  ]);
  await expect(ways).toContainText('An hour earns 12.00 €.');
  await expect(ways).toContainText(`An hour earns ${((15 - materials) / hours).toFixed(2)} €.`);
  await page.getByLabel('Currency').fill('£');
  await expect(ways).toContainText('15.00 £');
  await expect
    .poll(() => server.get<{ rate: number; currency: string }>('/preferences'))
    .toMatchObject({ rate: 12, currency: '£' });
  // What was typed of this project is there again, on another device too.
  const told = async () => {
    const { entries } = await server.get<{ entries: { kind: string; typed?: object }[] }>(`/works/${id}/log`);
    return entries.filter(({ kind }) => kind === 'costs').map(({ typed }) => typed);
  };
  await expect.poll(told).toEqual([{ 'ball B': '3.60', label: '0.20', asked: '15' }]);
  const other = await (await browser.newContext()).newPage();
  await other.goto(page.url());
  await expect(other.getByLabel('A ball of B')).toHaveValue('3.60');
  await other.getByLabel('Label', { exact: true }).fill('');
  await expect.poll(told).toEqual([{ 'ball B': '3.60', asked: '15' }]);
  await other.getByLabel('Label', { exact: true }).fill('0.20');
  await expect.poll(told).toEqual([{ 'ball B': '3.60', label: '0.20', asked: '15' }]);
  await other.context().close();
  await page.reload();
  await expect(page.getByLabel('A ball of B')).toHaveValue('3.60');
  await expect(ways).toContainText('15.00 £');
  // The same in the settings, from any page.
  await page.getByRole('button', { name: /right hand/ }).click();
  const settings = page.getByRole('dialog');
  await expect(settings.getByLabel('An hour is to earn')).toHaveValue('12');
  await settings.getByLabel('An hour is to earn').fill('14.5');
  await settings.getByLabel('Currency').fill('kr');
  await expect
    .poll(() => server.get<{ rate: number; currency: string }>('/preferences'))
    .toMatchObject({ rate: 14.5, currency: 'kr' });
  await page.keyboard.press('Escape');
  await expect(ways).toContainText('An hour earns 14.50 kr.');
});

test('panels that are to match are compared as they are measured', async ({ page, server }) => {
  const id = await begunCloth(server, { title: 'Two panels', item: 'bag', pieces: 2 });
  const measure = (rows: number, width: string) =>
    server.post(`/works/${id}/log`, {
      entry: {
        format: 'puntada-entry',
        version: 3,
        kind: 'measure',
        id: crypto.randomUUID(),
        at: 1_790_000_000_000 + rows,
        position: at(rows),
        width,
      },
    });
  const { size } = await server.get<{ size: { rows: number } }>(`/works/${id}`);
  // Row 30 of either: all rows of the first and its ends, the chain of the second, thirty of its own.
  await measure(30, '24.0 cm');
  await measure(size.rows + 2 + 30, '25.2 cm');
  await page.goto(`${server.address}/works/${id}/log`);
  await expect(page.getByText('Panel 2 is 1.2 cm wider at row 30 than panel 1.')).toBeVisible();
});
