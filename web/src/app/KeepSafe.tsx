import type { Problem } from '@puntada/core';
import { useState } from 'react';
import { problemsOf } from '../api/api.ts';
import { useRestoreMutation, useTakeOverMutation } from '../api/records.ts';
import { Button } from '../parts/Button.tsx';
import { Problems } from '../parts/Problems.tsx';

const takenWords = {
  new: '✓ It is on the bench, where it stood.',
  merged: '✓ It was here already: rows and log of both are together now.',
  beside: '✓ It went on by another plan here, so it stands beside it on the bench.',
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
  const take = async (file: File | undefined) => {
    if (!file) return;
    setProblems([]);
    setTaken('');
    try {
      setBackup({ name: file.name, contents: JSON.parse(await file.text()) });
    } catch {
      setProblems([
        {
          code: 'json-malformed',
          path: '',
          message: `${file.name} is no backup: it cannot be read, or was cut short.`,
          hint: 'Nothing was changed. Take another file.',
        },
      ]);
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
  return (
    <div className="grid max-w-[320px] gap-1">
      <a
        href="/api/backup"
        download
        className="inline-flex min-h-11 items-center text-[15px] font-semibold underline underline-offset-4"
      >
        Save everything as one file
      </a>
      <label className="inline-flex min-h-11 cursor-pointer items-center text-[15px] underline underline-offset-4 focus-within:outline-3">
        Put a backup or a work back
        <input
          type="file"
          accept=".json,application/json"
          className="sr-only"
          onChange={(event) => {
            void take(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </label>
      <p role="status" className="text-[15px] text-verdigris empty:hidden">
        {taken}
      </p>
      {backup && isOneWork(backup.contents) ? (
        <div className="border-l-4 border-verdigris bg-verdigris-pale px-3 py-2">
          <p className="text-[15px]">{backup.name} is one work that was handed over. Nothing here is lost by it.</p>
          <div className="mt-2 flex gap-3">
            <Button onClick={takeIn} disabled={taking.isLoading}>
              Take it in
            </Button>
            <Button kind="quiet" onClick={() => setBackup(undefined)}>
              Leave it
            </Button>
          </div>
        </div>
      ) : null}
      {backup && !isOneWork(backup.contents) ? (
        <div className="border-l-4 border-ochre bg-ochre-pale px-3 py-2">
          <p className="text-[15px]">{backup.name} takes the place of everything that is here now.</p>
          <div className="mt-2 flex gap-3">
            <Button onClick={putBack} disabled={restoring.isLoading}>
              Put it in place
            </Button>
            <Button kind="quiet" onClick={() => setBackup(undefined)}>
              Leave it
            </Button>
          </div>
        </div>
      ) : null}
      <Problems problems={problems} />
    </div>
  );
}
