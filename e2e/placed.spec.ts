import { expect, test, wishedCloth } from './server.ts';

test('a figure is put on a cloth once, at its margins, and moved on the mat', async ({ page, server }) => {
  const chart = 'across 4 "repeats"\nup 3 "repeats"\nread seen\nchart\n  ABBA\n  BBBB\n  ABBA\nend\n';
  const text = `pattern own-boat "Little boat"\nabout ""\ntechnique carried\nmade flat\nstitch sc\ncolours A B\n${chart}`;
  await server.post('/patterns', { pattern: { format: 'puntada-own-pattern', version: 1, text, note: '' } });
  const id = await wishedCloth(server, { title: 'Cloth with a boat' });
  await page.goto(`${server.address}/works/${id}/wish`);
  const once = page.getByRole('region', { name: 'Put on it once' });
  await once.getByLabel('Add a figure').selectOption({ label: 'Little boat' });
  await once.getByLabel('Little boat, across').getByText('From the left').click();
  await once.getByLabel('Margin').fill('2 cm');
  await once.getByLabel('Little boat, up').getByText('From below').click();
  await once.getByLabel('Margin').nth(1).fill('2 cm');
  await page.getByRole('button', { name: 'See sizes' }).click();
  // 36 stitches of 6.25 mm: 2 cm are 3 of them, so 36 − 4 − 3 = 29 stand to its right; 2 cm of rows of 5.56 mm are 4.
  const boat = page.getByRole('button', { name: /^Little boat:/ });
  await expect(boat).toHaveAccessibleName(/29 stitches from where row 1 begins, 4 rows up/);
  await boat.press('ArrowLeft');
  await expect(boat).toHaveAccessibleName(/30 stitches from where row 1 begins, 4 rows up/);
  await boat.press('ArrowUp');
  await expect(boat).toHaveAccessibleName(/30 stitches from where row 1 begins, 5 rows up/);
  // By the mouse: to the right and down again, at least some stitches.
  const box = await boat.boundingBox();
  if (!box) throw new Error('the figure is not on the mat');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(boat).not.toHaveAccessibleName(/30 stitches/);
  await expect(boat).toHaveAccessibleName(/5 rows up/);
  await page.goto(`${server.address}/works/${id}/wish`);
  await once.getByRole('button', { name: 'Take Little boat off' }).click();
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByRole('group', { name: 'Cutting mat' })).toBeVisible();
  await expect(boat).toHaveCount(0);
});
