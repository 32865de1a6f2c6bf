// One command sets everything up: installs what is missing, builds what has changed, and runs.
// Plain Node without packages, since on a fresh machine there are none yet.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync } from 'node:zlib';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const cache = join(root, '.cache');
const [task = 'help', ...rest] = process.argv.slice(2);
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';
const chromium = process.env.CHROMIUM ?? '/usr/bin/chromium';

function say(text) {
  process.stderr.write(`${text}\n`);
}

function stop(text) {
  say(text);
  process.exit(1);
}

/** Runs a command to its end. What it prints goes to stderr, so that `plan` can keep stdout for itself. */
function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: ['ignore', 2, 2], ...options });
  if (done.error) stop(`${command}: ${done.error.message}`);
  return done.status ?? 1;
}

function bin(name) {
  return join(root, 'node_modules', '.bin', process.platform === 'win32' ? `${name}.cmd` : name);
}

function* filesIn(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
    if (['node_modules', 'dist', '.cache', '.data'].includes(entry.name)) continue;
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* filesIn(path);
    else yield path;
  }
}

function fingerprint(paths) {
  const hash = createHash('sha256');
  for (const path of paths) {
    const full = join(root, path);
    if (!existsSync(full)) continue;
    for (const file of statSync(full).isDirectory() ? filesIn(full) : [full]) {
      hash.update(file.slice(root.length)).update('\0').update(readFileSync(file)).update('\0');
    }
  }
  return hash.digest('hex');
}

function isMade(name, print) {
  const mark = join(cache, name);
  return existsSync(mark) && readFileSync(mark, 'utf8') === print;
}

function markMade(name, print) {
  mkdirSync(cache, { recursive: true });
  writeFileSync(join(cache, name), print);
}

function needNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  stop(`Puntada needs Node 20.19 or newer; this is ${process.versions.node}.`);
}

/** Packages, exactly as the lock file has them. */
function install() {
  const print = fingerprint(['package-lock.json']);
  if (existsSync(join(root, 'node_modules')) && isMade('installed', print)) return;
  say('Installing packages …');
  const args = ['ci', '--no-audit', '--no-fund', '--loglevel=error'];
  if (run(npm, args) !== 0) stop('The packages could not be installed: npm ci failed. See above.');
  markMade('installed', print);
}

/** The pages and the server, when their sources have changed. */
function build() {
  const print = fingerprint(['core', 'server', 'web', 'package-lock.json']);
  if (
    isMade('built', print) &&
    existsSync(join(root, 'web/dist/index.html')) &&
    existsSync(join(root, 'server/dist/main.mjs'))
  ) {
    return;
  }
  say('Building …');
  if (run(bin('vite'), ['build', '--logLevel', 'error'], { cwd: join(root, 'web') }) !== 0)
    stop('The pages could not be built.');
  compressPages();
  buildServer();
  markMade('built', print);
}

/** Beside each file of the pages the same compressed as far as it goes, once, so that no visit waits for it. */
function compressPages() {
  const assets = join(root, 'web/dist/assets');
  for (const name of readdirSync(assets).filter((each) => /\.(js|css)$/.test(each))) {
    writeFileSync(join(assets, `${name}.br`), brotliCompressSync(readFileSync(join(assets, name))));
  }
}

function buildServer() {
  const out = join(root, 'server/dist');
  rmSync(out, { recursive: true, force: true });
  bundle('server/src/main.ts', 'server/dist/main.mjs');
  bundle('server/src/putBack.ts', 'server/dist/putBack.mjs');
  bundle('server/src/heavy/tasks.ts', 'server/dist/tasks.mjs');
  bundle('server/src/archive/look.process.ts', 'server/dist/look.mjs');
  bundle('server/src/schedule/reckoning.worker.ts', 'server/dist/reckoning.mjs');
  cpSync(join(root, 'server/src/db/sql'), join(out, 'sql'), { recursive: true });
}

/** One file of ours, packages left outside. */
function bundle(from, to) {
  const args = [
    from,
    `--outfile=${to}`,
    '--bundle',
    '--packages=external',
    `--alias:@puntada/core=${join(root, 'core/src')}`,
  ];
  args.push('--format=esm', '--platform=node', '--target=node20', '--sourcemap', '--log-level=error');
  if (run(bin('esbuild'), args) !== 0) stop(`${from} could not be built.`);
}

