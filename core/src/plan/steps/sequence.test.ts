import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import type { WishInput } from '../../records/wish.ts';
import { endsAtText } from '../../words/en/lasting.ts';
import { placeName, stepLines, stepName, stepRunLarge, stepRunWords, stepSaid } from '../../words/en/steps.ts';
import { cellsInHand, costsOfProject, handworkOfRows, sequenceOfWork } from '../../work/underway/inHand.ts';
import { rowLeft } from '../../work/underway/kept.ts';
import { freeze, thaw } from '../begun/frozen.ts';
import { secondsBy, unknownPace } from '../pace/ownPace.ts';
import { planWish } from '../piece/plan.ts';
import type { WorkStep } from './finishSteps.ts';
import { nextRow, placeOfRow, type Sequence, standingAt } from './sequence.ts';

function planned(change: Partial<WishInput>) {
  const plan = must(planWish(sampleWish(change)));
  const cloth = must(thaw(freeze(plan)));
  return { plan, cloth, sequence: sequenceOfWork(plan.prepared, cloth) };
}

const names = ({ units }: Sequence) => units.flatMap((unit) => (unit.kind === 'step' ? [stepName(unit.step)] : []));

describe('the whole project in the order of working', () => {
  it('one cloth: its chain, its rows, then its ends, one by one', () => {
    const { plan, sequence } = planned({});
    const rows = sequence.units.slice(1, plan.piece.rows + 1);
    expect(rows.every((unit, i) => unit.kind === 'row' && unit.row === i)).toBe(true);
    expect(names(sequence)).toEqual([`Chain ${plan.width.chains}`, `Weave in ${plan.piece.ends} ends`]);
    const last = sequence.units.at(-1);
    expect(last?.kind === 'step' && last.step.runs.length).toBe(plan.piece.ends);
  });

  it('a set of three with a border: each begins with its chain and ends with its own steps', () => {
    const { plan, sequence } = planned({ pieces: 3, border: { rounds: 2 } });
    // The border goes on with A, which is on the hook: its beginning is no end.
    const { ends } = plan.piece;
    const one = ['Border, round 1 of 2', 'Border, round 2 of 2', `Weave in ${ends} ends`];
    const chain = `Chain ${plan.width.chains}`;
    expect(names(sequence)).toEqual([chain, ...one, chain, ...one, chain, ...one]);
    expect(sequence.units).toHaveLength(3 * (plan.piece.rows + 3 + 1));
  });

  it('begun before the first chain was a step: its rows as they always were, and a chain before the others', () => {
    const { plan } = planned({ pieces: 2 });
    const { fromChain, ...old } = freeze(plan);
    expect(fromChain).toBe(true);
    const sequence = sequenceOfWork(plan.prepared, must(thaw(old)));
    const { rows } = plan.piece;
    expect(sequence.units.slice(0, rows).every((unit, i) => unit.kind === 'row' && unit.row === i)).toBe(true);
    const ends = `Weave in ${plan.piece.ends} ends`;
    expect(names(sequence)).toEqual([ends, `Chain ${plan.width.chains}`, ends]);
  });

  it('what begins without a chain has none before its first row', () => {
    const { sequence } = planned({ item: 'round mat', pattern: { key: 'windlass' }, height: { by: 'rows', count: 9 } });
    expect(sequence.units[0]).toMatchObject({ kind: 'row', row: 0 });
  });

  it('the chain takes what the first row would have counted, at the length of a chain', () => {
    const { plan, cloth } = planned({ pieces: 2 });
    const costs = costsOfProject(plan.prepared, cloth);
    const [a] = costs.metres as [number[]];
    // A yarn of 170 m in 100 g is 25 ÷ √170 = 1.917 mm thick; 37 chains of three widths of 6.25 mm and a yarn: 37 × 20.667.
    const chain = a[0] as number;
    expect(chain).toBeCloseTo(0.7647, 4);
    expect(chain + (a[1] as number)).toBeCloseTo(costs.cloth.metres[0]?.[0] ?? 0, 9);
    expect(chain).toBeCloseTo(a[placeOfRow(costs.sequence, 1, 0) - 1] as number, 9);
  });

  it('what is to be folded is folded one by one, once all are washed together; what cannot be folded is not', () => {
    const { sequence } = planned({ pieces: 3, wash: 'cotton-hot', fold: true });
    expect(names(sequence).slice(-2)).toEqual(['Wash and dry', 'Fold']);
    const last = sequence.units.at(-1);
    const step = last?.kind === 'step' ? last.step : undefined;
    expect(step?.runs.map((run) => stepRunWords(run, step, 'US'))).toEqual([
      'fold 1 of 3',
      'fold 2 of 3',
      'fold 3 of 3',
    ]);
    expect(step && stepLines(step, 'cm', 'US')).toEqual([
      expect.stringMatching(/^Fold it in half one way and in half the other, right side out, the last row on top\./),
    ]);
    // A bag is not folded for a stall.
    const bag = planned({ item: 'bag', pieces: 2, finish: { seam: 'sc' }, fold: true }).sequence;
    expect(names(bag)).not.toContain('Fold');
  });

  it('a border round has four sides, and each round two stitches more on a side', () => {
    const { plan, sequence } = planned({ border: { rounds: 2 } });
    const rounds = sequence.units.flatMap((unit) =>
      unit.kind === 'step' && unit.step.code === 'border' ? [unit.step] : [],
    );
    const words = (step: WorkStep) => step.runs.map((run) => stepRunWords(run, step, 'US'));
    const across = plan.width.stitches - 2;
    expect(words(rounds[0] as WorkStep)[0]).toBe(`${across} sc along the top, then 3 in the corner`);
    expect(words(rounds[1] as WorkStep)[0]).toBe(`${across + 2} sc along the top, then 3 in the corner`);
    // Sides and corners add up to the stitches of the round, the second eight more than the first.
    const counts = rounds.map(({ runs }) => runs.reduce((sum, { facts }) => sum + Number(facts?.count), 0) + 4 * 3);
    expect(counts[0]).toBe(rounds[0]?.facts?.stitches);
    expect((counts[1] as number) - (counts[0] as number)).toBe(8);
    // What there should be when each is done.
    expect(rounds.map(({ stitches }) => stitches)).toEqual(counts);
  });

  it('is read from afar by its number, with the words to it', () => {
    const { plan, sequence } = planned({ border: { rounds: 1 }, fold: true });
    const large = (code: string) => {
      const step = stepOf(sequence, code);
      return step.runs.slice(0, 1).map((run) => stepRunLarge(run, step, 'UK'))[0];
    };
    const across = plan.width.stitches - 2;
    expect(large('border')).toEqual({ number: String(across), words: 'dc along the top, then 3 in the corner' });
    expect(large('chain')).toEqual({ number: '20', words: 'chains, to 20: put a marker in' });
    expect(large('ends')).toMatchObject({ number: '1', words: expect.stringMatching(/^of \d+, [AB], at the/) });
    expect(large('fold')).toEqual({ number: undefined, words: 'fold it' });
    const [chain, fold] = [stepOf(sequence, 'chain'), stepOf(sequence, 'fold')];
    expect([stepSaid(chain, 1, 'US'), stepSaid(fold, 0, 'US'), stepSaid(fold, 1, 'US')]).toEqual([
      'Chain 37: 17 chains, to 37',
      'Fold',
      '',
    ]);
  });

  it('two panels of a bag are joined once both are worked; the strap comes last', () => {
    const { sequence } = planned({
      item: 'bag',
      pieces: 2,
      finish: { seam: 'whipped', strap: { drop: '40 cm', kind: 'chain cord' } },
    });
    expect(names(sequence).map((name) => name.replace(/\d+/, 'n'))).toEqual([
      'Chain n',
      'Weave in n ends',
      'Chain n',
      'Weave in n ends',
      'Seam',
      'Strap',
      'Weave in n ends',
    ]);
  });

  const stepOf = ({ units }: Sequence, code: string, nth = 0) =>
    units.flatMap((unit) => (unit.kind === 'step' && unit.step.code === code ? [unit.step] : []))[nth] as WorkStep;
  const told = (step: WorkStep) => step.runs.map((run) => stepRunWords(run, step, 'US'));

  it('a seam is joined side by side, a mouth edged with its eyelets, a strap worked row by row', () => {
    // 36 stitches and 44 rows: the panels of a bag.
    const { plan, sequence } = planned({
      item: 'bag',
      pieces: 2,
      width: { by: 'stitches', count: 36 },
      height: { by: 'rows', count: 44 },
      finish: { seam: 'sc', mouth: { eyelets: true }, strap: { drop: '28 cm', kind: 'sc along', width: '3 cm' } },
    });
    const seam = stepOf(sequence, 'seam');
    expect(told(seam)).toEqual([
      '44 pairs down the first side, then 3 in the corner',
      '36 pairs along the bottom, then 3 in the corner',
      '44 pairs up the second side',
    ]);
    // Two of the three in a corner are more than the pairs: 44 + 36 + 44 + 2 · 2.
    const pairs = seam.runs.reduce((sum, { facts }) => sum + Number(facts?.count), 0);
    expect([pairs, seam.told.find(({ code }) => code === 'join-panels')?.facts?.all]).toEqual([124, 128]);
    expect(seam.stitches).toBe(128);
    const [first, second] = [stepOf(sequence, 'mouth'), stepOf(sequence, 'mouth', 1)];
    expect(told(first)).toEqual(['first side: 36 sc', 'second side: 36 sc']);
    const side = ['2 sc', 'an eyelet, ch 2, skip 1', '30 sc', 'an eyelet, ch 2, skip 1', '2 sc'];
    const both = ['first', 'second'].flatMap((of) => side.map((each) => `${of} side: ${each}`));
    expect(told(second)).toEqual(both);
    // 2 + 30 + 2 and two stitches passed over are the 36 below them.
    expect(2 + 30 + 2 + 2).toBe(36);
    expect(first.runs.map((run) => stepRunLarge(run, first, 'US'))[0]).toEqual({
      number: '36',
      words: 'first side: sc',
    });
    expect(second.runs.map((run) => stepRunLarge(run, second, 'US'))[1]).toEqual({
      number: undefined,
      words: 'first side: an eyelet, ch 2, skip 1',
    });
    expect([first.stitches, second.stitches]).toEqual([2 * 36, 2 * (2 + 30 + 2)]);
    expect([stepName(first), stepName(second)]).toEqual(['Mouth edge, round 1 of 2', 'Mouth edge, round 2 of 2']);
    const mouth = plan.piece.finish.find(({ part }) => part === 'mouth');
    // 72 sc, then 68 and four times two chains.
    expect([mouth?.stitches, mouth?.chains]).toEqual([72 + 68, 8]);
    expect(first.metres + second.metres).toBeCloseTo(mouth?.metres ?? 0, 9);
    const strap = stepOf(sequence, 'strap');
    const { rows, along } = strap.told[0]?.facts ?? {};
    expect([strap.runs.length, told(strap)[0]]).toEqual([rows, `row 1 of ${rows}, ${along} stitches`]);
  });

  it('a mouth too narrow for eyelets has its plain round alone; a piece without a mouth has none', () => {
    const narrow = planned({
      item: 'bag',
      pieces: 2,
      pattern: { key: 'block-check', numbers: { b: 3, r: 4 } },
      width: { by: 'stitches', count: 6 },
      finish: { seam: 'sc', mouth: { eyelets: true } },
    });
    expect(names(narrow.sequence).filter((name) => name.startsWith('Mouth'))).toEqual(['Mouth edge, round 1 of 1']);
    const mat = planned({ item: 'mat', finish: { mouth: { eyelets: true } } });
    expect(names(mat.sequence).some((name) => name.startsWith('Mouth'))).toBe(false);
  });

  it('an envelope is one step of two layers, round by round', () => {
    const { plan, sequence } = planned({ border: { rounds: 2, colour: 'B', envelope: true } });
    const envelope = stepOf(sequence, 'envelope');
    // Along top and bottom two stitches fewer than a row has, at the sides by gauge (16 stitches and 18 rows to 10 cm).
    const up = Math.round((plan.piece.rows / 18) * 16);
    const first = 2 * (plan.piece.stitches - 2) + 2 * up + 12;
    expect(told(envelope)).toEqual([
      `layer 1, round 1 of 2: ${first} sc`,
      `layer 1, round 2 of 2: ${first + 8} sc`,
      `layer 2, round 1 of 2: ${first} sc`,
      `layer 2, round 2 of 2: ${first + 8} sc`,
    ]);
    expect(plan.piece.finish[0]?.stitches).toBe(2 * (2 * first + 8));
    expect(stepRunLarge(envelope.runs[3] ?? { code: '' }, envelope, 'US')).toEqual({
      number: String(first + 8),
      words: 'layer 2, round 2 of 2: sc',
    });
  });

  it('ends are woven in up one edge, down the other and then inside, each told by its colour and row', () => {
    const { plan, sequence } = planned({ border: { rounds: 1, colour: 'B' } });
    const words = told(stepOf(sequence, 'ends'));
    const places = words.map((each) => /, ([AB])(?:, (at the edge where|at the other|inside).*row (\d+))?/.exec(each));
    const own = places.slice(0, plan.piece.ends);
    expect(own.every((each) => each?.[3])).toBe(true);
    const rank = ['at the edge where', 'at the other', 'inside'];
    const order = own.map((each) => {
      const place = rank.indexOf(each?.[2] ?? '');
      return 1000 * place + (place === 1 ? -1 : 1) * Number(each?.[3]) + (place === 1 ? 500 : 0);
    });
    expect(order).toEqual([...order].sort((a, b) => a - b));
    const inB = own.filter((each) => each?.[1] === 'B').length;
    expect(inB).toBe(plan.piece.strands.totals[1]?.ends);
    expect(words.slice(plan.piece.ends)).toEqual(
      [1, 2].map((n) => `end ${plan.piece.ends + n} of ${plan.piece.ends + 2}, B of the border; inside its own colour`),
    );
  });

  it('a chain is counted by twenties', () => {
    const { sequence } = planned({ pieces: 2 });
    const chain = sequence.units.find((unit) => unit.kind === 'step' && unit.step.code === 'chain');
    const step = (chain as { step: WorkStep }).step;
    // 37 chains: 20, and 17 more.
    expect(step.runs.map((run) => stepRunWords(run, step, 'US'))).toEqual([
      '20 chains, to 20: put a marker in',
      '17 chains, to 37',
    ]);
  });

  it('every place of the counter is a row of one cloth, a step, or the end', () => {
    const { plan, sequence } = planned({ pieces: 2 });
    const { rows } = plan.piece;
    expect(standingAt(sequence, 0)).toMatchObject({ piece: 0, rows: 0, unit: { kind: 'step' } });
    expect(standingAt(sequence, 1 + 5)).toMatchObject({ piece: 0, rows: 5 });
    // Chain, rows, ends, chain, and then the sixth row of the second.
    expect(standingAt(sequence, rows + 3 + 5)).toMatchObject({ piece: 1, rows: 5 });
    expect(placeOfRow(sequence, 1, 5)).toBe(rows + 3 + 5);
    expect(standingAt(sequence, 1 + rows)).toMatchObject({ piece: 0, rows });
    expect(standingAt(sequence, 1 + rows + 1)).toMatchObject({ piece: 1, rows: 0 });
    expect(standingAt(sequence, sequence.units.length).unit).toBeUndefined();
  });

  it('yarn and time of all units are those of the whole plan', () => {
    const { plan, cloth } = planned({ pieces: 3, border: { rounds: 2 }, closing: true });
    const costs = costsOfProject(plan.prepared, cloth);
    const finish = plan.piece.finish.reduce((sum, part) => sum + part.metres * part.times, 0);
    const rows = costs.cloth.metres.flat().reduce((sum, each) => sum + each, 0);
    expect(costs.metres.flat().reduce((sum, each) => sum + each, 0)).toBeCloseTo(3 * rows + finish, 6);
    // Three times the rows, 3 s for each sc of the finishing, 150 s for each end, 1.2 s for each chain of three.
    const whole = secondsBy(unknownPace, handworkOfRows(costs, { rows: 0, runs: 0 }, 0)).mid;
    const seconds = costs.cloth.seconds.reduce((sum, each) => sum + each, 0);
    const { stitches, ends } = plan.piece.finish.reduce(
      (sum, part) => ({ stitches: sum.stitches + part.stitches, ends: sum.ends + part.ends }),
      { stitches: 0, ends: plan.piece.ends },
    );
    const chains = 3 * plan.width.chains * 1.2;
    expect(secondsBy(unknownPace, plan.piece.hands).mid).toBeGreaterThan(whole);
    expect(whole).toBeCloseTo(3 * (seconds + stitches * 3 + ends * 150) + chains, 6);
  });

  it('a border in a pattern counts in both of its colours, and its changes of colour in its time', () => {
    const border = { rounds: 3, colour: 'B', pattern: { key: 'teeth', colour: 'A' } } as const;
    const { plan, cloth } = planned({ pieces: 2, border });
    const costs = costsOfProject(plan.prepared, cloth);
    const [part] = plan.piece.finish;
    const own = [part?.second?.metres ?? 0, part?.metres ?? 0];
    expect(Math.min(...own)).toBeGreaterThan(0.5);
    for (const colour of [0, 1]) {
      const rows = (costs.cloth.metres[colour] ?? []).reduce((sum, each) => sum + each, 0);
      const all = (costs.metres[colour] ?? []).reduce((sum, each) => sum + each, 0);
      expect(all).toBeCloseTo(2 * (rows + (own[colour] ?? 0)), 6);
      // Told of the whole plan too, with its tails of 15 cm.
      const need = plan.piece.yarn[colour];
      expect(need?.metres.mid).toBeCloseTo(all + 0.15 * (need?.ends ?? 0), 6);
    }
    const steps = handworkOfRows(costs, { rows: 0, runs: 0 }, 0);
    const inRows = costs.cloth.hands.reduce((sum, hands) => sum + (hands.get('change') ?? 0), 0);
    expect(steps.get('change')).toBeCloseTo(2 * (inRows + 5 * (part?.changes ?? 0)), 6);
    expect(part?.changes).toBeGreaterThan(20);
  });

  it('what is worked of the unit in hand is stitches of a row, or parts of a step', () => {
    const { plan, cloth } = planned({ pieces: 2 });
    const costs = costsOfProject(plan.prepared, cloth);
    expect(cellsInHand(cloth, costs, { rows: 0, runs: 1 })).toBe(1);
    expect(cellsInHand(cloth, costs, { rows: 1, runs: 2 })).toBe(8);
    expect(cellsInHand(cloth, costs, { rows: placeOfRow(costs.sequence, 1, 0), runs: 2 })).toBe(8);
    expect(cellsInHand(cloth, costs, { rows: 1 + plan.piece.rows, runs: 3 })).toBe(3);
  });
});

