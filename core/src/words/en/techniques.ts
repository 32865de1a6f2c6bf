import { upper } from './lists.ts';

/** What a maker is told of a technique. Stitches stand in curly brackets. docs/craft.md, “The techniques”. */
export interface TechniqueWords {
  readonly name: string;
  /** Where the colour changes. */
  readonly change: string;
  /** What to check as one goes. */
  readonly lookOver: string;
  /** What the row height is made of. */
  readonly height: string;
  /** What happens to the colour that is not in use. */
  readonly idle: string;
  /** Stitches at the edges, as far as they differ from the rest. */
  readonly edges?: string;
}

const carried: TechniqueWords = {
  name: 'carried colourwork',
  change: 'Bring in the new colour in the last pull-through of the stitch before it.',
  lookOver: 'Each block starts where the one below says; no loop of the idle yarn hangs out at the back.',
  height: 'Every row is as tall as its stitch.',
  idle: 'Lay the idle yarn along the top of the row below and work over it. Bring it under the hook when you turn.',
};

const words: Readonly<Record<string, TechniqueWords>> = {
  carried,
  'wide-hdc': {
    name: 'wide {half double crochet}',
    change: 'Bring in the new colour in the last pull-through of the stitch before it.',
    lookOver:
      'Work under all loops, between two posts. The last stitch goes between the last post and the turning chain.',
    height: 'Every row is as tall as {an hdc}, less the depth it sinks between the posts.',
    idle: 'Work over the idle yarn; between posts it shows more than anywhere else.',
    edges: 'the ch 2 is the first post; the last stitch goes between the last post and the turning chain',
  },
  stripes: {
    name: 'one-row stripes',
    change: 'Draw the next colour through in the last pull-through of the row, or in the joining slip stitch.',
    lookOver: 'Every {sc} is above {a dc} and every {dc} above {an sc}. Check which stitch comes last.',
    height: 'Every row is as tall as {a dc} that sits in the hollow between two, halfway between {sc} and {dc}.',
    idle: 'With two colours, carry the idle yarn inside every row, or cut it. In joined rounds it waits at the seam.',
  },
  linen: {
    name: 'linen stitch',
    change: 'Draw the next colour through in the last pull-through of the row, or in the joining slip stitch.',
    lookOver: 'Every {sc} sits in a chain space; the last one goes into the space that the ch 2 made.',
    height: 'Every row is as tall as {an sc}.',
    idle: 'Two-row stripes climb the edge. A carried strand lies on top of the row below: do not catch one buried lower.',
    edges: 'ch 2 counts as the first stitch and space; the last {sc} goes into that space',
  },
  'step-check': {
    name: 'step check',
    change: 'Draw the next colour through in the last pull-through of the row.',
    lookOver: 'Tall blocks go above short ones: count the block, then check what is below it.',
    height: 'Two rows are as tall as {an sc} and {a dc} together, so a row is the mean of the two.',
    idle: 'Three colours climb the edge. With two, carry the yarn, cut it, or begin the row at the other end.',
    edges: 'a row that begins with {a dc} begins with ch 3',
  },
  'chain-space': {
    name: 'chain-space check',
    change: 'Change in the last pull-through of the row: in the slip stitch into the edge stitch, or in the last {dc}.',
    lookOver: 'The {dc} go into the tops two rows below, over the loose chains, which vanish inside.',
    height: 'A row adds about half {a dc}, and the sunk chain lifts it a little: 0.55 of {a dc}.',
    idle: 'Three colours climb the edge, one row each; two cannot.',
    edges:
      'a row on a gap begins with ch 3; a row on a group begins with a bridge of chains and ends in the edge stitch',
  },
  granny: {
    name: 'granny rows',
    change: 'Change colours between clusters, in the last pull-through of the {dc} before.',
    lookOver: 'Every cluster sits in the space between two; no space stays empty.',
    height: 'Every row is as tall as {a dc} round a space, which sits a little lower than its top.',
    idle: 'Carry the idle yarn inside the clusters, or let it wait at the edge.',
    edges: 'ch 3 or ch 2 opens each row; a single edge {dc} where the foundation asks for one',
  },
  mosaic: {
    name: 'overlay mosaic',
    change: 'Join each row anew in its colour and fasten it off. In rounds, change colour at the joining.',
    lookOver: 'Fold each drop forward and find the hidden stitch behind it: that stitch is skipped, not worked.',
    height: 'A row is as tall as {an sc} in the back loop, whatever drops it has.',
    idle: 'Flat, cut both colours in every row; an envelope border hides the ends. In rounds they climb the seam.',
    edges: 'the first and the last stitch are plain {sc} through both loops',
  },
  mesh: {
    name: 'interlocked mesh',
    change: 'Each net has a live loop of its own: hold the one that waits with a marker.',
    lookOver: 'Both live loops are level. Fronts and backs of a row add up to its posts.',
    height: 'A row of either net adds 0.55 of {a dc}, because the two sit in each other.',
    idle: 'The other net waits on its marker at the edge where its next row begins.',
    edges: '{an sc} of its own net at either edge',
  },
  'corner-to-corner': {
    name: 'corner to corner',
    change: 'Bring in the new colour in the ch 3 or ch 6 that opens a block, after the joining slip stitch.',
    lookOver: 'Each new block faces away from its neighbour. One block too many at a corner makes an oblong.',
    height: 'A block is as tall as it is wide.',
    idle: 'Carry the yarn inside a block, pick it up on the next diagonal, or cut it.',
  },
  'wedge-circle': {
    name: 'wedge circle',
    change: 'Bring in the new colour in the last pull-through of the stitch before. Join the round in the next colour.',
    lookOver: 'The increase is the first stitch of each wedge. Count the wedge, not the round.',
    height: 'Every round is as tall as its stitch.',
    idle: 'Carry the idle yarns all the way round inside the stitches.',
  },
  flecks: {
    name: 'flecks',
    change: 'Draw up the first loop of a fleck in B, and close it in A.',
    lookOver: 'The legs of a fleck lie side by side. A fleck goes between the flecks of the row before.',
    height: 'Every row is as tall as {an sc}.',
    idle: 'Carry B through figure rows and plain rows alike.',
  },
  tube: {
    ...carried,
    name: 'tube around a chain',
    change: 'Change in the last pull-through before the new colour, and for the next round in the joining slip stitch.',
    lookOver:
      'Mark the side folds; a repeat should start at each. Decide which face is outside before you close the top.',
    idle: 'The idle yarn lies inside the stitches or waits at the seam.',
  },
};

/** The words of a technique; one that has none yet is named by its key. */
export function techniqueWords(key: string): TechniqueWords {
  return (
    words[key] ?? {
      name: upper(key.replaceAll('-', ' ')).toLowerCase(),
      change: 'Bring in the new colour in the last pull-through of the stitch before it.',
      lookOver: 'Count each row before you turn.',
      height: 'Every row is as tall as its stitch.',
      idle: 'Carry the idle yarn inside the stitches, or let it wait at the edge.',
    }
  );
}
