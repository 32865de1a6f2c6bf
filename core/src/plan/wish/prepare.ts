import { findPattern } from '../../craft/book/book.ts';
import { usualIncrease } from '../../craft/fabric/base.ts';
import { edgesFor } from '../../craft/fabric/edges.ts';
import {
  chooseFoundation,
  type Foundation,
  type FoundationKey,
  findFoundation,
  tubeBegins,
} from '../../craft/foundation/foundation.ts';
import { washed, withHook } from '../../craft/gauge/changes.ts';
import { type Gauge, typicalGauge } from '../../craft/gauge/gauge.ts';
import { singleCrochetOf } from '../../craft/gauge/singleCrochet.ts';
import { typicalYarns } from '../../craft/gauge/typical.ts';
import { bindPattern } from '../../craft/notation/bind.ts';
import { inRounds } from '../../craft/notation/inRounds.ts';
import { sumProblems } from '../../craft/notation/sums.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import type { StitchPattern } from '../../craft/patterns/model.ts';
import { readOrder } from '../../craft/patterns/order.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { makingsOf, techniqueOf } from '../../craft/techniques/register.ts';
import { parseLength, type ToldUnit } from '../../craft/units/length.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import { at, good, type Problem, type Result, refused } from '../../craft/values/problem.ts';
import { type Yarn, yarnFigures } from '../../craft/yarn/yarn.ts';
import type { Wish } from '../../records/wish.ts';
import type { BorderWish } from '../finish/borderPart.ts';
import { leastRounds } from '../finish/borderPattern.ts';
import type { FinishRequest } from '../finish/finish.ts';
import type { WishedWidth } from '../fit/across.ts';
import { isTube } from '../fit/across.ts';
import { flattestIncrease } from '../fit/circle.ts';
import { withReadEdges } from '../fit/readEdges.ts';
import type { WishedHeight } from '../fit/up.ts';
import { flapCover } from '../items/items.ts';
import { itemKinds, itemNamed } from '../items/register.ts';
import { carriesInside } from './carries.ts';
import { placedFigures, withFigureColours } from './placed.ts';
import { readLength } from './readLength.ts';
import { senseProblems } from './sense.ts';
import { readGauge } from './wishedGauge.ts';

/** The finishing of a wish, in figures. */
export type FinishWish = Pick<FinishRequest, 'border' | 'closing' | 'ring' | 'strap' | 'seam' | 'edge' | 'colours'> & {
  /** mm; of a cover in one cloth. */
  readonly flap?: number | undefined;
};

/** Nobody measures a cloth closer than this, mm. */
const leastTolerance = 1;

/** How far a size may be off. None at all is no tolerance: no pattern comes in every size. */
function readTolerance(typed: string, wish: Wish, problems: Problem[]): number {
  const read = parseLength(typed, wish.units);
  if (Number.parseFloat(typed.replace(',', '.')) === 0 || (read.ok && read.value < leastTolerance)) {
    problems.push({ code: 'tolerance-none', path: 'tolerance', facts: { typed } });
    return leastTolerance;
  }
  return readLength(typed, wish, 'tolerance', problems, leastTolerance);
}

/** A wish with every word turned into figures: what the pipeline begins with. */
export interface Prepared {
  readonly wish: Wish;
  /** How its lengths and yarn are told. */
  readonly told: ToldUnit;
  readonly bound: BoundPattern;
  readonly technique: Technique;
  readonly foundation: Foundation;
  /** The cloth as worked: yarn is measured by it. */
  readonly gauge: Gauge;
  /** The finished piece, washed if it will be: sizes are told by it. */
  readonly finished: Gauge;
  /** A plain sc of the same hand, of the finished piece. */
  readonly sc: { readonly width: Estimate; readonly height: Estimate };
  /** What is done when the cloth is off the hook. */
  readonly finish: FinishWish;
  /** One a colour of the pattern, in its order. */
  readonly yarns: readonly Yarn[];
  readonly width: WishedWidth;
  readonly height: WishedHeight;
  /** mm that a size may be off the wished one, either way. */
  readonly tolerance: number | undefined;
  /** Increases a round of the circle on which sides stand. */
  readonly increases: number | undefined;
}

