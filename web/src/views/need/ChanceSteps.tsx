import type { PlanDocument } from '@puntada/core/records';
import { chanceText } from '@puntada/core/words';

type Chance = PlanDocument['colours'][number]['chances'][number];

const sure = 0.95;

/** The chance that so many balls are enough, a step for every ball; the line is at 95 %. */
export function ChanceSteps({ chances, need }: { chances: readonly Chance[]; need: string }) {
  return (
    <div>
      <p className="text-[16px]">
        Buy <b className="count">{need}</b> (95 % sure to be enough).
      </p>
      <ol
        className="mt-2 flex items-end gap-2 border-b border-ink"
        aria-label="How likely each number of balls is enough"
      >
        {chances.map(({ balls, chance }) => {
          const enough = chance >= sure;
          return (
            <li key={balls} className="grid w-[68px] gap-1 text-center">
              <span className="count text-[13px] leading-tight">{chanceText(chance)}</span>
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
      <p className="pt-1 text-[14px] text-soft">balls; filled where they are at least 95 % sure</p>
    </div>
  );
}
