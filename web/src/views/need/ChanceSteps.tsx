import type { PlanDocument } from '@puntada/core/records';
import { chanceText, needSaid } from '@puntada/core/words';
import { Worked } from '../../parts/Worked.tsx';

type Chance = PlanDocument['colours'][number]['chances'][number];

interface Props {
  readonly chances: readonly Chance[];
  readonly need: string;
  /** The chance with which it is to be enough. */
  readonly sure: number;
  readonly workings: PlanDocument['workings']['yarn'][number] | undefined;
}

/** The chance that so many balls are enough, a step for every ball; they are filled from the wished chance on. */
export function ChanceSteps({ chances, need, sure, workings }: Props) {
  const percent = `${Math.round(100 * sure)} %`;
  return (
    <div>
      <p className="text-[16px]">
        Buy{' '}
        <b className="count">
          <Worked working={workings?.balls}>{need}</Worked>
        </b>{' '}
        (<Worked working={workings?.chance}>{needSaid.sureToBeEnough(percent)}</Worked>).
      </p>
      <ol className="mt-2 flex items-end gap-2 border-b border-ink" aria-label={needSaid.howLikelyEachNumber}>
        {chances.map(({ balls, chance }) => {
          const enough = chance >= sure;
          return (
            <li key={balls} className="grid w-[78px] gap-1 text-center">
              <span className="count text-[13px] leading-tight whitespace-nowrap">{chanceText(chance)}</span>
              <span
                aria-hidden
                className={`block border border-ink ${enough ? 'bg-verdigris' : 'bg-[repeating-linear-gradient(135deg,var(--color-rule)_0_4px,var(--color-paper)_4px_8px)]'}`}
                style={{ height: Math.max(3, chance * 64) }}
              />
              <span className="count pb-1 text-[14px]">{balls}</span>
            </li>
          );
        })}
      </ol>
      <p className="pt-1 text-[14px] text-soft">{needSaid.ballsFilledWhereThey(percent)}</p>
    </div>
  );
}
