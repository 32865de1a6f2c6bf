import type { Reading } from './shown.ts';
import type { MadeUnit, Shown } from './surfaces.ts';

/*
 * Reads the same facts out of every surface as a maker would, with words of its own: it shares no counting with the program, only
 * what is written. A contradiction is two surfaces that say one fact differently.
 */

/** Two surfaces that say one fact differently, or one that says what cannot be. */
export interface Contradiction {
  readonly fact: string;
  readonly said: string;
}

type Say = (fact: string, ...said: (readonly [surface: string, value: string | number | undefined])[]) => void;

function found(text: string, pattern: RegExp): string | undefined {
  return pattern.exec(text)?.[1];
}

function sum(numbers: readonly number[]): number {
  return numbers.reduce((all, each) => all + each, 0);
}

/** Chains that the work begins with, and their colour. */
function chain(shown: Shown, say: Say): void {
  const { size, rows, make, text } = shown;
  const [first] = rows;
  const step = make.find(({ kind, parts }) => kind === 'step' && /^Chain \d+/.test(parts[0] ?? ''));
  const chains: readonly (readonly [string, string | undefined])[] = [
    ['Size', found(size, /^(\d+) ¦ chains/)],
    ['Rows', found(first ?? '', /chain (\d+) in [A-H]/)],
    ['Make', found(step?.parts[0] ?? '', /^Chain (\d+)/)],
    ['text', found(text, /Foundation: Chain (\d+)/)],
  ];
  say('foundation chain', ...chains);
  say(
    'colour of the beginning',
    ['Size', found(size, /(?:chains|ring) ¦? ?in ([A-H])/)],
    ['Rows', found(first ?? '', /(?:chain \d+|magic ring|begin) in ([A-H])/)],
    ['Make', found(step?.parts[0] ?? '', /^Chain \d+ ?([A-H])/)],
    ['text', found(text, /Foundation: .*? in ([A-H])\b/)],
  );
}

/** Ends that are woven in, of everything together. */
function ends({ size, finishing, make, document, csv }: Shown, say: Say): void {
  const pieces = Number(document.size.pieces);
  const woven = sum(make.map((unit) => unit.ends));
  say(
    'ends to weave in',
    ['Size', found(size, /Ends to weave in ¦ (\d+)/)],
    ['Finishing', found(finishing, /(\d+) to weave in/)],
    ['Make', pieces > 1 && woven === 0 ? 0 : woven],
    ['CSV', sum(csv.split('\n').flatMap((line) => (/,all,.*,m,/.test(line) ? [Number(line.split(',').at(-1))] : [])))],
    ['JSON', document.ends.toWeave],
  );
}

/** Rows, rounds or diagonals, and what they are called. */
function courses({ rows, make, text, document }: Shown, say: Say): void {
  const unit = make.find(({ kind }) => kind === 'row');
  const of = /^(Row|Round|Diagonal) \d+ ?of (\d+)/.exec(unit?.parts[0] ?? '');
  say('courses', ['Rows', rows.length], ['Make', of?.[2]], ['JSON', document.size.courses]);
  say('what a course is called', ['Make', of?.[1]], ['text', found(text, /^(Row|Round|Diagonal) 1 /m)]);
}

/** What there should be at the end of a course. */
function rowEnd({ rows, make }: Shown, say: Say): void {
  for (const { kind, row, parts } of make) {
    if (kind !== 'row') continue;
    const written = rows[row - 1] ?? '';
    const [first = ''] = parts;
    const wanted = /You should have: (\d+) (stitches|blocks?|\w+)/.exec(written);
    const clusters = found(written, /: (\d+) clusters?/) ?? found(written, /You should have: (\d+) clusters?/);
    const counted = /At the end of \w+ \d+ ¦ (Stitches|Blocks|Clusters) ¦ (\d+)/.exec(first);
    const left = /(\d+) (stitches|blocks|clusters) left in the/.exec(first);
    const inRow = counted?.[1] === 'Clusters' ? clusters : wanted?.[1];
    say(`count of course ${row}`, ['Rows', inRow], ['Make, at its end', counted?.[2]], ['Make, left', left?.[1]]);
    const colours = /\(([^()]*\d+ [A-H][^()]*)\)/.exec(written.split('You should have:')[1] ?? '')?.[1];
    const shown = /¦ (in [A-H](?: \/ in [A-H])+) ¦ ([\d /]+) ¦/.exec(first);
    if (shown) {
      const names = (shown[1] as string).split(' / ');
      const counts = (shown[2] as string).split(' / ');
      const told = names.map((name, i) => `${counts[i]} ${name.replace('in ', '')}`).join(', ');
      say(`colours of course ${row}`, ['Rows', colours], ['Make', told]);
    }
  }
}

