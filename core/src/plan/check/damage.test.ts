import { findPattern } from '../../craft/book/book.ts';
import { assemble, type Cells, courseCells, type Fabric } from '../../craft/fabric/fabric.ts';
import { findFoundation } from '../../craft/foundation/foundation.ts';
import { bindPattern } from '../../craft/notation/bind.ts';
import type { TechniqueKey } from '../../craft/patterns/model.ts';
import { codeOf } from '../../craft/stitches/kinds.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import { must } from '../../craft/values/problem.ts';
import { lay } from '../lay/lay.ts';
import { costsFor } from '../route/costs.ts';
import { chartOf } from '../route/ofFabric.ts';
import { route } from '../route/route.ts';
import { checkFabric } from './fabric.ts';
import { checkStrands } from './strands.ts';

const samples: Readonly<Record<TechniqueKey, readonly [key: string, count: number, rows: number]>> = {
  carried: ['buoys', 25, 17],
  'wide-hdc': ['spires', 41, 12],
  stripes: ['houndstooth', 20, 9],
  linen: ['quay-linen', 20, 10],
  'step-check': ['landing-steps', 15, 8],
  'chain-space': ['portholes', 20, 8],
  granny: ['anchor-diamonds', 8, 9],
  mosaic: ['tide-marks', 21, 18],
  mesh: ['two-nets', 12, 12],
  'corner-to-corner': ['storm-lantern', 9, 11],
  'wedge-circle': ['windlass', 12, 7],
  flecks: ['rain-marks', 25, 10],
  tube: ['sea-chest', 40, 10],
};

function whole(technique: TechniqueKey) {
  const [key, stitches, rows] = samples[technique] as (typeof samples)[string];
  const pattern = must(findPattern(key));
  const bound = must(bindPattern(pattern));
  const own = must(techniqueOf(pattern));
  const foundation = findFoundation(own.foundations(bound)[0] as string) as NonNullable<
    ReturnType<typeof findFoundation>
  >;
  const fabric = lay({ bound, foundation, edges: 'whole', stitches, courses: own.courses?.(stitches, rows) ?? rows });
  const costs = costsFor('carry-always', false, { stitchWidth: 6, rowHeight: 6 });
  const strands = route(chartOf(fabric), costs, own.policy === 'side-only' ? 'least-cost' : 'carry-always');
  const proof = { bound, technique: own, foundation };
  return { fabric, strands, proof };
}

/** The same fabric with one course changed. */
function withCourse(fabric: Fabric, course: number, change: (cells: Cells) => Cells): Fabric {
  const courses = Array.from({ length: fabric.courses }, (_, i) => {
    const cells = courseCells(fabric, i);
    return i === course ? change(cells) : cells;
  });
  return assemble(fabric.making, fabric.count, courses, fabric.colourCount);
}

function without(cells: Cells, at: number): Cells {
  return {
    kinds: cells.kinds.filter((_, x) => x !== at),
    colours: cells.colours.filter((_, x) => x !== at),
  };
}

function doubled(cells: Cells, at: number): Cells {
  const twice = (from: Uint8Array) => Uint8Array.from([...from.slice(0, at + 1), ...from.slice(at)]);
  return { kinds: twice(cells.kinds), colours: twice(cells.colours) };
}

function changed(cells: Cells, part: keyof Cells, at: number, value: number): Cells {
  const next = cells[part].slice();
  next[at] = value;
  return { ...cells, [part]: next };
}

