import { washed, withHook } from '../../craft/gauge/changes.ts';
import { countedGauge } from '../../craft/gauge/gauge.ts';
import { carried } from '../../craft/techniques/carried/carried.ts';
import type { ToldUnit } from '../../craft/units/length.ts';
import type { Told } from '../../craft/values/problem.ts';
import { yarnInStitch } from '../../craft/yarn/yarnPerStitch.ts';
import { finishStep } from '../../words/en/finish.ts';
import { stepRunWords } from '../../words/en/steps.ts';
import { circleLies, flatIncrease, fullness } from '../fit/circle.ts';
import type { Handwork } from '../pace/hours.ts';
import { endsIn, metresOfStep, stepsOf, type WorkStep } from '../steps/finishSteps.ts';
import { border, borderMetres, sideByGauge, sideByRule } from './border.ts';
import { type FinishPart, type FinishRequest, finishParts, foldedBand, handworkOfPart, stepsOfPart } from './finish.ts';
import { seamMetres, sewingLength } from './seam.ts';
import { strapAcross, strapStretch, strapToMake } from './strap.ts';

/** Worsted: 14 × 16 sc to 10 cm, 2 mm. */
const size = { width: 100 / 14, height: 6.25, diameter: 2 };

describe('another hook', () => {
  it('from 5.0 to 5.5 mm takes more a stitch and less a blanket', () => {
    const gauge = countedGauge([{ count: 14, span: 100 }], [{ count: 16, span: 100 }]);
    const { stitchWidth, rowHeight } = withHook(gauge, 5, 5.5);
    expect(stitchWidth.mid).toBeCloseTo(7.456, 3);
    expect(rowHeight.mid).toBeCloseTo(6.586, 3);
    const before = yarnInStitch('sc', size);
    const after = yarnInStitch('sc', { width: stitchWidth.mid, height: rowHeight.mid, diameter: 2 });
    expect(after).toBeCloseTo(49.26, 2);
    expect(after / before).toBeCloseTo(1.042, 3);
    const area = after / (stitchWidth.mid * rowHeight.mid) / (before / (size.width * size.height));
    expect(area).toBeCloseTo(0.947, 3);
  });

  it('and back again is the same', () => {
    const gauge = countedGauge([{ count: 14, span: 100 }], [{ count: 16, span: 100 }]);
    expect(withHook(withHook(gauge, 5, 6.5), 6.5, 5).rowHeight.mid).toBeCloseTo(6.25, 9);
  });
});

describe('washing', () => {
  it('cotton draws in, tumbled superwash wool grows, and the range opens', () => {
    const gauge = countedGauge([{ count: 10, span: 100 }], [{ count: 10, span: 100 }]);
    expect(washed(gauge, 'cotton-hot').stitchWidth.mid).toBeCloseTo(9.65, 9);
    expect(washed(gauge, 'superwash-tumbled').rowHeight.mid).toBeCloseTo(10.55, 9);
    const { low, high } = washed(gauge, 'acrylic').stitchWidth;
    expect(high - low).toBeGreaterThan(gauge.stitchWidth.high - gauge.stitchWidth.low);
  });
});

describe('flat circles', () => {
  it('take 5.50 sc a round, 8.00 hdc, 11.44 dc, 15.83 tr', () => {
    const added = (height: number) => flatIncrease(size.width, height).toFixed(2);
    expect([6.25, 100 / 11, 13, 18].map(added)).toEqual(['5.50', '8.00', '11.44', '15.83']);
  });

  it('5, 6 and 8 sc a round: a shallow dome, flat, ruffles', () => {
    const ratios = [5, 6, 8].map((added) => fullness(added, size.width, size.height));
    expect(ratios.map((ratio) => ratio.toFixed(2))).toEqual(['0.91', '1.09', '1.46']);
    expect(ratios.map(circleLies)).toEqual(['shallow dome', 'flat', 'ruffles']);
    expect([0.5, 1.15].map(circleLies)).toEqual(['cups', 'edge waves']);
  });
});

