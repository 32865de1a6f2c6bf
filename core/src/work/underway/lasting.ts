import type { Wish } from '../../records/wish.ts';
import type { Position } from '../progress/progress.ts';
import { type ColourNow, type ColourQuestion, colourNow } from './weighed.ts';

/** Whether one colour of a work lasts to its end, as far as it is known what there is. */
export interface Lasting {
  readonly letter: string;
  /** 0 to 1. */
  readonly chance: number;
  /** Rows, from 1, between which it ends; undefined where it lasts. */
  readonly endsAt: ColourNow['endsAt'];
  /** Told of the whole set that shares it, and not of this work alone. */
  readonly ofSet?: boolean | undefined;
}

/** Whether each colour lasts from where a work stands; those whose balls are not known, or weighed wrongly, are left out. */
export function lasting(questions: readonly Omit<ColourQuestion, 'now' | 'part'>[], now: Position): Lasting[] {
  return questions.flatMap((question) => {
    const found = colourNow({ ...question, now, part: 0 });
    if (!found.ok || found.value.chance === undefined) return [];
    const { chance, endsAt } = found.value;
    return [{ letter: question.yarn.letter, chance, endsAt }];
  });
}

/** Whether a yarn is not sure enough for its maker. */
export function isShort({ chance }: Lasting, { sure }: Pick<Wish, 'sure'>): boolean {
  return chance < sure;
}
