import type { WishedWidth } from '../fit/across.ts';
import { chooseFoundation, type Foundation } from '../fit/foundation.ts';
import type { WishedHeight } from '../fit/up.ts';
import type { Wish } from '../formats/wish.ts';
import { countedGauge, type Gauge, typicalGauge } from '../gauge/gauge.ts';
import { type Yarn, yarnFigures } from '../measure/yarn.ts';
import { type BoundPattern, bindPattern } from '../patterns/bind.ts';
import { findPattern } from '../patterns/book.ts';
import { at, good, type Problem, type Result, refused } from '../problem.ts';
import { techniqueOf } from '../techniques/register.ts';
import type { Technique } from '../techniques/technique.ts';
import { parseLength } from '../units/length.ts';

/** A wish with every word turned into figures: what the pipeline begins with. */
export interface Prepared {
  readonly wish: Wish;
  readonly bound: BoundPattern;
  readonly technique: Technique;
  readonly foundation: Foundation;
  readonly gauge: Gauge;
  /** One a colour of the pattern, in its order. */
  readonly yarns: readonly Yarn[];
  readonly width: WishedWidth;
  readonly height: WishedHeight;
}

/** A cloth is between 1 cm and 5 m. */
const shortest = 10;
const longest = 5000;

function readLength(typed: string, wish: Wish, path: string, problems: Problem[]): number {
  const read = parseLength(typed, wish.units);
  if (!read.ok) {
    problems.push(...read.problems.map((problem) => at(path, problem)));
    return 0;
  }
  if (read.value < shortest || read.value > longest) {
    problems.push({
      code: 'out-of-range',
      path,
      message: `${typed} cannot be ${read.value < shortest ? 'made: it is under 1 cm' : 'planned: it is over 5 m'}.`,
      hint: 'Give a length from 1 cm to 5 m (1/2 in to 196 in).',
    });
  }
  return read.value;
}

function readGauge(wish: Wish, problems: Problem[]): Gauge | undefined {
  if (wish.gauge.from === 'typical') return undefined;
  const { stitches, rows } = wish.gauge;
  const across = readLength(stitches.over, wish, 'gauge.stitches.over', problems);
  const up = readLength(rows.over, wish, 'gauge.rows.over', problems);
  if (problems.length) return undefined;
  const gauge = countedGauge([{ count: stitches.count, span: across }], [{ count: rows.count, span: up }]);
  const sizes = [
    ['gauge.stitches', gauge.stitchWidth.mid, 'stitch'],
    ['gauge.rows', gauge.rowHeight.mid, 'row'],
  ] as const;
  for (const [path, size, what] of sizes) {
    if (size >= 1 && size <= 60) continue;
    problems.push({
      code: 'out-of-range',
      path,
      message: `That gauge makes one ${what} ${size.toFixed(2)} mm, which no yarn and hook give.`,
      hint: 'Check the count and the span; mind cm and in.',
    });
  }
  return gauge;
}

function readYarns(wish: Wish, bound: BoundPattern, problems: Problem[]): Yarn[] {
  const { colours, name } = bound.pattern;
  const given = wish.yarns.map((yarn) => yarn.letter);
  if (given.length !== colours.length || !colours.every((letter) => given.filter((l) => l === letter).length === 1)) {
    problems.push({
      code: 'colours-mismatch',
      path: 'yarns',
      message: `${name} is worked in ${colours.join(' and ')}; the yarns given are ${given.join(', ')}.`,
      hint: `Give one yarn for each of ${colours.join(', ')}.`,
    });
    return [];
  }
  return colours.map((letter) => wish.yarns.find((yarn) => yarn.letter === letter) as Yarn);
}

/** Typical gauge of the lightest technique column, widened where strands will lie inside. */
function typicalFor(wish: Wish, bound: BoundPattern, technique: Technique, yarns: readonly Yarn[]): Gauge {
  const carries = wish.policy !== 'cut-always' && yarns.length > 1;
  const main = yarns[0] as Yarn;
  const strand = carries ? Math.max(...yarns.map((yarn) => yarnFigures(yarn).diameter)) : 0;
  return typicalGauge(technique.gaugeKey(bound), main.weight, strand);
}

function readWidth(wish: Wish, problems: Problem[]): WishedWidth {
  if (wish.width.by !== 'length') return wish.width;
  return { by: 'length', mm: readLength(wish.width.length, wish, 'width.length', problems) };
}

function readHeight(wish: Wish, problems: Problem[]): WishedHeight {
  if (wish.height.by !== 'length') return wish.height;
  return { by: 'length', mm: readLength(wish.height.length, wish, 'height.length', problems) };
}

/** Turns a wish into figures, or gives every problem of it at once. */
export function prepare(wish: Wish): Result<Prepared> {
  const problems: Problem[] = [];
  const width = readWidth(wish, problems);
  const height = readHeight(wish, problems);
  const counted = readGauge(wish, problems);
  const found = findPattern(wish.pattern.key);
  if (!found.ok) return refused(...problems, ...found.problems.map((problem) => at('pattern.key', problem)));
  const bound = bindPattern(found.value, wish.pattern);
  const technique = techniqueOf(found.value);
  if (!bound.ok) problems.push(...bound.problems.map((problem) => at('pattern', problem)));
  if (!technique.ok) problems.push(...technique.problems.map((problem) => at('pattern.key', problem)));
  if (!bound.ok || !technique.ok) return refused(...problems);
  const foundation = chooseFoundation(bound.value.stitch, wish.foundation);
  if (!foundation.ok) problems.push(...foundation.problems.map((problem) => at('foundation', problem)));
  const yarns = readYarns(wish, bound.value, problems);
  if (!foundation.ok || problems.length) return refused(...problems);
  return good({
    wish,
    bound: bound.value,
    technique: technique.value,
    foundation: foundation.value,
    gauge: counted ?? typicalFor(wish, bound.value, technique.value, yarns),
    yarns,
    width,
    height,
  });
}
