import { readFileSync } from 'node:fs';
import { begunCloth, expect, test, wishedCloth } from './server.ts';

function dayFromNow(days: number): string {
  return new Date(Date.now() + days * 86_400_000).toLocaleDateString('sv-SE');
}

test('what to do this evening, whether the day that is due can be met, and all of it as a calendar', async ({
  page,
  server,
}) => {
  await begunCloth(server, { title: 'Cloth for the fair' });
  await wishedCloth(server, { title: 'Cloth for later' });
  await page.goto(server.address);
  await page.getByRole('link', { name: 'Evenings' }).click();
  const week = page.getByRole('form', { name: 'Minutes of the week' });
  for (const day of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']) {
    await week.getByLabel(day).fill(day === 'Sunday' ? 'an hour' : '40');
  }
  await week.getByRole('button', { name: 'Save this week' }).click();
  await expect(week.getByRole('alert')).toContainText('Type whole minutes');
  await week.getByLabel('Sunday').fill('40');
  await week.getByRole('button', { name: 'Save this week' }).click();
  // A row is 36 sc of 3 s, 8 changes of 5 s and a turn of 4 s: 152 s, so 40 minutes come to 15 rows this evening.
  const evening = page.getByRole('region', { name: 'This evening' });
  await expect(evening).toContainText('Cloth for the fair');
  await expect(evening).toContainText('about 15 rows, 40 min');
  await expect(evening).toContainText('1 pause');
  const due = page.getByLabel('Due: Cloth for the fair');
  await due.fill(dayFromNow(0));
  await due.blur();
  await expect(page.getByText(/✕\s*under 1 % by/)).toBeVisible();
  await page.getByLabel('Due: Cloth for the fair').fill(dayFromNow(30));
  await page.getByLabel('Due: Cloth for the fair').blur();
  await expect(page.getByText(/✓\s*over 99 % by/)).toBeVisible();
  await page.getByLabel('Add a planned project').selectOption({ label: 'Cloth for later' });
  await page.getByLabel('on', { exact: true }).fill(dayFromNow(40));
  await page.getByLabel('on', { exact: true }).blur();
  await expect(page.getByLabel('Due: Cloth for later')).toHaveValue(dayFromNow(40));
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as a calendar' }).click();
  const calendar = readFileSync(await (await saving).path(), 'utf8');
  expect(calendar).toContain('BEGIN:VCALENDAR');
  expect(calendar).toContain('SUMMARY:Cloth for the fair: due');
  const later = page.getByLabel('Due: Cloth for later');
  await later.fill('');
  await later.blur();
  await expect(later).toHaveCount(0);
  await evening.getByRole('link', { name: 'Go on making' }).click();
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
});
