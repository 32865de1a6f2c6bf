import type { IntoChain } from '../../craft/foundation/foundation.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import type { Facts, Told } from '../../craft/values/problem.ts';
import { type WorkedCourse, workCourse } from '../../plan/steps/course.ts';
import { type Ending, staysOn } from '../../plan/steps/ending.ts';
import { type LastUse, lastUsesIn, markersOf } from '../../plan/steps/rowAdvice.ts';
import { endingWords } from '../en/ending.ts';
import { techniqueWords } from '../en/techniques.ts';
import { type Terms, termed } from '../terms/termed.ts';
import { stitchWord } from '../terms/terms.ts';
import { changeOfRun, courseWord, type WriteRequest } from './rows.ts';

/** What a maker is told beside the runs of a row. */
export interface RowAdvice {
  /** Where the colour changes, on the stitch before: `finish stitch 4 in B`. */
  readonly changes: readonly string[];
  /** Where to put markers. */
  readonly markers: readonly string[];
  /** What to look over, as the technique has it. */
  readonly lookOver: string;
  /** One row ahead of the last, and where a strand is needed for the last time. */
  readonly ahead: readonly string[];
}

/** What advice on a row is made from. */
export interface RowAdviceRequest extends Pick<WriteRequest, 'fabric' | 'bound' | 'foundation'> {
  readonly technique: Technique;
  readonly terms: Terms;
  /** What becomes of the last loop. */
  readonly ending: Ending;
}

export interface AdviceRequest extends WriteRequest, RowAdviceRequest {
  readonly into?: IntoChain | undefined;
}

function changesOf(course: WorkedCourse, terms: Terms): string[] {
  return course.runs.flatMap((run) => changeOfRun(course, run, { terms }) ?? []);
}

const markers: Readonly<Record<string, (f: Facts) => string>> = {
  'mark-round': () => 'Mark the first stitch of the round, and move the marker up with it.',
  'mark-fold': (f) => `Mark the side fold after stitch ${f.stitch} as well.`,
  'mark-turning-space': () => 'Mark the space of the turning chain: the last {sc} of the next row goes there.',
  'hold-other-net': () => 'Hold the live loop of the other net with a marker.',
  'mark-edge-post': () => 'Mark the turning chain: the last stitch of the next row goes between the last post and it.',
  'mark-edge-space': () => 'Mark the turning chain: the last cluster of the next row goes into the space beside it.',
  'mark-turning-top': () => 'Mark the top of the turning chain: the last stitch of the next row goes there.',
  'mark-edges': () => 'Mark the first and the last stitch: the edges stay straight.',
};

function markerWords({ code, facts }: Told): string {
  return markers[code]?.(facts ?? {}) ?? code;
}

const one = { stitches: 'stitch', clusters: 'cluster', blocks: 'block' } as const;

function lastWords({ colour, place }: LastUse, terms: Terms): string {
  const where = !place
    ? 'in this row'
    : 'last' in place
      ? `in the last ${stitchWord(place.last, terms)}`
      : `at ${one[place.counts]} ${place.at}`;
  return `${colour} is needed for the last time ${where}.`;
}

function aheadOf(request: RowAdviceRequest, course: WorkedCourse): string[] {
  const { fabric, bound } = request;
  // What is worked on from the last loop is needed for more than these rows.
  const words = lastUsesIn(request, course)
    .filter(({ colour }) => !staysOn(request.ending, colour))
    .map((use) => lastWords(use, request.terms));
  const word = courseWord(fabric.making).toLowerCase();
  if (course.number === fabric.courses - 1)
    words.unshift(bound.pattern.ends ? `One ${word} to go. ${bound.pattern.ends}` : `One ${word} to go.`);
  if (course.number === fabric.courses) words.push(endingWords(request.ending));
  return words;
}

/** What to tell beside a row. @param number from 1 */
export function rowAdvice(request: RowAdviceRequest, number: number): RowAdvice {
  const course = workCourse(request.fabric, request.bound, request.foundation, number - 1);
  const told = (text: string) => termed(text, request.terms);
  return {
    changes: changesOf(course, request.terms),
    markers: markersOf(request, course).map(markerWords).map(told),
    lookOver: told(techniqueWords(request.technique.key).lookOver),
    ahead: aheadOf(request, course).map(told),
  };
}
