import type { Problem } from '@puntada/core/craft';
import { OctagonX, TriangleAlert } from 'lucide-react';
import { useProblemWords } from './Craft.tsx';

/** What is wrong, where, and what to do; with its sign, so that it is not told by hue alone. */
export function Problems({ problems, kind = 'error' }: { problems: readonly Problem[]; kind?: 'error' | 'warning' }) {
  const words = useProblemWords();
  if (!problems.length) return null;
  const look = kind === 'error' ? 'border-brick bg-brick-pale text-brick' : 'border-ochre bg-ochre-pale text-ochre';
  const Sign = kind === 'error' ? OctagonX : TriangleAlert;
  return (
    <div role={kind === 'error' ? 'alert' : 'status'} className={`rounded-md border-l-4 px-3 py-2 text-[15px] ${look}`}>
      {problems
        .map((problem) => ({ problem, ...words(problem) }))
        .map(({ problem, message, hint }) => (
          <p key={problem.code + problem.path + message} className="my-1 flex gap-2">
            <Sign aria-hidden className="mt-0.5 size-4 shrink-0" />
            <span>
              {message} <span className="text-ink">{hint}</span>
            </span>
          </p>
        ))}
    </div>
  );
}
