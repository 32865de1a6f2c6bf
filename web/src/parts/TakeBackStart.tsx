import type { Work } from '@puntada/core/records';
import { partsSaid } from '@puntada/core/words';
import { useNavigate } from 'react-router';
import { problemsOf, useUnbeginWorkMutation } from '../api/api.ts';
import { Button } from './Button.tsx';
import { Problems } from './Problems.tsx';
import { planName } from './usePlanDraft.ts';
import { forgetSaver } from './useSaver.ts';

/** While no stitch is worked a start can be taken back: the size is open again. */
export function TakeBackStart({ work }: { work: Work }) {
  const [unbegin, going] = useUnbeginWorkMutation();
  const navigate = useNavigate();
  const { rows, runs } = work.progress;
  if (work.state !== 'begun' || rows || runs) return null;
  const take = async () => {
    const answer = await unbegin({ id: work.id, revision: work.revision });
    if (!answer.data) return;
    forgetSaver(planName(work.id));
    navigate(`/works/${work.id}/size`);
  };
  return (
    <>
      <Button kind="quiet" onClick={take} disabled={going.isLoading} className="px-2 font-normal">
        {partsSaid.takeStartBack}
      </Button>
      <Problems problems={problemsOf(going.error)} />
    </>
  );
}
