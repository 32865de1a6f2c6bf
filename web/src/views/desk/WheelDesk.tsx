import {
  lettersOfYarns,
  mostRounds,
  mostWedges,
  patternOfWheel,
  printPattern,
  type Wheel,
  wheelProblems,
  withWedges,
} from '@puntada/core/craft';
import type { StoredPattern } from '@puntada/core/records';
import { deskSaid } from '@puntada/core/words';
import { ToggleGroup } from 'radix-ui';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useChangePatternMutation } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { arrowsAtOnce } from '../../parts/arrowsAtOnce.ts';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { DraftProblems, SavedWords } from '../../parts/DraftHead.tsx';
import { type History, noHistory, stepped, takenBack, takenUp } from '../../parts/history.ts';
import { ownPattern } from '../../parts/ownPattern.ts';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { Saver } from '../../parts/saver.ts';
import { TextField } from '../../parts/TextField.tsx';
import { UndoRedo } from '../../parts/UndoRedo.tsx';
import { sentOf, useSaver } from '../../parts/useSaver.ts';
import { keyOfOwn } from '../../parts/useShelf.ts';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { useShadesOf } from './useDeskShades.ts';
import { WheelFace } from './WheelFace.tsx';

interface OnDesk {
  readonly wheel: Wheel;
  readonly note: string;
}

