import { begunCloth, expect, type TestServer, test, wishedCloth } from './server.ts';

const yarn = { line: 'Skerry cotton', fibre: 'cotton', weight: 4, ballMetres: 85, ballGrams: 50, balls: 3 };

/** A swatch of the galley cloth, counted at 16 × 18 in 10 cm with 5 mm. @returns its id */
async function countedSwatch(server: TestServer, title: string): Promise<string> {
  const galley = await server.get<{ wish: { pattern: object; yarns: object[] } }>(
    `/works/${await wishedCloth(server, { title: `Wish of ${title}` })}`,
  );
  const counts = [
    { what: 'stitches', count: 16, over: '10 cm' },
    { what: 'rows', count: 18, over: '10 cm' },
  ];
  const { pattern, yarns } = galley.wish;
  const swatch = { title, pattern, yarns, policy: 'carry-always', hook: 5, counts, weight: { grams: 19, scale: 0.1 } };
  return (await server.post<{ id: string }>('/swatches', { swatch })).id;
}

test('a yarn of the drawer is changed, and left as it was', async ({ page, server }) => {
  await server.post('/drawer', { yarn: { ...yarn, name: 'Heather', shade: '#7a5a86' } });
  await page.goto(`${server.address}/drawer`);
  const open = () => page.getByRole('button', { name: 'Edit Skerry cotton, Heather' }).click();
  await open();
  await page.getByLabel('Dye lot').fill('44 C');
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('lot 44 C')).toHaveCount(0);
  await open();
  await page.getByLabel('Dye lot').fill('44 C');
  await page.getByLabel('Whole balls').fill('2,5');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await expect(page.getByRole('alert')).toContainText('Give a whole number.');
  await page.getByLabel('Whole balls').fill('2');
  await page.getByLabel('Opened balls (g)').fill('30 12,5');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await expect(page.getByText('lot 44 C')).toBeVisible();
  // 2 · 50 g and 42.5 g at 1.7 m a gram are 242.25 m.
  await expect(page.getByText('242 m')).toBeVisible();
  await page.getByRole('button', { name: 'One ball more of Heather' }).click();
  await expect(page.getByText('327 m')).toBeVisible();
  await page.getByRole('button', { name: 'Delete Skerry cotton, Heather' }).click();
  await page.getByRole('button', { name: 'Yes, delete it' }).click();
  await expect(page.getByText('Heather is deleted.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('327 m')).toBeVisible();
});

test('a swatch: a count taken out, its weight forgotten, a note, and thrown away', async ({ page, server }) => {
  const id = await countedSwatch(server, `Galley check, ${Date.now()}`);
  await page.goto(`${server.address}/swatches/${id}`);
  await expect(page.getByText(/You use/)).toBeVisible();
  await page.getByRole('button', { name: 'Delete the weight' }).click();
  await expect(page.getByText(/Weigh it dry/)).toBeVisible();
  await page.getByLabel('Note').fill('Firm enough to scrub with.');
  await page.getByLabel('Note').blur();
  await page.getByRole('button', { name: 'Delete 18 rows over 10 cm' }).click();
  await expect(page.getByText(/Make it and lay it flat/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByRole('button', { name: 'Delete 18 rows over 10 cm' }).click();
  await page.getByRole('button', { name: 'Close this message' }).click();
  await expect(page.getByText(/Make it and lay it flat/)).toBeVisible();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Note')).toHaveValue('Firm enough to scrub with.');
  await page.getByRole('button', { name: 'Delete this swatch' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.getByRole('button', { name: 'Delete this swatch' }).click();
  await page.getByRole('button', { name: 'Yes, delete it' }).click();
  await expect(page.getByRole('heading', { name: 'Swatch book' })).toBeVisible();
});

test('which hook: from 16 stitches with 5 mm, 15 ask for 6 mm', async ({ page, server }) => {
  const id = await countedSwatch(server, 'Galley check');
  await page.goto(`${server.address}/swatches`);
  await page.getByLabel('Stitches you want in 10 cm').fill('15');
  // 5 · (16 ÷ 15)^(1 ÷ 0.45) = 5.77, of the sold sizes nearest to 6.
  await expect(page.getByRole('region', { name: 'Which hook' })).toContainText('try 6 mm');
  await page.getByLabel('Stitches you want in 10 cm').fill('16');
  await expect(page.getByRole('region', { name: 'Which hook' })).toContainText('keep the 5 mm');
  // A wish takes the gauge and the hook of the swatch: 36 stitches of 6.25 mm are 22.5 cm.
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'From a swatch' }).click();
  await expect(page.getByLabel('Hook (mm)')).toHaveValue('5');
  await expect(page.getByLabel('Swatch', { exact: true })).toHaveValue(id);
  await expect(page.getByRole('region', { name: 'What you get' }).getByText('22.5 × ')).toBeVisible();
  await page.getByRole('button', { name: 'Plan a swatch for this project' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('New dishcloth, swatch');
});

test('a blanket is sized for what it lies on, and a pattern as given becomes a wish', async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'Blanket', exact: true }).click();
  await page.getByRole('radio', { name: 'a baby’s cot' }).click();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('90');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('120');
  await page.goto(`${server.address}/given`);
  await page.getByLabel('Chains', { exact: true }).fill('37');
  await page.getByRole('button', { name: 'Start a project with 37 chains' }).click();
  await expect(page.getByLabel('Chains in it')).toHaveValue('37');
});

test('the book: by ends the cut rows come last; only those whose faces look alike; how a repeat is worked', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/book`);
  await page.getByRole('radio', { name: 'ends' }).click();
  const names = page.getByRole('main').getByRole('listitem').getByRole('link');
  await expect(names.last()).toHaveText('Tide marks');
  await page.getByLabel('Reversible only').check();
  await expect(page.getByRole('link', { name: 'Tide marks' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Block check' }).click();
  await page.getByText('How to work one repeat').click();
  await expect(page.getByText(/Row 1 \(RS\): chain 9 in A/)).toBeVisible();
  await expect(page.getByText('Some practice needed')).toBeVisible();
});

test('the screen is kept awake while a row is worked, taken up again when it is seen again, and let go', async ({
  page,
  server,
}) => {
  await page.addInitScript(() => {
    const told: string[] = [];
    Object.assign(window, { told });
    let held = 0;
    const lock = () => {
      const own = { released: false, release };
      function lose() {
        own.released = true;
        held--;
      }
      async function release() {
        if (own.released) return;
        told.push(`let go of ${held}`);
        lose();
      }
      told.push(`taken, ${++held} held`);
      Object.assign(window, { lose });
      return own;
    };
    Object.defineProperty(navigator, 'wakeLock', { value: { request: async () => lock() } });
  });
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  const told = () => page.evaluate(() => (window as unknown as { told: string[] }).told);
  await expect.poll(told).toEqual(['taken, 1 held']);
  // Seen again while it is still held, nothing is taken twice; the browser lets go of it when the page is hidden.
  const seen = () => page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
  await seen();
  await page.evaluate(() => (window as unknown as { lose: () => void }).lose());
  await seen();
  await expect.poll(told).toEqual(['taken, 1 held', 'taken, 1 held']);
  await page.getByRole('button', { name: 'Display' }).click();
  await page.getByLabel('Keep the screen awake').uncheck();
  await expect.poll(told).toEqual(['taken, 1 held', 'taken, 1 held', 'let go of 1']);
});

test('the runs are read aloud where it is asked, and slips have their cures', async ({ page, server }) => {
  await page.addInitScript(() => {
    const heard: string[] = [];
    Object.assign(window, { heard });
    Object.defineProperty(window, 'speechSynthesis', {
      value: { cancel: () => undefined, speak: (said: SpeechSynthesisUtterance) => heard.push(said.text) },
    });
  });
  const id = await wishedCloth(server);
  const work = await server.get<{ wish: object }>(`/works/${id}`);
  await server.post(`/works/${id}/begin`, { revision: 1, wish: work.wish });
  await page.goto(`${server.address}/works/${id}/work`);
  await page.getByRole('button', { name: 'Display' }).click();
  await page.getByLabel('Read each step aloud').check();
  await page.getByLabel('Keep the screen awake').uncheck();
  await page.keyboard.press('Escape');
  const heard = () => page.evaluate(() => (window as unknown as { heard: string[] }).heard);
  await expect.poll(async () => (await heard())[0]).toBe('Chain 37: 20 chains, to 20: put a marker in');
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect.poll(async () => (await heard())[1]).toBe('Chain 37: 17 chains, to 37');
  for (let press = 0; press < 2; press++) await page.getByRole('button', { name: /^Next/ }).click();
  // The way a row begins is said in whole words, and the change while there is still time for it.
  await expect
    .poll(async () => (await heard())[2])
    .toMatch(
      /^Row 1: skip 1 chain, first single crochet in the 2nd chain.*\. 4 single crochet in A, close the 4th in B$/,
    );
  await expect.poll(async () => (await heard())[3]).toBe('4 single crochet in B, close the 4th in A');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await heard()).at(-1)).toMatch(/^Row 2: turn; chain 1 in [AB]\. 4 single crochet/);
  await page.getByRole('button', { name: 'Something is wrong' }).click();
  await page.getByRole('tab', { name: 'Common slips and how to mend them' }).click();
  await expect(page.getByText('A ball ran out in the middle of a row.')).toBeVisible();
});

test('a page older than the server says so, and a kept copy that cannot be read is not shown as if it were', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/drawer`);
  await expect(page.getByRole('heading', { name: 'Yarn drawer' })).toBeVisible();
  const newer = { format: 'puntada-yarn', version: 2, strands: ['Tidewool', 'Foam'] };
  await page.route('**/api/drawer', (route) =>
    route.fulfill({ json: [{ id: '11111111-1111-4111-8111-111111111111', revision: 1, yarn: newer }] }),
  );
  await page.reload();
  await expect(page.getByRole('alert')).toContainText(
    'This page is older than the Puntada that runs on your computer.',
  );
  await expect(page.getByRole('alert')).toContainText('Reload the page.');
  await page.unroute('**/api/drawer');
  // The copy it kept of that answer is read through the same shape.
  await page.route('**/api/drawer', (route) => route.abort());
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('This page is older');
  await page.unroute('**/api/drawer');
  await page.reload();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'Yarn drawer' })).toBeVisible();
});
