import { prepareCloth } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';
import { weighingsIn } from '@puntada/core/records';
import { chanceText, courseWord, finishedText, workSaid } from '@puntada/core/words';
import { openEnd, type ProjectCosts } from '@puntada/core/work';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { useLog } from '../../api/records.ts';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';

interface Props {
  readonly work: Work;
  readonly cloth: WorkCloth;
  readonly costs: ProjectCosts;
  readonly rows: number;
  /** Rows and steps of the whole before its first row. */
  readonly before: number;
}

/** At each good place of a work with an open end: what it is by now, whether the yarn lasts to the next, and the ways on. */
export function OpenEndBand({ work, cloth, costs, rows, before }: Props) {
  const { told } = usePreferences();
  const { data: log } = useLog(work.id);
  const { fabric } = cloth;
  const end = useMemo(() => {
    const prepared = prepareCloth(work.wish, cloth);
    if (!prepared.ok) return undefined;
    const weighings = weighingsIn(log?.entries ?? []);
    return openEnd(prepared.value, fabric.count, rows, costs.cloth, weighings, { metres: costs.metres, before });
  }, [work.wish, cloth, fabric.count, rows, before, costs, log]);
  if (!end) return null;
  const word = courseWord(fabric.making).toLowerCase();
  const known = end.lasts.filter((each) => each.chance !== undefined);
  return (
    <section
      aria-label={workSaid.youCanStopHere}
      className="mb-2 border-l-4 border-verdigris bg-verdigris-pale px-3 py-2 text-[17px]"
    >
      {fabric.making === 'diagonals' ? workSaid.youCanStartDecreasing : workSaid.youCanStopHereFor}
      <b className="count">{finishedText(end.width, end.height, told, end.circle)}</b>
      {fabric.making === 'diagonals' ? '. ' : ' so far. '}
      {end.next === undefined
        ? workSaid.itHasReachedLargest
        : workSaid.nextGoodPlaceTo(
            word,
            end.next,
            known.length
              ? workSaid.yarnWillLastThat(
                  known.map(({ letter, chance }) => `${letter} ${chanceText(chance ?? 0)}`).join(', '),
                )
              : '',
          )}{' '}
      <Link to={`/works/${work.id}/onward`} className="underline underline-offset-4">
        {workSaid.stopHereOrSee}
      </Link>
    </section>
  );
}
