import { useEffect, useState } from 'react';
import type { Work } from '../api/api.ts';
import { easel } from '../worker/painter.ts';
import type { WorkCloth } from './workCloth.ts';

export type { WorkCloth } from './workCloth.ts';

/**
 * The cloth of a work, laid in the worker; undefined until then, null where no size of its wish can be laid. A step of
 * the counter makes a new copy of the work but no other cloth: its revision tells.
 */
export function useWorkCloth(work: Work | undefined): WorkCloth | null | undefined {
  const [laid, setLaid] = useState<{ readonly id: string; readonly cloth: WorkCloth | null }>();
  const key = work ? `${work.id} ${work.revision}` : '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the work
  useEffect(() => {
    if (!work) return;
    let current = true;
    const { id } = work;
    void easel.cloth(work).then((cloth) => {
      if (current) setLaid({ id, cloth: cloth ?? null });
    });
    return () => {
      current = false;
    };
  }, [key]);
  return laid?.id === work?.id ? laid?.cloth : undefined;
}
