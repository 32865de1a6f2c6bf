import { workCourse } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';
import { courseWord } from '@puntada/core/words';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { problemsOf, useFinishWorkMutation } from '../../api/api.ts';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';

/** What is done when the last row is worked. @param waiting steps that are not stored yet: it is finished when they are */
export function AllWorked({ work, cloth, waiting }: { work: Work; cloth: WorkCloth; waiting: number }) {
  const [finish, finishing] = useFinishWorkMutation();
  const navigate = useNavigate();
  const last = workCourse(cloth.fabric, cloth.bound, cloth.foundation, cloth.fabric.courses - 1);
  const word = courseWord(cloth.fabric.making).toLowerCase();
  const [wanted, setWanted] = useState(false);
  const { id, revision } = work;
  useEffect(() => {
    if (!wanted || waiting) return;
    setWanted(false);
    void finish({ id, revision }).then(({ data }) => data && navigate('/'));
  }, [wanted, waiting, finish, id, revision, navigate]);
  return (
    <section className="grid max-w-[60ch] content-start gap-4 p-6 text-[19px]">
      <h2 className="text-[34px]">
        All {cloth.fabric.courses} {word}s done
      </h2>
      <p>
        {last.stitches} stitches in the last {word}. Fasten off: cut the yarn, leaving 15 cm, and pull the end through
        the last loop. Weave in each end inside its own colour.
      </p>
      <p className="flex flex-wrap gap-3">
        <ButtonLink to={`/works/${id}/finish`}>See the finishing steps</ButtonLink>
        <ButtonLink to={`/works/${id}/log`}>Note how it turned out</ButtonLink>
      </p>
      {work.state === 'begun' ? (
        <Button kind="next" onClick={() => setWanted(true)} className="justify-self-start">
          Mark as finished
        </Button>
      ) : (
        <p className="text-verdigris">✓ Finished.</p>
      )}
      {finishing.error ? <Problems problems={problemsOf(finishing.error)} /> : null}
    </section>
  );
}
