import { countedIn, countOf, turnAfter } from '@puntada/core/plan';
import {
  closingWords,
  type Hand,
  hangingPlaceWords,
  stitchWord,
  summedStitch,
  type Terms,
  upper,
  workSaid,
} from '@puntada/core/words';
import type { RowInHand } from './useRowInHand.ts';

interface Props {
  readonly row: RowInHand;
  /** What a course is called: row, round or diagonal. */
  readonly word: string;
  readonly terms: Terms;
  readonly hand: Hand;
}

/** What there should be at the end of the row in hand. */
export function RowEnd({ row: { course, next, others, strands }, word, terms, hand }: Props) {
  const at = course.number - 1;
  const turn = turnAfter(strands.twists, at);
  const twists = strands.twists[at] ?? 0;
  const counted = countedIn(course);
  const close = closingWords(course.close, { terms });
  const kinds = course.byKind.length > 1 || counted === 'clusters';
  return (
    <aside
      aria-label={workSaid.atEnd(word, course.number)}
      className="border-t border-rule px-6 pt-2 pb-1 lg:border-t-0 lg:border-l"
    >
      <h2 className="pb-1 text-[17px]">{workSaid.atEnd(word, course.number)}</h2>
      <dl className="text-[16px]">
        <Line term={upper(counted)} value={String(countOf(course))} big />
        {kinds ? (
          <Line
            term={workSaid.ofEachKind}
            value={course.byKind.map(({ kind, count }) => summedStitch(count, kind, terms)).join(', ')}
          />
        ) : null}
        {course.byColour.length > 1 ? (
          <Line
            term={course.byColour.map(({ colour }) => `in ${colour}`).join(' / ')}
            value={course.byColour.map(({ count }) => count).join(' / ')}
          />
        ) : null}
        {course.close?.kind === 'slip' ? null : (
          <Line
            term={workSaid.last[counted]}
            value={`${stitchWord(course.last.kind, terms)} in ${course.last.colour}`}
          />
        )}
        {close ? <Line term="Joined with" value={close} /> : null}
        <Line term="Then" value={next} />
        {turn ? (
          <>
            <Line term="Turn" value={`${turn}, ${twists % 2 ? '1 half-twist' : 'no twist'}`} />
            <Line term={workSaid.ballsLeftToRight} value={strands.balls(at, hand).join(' ')} />
          </>
        ) : null}
        {strands
          .places(at)
          .map(hangingPlaceWords)
          .map(({ colours, place }) => (
            <Line key={place} term={colours} value={place} />
          ))}
      </dl>
      {others.map((words) => (
        <p key={words} className="border-t border-rule py-1 text-[16px]">
          {upper(words)}.
        </p>
      ))}
    </aside>
  );
}

function Line({ term, value, big = false }: { term: string; value: string; big?: boolean }) {
  return (
    <div className="flex items-baseline justify-between gap-3 border-t border-rule py-0.5 leading-snug">
      <dt className="max-w-[45%] shrink-0 text-soft">{term}</dt>
      <dd className={`count text-right ${big ? 'text-[24px] leading-tight' : 'text-[16px]'}`}>{value}</dd>
    </div>
  );
}
