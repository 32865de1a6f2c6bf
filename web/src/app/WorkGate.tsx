import type { Work } from '@puntada/core/records';
import { appSaid } from '@puntada/core/words';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { useBinWorkMutation, useWorkQuery } from '../api/api.ts';
import { Button } from '../parts/Button.tsx';
import { Missing } from './Missing.tsx';

/** Stands before every page of a project: one that is not there has a page of its own, one in the bin says so. */
export function WorkGate({ children }: { children: ReactNode }) {
  const { id = '' } = useParams();
  const { data, error } = useWorkQuery(id);
  if ((error as { status?: unknown } | undefined)?.status === 404) {
    return <Missing what={appSaid.thereNoSuchProject} />;
  }
  return (
    <>
      {data?.deletedAt ? <InBin work={data} /> : null}
      {children}
    </>
  );
}

function InBin({ work: { id, revision } }: { work: Work }) {
  const [bin, binning] = useBinWorkMutation();
  return (
    <div role="status" className="flex flex-wrap items-center gap-4 bg-ochre-pale px-6 py-2 text-[16px] text-ochre">
      <p>{appSaid.thisProjectInBin}</p>
      <Button onClick={() => void bin({ id, revision, deleted: false })} disabled={binning.isLoading}>
        Put it back
      </Button>
    </div>
  );
}
