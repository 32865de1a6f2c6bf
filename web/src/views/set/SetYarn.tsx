import { decimal } from '@puntada/core/craft';
import { chanceText, metresFigure, placeName, setSaid } from '@puntada/core/words';
import { ballsInOrder, type SharedBall, sharedNow, shoppingOf } from '@puntada/core/work';
import { Link } from 'react-router';
import { usePreferences, useWorksQuery } from '../../api/api.ts';
import { useDrawerQuery } from '../../api/records.ts';
import { Figure } from '../../parts/Figure.tsx';
import { type Pool, poolsOf } from '../../parts/pools.ts';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { nameInSet, type SetProject } from './useSet.ts';

/** The yarn of a whole set: what each project takes of it, how sure it is, and which ball goes into what. */
export function SetYarn({ projects }: { projects: readonly SetProject[] }) {
  const { data: drawer } = useDrawerQuery();
  const { data: works } = useWorksQuery();
  const figures = new Map(projects.flatMap(({ work, figures: own }) => (own ? [[work.id, own] as const] : [])));
  const pools = poolsOf(
    projects.map(({ work }) => work),
    figures,
    drawer ?? [],
    works ?? [],
  );
  return (
    <section aria-label={setSaid.yarnOfSet} className="mt-9">
      <h2 className="border-b border-ink pb-1 text-[19px]">{setSaid.yarnOfSet}</h2>
      <p className="max-w-[70ch] pt-2 text-[15px] text-soft">{setSaid.yarnHint}</p>
      <ul>
        {pools.map((pool) => (
          <PoolRow key={pool.key} pool={pool} projects={projects} />
        ))}
      </ul>
    </section>
  );
}

/** m of a yarn that a project takes, unit by unit, come to what is told of it with its tails. */
function needsOf({ needs }: Pool, projects: readonly SetProject[]) {
  return needs.flatMap(({ id, letter, metres }) => {
    const project = projects.find((each) => each.work.id === id);
    const colour = project?.work.wish.yarns.findIndex((yarn) => yarn.letter === letter) ?? -1;
    const units = project?.part.metres[colour] ?? [];
    const sum = units.reduce((all, each) => all + each, 0);
    return project && sum
      ? [{ work: nameInSet(project.work), metres: units.map((each) => (each * metres.mid) / sum) }]
      : [];
  });
}

function PoolRow({ pool, projects }: { pool: Pool; projects: readonly SetProject[] }) {
  const { told } = usePreferences();
  const { name, lot, shade, needs, has } = pool;
  const shopping = shoppingOf(needs, has);
  const question = needs[0]?.question;
  const balls = question ? ballsInOrder(needsOf(pool, projects), question.ballGrams * question.metresPerGram) : [];
  const shared = sharedOf(pool, projects);
  const chance = shared?.chance ?? shopping?.held;
  const short = chance !== undefined && shopping && chance < shopping.sure && (has.balls || has.grams);
  const nameOf = (id: string) => {
    const project = projects.find(({ work }) => work.id === id);
    return project ? nameInSet(project.work) : '';
  };
  const begun = projects.find(({ work }) => work.state === 'begun' && needs.some(({ id }) => id === work.id));
  return (
    <li className="grid gap-x-8 gap-y-2 border-b border-rule py-4 md:grid-cols-[230px_minmax(0,1fr)_minmax(0,1.2fr)]">
      <div className="flex items-start gap-3">
        <YarnChip letter={needs[0]?.letter ?? 'A'} shade={shade} size={38} />
        <h3 className="min-w-0 text-[18px] wrap-anywhere">
          {name}
          {lot ? <span className="block font-sans text-[14px] font-normal text-soft">lot {lot}</span> : null}
        </h3>
      </div>
      <ul className="text-[16px]">
        {needs.map(({ id, letter, metres }) => (
          <li key={id + letter} className="flex justify-between gap-4 border-b border-rule py-1 last:border-0">
            <span className="min-w-0 wrap-anywhere">{nameOf(id)}</span>
            <Figure of={metresFigure(metres, told)} className="shrink-0 text-[15px]" />
          </li>
        ))}
      </ul>
      <div className="text-[15px]">
        {balls.length ? (
          <ol>
            {balls.map((ball, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: balls are told by their numbers
              <li key={i} className="py-1">
                <b className="count">{setSaid.ball(i + 1)}</b>: {ballWords(ball, projects)}
              </li>
            ))}
          </ol>
        ) : (
          <p className="text-soft">{setSaid.labelUnknown}</p>
        )}
        {shared?.weighedIn ? (
          <p className="pt-1 text-soft">{setSaid.byScale(nameOf(shared.weighedIn), chanceText(shared.chance))}</p>
        ) : null}
        {short ? (
          <p className="pt-1 text-ochre">
            <span aria-hidden>△ </span>
            {setSaid.runsShort(name, chanceText(chance))}
            {shared?.endsIn ? ` ${setSaid.mayEndIn(endPlace(shared.endsIn, projects))}` : ''}{' '}
            {begun ? (
              <Link to={`/works/${begun.work.id}/onward`} className="font-semibold">
                {setSaid.planAgain(nameInSet(begun.work))}
              </Link>
            ) : (
              <Link to="/shopping" className="font-semibold">
                Shopping list
              </Link>
            )}
          </p>
        ) : null}
      </div>
    </li>
  );
}

/** What a ball goes into, where it ends, and what is left of it. */
function ballWords({ parts, left }: SharedBall, projects: readonly SetProject[]): string {
  const into = parts.map(({ work, metres }) => setSaid.ballPart(work, decimal(metres, 0))).join(', ');
  const last = parts.at(-1);
  const own = projects.find(({ work }) => nameInSet(work) === last?.work);
  if (!last || !own || last.endsIn === undefined) {
    return left >= 0.5 ? `${into}; ${setSaid.leftOver(decimal(left, 0))}.` : `${into}.`;
  }
  const place = placeName(own.part.sequence, last.endsIn + 1, own.work.wish.item);
  return `${into}; ${setSaid.endsIn(last.work, place)}.`;
}

/** Whether the yarn lasts for the whole set, by the ball that was weighed in one of its projects. */
function sharedOf({ needs, has }: Pool, projects: readonly SetProject[]) {
  const taken = needs.flatMap(({ id, letter }) => {
    const project = projects.find((each) => each.work.id === id);
    const colour = project?.work.wish.yarns.findIndex((yarn) => yarn.letter === letter) ?? -1;
    const yarn = project?.work.wish.yarns[colour];
    return project && yarn ? [{ project, yarn, metres: project.part.metres[colour] ?? [], letter }] : [];
  });
  const [first] = taken;
  if (!first || !(has.balls || has.grams)) return undefined;
  return sharedNow(
    { ...first.yarn, balls: has.balls, partGrams: has.grams },
    first.project.part.belief,
    taken.map(({ project, metres, letter }) => ({
      id: project.work.id,
      metres,
      now: project.work.progress,
      weighings: project.weighings.filter((each) => each.letter === letter),
    })),
  );
}

function endPlace({ id, unit }: { id: string; unit: number }, projects: readonly SetProject[]): string {
  const own = projects.find(({ work }) => work.id === id);
  return own ? `${nameInSet(own.work)}, ${placeName(own.part.sequence, unit + 1, own.work.wish.item)}` : '';
}
