import type { Problem } from '@puntada/core/craft';
import { useState } from 'react';
import { problemsOf } from '../api/api.ts';
import { useRestoreMutation, useTakeOverMutation } from '../api/records.ts';
import { Button } from '../parts/Button.tsx';
import { FileField } from '../parts/FileField.tsx';
import { Problems } from '../parts/Problems.tsx';

const takenWords = {
  new: '✓ Opened: it’s on your bench, where you left off.',
  merged: '✓ You had this project already; rows and log of both copies are now together.',
  beside: '✓ Your copy follows another plan, so this one is on the bench beside it.',
} as const;

function isOneWork(contents: unknown): boolean {
  return (contents as { format?: unknown } | null)?.format === 'puntada-work';
}

/** Everything out as one open file, and in again after a question. */
export function KeepSafe() {
  const [restore, restoring] = useRestoreMutation();
  const [takeOver, taking] = useTakeOverMutation();
  const [taken, setTaken] = useState('');
  const [backup, setBackup] = useState<{ name: string; contents: unknown }>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const take = async (file: File) => {
    setProblems([]);
    setTaken('');
    try {
      setBackup({ name: file.name, contents: JSON.parse(await file.text()) });
    } catch {
      setProblems([{ code: 'not-a-backup', path: '', facts: { file: file.name } }]);
    }
  };
  const putBack = async () => {
    const answer = await restore(backup?.contents);
    if (answer.error) setProblems(problemsOf(answer.error));
    else location.assign('/');
    setBackup(undefined);
  };
  const takeIn = async () => {
    const answer = await takeOver(backup?.contents);
    if (answer.data) setTaken(takenWords[answer.data.how]);
    else setProblems(problemsOf(answer.error));
    setBackup(undefined);
  };
  const question = ({ name, contents }: { name: string; contents: unknown }) =>
    isOneWork(contents)
      ? {
          words: `${name} holds one project. Opening it changes nothing else on your bench.`,
          action: 'Open this project',
          busy: taking.isLoading,
          onDo: takeIn,
        }
      : {
          words: `${name} replaces everything on your bench now.`,
          action: 'Replace everything with it',
          busy: restoring.isLoading,
          onDo: putBack,
          grave: true,
        };
  return (
    <div className="grid max-w-[320px] gap-1">
      <a
        href="/api/backup"
        download
        className="inline-flex min-h-11 items-center text-[15px] font-semibold underline underline-offset-4"
      >
        Back up everything to a file
      </a>
      <FileField
        label="Open a backup or a project file"
        accept=".json,application/json"
        className="text-[15px]"
        onFile={(file) => void take(file)}
      />
      <p role="status" className="text-[15px] text-verdigris empty:hidden">
        {taken}
      </p>
      {backup ? <Question {...question(backup)} onLeave={() => setBackup(undefined)} /> : null}
      <Problems problems={problems} />
    </div>
  );
}

interface QuestionProps {
  readonly words: string;
  readonly action: string;
  readonly busy: boolean;
  /** Something is lost by it. */
  readonly grave?: boolean;
  readonly onDo: () => void;
  readonly onLeave: () => void;
}

/** What a file would do, before it does it. */
function Question({ words, action, busy, grave = false, onDo, onLeave }: QuestionProps) {
  return (
    <div
      className={`border-l-4 px-3 py-2 ${grave ? 'border-ochre bg-ochre-pale' : 'border-verdigris bg-verdigris-pale'}`}
    >
      <p className="text-[15px]">{words}</p>
      <div className="mt-2 flex gap-3">
        <Button onClick={onDo} disabled={busy}>
          {action}
        </Button>
        <Button kind="quiet" onClick={onLeave}>
          Cancel
        </Button>
      </div>
    </div>
  );
}
