import type { Jobs } from '../api/jobs.ts';
import { Button } from './Button.tsx';

/** What goes on, how far it is, and a way to stop. */
export function JobProgress({ jobs }: { jobs: Jobs }) {
  const { going } = jobs;
  if (!going) return null;
  const { words, done, of } = going;
  return (
    <div role="status" className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <p className="basis-full text-[16px]">{words}</p>
      <progress
        aria-label={words}
        className="h-3 min-w-0 flex-1 accent-verdigris"
        {...(of ? { value: done, max: of } : {})}
      />
      <Button onClick={jobs.stop}>Stop</Button>
    </div>
  );
}
