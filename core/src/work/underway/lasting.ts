import type { Wish } from '../../records/wish.ts';
import type { Position } from '../progress/progress.ts';
import type { LastingOfSet } from '../set/ways.ts';
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

/** The same, of a yarn that a whole set shares told by all that is made of it. @param here the work that it is told of */
export function lastingWithSet(own: readonly Lasting[], shared: readonly LastingOfSet[], here: string): Lasting[] {
  const found = own.map((each): Lasting => {
    const whole = shared.find(({ letter }) => letter === each.letter);
    if (!whole) return each;
    const { chance, endsIn } = whole;
    return { letter: each.letter, chance, endsAt: endsIn === here ? each.endsAt : undefined, ofSet: true };
  });
  const others = shared.filter(({ letter }) => !own.some((each) => each.letter === letter));
  return [...found, ...others.map(({ letter, chance }) => ({ letter, chance, endsAt: undefined, ofSet: true }))];
}

/** Whether a yarn is not sure enough for its maker. */
export function isShort({ chance }: Lasting, { sure }: Pick<Wish, 'sure'>): boolean {
  return chance < sure;
}
