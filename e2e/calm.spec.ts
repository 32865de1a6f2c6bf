import type { Page } from '@playwright/test';
import { begunCloth, expect, type TestServer, test, weighedSwatch, wishedCloth } from './server.ts';

const stateOf = async (server: TestServer, id: string) => (await server.get<{ state: string }>(`/works/${id}`)).state;

/** Goes on by Tab until something has the focus. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  const place = page.getByRole('button', { name });
  await expect(place).toBeVisible();
  for (let i = 0; i < 80; i++) {
    if (await place.evaluate((each) => each === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`not reached by Tab: ${name}`);
}

test('Enter on the mat begins nothing but on its button, and the start is taken back', async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/size`);
  const start = page.getByRole('button', { name: 'Start with 37 chains' });
  await expect(start).toBeEnabled();
  await page.keyboard.press('Enter');
  await page.getByRole('slider').first().focus();
  await page.keyboard.press('Enter');
  await page.mouse.click(640, 500);
  await page.keyboard.press('Enter');
  // A key that is still held from the page before is no press of the button either.
  await start.focus();
  await page.evaluate(() => {
    const held = new KeyboardEvent('keydown', { key: 'Enter', repeat: true, bubbles: true, cancelable: true });
    document.body.dataset.held = String(document.activeElement?.dispatchEvent(held));
  });
  expect(await page.evaluate(() => document.body.dataset.held)).toBe('false');
  expect(await stateOf(server, id)).toBe('wished');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('step-name')).toHaveText('Chain 37');
  // What is chained is taken back first, twenty at a time.
  await page.keyboard.press('Space');
  await expect(page.getByTestId('heard')).toContainText('17 chains, to 37');
  await expect(page.getByRole('button', { name: 'Take the start back' })).toHaveCount(0);
  await page.keyboard.press('Backspace');
  await page.getByRole('button', { name: 'Take the start back' }).click();
  await expect(start).toBeVisible();
  expect(await stateOf(server, id)).toBe('wished');
  // Begun with a change that was not saved yet, and taken back from the mat: planning goes on from there.
  await page.getByRole('slider', { name: 'Width' }).focus();
  await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: 'Start with 45 chains' }).click();
  await expect(page.getByTestId('step-name')).toHaveText('Chain 45');
  await page.getByRole('link', { name: 'All rows' }).click();
  await page.getByRole('navigation', { name: 'Stages of this project' }).getByRole('link', { name: 'Size' }).click();
  await page.getByRole('button', { name: 'Take the start back' }).click();
  await expect(page.getByRole('button', { name: 'Start with 45 chains' })).toBeEnabled();
  await page.getByRole('slider', { name: 'Width' }).focus();
  await page.keyboard.press('ArrowLeft');
  await expect(start).toBeEnabled();
  type Chosen = { wish: { choice: { stitches: number } } };
  await expect.poll(async () => (await server.get<Chosen>(`/works/${id}`)).wish.choice.stitches).toBe(36);
  await expect(page.getByText('✓ Saved')).toBeVisible();
});

test('a project is deleted, put back at once, deleted again and taken out of the bin', async ({ page, server }) => {
  const id = await wishedCloth(server, { title: 'Cloth for the bin' });
  await page.goto(server.address);
  const row = page.getByRole('heading', { name: 'Cloth for the bin' });
  await page.getByRole('button', { name: 'Delete: Cloth for the bin' }).click();
  await expect(row).toBeHidden();
  const undo = page.getByRole('button', { name: 'Undo', exact: true });
  await expect(undo).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(row).toBeVisible();
  await page.getByRole('button', { name: 'Delete: Cloth for the bin' }).click();
  await expect(row).toBeHidden();
  // Opened by its address it says where it is.
  await page.goto(`${server.address}/works/${id}/size`);
  await expect(page.getByText('This project is in the bin.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByText('This project is in the bin.')).toBeHidden();
  await page.goto(server.address);
  await page.getByRole('button', { name: 'Delete: Cloth for the bin' }).click();
  await expect(row).toBeHidden();
  await page.getByRole('button', { name: /Show the bin/ }).click();
  await page.getByRole('button', { name: 'Put it back: Cloth for the bin' }).click();
  await expect(page.getByRole('button', { name: 'Delete: Cloth for the bin' })).toBeVisible();
});

test('every entry of the log is corrected, deleted and put back; what cannot be is refused at its field', async ({
  page,
  server,
}) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  await expect(page.getByTestId('row-number')).toHaveText('Row 1');
  for (let row = 0; row < 4; row++) await page.keyboard.press('Enter');
  await expect(page.getByTestId('row-number')).toHaveText('Row 5');
  await page.goto(`${server.address}/works/${id}/log`);
  // A note.
  await page.getByLabel('Note at row 4').fill('B one short');
  await page.getByRole('form', { name: 'Add a note' }).getByRole('button', { name: 'Save' }).click();
  await expect(page.getByTestId('announced')).toHaveText('Note saved.');
  await expect(page.getByRole('textbox', { name: 'Note at row 4' })).toBeFocused();
  await page.getByRole('button', { name: 'Correct the note at row 4' }).click();
  await page.getByRole('form', { name: 'Correct the note at row 4' }).getByRole('textbox').fill('B was one short');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listitem').filter({ hasText: 'B was one short' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Correct the note at row 4' })).toBeFocused();
  await page.getByRole('button', { name: 'Delete the note at row 4' }).click();
  await expect(page.getByText('B was one short')).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('B was one short')).toBeVisible();
  // A measure: −3 cannot be, 60 cm for 22.5 is asked about.
  const measure = page.getByRole('form', { name: 'Measure it now' });
  await measure.getByLabel('Width, cm').fill('-3');
  await measure.getByRole('button', { name: 'Save measurement' }).click();
  await expect(measure.getByLabel('Width, cm')).toHaveAccessibleDescription(/not a size a piece can have/);
  await measure.getByLabel('Width, cm').fill('60');
  await measure.getByRole('button', { name: 'Save measurement' }).click();
  await expect(page.getByText(/You typed 60.0 cm for the width; the plan says 22.5 cm/)).toBeVisible();
  await measure.getByRole('button', { name: 'Save it anyway' }).click();
  await expect(page.getByText(/60.0 cm wide/)).toBeVisible();
  await page.getByRole('button', { name: 'Correct the measurement after row 4' }).click();
  await page.getByRole('form', { name: 'Correct the measurement after row 4' }).getByLabel('Width, cm').fill('22.5');
  await page.keyboard.press('Enter');
  await expect(page.getByText('22.5 cm wide, as planned')).toBeVisible();
  // A ball that weighs more than it began.
  const weigh = page.getByRole('form', { name: 'Weigh a ball' });
  await weigh.getByLabel('Started at (g)').fill('50');
  await weigh.getByLabel('Weighs now (g)').fill('60');
  await weigh.getByRole('button', { name: 'Save weighing' }).click();
  await expect(page.getByText(/The ball weighs 60 g now, but only 50 g at the start/)).toBeVisible();
  await weigh.getByLabel('Weighs now (g)').fill('40');
  await weigh.getByRole('button', { name: 'Save weighing' }).click();
  const ball = 'weighing of ball 1 of A after row 4';
  await page.getByRole('button', { name: `Correct the ${ball}` }).click();
  const weighed = page.getByRole('form', { name: `Correct the ${ball}` }).getByLabel('Weighed (g)');
  await weighed.fill('60');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/The ball weighs 60 g now, but only 50 g at the start/)).toBeVisible();
  await weighed.fill('41');
  await page.keyboard.press('Enter');
  await expect(page.getByText('50 → 41 g')).toBeVisible();
  await page.getByRole('button', { name: `Delete the ${ball}` }).click();
  await expect(page.getByText('Weighing deleted.')).toBeVisible();
  // A session that the clock told wrong.
  await page.getByRole('button', { name: /Correct the session of/ }).click();
  await page.getByLabel('It took (minutes)').fill('12');
  await page.keyboard.press('Enter');
  await expect(page.getByText('corrected by you')).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'corrected by you' })).toContainText('12 min');
  await page.getByRole('button', { name: /Correct the session of/ }).click();
  await page.getByRole('button', { name: 'Leave it out of my pace' }).click();
  await expect(page.getByText('left out')).toBeVisible();
  await page.getByRole('button', { name: /Correct the session of/ }).click();
  await page.getByRole('button', { name: 'As the steps tell it' }).click();
  await expect(page.getByText('left out')).toBeHidden();
  await expect(page.getByText('corrected by you')).toBeHidden();
});

test('rip back and find my row are taken back as one act, and the keys work the row after any dialog', async ({
  page,
  server,
}) => {
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/work`);
  const row = page.getByTestId('row-number');
  await expect(row).toHaveText('Row 1');
  for (let n = 0; n < 12; n++) await page.keyboard.press('Enter');
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Row 13, step 2 of 9' })).toBeVisible();
  const help = page.getByRole('dialog', { name: 'Something is wrong' });
  await page.getByRole('button', { name: 'Something is wrong' }).click();
  await help.getByRole('tab', { name: 'Rip back' }).click();
  await help.getByLabel('Last row to keep').fill('3');
  await help.getByRole('button', { name: 'Rip back to row 3' }).click();
  await expect(row).toHaveText('Row 4');
  // The dialog is closed: the same key works the row, and does not open it again.
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Row 4, step 2 of 9' })).toBeVisible();
  await expect(help).toBeHidden();
  await page.keyboard.press('Backspace');
  await page.getByRole('button', { name: 'Undo: back to row 13' }).click();
  await expect(page.getByRole('region', { name: 'Row 13, step 2 of 9' })).toBeVisible();
  // Reached by keyboard, opened by Space, closed by Esc: Space is the row’s again.
  await tabTo(page, /Something is wrong/);
  await page.keyboard.press('Space');
  await expect(help).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(help).toBeHidden();
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Row 13, step 3 of 9' })).toBeVisible();
  await expect(help).toBeHidden();
});

test('what was added to a swatch while the server is away stays, is told as not saved, and arrives', {
  tag: '@long',
}, async ({ page, ownServer: server }) => {
  const id = await weighedSwatch(server);
  await page.goto(server.address);
  await page.getByRole('link', { name: 'Swatch book' }).click();
  await page.locator('main a[href^="/swatches/"]').first().click();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await server.kill();
  await page.getByLabel('Note', { exact: true }).fill('Soft, drapes well');
  await expect(page.getByText('Not saved yet')).toBeVisible();
  await page.getByRole('form', { name: 'Add a count' }).getByLabel('Stitches').fill('17');
  await page.getByRole('button', { name: 'Save this count' }).click();
  const count = page.getByRole('row').filter({ hasText: '17 stitches' });
  await expect(count).toBeVisible();
  await expect(page.getByText('✓ Saved')).toBeHidden();
  // Left and looked at again, it is still there.
  await page.getByRole('link', { name: 'Bench: all projects' }).click();
  await page.goBack();
  await expect(count).toBeVisible();
  await server.start();
  await expect(page.getByText('✓ Saved')).toBeVisible({ timeout: 15000 });
  const stored = await server.get<{ id: string; swatch: { note: string; counts: { count: number }[] } }[]>('/swatches');
  const { note, counts } = stored.find((each) => each.id === id)?.swatch ?? {};
  expect([note, counts?.at(-1)?.count]).toEqual(['Soft, drapes well', 17]);
});

test('Back leads to the project that was made, and never makes a second one', { tag: '@long' }, async ({
  page,
  server,
}) => {
  await page.goto(server.address);
  await page.getByRole('link', { name: 'New project' }).click();
  await page.getByLabel('Project name').fill('Made once');
  await expect(page.getByText('✓ Saved', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByRole('button', { name: /^Start with/ })).toBeVisible();
  await page.goBack();
  await expect(page.getByLabel('Project name')).toHaveValue('Made once');
  await page.getByRole('button', { name: 'See sizes' }).click();
  await expect(page.getByRole('button', { name: /^Start with/ })).toBeVisible();
  const works = await server.get<{ wish: { title: string } }[]>('/works');
  expect(works.filter(({ wish }) => wish.title === 'Made once')).toHaveLength(1);
});

test('two tabs: what was changed here can be put over what was changed there', async ({ page, server }) => {
  const id = await wishedCloth(server);
  await page.goto(`${server.address}/works/${id}/size`);
  await expect(page.getByText('✓ Saved')).toBeVisible();
  const work = await server.get<{ revision: number; wish: object }>(`/works/${id}`);
  await server.put(`/works/${id}`, { revision: work.revision, wish: { ...work.wish, title: 'Changed there' } });
  await page.getByRole('slider').first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('✕ Changed elsewhere')).toBeVisible();
  await page.getByRole('button', { name: 'Keep what I have here' }).click();
  await expect(page.getByText('✓ Saved')).toBeVisible();
});

test('inches: the size that was typed stays, and every number is read in the maker’s units', { tag: '@long' }, async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/wish`);
  await page.getByLabel('Width', { exact: true }).fill('100');
  await page.getByLabel('Height', { exact: true }).fill('150');
  await page.getByRole('radiogroup', { name: 'Units' }).getByRole('radio', { name: 'in' }).click();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('100 cm');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('150 cm');
  await expect(page.getByLabel('yd per ball').first()).toBeVisible();
  const id = await begunCloth(server);
  await page.goto(`${server.address}/works/${id}/log`);
  const measure = page.getByRole('form', { name: 'Measure it now' });
  await measure.getByLabel('Width, in').fill('8 3/4');
  await measure.getByRole('button', { name: 'Save measurement' }).click();
  await expect(page.getByText(/8 3\/4 in wide, 1 % under the plan/)).toBeVisible();
  const { entries } = await server.get<{ entries: { width: string }[] }>(`/works/${id}/log`);
  expect(entries[0]?.width).toBe('8 3/4 in');
});

test('Ctrl Z while typing undoes typing; elsewhere it takes the last change of the form back', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/wish`);
  await page.getByRole('radio', { name: 'Blanket', exact: true }).click();
  const name = page.getByLabel('Project name');
  await name.click();
  await page.keyboard.press('End');
  await page.keyboard.type(' for Noor');
  await page.keyboard.press('ControlOrMeta+Z');
  await expect(page.getByRole('radio', { name: 'Blanket', exact: true })).toBeChecked();
  await expect(name).not.toHaveValue(/for Noor/);
});

test('what is worked out for long says so, is stopped, and taken up again', async ({ page, server }) => {
  const id = await wishedCloth(server);
  let far = true;
  await page.route('**/planner.worker-*.js', async (route) => {
    if (far) await new Promise((done) => setTimeout(done, 30_000));
    await route.continue().catch(() => undefined);
  });
  await page.goto(`${server.address}/works/${id}/yarn`);
  await expect(page.getByRole('main').getByRole('status')).toContainText('Working out the yarn…');
  await expect(page.getByText('This one takes longer than usual.')).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Stopped. A smaller size is worked out sooner.')).toBeVisible();
  far = false;
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('main').getByText(/\d+ m/).first()).toBeVisible();
});

