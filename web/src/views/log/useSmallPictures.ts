import { useEffect } from 'react';
import { useKeepSmallMutation } from '../../api/records.ts';
import { smallPhoto } from './smallPhoto.ts';

/** ms until a log is drawn and read: before that a picture more or less would only keep it waiting. */
const drawnBy = 2500;

/**
 * Makes the small pictures of photos that an earlier version took without, one after the other while the log is open: the
 * next time the list of them is light. @param photos the ids of their entries
 */
export function useSmallPictures(workId: string, photos: readonly string[]): void {
  const [keep] = useKeepSmallMutation();
  useEffect(() => {
    const left = new AbortController();
    const make = async () => {
      for (const entry of photos) {
        const answer = await fetch(`/api/works/${workId}/photos/${entry}`, { signal: left.signal });
        const made = answer.ok ? await smallPhoto(await answer.blob()) : undefined;
        if (left.signal.aborted) return;
        if (made?.small) await keep({ workId, entry, small: made.small });
      }
    };
    // What cannot be made now is made another time.
    const begin = setTimeout(() => void make().catch(() => undefined), drawnBy);
    return () => {
      clearTimeout(begin);
      left.abort();
    };
  }, [workId, photos, keep]);
}
