import type { Page } from '@playwright/test';
import { at, begunCloth, expect, type TestServer, test, wishedCloth } from './server.ts';

interface Opened {
  readonly heading: string;
  readonly total: readonly number[];
  readonly parts: readonly (readonly number[])[];
  readonly shown: string;
}

/** Opens each number of a page that can be opened, one after the other, and reads what stands in it. */
async function openAll(page: Page): Promise<Opened[]> {
  const numbers = page.locator('[data-working]');
  await expect(numbers.first()).toBeVisible();
  const opened: Opened[] = [];
  const times = new Map<string, number>();
  for (let i = 0; i < (await numbers.count()); i++) {
    const number = numbers.nth(i);
    // Of a long table the first few rows.
    const of = (await number.getAttribute('data-working')) ?? '';
    times.set(of, (times.get(of) ?? 0) + 1);
    if ((times.get(of) ?? 0) > 5) continue;
    await number.focus();
    await page.keyboard.press('Enter');
    const table = page.getByRole('dialog').getByRole('table');
    await expect(table).toBeVisible();
    const read = async (place: string) =>
      (
        await table.locator(`${place} data`).evaluateAll((all) => all.map((each) => each.getAttribute('value') ?? ''))
      ).map((value) => value.split(' ').map(Number));
    const [total = []] = await read('tfoot');
    const parts = await read('tbody');
    const heading = await table.locator('caption').innerText();
    opened.push({ heading, total, parts, shown: await number.innerText() });
    await page.keyboard.press('Escape');
    await expect(table).toBeHidden();
    await expect(number).toBeFocused();
  }
  return opened;
}

/** Every sum adds up, low ends and high ends; what is a chance is one. */
function proveSums(opened: readonly Opened[]): void {
  for (const { heading, total, parts } of opened) {
    if (heading === 'How likely it is enough') {
      expect([heading, (total[0] ?? -1) >= 0 && (total[0] ?? 2) <= 1]).toEqual([heading, true]);
      continue;
    }
    for (const end of [0, 1]) {
      const sum = parts.reduce((all, part) => all + (part[end] ?? Number.NaN), 0);
      expect(sum).toBeCloseTo(total[end] ?? Number.NaN, 6);
    }
  }
}

const yarns = [
  { letter: 'A', name: 'Oat', shade: '#e9dfc4', weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50, balls: 1 },
  { letter: 'B', name: 'Kelp', shade: '#24476b', weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50, balls: 0 },
];

/** A cloth that is only wished for, with labels and a border. */
const labelled = (server: TestServer) => wishedCloth(server, { yarns, border: { rounds: 1 }, closing: true });

test('on the mat every number opens its sum with Enter, and nothing is begun by it', async ({ page, server }) => {
  const id = await labelled(server);
  await page.goto(`${server.address}/works/${id}/size`);
  await expect(page.locator('[data-working="time"]').first()).toBeVisible();
  const opened = await openAll(page);
  expect(new Set(opened.map(({ heading }) => heading))).toEqual(
    new Set([
      'How many chains',
      'How wide, in stitches',
      'How high, in rows',
      'How wide',
      'How high',
      'How much yarn',
      'How many balls',
      'How likely it is enough',
      'How many ends',
      'How long',
    ]),
  );
  proveSums(opened);
  // What is shown is what its sum comes to: 36 stitches and one chain to turn.
  expect(opened.find(({ heading }) => heading === 'How many chains')).toMatchObject({ shown: '37', total: [37, 37] });
  const { state } = await server.get<{ state: string }>(`/works/${id}`);
  expect(state).toBe('wished');
});

test('on the bench and in the log they open theirs: rows left, time, and yarn by the scale', async ({
  page,
  server,
}) => {
  const id = await begunCloth(server);
  const minute = 60_000;
  const begins = Date.now() - 60 * minute;
  for (const [i, minutes] of [0, 3, 40].entries()) {
    const tick = {
      id: crypto.randomUUID(),
      at: begins + minutes * minute,
      from: at(i),
      to: at(i + 1),
    };
    await server.post(`/works/${id}/ticks`, { ticks: [tick] });
  }
  const label = { format: 'puntada-entry', version: 1 };
  await server.post(`/works/${id}/log`, {
    entry: {
      ...label,
      kind: 'weigh',
      id: crypto.randomUUID(),
      at: Date.now(),
      letter: 'A',
      ball: 1,
      before: 50,
      beforeIsLabel: false,
      after: 48,
      scale: 0.1,
      position: at(3),
    },
  });
  await page.goto(server.address);
  const bench = await openAll(page);
  proveSums(bench);
  // 44 rows in all, three of them done.
  expect(bench).toContainEqual({
    heading: 'How many are left',
    total: [41, 41],
    parts: [
      [44, 44],
      [-3, -3],
    ],
    shown: '41',
  });
  await page.goto(`${server.address}/works/${id}/log`);
  const log = await openAll(page);
  proveSums(log);
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the log as a table (CSV)' }).click();
  expect((await saving).suggestedFilename()).toMatch(/-log\.csv$/);
  expect(log.map(({ heading }) => heading)).toEqual(
    expect.arrayContaining(['How long so far', 'How long', 'How much yarn so far', 'How much yarn to go']),
  );
  // Two sessions, parted by the long pause; the first step of each has the time before it.
  expect(log.find(({ heading }) => heading === 'How long so far')?.parts).toHaveLength(2);
});

