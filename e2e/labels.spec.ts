import { begunCloth, expect, test } from './server.ts';

test('labels are made of what a project knows: on sheets to be cut, and as a strip from the practice printer', async ({
  page,
  server,
}) => {
  const id = await begunCloth(server, { title: 'Two for the galley', pieces: 2 });
  await page.goto(`${server.address}/works/${id}/finish`);
  await page.getByRole('link', { name: 'Labels for it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Two for the galley' })).toBeVisible();
  const sheet = page.getByRole('link', { name: 'Open to print' });
  await page.getByLabel('Your mark: initials or a name').fill('M. Quay');
  const boat = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(120, 80);
    const ctx = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
    ctx.fillRect(20, 20, 80, 40);
    return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())];
  });
  const picture = page.getByLabel('A picture as your mark');
  await picture.setInputFiles({ name: 'none.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('no picture that can be read');
  await picture.setInputFiles({ name: 'boat.png', mimeType: 'image/png', buffer: Buffer.from(boat) });
  await expect(page.getByRole('img', { name: 'Your mark, as a picture' })).toBeVisible();
  await expect(sheet).toHaveAttribute('href', /picture=[0-9a-f]{16}/);
  await page.getByRole('button', { name: 'Without the picture' }).click();
  await expect(sheet).toHaveAttribute('href', /picture=&/);
  await picture.setInputFiles({ name: 'boat.png', mimeType: 'image/png', buffer: Buffer.from(boat) });
  await expect(sheet).toHaveAttribute('href', /picture=[0-9a-f]{16}/);
  await page.getByLabel('Price, with its currency').fill('9,50 €');
  await page.getByLabel('How many on the sheets').fill('0');
  await expect(page.getByText('Type a whole number from 1 to 200.')).toBeVisible();
  await page.getByLabel('How many on the sheets').fill('20');
  await expect(page.getByText(/^3 pages$/)).toBeVisible();
  // Nine stand on A4, six on US Letter.
  await page.getByRole('radio', { name: 'US Letter' }).click();
  await expect(page.getByText(/^4 pages$/)).toBeVisible();
  await page.getByRole('radio', { name: 'A4', exact: true }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as PDF' }).click();
  expect((await saving).suggestedFilename()).toMatch(/-tag\.pdf$/);
  for (const kind of ['Care label', 'Price', 'List of the set', 'Band']) {
    await page.getByRole('radio', { name: kind, exact: true }).click();
    const address = (await sheet.getAttribute('href')) ?? '';
    const answer = await page.request.get(`${server.address}${address}`);
    expect([kind, answer.status(), answer.headers()['content-type']]).toEqual([kind, 200, 'application/pdf']);
  }
  // The band of a pair is asked for as a pair; the mark is kept for the next project.
  await expect(page.getByLabel('How many pieces it goes round')).toHaveValue('2');
  await page.getByLabel('How many pieces it goes round').selectOption('1');
  const printer = page.getByRole('region', { name: 'As a strip from the label printer' });
  await expect(printer).toContainText('12.0 m of paper left');
  await page.getByRole('radio', { name: 'Hang tag', exact: true }).click();
  await printer.getByRole('button', { name: 'Print a strip' }).click();
  const strip = printer.getByRole('img', { name: 'The strip that came out last' });
  await expect(strip).toBeVisible();
  // Something is on it, and not all of it is black.
  const dark = await strip.evaluate((canvas) => {
    const { width, height } = canvas as HTMLCanvasElement;
    const { data } = (canvas as HTMLCanvasElement).getContext('2d')?.getImageData(0, 0, width, height) ?? { data: [] };
    let count = 0;
    for (let i = 0; i < data.length; i += 4) count += (data[i] ?? 255) < 128 ? 1 : 0;
    return count / (width * height);
  });
  expect(dark).toBeGreaterThan(0.02);
  expect(dark).toBeLessThan(0.5);
  // What is wrong with the printer is told, and mended.
  await printer.getByText('Practice printer').click();
  for (const [wrong, told, right] of [
    ['Open its cover', 'The cover of the label printer is open.', 'Close its cover'],
    ['Take its roll out', 'The label printer is out of paper.', 'Put a roll in'],
    ['Pull its cable', 'The label printer does not answer.', 'Plug its cable in'],
  ] as const) {
    await printer.getByRole('button', { name: wrong }).click();
    await printer.getByRole('button', { name: 'Print a strip' }).click();
    await expect(printer.getByRole('alert')).toContainText(told);
    await printer.getByRole('button', { name: right }).click();
  }
  await printer.getByRole('button', { name: 'Print a strip' }).click();
  await expect(printer.getByRole('alert')).toHaveCount(0);
  await page.reload();
  await expect(page.getByLabel('Your mark: initials or a name')).toHaveValue('M. Quay');
});
