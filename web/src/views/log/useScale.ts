import { scaleWords } from '@puntada/core/words';
import { useCallback, useState } from 'react';
import { readScale, type Weighed } from '../../parts/scaleDriver.ts';

interface Scale {
  /** A settled reading. @param lies on it, g */
  readonly read: (lies: number | undefined) => Promise<Weighed>;
  /** What lies on it now, such as a bowl, counts as nothing from here on. @param lies on it, g */
  readonly zero: (lies: number | undefined) => Promise<void>;
  readonly words: string;
}

const wait = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));

async function post(path: string, body: object): Promise<boolean> {
  const init = { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
  const answer = await fetch(`/api/scale/${path}`, init).catch(() => undefined);
  return answer?.ok ?? false;
}

/** The practice scale has no bowl of its own: what lies on it is told. */
async function put(grams: number | undefined): Promise<boolean> {
  return grams === undefined || post('load', { grams });
}

async function ask(): Promise<unknown> {
  const answer = await fetch('/api/scale');
  if (!answer.ok) throw new Error(scaleWords.notAnswering);
  return answer.json();
}

const port = { ask, wait };

/** The small scale that ships with Puntada, for practice and for those who have none yet. */
export function useScale(): Scale {
  const [words, setWords] = useState('');
  const read = useCallback(async (lies: number | undefined) => {
    setWords(scaleWords.settling);
    const borne = await put(lies);
    const found = borne ? await readScale(port) : { words: scaleWords.tooHeavy };
    setWords(found.words);
    return found;
  }, []);
  const zero = useCallback(async (lies: number | undefined) => {
    const done = (await put(lies)) && (await post('tare', {}));
    setWords(done ? scaleWords.zeroed : scaleWords.notAnswering);
  }, []);
  return { read, zero, words };
}
