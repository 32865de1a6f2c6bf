import { fibreWords, meltingPart, melts, meltsFrom } from '../../craft/gauge/fibres.ts';
import type { Problem } from '../../craft/values/problem.ts';
import type { Wish } from '../../records/wish.ts';

/** What the maker is warned of: a kind, and which warning it is. Its words: docs/craft.md, “Cautions”. */
export interface Caution {
  readonly about: 'heat' | 'small children' | 'load' | 'dye' | 'selling' | 'hands';
  readonly code: CautionCode;
}

export type CautionCode =
  | 'potholder-dry'
  | 'cosy-is-no-potholder'
  | 'cosy-melts'
  | 'dishcloth-near-heat'
  | 'small-fingers'
  | 'blanket-and-baby'
  | 'strap-and-child'
  | 'strap-bears-load'
  | 'dye-bleeds'
  | 'labels-for-sale';

/** Near heat a synthetic yarn melts: each such yarn of a wish is refused. */
export function meltingYarns(wish: Wish): Problem[] {
  return wish.yarns.flatMap((yarn, i) =>
    melts(yarn)
      ? [
          {
            code: 'melts-near-heat',
            path: `yarns.${i}.fibre`,
            facts: {
              yarn: yarn.name,
              fibres: fibreWords(yarn),
              part: yarn.blend?.length ? meltingPart(yarn) : undefined,
              most: meltsFrom,
            },
          },
        ]
      : [],
  );
}
