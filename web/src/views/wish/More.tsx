import { ChevronDown, ChevronRight } from 'lucide-react';
import { createContext, type ReactNode, useContext, useId, useState } from 'react';

/** What of a project is asked only by those who want to say it. */
export const mores = ['about', 'size', 'pattern', 'yarns', 'label', 'set', 'gauge', 'finish'] as const;
export type MoreName = (typeof mores)[number];

export interface Opened {
  readonly isOpen: (name: MoreName) => boolean;
  readonly set: (names: readonly MoreName[], open: boolean) => void;
}

const key = 'puntada.idea';

function kept(): readonly MoreName[] {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
    return Array.isArray(found) ? mores.filter((name) => found.includes(name)) : [];
  } catch {
    return [];
  }
}

/** Which parts are open: what a maker has opened once stays open in this browser. */
export function useOpened(): Opened {
  const [open, setOpen] = useState(kept);
  return {
    isOpen: (name) => open.includes(name),
    set(names, wanted) {
      setOpen((before) => {
        const next = mores.filter((name) => (names.includes(name) ? wanted : before.includes(name)));
        localStorage.setItem(key, JSON.stringify(next));
        return next;
      });
    },
  };
}

const OpenedContext = createContext<Opened>({ isOpen: () => true, set: () => undefined });
export const OpenedParts = OpenedContext.Provider;

export function useMore(name: MoreName): { readonly open: boolean; readonly toggle: () => void; readonly id: string } {
  const { isOpen, set } = useContext(OpenedContext);
  const open = isOpen(name);
  return { open, toggle: () => set([name], !open), id: useId() };
}

/** What can be said beyond the usual, behind one press. @param words what is behind it */
export function More({ name, words, children }: { name: MoreName; words: string; children: ReactNode }) {
  const { open, toggle, id } = useMore(name);
  const Sign = open ? ChevronDown : ChevronRight;
  return (
    <div>
      <button
        type="button"
        aria-expanded={open}
        aria-controls={id}
        onClick={toggle}
        className="-ml-1 inline-flex min-h-11 items-center gap-1 text-left text-[15px] text-soft underline underline-offset-4 hover:text-ink"
      >
        <Sign aria-hidden className="size-4 shrink-0" />
        {words}
      </button>
      <div id={id}>{open ? <div className="pt-2">{children}</div> : null}</div>
    </div>
  );
}

interface MorePartProps {
  readonly name: MoreName;
  readonly title: ReactNode;
  readonly hint?: string;
  /** What is chosen, where it is not open. */
  readonly summary: ReactNode;
  readonly children: ReactNode;
}

/** A part of the idea that has a usual answer: told in a line, and asked when it is opened. */
export function MorePart({ name, title, hint, summary, children }: MorePartProps) {
  const { open, toggle, id } = useMore(name);
  const Sign = open ? ChevronDown : ChevronRight;
  return (
    <section
      className={`grid gap-x-8 gap-y-2 border-b border-rule [contain-intrinsic-block-size:auto_300px] [content-visibility:auto] md:grid-cols-[170px_minmax(0,1fr)] ${open ? 'py-6' : 'py-2'}`}
    >
      <div>
        <h2 className="text-[19px]">
          <button
            type="button"
            aria-expanded={open}
            aria-controls={id}
            onClick={toggle}
            className="-ml-1 flex min-h-11 w-full items-center gap-1.5 text-left hover:underline"
          >
            <Sign aria-hidden className="size-5 shrink-0" />
            {title}
          </button>
        </h2>
        {open && hint ? <p className="mt-1 text-[14px] text-soft">{hint}</p> : null}
      </div>
      <div id={id} className="min-w-0">
        {open ? children : <div className="flex min-h-11 items-center gap-3 text-[16px] text-soft">{summary}</div>}
      </div>
    </section>
  );
}
