import { fibreWords, meltingPart, melts, meltsFrom } from '../../craft/gauge/fibres.ts';
import { lightnessOf } from '../../craft/shades/colour.ts';
import type { Problem } from '../../craft/values/problem.ts';
import type { Wish } from '../../records/wish.ts';

/** What the maker is warned of, and why. docs/craft.md, “Cautions”. */
export interface Caution {
  readonly about: 'heat' | 'small children' | 'load' | 'dye' | 'selling' | 'hands';
  readonly text: string;
}

const nearHeat = ['potholder'];

/** Cautions that stop the plan: a synthetic yarn near heat melts. */
export function cautionsThatStop(wish: Wish): Problem[] {
  if (!nearHeat.includes(wish.item)) return [];
  return wish.yarns.flatMap((yarn, i) =>
    melts(yarn)
      ? [
          {
            code: 'not-safe' as const,
            path: `yarns.${i}.fibre`,
            message: yarn.blend?.length
              ? `${yarn.name} is ${fibreWords(yarn)}: with ${meltingPart(yarn)} % that melts it is treated as a yarn that melts on a hot pan and burns the hand.`
              : `${yarn.name} is ${fibreWords(yarn)}, which melts on a hot pan and burns the hand.`,
            hint: `Make a potholder of cotton or wool only, thick and dry; a blend may have less than ${meltsFrom} % that melts.`,
          },
        ]
      : [],
  );
}

/** Cautions to show with a plan; short, with the reason. Local rules and professionals come first. */
export function cautionsFor(wish: Wish): Caution[] {
  const found: Caution[] = [];
  const add = (about: Caution['about'], text: string) => found.push({ about, text });
  if (wish.item === 'potholder') {
    add('heat', 'Thick and dry: a wet or thin pad burns. Hang the ring away from flame, and test it before use.');
  }
  if (wish.item === 'cosy') {
    add('heat', 'A single-layer cosy keeps warm and is no protection from heat: lift a hot pot with a potholder.');
    if (wish.yarns.some(melts)) add('heat', 'Acrylic and other yarns that melt must not touch a hot pot or a stove.');
  }
  if (wish.item === 'dishcloth') add('heat', 'A dishcloth is no protection from heat: use a potholder.');
  if (wish.smallChildren) {
    add('small children', 'No long floats, open loops, loose fringe or buttons: small fingers and mouths find them.');
    if (wish.item === 'blanket') {
      add(
        'small children',
        'No loose blanket with a sleeping baby in the first year: for play or the pram, under watch. Follow the safe-sleep advice of health authorities.',
      );
    }
    if (wish.finish?.strap || wish.item === 'strap') {
      add('small children', 'Straps and cords can strangle: keep them short and follow local rules.');
    }
  }
  if (wish.finish?.strap || wish.item === 'bag') {
    add(
      'load',
      'The strap and its stitches bear the load: test it, keep eyelets smaller than the knot, line it for small things.',
    );
  }
  if (contrasty(wish)) add('dye', 'Test the dark colour for bleeding before it meets the light one.');
  if (wish.pieces > 2) add('selling', 'For sale, fibre, care and child-product labels and tests follow local law.');
  return found;
}

/** Whether a dark shade meets a light one. */
function contrasty(wish: Wish): boolean {
  const lightness = wish.yarns.map(({ shade }) => lightnessOf(shade));
  return Math.max(...lightness) - Math.min(...lightness) > 45;
}
