import { lengthNumber, unitWord, yarnLengthNumber, yarnLengthUnit } from '@puntada/core/craft';
import { prepareCloth } from '@puntada/core/plan';
import { upper, workSaid } from '@puntada/core/words';
import { endSooner, type RipCost, ripBack, type WorkCosts } from '@puntada/core/work';
import { type ReactNode, useMemo } from 'react';
import { Link } from 'react-router';
import { usePreferences } from '../../../api/api.ts';
import type { HelpProps } from './helpProps.ts';

interface Props extends HelpProps {
  readonly costs: WorkCosts;
  /** The row that is wrong, from 1. */
  readonly row: number;
}

/** What each way out costs in stitches, minutes and yarn: to rip the row, to live with it, or to end the piece sooner. */
export function Rescue({ work, cloth, position, done, counted, costs, row }: Props) {
  const { told } = usePreferences();
  const sooner = useMemo(() => {
    const prepared = prepareCloth(work.wish, cloth);
    return prepared.ok ? endSooner(prepared.value, cloth.fabric.count, costs, position, done) : undefined;
  }, [work.wish, cloth, costs, position, done]);
  const undo = ripBack(costs, position, done, position.rows);
  const metres = (each: readonly number[]) =>
    each.map((length, i) => `${yarnLengthNumber(length, told)} ${cloth.bound.colours[i]}`).join(' + ');
  const heads = { out: `${upper(counted)} out`, redo: 'Min to redo', free: `Free, ${yarnLengthUnit(told)}` };
  const taken = ({ cells, seconds, metres: length }: RipCost) => (
    <>
      <Cell head={heads.out}>{cells}</Cell>
      <Cell head={heads.redo}>{minutesText(seconds)}</Cell>
      <Cell head={heads.free}>{metres(length)}</Cell>
    </>
  );
  return (
    <section aria-label="What it costs" className="pt-3">
      <h3 className="text-[17px]">What it costs</h3>
      <div className="overflow-x-auto">
        <table className="folds w-full text-left text-[15px]">
          <caption className="sr-only">What each way out costs</caption>
          <thead className="text-[14px] text-soft">
            <tr>
              <th scope="col" className="py-1.5 font-normal">
                {workSaid.whatYouCanDo}
              </th>
              <Heading>{heads.out}</Heading>
              <Heading>{heads.redo}</Heading>
              <Heading>{heads.free}</Heading>
            </tr>
          </thead>
          <tbody>
            <tr className="border-t border-rule">
              <Name>{workSaid.undoRowAsFar(row)}</Name>
              {taken(undo)}
            </tr>
            <tr className="border-t border-rule">
              <Name>
                Leave it<span className="block text-[14px] text-soft">{workSaid.noteAboveSaysHow}</span>
              </Name>
              <Cell head={heads.out}>0</Cell>
              <Cell head={heads.redo}>0</Cell>
              <Cell head={heads.free}>0</Cell>
            </tr>
            {sooner ? (
              <tr className="border-t border-rule">
                <Name>
                  Stop after row {sooner.rows}
                  <span className="block text-[14px] text-soft">
                    {workSaid.shorterSavesMinAnd(
                      lengthNumber(sooner.shorter, told),
                      unitWord(told),
                      minutesText(sooner.spared.seconds),
                      metres(sooner.spared.metres),
                      yarnLengthUnit(told),
                    )}
                  </span>
                </Name>
                <Cell head={heads.out}>{sooner.out.cells}</Cell>
                <Cell head={heads.redo}>0</Cell>
                <Cell head={heads.free}>{metres(sooner.out.metres)}</Cell>
              </tr>
            ) : null}
          </tbody>
        </table>
      </div>
      <p className="pt-2 text-[15px]">
        <Link to={`/works/${work.id}/onward`}>{workSaid.seeAllWaysTo}</Link>
      </p>
    </section>
  );
}

function minutesText(seconds: number): string {
  return seconds > 0 ? `${Math.max(1, Math.round(seconds / 60))}` : '0';
}

function Name({ children }: { children: ReactNode }) {
  return (
    <th scope="row" className="py-2 pr-3 font-normal">
      {children}
    </th>
  );
}

function Heading({ children }: { children: ReactNode }) {
  return (
    <th scope="col" className="px-2 text-right font-normal">
      {children}
    </th>
  );
}

function Cell({ head, children }: { head: string; children: ReactNode }) {
  return (
    <td data-head={head} className="count px-2 text-right whitespace-nowrap">
      {children}
    </td>
  );
}
