import {
  findRow,
  oneOff,
  type Position,
  type Problem,
  readSeenRow,
  ripBack,
  slips,
  type Terms,
  type WorkCosts,
  yarnLengthNumber,
  yarnLengthUnit,
} from '@puntada/core';
import { LifeBuoy } from 'lucide-react';
import { Dialog, Tabs } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';

interface Props {
  readonly workId: string;
  readonly cloth: WorkCloth;
  readonly position: Position;
  /** Cells worked in the row in hand. */
  readonly done: number;
  readonly costs: WorkCosts | undefined;
  readonly terms: Terms;
  readonly onGo: (to: Position) => void;
}

const tabs = [
  ['row', 'Find my row'],
  ['count', 'The count is off'],
  ['rip', 'Rip back'],
  ['slips', 'Slips and cures'],
] as const;

/** When something is wrong: which row it is, what a count means, how far to go back, and what is done about slips. */
export function HelpAtRow(props: Props) {
  const [open, setOpen] = useState(false);
  const close = () => setOpen(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="inline-flex min-h-14 items-center gap-2 rounded-md border border-transparent px-3 text-[16px] font-semibold underline underline-offset-4 hover:bg-sheet">
        <LifeBuoy aria-hidden className="size-5" />
        Something is wrong
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-3 top-1/2 z-20 mx-auto flex max-h-[88dvh] max-w-[760px] -translate-y-1/2 flex-col rounded-md border border-ink bg-paper p-5"
        >
          <div className="flex items-center justify-between gap-4">
            <Dialog.Title className="text-[24px]">Something is wrong</Dialog.Title>
            <Dialog.Close asChild>
              <Button>Back to the row</Button>
            </Dialog.Close>
          </div>
          <Tabs.Root defaultValue="row" className="mt-3 flex min-h-0 flex-col">
            <Tabs.List aria-label="What is wrong" className="flex flex-wrap border-b border-ink">
              {tabs.map(([value, words]) => (
                <Tabs.Trigger
                  key={value}
                  value={value}
                  className="min-h-11 border-b-[3px] border-transparent px-3 text-[16px] data-[state=active]:border-ink data-[state=active]:font-semibold"
                >
                  {words}
                </Tabs.Trigger>
              ))}
            </Tabs.List>
            <div className="min-h-0 overflow-y-auto pt-4">
              <Tabs.Content value="row">
                <FindRow {...props} close={close} />
              </Tabs.Content>
              <Tabs.Content value="count">
                <CountOff {...props} />
              </Tabs.Content>
              <Tabs.Content value="rip">
                <Rip {...props} close={close} />
              </Tabs.Content>
              <Tabs.Content value="slips">
                <dl>
                  {slips.map(({ slip, cure }) => (
                    <div key={slip} className="border-b border-rule py-2">
                      <dt className="font-semibold">{slip}</dt>
                      <dd>{cure}</dd>
                    </div>
                  ))}
                </dl>
              </Tabs.Content>
            </div>
          </Tabs.Root>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function FindRow({ cloth, onGo, close }: Props & { close: () => void }) {
  const { fabric, bound } = cloth;
  const [last, setLast] = useState('');
  const [below, setBelow] = useState('');
  const [found, setFound] = useState<ReturnType<typeof findRow>>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [a, b = a] = bound.colours;
  const look = () => {
    const top = readSeenRow(last, fabric.count, bound.colours);
    const under = below.trim() ? readSeenRow(below, fabric.count, bound.colours) : undefined;
    const wrong = [...(top.ok ? [] : top.problems), ...(under && !under.ok ? under.problems : [])];
    setProblems(wrong);
    setFound(
      top.ok && !wrong.length ? findRow(fabric, bound, top.value, under?.ok ? under.value : undefined) : undefined,
    );
  };
  return (
    <form
      aria-label="Find my row"
      noValidate
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        look();
      }}
    >
      <p className="text-[15px] text-soft">
        Type the runs as you worked them, from the beginning of the row: {`4${a} 4${b}`}, as many as you can see.
      </p>
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          label="The last row"
          value={last}
          onChange={setLast}
          className="font-mono"
          placeholder={`4${a} 4${b}`}
        />
        <TextField label="The row under it" value={below} onChange={setBelow} className="font-mono" />
      </div>
      <Button type="submit" className="justify-self-start">
        Which row is it?
      </Button>
      <Problems problems={problems} />
      <div aria-live="polite">
        {found && !found.length ? <p>No row of this work answers to that. Look again at the first run.</p> : null}
        {found?.length ? (
          <ul>
            {found.slice(0, 12).map((each) => (
              <li key={each.row} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-2">
                <b className="count text-[22px]">Row {each.row}</b>
                <span className="min-w-0 flex-1 text-[15px] text-soft">{each.tells}</span>
                <Button
                  onClick={() => {
                    onGo({ rows: each.row, runs: 0 });
                    close();
                  }}
                >
                  Row {each.row} is done
                </Button>
              </li>
            ))}
          </ul>
        ) : null}
        {found && found.length > 12 ? (
          <p className="pt-2">and {found.length - 12} more: tell more of the rows.</p>
        ) : null}
      </div>
    </form>
  );
}

