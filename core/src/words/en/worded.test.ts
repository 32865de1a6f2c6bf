import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { isWorded, problemWords } from './problems.ts';

const root = fileURLToPath(new URL('../../../..', import.meta.url));

function filesIn(folder: string): string[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((path) => /\.tsx?$/.test(path) && !/\.test\.|node_modules|dist\//.test(path))
    .map((path) => join(folder, path));
}

/** A rule of a schema that is no bound; it comes out as a problem of its own code. */
const ruleOfSchema = 'custom';

describe('problems', () => {
  it('say what is wrong with a width in one sentence, by the chain or by the stitches', () => {
    const facts = {
      pattern: 'Block check',
      asked: 52,
      count: 51,
      chains: 52,
      word: 'stitches',
      step: 4,
      offset: 0,
      least: 8,
    };
    const told = (byChain: boolean) =>
      problemWords({
        code: 'width-illegal',
        facts: { ...facts, byChain, instead: byChain ? [49, 53] : [48, 52] },
      });
    expect(told(true)).toEqual({
      message: '52 chains make 51 stitches, but block check needs a multiple of 4 stitches, 8 at least.',
      hint: 'Use 49 or 53 chains.',
    });
    expect(told(false)).toEqual({
      message:
        'Block check cannot be worked on 51 stitches (52 chains): it needs a multiple of 4 stitches, 8 at least.',
      hint: 'Use 48 or 52 stitches.',
    });
  });

  it('have their words, wherever in the code they are found', () => {
    const codes = ['core/src', 'server/src', 'web/src', 'tools'].flatMap((folder) =>
      filesIn(join(root, folder)).flatMap((path) =>
        [...readFileSync(path, 'utf8').matchAll(/\bcode: '([a-z-]+)',\s*path\b/g)].map(([, code]) => code as string),
      ),
    );
    expect(new Set(codes).size).toBeGreaterThan(50);
    expect(codes.filter((code) => code !== ruleOfSchema && !isWorded(code))).toEqual([]);
  });
});