function readYarns(wish: Wish, bound: BoundPattern, problems: Problem[]): Yarn[] {
  const { colours } = bound;
  const { name } = bound.pattern;
  const given = wish.yarns.map((yarn) => yarn.letter);
  if (given.length !== colours.length || !colours.every((letter) => given.filter((l) => l === letter).length === 1)) {
    problems.push({
      code: 'yarns-mismatch',
      path: 'yarns',
      facts: { pattern: name, colours, given },
    });
    return [];
  }
  return colours.map((letter) => wish.yarns.find((yarn) => yarn.letter === letter) as Yarn);
}

/** Typical gauge of the lightest technique column, widened where strands will lie inside. */
function typicalFor(wish: Wish, bound: BoundPattern, technique: Technique, yarns: readonly Yarn[]): Gauge {
  const carries = carriesInside(bound, technique, wish.policy);
  const main = yarns[0] as Yarn;
  const strand = carries ? Math.max(...yarns.map((yarn) => yarnFigures(yarn).diameter)) : 0;
  const typical = typicalGauge(technique.gaugeKey(bound), main.weight, strand);
  return wish.hook === undefined ? typical : withHook(typical, typicalYarns[main.weight].hook, wish.hook);
}

function readWidth(wish: Wish, problems: Problem[]): WishedWidth {
  if (wish.width.by !== 'length') return wish.width;
  const mm = readLength(wish.width.length, wish, 'width.length', problems);
  return { by: 'length', mm };
}

/** A cover in one cloth is as long as both its faces and the flap. */
function readHeight(wish: Wish, problems: Problem[]): WishedHeight {
  if (wish.height.by !== 'length') return wish.height;
  const mm = readLength(wish.height.length, wish, 'height.length', problems);
  const flap = wish.finish?.flap;
  if (flap === undefined) return { by: 'length', mm };
  return { by: 'length', mm: flapCover(mm, readLength(flap, wish, 'finish.flap', problems)) };
}

/** The pattern of the book, or the one written into the wish. */
function patternOf(wish: Wish): Result<StitchPattern> {
  const { key, text } = wish.pattern;
  if (text !== undefined) {
    const read = findPattern(text);
    return read.ok ? read : refused(...read.problems.map((problem) => at('pattern.text', problem)));
  }
  if (key === undefined) {
    return refused({
      code: 'no-pattern',
      path: 'pattern.key',
    });
  }
  const found = findPattern(key);
  return found.ok ? found : refused(...found.problems.map((problem) => at('pattern.key', problem)));
}

/** The pattern as the maker makes it: in rounds, in an order of colours of their own, nets on a base row. */
function madeAsWished(pattern: StitchPattern, wish: Wish): Result<StitchPattern> {
  const { made, order } = wish.pattern;
  const known = makingsOf(pattern.technique);
  if (made && !known.includes(made)) {
    return refused({
      code: 'making-not-offered',
      path: 'pattern.made',
      facts: { pattern: pattern.name, made, makings: known },
    });
  }
  const round = made ? inRounds(pattern, made) : pattern;
  const based: StitchPattern = round.made === 'paired' ? { ...round, made: 'netted' } : round;
  if (order === undefined) return good(based);
  const read = readOrder(order);
  if (!read.ok) return refused(...read.problems.map((problem) => at('pattern', problem)));
  const coloured = [...based.rows].some((row) => [...row.start, ...row.unit, ...row.end].some((run) => run.colour));
  if (based.chart.length || coloured || !takesOrder(pattern)) {
    return refused({
      code: 'order-not-offered',
      path: 'pattern.order',
      facts: { pattern: pattern.name },
    });
  }
  return good({ ...based, order: read.value });
}

function takesOrder(pattern: StitchPattern): boolean {
  const technique = techniqueOf(pattern);
  return technique.ok && technique.value.ordered === true;
}

