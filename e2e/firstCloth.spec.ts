import { expect, test } from './server.ts';

test('from a wish to two worked rows, and the counter stands where it stood after the plug was pulled', async ({
  page,
  ownServer,
}) => {
  await page.goto(ownServer.address);
  await page.getByRole('link', { name: 'New project' }).click();
  await page.getByLabel('Project name').fill('Galley cloth');
  await page.getByRole('radio', { name: 'I counted it' }).click();
  await page.getByLabel('Stitches', { exact: true }).fill('16');
  await page.getByLabel('Rows', { exact: true }).fill('18');
  await page.getByRole('button', { name: 'See sizes' }).click();

  await expect(page.getByTestId('chains')).toHaveText('37');
  const width = page.getByRole('slider', { name: 'Width' });
  await expect(width).toHaveAttribute('aria-valuetext', '36 stitches, 22.5 cm');
  await expect(page.getByRole('slider', { name: 'Height' })).toHaveAttribute('aria-valuetext', '44 rows, 24.4 cm');
  const ticket = page.getByRole('region', { name: 'This size in figures' });
  await expect(ticket).toContainText('9 blocks × 4 = 36 stitches');
  await expect(ticket).toContainText('800 stitches');
  await expect(ticket).toContainText('784 stitches');

  // Drag the right edge one notch: 44 stitches are 27.5 cm.
  const box = await width.boundingBox();
  if (!box) throw new Error('the edge is not on the mat');
  const grid = await page.getByRole('group', { name: 'Cutting mat' }).boundingBox();
  expect(grid).not.toBeNull();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 45, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(width).toHaveAttribute('aria-valuetext', '44 stitches, 27.5 cm');
  await expect(page.getByTestId('chains')).toHaveText('45');
  await expect(page.getByText('✓ Saved', { exact: true })).toBeVisible();

  await page.getByRole('button', { name: 'Start with 45 chains' }).click();
  // Twenty, twenty and five chains, each with its marker.
  await expect(page.getByTestId('step-name')).toHaveText('Chain 45');
  await expect(page.getByTestId('heard')).toContainText('20 chains, to 20: put a marker in');
  for (const upTo of ['20 chains, to 40', '5 chains, to 45']) {
    await page.keyboard.press('Space');
    await expect(page.getByTestId('heard')).toContainText(upTo);
  }
  await expect(page.getByText('skip 1 chain, first single crochet in the 2nd chain from the hook')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await expect(page.getByTestId('run-count')).toHaveText('4');
  // Row 1 run by run, 11 blocks; row 2 at once; one run of row 3.
  for (let run = 0; run < 11; run++) await page.keyboard.press('Space');
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 3');
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Row 3, step 2 of 11' })).toBeVisible();
  await expect(page.getByText('✓ Saved')).toBeVisible();

  await ownServer.kill();
  await ownServer.start();
  await page.goto(ownServer.address);
  await expect(page.getByText('42 rows left of 44')).toBeVisible();
  await page.getByRole('link', { name: 'Go on at row 3' }).click();
  await expect(page.getByTestId('row-number')).toHaveText('Row 3');
  await expect(page.getByRole('region', { name: 'Row 3, step 2 of 11' })).toBeVisible();
});

test('three choices reach the mat', async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'One panel for a bag' }).click();
  await page.getByRole('radio', { name: /Houndstooth/ }).click();
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByRole('slider', { name: 'Width' })).toBeVisible();
  const ticket = page.getByRole('region', { name: 'This size in figures' });
  await expect(ticket).toContainText('typical');
  // A typical gauge gives no single size anywhere on the ticket.
  expect((await ticket.innerText()).replace(/[−+]?[\d.]+(–| to )[−+]?[\d.]+ (cm|m)/g, '')).not.toMatch(/\d (cm|m)\b/);
});
