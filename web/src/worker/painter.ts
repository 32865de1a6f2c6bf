import { hired } from './hired.ts';
import type { Painter } from './painter.worker.ts';

const hire = () => new Worker(new URL('./painter.worker.ts', import.meta.url), { type: 'module' });

/** The worker that paints the many small pictures; apart from the planner, so that neither waits. */
export const painter = hired<Painter>(hire, false);
/** The worker for the one cloth that the maker looks at: it never waits for the small ones. */
export const easel = hired<Painter>(hire);
