import { countedIn, leftIn } from '@puntada/core';
import { useCraftWords } from '../../parts/Craft.tsx';
import type { RowInHand } from './useRowInHand.ts';

interface Props {
  readonly row: RowInHand;
  /** What a course is called: Row, Round or Diagonal. */
  readonly word: string;
  /** What to do with the strand that was laid down, by the maker's school. */
  readonly tug: string | undefined;
}

/** What is told beside the run in hand: idle strands, the row below, what is left, what to mind. */
export function RunWords({ row: { course, at, idle, below, hints }, word, tug }: Props) {
  const told = useCraftWords();
  return (
    <>
      <p className="flex flex-wrap gap-x-8 gap-y-1 pt-3 text-[24px] leading-tight">
        {idle.map((words) => (
          <span key={words}>{words}</span>
        ))}
        {below ? (
          <span>
            <span className="text-soft">{word} below: </span>
            {below}
          </span>
        ) : null}
        {tug ? <span className="text-ochre">{tug}</span> : null}
        <span className="text-soft">
          <span className="count font-medium">{leftIn(course, at)}</span> {countedIn(course)} left in the{' '}
          {word.toLowerCase()}
        </span>
      </p>
      {/* Kept free where nothing is to be told, so that the cloth below does not jump. */}
      <p className="min-h-[25px] pt-1 text-[17px] leading-tight text-soft">{told(hints.join(' '))}</p>
    </>
  );
}
