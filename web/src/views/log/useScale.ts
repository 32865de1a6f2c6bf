import { useCallback, useState } from 'react';

interface Scale {
  /** A settled reading, g; nothing where the scale gives none. @param put on it first, g */
  readonly read: (put: number | undefined) => Promise<number | undefined>;
  /** It reads to ± so much, g. */
  readonly bound: number;
  readonly words: string;
}

interface Reading {
  readonly grams: number;
  readonly settled: boolean;
  readonly bound: number;
  readonly battery: number;
}

/** ms between two looks at a scale that has not settled yet, and how often it is looked at. */
const wait = 250;
const looks = 20;

/** The small scale that ships with Puntada, for practice and for those who have none yet. */
export function useScale(): Scale {
  const [words, setWords] = useState('');
  const [bound, setBound] = useState(1);
  const read = useCallback(async (grams: number | undefined) => {
    setWords('The scale settles…');
    if (grams !== undefined) await put(grams);
    for (let look = 0; look < looks; look++) {
      const reading = await ask();
      if (!reading) {
        setWords('The scale does not answer. Type the grams instead.');
        return undefined;
      }
      setBound(reading.bound);
      if (reading.settled) {
        setWords(reading.battery < 0.15 ? 'Read. Its battery is nearly empty.' : 'Read.');
        return reading.grams;
      }
      await new Promise((done) => setTimeout(done, wait));
    }
    setWords('The scale does not settle. Put it on a firm table, or type the grams.');
    return undefined;
  }, []);
  return { read, bound, words };
}

/** The practice scale has no bowl: what lies on it is told. */
async function put(grams: number): Promise<void> {
  const body = JSON.stringify({ grams });
  await fetch('/api/scale/load', { method: 'POST', headers: { 'content-type': 'application/json' }, body }).catch(
    () => undefined,
  );
}

async function ask(): Promise<Reading | undefined> {
  try {
    const answer = await fetch('/api/scale');
    return answer.ok ? ((await answer.json()) as Reading) : undefined;
  } catch {
    return undefined;
  }
}
