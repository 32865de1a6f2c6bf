import type { Making, PatternRow, Run, StitchPattern } from '../patterns/model.ts';

const round: readonly Making[] = ['rounds', 'turned-rounds'];

function isOneKindByTurns(row: PatternRow): boolean {
  return row.unit.length === 2 && row.unit.every((run) => run.stitch !== undefined && run.colour === undefined);
}

function withoutEdges(row: PatternRow): PatternRow {
  return { ...row, start: [], end: [] };
}

/** A repeat of two begun half a repeat on. */
function halfOn(row: PatternRow): PatternRow {
  const [first, second] = row.unit as [Run, Run];
  return { ...row, unit: [second, first] };
}

/**
 * Rows of two stitches by turns, as they go one over the other where no round is turned: each begins half a repeat after
 * the one below.
 */
function byTurns(rows: readonly PatternRow[]): PatternRow[] {
  const one = { terms: [{ times: 1 }] };
  const single = rows.flatMap((row) => {
    const times = row.courses.terms.reduce((sum, term) => sum + (term.of === undefined ? term.times : 0), 0);
    return new Array<PatternRow>(Math.max(1, times)).fill({ ...row, courses: one });
  });
  const even = single.length % 2 ? [...single, ...single] : single;
  return even.map((row, i) => (i % 2 ? halfOn(row) : row));
}

/**
 * The same pattern made in rounds: a round has no edges, so what stands outside the repeat falls away, and what a turn
 * of the work does for a texture is done by beginning half a repeat on. docs/craft.md, “Rounds”.
 */
export function inRounds(pattern: StitchPattern, made: Making): StitchPattern {
  if (made === pattern.made || !round.includes(made)) return pattern;
  const bare = pattern.rows.map(withoutEdges);
  const texture = pattern.read === 'worked' && bare.length > 0 && bare.every(isOneKindByTurns);
  const turned = pattern.made !== 'rounds';
  const rows = texture && turned !== (made === 'turned-rounds') ? byTurns(bare) : bare;
  const chart = pattern.chart.map((cells) => {
    const parts = cells.split('|');
    return parts.length === 3 ? (parts[1] as string) : cells;
  });
  const around = { ...pattern, made, rows, chart };
  // What ends rows well, and what is to be minded at their edges, says nothing of rounds.
  if (round.includes(pattern.made)) return around;
  const up = { ...pattern.up, word: pattern.up.word.replace(/\brow(s?)\b/, 'round$1') };
  return { ...around, up, ends: '', careful: '' };
}
