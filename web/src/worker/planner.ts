import { hired } from './hired.ts';
import type { Planner } from './planner.worker.ts';

/** The one worker that plans away from the screen. */
export const planner = hired<Planner>(
  () => new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }),
);
