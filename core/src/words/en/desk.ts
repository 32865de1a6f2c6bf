import type { Mark } from '../../craft/desk/drawing.ts';
import { colourOf, stitchOf } from '../../craft/desk/drawing.ts';
import { type StitchKey, stitchCode } from '../../craft/stitches/kinds.ts';
import type { Mend, RefusedMark, Study } from '../../plan/desk/study.ts';
import { stitchNames } from '../terms/stitchNames.ts';
import { type Terms, termed } from '../terms/termed.ts';
import { multipleText } from './arithmetic.ts';
import { proof } from './proof.ts';

/** A mark by its name: `B`, `dc 2 rows down`, `fleck in B`. */
export function markName(mark: Mark, terms: Terms): string {
  const [stitch, colour] = [stitchOf(mark), colourOf(mark)];
  if (stitch === undefined) return colour ?? mark;
  const known = stitchCode(stitch) !== undefined ? stitchNames[stitch as StitchKey] : undefined;
  const name = known ? known[terms === 'US' ? 0 : 1] : stitch;
  return colour ? `${name} in ${colour}` : name;
}

/** Where a cell is, as a maker counts: from 1, from the edge where row 1 begins. */
export function placeWords({ row, cell }: { readonly row: number; readonly cell: number }): string {
  return `Row ${row + 1}, cell ${cell + 1}`;
}

/** Why a cell cannot be worked. */
export function refusedWords({ code, facts, ...place }: RefusedMark, terms: Terms): string {
  const why = proof[code]?.(facts ?? {}) ?? code;
  return termed(`${placeWords(place)}: ${why}.`, terms);
}

/** One way to mend a cell, as its button says it. */
export function mendWords(
  { places, mark }: Mend,
  of: { readonly row: number; readonly cell: number },
  terms: Terms,
): string {
  const [place] = places;
  const here = !place || (place.row === of.row && place.cell === of.cell);
  const name = markName(mark, terms);
  return here ? `Make it ${name}` : `Make row ${place.row + 1}, cell ${place.cell + 1} ${name}`;
}

/** The widths and heights a drawing can be worked on. */
export function widthWords({ works, alike, up }: Study): string[] {
  const words = works ? [`It can be worked over ${multipleText(works)}.`] : [];
  if (alike) words.push(`Both edges match over ${multipleText(alike)}.`);
  if (up) words.push(`Heights: ${multipleText(up)} rows.`);
  return words;
}

/** What a drawing costs, a line each. */
export function costWords({ costs, lone, oddRows }: Study): string[] {
  const words: string[] = [];
  if (oddRows) words.push('An odd number of rows: the next repeat leans the other way. Add a row, or take one out.');
  if (lone.length) {
    words.push(
      lone.length === 1
        ? '1 stitch has no neighbour of its own colour.'
        : `${lone.length} stitches have no neighbour of their own colour.`,
    );
  }
  if (!costs) return words;
  const { ends, repeats, mostColours, thickest } = costs;
  const cloth = repeats === 1 ? 'one repeat' : `${repeats} × ${repeats} repeats`;
  words.push(`${ends} ${ends === 1 ? 'end' : 'ends'} to weave in, in ${cloth}.`);
  words.push(mostColours === 1 ? 'Every row is worked in one colour.' : `At most ${mostColours} colours in a row.`);
  if (thickest || mostColours > 2) {
    words.push(
      'Beside the chart: a stroke for each idle strand inside a row, a number where it has more than two colours.',
    );
  }
  if (thickest) words.push(`At most ${thickest} idle ${thickest === 1 ? 'strand' : 'strands'} inside a stitch.`);
  return words;
}
