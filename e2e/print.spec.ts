import { readFileSync } from 'node:fs';
import { expect, test, wishedCloth } from './server.ts';

test('a project is looked at page by page and saved as a document', async ({ page, server }) => {
  const id = await wishedCloth(server, { title: 'Cloth on paper' });
  await page.goto(`${server.address}/works/${id}/rows`);
  await expect(page.getByRole('heading', { level: 1, name: 'Cloth on paper' })).toBeVisible();
  await page.keyboard.press('Control+p');
  await expect(page).toHaveURL(/\/print$/);
  const pages = page.getByRole('main').locator('canvas');
  await expect(pages.first()).toBeVisible();
  const before = await pages.count();
  // Thirty points take more paper than ten.
  await page.getByLabel('Large print').check();
  await expect.poll(() => pages.count()).toBeGreaterThan(before);
  // A row a block of 18 points takes less than of 22; on its side, in letters, without boxes it is still a document.
  const large = await pages.count();
  await page.getByLabel('Size of the large print').selectOption('18');
  await expect.poll(() => pages.count()).toBeLessThan(large);
  const shape = () => pages.first().evaluate((each) => each.clientWidth / each.clientHeight);
  // A4 is 210 by 297 mm, US Letter 8.5 by 11 inches.
  await expect.poll(shape).toBeCloseTo(210 / 297, 2);
  await page.getByRole('radio', { name: 'US Letter' }).click();
  await expect.poll(shape).toBeCloseTo(8.5 / 11, 2);
  await page.getByRole('radio', { name: 'A2', exact: true }).click();
  await expect.poll(shape).toBeCloseTo(420 / 594, 2);
  await page.getByRole('radio', { name: 'US Letter' }).click();
  await page.getByRole('radio', { name: 'Across' }).click();
  await expect.poll(shape).toBeCloseTo(11 / 8.5, 2);
  await page.getByRole('radio', { name: 'For a black printer' }).click();
  await page.getByLabel('A box to tick at each row').uncheck();
  await page.getByLabel('With the orders of the strands').check();
  await page.getByLabel('Rows that come again told once').check();
  await expect(page.getByLabel('With the orders of the strands')).toHaveCount(0);
  for (const part of ['Cover', 'Before you begin', 'Rows', 'Large print', 'Chart', 'Finishing', 'Yarn']) {
    await page.getByRole('checkbox', { name: part, exact: true }).uncheck();
  }
  await expect(page.getByText('Choose at least one part.')).toBeVisible();
  await page.getByLabel('Proof sheet').check();
  await expect(pages).toHaveCount(1);
  await page.getByRole('checkbox', { name: 'Log', exact: true }).check();
  await expect(pages).toHaveCount(2);
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as PDF' }).click();
  const file = await saving;
  expect(file.suggestedFilename()).toMatch(/\.pdf$/);
  expect(
    readFileSync(await file.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
});

test('rows, runs, pattern and plan are saved as files that other programs read', async ({ page, server }) => {
  const id = await wishedCloth(server, { title: 'Cloth for a friend' });
  await page.goto(`${server.address}/works/${id}/print`);
  const saved = async (button: string) => {
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: button }).click();
    const file = await saving;
    const bytes = readFileSync(await file.path());
    return { name: file.suggestedFilename(), text: bytes.toString('utf8'), bytes };
  };
  const rows = await saved('Rows as text');
  expect(rows.name).toBe('Cloth-for-a-friend-rows.txt');
  expect(rows.text).toContain('Row 44 (');
  expect((await saved('Rows as Markdown')).text).toContain('- [ ] Row 1 (RS)');
  const lines = (await saved('Runs as a table')).text.split('\n');
  expect(lines[0]).toBe('row,side,run,first stitch,count,stitch,colour,yarn,next colour');
  expect(lines[1]).toMatch(/^1,RS,1,1,4,sc,A,/);
  expect((await saved('Pattern as text')).text).toMatch(/^pattern /);
  expect(JSON.parse((await saved('Plan as JSON')).text)).toHaveProperty('rows.43.number', 44);
  expect((await saved('Yarn as a table')).text).toMatch(/^colour,yarn,part,/);
  // Pictures are opened by another program: 36 stitches and 44 rows, drawn as wide as they are and as high.
  const chart = await saved('Chart as SVG');
  const opened = await page.context().newPage();
  await opened.setContent(chart.text);
  await expect(opened.locator('svg title')).toHaveText('Cloth for a friend');
  expect(await opened.locator('svg').evaluate((svg) => svg.getBoundingClientRect().width)).toBe(36 * 20 + 88);
  await opened.close();
  for (const [button, end] of [
    ['Chart as a picture', '-chart.png'],
    ['Cloth as a picture', '-cloth.png'],
  ] as const) {
    await page.getByLabel('Size of a picture').selectOption('1000');
    const { name, bytes } = await saved(button);
    expect(name).toBe(`Cloth-for-a-friend${end}`);
    expect(bytes.subarray(1, 4).toString()).toBe('PNG');
    expect(Math.abs(Math.max(bytes.readUInt32BE(16), bytes.readUInt32BE(20)) - 1000)).toBeLessThanOrEqual(40);
  }
});
