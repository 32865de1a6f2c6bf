import { isRoundMaking, type ToldUnit, unitWord } from '@puntada/core/craft';
import { type Prepared, type SizeChoice, sidesOff, sizeWorkings, type Working } from '@puntada/core/plan';
import {
  ballsCount,
  differenceFigure,
  hoursFigure,
  matSaid,
  metresFigure,
  printedWorking,
  sizeNumbers,
  sizeReason,
} from '@puntada/core/words';
import { Fragment, type ReactNode } from 'react';
import { usePreferences } from '../../api/api.ts';
import { Worked } from '../../parts/Worked.tsx';
import type { PieceFigures } from '../../worker/ofSizes.ts';
import { sizeKey } from '../../worker/useFigures.ts';

interface Props {
  readonly choices: readonly SizeChoice[];
  readonly figures: ReadonlyMap<string, PieceFigures>;
  readonly chosen: { readonly stitches: number; readonly rows: number };
  readonly units: ToldUnit;
  readonly prepared: Prepared;
  readonly onChoose: (choice: SizeChoice) => void;
}

/** Hours without their unit, which stands above; under an hour in minutes. */
function hoursOf(time: PieceFigures['time']): string {
  return hoursFigure(time).bare;
}

/** The best sizes near the wish, with what each costs. */
export function Alternatives({ choices, figures, chosen, units, prepared, onChoose }: Props) {
  const { terms } = usePreferences();
  const print = (working: Working | undefined) => working && printedWorking(working, units, terms);
  const round = prepared.technique.circle === true;
  const rowsWord = isRoundMaking(prepared.bound.pattern.made) ? 'Rounds' : 'Rows';
  const chains = choices.some((choice) => choice.width.chains);
  const letters = [...figures.values()][0]?.yarn.map((need) => need.letter) ?? [];
  const hasBalls = [...figures.values()].some((each) => each.yarn.some((need) => need.balls));
  const typical = choices.some((choice) => choice.width.width.source === 'typical');
  const yarnUnit = units === 'cm' ? 'm' : 'yd';
  const sizeWord = `${round ? 'Across' : 'Finished'}, ${unitWord(units)}`;
  const heads = [
    ...(chains ? ['Chains'] : []),
    rowsWord,
    sizeWord,
    // A range less a wish is a range again: in the ticket there is room for it, here there is not.
    ...(typical ? [] : ['Difference']),
    ...letters.map((letter) => `${letter}, ${yarnUnit}`),
    ...(hasBalls ? ['Balls'] : []),
    'Ends',
    'Hours',
  ];
  return (
    <div className="overflow-x-auto">
      <table className="folds w-full border-collapse text-[15px]">
        <caption className="sr-only">{matSaid.sizesCloseToWhat}</caption>
        <thead>
          <tr className="text-[14px] text-soft">
            <th scope="col" className="min-w-[200px] py-2 pl-3 text-left font-normal">
              {typical ? matSaid.otherSizesFromTypical : 'Other sizes'}
            </th>
            {heads.map((head) => (
              <th key={head} scope="col" className="px-2 py-2 text-right font-normal whitespace-nowrap">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {choices.map((choice) => {
            const { width, height, reasons } = choice;
            const size = { stitches: width.stitches, rows: height.rows };
            const own = figures.get(sizeKey(size));
            const how = sizeWorkings({ prepared, width, height });
            const [across, up] = sizeNumbers(width.width, height.height, units);
            const sides = sidesOff(prepared, choice);
            const here = size.stitches === chosen.stitches && size.rows === chosen.rows;
            const off = (offer: { difference: number }, estimate: SizeChoice['width']['width']) =>
              differenceFigure(estimate, offer.difference, units).bare;
            return (
              <tr key={sizeKey(size)} className={`border-t border-rule ${here ? 'bg-sheet' : ''}`}>
                <th
                  scope="row"
                  className={`p-0 text-left font-normal ${here ? 'border-l-4 border-ink' : 'border-l-4 border-transparent'}`}
                >
                  <button
                    type="button"
                    onClick={() => onChoose(choice)}
                    aria-pressed={here}
                    className={`min-h-11 w-full px-2 text-left hover:underline ${here ? 'font-semibold' : ''}`}
                  >
                    {reasons
                      .slice(0, 2)
                      .map((reason) => sizeReason(reason, round))
                      .join('; ')}
                  </button>
                </th>
                {chains ? (
                  <Cell head="Chains">
                    <Worked working={print(how.chains)}>{width.chains}</Worked>
                  </Cell>
                ) : null}
                <Cell head={rowsWord}>
                  <Worked working={print(how.rows)}>{height.rows}</Worked>
                </Cell>
                <Cell head={sizeWord}>
                  <Worked working={print(how.width)}>{across}</Worked>
                  {round ? null : (
                    <>
                      {' × '}
                      <Worked working={print(how.height)}>{up}</Worked>
                    </>
                  )}
                </Cell>
                {typical ? null : (
                  <Cell head="Difference">
                    {sides.length ? (
                      <span className="pr-1 text-ochre">
                        <span aria-hidden>△</span>
                        <span className="sr-only">{matSaid.furtherOffThanYou}</span>
                      </span>
                    ) : null}
                    {off(width, width.width)}
                    {round ? '' : ` / ${off(height, height.height)}`}
                  </Cell>
                )}
                {letters.map((letter, i) => {
                  const need = own?.yarn[i];
                  return (
                    <Cell key={letter} head={`${letter}, ${yarnUnit}`}>
                      {need ? (
                        <Worked working={print(own?.workings.yarn[i]?.metres)}>
                          {metresFigure(need.metres, units).bare}
                        </Worked>
                      ) : (
                        '…'
                      )}
                    </Cell>
                  );
                })}
                {hasBalls ? (
                  <Cell head="Balls">
                    {own?.yarn.map((need, i) => (
                      <Fragment key={need.letter}>
                        {i ? ' + ' : ''}
                        <Worked working={print(own.workings.yarn[i]?.balls)}>
                          {need.balls ? ballsCount(need.balls) : '–'}
                        </Worked>
                      </Fragment>
                    ))}
                  </Cell>
                ) : null}
                <Cell head="Ends">{own ? <Worked working={print(own.workings.ends)}>{own.ends}</Worked> : '…'}</Cell>
                <Cell head="Hours">
                  {own ? <Worked working={print(own.workings.time)}>{hoursOf(own.time)}</Worked> : '…'}
                </Cell>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

function Cell({ head, children }: { head: string; children: ReactNode }) {
  return (
    <td data-head={head} className="count px-2 text-right text-[14px] font-medium whitespace-nowrap">
      {children}
    </td>
  );
}