test('both widths of a tube open theirs: half the round flat, and the whole of it', async ({ page, server }) => {
  const id = await wishedCloth(server, {
    item: 'cushion cover',
    pattern: { key: 'block-check', stitch: 'sc', made: 'turned-rounds' },
    width: { by: 'length', length: '24 cm' },
  });
  await page.goto(`${server.address}/works/${id}/size`);
  await expect(page.locator('[data-working="time"]').first()).toBeVisible();
  const opened = await openAll(page);
  proveSums(opened);
  const [flat, round] = opened.filter(({ heading }) => heading === 'How wide').map(({ total }) => total[0] ?? 0);
  expect(round).toBeCloseTo(2 * (flat ?? Number.NaN), 6);
});

test('so do those of yarn, finishing, shopping list, evenings and the rest of a work', { tag: '@long' }, async ({
  page,
  server,
}) => {
  const id = await labelled(server);
  const begun = await begunCloth(server, { title: 'Cloth by the window' });
  const views: [path: string, headings: readonly string[]][] = [
    [
      `/works/${id}/yarn`,
      [
        'How much yarn',
        'How heavy',
        'How many balls',
        'How likely it is enough',
        'Yarn that is in no stitch',
        'How many ends',
        'How long',
      ],
    ],
    [`/works/${id}/finish`, ['How many ends', 'How long']],
    ['/shopping', ['How much yarn', 'How many balls']],
    ['/evenings', ['How long']],
    [`/works/${begun}/onward`, ['How wide', 'How high', 'How much yarn to go', 'How many ends', 'How long']],
  ];
  for (const [path, headings] of views) {
    await page.goto(`${server.address}${path}`);
    const opened = await openAll(page);
    expect([path, [...new Set(opened.map(({ heading }) => heading))].sort()]).toEqual([path, [...headings].sort()]);
    proveSums(opened);
  }
});

test('what a price is made of is a tap away', { tag: '@long' }, async ({ page, ownServer: server }) => {
  const yarn = { line: 'Skerry cotton', fibre: 'cotton', weight: 4, ballMetres: 85, ballGrams: 50, balls: 0 };
  const { id: drawer } = await server.post<{ id: string }>('/drawer', {
    yarn: { ...yarn, name: 'Oat', shade: '#e9dfc4', price: 3.2 },
  });
  for (const title of ['Cloth one', 'Cloth two']) {
    await wishedCloth(server, { title, yarns: yarns.map((each) => ({ ...each, balls: 0, drawer })) });
  }
  await page.goto(`${server.address}/shopping`);
  const price = page.locator('[data-working="price"]').first();
  await price.click();
  const table = page.getByRole('dialog', { name: 'What it costs' }).getByRole('table');
  // Two cloths of one yarn share their balls: 3.20 each.
  await expect(table.getByRole('row')).toHaveCount(2);
  const values = await table.locator('data').evaluateAll((all) => all.map((each) => Number(each.textContent)));
  const words = await table.getByRole('rowheader').first().innerText();
  expect(values[0]).toBeCloseTo(3.2 * Number.parseInt(words, 10), 9);
  expect(Number(await price.innerText())).toBe(values[1]);
  // A cloth and the next of about 34 m each are no more than a ball of 85 m, and neither is bought alone.
  await page.keyboard.press('Escape');
  await page.locator('[data-working="balls"]').first().click();
  const sum = page.getByRole('dialog', { name: 'How many balls' }).getByRole('table');
  await expect(sum.getByRole('rowheader', { name: /Cloth one, A/ })).toBeVisible();
  await expect(sum.getByRole('rowheader', { name: /Cloth two, A/ })).toBeVisible();
});
