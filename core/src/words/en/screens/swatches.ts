import type { Told } from './told.ts';

/** What the screens of `swatches` say. */
export const swatchesSaid = {
  typeCountSuchAs: 'Type a count such as 16 or 16.5.',
  typeSpan1Cm: 'Type a span of 1 cm to 1 m, such as 10 cm.',
  smallPieceInPattern: 'A small piece in the pattern, with the idle yarn handled as in your project',
  carriedYarnMakesFabric:
    'Carried yarn makes the fabric a little stiffer and wider. Some makers go up a hook size for a softer piece; others go down one so the yarn doesn’t show between tall stitches. Swatch with the hook you mean to use.',
  eachWayAtLeast: (word: Told, least: Told, repeats: number) =>
    `${word}: ${least} each way at least, and ${repeats === 1 ? 'one repeat' : `${repeats} repeats`}.`,
  countsWeightsAndHooks: 'Counts, weights and hooks: how you crochet each pattern',
  yourSwatchesWillStand:
    'Your swatches will stand here. A small piece of the pattern, counted and weighed, makes every size and yarn figure your own.',
  stitchesYouWantIn: (over: Told) => `Stitches you want in ${over}`,
  typeCountSuchAs15: 'Type a count such as 15.',
  halfMillimetreChangesStitch:
    'Half a millimetre changes a stitch by 4 to 7 % at 4 to 6 mm. It is only a starting point: make another swatch.',
  thisSwatchNotIn: 'This swatch is not in the book.',
  openSwatchBook: 'Open the swatch book',
  thisSwatchAndNow: (projects: number) =>
    `${projects === 1 ? 'One project uses' : `${projects} projects use`} this swatch and now ${projects === 1 ? 'follows' : 'follow'} the new figures:`,
  makeItAndLay: (over: Told) =>
    `Make it and lay it flat. Count stitches and rows at least 2 from any edge, over ${over} or more.`,
  howItFeelsHow: 'How it feels, how it drapes, what to change',
  howToMakeIt: 'How to make it',
  plannedInSamePattern: 'Planned in the same pattern:',
  scaleReadsTo: 'The scale reads to',
  weighItDryBefore: 'Weigh it dry, before washing, with its tails on. The weight shows how much yarn you use.',
  thisLooksFarOff: ' This looks far off. Check the grams and the label, and that it was dry and made with one strand.',
  youUseEstimatedAccurate: (than: Told, sure: Told, doubt: Told) =>
    `You use ${than} estimated, accurate to ± ${sure} %. Projects using this swatch take that into account.${doubt}`,
} as const;
