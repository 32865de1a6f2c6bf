import { type ToldUnit, yarnLengthNumber, yarnLengthUnit } from '@puntada/core/craft';
import type { Wish } from '@puntada/core/records';
import { chanceText, metresFigure, placeName, setSaid } from '@puntada/core/words';
import { ballsInOrder, type SharedBall, sharedNow, shoppingOf } from '@puntada/core/work';
import { Link } from 'react-router';
import { usePreferences, useWorksQuery } from '../../api/api.ts';
import { useDrawerQuery } from '../../api/records.ts';
import { Figure } from '../../parts/Figure.tsx';
import { type Pool, poolsOf } from '../../parts/pools.ts';
import { nameInSet } from '../../parts/setMembers.ts';
import type { SetProject } from '../../parts/useSet.ts';
import { YarnChip } from '../../parts/YarnChip.tsx';

type Yarn = Wish['yarns'][number];

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

/** What a project takes of a yarn, with its counts. */
interface Taken {
  readonly need: Pool['needs'][number];
  readonly project: SetProject;
  readonly yarn: Yarn;
  /** m of each row and step. */
  readonly metres: readonly number[];
}

function takenOf({ needs }: Pool, projects: readonly SetProject[]): Taken[] {
  return needs.flatMap((need): Taken[] => {
    const project = projects.find(({ work }) => work.id === need.id);
    const colour = project?.work.wish.yarns.findIndex(({ letter }) => letter === need.letter) ?? -1;
    const yarn = project?.work.wish.yarns[colour];
    return project && yarn ? [{ need, project, yarn, metres: project.part.metres[colour] ?? [] }] : [];
  });
}

/** m unit by unit that come to what is told of them with their tails. */
function withTails({ need, metres }: Taken): readonly number[] {
  const sum = metres.reduce((all, each) => all + each, 0);
  return sum ? metres.map((each) => (each * need.metres.mid) / sum) : [];
}

function PoolRow({ pool, projects }: { pool: Pool; projects: readonly SetProject[] }) {
  const { told } = usePreferences();
  const { name, lot, shade, needs, has } = pool;
  const shopping = shoppingOf(needs, has);
  const question = needs[0]?.question;
  const taken = takenOf(pool, projects);
  const shared = sharedOf(taken, has);
  // A hand that was weighed takes more or less of each ball than was planned.
  const hand = shared?.hand ?? 1;
  const needed = taken.map((each) => ({ id: each.need.id, metres: withTails(each).map((metres) => metres * hand) }));
  const balls = question ? ballsInOrder(needed, question.ballGrams * question.metresPerGram) : [];
  const chance = shared?.chance ?? shopping?.held;
  const short = chance !== undefined && shopping && chance < shopping.sure && (has.balls || has.grams);
  const nameOf = (id: string) => nameOfProject(id, projects);
  const begun = taken.find(({ project }) => project.work.state === 'begun')?.project;
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
                <b className="count">{setSaid.ball(i + 1)}</b>: {ballWords(ball, projects, told)}
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

function nameOfProject(id: string, projects: readonly SetProject[]): string {
  const own = projects.find(({ work }) => work.id === id);
  return own ? nameInSet(own.work) : '';
}

/** `Teal, dishcloth 2, row 6`. */
function endPlace({ id, unit }: { id: string; unit: number }, projects: readonly SetProject[]): string {
  const own = projects.find(({ work }) => work.id === id);
  return own ? `${nameInSet(own.work)}, ${placeName(own.part.sequence, unit + 1, own.work.wish.item)}` : '';
}

/** What a ball goes into, where it ends, and what is left of it. */
function ballWords({ parts, left }: SharedBall, projects: readonly SetProject[], units: ToldUnit): string {
  const yarn = (metres: number) => `${yarnLengthNumber(metres, units)} ${yarnLengthUnit(units)}`;
  const into = parts.map(({ id, metres }) => setSaid.ballPart(nameOfProject(id, projects), yarn(metres)));
  const last = parts.at(-1);
  if (last?.endsIn !== undefined) {
    return `${into.join(', ')}; ${setSaid.endsIn(endPlace({ id: last.id, unit: last.endsIn }, projects))}.`;
  }
  return `${into.join(', ')}${left >= 0.5 ? `; ${setSaid.leftOver(yarn(left))}` : ''}.`;
}

/** Whether the yarn lasts for the whole set, by the ball that was weighed in one of its projects. */
function sharedOf(taken: readonly Taken[], { balls, grams }: Pool['has']) {
  const [first] = taken;
  if (!first || !(balls || grams)) return undefined;
  return sharedNow(
    { ...first.yarn, balls, partGrams: grams },
    first.project.part.belief,
    taken.map(({ need, project, metres }) => ({
      id: need.id,
      metres,
      now: project.work.progress,
      weighings: project.weighings.filter(({ letter }) => letter === need.letter),
    })),
  );
}
