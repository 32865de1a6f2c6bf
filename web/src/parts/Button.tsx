import type { AnchorHTMLAttributes, ButtonHTMLAttributes, KeyboardEvent, ReactNode } from 'react';
import { Link } from 'react-router';

type Kind = 'next' | 'plain' | 'quiet';

const looks: Readonly<Record<Kind, string>> = {
  next: 'next-act bg-madder text-white hover:bg-madder-deep border border-madder disabled:bg-edge disabled:border-edge',
  plain: 'bg-paper text-ink border border-ink hover:bg-sheet disabled:border-edge disabled:text-soft',
  quiet: 'bg-transparent text-ink border border-transparent underline underline-offset-4 hover:bg-sheet',
};

const base =
  'inline-flex min-h-11 items-center justify-center gap-3 rounded-md px-4 text-[16px] font-semibold leading-tight no-underline';

/** A key held down, perhaps from the page before, presses nothing. */
function onceOnly(event: KeyboardEvent): void {
  if (event.repeat && event.key === 'Enter') event.preventDefault();
}

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly kind?: Kind;
  readonly shortcut?: string;
}

/** A button says what it does. `next` is the one thing to do now; there is one of it on a screen. */
export function Button({ kind = 'plain', shortcut, className = '', children, type = 'button', ...rest }: Props) {
  return (
    <button type={type} className={`${base} ${looks[kind]} ${className}`} onKeyDown={onceOnly} {...rest}>
      {children}
      {shortcut ? <Key inverse={kind === 'next'}>{shortcut}</Key> : null}
    </button>
  );
}

export function ButtonLink({
  to,
  kind = 'plain',
  className = '',
  children,
}: {
  to: string;
  kind?: Kind;
  className?: string;
  children: ReactNode;
}) {
  return (
    <Link to={to} className={`${base} ${looks[kind]} ${className}`}>
      {children}
    </Link>
  );
}

/** A file of the server, looked like a button: it opens or is saved. */
export function FileLink({
  kind = 'plain',
  className = '',
  children,
  ...rest
}: AnchorHTMLAttributes<HTMLAnchorElement> & { readonly kind?: Kind }) {
  return (
    <a className={`${base} ${looks[kind]} ${className}`} {...rest}>
      {children}
    </a>
  );
}

/** A key of the keyboard, shown where it acts. */
export function Key({ children, inverse = false }: { children: ReactNode; inverse?: boolean }) {
  return (
    <kbd
      className={`rounded-sm border px-1.5 py-0.5 font-mono text-[13px] font-medium leading-none ${inverse ? 'border-white/80' : 'border-edge'}`}
    >
      {children}
    </kbd>
  );
}
