import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { isWorded } from './problems.ts';

const root = fileURLToPath(new URL('../../../..', import.meta.url));

function* filesIn(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) {
      if (!['node_modules', 'dist'].includes(entry.name)) yield* filesIn(path);
    } else if (/\.tsx?$/.test(entry.name) && !entry.name.includes('.test.')) yield path;
  }
}

/** A rule of a schema that is no bound; it comes out as a problem of its own code. */
const ruleOfSchema = 'custom';

describe('problems', () => {
  it('have their words, wherever in the code they are found', () => {
    const codes = ['core/src', 'server/src', 'web/src', 'tools'].flatMap((folder) =>
      [...filesIn(join(root, folder))].flatMap((path) =>
        [...readFileSync(path, 'utf8').matchAll(/\bcode: '([a-z-]+)',\s*path\b/g)].map(([, code]) => code as string),
      ),
    );
    expect(new Set(codes).size).toBeGreaterThan(50);
    expect(codes.filter((code) => code !== ruleOfSchema && !isWorded(code))).toEqual([]);
  });
});
