import { expect, test, wishedCloth } from './server.ts';

test('a chain already made: 52 is refused with its nearest, 41 is legal but not alike', async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'I already have a chain' }).click();
  await page.getByLabel('Chains in it').fill('40 cm');
  await page.getByLabel('Chains in it').blur();
  await expect(page.getByRole('alert').first()).toContainText('this field counts chains');
  await page.getByLabel('Chains in it').fill('52');
  await page.getByRole('button', { name: 'See sizes' }).click();
  const wrong = page.locator('[id="width.count-wrong"]');
  await expect(wrong).toContainText('52 chains make 51 stitches');
  await expect(wrong).toContainText('Use 49 or 53 chains.');
  await expect(page.getByLabel('Chains in it')).toBeFocused();

  await page.getByLabel('Chains in it').fill('41');
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByTestId('chains')).toHaveText('41');
  await expect(page.getByText(/the two edges will not match/)).toContainText('37 or 45 chains');
});

const wrongs: [
  string,
  (field: (label: string) => ReturnType<import('@playwright/test').Page['getByLabel']>) => Promise<void>,
  RegExp,
][] = [
  ['letters in a width', (field) => field('Width').fill('wide'), /is not a length|is not a number/],
  ['a width under nothing', (field) => field('Width').fill('-24'), /under 1 cm/],
  ['an absurd height', (field) => field('Height').fill('90 m'), /over 5 m/],
  ['a width narrower than one repeat', (field) => field('Width').fill('3 cm'), /narrower than one repeat/],
  ['a block of no stitches', (field) => field('Stitches in a block').fill('0'), /cannot be worked/],
  ['letters in a block', (field) => field('Rows in a block').fill('four'), /is not a number/],
  ['no name', (field) => field('Project name').fill(''), /name is empty/],
];

test('what cannot be is refused at its field and stores nothing, and is taken back', async ({ page, server }) => {
  const before = await server.get<unknown[]>('/works');
  await page.goto(`${server.address}/wish`);
  for (const [what, fill, sentence] of wrongs) {
    await test.step(what, async () => {
      await fill((label) => page.getByLabel(label, { exact: true }));
      await page.getByRole('button', { name: 'See sizes' }).click();
      await expect(page.getByRole('alert').first()).toContainText(sentence);
      await expect(page).toHaveURL(/\/wish(\?draft=[-0-9a-f]+)?$/);
      // As it was offered, it is good again.
      await page.getByRole('button', { name: /^Undo/ }).click();
      await expect(page.getByRole('alert')).toHaveCount(0);
    });
  }
  expect(await server.get<unknown[]>('/works')).toHaveLength(before.length);
});

test('a gauge of zero is refused at its field', { tag: '@long' }, async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'I counted it' }).click();
  await page.getByLabel('Stitches', { exact: true }).fill('0');
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.locator('[id="gauge.stitches.count-wrong"]')).toContainText('is too small');
});

test('inches, yarns and the foundation of hdc are kept as they were chosen', { tag: '@long' }, async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'in', exact: true }).click();
  await page.getByLabel('Width', { exact: true }).fill('9 1/2');
  await page.getByLabel('Height', { exact: true }).fill('10½');
  await page.getByRole('radio', { name: 'hdc' }).click();
  await page
    .getByLabel('First hdc goes into')
    .selectOption({ label: '3rd chain from the hook, ch 2 to turn, not a stitch (loose)' });
  await page.getByLabel('Name of B').fill('Kelp');
  await page.getByLabel('Shade of B', { exact: true }).last().fill('#2f5a45');
  // With inches a bare number would be yards; a unit that is typed holds.
  await page.getByLabel('yd per ball').first().fill('85 m');
  await page.getByLabel('g per ball').first().fill('50');
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByText('+ 2 to turn').first()).toBeVisible();
  const [work] = await server.get<{ wish: Record<string, unknown> }[]>('/works');
  expect(work?.wish).toMatchObject({
    units: 'in',
    width: { by: 'length', length: '9 1/2' },
    height: { by: 'length', length: '10½' },
    foundation: 'hdc-3rd',
    yarns: [
      { letter: 'A', ballMetres: 85, ballGrams: 50 },
      { letter: 'B', name: 'Kelp', shade: '#2f5a45' },
    ],
  });
});

