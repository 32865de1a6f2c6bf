import type { Page } from '@playwright/test';
import { at, begunCloth, expect, startedCloth, type TestServer, test, weighedSwatch, wishedCloth } from './server.ts';
import {
  addresses,
  axe,
  chosenAlike,
  overflow,
  smallTargets,
  smallWords,
  stickingOut,
  typeNonsense,
  viewOf,
  visit,
  walk,
} from './walk.ts';

/** As wide as letters get. */
const longName = 'W'.repeat(60);
const longTitle = 'Mw'.repeat(40);

/** A bench with a work of each state, names as long as they may be, and one of everything. */
async function bench(server: TestServer): Promise<Map<string, string>> {
  const yarn = { weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50, balls: 1 };
  const wished = await wishedCloth(server, {
    title: longTitle,
    item: 'bag',
    pattern: { key: 'long-steps', numbers: { p: 2, q: 5 } },
    pieces: 2,
    closing: true,
    border: { rounds: 2, colour: 'A' },
    yarns: [
      { ...yarn, letter: 'A', name: longName, shade: '#e9dfc4' },
      { ...yarn, letter: 'B', name: longName, shade: '#24476b' },
    ],
    finish: { seam: 'sc', strap: { drop: '30 cm', width: '4 cm', kind: 'sc along', load: 40 } },
  });
  const begun = await begunCloth(server, { title: longTitle.toUpperCase(), pattern: { key: 'houndstooth' } });
  const binned = await wishedCloth(server, { title: 'In the bin' });
  await server.post(`/works/${binned}/bin`, { revision: 1, deleted: true });
  await weighedSwatch(server);
  const stored = { line: longName, name: longName, shade: '#24476b', weight: 4, fibre: 'cotton', balls: 1 };
  await server.post('/drawer', { yarn: stored });
  const chart = 'across 4 "repeats"\nup 2 "repeats"\nread seen\nchart\n  AABA\n  ABAA\nend\n';
  const text = `pattern own-1 "${longName}"\nabout "A band of steps"\ntechnique carried\nmade flat\nstitch sc\ncolours A B\n${chart}`;
  const own = await server.post<{ id: string }>('/patterns', {
    pattern: { format: 'puntada-own-pattern', version: 1, text, note: longTitle },
  });
  return new Map([
    [wished, 'wished'],
    [begun, 'begun'],
    // A pattern of one's own has a way to the desk on its page.
    [`own-${own.id}`, 'own'],
  ]);
}

const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };
/** The last is a desk of 1280 px looked at four times as large. */
const sizes = [{ width: 820, height: 1180 }, phone, { width: 320, height: 640 }, { width: 320, height: 200 }];

/**
 * What a view says; what is not in sight is there too. The notation of patterns has one wording for all, and the
 * list of words tells the other terms beside the maker's own.
 */
function wordsOf(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const main = document.querySelector('main')?.cloneNode(true) as HTMLElement;
    for (const each of main.querySelectorAll('pre, script, style, [data-terms="US"]')) each.remove();
    return [...main.querySelectorAll('*')].flatMap((each) =>
      [...each.childNodes].flatMap((node) => (node.nodeType === Node.TEXT_NODE ? [node.textContent ?? ''] : [])),
    );
  });
}

/** What is wrong with a page as it stands, on a desk. */
async function faults(page: Page, what: string, within?: string): Promise<string[]> {
  const found = [
    ...(await axe(page, within)),
    ...(await smallWords(page, 12, 11)).map((each) => ({ ...each, what: `words of ${each.what}` })),
    ...(await smallTargets(page, 24)).map((each) => ({ ...each, what: `target of ${each.what}` })),
  ];
  return found.map(({ what: fault, of }) => `${what}: ${fault}: ${of}`);
}

/** What opens over a view: one of each kind, and of what is made alike a few, wherever they stand. */
async function openAll(page: Page, view: string, seen: Map<string, number>): Promise<string[]> {
  const found: string[] = [];
  const openers = page.locator('[aria-haspopup="dialog"]:visible');
  const names = await openers.evaluateAll((all) =>
    all.map((each) => (each.hasAttribute('data-working') ? 'working' : (each.textContent ?? ''))),
  );
  for (const [i, name] of names.entries()) {
    const times = seen.get(name) ?? 0;
    if (times >= (name === 'working' ? 3 : 1)) continue;
    seen.set(name, times + 1);
    await openers.nth(i).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toHaveAccessibleName(/./);
    const tabs = dialog.getByRole('tab');
    for (let tab = 0; tab === 0 || tab < (await tabs.count()); tab++) {
      if (tab) await tabs.nth(tab).click();
      found.push(...(await faults(page, `${view}, ${name}, tab ${tab}`, '[role="dialog"]')));
    }
    await page.keyboard.press('Escape');
    await expect(dialog).toBeHidden();
  }
  return found;
}

