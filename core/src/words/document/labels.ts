import { fibreFacts, melts } from '../../craft/gauge/fibres.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import type { LabelKind, LabelWish } from '../../records/label.ts';
import type { Wish } from '../../records/wish.ts';
import { itemName } from '../en/items.ts';
import { washWords } from '../en/labels.ts';
import { finishedFigure } from '../figures/figures.ts';
import { bandOf } from './folded.ts';

/** One line of a label, and how large it is set beside the others. */
export interface LabelLine {
  readonly text: string;
  readonly look: 'picture' | 'mark' | 'title' | 'text' | 'price';
}

/** A label as it is made: its size in mm, and what stands on it from the top. */
export interface Label {
  readonly kind: LabelKind;
  readonly width: number;
  readonly height: number;
  readonly lines: readonly LabelLine[];
}

/** Heights and widths of the labels that do not follow from the piece, mm. */
const sizes = { tag: [52, 80], care: [45, 60], price: [45, 25] } as const;
const bandHeight = 45;
const listWidth = 75;

/** A band round so many folded pieces, mm, to the next whole one: a paper that is too short is of no use. */
export function bandRound(plan: Plan, together: number): number {
  return Math.ceil(bandOf(plan, together, 'mid').band);
}

/** What the piece is made of by weight, the most first: `80 % cotton, 20 % acrylic`; a fibre alone without its share. */
export function fibreShares({ prepared, piece }: Plan): string {
  const grams = new Map<string, number>();
  piece.yarn.forEach(({ grams: { mid } }, i) => {
    const yarn = prepared.yarns[i];
    if (!yarn) return;
    const parts = yarn.blend?.length ? yarn.blend : [{ fibre: yarn.fibre, percent: 100 }];
    for (const { fibre, percent } of parts) {
      const name = fibreFacts[fibre].name;
      grams.set(name, (grams.get(name) ?? 0) + (mid * percent) / 100);
    }
  });
  const all = [...grams.values()].reduce((sum, each) => sum + each, 0);
  const sorted = [...grams].sort((a, b) => b[1] - a[1]);
  const [one] = sorted;
  if (!one || !all) return '';
  if (sorted.length === 1) return one[0];
  const shares = rounded(sorted.map(([, mid]) => (100 * mid) / all));
  return sorted.map(([name], i) => `${shares[i]} % ${name}`).join(', ');
}

/** Whole percents that are 100 together: what is lost by rounding goes to those that lost the most. */
function rounded(shares: readonly number[]): number[] {
  const whole = shares.map(Math.floor);
  const missing = 100 - whole.reduce((sum, each) => sum + each, 0);
  const byLoss = shares.map((share, i) => [share - Math.floor(share), i] as const).sort((a, b) => b[0] - a[0]);
  for (const [, i] of byLoss.slice(0, missing)) whole[i] = (whole[i] ?? 0) + 1;
  return whole;
}

const title = (text: string): LabelLine => ({ text, look: 'title' });
const text = (words: string): LabelLine => ({ text: words, look: 'text' });

function finishedSize({ width, height, prepared }: Plan): string {
  const round = prepared.technique.circle === true;
  return finishedFigure(width.tube?.flat ?? width.width, height.height, prepared.told, round).text;
}

/** What a picture that is a mark is called where it is not seen. */
const ownMark = 'The maker’s mark';

/** A label of a project, with what the maker says of it. What is empty takes no line. */
export function labelOf(plan: Plan, { kind, together, mark, picture, price }: LabelWish): Label {
  const { wish } = plan.prepared;
  // A picture is told by the name beside it, where there is one.
  const pictured: LabelLine[] = picture ? [{ text: ownMark, look: 'picture' }] : [];
  const marked: LabelLine[] = [...pictured, ...(mark ? [{ text: mark, look: 'mark' } as const] : [])];
  const priced: LabelLine[] = price ? [{ text: price, look: 'price' }] : [];
  const what = itemName(wish.item);
  const full = (lines: readonly LabelLine[]) => lines.filter((line) => line.text);
  switch (kind) {
    case 'band': {
      const lines = [...marked, title(wish.title), text(together > 1 ? `${together} × ${what.toLowerCase()}` : what)];
      return {
        kind,
        width: bandRound(plan, together),
        height: bandHeight,
        lines: full([...lines, text(fibreShares(plan))]),
      };
    }
    case 'tag': {
      const lines = [
        ...marked,
        title(wish.title),
        text(what),
        text(finishedSize(plan)),
        text(fibreShares(plan)),
        ...priced,
      ];
      return { kind, width: sizes.tag[0], height: sizes.tag[1], lines: full(lines) };
    }
    case 'care': {
      const lines = [title(fibreShares(plan)), ...careLines(wish, plan).map(text), ...marked];
      return { kind, width: sizes.care[0], height: sizes.care[1], lines: full(lines) };
    }
    case 'price':
      return {
        kind,
        width: sizes.price[0],
        height: sizes.price[1],
        lines: full([title(wish.title), ...priced, ...marked]),
      };
    case 'list': {
      const lines = [...marked, title(wish.title), text(`${wish.pieces} × ${what.toLowerCase()}`), ...yarns(plan)];
      return {
        kind,
        width: listWidth,
        height: 22 + 7 * lines.length + (picture ? 8 : 0),
        lines: full([...lines, ...priced]),
      };
    }
  }
}

function yarns({ prepared }: Plan): LabelLine[] {
  return prepared.yarns.map(({ letter, name }) => text(`${letter}  ${name}`));
}

/** How it is washed, in words: as its first wash was wished, else as its yarns say; what melts is kept from the iron. */
function careLines({ wash }: Wish, { prepared }: Plan): string[] {
  return [washWords[wash ?? 'as-yarn'], ...(prepared.yarns.some(melts) ? [washWords.melts] : [])];
}
