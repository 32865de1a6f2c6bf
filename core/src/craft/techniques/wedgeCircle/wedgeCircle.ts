import { assemble, type Cells, type Fabric, stitchesMade } from '../../fabric/fabric.ts';
import { type LayRequest, spreadRow, turnRows, unitWidth } from '../../fabric/rows.ts';
import { codeOf, stitchKind, stitchKinds } from '../../stitches/kinds.ts';
import { keyAt } from '../../technique/rules.ts';
import type { CourseView, Technique } from '../../technique/technique.ts';

/** Lays rounds of wedges; `j` is the stitches of a wedge in the round below. */
function layRounds(request: LayRequest): Fabric {
  const { bound, stitches: wedges, courses } = request;
  const rows: Cells[] = [];
  let wedge = 1;
  for (const [course, turned] of turnRows(bound, courses).entries()) {
    const numbers = { i: course + 1, j: wedge };
    const unit = unitWidth({ ...bound, numbers: { ...bound.numbers, ...numbers } }, turned.row);
    const inUnit = turned.row.unit.filter((run) => run.stitch === 'inc' || run.place === 'ring').length;
    const perUnit = Math.max(1, inUnit || turned.row.unit.length);
    const cells = spreadRow(bound, turned, (unit * wedges) / perUnit, 0, numbers);
    const opening = stitchKind(cells.kinds[0] as number).key;
    cells.kinds[0] = codeOf(opening === 'inc' ? 'inc-ch3' : 'dc-ch3');
    rows.push(cells);
    wedge = stitchesMade(cells) / wedges;
  }
  return assemble('rounds', wedges, rows, bound.colours.length);
}

/** Wedges that curl as the circle grows. docs/craft.md, “Wedge circle”. */
export const wedgeCircle: Technique = {
  key: 'wedge-circle',
  makings: ['rounds'],
  uses: ['large cloth', 'circle'],
  looks: ['figures'],
  sample: [0, 7],
  step: 2,
  circle: true,
  kinds: ['dc@ring', 'dc-ch3', 'dc', 'inc', 'inc-ch3'],
  width: { word: 'wedges', stitches: (count) => count, widths: (count) => count },
  gaugeKey: () => 'dc',
  foundations: () => ['magic-ring', 'chain-ring'],
  opening: (kind) => kind,
  lay: layRounds,
  heights: (rounds) => 2 * rounds,
  policy: 'carry-always',
  prove(view) {
    const { kinds, course } = view;
    const first = keyAt(kinds, 0);
    if (first !== 'inc-ch3' && first !== 'dc-ch3') view.refuse(0, 'round-without-chain');
    const [ring, opening] = [codeOf('dc@ring'), [codeOf('inc-ch3'), codeOf('dc-ch3')]];
    for (let x = 1; x < kinds.length; x++) {
      const kind = kinds[x] as number;
      if (opening.includes(kind)) view.refuse(x, 'chain-inside-round');
      else if (course > 0 && kind === ring) view.refuse(x, 'ring-later');
      else if (course === 0 && kind !== ring) view.refuse(x, 'ring-missing');
    }
    if (course > 0 && view.below) proveWedges(view, view.below);
  },
};

const makesOf = Uint8Array.from(stitchKinds, (kind) => kind.makes);

/** Each wedge stands on the wedge of its colour below, and takes one increase in its first stitch, or none in any. */
function proveWedges(view: CourseView, below: Cells): void {
  const { kinds, colours } = view;
  const under = new Uint8Array(stitchesMade(below));
  let at = 0;
  for (let x = 0; x < below.kinds.length; x++) {
    for (let n = makesOf[below.kinds[x] as number] as number; n > 0; n--) under[at++] = below.colours[x] as number;
  }
  let plain = true;
  for (const code of kinds) if (makesOf[code] === 2) plain = false;
  for (let x = 0; x < kinds.length; x++) {
    if (under[x] !== colours[x]) view.refuse(x, 'wedge-colour');
    const starts = x === 0 || colours[x] !== colours[x - 1];
    const increases = makesOf[kinds[x] as number] === 2;
    if (!plain && starts !== increases) view.refuse(x, 'wedge-increase');
  }
}
