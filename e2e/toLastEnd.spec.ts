import type { Page } from '@playwright/test';
import { at, expect, start, type TestServer, test } from './server.ts';
import { toTheEnd } from './toTheEnd.ts';

interface Work {
  id: string;
  state: string;
  wish: { title: string; item: string; pieces: number; border?: object; finish?: object; pattern: { key: string } };
  size: { stitches: number; rows: number } | null;
}

/** An idea of a small one of an item, with the parts of the form that it takes opened. */
async function idea(page: Page, server: TestServer, item: string, width: string, height?: string): Promise<void> {
  await page.addInitScript(() =>
    localStorage.setItem('puntada.idea', JSON.stringify(['about', 'size', 'pattern', 'yarns', 'finish'])),
  );
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: item, exact: true }).click();
  if (height) await page.getByLabel('Height', { exact: true }).fill(height);
  await page.getByLabel(height ? 'Width' : 'Diameter', { exact: true }).fill(width);
}

/** From the idea to the row: sizes, and the first one that is offered. */
async function begin(page: Page, server: TestServer): Promise<Work> {
  await page.getByRole('button', { name: 'See sizes' }).first().click();
  await page.waitForURL(/\/size$/);
  await page.getByRole('button', { name: /^Start with/ }).click();
  await expect(page.getByTestId('step-name').or(page.getByTestId('row-number'))).toHaveText(/^(Chain \d+|Round 1)$/);
  const [work] = await server.get<Work[]>('/works');
  return work as Work;
}

async function finish(page: Page, server: TestServer): Promise<void> {
  await page.getByRole('button', { name: 'Mark as finished' }).click();
  await expect(page.getByRole('heading', { name: 'Finished' })).toBeVisible();
  expect((await server.get<Work[]>('/works')).every(({ state }) => state === 'finished')).toBe(true);
}

const named = (steps: Map<string, number>) =>
  [...steps.keys()].map((name) => name.replace(/\d+ ends?/, 'n ends').replace(/^Chain \d+$/, 'Chain n'));

test('a mosaic blanket with an envelope over its ends, to the last of them', async ({ page, server }) => {
  await idea(page, server, 'Blanket', '12', '10');
  await page
    .getByRole('radio', { name: /^Tide marks/ })
    .first()
    .click();
  await page.getByLabel(/^Border, rounds/).fill('2');
  await page.getByLabel('Its rounds').selectOption('envelope');
  const work = await begin(page, server);
  expect(work.wish.border).toMatchObject({ rounds: 2, envelope: true });
  await page.goto(`${server.address}/works/${work.id}/finish`);
  await expect(page.getByText('Work a second layer behind the first')).toBeVisible();
  // Two ends of every row lie between the layers; of each layer there are two.
  const rows = work.size?.rows ?? 0;
  await expect(page.getByText(`The ${2 * rows} ends at the edges need no weaving in`)).toBeVisible();
  await expect(page.getByText('4 to weave in')).toBeVisible();
  await page.goto(`${server.address}/works/${work.id}/work`);
  const steps = await toTheEnd(page);
  expect(named(steps)).toEqual(['Chain n', 'Envelope border', 'Weave in n ends']);
  // Two layers of two rounds; then the ends of those, one by one.
  expect(steps.get('Envelope border')).toBe(4);
  expect(steps.get('Weave in 4 ends')).toBe(4);
  await finish(page, server);
});

test('a cushion cover of two panels around its insert: three sides, the insert, the fourth', async ({
  page,
  server,
}) => {
  await idea(page, server, 'Cushion cover', '12', '12');
  await page.getByLabel('How many').fill('2');
  await page.getByRole('radio', { name: 'rows, turning' }).click();
  await page.getByLabel(/^(Join panels|Close) with/).selectOption('sc');
  const work = await begin(page, server);
  expect(work.wish).toMatchObject({ item: 'cushion cover', pieces: 2 });
  const rows = work.size?.rows ?? 0;
  await page.goto(`${server.address}/works/${work.id}/finish`);
  await page.getByText('Right side', { exact: true }).click();
  await expect(page.getByText(/^Put the insert in, then close the fourth side/)).toBeVisible();
  await page.goto(`${server.address}/works/${work.id}/work`);
  const steps = await toTheEnd(page);
  expect(named(steps).slice(0, 2)).toEqual(['Chain n', 'Weave in n ends']);
  // Both panels are begun with their chain; all four sides are closed one by one.
  const [chain] = [...steps].filter(([name]) => name.startsWith('Chain '));
  expect(chain?.[1]).toBe(2 * Math.ceil(Number(chain?.[0].replace('Chain ', '')) / 20));
  expect(steps.get('Seam')).toBe(4);
  expect(rows).toBeGreaterThan(5);
  await finish(page, server);
});

