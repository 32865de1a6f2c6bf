import { appSaid } from '@puntada/core/words';
import { useEffect, useRef } from 'react';
import { useLocation, useNavigationType } from 'react-router';

/** What the pages of a project are called, by the end of their address. */
const pages: Readonly<Record<string, string>> = {
  wish: 'Idea',
  size: 'Size',
  rows: 'Rows',
  print: 'Print',
  labels: 'Labels',
  yarn: 'Yarn',
  strips: 'Test strips',
  finish: 'Finishing',
  work: 'Make',
  log: 'Log',
  onward: appSaid.planRestAgain,
};

/** The view that was opened last, and whether its heading was given the focus: the first of a visit leaves it alone. */
let opened: string | undefined;
let given = false;

interface Props {
  readonly children: string;
  /** What the page is of; without it what its address says. */
  readonly page?: string | undefined;
  readonly className?: string;
}

/** The heading of a view: the name of its page, and where the focus goes when the view is opened. */
export function Title({ children, page: own, className = 'text-[24px]' }: Props) {
  const heading = useRef<HTMLHeadingElement>(null);
  const { pathname } = useLocation();
  const way = useNavigationType();
  useEffect(() => {
    const fresh = opened !== pathname;
    if (fresh) given = opened !== undefined;
    opened = pathname;
    // A heading may be drawn twice, while its view is still read and once it is: the focus goes along.
    if (!given || !(fresh || document.activeElement === document.body)) return;
    heading.current?.focus({ preventScroll: true });
    if (fresh && way === 'PUSH' && !window.location.hash) window.scrollTo(0, 0);
  }, [pathname, way]);
  const page = own ?? pages[pathname.split('/')[3] ?? ''];
  return (
    <>
      <title>{page && page !== children ? `${page}: ${children} · Puntada` : `${children} · Puntada`}</title>
      <h1 ref={heading} tabIndex={-1} className={children.length > 44 ? 'text-[18px]' : className}>
        {children}
      </h1>
    </>
  );
}
