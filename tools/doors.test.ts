import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const wish = readFileSync(join(root, 'docs/examples/galley-cloth.json'), 'utf8');

function plan(args: readonly string[], input = ''): { status: number | null; told: Record<string, unknown> } {
  const env = { ...process.env, NODE_OPTIONS: '', INIT_CWD: root };
  const done = spawnSync(process.execPath, ['tools/run.mjs', 'plan', ...args], {
    cwd: root,
    input,
    env,
    encoding: 'utf8',
  });
  return { status: done.status, told: JSON.parse(done.stdout) };
}

describe('the headless door', () => {
  it('plans the example of the docs from a file and from standard input', () => {
    const fromFile = plan(['docs/examples/galley-cloth.json']);
    expect(fromFile.status).toBe(0);
    expect(fromFile.told).toMatchObject({
      format: 'puntada-plan',
      foundation: { chains: 37 },
      size: { stitches: 36, rows: 44, width: { text: '22.5 cm' }, height: { text: '24.4 cm' } },
      colours: [{ stitches: 800 }, { stitches: 784 }],
    });
    expect(plan(['-'], wish)).toEqual(fromFile);
  });

  it.each([
    ['malformed JSON', '{"title":', 'json-malformed'],
    ['a wish without a pattern', JSON.stringify({ ...JSON.parse(wish), pattern: undefined }), 'field-missing'],
    ['an illegal chain', JSON.stringify({ ...JSON.parse(wish), width: { by: 'chain', count: 52 } }), 'chain-illegal'],
    [
      'a pattern that is not in the book',
      JSON.stringify({ ...JSON.parse(wish), pattern: { key: 'brick' } }),
      'pattern-unknown',
    ],
  ])('%s ends with 2 and a list of problems', (_what, text, code) => {
    const { status, told } = plan(['-'], text);
    expect(status).toBe(2);
    const [problem] = told.problems as Record<string, string>[];
    expect(problem).toMatchObject({ code });
    expect(problem?.message).toMatch(/\w/);
    expect(problem?.hint).toMatch(/\w/);
  });

  it('a file that is not there, and no file at all, are problems too', () => {
    expect(plan(['no-such.json']).status).toBe(2);
    expect(plan([]).status).toBe(2);
  });
});

describe('the exported schemas', () => {
  it('are those that the doors use', () => {
    const folder = mkdtempSync(join(tmpdir(), 'puntada-schema-'));
    const script = join(folder, 'schema.mjs');
    const build = spawnSync(
      join(root, 'node_modules/.bin/esbuild'),
      [
        join(root, 'tools/schema.ts'),
        `--outfile=${script}`,
        '--bundle',
        `--alias:@puntada/core=${join(root, 'core/src/index.ts')}`,
        '--format=esm',
        '--platform=node',
      ],
      { encoding: 'utf8' },
    );
    expect(build.status).toBe(0);
    writeFileSync(join(folder, 'package.json'), '{"type":"module"}');
    expect(spawnSync(process.execPath, [script, folder]).status).toBe(0);
    for (const name of ['wish.schema.json', 'plan.schema.json']) {
      expect(readFileSync(join(folder, name), 'utf8')).toBe(readFileSync(join(root, 'docs/schema', name), 'utf8'));
    }
    rmSync(folder, { recursive: true });
  });
});
