import { parseMass, unitWord, withUnit } from '@puntada/core/craft';
import { nextRow, type OwnPace } from '@puntada/core/plan';
import type { Work, WorkLog } from '@puntada/core/records';
import { entryLabel, type LogEntry, weighingsIn } from '@puntada/core/records';
import { logSaid } from '@puntada/core/words';
import { impossibleIn, type LogTimes, wishAgain } from '@puntada/core/work';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { problemsOf, useAddWorkMutation, usePreferences } from '../../api/api.ts';
import { useAddEntryMutation } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { useProblemText } from '../../parts/Craft.tsx';
import { dates } from '../../parts/dates.ts';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { useOwnId } from '../../parts/useOwnId.ts';
import type { LogProps } from './logProps.ts';

type End = Extract<LogEntry, { kind: 'end' }>;

interface Props extends Pick<LogProps, 'work' | 'log' | 'cloth' | 'costs'> {
  readonly times: LogTimes;
}

/** How it came out, and the same again with what it taught. */
export function AtTheEnd({ work, log, cloth, costs, times: { pace, lastStep } }: Props) {
  const [add, adding] = useAddEntryMutation();
  const [again, making] = useAddWorkMutation();
  const [ownId, another] = useOwnId();
  const navigate = useNavigate();
  const { told } = usePreferences();
  const sentence = useProblemText();
  const { units } = work.wish;
  const known = log.entries.findLast((entry): entry is End => entry.kind === 'end');
  const [width, setWidth] = useState(known?.width ? withUnit(known.width, units) : '');
  const [height, setHeight] = useState(known?.height ? withUnit(known.height, units) : '');
  const [grams, setGrams] = useState(known?.grams === undefined ? '' : String(known.grams));
  const [next, setNext] = useState(known?.next ?? '');
  const [tried, setTried] = useState(false);
  if (nextRow(costs.sequence, work.progress.rows)) return null;
  const mass = parseMass(grams);
  const gramsWrong = grams.trim() !== '' && !(mass.ok && mass.value > 0);
  const end = (): End => ({
    ...entryLabel,
    kind: 'end',
    id: crypto.randomUUID(),
    at: Date.now(),
    next,
    ...(width.trim() ? { width: withUnit(width, unitWord(told)) } : {}),
    ...(height.trim() ? { height: withUnit(height, unitWord(told)) } : {}),
    ...(mass.ok && !gramsWrong ? { grams: mass.value } : {}),
  });
  const impossible = tried ? impossibleIn(end(), units) : [];
  const wrong = (side: 'width' | 'height') => {
    const problem = impossible.find(({ path }) => path === side);
    return problem && sentence(problem);
  };
  const keep = async () => {
    setTried(true);
    const entry = end();
    if (!gramsWrong && !impossibleIn(entry, units).length) await add({ id: work.id, entry });
  };
  const makeAgain = async () => {
    const saved = await again({ id: ownId, wish: wishAgain({ wish: work.wish, cloth, entries: log.entries, pace }) });
    if (!saved.data) return;
    another();
    navigate(`/works/${saved.data.id}/wish`);
  };
  return (
    <section aria-label={logSaid.howItTurnedOut}>
      <h2 className="border-b border-ink pb-1 text-[19px]">{logSaid.howItTurnedOut}</h2>
      {lastStep === undefined ? null : (
        <p className="pt-2 text-[16px]">
          {logSaid.lastRowDoneOn} <b className="count">{dates.date(lastStep)}</b>
          {work.state === 'finished' ? '; marked as finished.' : logSaid.notMarkedAsFinished}
        </p>
      )}
      <form
        aria-label={logSaid.howItTurnedOut}
        noValidate
        className="mt-3 grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <div className="grid grid-cols-3 gap-3">
          <TextField
            label={`Width, ${unitWord(told)}`}
            value={width}
            onChange={setWidth}
            className="count"
            placeholder="24.2 cm"
            wrong={wrong('width')}
          />
          <TextField
            label={`Height, ${unitWord(told)}`}
            value={height}
            onChange={setHeight}
            className="count"
            placeholder="25 cm"
            wrong={wrong('height')}
          />
          <TextField
            label="Weight (g)"
            value={grams}
            onChange={setGrams}
            className="count"
            wrong={tried && gramsWrong ? 'Type grams, such as 51.' : undefined}
          />
        </div>
        <TextField label="Change next time" value={next} onChange={setNext} maxLength={400} />
        <div className="flex flex-wrap gap-3">
          <Button type="submit" disabled={adding.isLoading}>
            Save it
          </Button>
          <Button onClick={makeAgain} disabled={making.isLoading}>
            Make another
          </Button>
        </div>
      </form>
      <p className="pt-2 text-[15px] text-soft empty:hidden">{taughtWords(work, log, pace)}</p>
      <Problems problems={problemsOf(adding.error ?? making.error)} />
    </section>
  );
}

/** What the same again starts with. */
function taughtWords(work: Work, log: WorkLog, pace: OwnPace): string {
  const { gauge } = work.wish;
  const measured = log.entries.some((entry) => entry.kind === 'end' && (entry.width || entry.height));
  const weighed = weighingsIn(log.entries).length > 0 && (measured || gauge.from === 'counted');
  const taught = [
    ...(measured ? [logSaid.sizeThisPiece] : []),
    ...(pace.acts.length ? ['your pace'] : []),
    ...(weighed ? [logSaid.yarnYouReallyUsed] : []),
  ];
  return taught.length ? logSaid.newOnePlannedFrom(new Intl.ListFormat('en-GB').format(taught)) : '';
}
