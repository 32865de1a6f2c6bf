import { good, type Result, refused } from '../src/craft/values/problem.ts';

const line = /^(Row|Round|Diagonal) (\d+) (.*)$/;

/** A line without its number, to see which rows are alike. */
export function bodyOf(text: string): string {
  return line.exec(text)?.[3] ?? text;
}

const group = /^(Row|Round|Diagonal)s? (\d+)(?:–(\d+))?: as \w+ (\d+)(?:–(\d+))?\.$/;

/** Every row again, from grouped lines. */
export function ungroupRows(lines: readonly string[]): Result<string[]> {
  const rows: string[] = [];
  for (const [i, text] of lines.entries()) {
    const match = group.exec(text);
    if (!match) {
      rows.push(text);
      continue;
    }
    const [, word, from, to = from, first, last = first] = match;
    const period = Number(last) - Number(first) + 1;
    if (Number(from) !== rows.length + 1 || Number(first) < 1 || Number(last) > rows.length || period < 1) {
      return refused({
        code: 'text-unreadable',
        path: `line ${i + 1}`,
        facts: { line: i + 1, why: 'it repeats rows that are not above it' },
      });
    }
    for (let row = Number(from); row <= Number(to); row++) {
      const source = rows[Number(first) - 1 + ((row - Number(from)) % period)] as string;
      rows.push(`${word} ${row} ${bodyOf(source)}`);
    }
  }
  return good(rows);
}
