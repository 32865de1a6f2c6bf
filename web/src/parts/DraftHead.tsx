import { Button } from './Button.tsx';
import { Problems } from './Problems.tsx';
import { UndoRedo } from './UndoRedo.tsx';
import type { PlanDraft, SaveState } from './usePlanDraft.ts';

const savedWords: Readonly<Record<SaveState, string>> = {
  saved: 'Saved',
  saving: 'Saving…',
  unsaved: 'Not saved yet',
  stale: 'Changed elsewhere',
};

/** Taking back and up again, and whether the plan is stored. @param settled the work is begun and planned no more */
export function DraftHead({ draft, settled }: { draft: PlanDraft; settled: boolean }) {
  return (
    <>
      {settled ? null : <UndoRedo undo={draft.undo} redo={draft.redo} />}
      <p className="text-[14px] text-soft" aria-live="polite">
        {savedWords[draft.state]}
      </p>
    </>
  );
}

/** Why the plan could not be stored, and what to do. */
export function DraftProblems({ draft }: { draft: PlanDraft }) {
  if (!draft.problems.length) return null;
  return (
    <div className="mb-3 flex flex-wrap items-center gap-3">
      <Problems problems={draft.problems} />
      {draft.state === 'stale' ? <Button onClick={draft.takeFresh}>Show the latest version</Button> : null}
    </div>
  );
}
