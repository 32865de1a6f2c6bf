const line = /^(Row|Round|Diagonal) (\d+) (.*)$/;

/** A line without its number, to see which rows are alike. */
export function bodyOf(text: string): string {
  return line.exec(text)?.[3] ?? text;
}

/** What a row says and what is done with its strands: rows are alike only if both are. */
function wholeOf(text: string, strands: readonly string[] | undefined): string {
  return [bodyOf(text), ...(strands ?? [])].join('\n');
}

/** How many rows from here repeat those `period` rows back. */
function repeated(bodies: readonly string[], from: number, period: number): number {
  let n = 0;
  while (from + n < bodies.length && bodies[from + n] === bodies[from + n - period]) n++;
  return n;
}

const longestPeriod = 60;

/**
 * Printed rows with those that come again told once: `Rows 5–18: as rows 3–4.` A group is told where it saves rows.
 * @param rows every row, numbered from 1 @param strands what is done with the idle strands of each
 */
export function groupRows(rows: readonly string[], strands: readonly (readonly string[])[] = []): string[] {
  const bodies = rows.map((text, i) => wholeOf(text, strands[i]));
  const word = line.exec(rows[0] ?? '')?.[1] ?? 'Row';
  const grouped: string[] = [];
  for (let i = 0; i < rows.length; ) {
    let best = { period: 0, length: 0 };
    for (let period = 1; period <= Math.min(i, longestPeriod); period++) {
      const length = repeated(bodies, i, period);
      if (length > best.length) best = { period, length };
    }
    if (best.length < 1) {
      grouped.push(rows[i++] as string);
      continue;
    }
    const { period, length } = best;
    const told = Math.min(i, i - period + length);
    const source = period === 1 ? `${word.toLowerCase()} ${i}` : `${word.toLowerCase()}s ${i + 1 - period}–${told}`;
    grouped.push(
      length === 1
        ? `${word} ${i + 1}: as ${word.toLowerCase()} ${i + 1 - period}.`
        : `${word}s ${i + 1}–${i + length}: as ${source}.`,
    );
    i += length;
  }
  return grouped;
}
