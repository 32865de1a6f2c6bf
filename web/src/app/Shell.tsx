import { appSaid } from '@puntada/core/words';
import { Suspense } from 'react';
import { Link, Outlet } from 'react-router';
import { usePreferencesQuery } from '../api/api.ts';
import { Announcer } from './Announcer.tsx';
import { Unbroken } from './Broken.tsx';
import { Delivery } from './Delivery.tsx';
import { PageShape } from './PageShape.tsx';
import { Preferences } from './Preferences.tsx';
import { Title } from './Title.tsx';
import { UndoBand } from './UndoBand.tsx';
import { useDrop } from './useDrop.ts';
import { usePrintKey } from './usePrintKey.ts';

/** The way home, in a word where there is room for it. */
export function HomeLink() {
  return (
    <Link
      to="/"
      aria-label="Bench: all projects"
      className="flex min-h-11 min-w-11 shrink-0 items-center gap-x-2 rounded-md text-[15px] leading-none no-underline hover:underline max-sm:flex-col max-sm:gap-y-1 max-sm:text-[12px]"
    >
      <Mark />
      <span>Bench</span>
    </Link>
  );
}

/** The mark: three stitches of a running seam under a hook's bend. */
function Mark() {
  return <img src="/mark.svg" alt="" className="size-9" />;
}

/**
 * What stands around every view: the way home, and how the maker reads. Views put their own heading beside it.
 * @param ready the first view has been fetched
 */
export function Shell({ ready }: { ready: boolean }) {
  // Until it is known how the maker reads, nothing is written: it would be planned twice, and told in other words first.
  const { isLoading } = usePreferencesQuery();
  usePrintKey();
  useDrop();
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-10 focus:bg-paper focus:p-3">
        {appSaid.skipToContent}
      </a>
      <Delivery />
      <UndoBand />
      <Announcer />
      {isLoading || !ready ? (
        <PageShape />
      ) : (
        <Unbroken>
          <Suspense fallback={<PageShape />}>
            <Outlet />
          </Suspense>
        </Unbroken>
      )}
    </div>
  );
}

/** The head of a view. */
export function Head({
  title,
  page,
  under,
  children,
}: {
  title: string;
  /** What the page is of, where its heading does not say it. */
  page?: string | undefined;
  under?: string | undefined;
  children?: React.ReactNode;
}) {
  return (
    <header className="border-b border-rule bg-paper">
      <div className="mx-auto flex max-w-[1440px] flex-wrap items-center gap-x-5 gap-y-2 px-6 py-3 max-sm:gap-x-3">
        <HomeLink />
        <div className="min-w-0 flex-1">
          <Title page={page}>{title}</Title>
          {under ? <p className="text-[15px] leading-tight text-soft">{under}</p> : null}
        </div>
        <div className="order-last flex flex-wrap items-center gap-x-5 gap-y-2 max-lg:basis-full lg:order-none">
          {children}
        </div>
        <Preferences />
      </div>
    </header>
  );
}
