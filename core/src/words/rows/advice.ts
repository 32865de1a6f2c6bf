import { baseCourses, isRoundMaking } from '../../craft/fabric/fabric.ts';
import type { IntoChain } from '../../craft/foundation/foundation.ts';
import { codeOf, type StitchKey, stitchKind } from '../../craft/stitches/kinds.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { countedIn, type WorkedCourse, type WorkedRun, workCourse } from '../../plan/steps/course.ts';
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
}

export interface AdviceRequest extends WriteRequest, RowAdviceRequest {
  readonly into?: IntoChain | undefined;
}

function changesOf(course: WorkedCourse, terms: Terms): string[] {
  return course.runs.flatMap((run) => changeOfRun(course, run, { terms }) ?? []);
}

function markersOf(request: RowAdviceRequest, course: WorkedCourse): string[] {
  const { fabric, technique } = request;
  const first = course.runs[0]?.kinds[0] as StitchKey;
  const words: string[] = [];
  if (isRoundMaking(fabric.making)) {
    if (course.number === 1) words.push('Mark the first stitch of the round, and move the marker up with it.');
    if (!technique.circle && course.number === baseCourses(fabric) + 1) {
      words.push(`Mark the side fold after stitch ${Math.floor(fabric.count / 2)} as well.`);
    }
    return words;
  }
  if (technique.marker === 'turning space')
    words.push('Mark the space of the turning chain: the last {sc} of the next row goes there.');
  else if (technique.marker === 'other net') {
    // In the base row and the first of A there is no other net yet, and in the closing row no more.
    if (course.number > 2 && course.close) words.push('Hold the live loop of the other net with a marker.');
  } else if (technique.marker === 'none') return words;
  else if (course.edgePost) {
    words.push('Mark the turning chain: the last stitch of the next row goes between the last post and it.');
  } else if (first === 'edge-ch3') {
    words.push('Mark the turning chain: the last cluster of the next row goes into the space beside it.');
  } else if (stitchKind(codeOf(first)).opens) {
    words.push('Mark the top of the turning chain: the last stitch of the next row goes there.');
  } else if (course.number === 1) words.push('Mark the first and the last stitch: the edges stay straight.');
  return words;
}

/** Where a run ends, in the words of its row. */
function placeOfLast(course: WorkedCourse, run: WorkedRun, terms: Terms): string {
  if (run === course.runs.at(-1)) return `in the last ${stitchWord(course.last.kind, terms)}`;
  const one = { stitches: 'stitch', clusters: 'cluster', blocks: 'block' }[countedIn(course)];
  return `at ${one} ${run.from + run.count - 1}`;
}

/** Colours whose last stitch stands in this row, and where. */
function lastPlaces(request: RowAdviceRequest, course: WorkedCourse): string[] {
  const { fabric, bound } = request;
  const later = new Set<string>();
  for (let i = fabric.starts[course.number] as number; i < fabric.colours.length; i++) {
    later.add(bound.colours[fabric.colours[i] as number] as string);
    if (later.size === bound.colours.length) return [];
  }
  const gone = course.byColour.map(({ colour }) => colour).filter((colour) => !later.has(colour));
  const { runs } = course;
  return gone.map((colour) => {
    const run = runs.filter((each) => each.colour === colour).at(-1);
    return `${colour} is needed for the last time ${run ? placeOfLast(course, run, request.terms) : 'in this row'}.`;
  });
}

function aheadOf(request: RowAdviceRequest, course: WorkedCourse): string[] {
  const { fabric, bound } = request;
  const words = lastPlaces(request, course);
  const word = courseWord(fabric.making).toLowerCase();
  if (course.number === fabric.courses - 1)
    words.unshift(bound.pattern.ends ? `One ${word} to go. ${bound.pattern.ends}` : `One ${word} to go.`);
  if (course.number === fabric.courses) words.push('Fasten off: cut the yarn and pull the end through the last loop.');
  return words;
}

/** What to tell beside a row. @param number from 1 */
export function rowAdvice(request: RowAdviceRequest, number: number): RowAdvice {
  const course = workCourse(request.fabric, request.bound, request.foundation, number - 1);
  const told = (text: string) => termed(text, request.terms);
  return {
    changes: changesOf(course, request.terms),
    markers: markersOf(request, course).map(told),
    lookOver: told(techniqueWords(request.technique.key).lookOver),
    ahead: aheadOf(request, course).map(told),
  };
}
