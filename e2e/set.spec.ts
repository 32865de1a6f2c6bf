import { at, begunCloth, expect, pastChain, test } from './server.ts';
import { toTheEnd } from './toTheEnd.ts';

test('five cloths in three colourways share one yarn: planned in one size, told item by item, ball by ball', async ({
  page,
  server,
}) => {
  await page.addInitScript(() => {
    localStorage.setItem('puntada.idea', JSON.stringify(['about', 'yarns', 'label', 'set']));
  });
  const label = { line: 'Tidewool', weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50 };
  await server.post('/drawer', { yarn: { ...label, name: 'Chalk', shade: '#f4f1ea', balls: 1 } });
  await page.goto(`${server.address}/wish`);
  await page.getByLabel('Project name').fill('Fair cloths');
  await page.getByLabel('How many').fill('5');
  await page.getByLabel('A from the drawer').selectOption({ index: 1 });
  await page.getByLabel('Label of B').fill('50 g = 85 m');
  for (const [number, name, shade] of [
    [3, 'Teal', '#1f6f78'],
    [4, 'Plum', '#6b2f55'],
  ] as const) {
    await page.getByRole('button', { name: 'Add another yarn' }).click();
    await page.getByRole('textbox', { name: `Name of yarn ${number}` }).fill(name);
    await page.getByLabel(`Shade of yarn ${number}`).last().fill(shade);
  }
  await expect(page.getByText('5 items, all alike: one project.')).toBeVisible();
  // One yarn for both colours is told, before anything is made of it.
  await page.getByLabel('Yarn for A of item 2').selectOption({ label: 'Ferry blue' });
  await expect(page.getByRole('alert').filter({ hasText: 'Two colours of item 2 are the same yarn' })).toBeVisible();
  await page.getByRole('button', { name: 'Rotate all but A' }).click();
  await expect(page.getByText('5 items in 3 colourways: 3 projects of one set.')).toBeVisible();
  await expect(page.getByLabel('Yarn for B of item 5')).toHaveValue('2');
  await page.getByRole('button', { name: 'See sizes' }).first().click();
  await page.waitForURL(/\/size$/);
  interface Work {
    id: string;
    state: string;
    notice: string | null;
    wish: { title: string; pieces: number; choice?: { stitches: number; rows: number }; set: { id: string } };
  }
  const works = async () =>
    (await server.get<Work[]>('/works')).sort((a, b) => a.wish.title.localeCompare(b.wish.title));
  const made = await works();
  expect(made.map(({ wish }) => [wish.title, wish.pieces])).toEqual([
    ['Fair cloths: Ferry blue', 2],
    ['Fair cloths: Plum', 1],
    ['Fair cloths: Teal', 2],
  ]);
  expect(new Set(made.map(({ wish }) => wish.set.id)).size).toBe(1);
  // The first is begun; the others are planned in its size, and say so.
  await page.getByRole('button', { name: /^Start with/ }).click();
  await page.waitForURL(/\/work$/);
  await expect
    .poll(async () => (await works()).map(({ state, wish }) => [state, wish.choice]))
    .toEqual([
      ['begun', (await works())[0]?.wish.choice],
      ['wished', (await works())[0]?.wish.choice],
      ['wished', (await works())[0]?.wish.choice],
    ]);
  expect((await works())[2]?.notice).toContain('You changed “Fair cloths: Ferry blue”');
  await pastChain(page);
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await page.keyboard.press('Space');
  await expect
    .poll(async () => (await server.get<{ progress: object }>(`/works/${made[0]?.id}`)).progress)
    .toEqual(at(0, 1));
  await page.goto(`${server.address}/works/${made[0]?.id}/set`);
  await expect(page.getByText('0 of 5 done; the 1st')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Teal' }).getByText('not started')).toHaveCount(2);
  // Whom the fourth is for; then it is sold.
  await page.getByRole('button', { name: 'Change what is told of Item 4' }).click();
  const form = page.getByRole('form', { name: 'Change what is told of Item 4' });
  await form.getByLabel('For whom').fill('The harbour café');
  await form.getByLabel('By when').fill('2026-12-24');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/For The harbour café, by/)).toBeVisible();
  await expect(form).toHaveCount(0);
  await page.getByRole('button', { name: 'Change what is told of Item 4' }).click();
  await form.getByLabel('What became of it').selectOption('sold');
  await form.getByLabel('Sold for').fill('a lot');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByText('Type an amount, such as 14.50.')).toBeVisible();
  await form.getByLabel('Sold for').fill('14.5');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('1 item sold for 14.50')).toBeVisible();
  await page.reload();
  await expect(page.getByText(/sold 14\.50/)).toBeVisible();
  // One ball is not enough for five of them: ball after ball, where each ends, and a word that it runs short.
  const yarn = page.getByRole('region', { name: 'Yarn of the whole set' });
  const shared = yarn.getByRole('listitem').filter({ has: page.getByRole('heading', { name: /^Chalk/ }) });
  await expect(shared).toContainText('Ball 1: Ferry blue');
  await expect(shared).toContainText(/ends in (Ferry blue|Plum|Teal), /);
  await expect(shared).toContainText('Chalk may not last for the whole set');
  // A ball weighed in the project in hand tells of the hand in all of them.
  const far = at(20);
  const tick = { id: crypto.randomUUID(), at: Date.now(), from: at(0, 1), to: far };
  await server.post(`/works/${made[0]?.id}/ticks`, { ticks: [tick] });
  await server.post(`/works/${made[0]?.id}/log`, {
    entry: {
      ...{ format: 'puntada-entry', version: 4, kind: 'weigh', id: crypto.randomUUID(), at: Date.now() },
      ...{ letter: 'A', ball: 1, before: 50, beforeIsLabel: true, after: 36, scale: 1, position: far },
    },
  });
  await page.reload();
  await expect(shared).toContainText(/By the ball weighed in Ferry blue: .* sure for the whole set/);
  await expect(shared).toContainText(/It may end in (Ferry blue|Plum|Teal), /);
  await shared.getByRole('link', { name: 'Plan the rest of Ferry blue again' }).click();
  await page.waitForURL(/\/onward$/);
});

