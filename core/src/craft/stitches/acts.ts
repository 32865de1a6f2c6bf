import { type StitchKey, stitchKinds } from './kinds.ts';

/** What hands do, as far as it is timed: a kind of stitch, or what lies between stitches. */
export type Act = StitchKey | 'change' | 'turn' | 'end';

export const acts: readonly Act[] = [...stitchKinds.map(({ key }) => key), 'change', 'turn', 'end'];
