import { countedIn, countedStitch, stitchWord, type Terms, type Turn, type WorkedCourse } from '@puntada/core';

interface Props {
  readonly course: WorkedCourse;
  /** What a course is called: row, round or diagonal. */
  readonly word: string;
  readonly hanging: readonly string[];
  /** What is to be done with strands besides carrying them. */
  readonly others: readonly string[];
  readonly terms: Terms;
  /** How the next course begins, or nothing after the last. */
  readonly next: string | undefined;
  /** Which way to turn, where it matters to the strands. */
  readonly turn: Turn | undefined;
  /** Half-twists of the balls by then, turned always one way. */
  readonly twists: number;
  /** The balls in use, from left to right. */
  readonly balls: readonly string[];
}

/** What there should be at the end of the row in hand. */
export function RowEnd({ course, word, hanging, others, terms, next, turn, twists, balls }: Props) {
  const counted = countedIn(course);
  const kinds = course.byKind.length > 1 || counted === 'clusters';
  return (
    <aside
      aria-label={`At the end of ${word} ${course.number}`}
      className="border-t border-rule px-6 pt-2 pb-1 lg:border-t-0 lg:border-l"
    >
      <h2 className="pb-1 text-[17px]">
        At the end of {word} {course.number}
      </h2>
      <dl className="text-[16px]">
        <Line term={counted === 'blocks' ? 'Blocks' : 'Stitches'} value={String(course.stitches)} big />
        {kinds ? (
          <Line
            term="Of which"
            value={course.byKind.map(({ kind, count }) => countedStitch(count, kind, terms)).join(', ')}
          />
        ) : null}
        {course.byColour.length > 1 ? (
          <Line
            term={course.byColour.map(({ colour }) => `in ${colour}`).join(' / ')}
            value={course.byColour.map(({ count }) => count).join(' / ')}
          />
        ) : null}
        <Line term="Last stitch" value={`${stitchWord(course.last.kind, terms)} in ${course.last.colour}`} />
        <Line term="Then" value={next ?? 'fasten off'} />
        {turn ? (
          <>
            <Line term="Turn" value={`${turn}, ${twists % 2 ? '1 half-twist' : 'no twist'}`} />
            <Line term="Balls, left to right" value={balls.join(' ')} />
          </>
        ) : null}
        {hanging.map((words) => (
          <Line
            key={words}
            term={words.replace(/ (at|waiting) .*/, '')}
            value={words.replace(/^.*? (?=at|waiting)/, '')}
          />
        ))}
      </dl>
      {others.map((words) => (
        <p key={words} className="border-t border-rule py-1 text-[16px]">
          {words.replace(/^./, (letter) => letter.toUpperCase())}.
        </p>
      ))}
    </aside>
  );
}

function Line({ term, value, big = false }: { term: string; value: string; big?: boolean }) {
  return (
    <div className="flex items-baseline justify-between gap-3 border-t border-rule py-1">
      <dt className="text-soft">{term}</dt>
      <dd className={`count text-right ${big ? 'text-[24px] leading-tight' : 'text-[16px]'}`}>{value}</dd>
    </div>
  );
}
