import type { WorkedCourse, WorkedRun } from '@puntada/core/plan';
import type { Hand, Terms } from '@puntada/core/words';
import { closeWords, kindWords, runStitches } from '@puntada/core/words';
import type { MouseEvent } from 'react';
import { useWidth } from '../../parts/useWidth.ts';
import { yarnClass, yarnStyle } from '../../parts/YarnChip.tsx';

interface Props {
  readonly course: WorkedCourse;
  /** What a course is called: Row, Round or Diagonal. */
  readonly word: string;
  /** Runs of this row already worked. */
  readonly done: number;
  readonly terms: Terms;
  readonly hand: Hand;
  readonly shadeOf: (letter: string) => string;
  readonly onDone: (event: MouseEvent<HTMLButtonElement>) => void;
}

/** Runs shown before and after the one in hand, by the room there is, px. */
function neighbours(width: number): readonly [number, number] {
  if (width < 420) return [0, 1];
  if (width < 600) return [1, 1];
  return width < 1000 ? [2, 2] : [3, 5];
}

/** The row in hand as a ribbon of runs, in the direction of the hand; the run in hand is what is read from afar. */
export function Ribbon({ course, word, done, terms, hand, shadeOf, onDone }: Props) {
  const { runs } = course;
  const [box, width] = useWidth<HTMLElement>();
  const [shownBefore, shownAfter] = neighbours(width || 1000);
  const current = runs[done];
  const before = runs.slice(Math.max(0, done - shownBefore), done);
  const after = runs.slice(done + 1, done + 1 + shownAfter);
  const hiddenBefore = done - before.length;
  const hiddenAfter = runs.length - done - 1 - after.length;
  const kinds = new Set(runs.map((run) => run.kinds.join())).size > 1;
  const flow = hand === 'right' ? 'flex-row-reverse' : 'flex-row';
  return (
    <section
      ref={box}
      aria-label={`${word} ${course.number}, step ${done + 1} of ${runs.length}`}
      className={`flex items-stretch gap-2 overflow-hidden ${flow}`}
    >
      {hiddenBefore > 0 && shownBefore > 0 ? <More count={hiddenBefore} /> : null}
      {before.map((run) => (
        <Small key={run.from} run={run} terms={terms} shade={shadeOf(run.colour)} kinds={kinds} worked />
      ))}
      {current ? (
        <button
          type="button"
          onClick={onDone}
          aria-label={`${currentWords(course, current, terms)}. Next`}
          className={`${yarnClass(current.colour)} flex min-h-[212px] min-w-0 flex-1 flex-wrap items-center justify-center gap-x-8 gap-y-2 rounded-md border-4 border-paper px-3 sm:px-6 py-3 text-left outline-4 outline-ink -outline-offset-0 m-1`}
          style={yarnStyle(shadeOf(current.colour))}
        >
          <span
            className="font-display text-[clamp(96px,13.5vw,172px)] leading-[0.8] font-bold tabular-nums"
            data-testid="run-count"
          >
            {current.count}
          </span>
          <span className="leading-tight">
            <span className="block text-[60px] leading-none font-bold">
              <span className="count">{current.colour}</span>
            </span>
            <span className="mt-1 block text-[30px] font-semibold">{kindWords(current, terms)}</span>
            <span className="mt-1 block text-[24px]">{closeWords(course, current, terms)}</span>
          </span>
        </button>
      ) : null}
      {after.map((run) => (
        <Small key={run.from} run={run} terms={terms} shade={shadeOf(run.colour)} kinds={kinds} />
      ))}
      {hiddenAfter > 0 ? <More count={hiddenAfter} /> : null}
    </section>
  );
}

function More({ count }: { count: number }) {
  return <span className="flex h-[64px] items-center self-end px-1 text-[17px] text-soft">+{count}</span>;
}

/** A run beside the one in hand: worked ones sink, those to come stand ready. */
function Small({
  run,
  terms,
  shade,
  kinds,
  worked = false,
}: {
  run: WorkedRun;
  terms: Terms;
  shade: string;
  /** Whether the stitches must be told apart, since the row has several. */
  kinds: boolean;
  worked?: boolean;
}) {
  return (
    <span
      className={`${yarnClass(run.colour)} count flex min-w-[64px] flex-col items-center justify-center self-end rounded-sm border border-ink/30 px-2 text-[24px] leading-none ${worked ? 'h-[64px] opacity-60' : 'h-[96px]'}`}
      style={yarnStyle(shade)}
    >
      <span aria-hidden>
        {run.count}
        {run.colour}
      </span>
      <span className="sr-only">
        {run.count} in {run.colour}
      </span>
      {kinds ? <span className="mt-1 max-w-[112px] text-center text-[14px]">{runStitches(run, terms)}</span> : null}
    </span>
  );
}

function currentWords(course: WorkedCourse, run: WorkedRun, terms: Terms): string {
  return `${run.count} ${kindWords(run, terms)} in ${run.colour}, ${closeWords(course, run, terms)}`;
}