describe('a place of the whole in words', () => {
  // Three cloths of a chain, 44 rows and their ends: 46 units each.
  const { plan, sequence } = planned({ pieces: 3 });
  const whole = { rows: 44, sequence, item: 'dishcloth' };
  const at = (done: number) => placeName(sequence, done, 'dishcloth');

  it('is told by the row of its own cloth, and which cloth that is', () => {
    expect([plan.piece.rows, sequence.units.length]).toEqual([44, 3 * 46]);
    expect([at(0), at(1), at(2)]).toEqual(['row 0', 'dishcloth 1, chain 37', 'dishcloth 1, row 1']);
    expect(at(45)).toBe('dishcloth 1, row 44');
    expect(at(46)).toBe(`dishcloth 1, weave in ${plan.piece.ends} ends`);
    expect([at(47), at(48), at(91)]).toEqual(['dishcloth 2, chain 37', 'dishcloth 2, row 1', 'dishcloth 2, row 44']);
    expect(at(46 + 46 + 2)).toBe('dishcloth 3, row 1');
    expect(at(1000)).toBe('the end');
  });

  it('of one cloth it is its row, and the step behind the last', () => {
    const one = planned({}).sequence;
    expect([placeName(one, 8, 'dishcloth'), placeName(one, 8, 'dishcloth', 'round')]).toEqual(['row 7', 'round 7']);
    expect(placeName(one, 46, 'dishcloth')).toMatch(/^weave in \d+ ends$/);
  });

  it('says of which bag a seam is, where there are two of two panels', () => {
    const two = planned({ item: 'bag', pieces: 4, finish: { seam: 'sc' } }).sequence;
    const seams = two.units.flatMap((unit, i) => (unit.kind === 'step' && unit.step.code === 'seam' ? [i + 1] : []));
    expect(seams.map((done) => placeName(two, done, 'bag'))).toEqual(['bag 1, seam', 'bag 2, seam']);
    const one = planned({ item: 'bag', pieces: 2, finish: { seam: 'sc' } }).sequence;
    const seam = one.units.findIndex((unit) => unit.kind === 'step' && unit.step.code === 'seam') + 1;
    expect(placeName(one, seam, 'bag')).toBe('seam');
    // Without a name of two parts no comma stands between the two places.
    expect(endsAtText({ low: seam, high: 9999 }, { rows: 44, sequence: one, item: 'bag' })).toBe(
      'between seam and the end',
    );
  });

  it('says in which cloth a yarn runs out', () => {
    expect(endsAtText({ low: 41, high: 51 }, whole)).toBe('between dishcloth 1, row 40, and dishcloth 2, row 4');
    expect(endsAtText({ low: 131, high: 138 }, whole)).toBe('between dishcloth 3, row 38, and the end');
    // Of one cloth, as it always was.
    expect(endsAtText({ low: 41, high: 51 }, { ...whole, sequence: planned({}).sequence })).toBe(
      'between row 40 and the end',
    );
  });

  it('a set is finished when its last cloth is off the hook, not its first', () => {
    const begun = freeze(plan);
    const left = (rows: number) => must(rowLeft(begun, plan.prepared.wish, { rows, runs: 0 }));
    expect(left(45)).toEqual({ row: 1, rows: 44, piece: 2, pieces: 3 });
    expect(left(46 + 46 + 45)).toBeUndefined();
    expect(left(46 + 46 + 44)).toEqual({ row: 44, rows: 44, piece: 3, pieces: 3 });
    expect(nextRow(sequence, 47)).toMatchObject({ piece: 1, row: 0 });
  });
});
