import { firstColumn, keyAt, mainAt, oneColour, opensOnlyFirst } from '../../technique/rules.ts';
import { type CourseView, plainStitches, type Technique } from '../../technique/technique.ts';

/**
 * Groups of dc and loose chains by turns: the next row's groups go down over the chains into the row two below.
 * docs/craft.md, “Chain-space check”.
 */
export const chainSpace: Technique = {
  key: 'chain-space',
  makings: ['flat'],
  uses: ['small cloth', 'large cloth', 'long cloth', 'mat', 'panel'],
  looks: ['blocks'],
  slipsOntoEdge: true,
  step: 1,
  ordered: true,
  kinds: ['dc', 'dc-ch3', 'dc@below2', 'ch', 'sc'],
  width: plainStitches,
  paths: { dc: { a: 2, b: 7.3, c: 8 } },
  gaugeKey: () => 'sunk dc',
  foundations: () => ['dc-4th'],
  marks: ['dc', 'ch', 'dc@below2', 'sc'],
  opening: (kind) => (kind === 'dc' || kind === 'dc@below2' ? 'dc-ch3' : kind),
  prove(view) {
    opensOnlyFirst(view);
    oneColour(view);
    const closing = view.course > 0 && view.course === view.courses - 1 && hasSc(view.kinds);
    const first = firstColumn(view);
    for (let x = 0; x < view.kinds.length; x++) {
      const own = keyAt(view.kinds, x);
      const reason = !view.below ? ofFirstRow(own) : reasonOf(view, x, own, closing);
      if (reason) view.refuse(x, reason, { key: own });
      else if (x === first && (own === 'dc' || own === 'dc@below2')) {
        view.refuse(x, 'dc-without-chain');
      }
    }
    if (!view.below) proveGroups(view);
  },
};

function hasSc(kinds: Uint8Array): boolean {
  return kinds.includes(0);
}

function ofFirstRow(own: string | undefined): string | undefined {
  return own === 'dc' || own === 'dc-ch3' || own === 'ch' ? undefined : 'nothing-below-it';
}

function reasonOf(view: CourseView, x: number, own: string | undefined, closing: boolean): string | undefined {
  const under = mainAt(view.below?.kinds, x);
  const tall = mainAt(view.kinds, x) === 'dc';
  if (own === 'dc') return 'dc-goes-two-down';
  if (under === 'dc' && tall) return 'dc-on-group';
  if (under === 'ch' && !tall) return closing ? 'gap-not-closed' : 'chains-uncovered';
  if (own === 'sc') return closing ? undefined : 'sc-in-closing-only';
  if (own === 'ch') return closing ? 'chain-in-closing' : undefined;
  if (tall && view.below2 && mainAt(view.below2.kinds, x) !== 'dc') return 'no-dc-two-below';
  return undefined;
}

/** Row 1 alternates groups and gaps of one length, and has a group at both ends. */
function proveGroups(view: CourseView): void {
  const length = view.bound.numbers.g;
  if (length === undefined) return;
  for (let x = 0; x < view.kinds.length; x++) {
    const group = Math.floor(x / length) % 2 === 0;
    if ((mainAt(view.kinds, x) === 'dc') !== group) view.refuse(x, 'group-length', { length });
  }
}
