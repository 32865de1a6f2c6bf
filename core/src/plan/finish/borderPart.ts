import { usualIncrease } from '../../craft/fabric/base.ts';
import type { StitchKey } from '../../craft/stitches/kinds.ts';
import type { Told } from '../../craft/values/problem.ts';
import { carriedEase, climbLength, type StitchSize, yarnInStitch } from '../../craft/yarn/yarnPerStitch.ts';
import { flattestIncrease } from '../fit/circle.ts';
import { type Border, border, borderMetres, sideByGauge, sideByRule } from './border.ts';
import {
  type BorderPatternKey,
  borderPatterns,
  changesIn,
  countsOf,
  holding,
  type PatternedRound,
  patternedCircle,
  patternedRounds,
} from './borderPattern.ts';

/** Yarn of one colour that a part takes. */
export interface YarnOfPart {
  /** Number of the colour. */
  readonly colour: number;
  /** m, without tails. */
  readonly metres: number;
  readonly ends: number;
}

export interface BorderWish {
  readonly rounds: number;
  readonly colour: number;
  readonly by: 'gauge' | 'rule';
  readonly envelope: boolean;
  /** Its rounds in a pattern. `colour`: number of the second colour. */
  readonly pattern?: { readonly key: BorderPatternKey; readonly colour: number } | undefined;
}

/** The cloth that a border goes round. */
interface BorderRequest {
  /** Letters of the colours. */
  readonly letters: readonly string[];
  readonly stitch: StitchKey;
  /** What its widths count. */
  readonly technique: { readonly width: { readonly word: string } };
  readonly stitches: number;
  readonly courses: number;
  /** mm */
  readonly width: number;
  readonly height: number;
  /** A plain sc of each colour, mm. */
  readonly sc: readonly StitchSize[];
  /** Stitches of the last round of a circle. */
  readonly round?: number | undefined;
  /** Worked in rounds: its border goes round the upper end, which has neither sides nor corners. */
  readonly tube?: string | undefined;
  readonly pieces: number;
}

/** A border as a part of the finishing. */
interface BorderMade extends YarnOfPart {
  readonly part: 'border' | 'envelope';
  readonly goesOn: boolean;
  /** What it takes of the second colour of its pattern. */
  readonly second?: YarnOfPart;
  readonly stitches: number;
  readonly rounds: readonly number[];
  /** Changes of colour. */
  readonly changes?: number;
  readonly times: number;
  readonly steps: readonly Told[];
}

/** The rounds of a border in a pattern, as its steps tell them; none where it is plain. */
export function roundsInPattern(steps: readonly Told[]): PatternedRound[] {
  return steps.flatMap(({ code, facts: f = {} }) =>
    code === 'border-pattern-round' ? [{ across: String(f.across), up: String(f.up), corner: String(f.corner) }] : [],
  );
}

/** Stitches that keep the rounds of a border on a circle flat, each round. */
function addedAround(size: StitchSize): number {
  return flattestIncrease(usualIncrease('sc'), size.width, size.height);
}

/** Rounds of sc on a circle: one in each stitch, then as many more a round as keep it flat. */
function borderOnCircle(round: number, wish: BorderWish, size: StitchSize): Border {
  const rounds = Array.from({ length: wish.rounds }, (_, i) => round + i * addedAround(size));
  return { across: 0, up: 0, rounds, stitches: rounds.reduce((sum, count) => sum + count, 0) };
}

/** Rounds on the upper end of a tube: each as long as the one below. */
function borderOnTube(stitches: number, wish: BorderWish): Border {
  const rounds = Array.from({ length: wish.rounds }, () => stitches);
  return { across: 0, up: 0, rounds, stitches: stitches * wish.rounds };
}

/** Stitches that a border goes round, where it has no sides; nothing where it has four. */
function aroundOf({ round, tube, stitches }: BorderRequest): number | undefined {
  return round ?? (tube ? stitches : undefined);
}

function borderOf(request: BorderRequest, wish: BorderWish, size: StitchSize): Border {
  if (request.tube) return borderOnTube(request.stitches, wish);
  if (request.round !== undefined) return borderOnCircle(request.round, wish, size);
  const byRule = wish.by === 'rule';
  // Along top and bottom each stitch between the corners takes one, whatever the gauge; clusters and blocks have none to count.
  const counted = request.technique.width.word === 'stitches';
  const across = byRule || counted ? request.stitches - 2 : sideByGauge(request.width, size.width);
  const up = byRule ? Math.round(sideByRule(request.stitch, request.courses)) : sideByGauge(request.height, size.width);
  return border(across, up, wish.rounds);
}

/** How the rounds about a circle are counted. @param on stitches of its last round @param added each round, where that is always the same */
function circleSteps(on: number, [first = 0, ...more]: readonly number[], added?: number): Told[] {
  if (added === 0) return [{ code: 'border-round-1', facts: { stitches: first, on, all: 1 + more.length } }];
  return [
    { code: 'border-round-1', facts: { stitches: first, on } },
    ...(more.length ? [{ code: 'border-rounds', facts: { more: added, counts: more } }] : []),
  ];
}

