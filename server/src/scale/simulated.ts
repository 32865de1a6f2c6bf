import type { ScaleReading } from '@puntada/core/records';
import type { ScaleDriver } from './driver.ts';

/** A scale that is only simulated: something is put on it, it swings, settles, and its battery fades. */
export interface SimulatedScale extends ScaleDriver {
  /** Puts so many grams on it in place of what lay there. */
  put(grams: number): void;
}

interface Habits {
  /** Steps in which it reads, g. */
  readonly resolution: number;
  /** Milliseconds in which two thirds of a swing are gone. */
  readonly swing: number;
  /** Milliseconds without movement before it counts as settled. */
  readonly still: number;
  /** Part of the battery that each look takes. */
  readonly drain: number;
}

const kitchen: Habits = { resolution: 1, swing: 220, still: 500, drain: 0.0005 };

/** @param now the clock, ms @param random 0 to 1 */
export function simulatedScale(now: () => number, random: () => number, habits: Habits = kitchen): SimulatedScale {
  const { resolution, swing, still, drain } = habits;
  let from = 0;
  let load = 0;
  let tare = 0;
  let since = now();
  let battery = 1;
  let look = 0;
  const swaying = () => load + (from - load) * Math.exp(-(now() - since) / swing);
  return {
    put(grams) {
      from = swaying();
      load = grams;
      since = now();
    },
    tare() {
      tare = load;
    },
    read(): ScaleReading | undefined {
      battery = Math.max(0, battery - drain);
      if (battery === 0) return undefined;
      const noise = (random() - 0.5) * resolution * 0.4;
      const grams = Math.round((swaying() - tare + noise) / resolution) * resolution;
      const moved = Math.abs(from - load) * Math.exp(-(now() - since) / swing);
      const settled = moved < resolution / 20 && now() - since >= still;
      return { grams, settled, bound: resolution, battery, look: ++look };
    },
  };
}
