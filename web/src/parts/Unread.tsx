import type { UnreadDocument } from '@puntada/core/records';
import { partsSaid } from '@puntada/core/words';
import { FileWarning } from 'lucide-react';
import { useUnreadQuery } from '../api/records.ts';
import { useProblemWords } from './Craft.tsx';

interface Props {
  readonly kind: 'works' | 'yarns' | 'swatches' | 'entries';
  /** The entries of one work only. */
  readonly work?: string | undefined;
}

/** What is stored and this version cannot read, where it would stand: with why, and that nothing of it is lost. */
export function Unread({ kind, work }: Props) {
  const { data } = useUnreadQuery();
  const words = useProblemWords();
  const copy: readonly UnreadDocument[] =
    kind === 'works' && data?.copy ? [{ id: 'copy', title: partsSaid.copyOfDay, problem: data.copy }] : [];
  const all: readonly UnreadDocument[] = [...copy, ...(data?.[kind] ?? [])];
  const own = work === undefined ? all : all.filter((each) => each.work === work);
  if (!own.length) return null;
  return (
    <section aria-label={partsSaid.couldNotBeRead}>
      <h2 className="mt-7 border-b border-ink pb-1 text-[17px]">Cannot be read</h2>
      <ul>
        {own
          .map((each) => ({ ...each, ...words(each.problem) }))
          .map(({ id, title, message, hint }) => (
            <li key={id} className="flex items-start gap-3 border-b border-rule py-3">
              <FileWarning aria-hidden className="mt-1 size-5 shrink-0 text-brick" />
              <div className="min-w-0">
                <h3 className="text-[18px]">{title}</h3>
                <p className="text-[15px] text-brick">
                  {message} <span className="text-ink">{hint}</span>
                </p>
              </div>
            </li>
          ))}
      </ul>
    </section>
  );
}
