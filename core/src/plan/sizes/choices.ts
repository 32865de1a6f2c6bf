import type { WidthOffer } from '../fit/across.ts';
import type { HeightOffer } from '../fit/up.ts';
import type { Prepared } from '../wish/prepare.ts';
import { asWideAsHigh, type Sizes } from './sizes.ts';

/** What speaks for a size. */
export type SizeReason = 'nearest' | 'asked' | 'matching' | 'squarest' | 'narrower' | 'wider' | 'shorter' | 'longer';

/** A size worth considering, and what speaks for it. */
export interface SizeChoice {
  readonly width: WidthOffer;
  readonly height: HeightOffer;
  readonly reasons: readonly SizeReason[];
}

const most = 6;

function best<T>(items: readonly T[], score: (item: T) => number): T | undefined {
  return items.reduce<T | undefined>((a, b) => (a !== undefined && score(a) <= score(b) ? a : b), undefined);
}

/** Width and height that agree best; only from a measured gauge, since a typical row height is too unsure. */
function squarest(
  widths: readonly WidthOffer[],
  heights: readonly HeightOffer[],
): [WidthOffer, HeightOffer] | undefined {
  const pairs = widths.flatMap((width) => heights.map((height) => [width, height] as [WidthOffer, HeightOffer]));
  return best(pairs, ([width, height]) => {
    const off = Math.abs(Math.log(width.width.mid / height.height.mid));
    return off * 1000 + Math.abs(width.difference) / 1000 + Math.abs(height.difference) / 1000;
  });
}

/** The best sizes near a wish, nearest first, each with its reason. */
export function chooseSizes(prepared: Prepared, sizes: Sizes): SizeChoice[] {
  const { across, up } = sizes;
  const choices = new Map<string, { width: WidthOffer; height: HeightOffer; reasons: SizeReason[] }>();
  const add = (width: WidthOffer | undefined, height: HeightOffer | undefined, reason: SizeReason) => {
    if (!width || !height) return;
    const size = asWideAsHigh(prepared, { width, height });
    const key = `${width.stitches}×${height.rows}`;
    const known = choices.get(key);
    if (known) known.reasons.push(reason);
    else if (choices.size < most) choices.set(key, { ...size, reasons: [reason] });
  };
  const off = (offer: { difference: number }) => Math.abs(offer.difference);
  const offWish = (offer: WidthOffer) =>
    prepared.width.by === 'length' ? off(offer) : Math.abs(offer.stitches - across.chosen.stitches);
  const alike = across.offers.filter((each) => each.alike);
  const begun = up.offers.filter((each) => each.asBegun);
  const widthAt = across.offers.findIndex((each) => each.stitches === across.chosen.stitches);
  const heightAt = up.offers.findIndex((each) => each.rows === up.chosen.rows);
  add(across.chosen, up.chosen, prepared.width.by === 'length' ? 'nearest' : 'asked');
  add(best(alike, offWish), best(begun, off), 'matching');
  if (prepared.gauge.source !== 'typical') {
    const near = (offers: readonly { difference: number }[]) => offers.length > 0;
    const pair = near(alike) ? squarest(alike, up.offers) : undefined;
    if (pair) add(pair[0], pair[1], 'squarest');
  }
  add(across.offers[widthAt - 1], up.chosen, 'narrower');
  add(across.offers[widthAt + 1], up.chosen, 'wider');
  add(across.chosen, up.offers[heightAt - 1], 'shorter');
  add(across.chosen, up.offers[heightAt + 1], 'longer');
  return [...choices.values()];
}
