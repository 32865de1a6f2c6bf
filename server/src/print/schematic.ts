import type { Estimate } from '@puntada/core/craft';
import type { Plan } from '@puntada/core/plan';
import { printWords, sizeText } from '@puntada/core/words';
import { ink, printable, type Sheet, soft } from './sheet.ts';

/** pt that the largest outline is wide and high at most. */
const [mostWide, mostTall] = [170, 120];
/** pt between outlines. */
const gap = 46;

interface Outline {
  readonly name: string;
  /** mm */
  readonly width: number;
  readonly height: number;
  readonly text: string;
  /** mm of border around the piece inside it. */
  readonly border: number;
}

function exact(mm: number): Estimate {
  return { mid: mm, low: mm, high: mm, source: 'piece' };
}

/** What belongs to the piece beside the cloth, with what it measures: the whole with its border, the strap. */
function outlinesOf({ prepared, piece, width, height }: Plan): Outline[] {
  const { wish, sc } = prepared;
  const across = width.tube?.flat ?? width.width;
  const up = height.height;
  const found: Outline[] = [];
  const border = piece.finish.find(({ part }) => part === 'border' || part === 'envelope');
  if (border && wish.border) {
    const band = wish.border.rounds * sc.height.mid;
    const wider = (each: Estimate) => ({
      ...each,
      mid: each.mid + 2 * band,
      low: each.low + 2 * band,
      high: each.high + 2 * band,
    });
    found.push({
      name: printWords.withBorder,
      width: across.mid + 2 * band,
      height: up.mid + 2 * band,
      text: sizeText(wider(across), wider(up), wish.units),
      border: band,
    });
  }
  const strap = piece.finish.find(({ part }) => part === 'strap');
  const length = Number(strap?.steps.find(({ facts }) => facts?.length !== undefined)?.facts?.length ?? 0);
  if (strap && length > 0 && prepared.finish.strap) {
    const { width: wide } = prepared.finish.strap;
    found.push({
      name: printWords.strap,
      width: length,
      height: wide,
      text: sizeText(exact(length), exact(wide), wish.units),
      border: 0,
    });
  }
  return found;
}

/** Outlines of what stands beside the cloth on the cover, to one scale, each with what it measures. */
export function schematic(sheet: Sheet, plan: Plan): void {
  const outlines = outlinesOf(plan);
  if (!outlines.length) return;
  const scale = Math.min(
    mostWide / Math.max(...outlines.map(({ width }) => width)),
    mostTall / Math.max(...outlines.map(({ height }) => height)),
  );
  const tall = Math.max(...outlines.map(({ height }) => height)) * scale;
  sheet.room(tall + 40);
  sheet.doc.moveDown(0.4);
  sheet.heading(2, printWords.schematic);
  const { doc, left } = sheet;
  const top = doc.y + 4;
  sheet.figure(outlines.map(({ name, text }) => `${name}: ${text}`).join('; '), () => {
    let x = left;
    for (const { name, width, height, text, border } of outlines) {
      const [wide, high] = [width * scale, Math.max(2, height * scale)];
      doc.rect(x, top, wide, high).lineWidth(1).strokeColor(ink).stroke();
      if (border) {
        const inner = border * scale;
        doc.rect(x + inner, top + inner, wide - 2 * inner, high - 2 * inner).dash(2, { space: 2 });
        doc.lineWidth(0.75).strokeColor(soft).stroke().undash();
      }
      const column = Math.max(wide, 120);
      doc.font('text').fontSize(10).fillColor(ink);
      doc.text(printable(`${name}: ${text}`), x, top + high + 5, { width: column });
      x += column + gap;
    }
  });
  doc.x = left;
  doc.y = top + tall + 26;
}
