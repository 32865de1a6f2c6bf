import type { Told } from '../../craft/values/problem.ts';
import { type Terms, termed } from '../terms/termed.ts';
import { commandLine } from './problems/commandLine.ts';
import { pages } from './problems/pages.ts';
import { patterns } from './problems/patterns.ts';
import { proofs } from './problems/proofs.ts';
import { records } from './problems/records.ts';
import { server } from './problems/server.ts';
import { sizes } from './problems/sizes.ts';
import type { Table, Words } from './problems/table.ts';
import { typed } from './problems/typed.ts';
import { yarn } from './problems/yarn.ts';

const table: Table = {
  ...typed,
  ...records,
  ...patterns,
  ...sizes,
  ...yarn,
  ...proofs,
  ...server,
  ...pages,
  ...commandLine,
};

function pair({ code, facts }: Told): Words {
  return table[code]?.(facts ?? {}, pair) ?? [`Puntada refused this (${code}).`, 'Try again.'];
}

/** Whether there are words for a code; asked by the test that finds every code. @internal */
export function isWorded(code: string): boolean {
  return code in table;
}

/** A problem in the words of the maker: what is wrong, and what to do. */
export function problemWords(problem: Told, terms: Terms = 'US'): { readonly message: string; readonly hint: string } {
  const [message, hint] = pair(problem);
  return { message: termed(message, terms), hint: termed(hint, terms) };
}

/** The same as one text. */
export function problemText(problem: Told, terms: Terms = 'US'): string {
  const { message, hint } = problemWords(problem, terms);
  return `${message} ${hint}`;
}
