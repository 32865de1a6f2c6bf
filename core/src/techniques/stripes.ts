import type { Technique } from './technique.ts';

/** Texture in one-row stripes: tall over short and short over tall. docs/craft.md, “One-row stripes”. */
export const stripes: Technique = {
  key: 'stripes',
  name: 'one-row stripes',
  step: 2,
  stitches: ['sc', 'dc'],
  gaugeKey: () => 'houndstooth',
  refuses: (stitch, below) =>
    stitch === below ? `a ${stitch} stands on a ${below}, and the two must take turns` : undefined,
};