function serverEnv(folder) {
  return {
    ...process.env,
    PUNTADA_DATA: process.env.PUNTADA_DATA ?? join(root, '.data', folder),
    PUNTADA_PAGES: join(root, 'web/dist'),
  };
}

/** Runs until it is stopped; a stop of this is a stop of that. */
function keepRunning(command, args, options) {
  const child = spawn(command, args, { cwd: root, stdio: 'inherit', ...options });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code, signal) => process.exit(code ?? (signal ? 1 : 0)));
  return child;
}

function setUp() {
  needNode();
  install();
  build();
}

function startServer(folder) {
  keepRunning(process.execPath, ['server/dist/main.mjs'], { env: serverEnv(folder) });
}

async function freePort() {
  return new Promise((done) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => done(port));
    });
  });
}

/** Fills a new data folder through the public API, on a port of its own, then lets go of it. */
async function loadDemo(env) {
  if (existsSync(join(env.PUNTADA_DATA, 'demo-loaded'))) return;
  say('Laying out the demo works …');
  const port = String(await freePort());
  const server = spawn(process.execPath, ['server/dist/main.mjs'], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...env, PUNTADA_PORT: port },
  });
  const gone = new Promise((done) => server.on('exit', done));
  await new Promise((done) => {
    server.stdout.once('data', done);
    gone.then(done);
  });
  bundle('demo/src/load.ts', '.cache/demo/load.mjs');
  const status = run(process.execPath, ['.cache/demo/load.mjs', `http://127.0.0.1:${port}`]);
  server.kill('SIGTERM');
  await gone;
  if (status !== 0) stop('The demo works could not be laid out. Try: npm run demo -- --fresh');
  writeFileSync(join(env.PUNTADA_DATA, 'demo-loaded'), `${new Date().toISOString()}\n`);
}

async function demo() {
  setUp();
  const env = serverEnv('demo');
  if (rest.includes('--fresh')) {
    const held = join(env.PUNTADA_DATA, 'held-by');
    if (existsSync(held) && isAlive(Number.parseInt(readFileSync(held, 'utf8'), 10))) {
      stop('The demo is running. Stop it before starting over.');
    }
    rmSync(env.PUNTADA_DATA, { recursive: true, force: true });
  }
  await loadDemo(env);
  keepRunning(process.execPath, ['server/dist/main.mjs'], { env });
}

function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

function plan() {
  needNode();
  install();
  const print = fingerprint(['core', 'tools/plan.ts']);
  if (!isMade('plan', print)) {
    bundle('tools/plan.ts', '.cache/plan.mjs');
    markMade('plan', print);
  }
  const done = spawnSync(process.execPath, [join(cache, 'plan.mjs'), ...rest], {
    stdio: 'inherit',
    cwd: process.env.INIT_CWD ?? root,
  });
  process.exit(done.status ?? 1);
}

function dev() {
  needNode();
  install();
  const api = spawn(process.execPath, ['--import', 'tsx', '--watch', 'server/src/main.ts'], {
    cwd: root,
    stdio: 'inherit',
    env: { ...serverEnv('dev'), PUNTADA_PAGES: '' },
  });
  process.on('exit', () => api.kill());
  keepRunning(bin('vite'), [], { cwd: join(root, 'web') });
}

const patience = 300;

/** Runs apt-get; where another program is installing packages it waits for that one, and says so. */
function aptGet(args, { env }) {
  const waitsForLock = ['-o', `DPkg::Lock::Timeout=${patience}`];
  for (let waited = 0; ; waited += 5) {
    const done = spawnSync('apt-get', [...waitsForLock, ...args], { cwd: root, env, encoding: 'utf8' });
    if (done.error) stop(`apt-get: ${done.error.message}`);
    const held = done.status !== 0 && /could not get lock|unable to lock/i.test(done.stderr);
    if (!held || waited >= patience) {
      if (done.status !== 0) say(done.stderr.trim());
      return;
    }
    if (waited === 0) {
      say(`Another program is installing packages. Waiting for it to finish, at most ${patience / 60} minutes …`);
    }
    spawnSync('sleep', ['5']);
  }
}