describe('a border', () => {
  it('of 4 rounds round a square of 90 cm in hdc takes 2112 sc and 100.04 m', () => {
    const rows = 99;
    expect(rows * (100 / 11)).toBeCloseTo(900, 9);
    const side = sideByGauge(900, size.width);
    expect(side).toBe(126);
    expect(sideByRule('hdc', rows)).toBe(148.5);
    expect(100 / 11 / size.width).toBeCloseTo(1.273, 3);
    const made = border(126, side, 4);
    expect(made.rounds).toEqual([516, 524, 532, 540]);
    expect(made.stitches).toBe(2112);
    expect(borderMetres(made, size)).toBeCloseTo(100.04, 2);
  });

  it('of the galley cloth by rule: 34 between the corners, 44 up each side, 12 in the corners', () => {
    // 2 (36 − 2) + 2 · 44 + 12
    expect(border(36 - 2, sideByRule('sc', 44), 2).rounds).toEqual([168, 176]);
    expect(sideByRule('dc', 10)).toBe(20);
  });
});

describe('seams of 126 stitches', () => {
  it.each([
    ['whipped', 2.41],
    ['mattress', 1.93],
    ['slip stitch', 3.96],
    ['sc', 4.82],
  ] as const)('%s takes %d m', (kind, metres) => {
    expect(seamMetres(kind, 126, size)).toBeCloseTo(metres, 2);
  });

  it('are sewn with three times their length and 30 cm', () => {
    expect(sewingLength(0.9)).toBeCloseTo(3, 9);
  });
});

describe('a strap', () => {
  it('worked in rows across itself for a drop of 28 cm: 66 cm loaded, 22 (1 − e⁻²) % of it stretch, 55.5 cm made', () => {
    // 30 N on 30 mm are 1 N/mm, twice the half of 0.5; 660 / (1 + 0.22 · 0.8647) = 554.5.
    expect(strapAcross(280, 30)).toBeCloseTo(660 / (1 + 0.22 * 0.8646647), 4);
    expect(Math.round(strapAcross(280, 30))).toBe(555);
  });

  it('of sc along, 40 mm wide under 30 N: 1100 mm wanted, 978 made', () => {
    const stretch = strapStretch('sc along', 30, 40);
    expect(stretch).toBeCloseTo(0.124, 3);
    expect(Math.round(strapToMake(1100, stretch))).toBe(978);
  });

  it('of thicker yarn stretches less', () => {
    expect(strapStretch('dc', 30, 40, 3)).toBeLessThan(strapStretch('dc', 30, 40));
  });
});

describe('folding a set', () => {
  it('two cloths of 24 × 24 cm in four, of 2 mm yarn: 12 × 12 cm, a band of 34 cm', () => {
    // 2 · 4 layers of 4.4 mm are 35.2 mm: 2 (120 + 35.2) + 30.
    expect(foldedBand({ width: 240, height: 240 }, { across: 2, up: 2 }, 2, 2)).toEqual({
      width: 120,
      height: 120,
      band: 2 * (120 + 35.2) + 30,
    });
  });
});

/** The steps of a part as a maker reads them. */
function inWords(part: FinishPart | undefined): string[] {
  return part?.steps.map((step) => finishStep(step, 'cm')) ?? [];
}

