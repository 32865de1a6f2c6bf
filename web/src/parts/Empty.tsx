import type { ReactNode } from 'react';

/** A page with nothing on it yet: what will be here, and what leads there. */
export function Empty({ children, acts }: { children: ReactNode; acts?: ReactNode }) {
  return (
    <div className="grid max-w-[56ch] gap-4 py-6">
      <p className="text-[18px]">{children}</p>
      {acts ? <p className="flex flex-wrap gap-3">{acts}</p> : null}
    </div>
  );
}
