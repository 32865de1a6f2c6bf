import type { ReactNode } from 'react';
import { ButtonLink } from '../parts/Button.tsx';
import { Head } from './Shell.tsx';
import { Shelves } from './Shelves.tsx';

/** The page for what is not there, with the ways back. @param what a sentence that says what is missing */
export function Missing({ what, children }: { what: string; children?: ReactNode }) {
  return (
    <>
      <Head title="Not here" />
      <Shelves />
      <main id="main" className="mx-auto grid w-full max-w-[62ch] content-start gap-5 px-6 pt-10 pb-12">
        <p className="text-[20px]">{what}</p>
        <p className="flex flex-wrap gap-3">
          <ButtonLink to="/" kind="next">
            Open the bench
          </ButtonLink>
          {children}
        </p>
      </main>
    </>
  );
}
