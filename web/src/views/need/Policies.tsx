import { type Policy, yarnLengthNumber, yarnLengthUnit } from '@puntada/core/craft';
import type { PlanDocument, PrintedWorking } from '@puntada/core/records';
import { needSaid } from '@puntada/core/words';
import { usePreferences } from '../../api/api.ts';
import { Term } from '../../parts/terms/Term.tsx';
import { Worked } from '../../parts/Worked.tsx';

interface Props {
  readonly document: PlanDocument;
  readonly settled: boolean;
  readonly onTake: (policy: Policy) => void;
}

/** Every way with the idle colour in yarn, ends, minutes, thickness and what shows; taken with one tap. */
export function Policies({ document, settled, onTake }: Props) {
  const { told } = usePreferences();
  const heads = [
    ['Extra yarn'],
    ['Ends', 'end'],
    ['Minutes'],
    ['Stitches carried', 'carry'],
    [needSaid.twoOrMoreStrands],
    [needSaid.visibleThroughFabric],
  ] as const;
  return (
    <div className="overflow-x-auto">
      {document.size.pieces > 1 ? <p className="pb-1 text-[15px] text-soft">{needSaid.perPiece}</p> : null}
      <table className="folds w-full border-collapse text-[16px]">
        <caption className="sr-only">{needSaid.whatToDoWith}</caption>
        <thead>
          <tr className="text-[14px] text-soft">
            <th scope="col" className="py-2 text-left font-normal">
              What you do
            </th>
            {heads.map(([head, term]) => (
              <th key={head} scope="col" className="px-3 py-2 text-right font-normal whitespace-nowrap">
                {term ? <Term name={term}>{head}</Term> : head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {document.policies.map((way) => {
            const here = way.policy === document.strands.policy;
            return (
              <tr key={way.policy} className={`border-t border-rule ${here ? 'bg-sheet' : ''}`}>
                <th
                  scope="row"
                  className={`border-l-4 p-0 text-left font-normal ${here ? 'border-ink' : 'border-transparent'}`}
                >
                  <button
                    type="button"
                    disabled={settled}
                    aria-pressed={here}
                    onClick={() => onTake(way.policy as Policy)}
                    className={`min-h-11 w-full px-2 text-left whitespace-nowrap enabled:hover:underline ${here ? 'font-semibold' : ''}`}
                  >
                    {way.name}
                  </button>
                  {way.sameAs ? (
                    <p className="px-2 pb-1.5 text-[14px] text-soft">same result here as “{way.sameAs}”</p>
                  ) : null}
                </th>
                <Cell head="Extra yarn" working={here ? way.workings?.extra : undefined}>
                  about {yarnLengthNumber(way.extraMetres, told)} {yarnLengthUnit(told)}
                </Cell>
                <Cell head="Ends" working={here ? way.workings?.ends : undefined}>
                  {way.ends}
                </Cell>
                <Cell head="Minutes" working={here ? way.workings?.time : undefined}>
                  about {way.minutes}
                </Cell>
                <Cell head="Stitches carried">{way.carriedStitches}</Cell>
                <Cell head={needSaid.twoOrMoreStrands}>{(way.thickness[2] ?? 0) + (way.thickness[3] ?? 0)}</Cell>
                <Cell head={needSaid.visibleThroughFabric}>{showWords(way.showThrough, document)}</Cell>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** How much shows, against all stitches of the piece. */
function showWords(show: number, document: PlanDocument): string {
  const stitches = document.colours.reduce((sum, colour) => sum + colour.stitches, 0);
  const share = show / Math.max(1, stitches);
  if (share === 0) return 'nothing';
  if (share < 0.1) return 'hardly';
  return share < 0.4 ? 'a little' : 'clearly';
}

interface CellProps {
  readonly head: string;
  readonly working?: PrintedWorking | undefined;
  readonly children: React.ReactNode;
}

function Cell({ head, working, children }: CellProps) {
  return (
    <td data-head={head} className="count px-3 text-right text-[15px] font-medium whitespace-nowrap">
      <Worked working={working}>{children}</Worked>
    </td>
  );
}
