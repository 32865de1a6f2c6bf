import type { ToldUnit } from '../../craft/units/length.ts';
import type { Told } from '../../craft/values/problem.ts';
import { itemNamed } from '../../plan/items/register.ts';
import type { WorkStep } from '../../plan/steps/finishSteps.ts';
import { panelsOf, type Sequence, type Standing } from '../../plan/steps/sequence.ts';
import type { PieceApart } from '../../work/underway/pieces.ts';
import { lengthText } from '../figures/figures.ts';
import { type Terms, termed } from '../terms/termed.ts';
import { borderRuns, finishNames, finishStep } from './finish.ts';
import { itemName } from './items.ts';
import { upper } from './lists.ts';
import { finishSaid } from './screens/finish.ts';

/** What a step is called: `Border, round 1 of 2`. */
export function stepName({ code, facts: f = {} }: WorkStep): string {
  switch (code) {
    case 'chain':
      return `Chain ${f.chains}`;
    case 'ends':
      return f.ends === 1 ? 'Weave in 1 end' : `Weave in ${f.ends} ends`;
    case 'wash':
      return 'Wash and dry';
    case 'fold':
      return 'Fold';
    default: {
      const name = upper(finishNames[code as keyof typeof finishNames] ?? code);
      return f.round ? `${name}, round ${f.round} of ${f.of}` : name;
    }
  }
}

const sides: Readonly<Record<string, string>> = {
  top: 'along the top',
  far: 'down the next side',
  bottom: 'along the bottom',
  near: 'up the last side',
};

const seamSides: Readonly<Record<string, string>> = {
  first: 'down the first side',
  bottom: 'along the bottom',
  second: 'up the second side',
  top: 'along the top',
};

const edges: Readonly<Record<string, string>> = {
  near: 'at the edge where row 1 begins',
  far: 'at the other edge',
  seam: 'at the seam',
  inside: 'inside',
};

/** Where an end hangs: `, at the other edge, row 12`; of which part of the finishing it is. */
function endPlaceWords({ row, edge, part, course = 'row' }: NonNullable<Told['facts']>): string {
  if (part) return ` of the ${finishNames[part as keyof typeof finishNames] ?? part}`;
  return row === undefined ? '' : `, ${edges[String(edge)] ?? ''}, ${course} ${row}`;
}

const washes: Readonly<Record<string, string>> = {
  'cotton-hot': 'Wash it hot, as it will be washed later, and lay it flat to dry.',
  acrylic: 'Wash it at 30 °C and lay it flat to dry; never iron it.',
  'wool-blocked': 'Soak it in lukewarm water, press it out in a towel, and pin it to its size until it is dry.',
  'superwash-tumbled': 'Wash it, tumble it nearly dry, and lay it flat to its size.',
};

/** The colours of a side that is worked in a pattern. */
function cellsWords({ cells, own, second }: NonNullable<Told['facts']>): string {
  return cells === undefined ? '' : `: ${borderRuns(String(cells), String(own), String(second))}`;
}

/** What is done in one part of a step: a side of a round, an end, so many chains. */
export function stepRunWords({ code, facts: f = {} }: Told, step: WorkStep, terms: Terms): string {
  switch (code) {
    case 'border-side':
      return termed(
        `${f.count} {sc} ${sides[String(f.side)]}${cellsWords(f)}, then ${f.corner}${f.in ? ` ${f.in}` : ''} in the corner`,
        terms,
      );
    case 'border-round':
      return termed(`${step.facts?.stitches ?? ''} {sc} all round${cellsWords(f)}`, terms);
    case 'end':
      return `end ${f.n} of ${f.of}${f.letter ? `, ${f.letter}` : ''}${endPlaceWords(f)}; inside its own colour`;
    case 'seam-side': {
      const corner = f.corner ? `, then ${f.corner} in the corner` : '';
      return `${f.count} pairs ${seamSides[String(f.at)]}${corner}`;
    }
    case 'envelope-round':
      return termed(`layer ${f.layer}, round ${f.n} of ${f.of}: ${f.count} {sc}`, terms);
    case 'mouth-side':
      return termed(`${f.of} side: ${f.count} {sc}`, terms);
    case 'eyelet':
      return `${f.of} side: an eyelet, ch ${f.chains}, skip 1`;
    case 'strap-row':
      return `row ${f.n} of ${f.of}, ${f.along} stitches`;
    case 'chains':
      return f.count === 20
        ? `20 chains, to ${f.upTo}: put a marker in`
        : `${f.count} ${f.count === 1 ? 'chain' : 'chains'}, to ${f.upTo}`;
    case 'wash':
      return 'wash and dry it';
    case 'fold':
      return f.of === 1 ? 'fold it' : `fold ${f.n} of ${f.of}`;
    default:
      return stepName(step).toLowerCase();
  }
}

