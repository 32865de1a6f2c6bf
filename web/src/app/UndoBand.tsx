import { X } from 'lucide-react';
import { useEffect, useRef, useSyncExternalStore } from 'react';
import { useLocation } from 'react-router';
import { leaveOffer, undoOffer, withdrawOffer } from '../parts/undoOffer.ts';

/** What was just deleted or undone at a stroke, and the way back; it stays until something else is done. */
export function UndoBand() {
  const offer = useSyncExternalStore(undoOffer.subscribe, undoOffer.now);
  const button = useRef<HTMLButtonElement>(null);
  const { pathname } = useLocation();
  const before = useRef(pathname);
  // It belongs to the page on which it was made. A page that is still on its way has not opened yet.
  useEffect(() => {
    if (before.current !== pathname) leaveOffer(pathname);
    before.current = pathname;
  }, [pathname]);
  useEffect(() => {
    // What had the focus is gone; it stays with what was done.
    if (offer) button.current?.focus();
  }, [offer]);
  return (
    <div role="status" className={offer ? 'sticky top-0 z-10 bg-ink text-paper' : 'sr-only'}>
      {offer ? (
        <div className="mx-auto flex max-w-[1440px] items-center gap-4 px-6 py-1.5 text-[16px]">
          <p className="min-w-0 flex-1">{offer.did}</p>
          <button
            ref={button}
            type="button"
            onClick={() => {
              withdrawOffer();
              void offer.undo();
            }}
            className="min-h-11 px-2 font-semibold underline underline-offset-4"
          >
            Undo
          </button>
          <button
            type="button"
            aria-label="Close this message"
            onClick={withdrawOffer}
            className="flex size-11 items-center justify-center"
          >
            <X aria-hidden className="size-5" />
          </button>
        </div>
      ) : null}
    </div>
  );
}
