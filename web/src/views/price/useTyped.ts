import { entryLabel, type LogEntry } from '@puntada/core/records';
import { useEffect } from 'react';
import { problemsOf } from '../../api/api.ts';
import { useAddEntryMutation, useCorrectEntryMutation, useLog } from '../../api/records.ts';
import { useKept } from '../../parts/useKept.ts';

type Typed = Readonly<Record<string, string>>;
type Costs = Extract<LogEntry, { kind: 'costs' }>;

/** ms after the last letter, before it is sent. */
const settled = 600;

function read(text: string): Typed {
  try {
    const entries = Object.entries(JSON.parse(text || '{}') ?? {});
    return Object.fromEntries(entries.filter((each): each is [string, string] => typeof each[1] === 'string'));
  } catch {
    return {};
  }
}

/**
 * What is typed of the costs, by its field. It stands in the log of the project; what the log does not have yet is kept by
 * this browser. @param id under which this browser keeps it @param workId of the project whose log it is
 */
export function useTyped(id: string, workId: string, of: Costs['of']) {
  const [kept, keep] = useKept(`puntada-price-${id}`);
  const { data: log } = useLog(workId);
  const [add, adding] = useAddEntryMutation();
  const [correct, correcting] = useCorrectEntryMutation();
  const entry = log?.entries.findLast((each): each is Costs => each.kind === 'costs' && each.of === of);
  const own = read(kept);
  const fresh = Object.entries(own).some(([name, text]) => (entry?.typed[name] ?? '') !== text.trim());
  const typed: Typed = { ...entry?.typed, ...own };
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was typed, and what the log has of it, tell all
  useEffect(() => {
    if (!log || !kept) return;
    if (!fresh) {
      keep('');
      return;
    }
    const timer = setTimeout(() => {
      const told = Object.entries(typed).flatMap(([name, text]) =>
        text.trim() ? [[name, text.trim().slice(0, 40)]] : [],
      );
      const next = { ...entryLabel, kind: 'costs' as const, of, at: Date.now(), typed: Object.fromEntries(told) };
      void (entry
        ? correct({ id: workId, entry: { ...next, id: entry.id } })
        : add({ id: workId, entry: { ...next, id: crypto.randomUUID() } }));
    }, settled);
    return () => clearTimeout(timer);
  }, [kept, log !== undefined, JSON.stringify(entry?.typed)]);
  return {
    typed,
    set: (name: string, text: string) => keep(JSON.stringify({ ...own, [name]: text })),
    problems: problemsOf(adding.error ?? correcting.error),
  };
}