/** What becomes of the last loop, and what is done next. */
function ending(shown: Shown, say: Say): void {
  const { rows, make, finishing, document, text } = shown;
  const last = rows.at(-1) ?? '';
  const sentence = (from: string) =>
    found(
      from,
      /(Do not cut [A-H]: [^.]+\.|Fasten off: cut [^.]+\.|Lock the last loop: [^.]+\.|Cut [A-H] and leave a long end [^.]+\.|Fasten off the last row like the others\.)/,
    );
  const unit = make.filter(({ kind, piece }) => kind === 'row' && piece === 0).at(-1);
  say(
    'how it ends',
    ['Rows', sentence(last)],
    ['Make', sentence(unit?.parts[0] ?? '')],
    ['Finishing', sentence(finishing)],
    ['JSON', sentence(document.ending)],
  );
  void text;
  const kept = found(last, /Do not cut ([A-H]):/);
  if (kept) {
    const cut = new RegExp(`[Ff]asten off ${kept}\\b`);
    if (cut.test(last.replace(/Do not cut [A-H]/g, '')))
      say('a yarn that goes on', ['Rows', 'cut'], ['Rows, end', 'kept']);
    say('a yarn that goes on is taken up', ['Rows', kept], ['Finishing', found(finishing, /Go on with ([A-H]),/)]);
  } else if (
    /Go on with [A-H], without cutting/.test(finishing.split('¦ Ends')[0] ?? '') &&
    !document.finish[0]?.steps.some((step) => step.startsWith('Join '))
  )
    say('a yarn that goes on', ['Rows', 'cut'], ['Finishing', 'goes on']);
  const lock = found(last, /lay ([A-H]) across it/);
  if (lock && new RegExp(`[Ff]asten off ${lock}\\b`).test(rows.join(' ')))
    say('a yarn that locks', ['Rows', 'fastened off before'], ['Rows, end', 'laid across']);
}

/** What is counted of each part of the finishing. */
function finish({ make, document, rows }: Shown, say: Say): void {
  const steps = make.filter(({ kind }) => kind === 'step');
  for (const part of document.finish) {
    const name = part.name.toLowerCase();
    const own = steps.filter(({ parts }) => (parts[0] ?? '').toLowerCase().startsWith(name));
    const perPiece = own.length && part.times ? own.length / part.times : 0;
    if (part.part === 'closing') {
      const last = rows.at(-1) ?? '';
      const stitches = /You should have: (\d+)/.exec(last)?.[1];
      const diagonal = /¦? ?\d+ blocks?/.test(last.split('You should have:')[1] ?? '');
      const made = found(own[0]?.parts[0] ?? '', /Stitches, when it is done ¦ (\d+)/);
      say(
        'closing row',
        ['Finishing', part.stitches],
        ['Make', made],
        ...(diagonal ? [] : [['Rows', stitches] as const]),
      );
    }
    if (part.part === 'border' || part.part === 'mouth') {
      const counts = own
        .slice(0, perPiece)
        .map(({ parts }) => Number(found(parts[0] ?? '', /Stitches, when it is done ¦ (\d+)/)));
      say(`stitches of the ${name}`, ['Finishing', part.stitches], ['Make', sum(counts)]);
      say(`rounds of the ${name}`, ['Finishing', part.rounds.join(', ')], ['Make', counts.join(', ')]);
    }
  }
}

/** What an idle color does at every stitch of a course, against the order for the course. */
function idle({ rows, make }: Shown, say: Say): void {
  for (const { kind, row, parts } of make) {
    if (kind !== 'row') continue;
    const written = rows[row - 1] ?? '';
    for (const whole of written.matchAll(/[Cc]arry ([A-H]\d?) inside the whole (?:row|round|diagonal)/g)) {
      const letter = whole[1] as string;
      for (const [at, text] of parts.entries())
        say(
          `${letter} in course ${row}, run ${at + 1}`,
          ['Rows', 'inside'],
          ['Make', new RegExp(`${letter}: carry it inside`).test(text) ? 'inside' : 'not inside'],
        );
    }
    const carried = new Set([...written.matchAll(/[Cc]arry ([A-H]\d?) inside/g)].map(([, letter]) => letter));
    const told = new Set(
      parts.flatMap((text) => [...text.matchAll(/([A-H]\d?): [^¦:]*?carry it inside/g)].map(([, letter]) => letter)),
    );
    say(
      `colours carried in course ${row}`,
      ['Rows', [...carried].sort().join('')],
      ['Make', [...told].sort().join('')],
    );
  }
}