/** A stitch that goes elsewhere: the tall for the short, the front for the back, the edge in the middle. */
const elsewhere: Readonly<Record<TechniqueKey, readonly (readonly [string, string])[]>> = {
  carried: [
    ['sc', 'dc'],
    ['sc', 'hdc-ch2'],
  ],
  'wide-hdc': [
    ['hdc@between', 'hdc'],
    ['hdc@between', 'hdc-ch2'],
    ['hdc', 'hdc@between'],
  ],
  stripes: [
    ['sc', 'dc'],
    ['dc', 'sc'],
  ],
  linen: [
    ['sc@space', 'ch'],
    ['ch', 'sc@space'],
    ['sc@space', 'sc'],
    ['ch', 'linen-edge'],
  ],
  'step-check': [
    ['sc', 'dc'],
    ['dc', 'sc'],
    ['dc', 'dc-ch3'],
  ],
  'chain-space': [
    ['dc@below2', 'ch'],
    ['ch', 'dc@below2'],
    ['dc@below2', 'dc'],
    ['dc', 'ch'],
  ],
  granny: [
    ['cluster@space', 'edge-dc'],
    ['edge-dc', 'cluster@space'],
    ['cluster-ch3', 'cluster'],
  ],
  mosaic: [
    ['sc@back', 'sc'],
    ['sc', 'dc@front2'],
    ['sc', 'sc@back'],
  ],
  mesh: [
    ['fpdc', 'ch'],
    ['ch', 'bpdc'],
    ['sc', 'ch'],
  ],
  'corner-to-corner': [
    ['block', 'block-grow'],
    ['block-grow', 'block-shrink'],
    ['block-shrink', 'block'],
  ],
  'wedge-circle': [
    ['dc', 'inc'],
    ['inc', 'dc'],
    ['dc', 'dc@ring'],
    ['inc-ch3', 'inc'],
  ],
  flecks: [
    ['sc', 'fleck'],
    ['fleck', 'sc'],
  ],
  tube: [
    ['sc', 'dc'],
    ['sc', 'hdc'],
  ],
};

describe.each(Object.keys(samples) as TechniqueKey[])('%s', (technique) => {
  const { fabric, strands, proof } = whole(technique);
  const proved = (damaged: Fabric) => {
    const laid = checkFabric(damaged, proof);
    return laid.ok ? checkStrands(chartOf(damaged), strands) : laid;
  };

  it('is whole before it is damaged', () => {
    expect(proved(fabric).ok).toBe(true);
  });

  // Five places each for a stitch missing, doubled, in another colour, and in another place: twenty damages and more.
  const places = [1, 2, 3, Math.floor(fabric.courses / 2), fabric.courses - 1].map((course) => {
    const cells = courseCells(fabric, course).kinds.length;
    return [course, Math.floor(cells / 2), cells] as const;
  });

  it.each(places)('a stitch missing in course %d is refused at its row', (course, at) => {
    const proof = proved(withCourse(fabric, course, (cells) => without(cells, at)));
    expect(proof.ok ? '' : proof.problems.map((problem) => problem.path).join()).toContain(`row ${course + 1}`);
  });

  it.each(places)('a stitch doubled in course %d is refused at its row', (course, at) => {
    const proof = proved(withCourse(fabric, course, (cells) => doubled(cells, at)));
    expect(proof.ok ? '' : proof.problems.map((problem) => problem.path).join()).toContain(`row ${course + 1}`);
  });

  it.each(places)('a stitch in the wrong colour in course %d is refused at its stitch', (course, at) => {
    const colour = courseCells(fabric, course).colours[at] === 0 ? 1 : 0;
    const proof = proved(withCourse(fabric, course, (cells) => changed(cells, 'colours', at, colour)));
    const path = proof.ok ? '' : proof.problems[0]?.path;
    expect(path).toMatch(new RegExp(`^row ${course + 1}, stitch \\d+$`));
  });

  it('a stitch made or placed otherwise is refused at its stitch', () => {
    let damages = 0;
    for (const [from, to] of elsewhere[technique] ?? []) {
      for (let course = 0; course < fabric.courses; course++) {
        const at = courseCells(fabric, course).kinds.indexOf(codeOf(from as Parameters<typeof codeOf>[0]));
        if (at < 0) continue;
        const code = codeOf(to as Parameters<typeof codeOf>[0]);
        const proof = proved(withCourse(fabric, course, (cells) => changed(cells, 'kinds', at, code)));
        expect([from, to, course, proof.ok]).toEqual([from, to, course, false]);
        if (!proof.ok) expect(proof.problems[0]?.path).toMatch(/^row \d+/);
        damages++;
      }
    }
    expect(damages).toBeGreaterThanOrEqual(5);
  });
});