describe('what is done when the cloth is off the hook', () => {
  const request: FinishRequest = {
    letters: ['A', 'B'],
    stitch: 'sc',
    technique: carried,
    stitches: 60,
    begun: 60,
    courses: 72,
    insert: false,
    colours: { closing: 0, seam: 0, ring: 0 },
    width: (60 * 100) / 14,
    height: 72 * 6.25,
    sc: [size, size],
    pieces: 2,
    items: 1,
    mouth: false,
    sides: 3,
    inHand: 0,
    rowHeight: 6.25,
    closing: true,
    border: { rounds: 3, colour: 1, by: 'rule', envelope: false },
    seam: { kind: 'sc' },
    strap: { drop: 280, width: 40, kind: 'sc along', load: 30, colour: 0 },
    ring: 60,
  };

  it('lengths are told in the units that were asked for: 660 mm are 66.0 cm or 26 in, a ring of 60 mm 2 1/4 or 2.36', () => {
    const steps = (units: ToldUnit) =>
      finishParts(request)
        .flatMap((part) => part.steps.map((step) => finishStep(step, units)))
        .join(' ');
    expect(steps('cm')).toContain('for 66.0 cm when loaded');
    expect(steps('cm')).toContain('a ring of 6.0 cm inside');
    expect(steps('in')).toContain('for 26 in when loaded');
    expect(steps('in')).toContain('a ring of 2 1/4 in inside');
    expect(steps('in-decimals')).toContain('a ring of 2.36 in inside');
  });

  it('a border by rule: 58 + 72 + 58 + 72 and 12 in the corners, 272 and 8 more a round', () => {
    const part = finishParts(request).find((each) => each.part === 'border');
    expect(part?.stitches).toBe(272 + 280 + 288);
    expect(part?.steps[0]).toEqual({ code: 'border-sides', facts: { across: 58, up: 72, corner: 3, first: 272 } });
    const envelope = finishParts({ ...request, border: { rounds: 3, colour: 1, by: 'rule', envelope: true } });
    expect(envelope.find((each) => each.part === 'envelope')?.stitches).toBe(2 * 840);
  });

  describe('a border of three rounds with dots', () => {
    const pattern = { key: 'dots', colour: 0 } as const;
    const dotted = { ...request, border: { rounds: 3, colour: 1, by: 'rule', envelope: false, pattern } } as const;
    const part = finishParts(dotted).find((each) => each.part === 'border');

    it('takes 59 stitches across for 58 and 71 up for 72: 272, and 8 more a round', () => {
      expect(part?.stitches).toBe(272 + 280 + 288);
      // 15 dots across, 18 up, all twice; each is begun and ended.
      expect(part?.changes).toBe(2 * 66);
      expect(inWords(part)).toEqual([
        'Round 1: 59 {sc} along the top and the bottom, 71 up each side, 3 in each corner: 272 in all.',
        'Each further round has 8 more, 3 in each corner stitch: 280, 288.',
        expect.stringMatching(/^Work the corners/),
        'Mark the corners.',
        'So that each side holds a multiple of 4 and 3 more: 59 instead of 58 along top and bottom (work 2 in one stitch once, spread evenly), 71 instead of 72 up each side (leave out 1, spread evenly).',
        'Pattern: dots, in B with A. Carry the colour you do not work inside the stitches of a round that has both; in a round of one colour leave it at the join.',
        'Round 1: top and bottom 59 B; sides 71 B; 3 B in each corner.',
        'Round 2: top and bottom 2 B, (1 A, 3 B) × 14, 1 A, 2 B; sides 2 B, (1 A, 3 B) × 17, 1 A, 2 B; 3 B in each corner.',
        'Round 3: top and bottom 63 B; sides 75 B; 3 B in each corner.',
      ]);
    });

    it('takes 37.65 m of its own colour and 4.84 m of the second, two ends of each', () => {
      // A sc takes 47.2857 mm, over a carried strand 2 more; carried it takes 7.4286. A chain and a join take 43.7143.
      const own = 272 * 47.2857 + 214 * 49.2857 + 66 * 7.4286 + 288 * 47.2857 + 3 * 43.7143;
      const second = 66 * 49.2857 + 214 * 7.4286;
      expect(part).toMatchObject({ colour: 1, ends: 2, second: { colour: 0, ends: 2 } });
      expect(part?.metres).toBeCloseTo(own / 1000, 3);
      expect(part?.second?.metres).toBeCloseTo(second / 1000, 3);
    });

    it('is worked side by side, round by round, and its steps add up to it', () => {
      const steps = stepsOf(part as FinishPart, ['A', 'B']);
      expect(steps.map(({ runs }) => runs.length)).toEqual([4, 4, 4]);
      const [, round] = steps as [WorkStep, WorkStep, WorkStep];
      expect(round.runs.map((run) => stepRunWords(run, round, 'US'))).toEqual([
        '61 sc along the top: 2 B, (1 A, 3 B) × 14, 1 A, 2 B, then 3 B in the corner',
        '73 sc down the next side: 2 B, (1 A, 3 B) × 17, 1 A, 2 B, then 3 B in the corner',
        '61 sc along the bottom: 2 B, (1 A, 3 B) × 14, 1 A, 2 B, then 3 B in the corner',
        '73 sc up the last side: 2 B, (1 A, 3 B) × 17, 1 A, 2 B, then 3 B in the corner',
      ]);
      const metres = (colour: number) => steps.reduce((sum, each) => sum + metresOfStep(each, colour), 0);
      expect([metres(1), metres(0)]).toEqual([
        expect.closeTo(part?.metres ?? 0, 9),
        expect.closeTo(part?.second?.metres ?? 0, 9),
      ]);
      const seconds = (hands: Handwork) => [...hands.values()].reduce((sum, each) => sum + each, 0);
      const bySteps = steps.reduce((sum, { hands }) => sum + seconds(hands), 0);
      // The ends are steps of their own.
      expect(bySteps).toBeCloseTo(seconds(handworkOfPart(part as FinishPart)) - 4 * 150, 6);
      expect(endsIn([part as FinishPart], ['A', 'B']).map(({ letter }) => letter)).toEqual(['B', 'B', 'A', 'A']);
    });

    it('goes round a circle, whose rounds hold the pattern: 48, 56 for 54, 60', () => {
      const round = finishParts({ ...dotted, round: 48 }).find((each) => each.part === 'border');
      expect(round?.stitches).toBe(48 + 56 + 60);
      expect(inWords(round)).toContain('Round 2: 1 B, (1 A, 3 B) × 13, 1 A, 2 B.');
      const [, second] = stepsOf(round as FinishPart, ['A', 'B']) as [WorkStep, WorkStep];
      expect(second.runs).toHaveLength(1);
      expect(stepRunWords(second.runs[0] as Told, second, 'US')).toBe(
        '56 sc all round: 1 B, (1 A, 3 B) × 13, 1 A, 2 B',
      );
    });
  });

  it('a mouth of two sides of 60: 120 sc, then 116 and eight chains of the eyelets; one round a tube of 60 has 60', () => {
    const mouth = (change: Partial<FinishRequest>) =>
      finishParts({ ...request, mouth: true, ...change }).find((each) => each.part === 'mouth');
    const edged = mouth({ edge: { eyelets: true } });
    // Worked on from the seam in the same yarn: no ends.
    expect([edged?.stitches, edged?.chains, edged?.ends, edged?.times]).toEqual([120 + 116, 8, 0, 1]);
    expect(mouth({ edge: { eyelets: true, edge: 'foundation' } })?.ends).toBe(2);
    // Each round is begun with a chain and closed with a slip stitch, as a border is.
    const rounds = borderMetres({ across: 0, up: 0, rounds: [120, 116], stitches: 236 }, size);
    expect(edged?.metres).toBeCloseTo(rounds + (8 * yarnInStitch('ch', size)) / 1000, 9);
    expect(mouth({ edge: { eyelets: false }, tube: 'chain' })?.stitches).toBe(60);
    expect(mouth({})).toBeUndefined();
    expect(mouth({ edge: { eyelets: true }, mouth: false })).toBeUndefined();
  });

  it('panels are joined at three sides: 72 + 60 + 72, and two more in each corner', () => {
    const seam = finishParts(request).find((each) => each.part === 'seam');
    expect(seam?.stitches).toBe(72 + 60 + 72 + 4);
    expect(seam?.metres).toBeCloseTo((208 * (2 * size.width + 12 * size.diameter)) / 1000, 9);
    // Two panels make one bag: its seam, its strap and its ring are done once, its borders twice.
    expect(finishParts(request).map(({ part, times }) => [part, times])).toEqual([
      ['closing', 2],
      ['border', 2],
      ['seam', 1],
      ['strap', 1],
      ['ring', 1],
    ]);
    const hold = (tube?: FinishRequest['tube'], outside?: 'RS' | 'WS') =>
      inWords(finishParts({ ...request, tube, seam: { kind: 'sc', outside } }).find((each) => each.part === 'seam'))[0];
    expect(hold()).toBe('First decide which face goes outside.');
    expect(hold(undefined, 'RS')).toContain('wrong sides together');
    expect(hold(undefined, 'WS')).toContain('right sides together');
    expect(hold('chain', 'WS')).toContain('inside out');
  });

  it('a flat cover is joined at three sides, filled, and closed at the fourth: 60 more and its two corners', () => {
    const seam = finishParts({ ...request, sides: 4 }).find((each) => each.part === 'seam');
    expect(seam?.stitches).toBe(208 + 60 + 4);
    expect(inWords(seam).at(-1)).toContain('Put the insert in, then close the fourth side: 60 pairs');
  });

  it('a cover with a flap: 45 cm insert, 43 + 43 + 12 cm of cloth, and the rows of one face at either side', () => {
    const flap = { ...request, height: 980, flap: 120, rowHeight: 5 };
    const seam = finishParts(flap).find((each) => each.part === 'seam');
    // 430 mm of 5 mm are 86 row ends on each side.
    expect(seam?.stitches).toBe(2 * 86);
    expect(inWords(seam).join(' ')).toContain('Fold the fabric 43.0 cm from its first row');
  });

  it('a tube is closed where it is open: a ring twice, around a chain once, never as panels', () => {
    const seam = (tube: FinishRequest['tube'], mouth = false) =>
      finishParts({ ...request, tube, mouth, stitches: 96, seam: { kind: 'slip stitch' } }).find(
        (each) => each.part === 'seam',
      );
    expect(seam('chain')?.stitches).toBe(48);
    expect(seam('ring')?.stitches).toBe(96);
    expect(inWords(seam('ring')).slice(-2)).toEqual([
      'Close the bottom through both edges of the first round: 48 pairs.',
      'Close the top through both tops: 48 pairs.',
    ]);
    // The top of a bag is its mouth: around a chain nothing is left to close, of a ring the bottom.
    expect(seam('ring', true)?.stitches).toBe(48);
    expect(seam('chain', true)).toMatchObject({ stitches: 0, metres: 0, ends: 0 });
    expect(seam('circle', true)).toBeUndefined();
    for (const tube of ['ring', 'chain', 'circle'] as const) {
      expect(inWords(seam(tube)).join(' ')).not.toContain('panels');
    }
  });

  it('a border on a circle goes on from its last round: 48, and 6 more a round, which keep it flat', () => {
    const part = finishParts({ ...request, round: 48 }).find((each) => each.part === 'border');
    // 2π · 6.25 ÷ 7.143 is 5.5; of its neighbours 5 makes a shallow dome (0.91) and 6 lies flat (1.09).
    expect(part?.stitches).toBe(48 + 54 + 60);
    expect(inWords(part)[0]).toBe('Round 1: 1 {sc} in each of the 48 stitches of the last round.');
  });

  it('a closing row in the colour on the hook is not cut and joined again', () => {
    const closing = (inHand: number | undefined, colour = 0) =>
      finishParts({ ...request, inHand, colours: { ...request.colours, closing: colour } })[0] as FinishPart;
    expect([closing(0).ends, closing(1).ends, closing(undefined).ends, closing(1, 1).ends]).toEqual([0, 2, 2, 0]);
    const begins = (part: FinishPart) => finishStep(stepsOfPart(part, ['A', 'B'])[0] as Told, 'cm');
    expect(begins(closing(0))).toBe('Go on with A, without cutting it.');
    expect(begins(closing(0, 1))).toBe('Join B.');
  });

  it('what is worked on from the last round has no ends of its own: border, seam of a tube, mouth and ring', () => {
    const tube = { ...request, tube: 'chain', pieces: 1, closing: false, stitches: 120 } as const;
    const ends = (change: Partial<FinishRequest>) =>
      finishParts({ ...tube, ...change }).map(({ part, ends }) => `${part} ${ends}`);
    const plain = { rounds: 2, colour: 0, by: 'gauge', envelope: false } as const;
    expect(ends({ border: plain })).toEqual(['border 0', 'seam 0', 'strap 2', 'ring 0']);
    // A border in B is joined, and so is the seam in A above it.
    expect(ends({})).toEqual(['border 2', 'seam 2', 'strap 2', 'ring 0']);
    // What is sewn is sewn with a yarn of its own, or with the long end that the last round leaves.
    const sewn = (longEnd: boolean) => ends({ border: undefined, seam: { kind: 'mattress', longEnd } })[0];
    expect([sewn(false), sewn(true)]).toEqual(['seam 2', 'seam 0']);
    expect(ends({ border: undefined, inHand: undefined })[0]).toBe('seam 2');
  });

  it('a border of a tube is rounds on its upper end, without corners: 120 and 120', () => {
    const tube = {
      ...request,
      tube: 'chain',
      stitches: 120,
      border: { rounds: 2, colour: 0, by: 'gauge', envelope: false },
    } as const;
    const part = finishParts({ ...tube, closing: false })[0];
    expect([part?.stitches, part?.rounds]).toEqual([240, [120, 120]]);
    expect(inWords(part)).toEqual(['Rounds 1–2: 1 {sc} in each of the 120 stitches of the round below.']);
  });

  it('a back of other rows is counted too: 60 row ends over 37, a mouth of 44 and 42 is 86', () => {
    const back = {
      ...request,
      stitches: 44,
      begun: 44,
      courses: 60,
      other: { stitches: 42, courses: 37 },
      mouth: true,
    };
    const parts = finishParts({ ...back, edge: { eyelets: true } });
    const seam = parts.find(({ part }) => part === 'seam');
    // 60 + 44 + 60, and two more in each bottom corner.
    expect(seam?.stitches).toBe(168);
    expect(inWords(seam)[1]).toContain('spreading its 60 row ends over the 37 of the back');
    const mouth = parts.find(({ part }) => part === 'mouth');
    // 86 round the mouth; in the second round four stitches are passed over.
    expect([mouth?.rounds, mouth?.stitches]).toEqual([[86, 82], 168]);
    expect(inWords(mouth)[0]).toContain('each of the 44 stitches of the front and the 42 of the back, 86 in all');
  });

  it('the insert of a tube goes in before its last end is closed', () => {
    const tube = (begun: 'chain' | 'ring') =>
      inWords(finishParts({ ...request, tube: begun, insert: true, closing: false, border: undefined })[0]).slice(1);
    const [insert, top] = [
      'Put the insert in before you close the last end.',
      'Close the top through both tops: 30 pairs.',
    ];
    expect(tube('chain')).toEqual([insert, top]);
    expect(tube('ring')).toEqual(['Close the bottom through both edges of the first round: 30 pairs.', insert, top]);
  });

  it('a strap is twice the drop and 10 cm, less what it stretches; a ring by its inside', () => {
    const parts = finishParts(request);
    const strap = parts.find((each) => each.part === 'strap');
    // 660 mm wanted, 0.124 of stretch: 587 mm of 7.14 mm are 82 stitches, 40 mm of 6.25 mm are 6 rows.
    expect(strap?.stitches).toBe(6 * Math.round(660 / 1.1243 / size.width));
    expect(parts.find((each) => each.part === 'ring')?.stitches).toBe(8);
    const bought = finishParts({ ...request, strap: { drop: 280, width: 10, kind: 'bought', load: 30, colour: 0 } });
    expect(bought.find((each) => each.part === 'strap')).toMatchObject({ metres: 0, ends: 0 });
  });

  it('comes in the order of doing', () => {
    expect(finishParts(request).map(({ part }) => part)).toEqual(['closing', 'border', 'seam', 'strap', 'ring']);
  });
});