test('whatever breaks is told on a page of its own, with a way back', async ({ page, server }) => {
  const id = await begunCloth(server);
  await page.goto(server.address);
  await expect(page.getByRole('heading', { name: 'In progress' })).toBeVisible();
  // As after an update: a file of the pages is gone.
  await page.route('**/assets/LogView-*.js', (route) => route.fulfill({ status: 404, body: '' }));
  await page.evaluate((path) => history.pushState({}, '', path), `/works/${id}/log`);
  await page.evaluate(() => dispatchEvent(new PopStateEvent('popstate')));
  await expect(page.getByRole('heading', { name: 'This page is not there any more' })).toBeVisible();
  await page.unroute('**/assets/LogView-*.js');
  await page.getByRole('button', { name: 'Load it again' }).click();
  await expect(page.getByRole('heading', { name: 'Notes' })).toBeVisible();
  // A browser that lacks what the log is drawn with.
  await page.addInitScript(() => {
    Object.defineProperty(Array.prototype, 'toReversed', { value: undefined });
  });
  await page.goto(`${server.address}/works/${id}/log`);
  await expect(page.getByRole('heading', { name: 'Something broke on this page' })).toBeVisible();
  await page.getByRole('link', { name: 'Open the bench' }).click();
  await expect(page).toHaveURL(`${server.address}/`);
});
