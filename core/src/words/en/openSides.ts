import { itemNamed } from '../../plan/items/register.ts';

/** How a piece is made that is to be closed. */
interface Closed {
  readonly item: string;
  readonly tube: boolean;
  /** One cloth that is folded over with a flap. */
  readonly flap: boolean;
  /** Rounds on both sides of a chain, which close the lower end. */
  readonly onChain: boolean;
}

/** What the choice of a seam is called. */
export function joinLabel(item: string, tube: boolean, flap: boolean): string {
  return !tube && !flap && itemNamed(item).panels ? 'Join panels with' : 'Close with';
}

/** Which sides are open, and so are closed. */
export function openSides({ item, tube, flap, onChain }: Closed): string {
  const { mouth, panels, sides } = itemNamed(item);
  if (tube && mouth) {
    return onChain
      ? 'Worked on both sides of a chain, there is nothing left to join.'
      : 'A ring is open below: close its lower edge.';
  }
  if (tube) {
    return onChain
      ? 'On both sides of a chain the lower end is closed already: one seam, at the top.'
      : 'A ring is open below and above: two seams.';
  }
  if (flap) return 'One fabric, folded over with its flap: close two sides.';
  if (panels && sides === 4) return 'Two panels: close three sides, put the insert in, then close the fourth.';
  return panels ? 'Two panels: join three sides; the mouth stays open.' : 'Fold the fabric and close its sides.';
}