test('a wish can be changed later, and its form holds what was stored', { tag: '@long' }, async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/wish`);
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('24 cm');
  await expect(page.getByLabel('Span of the stitches')).toHaveValue('10 cm');
  await page.getByRole('radio', { name: 'Rows', exact: true }).click();
  await page.getByLabel('Rows', { exact: true }).first().fill('36');
  await page.getByRole('radio', { name: 'Stitches', exact: true }).click();
  await page.getByLabel('Stitches across').fill('44');
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByTestId('chains')).toHaveText('45');
  await expect(page.getByRole('slider', { name: 'Height' })).toHaveAttribute('aria-valuetext', '36 rows, 20.0 cm');
});

test('a wish by blocks and bands comes to stitches and rows', { tag: '@long' }, async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'Blocks', exact: true }).click();
  await page.getByLabel('Blocks across').fill('11');
  await page.getByRole('radio', { name: 'Bands' }).click();
  await page.getByLabel('Bands up').fill('7');
  await expect(page.getByText('Bands of 4 rows each')).toBeVisible();
  await page.getByRole('button', { name: 'See sizes' }).click();
  // 11 blocks of 4 and one to turn; 7 bands of 4.
  await expect(page.getByTestId('chains')).toHaveText('45');
  await expect(page.getByRole('slider', { name: 'Height' })).toHaveAttribute('aria-valuetext', /^28 rows/);
  await page.getByRole('link', { name: 'Idea' }).click();
  await expect(page.getByLabel('Blocks across')).toHaveValue('11');
  await expect(page.getByLabel('Bands up')).toHaveValue('7');
});

test('a strap takes its length from the drop of the bag, and a wish may be due from the first', {
  tag: '@long',
}, async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'Strap', exact: true }).click();
  await page.getByRole('radio', { name: /Houndstooth/ }).click();
  await page.getByLabel('Drop, cm').fill('28');
  await expect(page.getByText(/Twice the drop plus 10\.0 cm to sew or knot makes 66\.0 cm/)).toBeVisible();
  // 66 cm loaded, 3 kg on 4 cm: 660 / (1 + 0.22 · (1 − e^−1.5)) = 563.7 mm.
  await page.getByRole('button', { name: 'Make the strap 56.4 cm long' }).click();
  await expect(page.getByLabel('Length', { exact: true })).toHaveValue('56.4 cm');
  const due = new Date(Date.now() + 20 * 86_400_000).toISOString().slice(0, 10);
  await page.getByLabel('Needed by (optional)').fill(due);
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByRole('slider', { name: 'Height' })).toBeVisible();
  await page.getByRole('link', { name: 'Idea' }).click();
  await expect(page.getByLabel('Needed by (optional)')).toHaveValue(due);
  await page.getByLabel('Needed by (optional)').fill('');
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByRole('slider', { name: 'Height' })).toBeVisible();
  const id = /works\/([-0-9a-f]+)/.exec(page.url())?.[1];
  expect((await server.get<{ due: string | null }>(`/works/${id}`)).due).toBeNull();
});

test('a blanket for a pram is for a small child, with its cautions', { tag: '@long' }, async ({ page, server }) => {
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'Blanket', exact: true }).click();
  await expect(page.getByRole('checkbox', { name: 'For a baby or small child' })).not.toBeChecked();
  await page.getByRole('radio', { name: 'a baby’s pram' }).click();
  await expect(page.getByRole('checkbox', { name: 'For a baby or small child' })).toBeChecked();
  await expect(page.getByRole('region', { name: 'What you get' })).toContainText(/sleep/i);
});
