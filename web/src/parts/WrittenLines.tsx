import { printPattern, type StitchPattern } from '@puntada/core/craft';
import type { Written, WrittenLine } from '@puntada/core/words';
import { useProblemText } from './Craft.tsx';
import { Problems } from './Problems.tsx';

/** A new project on a pattern that was read, with the chain and the gauge that the text gives: what the router carries. */
export function startOn(pattern: StitchPattern, { chain, gauge }: Pick<Written, 'chain' | 'gauge'>) {
  const width = chain ? { width: { by: 'chain', count: String(chain) } } : {};
  const count = ({ count, over }: { count: number; over: string }) => ({ count: String(count), over });
  const counted = gauge ? { gauge: { from: 'counted', stitches: count(gauge.stitches), rows: count(gauge.rows) } } : {};
  return { state: { form: { pattern: { key: printPattern(pattern), numbers: {} }, ...width, ...counted } } };
}

/** How each line was understood, and what is wrong between them. */
export function WrittenLines({ read }: { read: Written }) {
  const { lines, colours, terms, problems } = read;
  return (
    <>
      <p className="text-[15px]">
        Read in {terms} terms
        {colours.length
          ? `; ${colours.map(({ letter, name }) => (letter === name ? letter : `${letter} is ${name}`)).join(', ')}`
          : ''}
        .
      </p>
      <Problems problems={problems} />
      <ol className="max-h-[320px] overflow-y-auto border-t border-rule">
        {lines.map((line) => (
          <li key={line.line} className="border-b border-rule py-1.5 text-[15px]">
            <LineRead line={line} />
          </li>
        ))}
      </ol>
    </>
  );
}

function LineRead({ line: { line, text, what, rows, stitches, problem, taken } }: { line: WrittenLine }) {
  const sentence = useProblemText();
  const said = rows ? (rows[0] === rows[1] ? `row ${rows[0]}` : `rows ${rows[0]} to ${rows[1]}`) : undefined;
  const good = !problem && what !== 'unread';
  return (
    <>
      <p className={good ? '' : 'text-brick'}>
        <span aria-hidden>{good ? (what === 'note' ? '· ' : '✓ ') : '✕ '}</span>
        <span className="sr-only">Line {line}: </span>
        {what === 'note'
          ? 'passed over'
          : what === 'chain'
            ? 'the chain'
            : what === 'gauge'
              ? 'the gauge'
              : (said ?? 'not read')}
        {stitches ? `, ${stitches} stitches` : ''}
        {taken?.length ? `, ${taken.map((each) => `“${each.word}” read as ${each.meant}`).join(', ')}` : ''}
      </p>
      {good ? null : (
        <>
          <p className="font-mono text-[13px] text-soft">{text.slice(0, 160)}</p>
          {problem ? <p>{sentence(problem)}</p> : null}
        </>
      )}
    </>
  );
}