/** Chromium for the tests of the real interface. */
function needChromium() {
  if (existsSync(chromium)) return true;
  const debian = existsSync('/usr/bin/apt-get');
  const admin = process.getuid?.() === 0;
  if (debian && admin) {
    say('Installing Chromium … If another program is installing packages, this waits up to 5 minutes for it.');
    const quiet = { stdio: ['ignore', 'ignore', 2], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
    aptGet(['update'], quiet);
    aptGet(['install', '-y', '--no-install-recommends', 'chromium'], quiet);
    if (existsSync(chromium)) return true;
  }
  say(
    'The tests of the real interface need Chromium. On Debian: sudo apt-get install chromium. Elsewhere set CHROMIUM to its path.',
  );
  return false;
}

const tally = { passed: 0, failed: 0 };

/** One check that counts as one test; what it prints is told when it ends. */
async function check(name, command, args) {
  const started = Date.now();
  const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
  let printed = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (printed += text));
  const ok = await new Promise((done) => {
    child.on('error', (error) => {
      printed += error.message;
      done(false);
    });
    child.on('close', (status) => done(status === 0));
  });
  tally[ok ? 'passed' : 'failed']++;
  if (!ok) say(printed.trimEnd());
  say(`${ok ? '✓' : '✗'} ${name} (${((Date.now() - started) / 1000).toFixed(1)} s)`);
}

/** One lane for each core of a small machine. */
async function checkAll(checks) {
  const left = [...checks];
  const lane = async () => {
    for (let next = left.shift(); next; next = left.shift()) await check(...next);
  };
  await Promise.all([lane(), lane()]);
}

function jest() {
  const report = join(cache, 'jest.json');
  rmSync(report, { force: true });
  const args = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js'];
  run(process.execPath, [...args, '--json', `--outputFile=${report}`, '--silent']);
  if (!existsSync(report)) {
    tally.failed++;
    return;
  }
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(report, 'utf8'));
  tally.passed += numPassedTests;
  tally.failed += numFailedTests + numRuntimeErrorTestSuites;
}

function playwright() {
  if (!needChromium()) {
    tally.failed++;
    return;
  }
  const report = join(cache, 'playwright.json');
  rmSync(report, { force: true });
  const env = { ...process.env, CHROMIUM: chromium, PLAYWRIGHT_JSON_OUTPUT_FILE: report, NODE_OPTIONS: '' };
  run(bin('playwright'), ['test', '--config', 'e2e/playwright.config.ts'], { env });
  if (!existsSync(report)) {
    tally.failed++;
    return;
  }
  const { stats } = JSON.parse(readFileSync(report, 'utf8'));
  tally.passed += stats.expected + stats.flaky;
  tally.failed += stats.unexpected;
}

/** The longest first, so that the lanes end together. */
function lintAndTypes() {
  const ruled = (config, ...folders) => ['--config', config, '--output-type', 'err', ...folders];
  const houses = ['core/src', 'server/src', 'web/src', 'demo/src', 'tools'];
  return checkAll([
    ['dependency rule', bin('depcruise'), ruled('.dependency-cruiser.cjs', ...houses)],
    ['types', bin('tsc'), ['-b']],
    ['rooms of core without circles', bin('depcruise'), ruled('.dependency-cruiser.rooms.cjs', 'core/src')],
    ['nothing dead', bin('knip'), ['--no-progress']],
    ['nothing kept alive by tests alone', bin('knip'), ['--no-progress', '--production', '--include', 'exports,files']],
    ['formatted and linted', bin('biome'), ['check', '.', '--log-level=warn']],
    ['types of the tests', bin('tsc'), ['-p', 'tsconfig.tests.json']],
  ]);
}

async function test() {
  needNode();
  install();
  mkdirSync(cache, { recursive: true });
  await lintAndTypes();
  jest();
  build();
  playwright();
  process.stdout.write(`${tally.passed} passed, ${tally.failed} failed\n`);
  process.exit(tally.failed ? 1 : 0);
}

