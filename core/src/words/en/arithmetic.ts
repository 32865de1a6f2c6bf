import type { BoundMultiple } from '../../craft/patterns/bound.ts';
import type { Told } from '../../craft/values/problem.ts';
import { oneOf } from './lists.ts';

/** `a multiple of 6 + 1`; the one number where there is but one. */
export function multipleText({ multiple, extra }: BoundMultiple): string {
  if (multiple === 0) return String(extra);
  return extra ? `a multiple of ${multiple} + ${extra}` : `a multiple of ${multiple}`;
}

/** `7 + 2`, `7`, `any`: the same as it stands behind the word for what is counted, `chain 7 + 2`. */
export function shortMultiple({ multiple, extra }: BoundMultiple): string {
  if (multiple === 0) return String(extra);
  if (multiple === 1) return extra ? `any + ${extra}` : 'any';
  return extra ? `${multiple} + ${extra}` : `${multiple}`;
}

function plus(extra: unknown): string {
  return Number(extra) ? ` + ${extra}` : '';
}

/** What is counted, in the singular where there is one. */
function unitOf({ count, unit }: NonNullable<Told['facts']>): string {
  return count === 1 ? oneOf(String(unit)) : String(unit);
}

/** One step of the arithmetic of a size, as it is written on scrap paper. */
export function arithmeticWords({ code, facts: f = {} }: Told): string {
  switch (code) {
    case 'repeats': {
      const word = Number(f.repeats) === 1 ? oneOf(String(f.word)) : f.word;
      return `${f.repeats} ${word} × ${f.multiple}${plus(f.extra)} = ${f.count} ${unitOf(f)}`;
    }
    case 'cut':
      return `${f.repeats} whole ${f.word} × ${f.multiple} + ${f.cut} at each edge = ${f.count} ${f.unit}`;
    case 'faces':
      return f.matching
        ? `${f.count} per round ÷ 2 = ${f.face} on each face: each begins a repeat at its side fold`
        : `${f.count} per round ÷ 2 = ${f.face} on each face: the second begins within a repeat`;
    case 'edges':
      return f.matching ? 'both edges end in the same way' : 'the two edges end differently';
    case 'edges-by-turns':
      return f.odd
        ? `an odd number of ${f.word}: both edges in the same colour`
        : `an even number of ${f.word}: the two edges differ in colour`;
    case 'stitches-in-row':
      return `${f.count} ${f.word} = ${f.stitches} stitches per row`;
    case 'circle': {
      const rounds = Number(f.rounds);
      const base = `a circle: ${f.each} per round × ${rounds} ${rounds === 1 ? 'round' : 'rounds'} = ${Number(f.each) * rounds}`;
      return Number(f.adjusting)
        ? `${base}, + ${f.adjusting} spread over one more round = ${f.count} stitches`
        : `${base} stitches`;
    }
    case 'begins-small':
      return Number(f.chains) ? `${f.chains} chains begin it at any size` : 'begins in a ring, without a chain';
    case 'chains-both-sides':
      return `${f.count} ${f.word} round ÷ 2 sides + ${f.beyond} to turn = ${f.chains} chains`;
    case 'chains-each':
      return `${f.count} ${f.word} × ${f.each} + ${f.beyond} = ${f.chains} chains`;
    case 'chains-as-many':
      return `${f.count} ${f.word}, as many as ${f.ring ? 'chains in the ring' : 'foundation stitches'}`;
    case 'chains-counted':
      return `${f.count} stitches + ${f.beyond} = ${f.chains} chains: ${f.skipped} of them count as the first stitch`;
    case 'chains-turning':
      return `${f.count} ${f.word} + ${f.beyond} to turn = ${f.chains} chains`;
    case 'order': {
      const parts = [
        Number(f.opening) ? `${f.opening} opening` : '',
        `${f.times} × ${f.repeat}${plus(f.over)}`,
        Number(f.closing) ? `${f.closing} closing` : '',
      ];
      return `${parts.filter(Boolean).join(' + ')} = ${f.rows} ${f.unit}`;
    }
    case 'rows':
      return `${f.rows} ${f.rows === 1 ? oneOf(String(f.unit)) : f.unit}`;
    case 'rows-with-base':
      return `${f.rows} ${f.unit}, base row and closing row included`;
    default:
      return 'it ends in the colour you began with';
  }
}

/** Which counts work, as a sentence begins: `Any multiple of 4 + 1`. */
export function anyMultipleText({ multiple, extra }: BoundMultiple): string {
  return `Any ${multiple === 1 ? 'number' : `multiple of ${multiple}`}${extra ? ` + ${extra}` : ''}`;
}
