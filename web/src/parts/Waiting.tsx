import { partsSaid } from '@puntada/core/words';
import { useEffect, useState } from 'react';
import { askAgain, stopWorkers } from '../worker/hired.ts';
import { Button } from './Button.tsx';
import { Skeleton } from './Skeleton.tsx';

/** ms after which what takes so long is told, with a way to stop. */
const long = 1000;

interface Awaited {
  /** What is on its way: `Opening the log…`. */
  words: string;
  rows?: number;
  height?: number;
  /** It is being worked out in this browser, and may be stopped. */
  workedOut?: boolean;
}

/** The shape of what is on its way; of what is worked out for long, what it is and a way to stop. */
export function Waiting({ words, rows = 4, height = 96, workedOut = false }: Awaited) {
  const [stopped, setStopped] = useState(false);
  const [slow, setSlow] = useState(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: once it is asked for anew, it has its time again
  useEffect(() => {
    const timer = setTimeout(() => setSlow(true), long);
    return () => {
      clearTimeout(timer);
      setSlow(false);
    };
  }, [stopped]);
  const stop = () => {
    stopWorkers();
    setStopped(true);
  };
  const tryAgain = () => {
    setStopped(false);
    askAgain();
  };
  if (stopped) {
    return (
      <div role="status" className="flex flex-wrap items-center gap-x-4 gap-y-2 py-4 text-[17px]">
        <p>{partsSaid.stoppedSmallerSizeWorked}</p>
        <Button onClick={tryAgain}>Try again</Button>
      </div>
    );
  }
  return (
    <div aria-busy>
      <div className="flex min-h-11 flex-wrap items-center gap-x-4">
        <p role="status" className="text-[17px] text-soft">
          {words}
          {slow && workedOut ? ' This one takes longer than usual.' : ''}
        </p>
        {slow && workedOut ? <Button onClick={stop}>Stop</Button> : null}
      </div>
      <Skeleton rows={rows} height={height} />
    </div>
  );
}
