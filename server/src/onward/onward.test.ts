import { randomUUID } from 'node:crypto';
import { must } from '@puntada/core/craft';
import { thaw, unknownPace } from '@puntada/core/plan';
import type { RestKind } from '@puntada/core/records';
import { restPlans } from '@puntada/core/work';
import { backUp, handOver, headOf, putBack, takeOver } from '../../test/archives.ts';
import { type Listening, listen } from '../../test/listening.ts';
import { at, begunCloth, galleyCloth, start, tick } from '../../test/sampleWorks.ts';

let one: Listening;
let other: Listening;
beforeAll(async () => {
  one = await listen();
  other = await listen();
}, 60000);
afterAll(async () => {
  await one.close();
  await other.close();
});

/** The request that takes one way for the rest of a work. */
async function restOf(id: string, kind: RestKind) {
  const { body: work } = await one.ask('GET', `/works/${id}`);
  const plans = must(
    restPlans({
      wish: work.wish,
      cloth: must(thaw(work.begun)),
      stands: work.progress,
      weighings: [],
      measures: [],
      pace: unknownPace,
    }),
  );
  const plan = plans.find((each) => each.kind === kind);
  return { revision: work.revision, wish: plan?.wish, begun: plan?.begun, kind };
}

describe('the rest of a work by another plan', () => {
  it('is taken, the old plan kept, and the work goes on to its new last row', async () => {
    const id = await begunCloth(one, 20);
    const { body: before } = await one.ask('GET', `/works/${id}`);
    const { status, body } = await one.ask('POST', `/works/${id}/onward`, await restOf(id, 'shorter'));
    expect([status, body.size, body.revision, body.wish.choice.rows]).toEqual([200, { stitches: 36, rows: 36 }, 3, 36]);
    const { body: former } = await one.ask('GET', `/works/${id}/former`);
    expect(former).toEqual([expect.objectContaining({ revision: 2, rowsWorked: at(20).rows, leftFor: 'shorter' })]);
    expect(former[0].begun).toEqual(before.begun);
    // Row 38 was in the old plan only: behind row 36 come the ends, and then nothing.
    const beyond = await one.ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(20), at(38), 6)] });
    expect(beyond.status).toBe(422);
    await one.ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(20), at(36), 7)] });
    expect((await one.ask('POST', `/works/${id}/finish`, { revision: 3 })).body.state).toBe('finished');
  });

  it('is taken with another ending, and back from a whole repeat with the colours changed about', async () => {
    const ended = await begunCloth(one, 21);
    const other = await one.ask('POST', `/works/${ended}/onward`, await restOf(ended, 'ending'));
    // Whole bands of four rows: the next after row 21 is 24.
    expect([other.status, other.body.size?.rows, other.body.wish?.ending]).toEqual([200, 24, 'whole']);
    const back = await begunCloth(one, 22);
    const swapped = await restOf(back, 'ripped-swapped');
    expect((await one.ask('POST', `/works/${back}/onward`, swapped)).status).toBe(422);
    await one.ask('POST', `/works/${back}/ticks`, { ticks: [tick(at(22), at(20), 9)] });
    expect((await one.ask('POST', `/works/${back}/onward`, swapped)).status).toBe(200);
  });

  it('is taken on the diagonal: it begins to shrink sooner, and is worked to its new end', async () => {
    const id = await begunCloth(one, 5, {
      pattern: { key: 'signal-flag' },
      width: { by: 'stitches', count: 18 },
      height: { by: 'rows', count: 18 },
      edges: 'whole',
      ending: 'any',
      gauge: { from: 'typical' },
    });
    const { status, body } = await one.ask('POST', `/works/${id}/onward`, await restOf(id, 'shrink'));
    expect([status, body.wish?.choice]).toEqual([200, { stitches: 6, rows: 6 }]);
    // Six blocks either way are eleven diagonals; the ends come behind them.
    expect((await one.ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(5), at(13), 8)] })).status).toBe(422);
    await one.ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(5), at(11), 9)] });
    expect((await one.ask('POST', `/works/${id}/finish`, { revision: body.revision })).body.state).toBe('finished');
  });

  it('is refused where it touches worked rows, is stale, changes the wish, or the work is not begun', async () => {
    const id = await begunCloth(one, 8);
    const swapped = await restOf(id, 'swapped');
    await one.ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(8), at(9), 8)] });
    const late = await one.ask('POST', `/works/${id}/onward`, swapped);
    expect([late.status, late.body.problems[0].message]).toEqual([
      422,
      'Row 9 is worked already, and the other plan changes it.',
    ]);
    const stale = await one.ask('POST', `/works/${id}/onward`, { ...(await restOf(id, 'longer')), revision: 1 });
    expect([stale.status, stale.body.problems[0].path]).toEqual([409, 'revision']);
    const longer = await restOf(id, 'longer');
    const policy = { ...longer, wish: { ...longer.wish, policy: 'cut-always' } };
    expect((await one.ask('POST', `/works/${id}/onward`, policy)).status).toBe(422);
    const { body: wished } = await one.ask('POST', '/works', { wish: galleyCloth });
    const never = await one.ask('POST', `/works/${wished.id}/onward`, longer);
    expect([never.status, never.body.problems[0].path]).toEqual([409, 'state']);
    expect((await one.ask('GET', `/works/${id}/former`)).body).toEqual([]);
    expect((await one.ask('GET', `/works/${id}`)).body.size.rows).toBe(44);
  });

  it('is taken of a cloth behind the first: those that are made stay, and it goes on to the last row of the last', async () => {
    const id = await begunCloth(one, 0, { pieces: 3 });
    // A chain, 44 rows and the ends: 46; then a chain and twenty rows.
    const second = (rows: number) => at(46 + rows);
    await one.ask('POST', `/works/${id}/ticks`, { ticks: [tick(start, second(20), 5)] });
    const { status, body } = await one.ask('POST', `/works/${id}/onward`, await restOf(id, 'shorter'));
    expect([status, body.size, body.begun.before?.length]).toEqual([200, { stitches: 36, rows: 36 }, 1]);
    expect(body.progress).toEqual(second(20));
    // The same cloth once more: what is made is kept once.
    const again = await one.ask('POST', `/works/${id}/onward`, await restOf(id, 'soonest'));
    expect([again.body.size?.rows, again.body.begun.before?.length]).toEqual([20, 1]);
    // The rest of this one, its ends; a chain, 20 rows and the ends of the third.
    const last = second(20).rows + 1 + 1 + 20;
    const early = await one.ask('POST', `/works/${id}/finish`, { revision: again.body.revision });
    expect(early.body.problems[0].message).toBe('Row 1 of 20, piece 3 of 3, is still to be worked.');
    const to = (rows: number) => ({ rows, runs: 0 });
    const beyond = await one.ask('POST', `/works/${id}/ticks`, { ticks: [tick(second(20), to(last + 2), 6)] });
    expect(beyond.status).toBe(422);
    await one.ask('POST', `/works/${id}/ticks`, { ticks: [tick(second(20), to(last), 7)] });
    expect((await one.ask('POST', `/works/${id}/finish`, { revision: again.body.revision })).body.state).toBe(
      'finished',
    );
    // It goes to another machine as it is.
    const elsewhere = await listen();
    expect((await takeOver(elsewhere, await handOver(one, id))).result).toEqual({ id, how: 'new' });
    const { body: taken } = await elsewhere.ask('GET', `/works/${id}`);
    expect([taken.begun, taken.fromChain, taken.progress]).toEqual([again.body.begun, true, to(last)]);
    await elsewhere.close();
  });

  it('stays in a backup', async () => {
    const id = await begunCloth(one, 20);
    await one.ask('POST', `/works/${id}/onward`, await restOf(id, 'shorter'));
    expect(await putBack(other, await backUp(one))).toMatchObject({ state: 'done' });
    const path = `/works/${id}/former`;
    expect((await other.ask('GET', path)).body).toEqual((await one.ask('GET', path)).body);
  });
});