function readFinish(wish: Wish, bound: BoundPattern, problems: Problem[]): FinishWish {
  const colour = (letter: string, path: string) => {
    const number = bound.colours.indexOf(letter);
    if (number < 0) {
      problems.push({
        code: 'colour-unknown',
        path,
        facts: { letter, colours: bound.colours },
      });
    }
    return Math.max(0, number);
  };
  const { ring, strap, seam, outside, flap, mouth, longEnd } = wish.finish ?? {};
  const coloured = (part: 'closing' | 'seam' | 'ring') =>
    colour(wish.finish?.[`${part}Colour`] ?? bound.colours[0] ?? 'A', `finish.${part}Colour`);
  return {
    flap: flap === undefined ? undefined : readLength(flap, wish, 'finish.flap', []),
    closing: wish.closing,
    border: wish.border && borderWish(wish.border, colour, problems),
    ring: ring === undefined ? undefined : readLength(ring, wish, 'finish.ring', problems),
    strap: strap && {
      kind: strap.kind,
      load: strap.load,
      drop: readLength(strap.drop, wish, 'finish.strap.drop', problems),
      width: readLength(strap.width, wish, 'finish.strap.width', problems, 2),
      colour: colour(strap.colour, 'finish.strap.colour'),
    },
    seam: seam && { kind: seam, outside, longEnd },
    colours: { closing: coloured('closing'), seam: coloured('seam'), ring: coloured('ring') },
    edge: mouth,
  };
}

/** @param colour the number of a colour by its letter */
function borderWish(
  border: NonNullable<Wish['border']>,
  colour: (letter: string, path: string) => number,
  problems: Problem[],
): BorderWish {
  const { pattern } = border;
  const own = colour(border.colour, 'border.colour');
  if (!pattern) return { ...border, colour: own, pattern: undefined };
  const second = colour(pattern.colour, 'border.pattern.colour');
  const least = leastRounds(pattern.key);
  if (second === own) {
    problems.push({ code: 'border-one-colour', path: 'border.pattern.colour', facts: { letter: pattern.colour } });
  }
  if (border.rounds < least) {
    problems.push({ code: 'border-rounds-few', path: 'border.rounds', facts: { least, pattern: pattern.key } });
  }
  if (border.envelope) problems.push({ code: 'border-pattern-envelope', path: 'border.envelope' });
  return { ...border, colour: own, pattern: { key: pattern.key, colour: second } };
}

/** The ways to begin, in the order in which the item is usually begun. */
export function waysOf(
  technique: Technique,
  bound: BoundPattern,
  { item }: Pick<Wish, 'item'>,
): readonly FoundationKey[] {
  const ways = technique.foundations(bound);
  const { begin } = itemNamed(item);
  if (!begin || !isTube({ bound, technique })) return ways;
  const usual = ways.find((key) => tubeBegins(findFoundation(key) as Foundation) === begin);
  return usual ? [usual, ...ways.filter((key) => key !== usual)] : ways;
}

/** An item that this version does not know cannot be begun, though one that is on the hook goes on. */
function itemProblems({ item }: Wish): Problem[] {
  if (itemKinds.some((each) => each.item === item)) return [];
  return [{ code: 'item-unknown', path: 'item', facts: { item, items: itemKinds.map((each) => each.item) } }];
}

/** Loops of the row below are chosen where the technique works into tops, and nowhere else. */
function loopProblems({ pattern }: Wish, technique: Technique): Problem[] {
  if (!pattern.loops || pattern.loops === 'both' || technique.loops) return [];
  return [
    {
      code: 'loops-not-offered',
      path: 'pattern.loops',
      facts: { technique: technique.key },
    },
  ];
}

/** Increases by which a circle lies flat at this gauge: those of the rule of thumb where they do, else the nearest. */
function flattest(gauge: Gauge, foundation: Foundation, sc: Prepared['sc']): number {
  const [width, height] =
    foundation.stitch === 'sc' ? [sc.width.mid, sc.height.mid] : [gauge.stitchWidth.mid, gauge.rowHeight.mid];
  return Math.min(36, flattestIncrease(usualIncrease(foundation.stitch), width, height));
}

/** As many colours as there are yarns, where the pattern leaves it open. */
function chosenColours(wish: Wish, pattern: StitchPattern): number | undefined {
  return pattern.fewestColours < pattern.mostColours ? wish.yarns.length : undefined;
}

/** What is wrong with a wish whatever it is made as: told together with what is wrong with its pattern. */
function unmade(wish: Wish): Problem[] {
  const problems: Problem[] = [];
  readWidth(wish, problems);
  readHeight(wish, problems);
  if (wish.tolerance !== undefined) readTolerance(wish.tolerance, wish, problems);
  readGauge(wish, problems);
  return problems;
}