function bench() {
  setUp();
  needChromium();
  mkdirSync(join(cache, 'bench'), { recursive: true });
  cpSync(join(root, 'server/src/db/sql'), join(cache, 'bench/sql'), { recursive: true });
  for (const name of ['pipeline', 'techniques', 'desk', 'print', 'set', 'oldBench', 'oldPages']) {
    bundle(`bench/${name}.ts`, `.cache/bench/${name}.mjs`);
    run(process.execPath, [`.cache/bench/${name}.mjs`], { stdio: 'inherit' });
  }
  const env = { ...process.env, CHROMIUM: chromium, NODE_OPTIONS: '' };
  process.exit(
    run(bin('playwright'), ['test', '--config', 'bench/playwright.config.ts', '--reporter=line'], {
      env,
      stdio: 'inherit',
    }),
  );
}

/** What reliability promises, tried at length: docs/reliability.md says what each is. */
const trials = [
  ['killed at any instant, 250 times', 'server/src/folder.test', { PUNTADA_KILLS: '250' }],
  ['power cut at any write, 60 times', 'server/src/power.test', { PUNTADA_CUTS: '60' }],
  ['killed while put back, 30 times', 'server/src/copies/killed.test', { PUNTADA_KILLS: '30' }],
  ['disks that are full or may only be read', 'server/src/db/disk.long.test', {}],
  ['damaged starts', 'server/src/db/start.test', {}],
  ['12,000 random requests', 'server/src/anything.test', {}],
  [
    '200 damaged and 100 re-sealed files',
    'server/src/copies/copies.test',
    { PUNTADA_DAMAGES: '200', PUNTADA_RESEALED: '100' },
  ],
  ['a gigabyte of photos', 'server/src/copies/large.long.test', {}],
  ['files at the doors of the pages', 'web/src/views/open', {}],
  ['clocks that differ', 'core/src/work/progress', {}],
  ['steps that come late', 'server/src/progress/late.test', {}],
  ['voices: 2,000 projects, every surface compared', 'tools/voices', { PUNTADA_VOICES: '2000' }],
  ['hands: 1,000 projects worked by Make alone', 'core/src/words/work/handsInMake', { PUNTADA_HANDS: '1000' }],
];

/** Tries all of them, or those whose names hold a word, one after the other, and prints a table. */
function tryAll() {
  needNode();
  install();
  const env = { ...process.env, PUNTADA_LONG: '1' };
  const args = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js', '--silent'];
  const lines = [];
  for (const [name, path, more] of trials.filter(
    ([each]) => !rest.length || rest.some((word) => each.includes(word)),
  )) {
    say(`… ${name}`);
    const started = Date.now();
    const failed = run(process.execPath, [...args, path], { env: { ...env, ...more }, stdio: ['ignore', 'ignore', 2] });
    const seconds = ((Date.now() - started) / 1000).toFixed(0);
    lines.push(`${failed ? '✗' : '✓'} ${name.padEnd(46)} ${seconds.padStart(6)} s`);
  }
  process.stdout.write(`${lines.join('\n')}\n`);
  process.exit(lines.some((line) => line.startsWith('✗')) ? 1 : 0);
}

const tasks = {
  demo,
  trials: tryAll,
  start() {
    setUp();
    startServer('own');
  },
  dev,
  'put-back'() {
    setUp();
    const done = spawnSync(process.execPath, ['server/dist/putBack.mjs', ...rest], {
      cwd: root,
      stdio: 'inherit',
      env: serverEnv('own'),
    });
    process.exit(done.status ?? 1);
  },
  test,
  plan,
  bench,
  schema() {
    needNode();
    install();
    bundle('tools/schema.ts', '.cache/schema.mjs');
    mkdirSync(join(root, 'docs/schema'), { recursive: true });
    process.exit(run(process.execPath, [join(cache, 'schema.mjs')]));
  },
  async check() {
    needNode();
    install();
    await lintAndTypes();
    process.exit(tally.failed ? 1 : 0);
  },
};

const chosen = tasks[task];
if (!chosen) stop(`Usage: node tools/run.mjs ${Object.keys(tasks).join(' | ')}`);
process.chdir(root);
try {
  await chosen();
} catch (error) {
  stop(error instanceof Error ? (error.stack ?? error.message) : String(error));
}
