import { decimal, fibreWords, figure, type ToldUnit, yarnLengthNumber, yarnLengthUnit } from '@puntada/core/craft';
import type { DrawerYarn, StoredYarn, WorkSummary } from '@puntada/core/records';
import { drawerSaid, weightName } from '@puntada/core/words';
import { freeOf, metresInDrawer, setAside } from '@puntada/core/work';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { problemsOf, usePreferences, useWorksQuery } from '../../api/api.ts';
import {
  useAddYarnMutation,
  useChangeYarnMutation,
  useDrawerQuery,
  usePutBackRecordMutation,
  useRemoveYarnMutation,
} from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { announce, toFirstField } from '../../parts/announce.ts';
import { Button } from '../../parts/Button.tsx';
import { Empty } from '../../parts/Empty.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { Unread } from '../../parts/Unread.tsx';
import { offerUndo } from '../../parts/undoOffer.ts';
import { useArrived } from '../../parts/useArrived.ts';
import { useOwnId } from '../../parts/useOwnId.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { yarnStyle } from '../../parts/YarnChip.tsx';
import { DrawerTable } from './DrawerTable.tsx';
import { YarnForm } from './YarnForm.tsx';
import { emptyYarn, toValues } from './yarnForm.ts';

/** Yarns that are drawn at once, and from how many on they are sought by name. */
const page = 60;
const few = 12;