/** A circle of wedges on the desk: the wedges that repeat around it, how many there are, and which rounds grow. */
export function WheelDesk({ stored, first }: { stored: StoredPattern; first: Wheel }) {
  const { id, revision, pattern: kept } = stored;
  const navigate = useNavigate();
  const [send] = useChangePatternMutation();
  const [saved, saver] = useSaver(
    `pattern ${id}`,
    () =>
      new Saver<OnDesk>({
        value: { wheel: first, note: kept.note },
        revision,
        send: async ({ wheel, note }, made) => {
          const name = wheel.name.replaceAll('"', '”').trim() || 'Pattern';
          const pattern = ownPattern(id, { ...patternOfWheel(wheel), name }, note);
          return sentOf(await send({ id, revision: made, pattern }));
        },
      }),
  );
  const { wheel, note } = saved.value;
  const [history, setHistory] = useState<History<Wheel>>(noHistory);
  const [pen, setPen] = useState('B');
  const { wedges, around, grows } = wheel;
  const problems = wheelProblems(wheel);
  const change = (next: Wheel) => {
    setHistory(stepped(history, wheel));
    saver.change({ wheel: next, note });
  };
  const move = (step: typeof takenBack) => {
    const moved = step(history, wheel);
    if (!moved) return undefined;
    return () => {
      setHistory(moved.history);
      // Its name is typed beside it, and stays.
      saver.change({ wheel: { ...moved.shown, name: wheel.name }, note });
    };
  };
  const recolour = (at: number, letter: string) =>
    change({ ...wheel, wedges: wedges.map((each, i) => (i === at ? letter : each)) });
  const pattern = useMemo(() => ({ ...patternOfWheel(wheel), key: keyOfOwn(id) }), [wheel, id]);
  const text = useMemo(() => printPattern(pattern), [pattern]);
  const shade = useShadesOf(pattern);
  const swatch = { swatch: { pattern: { key: pattern.key, text, numbers: { n: around.usual } } } };
  const letters = lettersOfYarns.slice(0, Math.min(8, Math.max(3, pattern.colours.length + 1)));
  return (
    <>
      <Head title={wheel.name} page="Chart desk" under={deskSaid.wheelDrawIt}>
        <UndoRedo undo={move(takenBack)} redo={move(takenUp)} />
        <SavedWords state={saved.state} />
        <ButtonLink to={`/book/${keyOfOwn(id)}`}>{deskSaid.toPatternBook}</ButtonLink>
      </Head>
      <main
        id="main"
        className="mx-auto grid w-full max-w-[1240px] gap-x-8 gap-y-5 px-6 pt-4 pb-10 max-sm:px-3 lg:grid-cols-[minmax(0,1fr)_420px]"
      >
        <div className="grid content-start justify-items-center gap-4">
          <div className="w-full">
            <DraftProblems draft={{ ...saved, keepMine: saver.keepMine }} />
          </div>
          <ToggleGroup.Root
            type="single"
            value={pen}
            onValueChange={(letter) => letter && setPen(letter)}
            onKeyDownCapture={arrowsAtOnce}
            aria-label={deskSaid.colourInHand}
            className="flex justify-self-start"
          >
            {letters.map((letter) => (
              <ToggleGroup.Item
                key={letter}
                value={letter}
                aria-label={`Colour ${letter}`}
                className="-ml-px flex min-h-11 min-w-14 items-center justify-center gap-2 border border-edge bg-field px-2 first:rounded-l-md last:rounded-r-md hover:bg-sheet data-[state=on]:relative data-[state=on]:border-ink data-[state=on]:shadow-[inset_0_-4px_0_var(--color-ink)]"
              >
                <YarnChip letter={letter} shade={shade(letter)} />
              </ToggleGroup.Item>
            ))}
          </ToggleGroup.Root>
          <WheelFace wheel={wheel} shade={shade} onWedge={(wedge) => recolour(wedge, pen)} />
          <p className="max-w-[62ch] text-[15px] text-soft">{deskSaid.touchWedge}</p>
        </div>
        <aside className="grid min-w-0 content-start gap-5" aria-label="Beside the wheel">
          <div className="flex gap-3">
            <PatternPicture pattern={text} shades={pattern.colours.map(shade)} side={168} />
            <div className="grid content-start gap-2">
              <ButtonLink kind="next" to={`/wish?pattern=${keyOfOwn(id)}`}>
                Start a project
              </ButtonLink>
              <Button onClick={() => navigate('/swatches/new', { state: swatch })}>Plan a swatch</Button>
              <ButtonLink to={`/rehearse/${keyOfOwn(id)}`}>Rehearse 4 rounds</ButtonLink>
            </div>
          </div>
          {problems.length ? (
            <Problems problems={problems} />
          ) : (
            <p className="text-[16px] text-verdigris">✓ {deskSaid.wheelCanBeWorked}</p>
          )}
          <section aria-label={deskSaid.wedgesOfRepeat}>
            <h2 className="border-b border-ink pb-1 text-[17px]">{deskSaid.wedgesOfRepeat}</h2>
            <div className="grid grid-cols-3 gap-2 pt-3 sm:grid-cols-4">
              {wedges.map((letter, at) => (
                <SelectField
                  // biome-ignore lint/suspicious/noArrayIndexKey: a wedge is its place
                  key={at}
                  label={`Wedge ${at + 1}`}
                  value={letter}
                  onChange={(next) => recolour(at, next)}
                >
                  {lettersOfYarns.map((each) => (
                    <option key={each}>{each}</option>
                  ))}
                </SelectField>
              ))}
            </div>
            <div className="flex flex-wrap gap-2 pt-2">
              <Button
                disabled={wedges.length >= mostWedges}
                onClick={() => change(withWedges(wheel, [...wedges, fresh(wedges)]))}
              >
                Add a wedge
              </Button>
              <Button
                kind="quiet"
                disabled={wedges.length <= 2}
                onClick={() => change(withWedges(wheel, wedges.slice(0, -1)))}
              >
                {deskSaid.leaveOutLast}
              </Button>
            </div>
            <div className="max-w-[220px] pt-2">
              <SelectField
                label={deskSaid.wedgesAround}
                value={String(around.usual)}
                onChange={(count) => change({ ...wheel, around: { ...around, usual: Number(count) } })}
              >
                {[...new Set([...countsAround(wheel), around.usual])].map((count) => (
                  <option key={count}>{count}</option>
                ))}
              </SelectField>
            </div>
          </section>
          <section aria-label={deskSaid.roundsThatRepeat}>
            <h2 className="border-b border-ink pb-1 text-[17px]">{deskSaid.roundsThatRepeat}</h2>
            <div className="flex flex-wrap gap-2 pt-3">
              {grows.map((each, at) => (
                <Button
                  // biome-ignore lint/suspicious/noArrayIndexKey: a round is its place
                  key={at}
                  aria-pressed={each}
                  onClick={() => change({ ...wheel, grows: grows.map((now, i) => (i === at ? !now : now)) })}
                >
                  {at + 1}: {each ? 'grows' : 'plain'}
                </Button>
              ))}
            </div>
            <div className="flex flex-wrap gap-2 pt-2">
              <Button
                disabled={grows.length >= mostRounds}
                onClick={() => change({ ...wheel, grows: [...grows, true] })}
              >
                Add a round
              </Button>
              <Button
                kind="quiet"
                disabled={grows.length <= 1}
                onClick={() => change({ ...wheel, grows: grows.slice(0, -1) })}
              >
                {deskSaid.leaveOutLast}
              </Button>
            </div>
          </section>
          <section aria-label={deskSaid.nameAndNote} className="grid gap-3">
            <TextField
              label="Name"
              value={wheel.name}
              maxLength={80}
              onChange={(name) => saver.change({ wheel: { ...wheel, name }, note })}
            />
            <TextField
              label="Note"
              value={note}
              maxLength={600}
              onChange={(next) => saver.change({ wheel, note: next })}
            />
            <details>
              <summary className="min-h-11 cursor-pointer py-2.5 text-[15px] underline underline-offset-4">
                As pattern notation
              </summary>
              <pre className="max-w-full overflow-x-auto border-l-4 border-rule bg-sheet p-3 font-mono text-[13px] leading-snug">
                {text}
              </pre>
            </details>
          </section>
        </aside>
      </main>
    </>
  );
}

/** A letter that stands neither beside the last wedge nor beside the first. */
function fresh(wedges: readonly string[]): string {
  return lettersOfYarns.find((letter) => letter !== wedges.at(-1) && letter !== wedges[0]) ?? 'C';
}

/** How many wedges may go round. */
function countsAround({ wedges, around }: Wheel): number[] {
  const counts: number[] = [];
  for (let n = around.least; n <= around.most; n += 1) if (n % wedges.length === 0) counts.push(n);
  return counts;
}