/** What cannot be told apart in a dark room, or where the system has the colours. */
async function lostToTheEye(page: Page, view: string): Promise<string[]> {
  await page.evaluate(() => document.documentElement.setAttribute('data-room', 'dark'));
  const dark = await axe(page, undefined, 'color-contrast');
  await page.evaluate(() => document.documentElement.removeAttribute('data-room'));
  await page.emulateMedia({ forcedColors: 'active' });
  const forced = await chosenAlike(page);
  await page.emulateMedia({ forcedColors: 'none' });
  return [
    ...dark.map(({ of }) => `${view}: too pale in a dark room: ${of}`),
    ...(await chosenAlike(page)).map((each) => `${view}: chosen looks like not chosen: ${each}`),
    ...forced.map((each) => `${view}: chosen looks like not chosen in forced colours: ${each}`),
  ];
}

test('every view, found by its links, and what opens over it, is clean for every eye and hand', async ({
  page,
  server,
}) => {
  test.setTimeout(500_000);
  await server.put('/preferences', { units: 'cm', terms: 'UK', hand: 'right', fractions: 'quarters' });
  const kinds = new Map(await bench(server));
  // Nothing made of it yet: its chain is in hand, eight stretches of twenty and more.
  const started = await startedCloth(server, { title: longTitle, pieces: 3, width: { by: 'stitches', count: 260 } });
  kinds.set(started, 'begun');
  // At a step of its finishing, on the drawing of the piece.
  const bordered = await begunCloth(server, {
    title: longTitle,
    border: { rounds: 2, colour: 'A' },
    width: { by: 'stitches', count: 36 },
    height: { by: 'rows', count: 44 },
  });
  const tick = { id: crypto.randomUUID(), at: Date.now(), from: at(0), to: at(44) };
  await server.post(`/works/${bordered}/ticks`, { ticks: [tick] });
  kinds.set(bordered, 'begun');
  const [views, titles, opened] = [new Set<string>(), new Set<string>(), new Map<string, number>()];
  const found: string[] = [];
  let refused = 0;
  const [wrongSeen, looked] = [new Set<string>(), new Set<string>()];
  const unlinked = [
    '/switch',
    '/nowhere',
    '/works/00000000-0000-4000-8000-000000000000/rows',
    `/works/${started}/work`,
    `/works/${bordered}/work`,
  ];
  for await (const view of walk(page, server.address, kinds, unlinked)) {
    views.add(viewOf(view.split('?')[0] ?? '') ?? view);
    const title = await page.title();
    if (!title.endsWith(' · Puntada')) found.push(`${view}: its title is ${title}`);
    titles.add(title);
    found.push(...(await faults(page, view)), ...(await openAll(page, view, opened)));
    // In UK terms no word of the US is left on any page.
    const us = (await wordsOf(page)).filter((each) => /\b(sc|hdc|gauge)\b|single crochet|half double/i.test(each));
    found.push(...us.map((each) => `${view}: in UK terms it says: ${each}`));
    for (const size of sizes) {
      await page.setViewportSize(size);
      await expect
        .poll(() => overflow(page), { timeout: 6000 })
        .toBe(0)
        .catch(async () => found.push(`${view} at ${size.width}: sticks out: ${(await stickingOut(page)).join('; ')}`));
      if (size !== phone) continue;
      const small = await smallTargets(page, 44);
      found.push(...small.map((each) => `${view} on the phone: target of ${each.what}: ${each.of}`));
    }
    await page.setViewportSize(desk);
    const kind = viewOf(view.split('?')[0] ?? '') ?? view;
    // A work in another state, or looked at from elsewhere, has no colours of its own.
    if (!looked.has(kind)) found.push(...(await lostToTheEye(page, view)));
    looked.add(kind);
    await typeNonsense(page);
    const wrong = await page.locator('main [aria-invalid="true"]').count();
    refused += wrong;
    if (wrong && !wrongSeen.has(kind)) found.push(...(await faults(page, `${view}, with what cannot be typed in`)));
    if (wrong) wrongSeen.add(kind);
  }
  expect(refused).toBeGreaterThan(5);
  expect(found).toEqual([]);
  // Nothing that the app lists is left out.
  expect(addresses.filter((address) => !views.has(address))).toEqual([]);
  expect(opened.size).toBeGreaterThan(8);
  expect(titles.size).toBeGreaterThan(20);
});