/** Yarns whose names have every word that is sought, wherever it stands. */
function sifted(yarns: readonly StoredYarn[], sought: string): readonly StoredYarn[] {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  if (!words.length) return yarns;
  return yarns.filter(({ yarn }) => {
    const text = `${yarn.line} ${yarn.name} ${yarn.lot} ${yarn.fibre}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

function foundWords(found: number, all: number, sought: string): string {
  if (!sought.trim()) return `${all} yarns`;
  return found === 1 ? `1 yarn of ${all}` : `${found} yarns of ${all}`;
}

/** The yarn drawer: what there is, what of it is set aside, and what is free. */
export default function DrawerView() {
  const { units } = usePreferences();
  const { data, error, isLoading } = useDrawerQuery();
  const yarns = useArrived(data);
  const { data: works } = useWorksQuery();
  const [open, setOpen] = useState<StoredYarn>();
  const [fresh, setFresh] = useState(0);
  const [sought, setSought] = useState('');
  const [drawn, setDrawn] = useState(page);
  const found = useMemo(() => sifted(yarns ?? [], sought), [yarns, sought]);
  const [add, adding] = useAddYarnMutation();
  const [ownId, another] = useOwnId();
  const [change, changing] = useChangeYarnMutation();
  const [remove, removing] = useRemoveYarnMutation();
  const [putBack] = usePutBackRecordMutation();
  const refusal = problemsOf(adding.error ?? changing.error ?? removing.error);
  const save = async (yarn: DrawerYarn) => {
    const saved = open ? await change({ id: open.id, revision: open.revision, yarn }) : await add({ id: ownId, yarn });
    if (!saved.data) return;
    another();
    setOpen(undefined);
    setFresh(fresh + 1);
    announce(open ? `${yarn.name}: changes saved.` : drawerSaid.inDrawer(yarn.name));
    // The form is made anew for the next yarn.
    requestAnimationFrame(() => toFirstField(document.querySelector('aside form *')));
  };
  return (
    <>
      <Head title="Yarn drawer" under={yarns ? drawerLine(yarns) : undefined}>
        <DrawerTable yarns={yarns ?? []} />
      </Head>
      <Shelves />
      <main
        id="main"
        className="mx-auto grid w-full max-w-[1440px] gap-x-10 gap-y-8 px-6 pt-5 pb-12 lg:grid-cols-[minmax(0,1fr)_400px]"
      >
        <div className="min-w-0">
          {error ? <Problems problems={problemsOf(error)} /> : null}
          {isLoading ? <Waiting words="Opening the drawer…" /> : null}
          <Unread kind="yarns" />
          {yarns && !yarns.length ? <Empty>{drawerSaid.yourYarnWillLie}</Empty> : null}
          {yarns && yarns.length > few ? (
            <div className="max-w-[420px] pb-3">
              <TextField label="Find a yarn" value={sought} onChange={setSought} />
              <p role="status" className="pt-1 text-[15px] text-soft">
                {foundWords(found.length, yarns.length, sought)}
              </p>
            </div>
          ) : null}
          <ul>
            {found.slice(0, drawn).map((stored) => (
              <YarnRow
                key={stored.id}
                stored={stored}
                works={works ?? []}
                onOpen={() => {
                  setOpen(stored);
                  requestAnimationFrame(() => toFirstField(document.querySelector('aside form *')));
                }}
                onBalls={(balls) =>
                  void change({ id: stored.id, revision: stored.revision, yarn: { ...stored.yarn, balls } })
                }
                onRemove={async () => {
                  const answer = await remove(stored.id);
                  if (answer.error) return;
                  const { yarn } = stored;
                  offerUndo({ did: `${yarn.name} is deleted.`, undo: () => putBack({ kind: 'yarn', id: stored.id }) });
                }}
              />
            ))}
          </ul>
          {found.length > drawn ? (
            <div className="pt-4">
              <Button onClick={() => setDrawn(drawn + page)}>Show {Math.min(page, found.length - drawn)} more</Button>
            </div>
          ) : null}
        </div>
        <aside className="grid content-start gap-4">
          <YarnForm
            key={open ? `${open.id}.${open.revision}` : `new ${fresh}`}
            start={open ? toValues(open.yarn, units) : emptyYarn}
            title={open ? `Edit ${open.yarn.line}, ${open.yarn.name}` : 'Add yarn'}
            save={open ? 'Save changes' : drawerSaid.addToDrawer}
            busy={adding.isLoading || changing.isLoading}
            onSave={save}
            onCancel={open ? () => setOpen(undefined) : undefined}
          />
          <Problems problems={refusal} />
        </aside>
      </main>
    </>
  );
}

function drawerLine(yarns: readonly StoredYarn[]): string {
  const balls = yarns.reduce((sum, { yarn }) => sum + yarn.balls, 0);
  const parts = yarns.reduce((sum, { yarn }) => sum + yarn.parts.length, 0);
  return drawerSaid.yarnsBallsAndOpened(yarns.length, balls, parts);
}

interface RowProps {
  readonly stored: StoredYarn;
  readonly works: readonly WorkSummary[];
  readonly onOpen: () => void;
  readonly onBalls: (balls: number) => void;
  readonly onRemove: () => void;
}

function YarnRow({ stored, works, onOpen, onBalls, onRemove }: RowProps) {
  const { told } = usePreferences();
  const { yarn } = stored;
  const aside = useMemo(() => setAside(stored.id, works), [stored.id, works]);
  const free = freeOf(yarn, aside);
  const metres = metresInDrawer(yarn);
  const [sure, setSure] = useState(false);
  return (
    <li className="grid grid-cols-[52px_minmax(0,1fr)] gap-x-4 gap-y-2 border-b border-rule py-4 md:grid-cols-[52px_minmax(0,1fr)_190px_150px]">
      <span
        className="yarn block size-[52px] rounded-sm border border-ink/25"
        style={yarnStyle(yarn.shade)}
        aria-hidden
      />
      <div className="min-w-0">
        <h2 className="text-[19px]">
          {yarn.line}, {yarn.name}
        </h2>
        <p className="text-[15px] text-soft">
          {weightName(yarn.weight)} {fibreWords(yarn)} · {labelLine(yarn, told)}
          {yarn.lot ? ` · lot ${yarn.lot}` : ''}
          {yarn.price === undefined ? '' : ` · ${decimal(yarn.price, 2)} per ball`}
        </p>
        {aside.map((each) => (
          <p key={each.work} className="text-[15px]">
            {amount(each)} set aside for{' '}
            <Link to={`/works/${each.work}/yarn`} className="underline underline-offset-4">
              {each.title}
            </Link>
          </p>
        ))}
        <p className="mt-1 flex flex-wrap gap-x-4 text-[15px]">
          <button type="button" onClick={onOpen} className="min-h-11 min-w-11 text-left underline underline-offset-4">
            Edit
            <span className="sr-only">
              {' '}
              {yarn.line}, {yarn.name}
            </span>
          </button>
          {sure ? (
            <>
              <button
                type="button"
                onClick={onRemove}
                className="min-h-11 min-w-11 text-left text-brick underline underline-offset-4"
              >
                Yes, delete it
              </button>
              <button
                type="button"
                onClick={() => setSure(false)}
                className="min-h-11 min-w-11 text-left underline underline-offset-4"
              >
                Keep it
              </button>
            </>
          ) : (
            <button
              type="button"
              onClick={() => setSure(true)}
              className="min-h-11 min-w-11 text-left text-soft underline underline-offset-4 hover:text-ink"
            >
              Delete
              <span className="sr-only">
                {' '}
                {yarn.line}, {yarn.name}
              </span>
            </button>
          )}
        </p>
      </div>
      <div className="flex items-start max-md:col-start-2">
        <Step
          label={drawerSaid.oneBallLess(yarn.name)}
          disabled={yarn.balls === 0}
          onClick={() => onBalls(yarn.balls - 1)}
        >
          −
        </Step>
        <p className="min-w-[58px] px-1 text-center leading-none">
          <span className="count text-[26px]">{yarn.balls}</span>
          <span className="block text-[13px] text-soft">{yarn.balls === 1 ? 'ball' : 'balls'}</span>
        </p>
        <Step label={drawerSaid.oneBallMore(yarn.name)} onClick={() => onBalls(yarn.balls + 1)}>
          +
        </Step>
      </div>
      <p className="text-[15px] max-md:col-start-2 md:text-right">
        {metres === undefined ? (
          'length unknown'
        ) : (
          <span className="count text-[18px]">
            {yarnLengthNumber(metres, told)} {yarnLengthUnit(told)}
          </span>
        )}
        {yarn.parts.length ? (
          <span className="block text-soft">plus {yarn.parts.map((each) => figure(each)).join(' g + ')} g opened</span>
        ) : null}
        {aside.length ? (
          <span className={`block ${free.balls < 0 ? 'text-brick' : 'text-verdigris'}`}>
            {free.balls < 0 ? drawerSaid.moreSetAsideThan(-free.balls) : `${free.balls} free`}
          </span>
        ) : null}
      </p>
    </li>
  );
}

function amount({ balls, grams }: { balls: number; grams: number }): string {
  const whole = balls ? `${balls} ${balls === 1 ? 'ball' : 'balls'}` : '';
  const part = grams ? `${figure(grams)} g` : '';
  return [whole, part].filter(Boolean).join(' and ');
}

function labelLine({ ballMetres, ballGrams }: DrawerYarn, told: ToldUnit): string {
  if (ballMetres === undefined || ballGrams === undefined) return 'label lost';
  const long = told === 'cm' ? figure(ballMetres) : yarnLengthNumber(ballMetres, told);
  return `${figure(ballGrams)} g = ${long} ${yarnLengthUnit(told)}`;
}

function Step({
  label,
  children,
  ...rest
}: {
  label: string;
  disabled?: boolean;
  onClick: () => void;
  children: string;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      className="size-11 rounded-md border border-edge bg-field text-[20px] hover:bg-sheet disabled:text-edge"
      {...rest}
    >
      {children}
    </button>
  );
}