describe('one work handed over', () => {
  const note = (text: string) => ({ id: randomUUID(), at: 10, kind: 'note', row: 3, text });

  it('goes on elsewhere where it stood, and tells how its strands hang', async () => {
    const id = await begunCloth(one, 8);
    await one.ask('POST', `/works/${id}/log`, { entry: note('Kettle.') });
    const file = await handOver(one, id);
    const head = await headOf(file);
    expect([head.holds, head.stands]).toEqual(['project', expect.stringContaining('8 of 44 rows are done')]);
    expect(head.hanging.length).toBeGreaterThan(0);
    const elsewhere = await listen();
    expect((await takeOver(elsewhere, file)).result).toEqual({ id, how: 'new' });
    for (const path of [`/works/${id}/log`, `/works/${id}/former`]) {
      expect((await elsewhere.ask('GET', path)).body).toEqual((await one.ask('GET', path)).body);
    }
    expect((await elsewhere.ask('GET', `/works/${id}`)).body.progress).toEqual(at(8));
    await elsewhere.close();
  });

  it('is merged where it is known: rows and notes of both, each once', async () => {
    const id = await begunCloth(one, 8);
    const elsewhere = await listen();
    await takeOver(elsewhere, await handOver(one, id));
    await elsewhere.ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(8), at(11), 20)] });
    await elsewhere.ask('POST', `/works/${id}/log`, { entry: note('There.') });
    await one.ask('POST', `/works/${id}/ticks`, { ticks: [tick(at(8), at(10), 21)] });
    await one.ask('POST', `/works/${id}/log`, { entry: note('Here.') });
    const back = await handOver(elsewhere, id);
    for (const _twice of [1, 2]) expect((await takeOver(one, back)).result).toMatchObject({ how: 'merged' });
    expect((await one.ask('GET', `/works/${id}`)).body.progress).toEqual(at(11));
    const { body: log } = await one.ask('GET', `/works/${id}/log`);
    expect(log.entries.map((each: { text: string }) => each.text).sort()).toEqual(['Here.', 'There.']);
    expect(log.ticks).toHaveLength(3);
    await elsewhere.close();
  });

  it('stands beside one that went on by another plan, and is refused when it is damaged', async () => {
    const id = await begunCloth(one, 20);
    const file = await handOver(one, id);
    await one.ask('POST', `/works/${id}/onward`, await restOf(id, 'shorter'));
    const body = (await takeOver(one, file)).result as { id: string; how: string };
    expect(body.how).toBe('beside');
    expect((await one.ask('GET', `/works/${body.id}`)).body).toMatchObject({ size: { rows: 44 }, progress: at(20) });
    const bent = Buffer.from(file);
    bent[bent.length >> 1] = (bent[bent.length >> 1] as number) ^ 1;
    const before = (await one.ask('GET', '/works')).body.length;
    for (const damage of [bent, file.subarray(0, file.length - 200), Buffer.from('{"format": "other"}')]) {
      const refused = await takeOver(one, damage);
      expect([refused.state, refused.problems?.length]).toEqual(['failed', 1]);
    }
    expect((await one.ask('GET', '/works')).body).toHaveLength(before);
  });
});
