import type { LogEntry } from '@puntada/core/records';
import { problemsOf } from '../../api/api.ts';
import { useBinEntryMutation, useCorrectEntryMutation } from '../../api/records.ts';
import { offerUndo } from '../../parts/undoOffer.ts';

/** What can be done with an entry of the log: corrected, or deleted and put back. */
export function useEntry(workId: string) {
  const [correct, correcting] = useCorrectEntryMutation();
  const [bin, binning] = useBinEntryMutation();
  return {
    busy: correcting.isLoading || binning.isLoading,
    problems: problemsOf(correcting.error ?? binning.error),
    /** @returns whether it is corrected */
    correct: async (entry: LogEntry): Promise<boolean> => !(await correct({ id: workId, entry })).error,
    /** @param did what is told then: `Note deleted.` */
    remove: async (entry: LogEntry, did: string): Promise<void> => {
      const { error } = await bin({ id: workId, entry, deleted: true });
      if (!error) offerUndo({ did, undo: () => bin({ id: workId, entry, deleted: false }) });
    },
  };
}
