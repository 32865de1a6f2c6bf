import {
  checkGiven,
  checkGivenRows,
  extentsOf,
  findFoundation,
  type GivenVerdict,
  type Problem,
  patternOf,
  printPattern,
  readMultiple,
  type StitchPattern,
} from '@puntada/core/craft';
import { foundationWords, givenRowsWords, givenSaid, givenWords, type Written } from '@puntada/core/words';
import { useId, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { useBookShades } from '../../parts/bookShades.ts';
import { Choice } from '../../parts/Choice.tsx';
import { useCraftWords, useProblemText } from '../../parts/Craft.tsx';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { useWritten } from '../../parts/useWritten.ts';
import { startOn, WrittenLines } from '../../parts/WrittenLines.tsx';
import { FinishedPiece } from './FinishedPiece.tsx';

const ways = ['sc-2nd', 'hdc-2nd', 'hdc-3rd', 'hdc-3rd-counted', 'dc-4th', 'dc-3rd', 'dc-3rd-counted'] as const;

/** A pattern as it stands elsewhere, checked before a chain is made: multiple, chain and row against one another. */
export default function GivenView() {
  const [query, setQuery] = useSearchParams();
  const from = query.get('from') === 'piece' ? 'piece' : 'pattern';
  return (
    <>
      <Head title="Check a pattern" under={givenSaid.checkWrittenPatternOr} />
      <Shelves />
      <main id="main" className="mx-auto grid w-full max-w-[1180px] gap-y-6 px-6 pt-6 pb-12">
        <div>
          <Choice
            label="Start from"
            value={from}
            options={[
              { value: 'pattern', words: 'Written pattern' },
              { value: 'piece', words: 'Finished piece' },
            ]}
            onChange={(next) => setQuery({ from: next }, { replace: true })}
          />
        </div>
        {from === 'piece' ? <FinishedPiece /> : <AsGiven />}
      </main>
    </>
  );
}

/** Multiple, chain and row of a pattern against one another. */
function AsGiven() {
  const navigate = useNavigate();
  const [multiple, setMultiple] = useState('');
  const [chain, setChain] = useState('');
  const [row, setRow] = useState('');
  const [way, setWay] = useState<string>('sc-2nd');
  const told = useCraftWords();
  const rowsId = useId();
  const alone = judge(multiple, chain, row, way);
  // One row in counts is checked as it stands; whatever else is read as rows that somebody wrote.
  const several = row.trim() !== '' && (row.trim().includes('\n') || alone.problems.some(({ path }) => path === 'row'));
  const given = judge(multiple, chain, '', way);
  const { verdict, words = [], problems } = several ? given : alone;
  const read = useWritten(several ? row : '');
  const rows = several && read && !problems.length ? severalRows(read, multiple, chain, way) : undefined;
  const sentence = useProblemText();
  const wrongAt = (field: string) => {
    const problem = problems.find(({ path }) => path === field);
    return problem && sentence(problem);
  };
  return (
    <div className="grid gap-x-12 gap-y-6 lg:grid-cols-2">
      <div className="grid content-start gap-4">
        <TextField
          label="Stitch multiple, as written"
          value={multiple}
          onChange={setMultiple}
          className="font-mono text-[17px]"
          placeholder="multiple of 8 + 4"
          wrong={wrongAt('multiple')}
        />
        <div className="grid gap-4 sm:grid-cols-[140px_minmax(0,1fr)]">
          <TextField
            label="Chains"
            value={chain}
            onChange={setChain}
            className="font-mono text-[17px]"
            inputMode="numeric"
            placeholder="37"
            wrong={wrongAt('chain')}
          />
          <SelectField label="First stitch goes into" value={way} onChange={setWay}>
            {ways.map((key) => (
              <option key={key} value={key}>
                {told(`{${findFoundation(key)?.stitch ?? ''}}`)}: {told(foundationWords({ key }))}
              </option>
            ))}
          </SelectField>
        </div>
        <div>
          <label htmlFor={rowsId} className="label">
            {givenSaid.rowsOneOrMore}
          </label>
          <textarea
            id={rowsId}
            className="field min-h-[150px] py-2 font-mono text-[16px] leading-snug"
            spellCheck={false}
            placeholder="| 4A 4B | 4A"
            value={row}
            onChange={(event) => setRow(event.target.value)}
          />
        </div>
        <p className="text-[15px] text-soft">
          Write colours as counts: <span className="font-mono">6A 3B 6A</span>
          {givenSaid.orWithRepeatBetween} <span className="font-mono">2A | 4B 4A | 2A</span>
          {givenSaid.leaveAnyFieldEmpty}
        </p>
      </div>
      <section aria-label="Result" aria-live="polite" className="content-start">
        {verdict && !(several && !words.length) ? <Verdict verdict={verdict} words={words} bare={several} /> : null}
        {rows ? (
          <div className="grid gap-3 pt-3">
            {rows.words.length ? (
              <div
                className={`border-l-4 px-4 py-3 ${rows.good ? 'border-verdigris bg-verdigris-pale' : 'border-ochre bg-ochre-pale'}`}
              >
                {rows.words.map((line) => (
                  <p key={line} className="py-0.5 text-[18px]">
                    {line}
                  </p>
                ))}
              </div>
            ) : null}
            {rows.pattern ? <ReadPattern pattern={rows.pattern} read={rows.read} /> : null}
            <WrittenLines read={rows.read} />
          </div>
        ) : null}
        {problems.length ? <p className="text-[18px]">{givenSaid.mendWhatMarkedAnd}</p> : null}
        <p className="mt-5 max-w-[58ch] text-[15px] text-soft">{givenSaid.ifItOnePatterns}</p>
        <div className="mt-3 flex flex-wrap gap-3">
          {verdict?.stitches && !several ? (
            <Button
              onClick={() => navigate('/wish', { state: { form: { width: { by: 'chain', count: chain.trim() } } } })}
            >
              {givenSaid.startProjectWithChains(chain.trim())}
            </Button>
          ) : null}
          <ButtonLink to="/desk">{givenSaid.pasteRowsAtChart}</ButtonLink>
          <ButtonLink to="/book">{givenSaid.openPatternBook}</ButtonLink>
        </div>
      </section>
    </div>
  );
}

/** What was read, as a pattern: its cloth, a project on it, its notation. */
function ReadPattern({ pattern, read }: { pattern: StitchPattern; read: Written }) {
  const navigate = useNavigate();
  const shadesOf = useBookShades();
  return (
    <div className="flex flex-wrap items-start gap-4">
      <PatternPicture pattern={printPattern(pattern)} shades={shadesOf(pattern)} side={180} />
      <div className="grid min-w-0 flex-1 content-start gap-2">
        <Button kind="next" onClick={() => navigate('/wish', startOn(pattern, read))}>
          {givenSaid.startProjectOnIt}
        </Button>
        <details>
          <summary className="min-h-11 cursor-pointer py-2.5 text-[15px] underline underline-offset-4">
            {givenSaid.inOurNotation}
          </summary>
          <pre className="max-w-full overflow-x-auto border-l-4 border-rule bg-sheet p-3 font-mono text-[13px] leading-snug">
            {printPattern(pattern)}
          </pre>
        </details>
      </div>
    </div>
  );
}

/** Several rows against each other, the chain and the multiple. */
function severalRows(read: Written, multiple: string, chain: string, way: string) {
  const foundation = findFoundation(way);
  const own = multiple.trim() ? readMultiple(multiple) : undefined;
  const given = {
    ...(own?.ok ? { multiple: own.value } : {}),
    ...(chain.trim() ? { chain: Number(chain) } : read.chain ? { chain: read.chain } : {}),
  };
  const counts = read.lines.flatMap(({ stitches }) => stitches ?? []);
  const works = read.drawing && extentsOf(read.drawing).across.works;
  const verdict = foundation ? checkGivenRows(given, counts, works, foundation) : {};
  const pattern = read.drawing && { ...patternOf(read.drawing), name: givenSaid.writtenRows };
  return {
    read: { ...read, chain: given.chain },
    words: givenRowsWords(given, verdict, works),
    good: verdict.chainFits !== false && verdict.multiple !== 'other',
    pattern,
  };
}

function Verdict({
  verdict,
  words,
  bare,
}: {
  verdict: GivenVerdict;
  words: readonly string[];
  /** What is checked beside it stands below. */
  bare: boolean;
}) {
  const told = useCraftWords();
  const good = verdict.rowFits !== false && verdict.multipleOf !== 'neither';
  return (
    <div
      className={`border-l-4 px-4 py-3 ${good ? 'border-verdigris bg-verdigris-pale' : 'border-ochre bg-ochre-pale'}`}
    >
      {words.map((line) => (
        <p key={line} className="py-0.5 text-[18px]">
          {told(line)}
        </p>
      ))}
      {words.length || bare ? null : <p className="text-[18px]">{givenSaid.typeChainOrRow}</p>}
    </div>
  );
}

function judge(
  multiple: string,
  chain: string,
  row: string,
  way: string,
): { verdict?: GivenVerdict; words?: readonly string[]; problems: readonly Problem[] } {
  const foundation = findFoundation(way);
  const read = multiple.trim() ? readMultiple(multiple) : undefined;
  const chains = chain.trim() ? Number(chain) : undefined;
  const problems: Problem[] = [];
  if (read && !read.ok) problems.push(...read.problems.map((problem) => ({ ...problem, path: 'multiple' })));
  if (chains !== undefined && !(Number.isInteger(chains) && chains > 0)) {
    problems.push({ code: 'not-chains', path: 'chain', facts: { text: chain } });
  }
  if (problems.length || !foundation) return { problems };
  const given = {
    ...(read?.ok ? { multiple: read.value } : {}),
    ...(chains === undefined ? {} : { chain: chains }),
    ...(row.trim() ? { row } : {}),
  };
  const checked = checkGiven(given, foundation);
  return checked.ok
    ? { verdict: checked.value, words: givenWords(given, foundation, checked.value), problems: [] }
    : { problems: checked.problems.map((problem) => ({ ...problem, path: 'row' })) };
}
