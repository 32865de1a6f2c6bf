import { firstColumn, keyAt, mainAt, oneColour, opensOnlyFirst } from '../../technique/rules.ts';
import { type CourseView, plainStitches, type Technique } from '../../technique/technique.ts';

/**
 * Groups of dc and loose chains by turns: the next row's groups go down over the chains into the row two below.
 * docs/craft.md, “Chain-space check”.
 */
export const chainSpace: Technique = {
  key: 'chain-space',
  name: 'chain-space check',
  words: {
    change:
      'The colour changes in the last pull-through of the row: in the slip stitch into the edge stitch, or the last dc.',
    lookOver: 'The dc go into the tops two rows below, over the loose chains, which vanish inside.',
    height: 'A row adds about half a dc, and the sunk chain lifts it a little: 0.55 of a dc.',
    idle: 'Three colours climb the edge, one row each; two cannot.',
  },
  step: 1,
  ordered: true,
  kinds: ['dc', 'dc-ch3', 'dc@below2', 'ch', 'sc'],
  width: plainStitches,
  paths: { dc: { a: 2, b: 7.3, c: 8 } },
  gaugeKey: () => 'chain-space',
  foundations: () => ['dc-4th'],
  opening: (kind) => (kind === 'dc' || kind === 'dc@below2' ? 'dc-ch3' : kind),
  prove(view) {
    opensOnlyFirst(view);
    oneColour(view);
    const closing = view.course > 0 && view.course === view.courses - 1 && hasSc(view.kinds);
    const first = firstColumn(view);
    for (let x = 0; x < view.kinds.length; x++) {
      const own = keyAt(view.kinds, x);
      const reason = !view.below ? ofFirstRow(own) : reasonOf(view, x, own, closing);
      if (reason) view.refuse(x, reason);
      else if (x === first && (own === 'dc' || own === 'dc@below2')) {
        view.refuse(x, 'a row that begins with a dc begins with ch 3');
      }
    }
    if (!view.below) proveGroups(view);
  },
};

function hasSc(kinds: Uint8Array): boolean {
  return kinds.includes(0);
}

function ofFirstRow(own: string | undefined): string | undefined {
  return own === 'dc' || own === 'dc-ch3' || own === 'ch' ? undefined : `${own} has no row below it`;
}

function reasonOf(view: CourseView, x: number, own: string | undefined, closing: boolean): string | undefined {
  const under = mainAt(view.below?.kinds, x);
  const tall = mainAt(view.kinds, x) === 'dc';
  if (own === 'dc') return 'a dc goes two rows down, over the chains';
  if (under === 'dc' && tall) return 'a dc stands on a dc, where chains go over the group';
  if (under === 'ch' && !tall) return closing ? 'a gap is closed with a dc' : 'the chains below have no dc over them';
  if (own === 'sc') return closing ? undefined : 'an sc can only stand in a closing row';
  if (own === 'ch') return closing ? 'an open chain stands in the closing row' : undefined;
  if (tall && view.below2 && mainAt(view.below2.kinds, x) !== 'dc') return 'there is no dc two rows below to go into';
  return undefined;
}

/** Row 1 alternates groups and gaps of one length, and has a group at both ends. */
function proveGroups(view: CourseView): void {
  const length = view.bound.numbers.g;
  if (length === undefined) return;
  for (let x = 0; x < view.kinds.length; x++) {
    const group = Math.floor(x / length) % 2 === 0;
    if ((mainAt(view.kinds, x) === 'dc') !== group) view.refuse(x, `groups and gaps are ${length} long, by turns`);
  }
}
