import { expect, test, wishedCloth } from './server.ts';

interface Kept {
  readonly wish: { readonly border?: { readonly rounds: number }; readonly finish?: Record<string, unknown> };
}

test('what is changed in the idea is there on whichever stage is opened next', async ({ page, server }) => {
  const id = await wishedCloth(server, { item: 'blanket', border: { rounds: 2 } });
  await page.addInitScript(() => localStorage.setItem('puntada.idea', JSON.stringify(['finish'])));
  await page.goto(`${server.address}/works/${id}/wish`);
  await page.getByLabel(/^Border, rounds/).fill('5');
  await page.getByText(/^A plain closing row/).click();
  await page.getByLabel('Closing row in').selectOption('B');
  await expect(page.getByText('✓ Saved as a draft')).toBeVisible();
  await page
    .getByRole('navigation', { name: /stages/i })
    .getByRole('link', { name: 'Finishing' })
    .click();
  await page.waitForURL(/\/finish$/);
  // The last row is in A: the closing row in B is joined, and the border in A behind it.
  await expect(page.getByText('Join B.')).toBeVisible();
  await expect(page.getByText('Join A.')).toBeVisible();
  const kept = await server.get<Kept>(`/works/${id}`);
  expect([kept.wish.border?.rounds, kept.wish.finish?.closingColour]).toEqual([5, 'B']);
  // What cannot be is said on the Idea page, and nothing else is opened.
  await page.goto(`${server.address}/works/${id}/wish`);
  await page.getByLabel(/^Border, rounds/).fill('60');
  await page
    .getByRole('navigation', { name: /stages/i })
    .getByRole('link', { name: 'Rows' })
    .click();
  await expect(page.getByLabel(/^Border, rounds/)).toHaveAttribute('aria-invalid', 'true');
  expect(page.url()).toMatch(/\/wish/);
});

test('a bag says its seam, its mouth and its ring as they were chosen', async ({ page, server }) => {
  const id = await wishedCloth(server, { item: 'bag', pieces: 2, finish: { seam: 'sc' } });
  await page.addInitScript(() => localStorage.setItem('puntada.idea', JSON.stringify(['finish'])));
  await page.goto(`${server.address}/works/${id}/wish`);
  await page.getByLabel('Seam in').selectOption('B');
  await page.getByLabel('Edge of the mouth').selectOption('plain');
  await page.getByLabel('Which edge is the mouth').selectOption('foundation');
  await page
    .getByRole('navigation', { name: /stages/i })
    .getByRole('link', { name: 'Finishing' })
    .click();
  await page.waitForURL(/\/finish$/);
  await expect(page.getByText(/^\d+ stitches in B/)).toBeVisible();
  // The seam ends at the mouth in B; the edging in A is joined at the foundation.
  await expect(page.getByText('Join A.')).toBeVisible();
  const pot = await wishedCloth(server, {
    item: 'potholder',
    pattern: { key: 'sea-chest' },
    width: { by: 'length', length: '20 cm' },
    height: { by: 'length', length: '20 cm' },
    gauge: { from: 'typical' },
    finish: { seam: 'mattress', ring: '6 cm' },
  });
  await page.goto(`${server.address}/works/${pot}/wish`);
  await page.getByLabel('Ring in').selectOption('B');
  await page.getByText('Leave a long end for sewing').click();
  await page
    .getByRole('navigation', { name: /stages/i })
    .getByRole('link', { name: 'Finishing' })
    .click();
  await page.waitForURL(/\/finish$/);
  await expect(page.getByText(/leave a long end to sew the seam with/)).toBeVisible();
  await expect(page.getByText(/^Sew with the long end/)).toBeVisible();
  await expect(page.getByText('Join B.')).toBeVisible();
});
