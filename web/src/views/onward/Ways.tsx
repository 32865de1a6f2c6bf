import { unitWord } from '@puntada/core/craft';
import type { Work } from '@puntada/core/records';
import { finishedFigure, hoursText, metresText, onwardSaid, restName } from '@puntada/core/words';
import type { RestPlan } from '@puntada/core/work';
import { usePreferences } from '../../api/api.ts';
import { Craft } from '../../parts/Craft.tsx';
import { Lasts } from '../../parts/Lasts.tsx';

interface WaysProps {
  readonly plans: readonly RestPlan[];
  readonly taken: number;
  readonly work: Work;
  readonly onTake: (index: number) => void;
}

/** All ways in a table: size, what is still to come of each yarn and whether it lasts, ends, hours. */
export function Ways({ plans, taken, work, onTake }: WaysProps) {
  const { told } = usePreferences();
  const typical = plans[0]?.width.source === 'typical' || plans[0]?.height.source === 'typical';
  const sizeWord = `${typical ? 'Typically' : 'Finished'}, ${unitWord(told)}`;
  const letters = plans[0]?.colours.map(({ letter }) => letter) ?? [];
  return (
    <div className="overflow-x-auto">
      <table className="folds w-full border-collapse text-[15px]">
        <caption className="sr-only">{onwardSaid.waysToFinishThis}</caption>
        <thead>
          <tr className="text-[14px] text-soft">
            <th scope="col" className="min-w-[180px] py-2 pl-3 text-left font-normal">
              The rest
            </th>
            <Heading>Rows</Heading>
            <Heading>{sizeWord}</Heading>
            {letters.map((letter) => (
              <Heading key={letter}>{letter} to go</Heading>
            ))}
            <Heading>Yarn lasts</Heading>
            <Heading>Ends</Heading>
            <Heading>Time</Heading>
          </tr>
        </thead>
        <tbody>
          {plans.map((plan, i) => (
            <tr
              key={`${plan.kind} ${plan.wish.ending}`}
              className={`border-t border-rule ${i === taken ? 'bg-sheet' : ''}`}
            >
              <th
                scope="row"
                className={`border-l-4 p-0 text-left font-normal ${i === taken ? 'border-ink' : 'border-transparent'}`}
              >
                <button
                  type="button"
                  aria-pressed={i === taken}
                  onClick={() => onTake(i)}
                  className={`min-h-11 w-full px-2 text-left hover:underline ${i === taken ? 'font-semibold' : ''}`}
                >
                  <Craft>{restName(plan.kind, work.wish.closing, plan.wish.ending, plan.exchanged)}</Craft>
                </button>
              </th>
              <Cell head="Rows">{plan.rows}</Cell>
              <Cell head={sizeWord} wrap={plan.width.source === 'typical'}>
                {finishedFigure(plan.width, plan.height, told, plan.circle).bare}
              </Cell>
              {plan.colours.map(({ letter, left }) => (
                <Cell key={letter} head={`${letter} to go`}>
                  {left.mid < 0.05 ? 'nothing' : metresText(left, told)}
                </Cell>
              ))}
              <Cell head="Yarn lasts">
                <Lasts chance={plan.chance} sure={plan.wish.sure} />
              </Cell>
              <Cell head="Ends">{plan.ends}</Cell>
              <Cell head="Time">{hoursText(plan.time)}</Cell>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Heading({ children }: { children: React.ReactNode }) {
  return (
    <th scope="col" className="px-2 py-2 text-right font-normal whitespace-nowrap">
      {children}
    </th>
  );
}

interface CellProps {
  readonly head: string;
  readonly children: React.ReactNode;
  /** A long range may go over two lines. */
  readonly wrap?: boolean;
}

function Cell({ head, children, wrap = false }: CellProps) {
  return (
    <td
      data-head={head}
      className={`count px-2 text-right text-[14px] font-medium ${wrap ? 'min-w-[104px]' : 'whitespace-nowrap'}`}
    >
      {children}
    </td>
  );
}
