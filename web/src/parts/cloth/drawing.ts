import type { Pen } from './pen.ts';

/** The face of the cloth that is seen. */
export type Side = 'RS' | 'WS';

/** Draws one stitch. @param cell which of a few like neighbours it is, so that no two are quite alike */
export type Draw = (pen: Pen, cell: number) => void;

/** How a stitch looks from either side. */
export type Drawing = Readonly<Record<Side, Draw>>;
