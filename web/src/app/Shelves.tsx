import { NavLink } from 'react-router';

const shelves = [
  ['/', 'Bench'],
  ['/book', 'Pattern book'],
  ['/drawer', 'Yarn drawer'],
  ['/swatches', 'Swatch book'],
  ['/shopping', 'Shopping list'],
  ['/evenings', 'Evenings'],
  ['/given', 'Check a pattern'],
  ['/words', 'Glossary'],
] as const;

/** The records behind the plans, one beside the other; the open one is told by ink and a line under it. */
export function Shelves() {
  return (
    <nav aria-label="Main pages" className="border-b border-rule bg-paper">
      <ul className="mx-auto flex max-w-[1440px] gap-x-1 overflow-x-auto px-4 max-lg:mask-r-from-90%">
        {shelves.map(([to, words]) => (
          <li key={to}>
            <NavLink
              to={to}
              end={to === '/'}
              className="flex min-h-11 items-center border-b-[3px] border-transparent px-3 text-[15px] whitespace-nowrap text-soft no-underline hover:text-ink aria-[current=page]:border-ink aria-[current=page]:font-semibold aria-[current=page]:text-ink"
            >
              {words}
            </NavLink>
          </li>
        ))}
      </ul>
    </nav>
  );
}
