import type { Count } from '../patterns/count.ts';
import type { PatternRow, Run, StitchPattern } from '../patterns/model.ts';
import { techniqueNamed, techniques } from '../techniques/register.ts';
import { good, type Problem, type Result, refused } from '../values/problem.ts';

/**
 * A circle of wedges as it is drawn: the colours of the wedges that repeat around it, how many wedges there are, and which
 * rounds grow. From a pattern to a wheel and back nothing is lost.
 */
export interface Wheel {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  /** Letters of the wedges of one repeat, in the order of working. */
  readonly wedges: readonly string[];
  /** Wedges around, usually, at least and at most. */
  readonly around: { readonly usual: number; readonly least: number; readonly most: number };
  /** The rounds that repeat: those that grow take an increase at the beginning of each wedge. */
  readonly grows: readonly boolean[];
  readonly ends: string;
  readonly careful: string;
}

/** The technique whose patterns are wheels. */
const wheelTechnique = techniques.find(({ circle }) => circle)?.key ?? '';
/** More wedges do not repeat, and more rounds do not. */
export const mostWedges = 8;
export const mostRounds = 24;

const one: Count = { terms: [{ times: 1 }] };
const none: Count = { terms: [{ times: 0 }] };
/** The stitches of a wedge in the round below, and one less beside the increase. */
const all: Count = { terms: [{ times: 1, of: 'j' }] };
const rest: Count = { terms: [{ times: 1, of: 'j' }, { times: -1 }] };

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

function runsOf(wedges: readonly string[], grows: boolean): Run[] {
  return wedges.flatMap((colour): Run[] =>
    grows
      ? [
          { count: one, stitch: 'inc', colour },
          { count: rest, stitch: 'dc', colour },
        ]
      : [{ count: all, stitch: 'dc', colour }],
  );
}

function ringOf(wedges: readonly string[]): Run[] {
  return wedges.map((colour) => ({ count: one, stitch: 'dc', place: 'ring', colour }));
}

/** A pattern of wedges as a wheel; refused where it is another, or is written in a way that no wheel is. */
export function wheelOf(pattern: StitchPattern): Result<Wheel> {
  const refuse = () => refused({ code: 'not-drawable', path: '', facts: { pattern: pattern.name } });
  const [ring, ...rounds] = pattern.rows;
  const number = pattern.numbers.find(({ name }) => name === 'n');
  if (!techniqueNamed(pattern.technique)?.circle || ring?.role !== 'setup' || !number || !rounds.length)
    return refuse();
  const wedges = ring.unit.map(({ colour }) => colour ?? 'A');
  const grows: boolean[] = [];
  for (const { role, courses, start, unit, end } of rounds) {
    const grown = same(unit, runsOf(wedges, true));
    const times = courses.terms.length === 1 && !courses.terms[0]?.of ? (courses.terms[0]?.times ?? 0) : 0;
    if (role !== 'row' || start.length || end.length || times < 1) return refuse();
    if (!grown && !same(unit, runsOf(wedges, false))) return refuse();
    for (let n = 0; n < times; n++) grows.push(grown);
  }
  if (!same(ring.unit, ringOf(wedges)) || wedges.length > mostWedges || grows.length > mostRounds) return refuse();
  const { key, name, about, ends, careful } = pattern;
  const { usual, least, most } = number;
  return good({ key, name, about, wedges, around: { usual, least, most }, grows, ends, careful });
}

/** A wheel as a pattern. */
export function patternOfWheel({ key, name, about, wedges, around, grows, ends, careful }: Wheel): StitchPattern {
  const colours = [...new Set(wedges)].sort();
  const rows: PatternRow[] = [{ role: 'setup', courses: one, start: [], unit: ringOf(wedges), end: [] }];
  for (let i = 0; i < grows.length; ) {
    const from = i;
    while (i < grows.length && grows[i] === grows[from]) i++;
    const courses: Count = { terms: [{ times: i - from }] };
    rows.push({ role: 'row', courses, start: [], unit: runsOf(wedges, grows[from] as boolean), end: [] });
  }
  const across = { multiple: { terms: [{ times: 1, of: 'n' }] }, extra: none };
  const up = { multiple: one, extra: none };
  return {
    key,
    name,
    about,
    technique: wheelTechnique,
    made: 'rounds',
    stitches: ['dc'],
    colours,
    fewestColours: colours.length,
    mostColours: colours.length,
    numbers: [{ name: 'n', ...around, meaning: 'wedges' }],
    across: { word: 'wedges', works: across, alike: across },
    up: { word: 'rounds', works: up, alike: up },
    read: 'worked',
    rows,
    chart: [],
    ends,
    careful,
  };
}

/** A new wheel: two colours by turns, every round growing. */
export function beginWheel(key: string, name: string): Wheel {
  const around = { usual: 12, least: 6, most: 36 };
  return { key, name, about: '', wedges: ['A', 'B'], around, grows: [true], ends: '', careful: '' };
}

/** A wheel with other wedges in its repeat: as many around as hold whole repeats, the nearest to what there were. */
export function withWedges(wheel: Wheel, wedges: readonly string[]): Wheel {
  const unit = wedges.length;
  const whole = (count: number) => Math.max(1, Math.round(count / unit)) * unit;
  const least = Math.ceil(6 / unit) * unit;
  const most = Math.floor(36 / unit) * unit;
  const usual = Math.min(most, Math.max(least, whole(wheel.around.usual)));
  return { ...wheel, wedges, around: { usual, least, most } };
}

/** What keeps a wheel from being worked: wedges of one colour beside each other, a repeat that does not go round whole. */
export function wheelProblems({ wedges, around, grows }: Wheel): Problem[] {
  const problems: Problem[] = [];
  wedges.forEach((colour, i) => {
    const next = (i + 1) % wedges.length;
    if (wedges.length > 1 && wedges[next] === colour) {
      problems.push({ code: 'wedges-alike', path: `wedges.${i}`, facts: { wedge: i + 1, next: next + 1, colour } });
    }
  });
  if (wedges.length < 2) problems.push({ code: 'wedges-one', path: 'wedges' });
  if (around.usual % wedges.length) {
    const facts = { wedges: around.usual, colours: wedges.length };
    problems.push({ code: 'wedges-not-divided', path: 'around', facts });
  }
  if (!grows.some(Boolean)) problems.push({ code: 'wedges-never-grow', path: 'grows' });
  return problems;
}

/** Stitches of a wedge in each of so many rounds, the ring first. */
export function wedgeStitches({ grows }: Pick<Wheel, 'grows'>, rounds: number): number[] {
  const found = [1];
  for (let round = 1; round < rounds; round++) {
    found.push((found.at(-1) as number) + (grows[(round - 1) % grows.length] ? 1 : 0));
  }
  return found;
}
