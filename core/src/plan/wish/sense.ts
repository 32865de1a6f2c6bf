import type { Fibre } from '../../craft/gauge/fibres.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { parseLength } from '../../craft/units/length.ts';
import type { Problem } from '../../craft/values/problem.ts';
import type { Wish } from '../../records/wish.ts';
import { isTube } from '../fit/across.ts';
import { itemNamed } from '../items/register.ts';

/** What a wish is made as. */
interface MadeAs {
  readonly bound: BoundPattern;
  readonly technique: Technique;
}

/** A yarn has between these metres in a gram: from a thread to a rope. */
const [fewestMetres, mostMetres] = [0.15, 25];

/** No hanging ring is wider inside, mm. */
const widestRing = 300;

function mm(text: string | undefined, { units }: Wish): number | undefined {
  const read = text === undefined ? undefined : parseLength(text, units);
  return read?.ok ? read.value : undefined;
}

/** What the item is must be able to be made so: what holds things in rounds, what is round as a circle. */
function shapeProblems(wish: Wish, made: MadeAs): Problem[] {
  const { item } = wish;
  const { uses, asks, measure } = itemNamed(item);
  const only = (use: string) => uses.length === 1 && uses[0] === use;
  const { name } = made.bound.pattern;
  const circle = made.technique.circle === true;
  if (only('circle') && !circle)
    return [{ code: 'item-is-circle', path: 'pattern.key', facts: { item, pattern: name } }];
  if (circle && asks.includes('seam')) {
    return [{ code: 'item-no-circle', path: 'pattern.key', facts: { item, pattern: name } }];
  }
  // What lies double can be made of two flat layers; what goes round something cannot.
  if (only('tube') && measure !== 'flat' && !isTube(made)) {
    return [{ code: 'item-in-rounds', path: 'pattern.key', facts: { item, pattern: name } }];
  }
  return [];
}

/** A circle has one measure: the height that was typed beside it counts for nothing. */
export function circleWarning(wish: Wish, { technique }: Pick<MadeAs, 'technique'>): Problem[] {
  const { width, height } = wish;
  if (!technique.circle || width.by !== 'length' || height.by !== 'length') return [];
  const [across, up] = [mm(width.length, wish), mm(height.length, wish)];
  if (across === undefined || up === undefined || Math.abs(across - up) < 1) return [];
  return [{ code: 'circle-two-sizes', path: 'height.length', facts: { width: width.length, height: height.length } }];
}

function finishProblems(wish: Wish, made: MadeAs): Problem[] {
  const { finish, height, border } = wish;
  const problems: Problem[] = [];
  const [flap, ring] = [mm(finish?.flap, wish), mm(finish?.ring, wish)];
  const face = height.by === 'length' ? mm(height.length, wish) : undefined;
  if (flap !== undefined && face !== undefined && flap >= face) {
    problems.push({
      code: 'flap-too-long',
      path: 'finish.flap',
      facts: { flap: finish?.flap, face: height.by === 'length' ? height.length : '' },
    });
  }
  if (ring !== undefined && ring > widestRing) {
    problems.push({ code: 'ring-too-wide', path: 'finish.ring', facts: { ring: finish?.ring } });
  }
  if (border?.envelope && isTube(made)) problems.push({ code: 'envelope-in-rounds', path: 'border.envelope' });
  return problems;
}

function yarnProblems({ yarns }: Wish): Problem[] {
  return yarns.flatMap(({ letter, ballMetres, ballGrams }, i) => {
    if (ballMetres === undefined || ballGrams === undefined) return [];
    const each = ballMetres / ballGrams;
    if (each >= fewestMetres && each <= mostMetres) return [];
    return [
      {
        code: 'ball-impossible',
        path: `yarns.${i}.ballMetres`,
        facts: { letter, metres: ballMetres, grams: ballGrams },
      },
    ];
  });
}

/** What nobody could make or mean, though each of its fields can be read: told before anything is planned. */
export function senseProblems(wish: Wish, made: MadeAs): Problem[] {
  return [...shapeProblems(wish, made), ...finishProblems(wish, made), ...yarnProblems(wish)];
}

/** Which fibres each way of washing is for. */
const washedSo: Readonly<Record<NonNullable<Wish['wash']>, readonly Fibre[]>> = {
  'cotton-hot': ['cotton', 'linen', 'hemp'],
  acrylic: ['acrylic', 'polyester', 'nylon'],
  'wool-blocked': ['wool', 'superwash', 'alpaca', 'silk'],
  'superwash-tumbled': ['superwash'],
};

/** A first washing that the fibre of a yarn is not washed with. */
export function washWarning({ wash, yarns }: Wish): Problem[] {
  if (!wash) return [];
  const unlike = yarns.filter(({ fibre }) => !washedSo[wash].includes(fibre));
  if (!unlike.length) return [];
  const facts = { wash, yarns: unlike.map(({ name }) => name), fibre: unlike[0]?.fibre };
  return [{ code: 'wash-unlike-fibre', path: 'wash', facts }];
}

/** Colours of a pattern that no stitch of a cloth is worked in. @param share stitches of each colour */
export function unusedWarning(letters: readonly string[], share: readonly number[]): Problem[] {
  const unused = letters.filter((_, colour) => !share[colour]);
  return unused.length ? [{ code: 'colour-unused', path: 'yarns', facts: { letters: unused } }] : [];
}
