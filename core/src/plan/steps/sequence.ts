import type { Fabric } from '../../craft/fabric/fabric.ts';
import { chainsFor } from '../../craft/foundation/foundation.ts';
import type { Told } from '../../craft/values/problem.ts';
import { type FinishPart, finishParts } from '../finish/finish.ts';
import { type Handwork, handworkOfFinish } from '../pace/hours.ts';
import { finishRequest } from '../piece/piece.ts';
import type { Prepared } from '../wish/prepare.ts';

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
  /** m of its colour */
  readonly metres: number;
  readonly hands: Handwork;
}

/** One line of the whole project: a row of a cloth, or a step. */
export type Unit =
  | { readonly kind: 'row'; readonly piece: number; readonly row: number }
  | { readonly kind: 'step'; readonly piece: number; readonly of: 'cloth' | 'item' | 'all'; readonly step: WorkStep };

/** A project in the order of working: all its cloths, and every step to the last. */
export interface Sequence {
  readonly pieces: number;
  readonly items: number;
  /** Rows of one cloth. */
  readonly rows: number;
  readonly units: readonly Unit[];
}

/** Chains that are counted before a marker is put in. */
const twenty = 20;

const nothing: Handwork = new Map();

function step(code: string, part: Partial<WorkStep>): WorkStep {
  return { code, facts: {}, runs: [{ code }], told: [], colour: undefined, metres: 0, hands: nothing, ...part };
}

function byTwenties(chains: number): Told[] {
  const full = Math.floor(chains / twenty);
  const rest = chains % twenty;
  return [
    ...Array.from({ length: full }, (_, i) => ({ code: 'chains', facts: { count: twenty, upTo: (i + 1) * twenty } })),
    ...(rest ? [{ code: 'chains', facts: { count: rest, upTo: chains } }] : []),
  ];
}

/** The chain of a further cloth, by twenties. The first is made before there is a counter. */
function chainStep(chains: number, colour: number): WorkStep {
  return step('chain', {
    facts: { chains },
    runs: byTwenties(chains),
    colour,
    hands: new Map([['ch', chains * chainSeconds]]),
  });
}

/** Seconds for one chain, of a steady hand. */
const chainSeconds = 1.2;

/** Stitches of each round of a border, as its steps tell them; nothing where they tell none. */
function roundsOf({ steps }: FinishPart): number[] {
  const fact = (code: string, name: string) => steps.find((each) => each.code === code)?.facts?.[name];
  const first = fact('border-sides', 'first') ?? fact('border-round-1', 'stitches');
  const more = fact('border-more', 'counts') ?? fact('border-rounds', 'counts') ?? [];
  return first === undefined ? [] : [Number(first), ...(more as readonly number[])];
}

