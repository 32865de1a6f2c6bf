import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { techniques } from '@puntada/core/craft';
import { parseSync } from 'oxc-parser';

const root = fileURLToPath(new URL('..', import.meta.url));

/** What stands between quotes somewhere in the code. */
interface Quoted {
  readonly place: string;
  readonly text: string;
}

function filesIn(folder: string): string[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((path) => /\.tsx?$/.test(path) && !/\.test\.|node_modules|dist\//.test(path))
    .map((path) => join(folder, path));
}

type Node = { readonly type?: string; readonly [key: string]: unknown };

/** Attributes whose text is for the browser, or a key. */
const unsaid = ['className', 'name', 'd', 'id'];

/** Whether what a node holds is told to somebody: not where from, a type, a look, or a note to a developer. */
function told(node: Node): boolean {
  if (node.type === 'JSXAttribute' && unsaid.includes(String((node.name as Node).name))) return false;
  if (/^TS(?!As|Satisfies|NonNull)/.test(node.type ?? '')) return false;
  if (node.type === 'ImportDeclaration' || node.type === 'ThrowStatement') return false;
  if (/^Export(All|Named)Declaration$/.test(node.type ?? '') && node.source) return false;
  const callee = node.callee as Node | undefined;
  return !(node.type === 'CallExpression' && (callee?.property as Node | undefined)?.name === 'describe');
}

/** The parts of a template count as one text, with nothing in the gaps. */
function textOf(node: Node): string | undefined {
  if (node.type === 'Literal' && typeof node.value === 'string') return node.value;
  if (node.type === 'JSXText') return String(node.value);
  if (node.type !== 'TemplateLiteral') return undefined;
  return (node.quasis as { value: { raw: string } }[]).map(({ value }) => value.raw).join(' _ ');
}

function quotedIn(source: string, place: string): Quoted[] {
  const found: Quoted[] = [];
  const visit = (node: unknown): void => {
    if (Array.isArray(node)) for (const each of node) visit(each);
    else if (node && typeof node === 'object') {
      const each = node as Node;
      if (!told(each)) return;
      const text = textOf(each);
      if (text !== undefined) found.push({ place, text });
      // The key of an object is a key, of whatever words it is made.
      const keyed = each.type === 'Property' && !each.computed;
      for (const [key, value] of Object.entries(each)) if (key !== 'parent' && !(keyed && key === 'key')) visit(value);
    }
  };
  visit(parseSync(place, source).program);
  return found;
}

function quoted(folders: readonly string[], except: RegExp): Quoted[] {
  return folders
    .flatMap((folder) => filesIn(join(root, folder)))
    .map((path) => ({ path, place: relative(root, path) }))
    .filter(({ place }) => !except.test(place))
    .flatMap(({ path, place }) => quotedIn(readFileSync(path, 'utf8'), place));
}

/** Words that only a sentence has: an article, a verb, a preposition between other words. */
const ofSentences = /\b(the|an?|is|are|was|were|has|have|of|in|on|to|for|with|by|from|and|or|not|no|it|you|your)\b/gi;

function isSentence({ text }: Quoted): boolean {
  // A query is for the database, a pattern of the book for its reader.
  if (
    /^[\s_]*(select|insert|update|delete|create|alter|lock|set|from|where works|order by|string_agg)\b|\[role=/.test(
      text,
    )
  )
    return false;
  // Styles and selectors; a path that is drawn.
  if (/\w-\d|\w-\[|\[type=/.test(text) || !/[a-z]/.test(text)) return false;
  const words = text.split(/\s+/).filter((word) => /[a-z]{1,}/i.test(word));
  return words.length >= 4 && (text.match(ofSentences) ?? []).length >= 1;
}

describe('the laws of the house', () => {
  it('a technique is asked, not named, outside its own folder, the book and the words', () => {
    const keys = new Set(techniques.map(({ key }) => key));
    // These keys are words of the craft for other things too: yarn that is carried, a tube, a fibre.
    const other = ['carried', 'tube', 'linen'];
    const named = quoted(
      ['core/src', 'server/src', 'web/src', 'tools', 'demo/src'],
      /^core\/src\/(craft\/(techniques|book)\/|words\/en\/)|\/records\/.*\.json/,
    ).filter(({ text }) => keys.has(text) && !other.includes(text));
    expect(named).toEqual([]);
  });

  it('no sentence for the maker is built outside the words', () => {
    const said = quoted(
      ['core/src/craft', 'core/src/plan', 'core/src/work', 'core/src/records', 'server/src', 'web/src'],
      /^core\/src\/craft\/book\//,
    ).filter(isSentence);
    expect(said).toEqual([]);
  });

  it('sees what breaks them', () => {
    const bad = quotedIn(
      ['const a = "wide-hdc";', 'const b = `Use $', '{1} of the rows.`;', 'f("put it in the drawer");'].join(''),
      'bad.ts',
    );
    expect(bad.map(({ text }) => text)).toEqual(['wide-hdc', 'Use  _  of the rows.', 'put it in the drawer']);
    expect(bad.filter(isSentence)).toHaveLength(2);
    const screen = quotedIn(
      'const a = <p className="flex of an on">Tap a <b title="It is here">mark</b> of the long ruler.</p>;',
      'b.tsx',
    );
    expect(screen.filter(isSentence).map(({ text }) => text)).toEqual([' of the long ruler.']);
  });
});

describe('no twelve lines', () => {
  const most = 12;

  /** Runs of lines that stand in two places; what is only brackets, and what is imported, does not count as a line. */
  function standTwice(files: readonly { place: string; source: string }[]): string[] {
    const seen = new Map<string, string>();
    const twice: string[] = [];
    for (const { place, source } of files) {
      const lines = source
        .replace(/^(?:import|export) (?:type )?\{[^}]*\} from .*$/gm, '')
        .split('\n')
        .map((line, i) => ({ text: line.trim(), number: i + 1 }))
        .filter(({ text }) => /\w{2}/.test(text));
      for (let i = 0; i + most <= lines.length; i++) {
        const run = lines.slice(i, i + most);
        const key = run.map(({ text }) => text).join('\n');
        const here = `${place}:${run[0]?.number}`;
        const there = seen.get(key);
        if (there === undefined) seen.set(key, here);
        else twice.push(`${there} ~ ${here}`);
      }
    }
    return twice;
  }

  it('stand twice in the program', () => {
    const files = ['core/src', 'server/src', 'web/src', 'tools']
      .flatMap((folder) => filesIn(join(root, folder)))
      .map((path) => ({ place: relative(root, path), source: readFileSync(path, 'utf8') }));
    expect(files.length).toBeGreaterThan(400);
    expect(standTwice(files)).toEqual([]);
  });

  it('would be found if they did', () => {
    const source = Array.from({ length: 12 }, (_, i) => `const line${i} = ${i};`).join('\n');
    expect(
      standTwice([
        { place: 'one.ts', source },
        { place: 'two.ts', source: `\n{\n${source}\n}` },
      ]),
    ).toEqual(['one.ts:1 ~ two.ts:3']);
  });
});

describe('the documents', () => {
  it('name only files and folders that there are', () => {
    const documents = [
      'README.md',
      ...readdirSync(join(root, 'docs')).flatMap((name) => (name.endsWith('.md') ? [`docs/${name}`] : [])),
    ];
    const named = documents.flatMap((place) =>
      [
        ...readFileSync(join(root, place), 'utf8').matchAll(/`((?:core|server|web|e2e|demo|bench|tools)\/[\w/.-]*)`/g),
      ].map(([, path = '']) => ({ place, path })),
    );
    expect(named.length).toBeGreaterThan(40);
    expect(named.filter(({ path }) => !existsSync(join(root, path)))).toEqual([]);
  });
});
