import { appSaid } from '@puntada/core/words';
import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useLocation } from 'react-router';
import { Button } from '../parts/Button.tsx';

/** A file of the pages is not there: the program was updated, or the server is away. */
export class PageGone extends Error {
  constructor(cause: unknown) {
    super(appSaid.filePagesGone, { cause });
    this.name = 'PageGone';
  }
}

function Broke({ error }: { error: unknown }) {
  const gone = error instanceof PageGone;
  return (
    <main id="main" className="mx-auto grid w-full max-w-[62ch] content-start gap-5 px-6 pt-10 pb-12">
      <h1 className="text-[26px]">{gone ? appSaid.thisPageNotThere : appSaid.somethingBrokeOnThis}</h1>
      <p className="text-[18px]">{gone ? appSaid.puntadaWasUpdatedSince : appSaid.whatYouSavedSafe}</p>
      <p className="flex flex-wrap items-center gap-4">
        <Button kind="next" onClick={() => location.reload()}>
          Load it again
        </Button>
        {/* A plain link: the pages are taken in anew. */}
        <a href="/" className="inline-flex min-h-11 items-center text-[16px] underline underline-offset-4">
          Open the bench
        </a>
      </p>
    </main>
  );
}

/** Whatever breaks below is told on a page of its own, with the ways back; another address begins anew. */
export function Unbroken({ children }: { children: ReactNode }) {
  const { pathname } = useLocation();
  return (
    <ErrorBoundary FallbackComponent={Broke} resetKeys={[pathname]}>
      {children}
    </ErrorBoundary>
  );
}
