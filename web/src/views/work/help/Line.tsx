import type { ReactNode } from 'react';

/** One figure and what it is. */
export function Line({ term, children }: { term: string; children: ReactNode }) {
  return (
    <div className="flex items-baseline justify-between gap-4 border-b border-rule py-1.5">
      <dt className="text-soft">{term}</dt>
      <dd className="count text-[17px]">{children}</dd>
    </div>
  );
}
