import { readdirSync, readFileSync } from 'node:fs';
import { told } from '../../../test/told.ts';
import { readPattern } from '../../craft/notation/read.ts';
import { notation } from './notation.ts';

const folder = new URL('../../craft/notation/', import.meta.url);

/** What the readers of the notation say that they expected, by the code of it. */
const expected = readdirSync(folder)
  .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
  .flatMap((name) => {
    const source = readFileSync(new URL(name, folder), 'utf8');
    return [...source.matchAll(/\.(?:wrong|expect)\(\s*(?:\/(?:\\.|\[[^\]]*\]|[^/])+\/\w*,\s*)?'([a-z-]+)'/g)];
  })
  .map(([, code = '']) => code);

describe('what the notation expected', () => {
  it('has its words, whatever it is', () => {
    expect(expected.length).toBeGreaterThan(30);
    expect(expected.filter((code) => !(code in notation))).toEqual([]);
  });

  it.each([
    ['colours A , 2 to 8', 'as many colours as the line allows', 'There are 1, not 2 to 8.'],
    ['technique mosaic\ncolours A B C', '2 colours at most', 'Its 2 colours take turns, so C would get no row.'],
    [
      'number i = 2, 1 to 4, "waves"',
      'another letter than i for a number',
      'i and j count courses and wedges; use b, n or another.',
    ],
  ])('%s', (line, words, hint) => {
    const lines = ['pattern own "Own"', 'about ""', 'technique carried', 'made flat', 'stitch sc', 'colours A B'];
    const rest = ['across 2 "repeats"', 'up 2 "repeats"', 'read seen', 'row: | 1A 1B |', ''];
    const own = line.split('\n');
    const kept = lines.filter((each) => !own.some((other) => other.split(' ')[0] === each.split(' ')[0]));
    const read = readPattern([...kept, ...own, ...rest].join('\n'));
    const problem = read.ok ? undefined : read.problems[0];
    expect(problem && told(problem)).toEqual({ message: expect.stringContaining(`expected ${words}, but`), hint });
  });
});
