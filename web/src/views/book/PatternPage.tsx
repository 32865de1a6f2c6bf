import { printPattern, yarnLengthNumber, yarnLengthUnit } from '@puntada/core/craft';
import type { PatternFacts } from '@puntada/core/plan';
import type { BookEntry } from '@puntada/core/words';
import { bookSaid } from '@puntada/core/words';
import { useCallback } from 'react';
import { usePreferences } from '../../api/api.ts';
import { ButtonLink } from '../../parts/Button.tsx';
import { gaugeSpan } from '../../parts/gaugeSpan.ts';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { Term } from '../../parts/terms/Term.tsx';
import type { ShelfPattern } from '../../parts/useShelf.ts';
import { planner } from '../../worker/planner.ts';
import { useAnswer } from '../../worker/useAnswer.ts';
import { OwnActs } from './OwnActs.tsx';

/** One pattern opened: what it can be worked on, how it begins and ends, and the notation it is kept in. */
export function PatternPage({
  source,
  stored,
  pattern,
  entry,
  facts,
  shades,
}: ShelfPattern & {
  entry: BookEntry;
  facts: PatternFacts | undefined;
  shades: readonly string[];
}) {
  const repeat = useOneRepeat(source);
  const { works, alike } = entry.multiples;
  const same = works.stitches === alike.stitches;
  return (
    <article
      aria-label={entry.name}
      className="mb-6 grid gap-x-8 gap-y-4 border-b border-ink pb-6 lg:grid-cols-[330px_minmax(0,1fr)]"
    >
      <PatternPicture pattern={source} shades={shades} side={330} />
      <div className="min-w-0">
        <h2 className="text-[30px] wrap-anywhere">{entry.name}</h2>
        <p className="max-w-[62ch] text-[17px]">{entry.about}</p>
        <dl className="mt-3 grid gap-x-6 sm:grid-cols-[150px_minmax(0,1fr)]">
          <Fact term="Stitch multiple">
            <b className="count">{works.stitches}</b> stitches (chain <b className="count">{works.chains}</b>)
          </Fact>
          {same ? null : (
            <Fact term={<Term name="matching edges">For matching edges</Term>}>
              <b className="count">{alike.stitches}</b> stitches (chain <b className="count">{alike.chains}</b>)
            </Fact>
          )}
          <Fact term={<Term name="true repeat">True repeat</Term>}>
            <b className="count">{entry.trueRepeat}</b> {bookSaid.rowsBeforeStitchColour}
          </Fact>
          <Fact term="Rows">
            <b className="count">{entry.rows.works}</b>
            {entry.rows.alike === entry.rows.works ? null : (
              <>
                {bookSaid.forSameFirstAnd} <b className="count">{entry.rows.alike}</b>
              </>
            )}
          </Fact>
          {facts ? (
            <Fact term="At a glance">
              <Beside facts={facts} />
            </Fact>
          ) : null}
          <Fact term="Colours">{entry.colours}</Fact>
          <Fact term="First row">
            {entry.foundations.map((way) => (
              <span key={way.key} className="block">
                {way.name}; {way.turningChain}
              </span>
            ))}
          </Fact>
          <Fact term="Edges">{entry.edges}</Fact>
          <Fact term="Colour change">{entry.change}</Fact>
          <Fact term="Idle yarn">{entry.idle}</Fact>
          <Fact term={bookSaid.checkAsYouGo}>{entry.lookOver}</Fact>
          {entry.ends ? <Fact term={bookSaid.goodPlacesToEnd}>{entry.ends}</Fact> : null}
          {entry.careful ? (
            <Fact term="Watch out">
              <span aria-hidden>△ </span>
              {entry.careful}
            </Fact>
          ) : null}
          {stored?.pattern.note ? <Fact term="Your note">{stored.pattern.note}</Fact> : null}
        </dl>
        <div className="mt-4 flex flex-wrap items-center gap-4">
          <ButtonLink to={`/wish?pattern=${pattern.key}`} kind="next">
            {bookSaid.startProjectWithIt}
          </ButtonLink>
          <ButtonLink to={`/rehearse/${pattern.key}`}>{bookSaid.rehearseRows}</ButtonLink>
          <OwnActs pattern={pattern} stored={stored} />
          {repeat.length ? (
            <details className="min-w-0">
              <summary className="min-h-11 cursor-pointer py-2.5 text-[15px] underline underline-offset-4">
                {bookSaid.howToWorkOne}
              </summary>
              <ol className="max-w-[72ch] border-l-4 border-rule bg-sheet px-3 py-1 text-[15px]">
                {repeat.map((line) => (
                  <li key={line} className="border-b border-rule py-1.5 last:border-0">
                    {line}
                  </li>
                ))}
              </ol>
            </details>
          ) : null}
          <details className="min-w-0">
            <summary className="min-h-11 cursor-pointer py-2.5 text-[15px] underline underline-offset-4">
              As pattern notation
            </summary>
            <pre className="max-w-full overflow-x-auto border-l-4 border-rule bg-sheet p-3 font-mono text-[13px] leading-snug">
              {printPattern(pattern)}
            </pre>
          </details>
        </div>
      </div>
    </article>
  );
}

/** What a pattern asks, takes and leaves, for a square of a size that the maker knows. */
function Beside({ facts }: { facts: PatternFacts }) {
  const { units, told } = usePreferences();
  const { of10cm } = gaugeSpan(units);
  const [small, large] = units === 'cm' ? ['10 × 10 cm', '30 × 30 cm'] : ['4 × 4 in', '12 × 12 in'];
  return (
    <>
      {difficultyWords[facts.difficulty]}; about{' '}
      <b className="count">
        {yarnLengthNumber(facts.metres * of10cm ** 2, told)} {yarnLengthUnit(told)}
      </b>{' '}
      in {small}; <b className="count">{Math.round(facts.ends * of10cm ** 2)}</b> ends in {large};{' '}
      {facts.reversible ? 'reversible' : 'one right side'}
    </>
  );
}

const difficultyWords = { 1: 'Easy', 2: 'Some practice needed', 3: 'For experienced makers' } as const;

/** The rows of a small cloth of a pattern, written in the worker. */
function useOneRepeat(key: string): readonly string[] {
  const { terms, hand, manner } = usePreferences();
  const ask = useCallback(
    async () => ({ key, lines: await planner.oneRepeat(key, { terms, hand, manner }) }),
    [key, terms, hand, manner],
  );
  const found = useAnswer(ask);
  return found?.key === key ? found.lines : [];
}

function Fact({ term, children }: { term: React.ReactNode; children: React.ReactNode }) {
  return (
    <>
      <dt className="border-t border-rule py-1.5 text-[15px] text-soft max-sm:pb-0">{term}</dt>
      <dd className="border-rule py-1.5 text-[16px] sm:border-t">{children}</dd>
    </>
  );
}
