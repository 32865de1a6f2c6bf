import { workSaid } from '@puntada/core/words';
import { useEffect, useState } from 'react';
import { useKept } from '../../parts/useKept.ts';

/** Chains that are counted before a marker is put in. */
const twenty = 20;

/** The foundation chain before the first row, counted by twenties on this device. */
export interface FirstChain {
  readonly chains: number;
  readonly counted: number;
  /** Chains of the next stretch. */
  readonly next: number;
  readonly more: () => void;
  readonly fewer: () => void;
  /** What is said of the last stretch; nothing before the first. */
  readonly said: string;
}

/** @param chains of the foundation; 0 where nothing is to be counted any more */
export function useFirstChain(workId: string, chains: number): FirstChain | undefined {
  const [kept, keep] = useKept(`puntada-chain-${workId}`);
  const [pressed, setPressed] = useState(false);
  const counted = Math.min(chains, Number(kept) || 0);
  const next = Math.min(twenty, chains - counted);
  const more = () => {
    setPressed(true);
    if (next > 0) keep(String(counted + next));
  };
  const fewer = () => keep(String(Math.max(0, Math.ceil(counted / twenty) * twenty - twenty)));
  useEffect(() => {
    if (next <= 0) return;
    const onKey = (event: KeyboardEvent) => {
      const typed = (event.target as HTMLElement | null)?.closest('input, select, textarea, [role="dialog"]');
      if (event.key.toLowerCase() !== 'c' || event.ctrlKey || event.metaKey || event.altKey || typed) return;
      if (!event.repeat) more();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  if (!chains) return undefined;
  return { chains, counted, next, more, fewer, said: pressed && counted ? workSaid.chained(counted, chains) : '' };
}
