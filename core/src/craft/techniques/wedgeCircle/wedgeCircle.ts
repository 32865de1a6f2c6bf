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
  name: 'wedge circle',
  words: {
    change:
      'The new colour enters with the last pull-through of the stitch before; the round joins in the next colour.',
    lookOver: 'The increase is the first stitch of each wedge; count the wedge, not the round.',
    height: 'Every round is as tall as its stitch.',
    idle: 'The idle strands are carried all round inside the stitches.',
  },
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
    if (first !== 'inc-ch3' && first !== 'dc-ch3')
      view.refuse(0, 'a round begins with ch 3, which is its first stitch');
    const [ring, opening] = [codeOf('dc@ring'), [codeOf('inc-ch3'), codeOf('dc-ch3')]];
    for (let x = 1; x < kinds.length; x++) {
      const kind = kinds[x] as number;
      if (opening.includes(kind)) view.refuse(x, 'ch 3 stands for the first stitch of a round and for no other');
      else if (course > 0 && kind === ring) view.refuse(x, 'only the first round goes into the ring');
      else if (course === 0 && kind !== ring) view.refuse(x, 'the first round goes into the ring');
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
    if (under[x] !== colours[x]) view.refuse(x, 'a wedge stands on the wedge of its own colour');
    const starts = x === 0 || colours[x] !== colours[x - 1];
    const increases = makesOf[kinds[x] as number] === 2;
    if (!plain && starts !== increases)
      view.refuse(x, 'the first stitch of each wedge takes the increase, and no other');
  }
}