/** A part of a step as it is read from afar: its number, and the words to it; words alone where it has none. */
export function stepRunLarge(run: Told, step: WorkStep, terms: Terms): { number: string | undefined; words: string } {
  const words = stepRunWords(run, step, terms);
  const number = String(run.facts?.count ?? run.facts?.n);
  // It stands first, behind what it counts, or behind where that is: `36 sc …`, `end 3 of 8 …`, `first side: 36 sc`.
  const [, where = '', rest] = new RegExp(`^(?:end |row |fold |(.*: ))?${number} (.*)$`).exec(words) ?? [];
  return rest === undefined ? { number: undefined, words } : { number, words: where + rest };
}

/** What is heard of a step, part by part: `Seam: 44 pairs down the first side`; of one that is done at once its name. */
export function stepSaid(step: WorkStep, at: number, terms: Terms): string {
  const run = step.runs[at];
  if (!run) return '';
  return step.runs.length > 1 ? `${stepName(step)}: ${stepRunWords(run, step, terms)}` : stepName(step);
}

/** How a step is done, a sentence each. @param ends what this maker does with ends */
export function stepLines(
  { code, facts, told }: WorkStep,
  units: ToldUnit,
  terms: Terms,
  ends: keyof typeof finishSaid.endsDone = 'woven',
): string[] {
  if (code === 'wash') return [washes[String(facts?.way)] ?? 'Wash and dry it as its label says.'];
  if (code === 'fold') return [finishSaid.foldSo(Number(facts?.across), Number(facts?.up))];
  if (code === 'chain') {
    return [
      'Make the chain loosely, and put a marker in after every twenty: nobody then counts to a hundred twice.',
      ...(facts?.again ? ['Work into it as you did the first time.'] : []),
    ];
  }
  if (code === 'ends') return [finishSaid.endsDone[ends]];
  return told.map((each) => termed(finishStep(each, units), terms));
}

/** What each cloth of a project is called: a panel, or what is made of it. */
export function clothName(item: string): string {
  return itemNamed(item).countsPanels ? 'panel' : itemName(item).toLowerCase();
}

/**
 * A place of the whole, as a note or a weighing is kept by it: `row 5`, `dishcloth 2, row 5`, `border, round 1 of 2`.
 * @param done units that are done there; its last one is told @param word what a row is called
 */
export function placeName(
  sequence: Sequence,
  done: number,
  item: string,
  word: string = sequence.word ?? 'row',
): string {
  const { units, pieces, items } = sequence;
  const unit = units[done - 1];
  if (!unit) return done < 1 ? `${word} 0` : 'the end';
  const own =
    unit.kind === 'row' ? `${word} ${unit.row + 1}` : stepName(unit.step).replace(/^./, (a) => a.toLowerCase());
  if (unit.kind === 'row' || unit.of === 'cloth') {
    return pieces > 1 ? `${clothName(item)} ${unit.piece + 1}, ${own}` : own;
  }
  const number = Math.floor(unit.piece / panelsOf(sequence)) + 1;
  return items > 1 && unit.of === 'item' ? `${itemName(item).toLowerCase()} ${number}, ${own}` : own;
}

/** `Panel 2 is 1.2 cm wider at row 30 than panel 1.` */
export function pieceApartWords({ piece, than, side, row, by }: PieceApart, item: string, units: ToldUnit): string {
  const more = { width: ['wider', 'narrower'], height: ['higher', 'lower'] }[side][by > 0 ? 0 : 1];
  const mm = Math.abs(by);
  const size = lengthText({ mid: mm, low: mm, high: mm, source: 'typed' }, units);
  const name = clothName(item);
  return `${upper(name)} ${piece + 1} is ${size} ${more} at row ${row} than ${name} ${than + 1}.`;
}

/** `Dishcloth 2 of 5`; nothing where there is one. */
export function clothOf(
  { pieces }: Pick<Sequence, 'pieces'>,
  { piece }: Pick<Standing, 'piece'>,
  item: string,
): string {
  return pieces > 1 ? `${upper(clothName(item))} ${piece + 1} of ${pieces}` : '';
}
