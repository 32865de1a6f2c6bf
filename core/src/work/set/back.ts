import { findPattern } from '../../craft/book/book.ts';
import type { StitchPattern } from '../../craft/patterns/model.ts';
import { at, good, type Result, refused } from '../../craft/values/problem.ts';
import { itemNamed } from '../../plan/items/register.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { type Wish, wishSchema } from '../../records/wish.ts';

/** What the other side of a bag or cover is worked in: a pattern of the book by its key, or one that is written out. */
type BackPattern = Pick<Wish['pattern'], 'key' | 'text'>;

/** The item that the other side of one is, planned for itself. */
const otherSide: Readonly<Record<string, string>> = { bag: 'bag panel' };

function findBack({ key, text }: BackPattern): Result<StitchPattern> {
  return findPattern(text ?? key ?? '');
}

/** The place of a back in the set of its front. */
function backIn({ id, title }: NonNullable<Wish['set']>): NonNullable<Wish['set']> {
  return { id, title, part: 'back' };
}

const millimetre = (mm: number) => `${Math.round(mm) / 10} cm`;

/**
 * The other side of what a wish makes, in the outside size of its front as that is planned. Colours are those of the front,
 * as far as its pattern has them; it is joined, edged and carried by what the front says.
 * @returns what is in the way of the front instead, or of such a back
 */
export function backOf(front: Wish, pattern: BackPattern, own?: Pick<Wish, 'title' | 'pieces'>): Result<Wish> {
  const plan = planWish(front);
  if (!plan.ok) return plan;
  const found = findBack(pattern);
  if (!found.ok) return refused(...found.problems.map((problem) => at('pattern', problem)));
  const { colours, fewestColours, technique, stitches } = found.value;
  if (front.yarns.length < fewestColours) {
    const facts = { pattern: found.value.name, colours, given: front.yarns.map(({ letter }) => letter) };
    return refused({ code: 'yarns-mismatch', path: 'yarns', facts });
  }
  const { width, height, prepared } = plan.value;
  // A gauge that was counted is of its own stitch; another is typical until it is counted too.
  const sameCloth = prepared.technique.key === technique && stitches.includes(prepared.bound.stitch);
  return good(
    wishSchema.parse({
      title: own?.title ?? `${front.title.slice(0, 74)}, back`,
      item: otherSide[front.item] ?? front.item,
      units: 'cm',
      width: { by: 'length', length: millimetre(width.width.mid) },
      height: { by: 'length', length: millimetre(height.height.mid) },
      pattern: { ...pattern, ...(sameCloth ? { stitch: prepared.bound.stitch } : {}) },
      pieces: own?.pieces ?? front.pieces,
      ...(front.set ? { set: backIn(front.set) } : {}),
      gauge: sameCloth ? front.gauge : { from: 'typical' },
      ...(front.hook === undefined ? {} : { hook: front.hook }),
      ...(front.wash ? { wash: front.wash } : {}),
      ...(front.pace ? { pace: front.pace } : {}),
      smallChildren: front.smallChildren,
      sure: front.sure,
      edges: itemNamed(front.item).wish.edges ?? 'mirrored',
      ending: 'any',
      // What is set aside stands with the front, which is worked first.
      yarns: front.yarns
        .slice(0, Math.min(front.yarns.length, colours.length))
        .map(({ balls: _balls, partGrams: _part, ...yarn }) => yarn),
    }),
  );
}

/** The other side like its front, as a project of its own: so both are worked by turns, by two hands too. */
export function twinOf(front: Wish, own?: Pick<Wish, 'title' | 'pieces' | 'yarns'>): Wish {
  const { finish: _finish, ...rest } = front;
  return {
    ...rest,
    title: own?.title ?? `${front.title.slice(0, 74)}, back`,
    item: otherSide[front.item] ?? front.item,
    pieces: own?.pieces ?? front.pieces,
    ...(front.set ? { set: backIn(front.set) } : {}),
    yarns: own?.yarns ?? front.yarns.map(({ balls: _balls, partGrams: _part, ...yarn }) => yarn),
  };
}

/** Whether a back is its front’s twin: the same cloth, whatever is made of it. */
export function isTwin(front: Wish, back: Wish): boolean {
  return JSON.stringify(front.pattern) === JSON.stringify(back.pattern) && front.yarns.length === back.yarns.length;
}

/** How the sides of a front and a back of other rows are joined: so many of one to so many of the other. */
export interface SidesJoined {
  readonly front: number;
  readonly back: number;
}

/** Stitches that can be counted in the head between one row end that is passed over and the next. */
const inTheHead = 12;

function greatestCommon(a: number, b: number): number {
  return b ? greatestCommon(b, a % b) : a;
}

/** Row ends of both sides in small numbers: those that come out even, else nearly; nothing where they are alike. */
export function sidesJoined(front: number, back: number): SidesJoined | undefined {
  if (front === back || front < 1 || back < 1) return undefined;
  const common = greatestCommon(front, back);
  if (front / common <= inTheHead) return { front: front / common, back: back / common };
  const wanted = front / back;
  for (let count = 1; count <= 24; count++) {
    const other = Math.max(1, Math.round(count / wanted));
    // Within half a row over the whole side.
    if (Math.abs((front * other) / count - back) <= 0.5) return { front: count, back: other };
  }
  return { front, back };
}
