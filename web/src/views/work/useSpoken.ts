import { spokenRun, type Terms } from '@puntada/core/words';
import { useEffect } from 'react';
import { speakerOf } from './speaker.ts';
import type { RowInHand } from './useRowInHand.ts';

const speaker = speakerOf(window);

/** Says something aloud as soon as it changes, where it is wished. */
export function useSaying(said: string, aloud: boolean): void {
  useEffect(() => {
    if (aloud && said) speaker.say(said);
  }, [aloud, said]);
}

/** The run in hand as it is heard; said aloud where it is wished. */
export function useSpoken(row: RowInHand | undefined, terms: Terms, aloud: boolean): string {
  const heard = row ? spokenRun(row.course, row.run, terms) : '';
  useSaying(row?.at === 0 ? `${row.beginsSaid}. ${heard}` : heard, aloud);
  return heard;
}
