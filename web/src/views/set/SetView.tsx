import type { ToldUnit } from '@puntada/core/craft';
import { gramsFigure, hoursText, setSaid } from '@puntada/core/words';
import { setAt, setTotals, sidesJoined } from '@puntada/core/work';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { problemsOf, usePreferences, useWorksQuery } from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { projectsOfSet } from '../../parts/setMembers.ts';
import { countedIn, type SetProject, useSet } from '../../parts/useSet.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { ProjectItems } from './ProjectItems.tsx';
import { SetWays } from './SetWays.tsx';
import { SetYarn } from './SetYarn.tsx';

/** Every item of a set: how far it is, whom it is for and what became of it; and the yarn that all of them share. */
export default function SetView() {
  const { id = '' } = useParams();
  const { data: works, error } = useWorksQuery();
  const summaries = useMemo(() => projectsOfSet(works ?? [], id), [works, id]);
  const projects = useSet(summaries);
  const own = summaries.find((work) => work.id === id);
  return (
    <>
      <Head title={own?.wish.set?.title ?? own?.wish.title ?? 'Set'} page="Set" under={setSaid.whatPageTells}>
        <ButtonLink to={`/works/${id}/labels`}>Labels</ButtonLink>
        <ButtonLink to={`/works/${id}/price`}>Price</ButtonLink>
      </Head>
      <main id="main" className="mx-auto w-full max-w-[1280px] px-6 pt-5 pb-12">
        <Problems problems={error ? problemsOf(error) : []} />
        {projects?.length ? <Whole projects={projects} /> : <Waiting words={setSaid.countingSet} workedOut />}
      </main>
    </>
  );
}

function Whole({ projects }: { projects: readonly SetProject[] }) {
  const { told } = usePreferences();
  // A back is no item: it is half of one.
  const whole = projects.filter(({ work }) => work.wish.set?.part !== 'back');
  const stands = setAt(whole.map(({ part }) => part.items));
  // One hand makes them all: what is doubtful of it is so in each.
  const left = { low: 0, mid: 0, high: 0, source: 'typical' as const };
  for (const { part } of projects) {
    left.low += part.left.low;
    left.mid += part.left.mid;
    left.high += part.left.high;
  }
  const weight = weightWords(projects, told);
  const sizes = new Set(
    whole.flatMap(({ part, figures }) => part.sequence.rowsOf.map((rows) => `${figures?.stitches} ${rows}`)),
  );
  // Backs are numbered as their fronts are.
  const before = { front: 0, back: 0 };
  return (
    <>
      <p className="flex flex-wrap gap-x-8 gap-y-1 text-[22px]">
        <b>{setSaid.stands(stands.done, stands.items, stands.inHand)}</b>
        {weight ? <span className="text-soft">{weight}</span> : null}
        <span className="text-soft">{left.mid > 30 ? setSaid.leftForAll(hoursText(left)) : setSaid.nothingLeft}</span>
      </p>
      {sizes.size > 1 ? <p className="pt-1 text-[15px] text-ochre">△ {setSaid.sizeApart}</p> : null}
      {projects.map((project) => {
        const side = project.work.wish.set?.part === 'back' ? 'back' : 'front';
        const first = before[side];
        before[side] += project.part.items.length;
        return <ProjectItems key={project.work.id} project={project} first={first} alone={projects.length === 1} />;
      })}
      <Sides projects={projects} />
      <SetYarn projects={projects} />
      <SetWays projects={projects} />
    </>
  );
}

/** What one of the set weighs, and all of them; nothing where not every project could be counted. */
function weightWords(projects: readonly SetProject[], told: ToldUnit): string | undefined {
  const counted = countedIn(projects);
  if (counted.length < projects.length) return undefined;
  const { items, grams, gramsEach } = setTotals(counted);
  const all = gramsFigure(grams, told).text;
  return items > 1 ? setSaid.weighs(gramsFigure(gramsEach, told).text, all, items) : setSaid.weighsOne(all);
}

/** How a front and a back of other rows are joined. */
function Sides({ projects }: { projects: readonly SetProject[] }) {
  const rowsOf = (part: 'front' | 'back') =>
    projects.find(({ work }) => work.wish.set?.part === part)?.part.sequence.rowsOf.at(-1) ?? 0;
  const [front, back] = [rowsOf('front'), rowsOf('back')];
  const joined = sidesJoined(front, back);
  if (!joined) return null;
  return <p className="mt-5 max-w-[70ch] text-[16px]">{setSaid.joined(joined.front, joined.back, front, back)}</p>;
}