const everything = ({ size, rows, make, finishing, text }: Shown): [string, string][] => [
  ['Size', size],
  ['Rows', rows.join(' ')],
  ['Make', make.flatMap(({ parts }) => parts).join(' ')],
  ['Finishing', finishing.replace(/^Last \w+ ¦ ¦? ?[^¦]*¦ (?=[A-Z])/, '')],
  ['text', text],
];

/** Units, terms, plurals and words that no surface may have. */
function wording(shown: Shown, reading: Reading, say: Say): void {
  const round = /^Round/.test(shown.make.find(({ kind }) => kind === 'row')?.parts[0] ?? '');
  for (const [surface, text] of everything(shown)) {
    const never = (fact: string, pattern: RegExp, of = text) => {
      const hit = pattern.exec(of);
      if (hit) say(fact, ['wanted', 'never'], [surface, of.slice(Math.max(0, hit.index - 30), hit.index + 40)]);
    };
    never('an empty place', /undefined|NaN|\[object|inside ;|, ,/);
    never(
      'a plural of one',
      /(?<![\d.–,] ?)\b1 (rows|rounds|diagonals|blocks|stitches|ends|balls|colours|pieces|chains|clusters)\b/,
    );
    if (reading.units === 'in')
      never(
        'centimetres in an inch project',
        /\d (cm|mm)\b(?! hook)|\d m\b/,
        text.replace(/\d+(\.\d+)? mm (is the usual|hook)/g, ''),
      );
    else never('inches in a centimetre project', /\d in\b(?! [A-H]\b)(?= (wide|long|inside|for)\b)|\d yd\b/);
    if (reading.terms === 'UK') never('a US word in UK terms', /\b(sc|hdc|sl st)\b/);
    else never('a UK word in US terms', /\b(htr|dtr)\b/);
    if (round && surface !== 'Size')
      never(
        'rows in rounds',
        /\b[Rr]ows?\b(?! (?:below|down|of chains|end))/,
        text
          .replace(
            /(two|2) rows (down|below)|row below|closing row|plain row|Watch out:[^\n]*|Good places to end:[^\n]*/gi,
            '',
          )
          .replace(/¦ [^¦]*row of blocks[^¦]*¦/g, ''),
      );
  }
}

/** Yarn of each color. */
function yarn({ size, document, csv }: Shown, say: Say): void {
  for (const { letter, name, metres } of document.colours) {
    const shown = found(size, new RegExp(`${name} ?((?:about )?[\\d.]+(?:–[\\d.]+)? (?:m|yd))`));
    const line = csv.split('\n').find((each) => each.startsWith(`${letter},`) && /,all,.*,m,/.test(each));
    say(`yarn of ${letter}`, ['Size', shown], ['JSON', metres.short]);
    const [, , , low, , high] = line?.split(',') ?? [];
    say(
      `range of ${letter}`,
      ['CSV', `${low}–${high}`],
      ['JSON', `${Number(metres.low?.toFixed(2))}–${Number(metres.high?.toFixed(2))}`],
    );
  }
}

/** Every contradiction between the surfaces of one project. */
export function contradictions(shown: Shown, reading: Reading): Contradiction[] {
  const heard: Contradiction[] = [];
  const say: Say = (fact, ...said) => {
    const told = said.filter(([, value]) => value !== undefined && value !== '');
    const values = new Set(told.map(([, value]) => String(value)));
    if (values.size > 1) heard.push({ fact, said: told.map(([surface, value]) => `${surface}: ${value}`).join(' | ') });
  };
  chain(shown, say);
  ends(shown, say);
  courses(shown, say);
  rowEnd(shown, say);
  ending(shown, say);
  finish(shown, say);
  idle(shown, say);
  yarn(shown, say);
  wording(shown, reading, say);
  return heard;
}

export type { MadeUnit };