/** How the rounds of a border are counted, side by side. */
function sidesSteps({ across, up, rounds: [first = 0, ...more] }: Pick<Border, 'across' | 'up' | 'rounds'>): Told[] {
  return [
    { code: 'border-sides', facts: { across, up, corner: 3, first } },
    ...(more.length ? [{ code: 'border-more', facts: { more: 8, counts: more } }] : []),
    { code: 'border-corners' },
    { code: 'mark-corners' },
  ];
}

/** Rounds of sc in a pattern: what each of its colours takes, worked and carried inside. */
function patternedPart(
  request: BorderRequest,
  wish: BorderWish,
  { key, colour }: NonNullable<BorderWish['pattern']>,
  goesOn: boolean,
): BorderMade {
  const sizes = [request.sc[wish.colour], request.sc[colour]] as readonly StitchSize[];
  const plain = borderOf(request, wish, sizes[0] as StitchSize);
  const { multiple, more } = borderPatterns[key];
  const [across, up] = [plain.across, plain.up].map((count) => holding(count, multiple, more)) as [number, number];
  const around = aroundOf(request);
  const circle = around !== undefined;
  const rounds = circle ? patternedCircle(key, plain.rounds) : patternedRounds(key, across, up, wish.rounds);
  const [own, second] = sizes.map((size, i) => ({
    colour: i === 0 ? wish.colour : colour,
    metres: patternedMetres(rounds, i as 0 | 1, size),
    ends: i === 0 && goesOn ? 0 : 2,
  })) as [YarnOfPart, YarnOfPart];
  const counts = rounds.map((round) => countsOf(round).reduce((a, b) => a + b));
  const letters = { own: request.letters[wish.colour] ?? '', second: request.letters[colour] ?? '' };
  const fitted = circle ? counts[0] !== plain.rounds[0] : across !== plain.across || up !== plain.up;
  const first = { across: plain.across, up: plain.up, around: plain.rounds[0], to: counts[0], circle };
  return {
    part: 'border',
    ...own,
    goesOn,
    second,
    rounds: counts,
    stitches: counts.reduce((sum, count) => sum + count, 0),
    changes: rounds.reduce((sum, round) => sum + changesIn(round), 0),
    times: request.pieces,
    steps: [
      ...(circle
        ? circleSteps(around, counts, request.tube ? 0 : undefined)
        : sidesSteps({ across, up, rounds: counts })),
      ...(fitted ? [{ code: 'border-fitted', facts: { ...first, acrossTo: across, upTo: up, multiple, more } }] : []),
      { code: 'border-pattern', facts: { key, ...letters } },
      ...rounds.map(({ across, up, corner }, n) => ({
        code: 'border-pattern-round',
        facts: { n: n + 1, across, up, corner, ...letters },
      })),
    ],
  };
}

/** Metres of one of the two colours: its stitches, over the other one where that goes along, and where it goes along itself. */
function patternedMetres(rounds: readonly PatternedRound[], which: 0 | 1, size: StitchSize): number {
  const worked = rounds.map(countsOf);
  const used = worked.flatMap((counts, n) => (counts[which] > 0 ? [n] : []));
  const [first = 0, last = -1] = [used[0], used.at(-1)];
  let mm = 0;
  for (const [n, counts] of worked.entries()) {
    const [stitches, others] = [counts[which], counts[1 - which] as number];
    if (stitches > 0) {
      mm += stitches * yarnInStitch('sc', size, others > 0 ? 1 : 0) + others * carriedEase * size.width;
    } else if (n > first && n < last) mm += climbLength(size.height, 1, size.diameter);
    // The round begins with a chain and is closed in the colour of its first stitch.
    const begins = rounds[n]?.across.startsWith('x') ? 1 : 0;
    if (begins === which) mm += yarnInStitch('ch', size) + yarnInStitch('join', size);
  }
  return mm / 1000;
}

/**
 * A border, plain, of two layers, or in a pattern: what it takes, and how it is worked.
 * @param hand number of the colour on the hook, with which it goes on where that is its own
 */
export function borderPart(request: BorderRequest, wish: BorderWish, hand?: number): BorderMade {
  const { pattern } = wish;
  const goesOn = hand === wish.colour;
  if (pattern) return patternedPart(request, wish, pattern, goesOn);
  const size = request.sc[wish.colour] as StitchSize;
  const made = borderOf(request, wish, size);
  const layers = wish.envelope ? 2 : 1;
  const around = aroundOf(request);
  const added = request.tube ? 0 : addedAround(size);
  return {
    part: wish.envelope ? 'envelope' : 'border',
    colour: wish.colour,
    metres: layers * borderMetres(made, size),
    ends: 2 * layers - (goesOn ? 2 : 0),
    goesOn,
    stitches: layers * made.stitches,
    rounds: made.rounds,
    times: request.pieces,
    steps: [
      ...(around === undefined ? sidesSteps(made) : circleSteps(around, made.rounds, added)),
      ...(wish.envelope ? [{ code: 'border-second-layer' }] : []),
    ],
  };
}
