import { readFileSync } from 'node:fs';
import { expect, test, wishedCloth } from './server.ts';

const drawer =
  'line,shade,colour,fibre,weight,balls\nSkerry cotton,Oat,#e9dfc4,cotton,4,2\nSkerry cotton,Kelp,#24476b,cotton,4,1\n';
const pattern =
  'pattern own-1 "Fir"\nabout ""\ntechnique carried\nmade flat\nstitch sc\ncolours A B\nacross 3 "repeats"\nup 2 "repeats"\nread seen\nchart\n  ABA\n  BBB\nend\n';

test('any file of ours is looked into, told what it is, and done with as the maker says', async ({
  page,
  ownServer: server,
}) => {
  await page.goto(server.address);
  await page.getByRole('link', { name: 'Open a file' }).click();
  const give = (name: string, text: string) =>
    page.getByLabel('Choose a file').setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  await give('song.txt', '{"format": "song"}');
  await expect(page.getByRole('alert')).toContainText('song.txt is no file that Puntada knows');
  await give('plan.pdf', '%PDF-1.7 ');
  await expect(page.getByText('plan.pdf is a document to print.')).toBeVisible();
  await give('seen.dat', 'RIFF1234WEBPVP8 ');
  await expect(page.getByRole('button', { name: 'Begin a chart at the desk' })).toBeVisible();
  await give('yarns.txt', drawer);
  await expect(page.getByText('yarns.txt is a table of 2 yarns.')).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
  expect(await server.get<unknown[]>('/drawer')).toHaveLength(0);
  await page.getByRole('button', { name: 'Add 2 yarns to the drawer' }).click();
  await expect(page.getByRole('heading', { name: 'Skerry cotton, Kelp' })).toBeVisible();
  await page.goto(`${server.address}/open`);
  await give('fir.dat', pattern);
  await expect(page.getByText('fir.dat is a pattern, “Fir”, in carried colourwork.')).toBeVisible();
  await page.getByRole('button', { name: 'Add it to your patterns' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Fir' })).toBeVisible();
  await page.goto(`${server.address}/open`);
  await give('rows.txt', 'Ch 9\nRow 1 (RS): 4 A, 4 B.\nRow 2 (WS): 8 B.\n');
  await page.getByRole('button', { name: 'Read them at the chart desk' }).click();
  await expect(page.getByLabel('Rows, one or more lines')).toHaveValue(/Row 2 \(WS\): 8 B/);
  await page.goto(`${server.address}/open`);
  await give('idea.json', readFileSync(new URL('../docs/examples/galley-cloth.json', import.meta.url), 'utf8'));
  await page.getByRole('button', { name: 'Start a project from it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Galley cloth' })).toBeVisible();
  await expect(page).toHaveURL(/\/works\/[^/]+\/wish$/);
});

test('a file dropped anywhere on the window is opened: a whole bench, asked about first', async ({
  page,
  ownServer: server,
}) => {
  await wishedCloth(server, { title: 'Kept in a copy' });
  await page.goto(`${server.address}/copies`);
  // It is made, and then saved: a page that is left before that is called back by it.
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Back up everything to a file' }).click();
  await saved;
  const [copy] = await server.get<{ name: string }[]>('/copies');
  const bytes = await (await page.request.get(`${server.address}/api/copies/${copy?.name}`)).body();
  await page.goto(`${server.address}/drawer`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  const handed = await page.evaluateHandle((base64) => {
    const held = new DataTransfer();
    held.items.add(new File([Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0))], 'bench.zip'));
    return held;
  }, bytes.toString('base64'));
  await page.dispatchEvent('body', 'drop', { dataTransfer: handed });
  await expect(page.getByRole('heading', { level: 1, name: 'Open a file' })).toBeVisible();
  await expect(page.getByText(/bench\.zip was made on .* 1 project/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  expect(await server.get<unknown[]>('/works')).toHaveLength(1);
});
