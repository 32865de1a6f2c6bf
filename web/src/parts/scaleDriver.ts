import { type ScaleReading, scaleReadingSchema } from '@puntada/core/records';
import { scaleWords } from '@puntada/core/words';

/** What the driver needs of a scale and of a clock. */
export interface ScalePort {
  /** Asks the scale to look; fails where it does not answer. */
  readonly ask: () => Promise<unknown>;
  readonly wait: (ms: number) => Promise<void>;
}

/** A settled weight, or nothing; and what to tell the maker. */
export interface Weighed {
  readonly grams?: number;
  /** It reads to ± so much, g. */
  readonly bound?: number;
  readonly words: string;
}

/** ms between two looks, and how often a scale is looked at before it is given up. */
const pause = 250;
const looks = 20;
/** An answer that takes longer belongs to a look that is over, ms. */
const late = 2000;
/** So many looks in a row without an answer are no accident. */
const lost = 4;
/** Under this part of its battery it says so. */
const nearlyEmpty = 0.15;

async function answerOf({ ask, wait }: ScalePort): Promise<unknown> {
  return Promise.race([ask().catch(() => undefined), wait(late).then(() => undefined)]);
}

/**
 * Looks at a scale until it has settled. An answer that is none, comes too late, or tells of a look that was told
 * already is dropped, and the scale looked at again.
 */
export async function readScale(port: ScalePort): Promise<Weighed> {
  let last: ScaleReading | undefined;
  let missed = 0;
  let nonsense = 0;
  for (let n = 0; n < looks; n++) {
    if (n > 0) await port.wait(pause);
    const answer = await answerOf(port);
    if (answer === undefined) {
      if (++missed >= lost) return { words: scaleWords.silent };
      continue;
    }
    missed = 0;
    const read = scaleReadingSchema.safeParse(answer);
    if (!read.success) {
      nonsense++;
      continue;
    }
    const { data } = read;
    // One that was switched off counts from 1 again.
    if (last && data.look <= last.look && data.look !== 1) continue;
    last = data;
    if (!data.settled) continue;
    if (data.grams < 0) return { words: scaleWords.belowZero };
    const words = data.battery < nearlyEmpty ? scaleWords.readBatteryLow : scaleWords.read;
    return { grams: data.grams, bound: data.bound, words };
  }
  return {
    words: nonsense && !last ? scaleWords.nonsense : scaleWords.wavering,
  };
}
