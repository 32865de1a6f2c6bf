import type { Problem } from '@puntada/core/craft';
import { OctagonX, TriangleAlert } from 'lucide-react';
import { useCraftWords } from './Craft.tsx';

/** What is wrong, where, and what to do; with its sign, so that it is not told by hue alone. */
export function Problems({ problems, kind = 'error' }: { problems: readonly Problem[]; kind?: 'error' | 'warning' }) {
  const craft = useCraftWords();
  if (!problems.length) return null;
  // What is wrong may quote the notation of patterns, which has one wording; a warning never does.
  const told = (words: string) => (kind === 'warning' ? craft(words) : words);
  const look = kind === 'error' ? 'border-brick bg-brick-pale text-brick' : 'border-ochre bg-ochre-pale text-ochre';
  const Sign = kind === 'error' ? OctagonX : TriangleAlert;
  return (
    <div role={kind === 'error' ? 'alert' : 'status'} className={`rounded-md border-l-4 px-3 py-2 text-[15px] ${look}`}>
      {problems.map((problem) => (
        <p key={problem.code + problem.path + problem.message} className="my-1 flex gap-2">
          <Sign aria-hidden className="mt-0.5 size-4 shrink-0" />
          <span>
            {told(problem.message)} <span className="text-ink">{told(problem.hint)}</span>
          </span>
        </p>
      ))}
    </div>
  );
}