test('a bag with a plain back: two cloths of one outside size, joined once', async ({ page, server }) => {
  await page.addInitScript(() => localStorage.setItem('puntada.idea', JSON.stringify(['about', 'finish'])));
  await page.goto(`${server.address}/wish`);
  await page.getByText('Bag', { exact: true }).click();
  await page.getByLabel('Project name').fill('Bread bag');
  await page.getByLabel('Back', { exact: true }).selectOption('plain');
  await page.getByRole('button', { name: 'See sizes' }).first().click();
  await page.waitForURL(/\/size$/);
  interface Work {
    id: string;
    wish: { title: string; item: string; pieces: number; width: { length: string }; finish?: object; set: object };
  }
  const works = async () =>
    (await server.get<Work[]>('/works')).sort((a, b) => a.wish.title.localeCompare(b.wish.title));
  const [front, back] = await works();
  expect([front?.wish.title, front?.wish.item, front?.wish.pieces, front?.wish.set]).toEqual([
    'Bread bag',
    'bag',
    1,
    expect.objectContaining({ title: 'Bread bag', part: 'front' }),
  ]);
  expect([back?.wish.title, back?.wish.item, back?.wish.finish]).toEqual(['Bread bag, back', 'bag panel', undefined]);
  // Another size of the front on the mat is another size of its back.
  const was = back?.wish.width.length;
  await page.getByRole('slider').first().focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await works())[1]?.wish.width.length).not.toBe(was);
  await page.getByRole('link', { name: 'The set' }).click();
  await expect(page.getByText('0 of 1 done')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Front 1' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Back 1' })).toBeVisible();
  await expect(page.getByText(/The sides have \d+ rows in front and \d+ behind: join \d+ of the front/)).toBeVisible();
  // The seam and the strap are steps of the front alone.
  await page.goto(`${server.address}/works/${back?.id}/finish`);
  await expect(page.getByRole('heading', { name: 'Ends' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Seam' })).toHaveCount(0);
  await page.goto(`${server.address}/works/${front?.id}/finish`);
  await expect(page.getByRole('heading', { name: 'Seam' })).toBeVisible();
});

test('the piece is laid out as it will be joined: a place tells its step, a step its place', async ({
  page,
  server,
}) => {
  const yarn = { weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50 };
  const { id } = await server.post<{ id: string }>('/works', {
    wish: {
      title: 'Mail bag',
      item: 'bag',
      pieces: 2,
      width: { by: 'stitches', count: 36 },
      height: { by: 'rows', count: 44 },
      pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
      gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
      ending: 'any',
      yarns: [
        { ...yarn, letter: 'A', name: 'Oat', shade: '#e9dfc4' },
        { ...yarn, letter: 'B', name: 'Ferry blue', shade: '#24476b' },
      ],
      finish: { seam: 'sc', mouth: { eyelets: true }, strap: { drop: '28 cm', kind: 'sc along', width: '3 cm' } },
    },
  });
  await page.goto(`${server.address}/works/${id}/finish`);
  const drawing = page.getByRole('figure', { name: 'The piece laid out' });
  // 44 row ends up each side, 36 stitches along the bottom and on either side of the mouth.
  await expect(drawing.getByText('44', { exact: true })).toHaveCount(2);
  await expect(drawing.getByText('36', { exact: true })).toHaveCount(1);
  await expect(drawing.getByText('2 × 36')).toBeVisible();
  const step = (name: string) => page.getByRole('listitem').filter({ has: page.getByRole('button', { name }) });
  await drawing.getByRole('button', { name: 'Show the step: mouth edge' }).press('Enter');
  await expect(step('Mouth edge').getByRole('button', { name: 'Mouth edge' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Strap', exact: true }).click();
  await expect(drawing.getByRole('button', { name: 'Show the step: strap' })).toHaveAttribute('aria-pressed', 'true');
  await expect(step('Mouth edge').getByRole('button', { name: 'Mouth edge' })).toHaveAttribute('aria-pressed', 'false');
  // Ends are numbered in their order, and which side faces out is said once it is decided.
  await drawing.getByRole('button', { name: 'Show the step: Ends' }).press(' ');
  await expect(step('Ends').getByRole('button', { name: 'Ends' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByText('Wrong side', { exact: true }).click();
  await expect(drawing.getByText('wrong side out')).toBeVisible();
});

test('two panels are worked by turns: a project each, in one size, and on the page of their set', async ({
  page,
  server,
}) => {
  await page.addInitScript(() => localStorage.setItem('puntada.idea', JSON.stringify(['about', 'finish', 'set'])));
  await page.goto(`${server.address}/wish`);
  await page.getByText('Bag', { exact: true }).click();
  await page.getByLabel('Project name').fill('Mail bag');
  await page.getByLabel('Back', { exact: true }).selectOption('twin');
  await page.getByRole('button', { name: 'See sizes' }).first().click();
  await page.waitForURL(/\/size$/);
  await page.getByRole('button', { name: /^Start with/ }).click();
  await pastChain(page);
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
  // The other one is planned in the same size, and worked in its turn.
  await page.getByRole('link', { name: 'The set' }).click();
  await page.getByRole('region', { name: 'Mail bag, back' }).getByRole('link').click();
  await page.getByRole('button', { name: /^Start with/ }).click();
  await pastChain(page);
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  for (const row of [2, 3]) {
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('row-number')).toHaveText(`Row ${row}`);
  }
  const works = async () =>
    (await server.get<{ wish: { title: string }; progress: object; size: object }[]>('/works')).sort((a, b) =>
      a.wish.title.localeCompare(b.wish.title),
    );
  await expect.poll(async () => (await works()).map(({ progress }) => progress)).toEqual([at(1), at(2)]);
  const [front, back] = await works();
  expect(front?.size).toEqual(back?.size);
  await page.getByRole('link', { name: 'The set' }).click();
  await expect(page.getByText('0 of 1 done; the 1st at row 2')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Mail bag, back' })).toContainText('row 3 of');
});

test('cloths that are alike may be a project each', async ({ page, server }) => {
  await page.addInitScript(() => localStorage.setItem('puntada.idea', JSON.stringify(['about', 'set'])));
  await page.goto(`${server.address}/wish`);
  await page.getByLabel('Project name').fill('Galley cloths');
  await page.getByLabel('How many').fill('3');
  await page.getByLabel('Each one a project of its own, to be worked by turns').check();
  await expect(page.getByText('3 items, each a project of its own in one set.')).toBeVisible();
  await page.getByRole('button', { name: 'See sizes' }).first().click();
  await page.waitForURL(/\/size$/);
  const works = await server.get<{ wish: { title: string; pieces: number } }[]>('/works');
  expect(works.map(({ wish }) => `${wish.title} ${wish.pieces}`).sort()).toEqual([
    'Galley cloths: 1 1',
    'Galley cloths: 2 1',
    'Galley cloths: 3 1',
  ]);
});

test('a bag from the wish to its last end, its panels by turns on two devices, every step counted', async ({
  browser,
  page,
  server,
}) => {
  await page.addInitScript(() => localStorage.setItem('puntada.idea', JSON.stringify(['about', 'size', 'finish'])));
  await page.goto(`${server.address}/wish`);
  await page.getByText('Bag', { exact: true }).click();
  await page.getByLabel('Project name').fill('Small bag');
  await page.getByLabel('Width', { exact: true }).fill('12');
  await page.getByLabel('Height', { exact: true }).fill('10');
  await page.getByLabel('Edge of the mouth').selectOption('eyelets');
  await page.getByLabel('Drop').fill('10');
  await page.getByLabel('Back', { exact: true }).selectOption('twin');
  await page.getByRole('button', { name: 'See sizes' }).first().click();
  await page.waitForURL(/\/size$/);
  await page.getByRole('button', { name: /^Start with/ }).click();
  await pastChain(page);
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 2');
  // The other panel on another device, to its end.
  const other = await (await browser.newContext()).newPage();
  await other.goto(page.url().replace(/work$/, 'set'));
  await other.getByRole('region', { name: 'Small bag, back' }).getByRole('link').click();
  await other.getByRole('button', { name: /^Start with/ }).click();
  await expect(other.getByTestId('step-name')).toHaveText(/^Chain/);
  const ofBack = await toTheEnd(other);
  expect([...ofBack].map(([name, parts]) => [name.replace(/\d+/, 'n'), parts > 1])).toEqual([
    ['Chain n', true],
    ['Weave in n ends', true],
  ]);
  await other.getByRole('button', { name: 'Mark as finished' }).click();
  await expect(other.getByRole('heading', { name: 'Finished' })).toBeVisible();
  // The front, and all that is done once for the bag.
  const ofFront = await toTheEnd(page);
  const names = [...ofFront.keys()].map((name) => name.replace(/\d+ ends/, 'n ends'));
  expect(names).toEqual(['Weave in n ends', 'Seam', 'Mouth edge, round 1 of 2', 'Mouth edge, round 2 of 2', 'Strap']);
  // Four ends of the panel, and at last four of seam and strap: the mouth goes on with the yarn of the seam.
  expect(ofFront.get('Weave in 4 ends')).toBe(4 + 4);
  expect([
    ofFront.get('Seam'),
    ofFront.get('Mouth edge, round 1 of 2'),
    ofFront.get('Mouth edge, round 2 of 2'),
  ]).toEqual([3, 2, 10]);
  const set = page.url().replace(/work$/, 'set');
  await page.getByRole('button', { name: 'Mark as finished' }).click();
  await expect(page.getByRole('heading', { name: 'Finished' })).toBeVisible();
  await page.goto(set);
  await expect(page.getByText('1 of 1 done')).toBeVisible();
  const states = async () => (await server.get<{ state: string }[]>('/works')).map(({ state }) => state);
  await expect.poll(states).toEqual(['finished', 'finished']);
});

test('every way to fill the table, a yarn taken from the drawer and let go again, and habits of finishing', async ({
  page,
  server,
}) => {
  await page.addInitScript(() => localStorage.setItem('puntada.idea', JSON.stringify(['about', 'set', 'finish'])));
  const label = { line: 'Tidewool', weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50, balls: 2 };
  await server.post('/drawer', { yarn: { ...label, name: 'Teal', shade: '#1f6f78' } });
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'Mat', exact: true }).click();
  await page.getByLabel('Project name').fill('Quay mats');
  await page.getByLabel('How many').fill('3');
  await page.getByRole('button', { name: 'Add another yarn' }).click();
  await page.getByLabel('C from the drawer').selectOption({ index: 1 });
  await expect(page.getByRole('textbox', { name: 'Name of yarn 3' })).toHaveValue('Teal');
  const table = async () =>
    Promise.all(
      [1, 2, 3].flatMap((item) =>
        ['A', 'B'].map((letter) => page.getByLabel(`Yarn for ${letter} of item ${item}`).inputValue()),
      ),
    );
  for (const [name, chosen] of [
    ['Rotate all', '01 12 20'],
    ['Swap every other', '01 10 01'],
    ['Rotate all but A', '01 02 01'],
    ['All alike', '01 01 01'],
  ] as const) {
    await page.getByRole('button', { name, exact: true }).click();
    expect((await table()).join('')).toBe(chosen.replaceAll(' ', ''));
  }
  // An item of one yarn is not made.
  await page.getByLabel('Yarn for B of item 2').selectOption('0');
  await page.getByRole('button', { name: 'See sizes' }).first().click();
  await expect(page.getByRole('alert').filter({ hasText: 'Two colours of item 2 are the same yarn' })).toBeVisible();
  expect(await server.get('/works')).toEqual([]);
  await page.getByLabel('Yarn for B of item 2').selectOption('2');
  await page.getByRole('button', { name: 'Remove Teal' }).click();
  // What had it takes what it had at first.
  expect((await table()).join('')).toBe('010101');
  await page.getByLabel(/^Border, rounds/).fill('1');
  await page.getByLabel('Its stitches up the sides').selectOption('rule');
  await page.getByRole('button', { name: 'See sizes' }).first().click();
  await page.waitForURL(/\/size$/);
  const [mat] = await server.get<{ id: string; wish: { pieces: number; border: { by: string } } }[]>('/works');
  expect([mat?.wish.pieces, mat?.wish.border.by]).toEqual([3, 'rule']);
  await page.goto(`${server.address}/works/${mat?.id}/finish`);
  await page.getByText('Work over them', { exact: true }).click();
  await expect(page.getByText('The time counts each end as woven in.')).toBeVisible();
  // The last loop of stripes that carry their second yarn is locked with it, on every page that says so.
  const stripes = await begunCloth(server, { pattern: { key: 'houndstooth' }, policy: 'carry-always' });
  await page.goto(`${server.address}/works/${stripes}/finish`);
  await page.getByText('Lock it', { exact: true }).click();
  const locked = /Lock the last loop: lay [AB] across it/;
  await expect(page.getByText(locked)).toBeVisible();
  await expect.poll(() => server.get('/preferences')).toMatchObject({ lastLoop: 'locked', ends: 'over' });
  await page.reload();
  await expect(page.getByText(locked)).toBeVisible();
  await page.getByRole('link', { name: 'Rows' }).click();
  await page.getByRole('listbox', { name: 'Rows in words' }).press('End');
  await expect(page.getByText(locked)).toBeVisible();
  await expect(page.getByText(/^Fasten off [AB] after its last stitch/)).toHaveCount(0);
  // From the bench to the set, to its labels and prices, and a word that is taken back.
  await page.goto(server.address);
  await page.getByRole('link', { name: 'The set: Quay mats' }).click();
  await page.getByRole('button', { name: 'Change what is told of Item 2' }).click();
  await page.getByLabel('For whom').fill('Nobody');
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Nobody')).toHaveCount(0);
  await page.getByRole('link', { name: 'Labels' }).click();
  await page.waitForURL(/\/labels$/);
  await page.goBack();
  await page.getByRole('link', { name: 'Price' }).click();
  await page.waitForURL(/\/price$/);
});

test('two bags in two colourways, each with a plain back: four projects of one set, numbered alike', async ({
  page,
  server,
}) => {
  await page.addInitScript(() =>
    localStorage.setItem('puntada.idea', JSON.stringify(['about', 'size', 'finish', 'set'])),
  );
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'Bag', exact: true }).click();
  await page.getByLabel('Project name').fill('Quay bags');
  await page.getByLabel('Panels', { exact: true }).fill('4');
  await page.getByLabel('Back', { exact: true }).selectOption('plain');
  await page.getByRole('button', { name: 'Add another yarn' }).click();
  await page.getByRole('textbox', { name: 'Name of yarn 3' }).fill('Teal');
  await page.getByRole('button', { name: 'Rotate all but A' }).click();
  await expect(
    page.getByText('2 items in 2 colourways: 4 projects of one set, fronts and backs.').last(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'See sizes' }).first().click();
  await page.waitForURL(/\/size$/);
  const titles = (await server.get<{ wish: { title: string } }[]>('/works')).map(({ wish }) => wish.title).sort();
  expect(titles).toEqual([
    'Quay bags: Ferry blue',
    'Quay bags: Ferry blue, back',
    'Quay bags: Teal',
    'Quay bags: Teal, back',
  ]);
  await page.getByRole('link', { name: 'The set' }).click();
  await expect(page.getByText('0 of 2 done')).toBeVisible();
  for (const name of ['Front 1', 'Front 2', 'Back 1', 'Back 2']) {
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
  }
  // A bag is priced with its back.
  await page.getByRole('link', { name: 'Price' }).click();
  await expect(page.getByText('Yarn of one, on average of all 2')).toBeVisible();
  await page.getByRole('radio', { name: 'One of this project' }).click();
  await expect(page.getByText(/alone, without the other side/)).toBeVisible();
});
