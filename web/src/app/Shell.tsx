import { Link, Outlet } from 'react-router';
import { usePreferencesQuery } from '../api/api.ts';
import { Delivery } from './Delivery.tsx';
import { Preferences } from './Preferences.tsx';
import { UndoBand } from './UndoBand.tsx';

/** The mark: three stitches of a running seam under a hook's bend. */
function Mark() {
  return <img src="/mark.svg" alt="" className="size-9" />;
}

/** What stands around every view: the way home, and how the maker reads. Views put their own heading beside it. */
export function Shell() {
  // Until it is known how the maker reads, nothing is written: it would be planned twice, and told in other words first.
  const { isLoading } = usePreferencesQuery();
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-10 focus:bg-paper focus:p-3">
        Skip to the content
      </a>
      <Delivery />
      <UndoBand />
      {isLoading ? <p className="p-6 text-soft">Opening…</p> : <Outlet />}
    </div>
  );
}

/** The head of a view. */
export function Head({
  title,
  under,
  children,
}: {
  title: string;
  under?: string | undefined;
  children?: React.ReactNode;
}) {
  return (
    <header className="border-b border-rule bg-paper">
      <div className="mx-auto flex max-w-[1440px] flex-wrap items-center gap-x-5 gap-y-2 px-6 py-3">
        <Link to="/" aria-label="Bench: all projects" className="rounded-md">
          <Mark />
        </Link>
        <div className="min-w-0 flex-1">
          <h1 className="truncate text-[24px]" title={title}>
            {title}
          </h1>
          {under ? <p className="truncate text-[15px] text-soft">{under}</p> : null}
        </div>
        <div className="order-last flex flex-wrap items-center gap-x-5 gap-y-2 max-lg:basis-full lg:order-none">
          {children}
        </div>
        <Preferences />
      </div>
    </header>
  );
}
