import type { Told } from '../../craft/values/problem.ts';
import type { YarnOfPart } from '../finish/borderPart.ts';
import { type FinishPart, stepsOfPart, yarnsOfPart } from '../finish/finish.ts';
import { type Handwork, handworkOfChain, handworkOfFinish } from '../pace/hours.ts';

/** What is done beside rows: before a further cloth, when one is off the hook, and when several are joined. */
export interface WorkStep {
  /** Its name: a part of the finishing, or what stands beside those. */
  readonly code: string;
  /** Facts of its name: which round, of how many. */
  readonly facts: Told['facts'];
  /** How often the counter steps in it: sides of a round, ends, chains by twenties. */
  readonly runs: readonly Told[];
  /** What to do; its words: `words/en/finish.ts`. */
  readonly told: readonly Told[];
  readonly colour: number | undefined;
  /** Stitches that are there when it is done; 0 where it makes none. */
  readonly stitches: number;
  /** m of its colour */
  readonly metres: number;
  /** What it takes of a second colour. */
  readonly second?: Pick<YarnOfPart, 'colour' | 'metres'> | undefined;
  readonly hands: Handwork;
}

/** m that a step takes of a colour. */
export function metresOfStep({ colour, metres, second }: WorkStep, of: number): number {
  return (colour === of ? metres : 0) + (second?.colour === of ? second.metres : 0);
}

/** Chains that are counted before a marker is put in. */
const twenty = 20;

const nothing: Handwork = new Map();

export function step(code: string, part: Partial<WorkStep>): WorkStep {
  return {
    code,
    facts: {},
    runs: [{ code }],
    told: [],
    colour: undefined,
    stitches: 0,
    metres: 0,
    hands: nothing,
    ...part,
  };
}

function byTwenties(chains: number): Told[] {
  const full = Math.floor(chains / twenty);
  const rest = chains % twenty;
  return [
    ...Array.from({ length: full }, (_, i) => ({ code: 'chains', facts: { count: twenty, upTo: (i + 1) * twenty } })),
    ...(rest ? [{ code: 'chains', facts: { count: rest, upTo: chains } }] : []),
  ];
}

/** A foundation chain. */
interface FoundationChain {
  readonly chains: number;
  readonly colour: number;
  /** m of it, as far as it is no stitch of the first row. */
  readonly metres: number;
}

/** The foundation chain of a cloth, by twenties. @param again it is not that of the first cloth */
export function chainStep({ chains, colour, metres }: FoundationChain, again: boolean): WorkStep {
  const facts = { chains, ...(again ? { again } : {}) };
  const hands = handworkOfChain(chains);
  return step('chain', { facts, runs: byTwenties(chains), colour, stitches: chains, metres, hands });
}

/** What a round of a border in a pattern is told to be. */
function patternOf(steps: readonly Told[], round: number): Told['facts'] {
  return steps.find(({ code, facts }) => code === 'border-pattern-round' && facts?.n === round + 1)?.facts;
}

/** The sides of a round of a border: each round is two stitches longer on each side than the one before. */
function sidesOfRound({ steps }: FinishPart, round: number): Told[] {
  const sides = steps.find(({ code }) => code === 'border-sides')?.facts;
  if (!sides) {
    const { own, second, across: cells } = patternOf(steps, round) ?? {};
    return [{ code: 'border-round', ...(cells ? { facts: { own, second, cells } } : {}) }];
  }
  const [across, up] = [Number(sides.across) + 2 * round, Number(sides.up) + 2 * round];
  const pattern = patternOf(steps, round);
  return (['top', 'far', 'bottom', 'near'] as const).map((side) => {
    const flat = side === 'top' || side === 'bottom';
    const { own, second, corner } = pattern ?? {};
    const cells = pattern && { cells: flat ? pattern.across : pattern.up, in: corner === 'x' ? second : own };
    const facts = { side, count: flat ? across : up, corner: Number(sides.corner) };
    return { code: 'border-side', facts: pattern ? { ...facts, own, second, ...cells } : facts };
  });
}

/** The sides of a seam, one after the other, as they are joined. */
function runsOfSeam(told: readonly Told[]): Told[] {
  const side = (at: string, count: unknown, corner = 0): Told => ({
    code: 'seam-side',
    facts: { at, count: Number(count), ...(corner ? { corner } : {}) },
  });
  return told.flatMap(({ code, facts: f = {} }): Told[] => {
    if (code === 'join-panels') {
      const corner = Number(f.corner);
      return [side('first', f.courses, corner), side('bottom', f.stitches, corner), side('second', f.courses)];
    }
    if (code === 'fourth-side') return [side('top', f.stitches)];
    if (code === 'join-sides') return [side('first', f.rows), side('second', f.rows)];
    if (code === 'close-top' || code === 'close-bottom')
      return [side(code === 'close-top' ? 'top' : 'bottom', f.pairs)];
    return [];
  });
}

/** A strap row by row, a cord by twenties; one that is bought is cut at once. */
function runsOfStrap([told]: readonly Told[]): Told[] {
  const { rows = 0, along = 0, chains = 0 } = told?.facts ?? {};
  if (told?.code === 'chain-cord') return byTwenties(Number(chains));
  if (told?.code !== 'strap-rows') return [];
  return Array.from({ length: Number(rows) }, (_, i) => ({ code: 'strap-row', facts: { n: i + 1, of: rows, along } }));
}

