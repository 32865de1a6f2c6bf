import { wrap } from 'comlink';
import type { Painter } from './painter.worker.ts';

/** The worker that lays and paints cloth away from the screen; apart from the planner, so that neither waits. */
export const painter = wrap<Painter>(new Worker(new URL('./painter.worker.ts', import.meta.url), { type: 'module' }));
