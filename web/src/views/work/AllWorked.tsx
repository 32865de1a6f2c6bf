import { countedIn, countOf, workCourse } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';
import { courseWord, endingWords, workSaid } from '@puntada/core/words';
import { type ReactNode, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { problemsOf, useFinishWorkMutation } from '../../api/api.ts';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';

interface Props {
  readonly work: Work;
  readonly cloth: WorkCloth;
  /** Steps that are not stored yet: it is finished when they are. */
  readonly waiting: number;
  /** Which cloth it is, where there are several. */
  readonly which: string;
  /** No row is left, of any cloth. */
  readonly last: boolean;
  /** There are steps still to be done. */
  readonly open: boolean;
  /** The step in hand. */
  readonly children: ReactNode;
}

/** What is done when the last row of a cloth is worked: its steps, and when none is left the whole is finished. */
export function AllWorked({ work, cloth, waiting, which, last: isLast, open, children }: Props) {
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
    <section className={`grid content-start gap-4 px-6 text-[19px] ${open ? 'pt-4 pb-6' : 'max-w-[70ch] py-6'}`}>
      <h2 className={open ? 'text-[19px] text-soft' : 'text-[34px]'}>
        {isLast ? '' : which ? `${which}: ` : ''}All {cloth.fabric.courses} {word}s done
      </h2>
      {children}
      <p className={open ? 'max-w-[76ch] border-t border-rule pt-4 text-[17px] text-soft' : ''}>
        {workSaid.inLast(countOf(last), countedIn(last), word)} {endingWords(cloth.ending)}
      </p>
      <p className="flex flex-wrap gap-3">
        <ButtonLink to={`/works/${id}/finish`}>{workSaid.seeFinishingSteps}</ButtonLink>
        <ButtonLink to={`/works/${id}/log`}>{workSaid.noteHowItTurned}</ButtonLink>
      </p>
      {isLast ? null : <p>{workSaid.nextOneBeginsWith}</p>}
      {work.state === 'begun' && isLast ? (
        <Button kind={open ? 'plain' : 'next'} onClick={() => setWanted(true)} className="justify-self-start">
          Mark as finished
        </Button>
      ) : work.state === 'finished' ? (
        <p className="text-verdigris">✓ Finished.</p>
      ) : null}
      {finishing.error ? <Problems problems={problemsOf(finishing.error)} /> : null}
    </section>
  );
}
