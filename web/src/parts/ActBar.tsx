import { partsSaid } from '@puntada/core/words';
import type { ReactNode } from 'react';

/** On a small screen: what the choices come to and the next act, always in sight. It stands after what it is the act of. */
export function ActBar({ children }: { children: ReactNode }) {
  return (
    <section
      aria-label={partsSaid.whatItComesTo}
      className="sticky bottom-0 z-10 -mx-6 mt-4 flex items-center gap-3 border-t border-ink bg-paper px-4 py-2 lg:hidden"
    >
      {children}
    </section>
  );
}