/** The rounds of a mouth: side by side, the second with its eyelets. */
function mouthSteps(part: FinishPart, letters: readonly string[]): WorkStep[] {
  const { colour, metres, stitches, chains: inEyelets = 0, steps, rounds: counts = [] } = part;
  const [first, second] = steps;
  const { before, chains } = second?.facts ?? {};
  const fact = (of: Told | undefined, name: string, side: string) =>
    (side === 'second' ? of?.facts?.[`${name}2`] : undefined) ?? of?.facts?.[name];
  const plain = (of: string): Told[] => [{ code: 'mouth-side', facts: { count: fact(first, 'side', of), of } }];
  const eyelets = (of: string): Told[] => [
    { code: 'mouth-side', facts: { count: before, of } },
    { code: 'eyelet', facts: { chains, of } },
    { code: 'mouth-side', facts: { count: fact(second, 'between', of), of } },
    { code: 'eyelet', facts: { chains, of } },
    { code: 'mouth-side', facts: { count: before, of } },
  ];
  const both = (runs: (of: string) => Told[]) => ['first', 'second'].flatMap(runs);
  const begins = stepsOfPart(part, letters).slice(0, -steps.length);
  return [both(plain), ...(second ? [both(eyelets)] : [])].map((runs, round) => {
    const own = counts[round] ?? 0;
    const worked = own + (round === 0 ? 0 : inEyelets);
    const share = worked / (stitches + inEyelets);
    return step('mouth', {
      facts: { round: round + 1, of: counts.length },
      runs,
      told: [...(round === 0 ? begins : []), ...steps.slice(round, round + 1)],
      colour,
      stitches: own,
      metres: metres * share,
      hands: handworkOfFinish(worked, 0),
    });
  });
}

/** A part of the finishing as steps: a border round by round, a seam side by side, all else at once. */
export function stepsOf(part: FinishPart, letters: readonly string[]): WorkStep[] {
  const { colour, metres, stitches } = part;
  if (part.part === 'mouth') return mouthSteps(part, letters);
  const steps = stepsOfPart(part, letters);
  const sides = part.part === 'seam' ? runsOfSeam(steps) : part.part === 'strap' ? runsOfStrap(part.steps) : [];
  if (sides.length) {
    const hands = handworkOfFinish(stitches, 0);
    return [step(part.part, { runs: sides, told: steps, colour, stitches, metres, hands })];
  }
  const rounds = part.rounds ?? [];
  const all = rounds.reduce((sum, each) => sum + each, 0);
  if (!all || part.part === 'envelope') {
    // Parts of one step: a work that was begun before they were counted stands where it stood.
    const runs = [1, 2].flatMap((layer) =>
      rounds.map((count, i) => ({ code: 'envelope-round', facts: { layer, n: i + 1, of: rounds.length, count } })),
    );
    const own = all ? { runs } : {};
    const hands = handworkOfFinish(stitches, 0);
    return [step(part.part, { ...own, told: steps, colour, stitches, metres, hands })];
  }
  return rounds.map((count, round) => {
    const share = count / all;
    return step(part.part, {
      facts: { round: round + 1, of: rounds.length, stitches: count },
      runs: sidesOfRound(part, round),
      told: round === 0 ? steps.filter(({ code }) => code !== 'border-pattern-round') : [],
      colour,
      stitches: count,
      metres: metres * share,
      second: part.second && { colour: part.second.colour, metres: part.second.metres * share },
      hands: handworkOfFinish(stitches * share, 0, (part.changes ?? 0) * share),
    });
  });
}

/** An end that is woven in: where it hangs on the cloth, or what part of the finishing it is of. */
export interface EndToWeave {
  readonly letter: string;
  /** From 1; nothing for one of the finishing. */
  readonly row?: number | undefined;
  /** The edge at which row 1 begins, the other, the seam of rounds, or none of them. */
  readonly edge?: 'near' | 'far' | 'seam' | 'inside' | undefined;
  /** What a course is called there; a row where it is left out. */
  readonly course?: 'round' | 'diagonal' | undefined;
  readonly part?: string | undefined;
}

/** Up the edge where row 1 begins, down the other, and then what hangs inside, from below. */
export function inOrder(ends: readonly EndToWeave[]): EndToWeave[] {
  const edges = ['near', 'seam', 'far', 'inside'];
  const place = ({ edge = 'inside' }: EndToWeave) => edges.indexOf(edge);
  const along = ({ edge, row = 0 }: EndToWeave) => (edge === 'far' ? -row : row);
  return [...ends].sort((a, b) => place(a) - place(b) || along(a) - along(b));
}

/** Ends, woven in one by one in the order in which they lie. @param closedIn others, which a border closes in */
export function endsStep(all: readonly EndToWeave[], closedIn = 0): WorkStep[] {
  const ends = all.length;
  if (!ends) return [];
  const runs = all.map((end, i) => ({ code: 'end', facts: { n: i + 1, of: ends, ...end } }));
  const facts = { ends, ...(closedIn ? { closedIn } : {}) };
  return [step('ends', { facts, runs, hands: handworkOfFinish(0, ends) })];
}

export function endsIn(parts: readonly FinishPart[], letters: readonly string[]): EndToWeave[] {
  return parts.flatMap((each) =>
    yarnsOfPart(each).flatMap(({ ends, colour }) =>
      Array.from({ length: ends }, () => ({ letter: letters[colour] ?? '', part: each.part })),
    ),
  );
}