test('in a dark room and in forced colours nothing is lost, on the row and over it', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.addInitScript(() => localStorage.setItem('puntada.reading', JSON.stringify({ dark: true })));
  const found: string[] = [];
  for (const forced of ['none', 'active'] as const) {
    await page.emulateMedia({ forcedColors: forced });
    await visit(page, `${server.address}/works/${id}/work`);
    await expect(page.getByTestId('row-number')).toBeVisible();
    for (const name of [undefined, 'Display', 'Something is wrong']) {
      if (name) await page.getByRole('button', { name }).click();
      // Where the system has the colours, they are its own to set against each other.
      if (forced === 'none') found.push(...(await faults(page, `dark, ${name}`)));
      if (name) await page.keyboard.press('Escape');
    }
  }
  expect(found).toEqual([]);
  // In forced colours what is chosen and the next act stand apart, and a yarn keeps its colour.
  await visit(page, `${server.address}/wish`);
  const look = (selector: string) =>
    page
      .locator(selector)
      .first()
      .evaluate((each) => getComputedStyle(each).backgroundColor);
  expect(await look('[role="radio"][data-state="on"]')).not.toBe(await look('[role="radio"][data-state="off"]'));
  expect(await look('.next-act:visible')).not.toBe(await look('body'));
  expect(await look('.yarn-B')).toBe('rgb(36, 71, 107)');
});

test('a view that opens has the focus on its heading, and its own title', async ({ page, server }) => {
  const id = await wishedCloth(server, { title: 'Cloth by the door' });
  await page.goto(server.address);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  const heading = page.getByRole('heading', { level: 1 });
  for (const [link, title] of [
    ['Pattern book', 'Pattern book · Puntada'],
    ['Yarn drawer', 'Yarn drawer · Puntada'],
    ['Evenings', 'Evenings · Puntada'],
    ['Glossary', 'Glossary · Puntada'],
  ] as const) {
    await page.getByRole('navigation', { name: 'Main pages' }).getByRole('link', { name: link }).click();
    await expect(heading).toBeFocused();
    await expect(page).toHaveTitle(title);
  }
  await page.goto(`${server.address}/works/${id}/size`);
  for (const stage of ['Rows', 'Yarn', 'Finishing', 'Idea']) {
    await page.getByRole('navigation', { name: 'Stages of this project' }).getByRole('link', { name: stage }).click();
    await expect(page).toHaveTitle(`${stage}: Cloth by the door · Puntada`);
    await expect(heading).toBeFocused();
  }
});

test('what is not there has a page of its own, with the way back', async ({ page, server }) => {
  const none = '00000000-0000-4000-8000-000000000000';
  for (const [path, words] of [
    ['/nowhere', 'There is no page at this address.'],
    [`/works/${none}/size`, 'There is no such project here.'],
    [`/works/${none}/work`, 'There is no such project here.'],
    ['/book/no-such', 'There is no such pattern in the book, or it was deleted.'],
    [`/swatches/${none}`, 'This swatch is not in the book.'],
    [`/wish?draft=${none}`, 'This draft is not here any more'],
  ] as const) {
    await page.goto(server.address + path);
    await expect(page.getByText(words)).toBeVisible();
    await page.getByRole('main').getByRole('link', { name: 'Open the bench' }).click();
    await expect(page).toHaveTitle('Bench · Puntada');
  }
});

test('looked at twice as large, the bars at the row leave the run free', async ({ page, server }) => {
  const id = await begunCloth(server);
  // A desk of 1280 × 800 px at 200 %.
  await page.setViewportSize({ width: 640, height: 400 });
  await page.goto(`${server.address}/works/${id}/work`);
  const run = page.getByTestId('run-count');
  await expect(run).toBeVisible();
  await run.evaluate((each) => each.closest('button')?.scrollIntoView({ block: 'end' }));
  const bar = page.getByRole('button', { name: /^Next/ }).locator('xpath=ancestor::footer');
  const [barBox, runBox] = [await bar.boundingBox(), await run.boundingBox()];
  expect(barBox?.height).toBeLessThan(80);
  await page.mouse.wheel(0, 80);
  await expect
    .poll(async () => ((await run.boundingBox())?.y ?? 0) + (runBox?.height ?? 0))
    .toBeLessThan(barBox?.y ?? 0);
  expect((await run.boundingBox())?.y).toBeGreaterThan(0);
});
