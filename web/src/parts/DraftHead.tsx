import type { Problem } from '@puntada/core/craft';
import { partsSaid } from '@puntada/core/words';
import { Button } from './Button.tsx';
import { Problems } from './Problems.tsx';
import type { SaveState } from './saver.ts';
import { UndoRedo } from './UndoRedo.tsx';
import type { PlanDraft } from './usePlanDraft.ts';

const words: Readonly<Record<SaveState, string>> = {
  saved: '✓ Saved',
  saving: 'Saving…',
  unsaved: 'Not saved yet',
  refused: '✕ Not saved',
  stale: '✕ Changed elsewhere',
};

/** Whether what is shown is stored: the same words on every page. @param draft it is kept, and not yet taken into the project */
export function SavedWords({ state, draft = false }: { state: SaveState; draft?: boolean }) {
  const look =
    state === 'saved' ? 'text-verdigris' : state === 'refused' || state === 'stale' ? 'text-brick' : 'text-soft';
  return (
    // As wide whatever it says, so that what stands beside it does not move away under a finger.
    <p className={`min-w-24 text-[15px] ${look}`} aria-live="polite">
      {draft && state === 'saved' ? partsSaid.savedAsDraft : words[state]}
    </p>
  );
}

/** Taking back and up again, and whether the plan is stored. @param settled the work is begun and planned no more */
export function DraftHead({ draft, settled }: { draft: PlanDraft; settled: boolean }) {
  return (
    <>
      {settled ? null : <UndoRedo undo={draft.undo} redo={draft.redo} />}
      <SavedWords state={draft.state} />
    </>
  );
}

interface Refused {
  readonly state: SaveState;
  readonly problems: readonly Problem[];
  readonly keepMine: () => void;
}

/** Why it could not be stored, and what to do: what was changed elsewhere is shown, or what is typed here put over it. */
export function DraftProblems({ draft: { state, problems, keepMine } }: { draft: Refused }) {
  if (!problems.length) return null;
  const overtaken = state === 'stale' && problems.some(({ code }) => code === 'stale');
  return (
    <div className="mb-3 flex flex-wrap items-center gap-3">
      <Problems problems={problems} />
      {state === 'stale' ? <Button onClick={() => location.reload()}>{partsSaid.showLatestVersion}</Button> : null}
      {overtaken ? <Button onClick={keepMine}>{partsSaid.keepWhatIHave}</Button> : null}
    </div>
  );
}
