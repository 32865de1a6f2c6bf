import { countedIn, leftIn } from '@puntada/core/plan';
import { closingWords, howMade, oneOf, stitchWord, type Terms } from '@puntada/core/words';
import { useState } from 'react';
import type { RowInHand } from './useRowInHand.ts';

interface Props {
  readonly row: RowInHand;
  readonly terms: Terms;
  /** What a course is called: Row, Round or Diagonal. */
  readonly word: string;
  /** What to do with the strand that was laid down, by the maker's school. */
  readonly tug: string | undefined;
}

/** What is told beside the run in hand: idle strands, the row below, what is left, what to mind. */
export function RunWords({ row: { course, run, at, idle, below, hints }, terms, word, tug }: Props) {
  const close = at === course.runs.length - 1 ? closingWords(course.close, { terms }) : '';
  const left = leftIn(course, at);
  const made = run.kinds.flatMap((kind) => {
    const how = howMade(kind, terms);
    return how ? [{ stitch: stitchWord(kind, terms), how }] : [];
  });
  return (
    <>
      <p className="flex flex-wrap gap-x-8 gap-y-1 pt-3 text-[24px] leading-tight">
        {idle.map((words) => (
          <span key={words}>{words}</span>
        ))}
        {below ? (
          <span>
            <span className="text-soft">Compare: </span>
            {below}
          </span>
        ) : null}
        {close ? <span>Then {close}</span> : null}
        {tug ? <span className="text-ochre">{tug}</span> : null}
        <span className="text-soft">
          <span className="count font-medium">{left}</span> {left === 1 ? oneOf(countedIn(course)) : countedIn(course)}{' '}
          left in the {word.toLowerCase()}
        </span>
        {made.length ? <HowMade of={made} /> : null}
      </p>
      {/* Kept free where nothing is to be told, so that the cloth below does not jump. */}
      <p className="min-h-[25px] pt-1 text-[17px] leading-tight text-soft">{hints.join(' ')}</p>
    </>
  );
}

/** How the stitches of the run are made, a tap away. */
function HowMade({ of }: { of: readonly { readonly stitch: string; readonly how: string }[] }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="min-h-11 text-[17px] underline underline-offset-4"
      >
        How {of.map(({ stitch }) => stitch).join(' and ')} is made
      </button>
      {open ? (
        <span className="basis-full border-l-4 border-verdigris bg-verdigris-pale px-3 py-1.5 text-[17px]">
          {of.map(({ stitch, how }) => `${stitch}: ${how}`).join('. ')}.
        </span>
      ) : null}
    </>
  );
}
