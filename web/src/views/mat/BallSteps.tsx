import type { HeightOffer } from '@puntada/core';
import type { PieceFigures } from '../../worker/planner.worker.ts';
import { sizeKey } from '../../worker/useFigures.ts';

interface Props {
  readonly heights: readonly HeightOffer[];
  readonly stitches: number;
  readonly rows: number;
  readonly figures: ReadonlyMap<string, PieceFigures>;
  readonly word: string;
  readonly onChoose: (offer: HeightOffer) => void;
}

function ballsOf(figures: PieceFigures | undefined): number | undefined {
  const counts = figures?.yarn.map((need) => need.balls?.count);
  return counts?.every((count) => count !== undefined)
    ? counts.reduce((sum, count) => sum + (count ?? 0), 0)
    : undefined;
}

/** Whole balls against height: where a step down saves a ball, the bar is lower, and its foot is marked. */
export function BallSteps({ heights, stitches, rows, figures, word, onChoose }: Props) {
  const steps = heights.map((offer) => ({
    offer,
    balls: ballsOf(figures.get(sizeKey({ stitches, rows: offer.rows }))),
  }));
  const most = Math.max(...steps.map((step) => step.balls ?? 0));
  if (!most) return null;
  return (
    <section aria-label="Balls by height" className="mt-5">
      <h2 className="text-[17px]">Balls by height, at this width</h2>
      <ol className="mt-2 flex items-end gap-px overflow-x-auto border-b border-ink">
        {steps.map(({ offer, balls }, i) => {
          const here = offer.rows === rows;
          const next = steps[i + 1]?.balls;
          const saves = balls !== undefined && next !== undefined && next > balls;
          return (
            <li key={offer.rows} className="min-w-[44px] flex-1">
              <button
                type="button"
                aria-pressed={here}
                aria-label={`${offer.rows} ${word}, ${balls ?? 'not yet counted'} balls${saves ? ', the last before one more' : ''}`}
                onClick={() => onChoose(offer)}
                className="flex h-[104px] w-full flex-col items-center justify-end gap-0.5 hover:bg-sheet"
              >
                <span className="count text-[13px]">{balls ?? '…'}</span>
                <span
                  aria-hidden
                  className={`block w-full border ${here ? 'border-ink bg-ink' : saves ? 'border-verdigris bg-verdigris' : 'border-edge bg-sheet'}`}
                  style={{ height: ((balls ?? 0) / most) * 56 }}
                />
                <span className={`count pb-0.5 text-[12px] ${here ? '' : 'font-normal'}`}>{offer.rows}</span>
              </button>
            </li>
          );
        })}
      </ol>
      <p className="pt-1 text-[14px] text-soft">
        {word} below, balls above; a green bar is the last size before one ball more.
      </p>
    </section>
  );
}
