import { patternBook, type StitchPattern, techniqueNamed, techniques } from '@puntada/core/craft';
import type { PatternFacts } from '@puntada/core/plan';
import { type BookEntry, bookEntry, bookSaid, techniqueWords } from '@puntada/core/words';
import { useCallback, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { useOrderPatternsMutation } from '../../api/records.ts';
import { Missing } from '../../app/Missing.tsx';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { useBookShades } from '../../parts/bookShades.ts';
import { Choice } from '../../parts/Choice.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { useGrowing } from '../../parts/useGrowing.ts';
import { type ShelfPattern, useShelf } from '../../parts/useShelf.ts';
import { planner } from '../../worker/planner.ts';
import { useAnswer } from '../../worker/useAnswer.ts';
import { PatternPage } from './PatternPage.tsx';

/** What a look through the book is after. */
const looks = ['any', 'blocks', 'lines', 'figures', 'texture'] as const;

function hasLook(pattern: StitchPattern, look: (typeof looks)[number]): boolean {
  if (look === 'any' || (look === 'figures' && pattern.chart.length > 0)) return true;
  return techniqueNamed(pattern.technique)?.looks.includes(look) === true;
}

const orders = {
  book: () => 0,
  name: (a: BookEntry, b: BookEntry) => a.name.localeCompare(b.name),
  repeat: (a: BookEntry, b: BookEntry) => a.trueRepeat - b.trueRepeat,
  multiple: (a: BookEntry, b: BookEntry) => a.multiple - b.multiple,
} as const;

/** Orders that hang on what was measured of each pattern. */
const measuredOrders = {
  ease: (facts: PatternFacts) => facts.difficulty,
  yarn: (facts: PatternFacts) => facts.metres,
  ends: (facts: PatternFacts) => facts.ends,
} as const;

/** What was measured of every pattern; empty until the worker has done it. */
function useFacts(own: readonly ShelfPattern[]): ReadonlyMap<string, PatternFacts> {
  const written = JSON.stringify(own.map(({ source }) => source));
  const ask = useCallback(() => planner.bookFacts(JSON.parse(written)), [written]);
  const found = useAnswer(ask);
  return useMemo(() => new Map(found?.map((each) => [each.key, each])), [found]);
}

function compare(order: string, facts: ReadonlyMap<string, PatternFacts>, a: BookEntry, b: BookEntry): number {
  const measured = measuredOrders[order as keyof typeof measuredOrders];
  if (!measured) return (orders[order as keyof typeof orders] ?? orders.book)(a, b);
  const [one, other] = [facts.get(a.key), facts.get(b.key)];
  return one && other ? measured(one) - measured(other) : 0;
}

/** The pattern book: every stitch pattern as cloth, and one of them opened. */
export default function BookView() {
  const { key } = useParams();
  const [query, setQuery] = useSearchParams();
  const [text, setText] = useState('');
  const look = (query.get('look') ?? 'any') as (typeof looks)[number];
  const order = query.get('by') ?? 'book';
  // The address follows in its own time; the box answers at once.
  const [reversible, setReversible] = useState(query.get('faces') === 'both');
  const told = useCraftWords();
  const { terms } = usePreferences();
  const shelf = useShelf();
  const facts = useFacts(shelf.own);
  const shadesOf = useBookShades();
  const technique = query.get('in') ?? '';
  const entries = useMemo(
    () =>
      shelf.all.flatMap((each) => {
        const entry = bookEntry(each.pattern, {}, terms);
        return entry.ok ? [{ ...each, entry: entry.value }] : [];
      }),
    [terms, shelf],
  );
  // What is still being drawn may not be a pattern yet: it is opened on the desk.
  const unfinished = shelf.own.filter(({ pattern }) => !entries.some((each) => each.pattern.key === pattern.key));
  const change = (name: string, value: string) => {
    const next = new URLSearchParams(query);
    if (value) next.set(name, value);
    else next.delete(name);
    setQuery(next, { replace: true });
  };
  const words = text.trim().toLowerCase();
  const shown = entries
    .filter(({ pattern }) => hasLook(pattern, look))
    .filter(({ pattern, stored }) => !technique || (technique === 'own' ? stored : pattern.technique === technique))
    .filter(({ entry }) => `${entry.name} ${entry.about} ${entry.technique}`.toLowerCase().includes(words))
    .filter(({ pattern }) => !reversible || facts.get(pattern.key)?.reversible)
    .sort((a, b) => compare(order, facts, a.entry, b.entry));
  // By hand where nothing else rules: the maker's own alone, in the order of the book.
  const ownIds = shelf.own.flatMap(({ stored }) => (stored ? [stored.id] : []));
  const byHand = technique === 'own' && order === 'book' && !words && ownIds.length > 1;
  const [putInOrder] = useOrderPatternsMutation();
  const drawn = useGrowing(shown.length, 8);
  const open = entries.find(({ pattern }) => pattern.key === key);
  if (key && !open && shelf.known) {
    return (
      <Missing what={bookSaid.thereNoSuchPattern}>
        <ButtonLink to="/book">{bookSaid.openPatternBook}</ButtonLink>
      </Missing>
    );
  }
  return (
    <>
      <Head
        title="Pattern book"
        page={open && `${open.entry.name}, Pattern book`}
        under={bookSaid.stitchPatternsInTechniques(patternBook.length, techniques.length, shelf.own.length)}
      >
        <ButtonLink to="/desk">Make a pattern</ButtonLink>
      </Head>
      <Shelves />
      <main id="main" className="mx-auto w-full max-w-[1440px] px-6 pt-4 pb-10">
        {open ? <PatternPage {...open} shades={shadesOf(open.pattern)} facts={facts.get(open.pattern.key)} /> : null}
        {unfinished.length ? (
          <p className="mb-4 text-[15px]">
            Not finished yet:{' '}
            {unfinished.map(({ pattern, stored }) => (
              <Link
                key={pattern.key}
                to={`/desk/${stored?.id}`}
                className="mr-3 inline-flex min-h-11 items-center underline"
              >
                {pattern.name}
              </Link>
            ))}
          </p>
        ) : null}
        <div className="flex flex-wrap items-end gap-x-5 gap-y-3 border-b border-rule pb-4">
          <div className="w-[220px]">
            <label htmlFor="find" className="label">
              Find
            </label>
            <input id="find" className="field" value={text} onChange={(event) => setText(event.target.value)} />
          </div>
          <div className="w-[240px]">
            <SelectField label="Technique" value={technique} onChange={(key) => change('in', key)}>
              <option value="">any</option>
              {shelf.own.length ? <option value="own">my own patterns</option> : null}
              {techniques.map((each) => (
                <option key={each.key} value={each.key}>
                  {told(techniqueWords(each.key).name)}
                </option>
              ))}
            </SelectField>
          </div>
          <Choice
            above="Look"
            small
            label="Look"
            value={look}
            options={looks.map((value) => ({ value, words: value }))}
            onChange={(value) => change('look', value === 'any' ? '' : value)}
          />
          <Choice
            above="Sort by"
            small
            label="Sort by"
            value={order}
            options={[...Object.keys(orders), ...Object.keys(measuredOrders)].map((value) => ({
              value,
              words: value,
            }))}
            onChange={(value) => change('by', value === 'book' ? '' : value)}
          />
        </div>
        <label className="flex min-h-11 w-fit cursor-pointer items-center gap-2 pt-2 text-[15px]">
          <input
            type="checkbox"
            className="size-5 accent-ink"
            checked={reversible}
            onChange={({ target }) => {
              setReversible(target.checked);
              change('faces', target.checked ? 'both' : '');
            }}
          />
          Reversible only
        </label>
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(258px,1fr))] gap-x-5 gap-y-6 pt-5">
          {shown.slice(0, drawn).map(({ source, pattern, entry, stored }) => (
            <li
              key={pattern.key}
              className="-m-1.5 min-w-0 p-1.5 [contain-intrinsic-block-size:auto_390px] [content-visibility:auto]"
            >
              <Link to={`/book/${pattern.key}?${query}`} className="group block rounded-md no-underline">
                <PatternPicture pattern={source} shades={shadesOf(pattern)} side={258} />
                <span className="mt-2 block font-display text-[19px] font-semibold wrap-anywhere group-hover:underline">
                  {entry.name}
                </span>
              </Link>
              <p className="text-[14px] leading-snug text-soft">{stored?.pattern.note || entry.about}</p>
              <p className="mt-1 text-[14px]">
                {entry.technique},{' '}
                {entry.colours.replaceAll(' ', '').length > 3
                  ? bookSaid.severalColours
                  : bookSaid.colours(entry.colours.split(' ').length)}
                {stored ? ', your own' : ''}
              </p>
              {stored && byHand ? (
                <Places
                  name={entry.name}
                  at={ownIds.indexOf(stored.id)}
                  last={ownIds.length - 1}
                  onMove={(to) => void putInOrder(movedIn(ownIds, ownIds.indexOf(stored.id), to))}
                />
              ) : null}
            </li>
          ))}
        </ul>
        {shown.length ? null : <p className="pt-6 text-soft">{bookSaid.noPatternMatchesClear}</p>}
      </main>
    </>
  );
}

/** The same list with one of its own at another place. */
function movedIn(ids: readonly string[], from: number, to: number): string[] {
  const rest = ids.filter((_, i) => i !== from);
  return [...rest.slice(0, to), ids[from] as string, ...rest.slice(to)];
}

interface PlacesProps {
  readonly name: string;
  readonly at: number;
  readonly last: number;
  readonly onMove: (to: number) => void;
}

/** A pattern of the maker's own, put before or behind its neighbour. */
function Places({ name, at, last, onMove }: PlacesProps) {
  return (
    <p className="flex gap-2 pt-1">
      <Button
        kind="quiet"
        className="-ml-4"
        disabled={at <= 0}
        aria-label={bookSaid.earlier(name)}
        onClick={() => onMove(at - 1)}
      >
        Earlier
      </Button>
      <Button kind="quiet" disabled={at >= last} aria-label={bookSaid.later(name)} onClick={() => onMove(at + 1)}>
        Later
      </Button>
    </p>
  );
}
