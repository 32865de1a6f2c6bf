import { z } from 'zod';
import { labelOf, type RecordKind, type Step } from './record.ts';

/**
 * What the form of a wish holds while it is being typed, with as many of its fields as there are: texts at the paths of
 * the wish. Nothing of it need be a wish yet, so only its label is looked at.
 */
export const draftFormSchema = z.looseObject({ ...labelOf('puntada-draft', 2) });

/** What a form of today says of itself. */
export const draftLabel = { format: 'puntada-draft', version: 2 } as const;

/** Where version 1 kept a field, which had all of them side by side. Sizes are apart: their one text was of either kind. */
const moved: Readonly<Record<string, readonly string[]>> = {
  pattern: ['pattern', 'key'],
  stitch: ['pattern', 'stitch'],
  made: ['pattern', 'made'],
  order: ['pattern', 'order'],
  loops: ['pattern', 'loops'],
  numbers: ['pattern', 'numbers'],
  gaugeFrom: ['gauge', 'from'],
  swatchGauge: ['gauge', 'taken'],
  stitchCount: ['gauge', 'stitches', 'count'],
  stitchSpan: ['gauge', 'stitches', 'over'],
  rowCount: ['gauge', 'rows', 'count'],
  rowSpan: ['gauge', 'rows', 'over'],
  border: ['border', 'rounds'],
  borderColour: ['border', 'colour'],
  ring: ['finish', 'ring'],
  strapKind: ['finish', 'strap', 'kind'],
  strapDrop: ['finish', 'strap', 'drop'],
  strapWidth: ['finish', 'strap', 'width'],
  flap: ['finish', 'flap'],
  seam: ['finish', 'seam'],
};

type Tree = { [field: string]: unknown };

function put(tree: Tree, [field, ...rest]: readonly string[], value: unknown): void {
  if (field === undefined) return;
  if (!rest.length) {
    tree[field] = value;
    return;
  }
  tree[field] ??= {};
  put(tree[field] as Tree, rest, value);
}

/** The fields go to the paths of the wish that they fill. */
const toPaths: Step = (old) => {
  const form: Tree = {};
  for (const side of ['width', 'height']) {
    const by = old[`${side}By`];
    if (by !== undefined) put(form, [side, 'by'], by);
    if (old[side] !== undefined) put(form, [side, by === undefined || by === 'length' ? 'length' : 'count'], old[side]);
  }
  for (const [field, value] of Object.entries(old)) {
    if (/^(width|height)(By)?$/.test(field)) continue;
    put(form, moved[field] ?? [field], value);
  }
  return form;
};

export const draftRecord = { format: 'puntada-draft', schema: draftFormSchema, steps: [toPaths] } satisfies RecordKind;