function CountOff({ workId, cloth, position, done, costs }: Props) {
  const { fabric, bound } = cloth;
  const row = Math.min(fabric.courses, position.rows + 1);
  const [counted, setCounted] = useState('');
  const should = (fabric.starts[row] as number) - (fabric.starts[row - 1] as number);
  const number = Number(counted);
  const off = counted.trim() && Number.isInteger(number) && number > 0 ? number - should : undefined;
  return (
    <div className="grid gap-4">
      <div className="flex items-end gap-4">
        <div className="w-[190px]">
          <TextField
            label={`Counted in row ${row}`}
            value={counted}
            onChange={setCounted}
            inputMode="numeric"
            className="count text-[20px]"
          />
        </div>
        <p className="pb-2 text-[17px]">
          It should be <b className="count">{should}</b>.
        </p>
      </div>
      <div aria-live="polite">
        {off === 0 ? <p className="text-verdigris">✓ That is right.</p> : null}
        {off ? (
          <ol>
            {oneOff(fabric, bound, row, off).map(({ cause, look, cure }) => (
              <li key={cause} className="border-b border-rule py-2">
                <p className="font-semibold">{cause}</p>
                <p>{look}</p>
                <p className="text-soft">{cure}</p>
              </li>
            ))}
          </ol>
        ) : null}
        {off && costs ? (
          <Rescue workId={workId} cost={ripBack(costs, position, done, position.rows)} row={row} cloth={cloth} />
        ) : null}
      </div>
    </div>
  );
}

/** What each way out costs: to rip the row, to live with it, or to end the piece before it. */
function Rescue({
  workId,
  cost,
  row,
  cloth,
}: {
  workId: string;
  cost: ReturnType<typeof ripBack>;
  row: number;
  cloth: WorkCloth;
}) {
  const { told } = usePreferences();
  const metres = cost.metres
    .map((each, i) => `${yarnLengthNumber(each, told)} ${yarnLengthUnit(told)} of ${cloth.bound.colours[i]}`)
    .join(', ');
  return (
    <section aria-label="What it costs" className="pt-3">
      <h3 className="text-[17px]">What it costs</h3>
      <dl>
        <Line term={`Undo row ${row} as far as it is worked`}>
          {cost.cells} stitches, about {Math.max(1, Math.round(cost.seconds / 60))} min; {metres}
        </Line>
        <Line term="Live with it">nothing now; see above whether it hides</Line>
        <Line term="End the piece sooner">
          <Link to={`/works/${workId}/onward`}>see every way for the rest</Link>
        </Line>
      </dl>
    </section>
  );
}

function Rip({ cloth, position, done, costs, onGo, close }: Props & { close: () => void }) {
  const { told } = usePreferences();
  const [to, setTo] = useState(String(Math.max(0, position.rows - 1)));
  const row = Number(to);
  const good = to.trim() !== '' && Number.isInteger(row) && row >= 0 && row <= position.rows;
  const cost = good && costs ? ripBack(costs, position, done, row) : undefined;
  return (
    <form
      aria-label="Rip back"
      noValidate
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (!good) return;
        onGo({ rows: row, runs: 0 });
        close();
      }}
    >
      <div className="w-[230px]">
        <TextField
          label="The last row that stays"
          value={to}
          onChange={setTo}
          inputMode="numeric"
          className="count text-[20px]"
          wrong={good ? undefined : `Type a row from 0 to ${position.rows}.`}
        />
      </div>
      {cost ? (
        <dl aria-live="polite" className="max-w-[440px]">
          <Line term="Comes out">
            {cost.rows} {cost.rows === 1 ? 'row' : 'rows'}, {cost.cells} stitches
          </Line>
          {cost.metres.map((metres, i) => (
            <Line key={cloth.bound.colours[i]} term={`Comes free of ${cloth.bound.colours[i]}`}>
              about {yarnLengthNumber(metres, told)} {yarnLengthUnit(told)}
            </Line>
          ))}
          <Line term="To work it again">about {Math.max(1, Math.round(cost.seconds / 60))} min</Line>
        </dl>
      ) : null}
      <p className="text-[15px] text-soft">The rows stay in the log; only the counter goes back.</p>
      <Button type="submit" disabled={!good} className="justify-self-start">
        Rip back to row {good ? row : '…'}
      </Button>
    </form>
  );
}

function Line({ term, children }: { term: string; children: ReactNode }) {
  return (
    <div className="flex items-baseline justify-between gap-4 border-b border-rule py-1.5">
      <dt className="text-soft">{term}</dt>
      <dd className="count text-[17px]">{children}</dd>
    </div>
  );
}
