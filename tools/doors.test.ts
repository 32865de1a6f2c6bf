import { spawn, spawnSync } from 'node:child_process';
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
    ['malformed JSON', '{"title":', 'not-json'],
    ['a wish without a pattern', JSON.stringify({ ...JSON.parse(wish), pattern: undefined }), 'field-missing'],
    ['an illegal chain', JSON.stringify({ ...JSON.parse(wish), width: { by: 'chain', count: 52 } }), 'width-illegal'],
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

  it('--list shows the whole book, each with both multiples for stitches and for chains', () => {
    const { status, told } = plan(['--list']);
    expect(status).toBe(0);
    const book = told.patterns as { key: string; multiples: { works: Record<string, string> }; ends: string }[];
    expect(book.length).toBeGreaterThanOrEqual(28);
    expect(book.find((each) => each.key === 'tide-marks')).toMatchObject({
      technique: 'overlay mosaic',
      multiples: { works: { stitches: 'a multiple of 6 + 3', chains: '6 + 4' } },
    });
  });

  it('takes a pattern written into the wish, and tells what is wrong with it where it stands', () => {
    const text =
      'pattern mine "Mine"\nabout "Two by two."\ntechnique carried\nstitch sc\ncolours A B\nacross 4\nup 2\nrow: | 2A 2B |\nrow: | 2B 2A |\n';
    const own = { ...JSON.parse(wish), pattern: { text }, edges: 'whole', ending: 'any' };
    expect(plan(['-'], JSON.stringify(own)).told).toMatchObject({ pattern: { key: 'mine' }, size: { stitches: 40 } });
    const short = plan(['-'], JSON.stringify({ ...own, pattern: { text: text.replace('2B 2A', '2B 1A') } }));
    expect(short.status).toBe(2);
    expect(short.told.problems).toMatchObject([
      { code: 'row-sum', message: 'Row 2 makes 3 stitches where row 1 left 4.' },
    ]);
    const torn = plan(
      ['-'],
      JSON.stringify({ ...own, pattern: { text: text.replace('row: | 2A 2B |', 'row: | 2A 2B') } }),
    );
    expect(torn.told.problems).toMatchObject([{ path: 'pattern.text.line 8, column 13' }]);
  });

  it('--largest tells how big it gets with what lies in the drawer, and --proof a page to sign', () => {
    const own = JSON.parse(wish);
    const drawer = { ...own, yarns: own.yarns.map((yarn: object) => ({ ...yarn, balls: 2 })) };
    const { told } = plan(['--largest', '-'], JSON.stringify(drawer));
    expect(told).toMatchObject({ format: 'puntada-plan', size: { edgesAlike: true, endsAsBegun: true } });
    for (const colour of told.colours as { drawer: { chance: number } }[])
      expect(colour.drawer.chance).toBeGreaterThanOrEqual(0.9);
    const sheet = spawnSync(process.execPath, ['tools/run.mjs', 'plan', '--proof', 'docs/examples/galley-cloth.json'], {
      cwd: root,
      env: { ...process.env, NODE_OPTIONS: '', INIT_CWD: root },
      encoding: 'utf8',
    });
    expect(sheet.stdout).toContain('# Proof sheet: ');
  });

  it('is read whole by a slow reader: a blanket of far more than 64 KiB through a pipe', async () => {
    const blanket = { ...JSON.parse(wish), width: { by: 'stitches', count: 204 }, height: { by: 'rows', count: 300 } };
    const child = spawn(process.execPath, ['tools/run.mjs', 'plan', '-'], {
      cwd: root,
      env: { ...process.env, NODE_OPTIONS: '', INIT_CWD: root },
      stdio: ['pipe', 'pipe', 'ignore'],
    });
    child.stdin.end(JSON.stringify(blanket));
    let text = '';
    for await (const part of child.stdout) {
      text += part;
      await new Promise((done) => setTimeout(done, 5));
    }
    expect(text.length).toBeGreaterThan(200_000);
    expect(JSON.parse(text).rows).toHaveLength(300);
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
        `--alias:@puntada/core=${join(root, 'core/src')}`,
        '--format=esm',
        '--platform=node',
      ],
      { encoding: 'utf8' },
    );
    expect(build.status).toBe(0);
    writeFileSync(join(folder, 'package.json'), '{"type":"module"}');
    expect(spawnSync(process.execPath, [script, folder]).status).toBe(0);
    for (const name of ['wish.schema.json', 'plan.schema.json', 'pattern.schema.json']) {
      expect(readFileSync(join(folder, name), 'utf8')).toBe(readFileSync(join(root, 'docs/schema', name), 'utf8'));
    }
    rmSync(folder, { recursive: true });
  });
});