/** Turns a wish into figures, or gives every problem of it at once. @param told how it is told, in its own units unless said */
export function prepare(wish: Wish, told: ToldUnit = wish.units): Result<Prepared> {
  const problems: Problem[] = [];
  const written = patternOf(wish);
  const made = written.ok ? madeAsWished(written.value, wish) : written;
  const found = made.ok ? withFigureColours(made.value, wish) : made;
  if (!found.ok) return refused(...unmade(wish), ...found.problems);
  const bound = bindPattern(found.value, { ...wish.pattern, colours: chosenColours(wish, found.value) });
  const technique = techniqueOf(found.value);
  if (!bound.ok) problems.push(...bound.problems.map((problem) => at('pattern', problem)));
  if (!technique.ok) problems.push(...technique.problems.map((problem) => at('pattern.key', problem)));
  if (!bound.ok || !technique.ok) return refused(...unmade(wish), ...problems);
  const foundation = chooseFoundation(waysOf(technique.value, bound.value, wish), wish.foundation);
  if (!foundation.ok) problems.push(...foundation.problems.map((problem) => at('foundation', problem)));
  // Where it cannot begin as wished, the other problems are named too.
  const [usual] = waysOf(technique.value, bound.value, wish);
  const begunAs = foundation.ok ? foundation.value : (findFoundation(usual as string) as Foundation);
  problems.push(
    ...itemProblems(wish),
    ...(itemNamed(wish.item).refuses?.(wish) ?? []),
    ...senseProblems(wish, { bound: bound.value, technique: technique.value }),
    ...sumProblems(bound.value),
    ...loopProblems(wish, technique.value),
  );
  const madeOf = { bound: bound.value, technique: technique.value };
  const read = prepareMade(wish, told, { ...madeOf, foundation: begunAs });
  const all = [...problems, ...(read.ok ? [] : read.problems)];
  return all.length || !read.ok ? refused(...all) : read;
}

/** The gauge that a cloth was begun with. */
export interface BegunGauge {
  /** As worked, and as finished. */
  readonly worked: Gauge;
  readonly finished: Gauge;
}

/** What a wish is made as: its pattern with all choices, its technique, and the way it begins. */
export type MadeAs = Pick<Prepared, 'bound' | 'technique' | 'foundation'>;

/**
 * The rest of a wish turned into figures, where it is settled what is made.
 * @param begun the gauge of a cloth that is on the hook, which nothing moves any more
 */
export function prepareMade(wish: Wish, told: ToldUnit, made: MadeAs, begun?: BegunGauge): Result<Prepared> {
  const { technique, foundation } = made;
  const bound = withReadEdges(made.bound, technique, foundation);
  const problems: Problem[] = [];
  const width = readWidth(wish, problems);
  const height = readHeight(wish, problems);
  const tolerance = wish.tolerance === undefined ? undefined : readTolerance(wish.tolerance, wish, problems);
  const counted = readGauge(wish, problems);
  const yarns = readYarns(wish, bound, problems);
  const finish = readFinish(wish, bound, problems);
  if (problems.length) return refused(...problems);
  const gauge = begun?.worked ?? counted?.worked ?? typicalFor(wish, bound, technique, yarns);
  const finished = begun?.finished ?? counted?.washed ?? (wish.wash ? washed(gauge, wish.wash) : gauge);
  const placed = placedFigures(wish, bound.colours, finished, problems);
  if (problems.length) return refused(...problems);
  const sc = singleCrochetOf(finished, technique.gaugeKey(bound), (yarns[0] as Yarn).weight);
  return good({
    wish: {
      ...wish,
      policy: technique.policy ?? wish.policy,
      edges: edgesFor(wish.edges, bound, technique),
    },
    told,
    bound: placed.length ? { ...bound, placed } : bound,
    technique,
    foundation,
    gauge,
    finished,
    sc,
    finish,
    yarns,
    width,
    height,
    tolerance,
    increases: foundation.circle ? (wish.increases ?? flattest(gauge, foundation, sc)) : undefined,
  });
}