test('a double potholder: a tube that is closed, with a ring to hang it by, away from flame', async ({
  page,
  server,
}) => {
  await idea(page, server, 'Potholder', '10', '10');
  await page
    .getByRole('radio', { name: /Sea chest/ })
    .first()
    .click();
  await page.getByLabel(/^Hanging ring/).fill('6 cm');
  await page.getByLabel(/^(Join panels|Close) with/).selectOption('slip stitch');
  const work = await begin(page, server);
  expect(work.wish.finish).toMatchObject({ seam: 'slip stitch' });
  await page.goto(`${server.address}/works/${work.id}/finish`);
  await expect(page.getByText(/a ring of .* inside\. Hang it away from flame\./)).toBeVisible();
  await page.goto(`${server.address}/works/${work.id}/work`);
  const steps = await toTheEnd(page);
  expect(named(steps)).toEqual(expect.arrayContaining(['Seam', 'Hanging ring', 'Weave in n ends']));
  await finish(page, server);
});

test('dishcloths for a fair: counted one by one to the last end, with their band and their price', async ({
  page,
  server,
}) => {
  test.slow();
  // Ten on demand; three are counted just as they are.
  const cloths = process.env.PUNTADA_LONG ? 10 : 3;
  await idea(page, server, 'Dishcloth', '8', '4');
  await page.getByLabel('Project name').fill('Fair cloths');
  await page.getByLabel('How many').fill(String(cloths));
  await page.getByLabel('Label of A').fill('50 g = 85 m');
  await page.getByLabel('Label of B').fill('50 g = 85 m');
  await page.getByLabel('Fold it when it is done').check();
  const work = await begin(page, server);
  const steps = await toTheEnd(page);
  // The chains and the ends of all.
  const chains = [...steps.keys()].filter((name) => name.startsWith('Chain '));
  expect(chains).toHaveLength(1);
  const perChain = Math.ceil(Number(chains[0]?.replace('Chain ', '')) / 20);
  expect(steps.get(chains[0] ?? '')).toBe(cloths * perChain);
  const [ends] = [...steps].filter(([name]) => name.startsWith('Weave in'));
  expect(ends?.[1]).toBe(cloths * Number(ends?.[0].replace(/\D+/g, '')));
  expect(steps.get('Fold')).toBe(cloths);
  await page.goto(`${server.address}/works/${work.id}/onward`);
  await expect(page.getByText('All rows are worked: what is left is its finishing.')).toBeVisible();
  await page.goto(`${server.address}/evenings`);
  await page.getByRole('link', { name: 'The set: Fair cloths' }).click();
  await page.waitForURL(/\/set$/);
  await page.goto(`${server.address}/works/${work.id}/work`);
  await finish(page, server);
  await page.goto(`${server.address}/works/${work.id}/set`);
  await expect(page.getByText(new RegExp(` each, .* for all ${cloths}`))).toBeVisible();
  await expect(page.getByText(`${cloths} of ${cloths} done`)).toBeVisible();
  await page.goto(`${server.address}/works/${work.id}/finish`);
  await expect(page.getByText(`Paper band around all ${cloths}`)).toBeVisible();
  await expect(page.getByText(`Total time, for all ${cloths}`)).toBeVisible();
  // Four ends of each.
  await expect(page.getByText(`${4 * cloths} to weave in`)).toBeVisible();
  await expect(page.getByText(`for all ${cloths}`, { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Cost and price' }).click();
  await page.getByLabel('A ball of A').fill('3.40');
  await page.getByLabel('A ball of B').fill('3.60');
  await page.getByLabel('Label', { exact: true }).fill('0.20');
  await page.getByLabel('An hour is to earn').fill('12');
  await page.getByLabel('What others ask for the like').fill('9');
  const ways = page.getByRole('region', { name: 'Three ways to a price' });
  await expect(ways.getByRole('listitem')).toHaveCount(3);
  const all = (await ways.locator('dd').last().innerText()).match(/[\d.]+/g)?.map(Number) ?? [];
  const [materials, hours] = (await ways.locator('dd').allInnerTexts()).map((text) => Number.parseFloat(text));
  expect(all[0]).toBeCloseTo(cloths * (materials ?? 0), 2);
  expect(all[1]).toBeCloseTo(cloths * (hours ?? 0), 1);
});

test('a round mat with a border of dots: its rounds hold the pattern, and are worked in it', async ({
  page,
  server,
}) => {
  await idea(page, server, 'Round mat', '14');
  await page.getByLabel(/^Border, rounds/).fill('2');
  await page.getByLabel('Its rounds').selectOption('dots');
  const refused = page.waitForResponse(
    (answer) => answer.request().method() === 'POST' && answer.url().endsWith('/works'),
  );
  await page.getByRole('button', { name: 'See sizes' }).first().click();
  await refused;
  // Two rounds do not show the dots between two plain ones: said, with what to do.
  await expect(page.getByText('takes 3 rounds').first()).toBeVisible();
  await page.getByLabel(/^Border, rounds/).fill('3');
  await page.getByLabel('With', { exact: true }).selectOption('A');
  await expect(page.getByText('both in A').first()).toBeVisible();
  await page.getByLabel('With', { exact: true }).selectOption('B');
  const work = await begin(page, server);
  expect(work.wish.border).toMatchObject({ rounds: 3, pattern: { key: 'dots', colour: 'B' } });
  await page.goto(`${server.address}/works/${work.id}/finish`);
  const second = await page.getByText(/^Round 2: /).innerText();
  const told = /\(1 B, 3 A\) × (\d+)/.exec(second);
  expect(Number(told?.[1])).toBeGreaterThan(5);
  await page.goto(`${server.address}/works/${work.id}/work`);
  const steps = await toTheEnd(page);
  expect(named(steps)).toEqual([
    'Border, round 1 of 3',
    'Border, round 2 of 3',
    'Border, round 3 of 3',
    'Weave in n ends',
  ]);
  await finish(page, server);
});

test('every pattern of a border is told, drawn and worked in both of its colours', { tag: '@long' }, async ({
  page,
  server,
}) => {
  test.slow();
  for (const pattern of ['bands', 'dots', 'checks', 'teeth']) {
    await idea(page, server, 'Dishcloth', '10', '10');
    await page.getByLabel(/^Border, rounds/).fill('3');
    await page.getByLabel('Its rounds').selectOption(pattern);
    const work = await begin(page, server);
    expect(work.wish.border).toMatchObject({ rounds: 3, pattern: { key: pattern } });
    await page.goto(`${server.address}/works/${work.id}/finish`);
    await expect(page.getByText(new RegExp(`^Pattern: ${pattern}\\b.*, in A with B\\.`))).toBeVisible();
    const rows = work.size?.rows ?? 0;
    const tick = { id: crypto.randomUUID(), at: Date.now(), from: start, to: at(rows) };
    await server.post(`/works/${work.id}/ticks`, { ticks: [tick] });
    await page.goto(`${server.address}/works/${work.id}/work`);
    const [seen, step] = [new Set<string>(), page.getByTestId('step-name')];
    for (let round = 1; round <= 3; round++) {
      await expect(step).toHaveText(`Border, round ${round} of 3`);
      for (let side = 0; side < 4; side++) {
        const heard = (await page.getByTestId('heard').textContent()) ?? '';
        for (const [letter] of heard
          .split(': ')
          .at(-1)
          ?.matchAll(/\b[AB]\b/g) ?? [])
          seen.add(letter);
        await page.keyboard.press('Space');
        await expect(page.getByTestId('heard')).not.toHaveText(heard);
      }
    }
    // Round after round both colours come into the hand.
    expect([...seen].sort()).toEqual(['A', 'B']);
  }
});
