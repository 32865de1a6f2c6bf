import { asCell } from '../../craft/values/cell.ts';
import type { LogEntry } from '../../records/logEntry.ts';
import type { Figure, PlanDocument } from '../../records/planDocument.ts';

/** A number as a program reads it, with a point whatever the maker's region. */
function number(value: number | undefined, digits = 2): string {
  return value === undefined ? '' : String(Number(value.toFixed(digits)));
}

/** What stands over the columns of a table of yarn. */
export const yarnColumns = ['colour', 'yarn', 'part', 'low', 'middle', 'high', 'unit', 'balls', 'ends'] as const;

/** Where the yarn of a plan goes: a line for each part of each colour in m, then its whole in m and in g. */
export function yarnTable({ colours }: Pick<PlanDocument, 'colours'>): string[][] {
  return colours.flatMap(({ letter, name, parts, metres, grams, balls, ends, closedIn }) => {
    const line = (part: string, figure: Figure, rest: string[] = ['', '']) => [
      letter,
      asCell(name),
      part,
      number(figure.low),
      number(figure.mid),
      number(figure.high),
      figure.unit,
      ...rest,
    ];
    return [
      ...Object.entries(parts).map(([part, figure]) => line(part, figure)),
      line('all', metres, [number(balls?.count), String(ends - closedIn)]),
      line('all', grams),
    ];
  });
}

/** What stands over the columns of a table of a log. */
export const logColumns = [
  'kind',
  'when',
  'rows done',
  'minutes',
  'colour',
  'ball',
  'grams before',
  'grams after',
  'width',
  'height',
  'text',
] as const;

type LogLine = Partial<Record<(typeof logColumns)[number], string>>;

/** What a session took, as far as the table asks. */
interface SessionOfLog {
  readonly from: number;
  readonly seconds: number;
  readonly rows: number;
}

const when = (at: number) => new Date(at).toISOString();

/** @param rowsAt rows that are worked where the counter stands */
function lineOf(entry: LogEntry, rowsAt: (done: number) => number): LogLine | undefined {
  const head = { kind: entry.kind, when: when(entry.at) };
  switch (entry.kind) {
    case 'weigh': {
      const { letter, ball, before, after, position } = entry;
      const grams = { 'grams before': number(before), 'grams after': number(after) };
      return { ...head, 'rows done': String(rowsAt(position.rows)), colour: letter, ball: String(ball), ...grams };
    }
    case 'measure': {
      const { width = '', height = '', position } = entry;
      return { ...head, 'rows done': String(rowsAt(position.rows)), width: asCell(width), height: asCell(height) };
    }
    case 'note':
      return { ...head, 'rows done': String(rowsAt(entry.row)), text: asCell(entry.text) };
    case 'photo':
      return { ...head, 'rows done': String(rowsAt(entry.row)) };
    case 'end': {
      const { width = '', height = '', grams, next } = entry;
      return {
        ...head,
        width: asCell(width),
        height: asCell(height),
        'grams after': number(grams),
        text: asCell(next),
      };
    }
    // What is told of sessions stands in the sessions.
    default:
      return undefined;
  }
}

/**
 * A log as a table: its sessions and its entries by when they were, a line each.
 * @param rowsAt rows, of all cloths, that are worked after so many rows and steps
 */
export function logTable(
  entries: readonly LogEntry[],
  sessions: readonly SessionOfLog[],
  rowsAt: (done: number) => number,
): string[][] {
  const lines = [
    ...sessions.map(
      ({ from, seconds, rows }): LogLine => ({
        kind: 'session',
        when: when(from),
        'rows done': String(rows),
        minutes: number(seconds / 60, 1),
      }),
    ),
    ...entries.flatMap((entry) => lineOf(entry, rowsAt) ?? []),
  ];
  return lines
    .sort((a, b) => (a.when ?? '').localeCompare(b.when ?? ''))
    .map((line) => logColumns.map((column) => line[column] ?? ''));
}
