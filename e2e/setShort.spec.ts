import { at, expect, start, test } from './server.ts';

test('a set whose shared yarn runs short is planned again as a whole, priced as a whole, and told at the row', async ({
  page,
  server,
}) => {
  const label = { weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50 };
  const stored = await server.post<{ id: string }>('/drawer', {
    yarn: { ...label, line: 'Tidewool', name: 'Chalk', shade: '#f4f1ea', balls: 2, price: 3.4 },
  });
  const set = { id: crypto.randomUUID(), title: 'Fair' };
  const wishIn = (name: string, pieces: number, balls: number) => ({
    ...{ title: `Fair: ${name}`, item: 'dishcloth', pieces, set, ending: 'as-begun' },
    width: { by: 'stitches', count: 36 },
    height: { by: 'rows', count: 44 },
    pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
    gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
    yarns: [
      {
        ...label,
        letter: 'A',
        name: 'Chalk',
        shade: '#f4f1ea',
        drawer: stored.id,
        ...(balls ? { balls, partGrams: 20 } : {}),
      },
      { ...label, letter: 'B', name, shade: '#1f6f78' },
    ],
  });
  const add = async (name: string, pieces: number, balls = 0) =>
    (await server.post<{ id: string; wish: object }>('/works', { wish: wishIn(name, pieces, balls) })) as {
      id: string;
      wish: object;
    };
  const [teal] = [await add('Teal', 3, 2), await add('Plum', 2)];
  await server.post(`/works/${teal.id}/begin`, { revision: 1, wish: teal.wish });
  await server.post(`/works/${teal.id}/ticks`, {
    ticks: [{ id: crypto.randomUUID(), at: Date.now(), from: start, to: at(3) }],
  });
  await server.post(`/works/${teal.id}/log`, {
    entry: {
      ...{ format: 'puntada-entry', version: 4, kind: 'item', id: crypto.randomUUID(), at: Date.now() },
      ...{ item: 3, whom: 'The café' },
    },
  });
  // At the row and on the bench: of a yarn that is shared it is told whether it lasts for all.
  await page.goto(`${server.address}/works/${teal.id}/work`);
  await expect(page.getByRole('link', { name: 'A may not last for the whole set' })).toBeVisible();
  await page.goto(server.address);
  await page.getByRole('link', { name: 'A may not last for the whole set' }).click();
  await page.waitForURL(/\/set$/);
  const ways = page.getByRole('region', { name: 'Ways to finish the set' });
  const row = (name: RegExp) => ways.getByRole('row').filter({ has: page.getByRole('rowheader', { name }) });
  await expect(row(/^As planned/)).toContainText('✕');
  await expect(row(/^As planned/).getByRole('button')).toHaveCount(0);
  await expect(row(/^Leave out/)).toContainText('✓');
  await row(/^Buy 1 more ball of Chalk/)
    .getByRole('link', { name: 'Shopping list' })
    .waitFor();
  // Shorter: the two that are not begun of Teal become a project of their own, with what was told of them.
  await row(/^Make those not started shorter/)
    .getByRole('button')
    .click();
  await expect(page.getByText('The set is planned so.').first()).toBeVisible();
  interface Work {
    id: string;
    state: string;
    wish: { title: string; pieces: number; choice?: { rows: number } };
  }
  const works = (await server.get<Work[]>('/works')).map(({ state, wish }) =>
    [wish.title, state, wish.pieces, wish.choice?.rows].join(' '),
  );
  expect(works.sort()).toEqual(['Fair: Plum wished 2 28', 'Fair: Teal begun 1 44', 'Fair: Teal, the rest wished 2 28']);
  const made = 5;
  await expect(page.getByText('0 of 5 done; the 1st at row 4')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Teal, the rest' })).toContainText('For The café');
  // The price of the whole: each yarn once, by its own name; the ball of A has its price in the drawer.
  await page.getByRole('link', { name: 'Price' }).click();
  await page.getByRole('radio', { name: 'One of the whole set' }).click();
  await expect(page.getByText(`Yarn of one, on average of all ${made}`)).toBeVisible();
  await expect(page.getByText('The price of Teal')).toBeVisible();
  await page.getByLabel('A ball of Teal').fill('3.60');
  await expect(page.getByRole('region', { name: 'Three ways to a price' })).toContainText(`All ${made}`);
});

test('two bags whose yarn runs short: fronts and backs that are not started are planned again together', async ({
  page,
  server,
}) => {
  const set = { id: crypto.randomUUID(), title: 'Bread bags' };
  const label = { weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50 };
  const wishOf = (part: 'front' | 'back') => ({
    ...{ title: `Bread bags${part === 'back' ? ', back' : ''}`, pieces: 2, set: { ...set, part } },
    item: part === 'front' ? 'bag' : 'bag panel',
    width: { by: 'stitches', count: 36 },
    height: { by: 'rows', count: 44 },
    pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
    gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
    yarns: [
      { ...label, letter: 'A', name: 'Chalk', shade: '#f4f1ea', ...(part === 'front' ? { balls: 2 } : {}) },
      { ...label, letter: 'B', name: 'Teal', shade: '#1f6f78' },
    ],
  });
  const add = (part: 'front' | 'back') => server.post<{ id: string; wish: object }>('/works', { wish: wishOf(part) });
  const [front] = [await add('front'), await add('back')];
  // The size of the back was written into the front.
  const { revision, wish } = await server.get<{ revision: number; wish: object }>(`/works/${front.id}`);
  await server.post(`/works/${front.id}/begin`, { revision, wish });
  await server.post(`/works/${front.id}/ticks`, {
    ticks: [{ id: crypto.randomUUID(), at: Date.now(), from: start, to: at(3) }],
  });
  await page.goto(`${server.address}/works/${front.id}/set`);
  // Two bags, not four cloths; the second is not started.
  await expect(page.getByText('0 of 2 done; the 1st at row 4')).toBeVisible();
  const ways = page.getByRole('region', { name: 'Ways to finish the set' });
  const row = (name: RegExp) => ways.getByRole('row').filter({ has: page.getByRole('rowheader', { name }) });
  await expect(row(/^As planned/)).toContainText('✕');
  await expect(row(/^Leave out 1 item/)).toContainText('✓');
  await row(/^Make those not started shorter/)
    .getByRole('button')
    .click();
  await expect(page.getByText('The set is planned so.').first()).toBeVisible();
  type Work = {
    state: string;
    wish: { title: string; pieces: number; set: { part: string }; choice?: { rows: number } };
  };
  const works = (await server.get<Work[]>('/works')).map(({ state, wish }) =>
    [wish.title, wish.set.part, state, wish.pieces, wish.choice?.rows].join(' '),
  );
  const rows = works
    .find((each) => each.startsWith('Bread bags, the rest'))
    ?.split(' ')
    .at(-1);
  expect(Number(rows)).toBeLessThan(44);
  expect(works.sort()).toEqual([
    'Bread bags front begun 1 44',
    `Bread bags, back back wished 1 44`,
    `Bread bags, back, the rest back wished 1 ${rows}`,
    `Bread bags, the rest front wished 1 ${rows}`,
  ]);
});

test('of a set that runs short items are left out, or two of its colours change places in what is not started', async ({
  page,
  server,
}) => {
  const label = { weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50 };
  type Work = { id: string; wish: { title: string; pieces: number; yarns: { letter: string; name: string }[] } };
  // Three rounds of border in A, so that A takes some 56 m of each of five and B some 40. Three balls of A are 255 m: sure
  // for three of them, 168 m, and not for four, 224 m; in B they are sure for all five.
  const add = async (set: object, a: string, b: string, pieces: number, balls?: number) =>
    server.post<Work>('/works', {
      wish: {
        ...{ title: `Fair: ${b}`, item: 'dishcloth', pieces, set, ending: 'as-begun' },
        width: { by: 'stitches', count: 36 },
        height: { by: 'rows', count: 44 },
        pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
        gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
        border: { rounds: 3, colour: 'A' },
        yarns: [
          { ...label, letter: 'A', name: a, shade: '#f4f1ea', ...(balls ? { balls } : {}) },
          { ...label, letter: 'B', name: b, shade: '#1f6f78' },
        ],
      },
    });
  for (const [name, a] of [
    ['Leave out 2 items', 'Chalk'],
    ['Exchange A and B in those not started', 'Foam'],
  ] as const) {
    const set = { id: crypto.randomUUID(), title: `Fair of ${a}` };
    const [first, second] = [await add(set, a, `Teal of ${a}`, 2, 3), await add(set, a, `Plum of ${a}`, 3)];
    await page.goto(`${server.address}/works/${first.id}/set`);
    const ways = page.getByRole('region', { name: 'Ways to finish the set' });
    const way = ways.getByRole('row').filter({ has: page.getByRole('rowheader', { name, exact: true }) });
    await way.getByRole('button').click();
    await expect(page.getByText('The set is planned so.').first()).toBeVisible();
    const now = await server.get<Work[]>('/works');
    const planned = [first, second].map(({ id }) => now.find((work) => work.id === id)?.wish);
    const letters = planned.map((wish) => wish?.yarns.map((yarn) => `${yarn.letter} ${yarn.name}`));
    if (name.startsWith('Leave')) {
      // The project of which all are left out is in the bin.
      expect(planned.reduce((sum, wish) => sum + (wish?.pieces ?? 0), 0)).toBe(3);
      expect(letters.flatMap((each) => each?.[0] ?? [])).toEqual([`A ${a}`]);
    } else {
      expect(planned.map((wish) => wish?.pieces)).toEqual([2, 3]);
      expect(letters).toEqual([
        [`A Teal of ${a}`, `B ${a}`],
        [`A Plum of ${a}`, `B ${a}`],
      ]);
    }
  }
});