/** The sides of a round of a border: each round is two stitches longer on each side than the one before. */
function sidesOfRound({ steps }: FinishPart, round: number): Told[] {
  const sides = steps.find(({ code }) => code === 'border-sides')?.facts;
  if (!sides) return [{ code: 'border-round' }];
  const [across, up] = [Number(sides.across) + 2 * round, Number(sides.up) + 2 * round];
  return (['top', 'far', 'bottom', 'near'] as const).map((side) => ({
    code: 'border-side',
    facts: { side, count: side === 'top' || side === 'bottom' ? across : up, corner: Number(sides.corner) },
  }));
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
function mouthSteps({ colour, metres, stitches, steps }: FinishPart): WorkStep[] {
  const [first, second] = steps;
  const side = Number(first?.facts?.side);
  const { before, chains, between } = second?.facts ?? {};
  const plain: Told = { code: 'mouth-side', facts: { count: side } };
  const eyelets: Told[] = [
    { code: 'mouth-side', facts: { count: before } },
    { code: 'eyelet', facts: { chains } },
    { code: 'mouth-side', facts: { count: between } },
    { code: 'eyelet', facts: { chains } },
    { code: 'mouth-side', facts: { count: before } },
  ];
  const rounds = [[plain, plain], ...(second ? [[...eyelets, ...eyelets]] : [])];
  const inFirst = 2 * side;
  return rounds.map((runs, round) => {
    const share = (round === 0 ? inFirst : stitches - inFirst) / stitches;
    return step('mouth', {
      facts: { round: round + 1, of: rounds.length },
      runs,
      told: steps.slice(round, round + 1),
      colour,
      metres: metres * share,
      hands: handworkOfFinish(stitches * share, 0),
    });
  });
}

/** A part of the finishing as steps: a border round by round, a seam side by side, all else at once. */
function stepsOf(part: FinishPart): WorkStep[] {
  const { colour, metres, stitches, steps } = part;
  if (part.part === 'mouth') return mouthSteps(part);
  const sides = part.part === 'seam' ? runsOfSeam(steps) : part.part === 'strap' ? runsOfStrap(steps) : [];
  if (sides.length) {
    return [step(part.part, { runs: sides, told: steps, colour, metres, hands: handworkOfFinish(stitches, 0) })];
  }
  const rounds = part.part === 'border' || part.part === 'envelope' ? roundsOf(part) : [];
  const all = rounds.reduce((sum, each) => sum + each, 0);
  if (!all || part.part === 'envelope') {
    // Parts of one step: a work that was begun before they were counted stands where it stood.
    const runs = [1, 2].flatMap((layer) =>
      rounds.map((count, i) => ({ code: 'envelope-round', facts: { layer, n: i + 1, of: rounds.length, count } })),
    );
    const own = all ? { runs } : {};
    return [step(part.part, { ...own, told: steps, colour, metres, hands: handworkOfFinish(stitches, 0) })];
  }
  return rounds.map((count, round) =>
    step(part.part, {
      facts: { round: round + 1, of: rounds.length, stitches: count },
      runs: sidesOfRound(part, round),
      told: round === 0 ? steps : [],
      colour,
      metres: (metres * count) / all,
      hands: handworkOfFinish((stitches * count) / all, 0),
    }),
  );
}

/** An end that is woven in: where it hangs on the cloth, or what part of the finishing it is of. */
export interface EndToWeave {
  readonly letter: string;
  /** From 1; nothing for one of the finishing. */
  readonly row?: number | undefined;
  /** The edge at which row 1 begins, the other, or neither. */
  readonly edge?: 'near' | 'far' | 'inside' | undefined;
  readonly part?: string | undefined;
}

/** Up the edge where row 1 begins, down the other, and then what hangs inside, from below. */
function inOrder(ends: readonly EndToWeave[]): EndToWeave[] {
  const edges = ['near', 'far', 'inside'];
  const place = ({ edge = 'inside' }: EndToWeave) => edges.indexOf(edge);
  const along = ({ edge, row = 0 }: EndToWeave) => (edge === 'far' ? -row : row);
  return [...ends].sort((a, b) => place(a) - place(b) || along(a) - along(b));
}

/** Ends, woven in one by one in the order in which they lie. */
function endsStep(all: readonly EndToWeave[]): WorkStep[] {
  const ends = all.length;
  if (!ends) return [];
  const runs = all.map((end, i) => ({ code: 'end', facts: { n: i + 1, of: ends, ...end } }));
  return [step('ends', { facts: { ends }, runs, hands: handworkOfFinish(0, ends) })];
}

function endsIn(parts: readonly FinishPart[], letters: readonly string[]): EndToWeave[] {
  return parts.flatMap(({ ends, colour, part }) =>
    Array.from({ length: ends }, () => ({ letter: letters[colour] ?? '', part })),
  );
}

/**
 * The whole project in the order of working. @param ends of one cloth, left by its strands; rows of the first cloth come first and are numbered as they always were, so
 * that a project that was begun before there were steps goes on where it stands.
 */
export function sequenceOf(
  prepared: Prepared,
  { fabric, ends }: { readonly fabric: Fabric; readonly ends: readonly EndToWeave[] },
): Sequence {
  const request = finishRequest(prepared, fabric);
  const parts = finishParts(request);
  const { pieces, items } = request;
  // A closing and a border are of every cloth; where panels are joined, seams, straps and rings are of what they make.
  const ofCloth = parts.filter(({ part }) => part === 'closing' || part === 'border' || part === 'envelope');
  const ofItem = parts.filter((part) => !ofCloth.includes(part));
  const perItem = Math.max(1, Math.round(pieces / Math.max(1, items)));
  const chains = chainsFor(prepared.foundation, fabric.count);
  const beginsWith = fabric.colours[0] as number;
  const letters = prepared.bound.colours;
  const own = inOrder(ends);
  const units: Unit[] = [];
  for (let piece = 0; piece < pieces; piece++) {
    const put = (of: 'cloth' | 'item' | 'all', steps: readonly WorkStep[]) => {
      for (const each of steps) units.push({ kind: 'step', piece, of, step: each });
    };
    if (piece > 0 && chains > 0) put('cloth', [chainStep(chains, beginsWith)]);
    for (let row = 0; row < fabric.courses; row++) units.push({ kind: 'row', piece, row });
    put('cloth', [...ofCloth.flatMap(stepsOf), ...endsStep([...own, ...endsIn(ofCloth, letters)])]);
    if ((piece + 1) % perItem === 0) put('item', [...ofItem.flatMap(stepsOf), ...endsStep(endsIn(ofItem, letters))]);
    if (piece === pieces - 1 && prepared.wish.wash) put('all', [step('wash', { facts: { way: prepared.wish.wash } })]);
  }
  return { pieces, items, rows: fabric.courses, units };
}

/** Where a place of the counter is: which unit, of which cloth, and how many of its rows are worked. */
export interface Standing {
  /** Undefined once everything is done. */
  readonly unit: Unit | undefined;
  /** From 0. */
  readonly piece: number;
  /** Rows of that cloth. */
  readonly rows: number;
}

/** @param at units that are done */
export function standingAt({ units, rows, pieces }: Sequence, at: number): Standing {
  const unit = units[at];
  if (!unit) return { unit, piece: pieces - 1, rows };
  if (unit.kind === 'row') return { unit, piece: unit.piece, rows: unit.row };
  return { unit, piece: unit.piece, rows: unit.step.code === 'chain' ? 0 : rows };
}

/** The next row to be worked, of whichever cloth; nothing where every cloth is off the hook. */
export function nextRow({ units }: Sequence, done: number): Extract<Unit, { kind: 'row' }> | undefined {
  return units.slice(done).find((unit) => unit.kind === 'row');
}

/** Units done once so many rows of a cloth are: the place of a row in the whole. */
export function placeOfRow({ units }: Sequence, piece: number, rows: number): number {
  const first = units.findIndex((unit) => unit.kind === 'row' && unit.piece === piece);
  return Math.max(0, first) + rows;
}
