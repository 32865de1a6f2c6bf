import { decimal } from '@puntada/core/craft';
import type { Work } from '@puntada/core/records';
import { goOnWords, setSaid, upper } from '@puntada/core/words';
import { type ItemStand, toldOfItems } from '@puntada/core/work';
import { Pencil } from 'lucide-react';
import { useRef, useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import { useLog } from '../../api/records.ts';
import { ButtonLink } from '../../parts/Button.tsx';
import { dates } from '../../parts/dates.ts';
import { nameInSet } from '../../parts/setMembers.ts';
import type { ItemEntry, SetProject } from '../../parts/useSet.ts';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { TellOfItem } from './TellOfItem.tsx';

interface Props {
  readonly project: SetProject;
  /** Items of the set before those of this project. */
  readonly first: number;
  /** It is the whole set. */
  readonly alone: boolean;
}

/** The items of one project, each with what was told of it. */
export function ProjectItems({ project: { work, part }, first, alone }: Props) {
  const { currency } = usePreferences();
  const { data: log } = useLog(work.id);
  const told = toldOfItems(log?.entries ?? []);
  const sold = [...told.values()].filter(({ fate }) => fate === 'sold');
  const money = sold.reduce((sum, { price = 0 }) => sum + price, 0);
  return (
    <section aria-label={nameInSet(work)} className="mt-7">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-ink pb-1.5">
        <span className="flex gap-1">
          {work.wish.yarns.map(({ letter, shade }) => (
            <YarnChip key={letter} letter={letter} shade={shade} size={26} />
          ))}
        </span>
        <h2 className="min-w-0 text-[19px] wrap-anywhere">{alone ? 'Items' : nameInSet(work)}</h2>
        {sold.length ? (
          <span className="text-[15px] text-soft">
            {setSaid.earned(`${decimal(money, 2)} ${currency}`, sold.length)}
          </span>
        ) : null}
        <span className="ml-auto">
          <ButtonLink to={`/works/${work.id}/${work.state === 'wished' ? 'size' : 'work'}`}>
            {work.state === 'wished' ? 'See sizes' : goOnWords(work)}
            <span className="sr-only">, {nameInSet(work)}</span>
          </ButtonLink>
        </span>
      </div>
      <ol>
        {part.items.map((item) => (
          <Item key={item.item} work={work} item={item} number={first + item.item} told={told.get(item.item)} />
        ))}
      </ol>
    </section>
  );
}

interface ItemProps {
  readonly work: Work;
  readonly item: ItemStand;
  /** Its number in the set. */
  readonly number: number;
  readonly told: ItemEntry | undefined;
}

function Item({ work, item, number, told }: ItemProps) {
  const { currency } = usePreferences();
  const [editing, setEditing] = useState(false);
  const pencil = useRef<HTMLButtonElement>(null);
  const { part } = work.wish.set ?? {};
  const name = part ? `${setSaid.parts[part]} ${number}` : setSaid.item(number);
  const { whom, by, fate, price } = told ?? { whom: '' };
  const at =
    item.state === 'in hand'
      ? item.rows < item.rowsOf
        ? setSaid.rowOf(item.rows + 1, item.rowsOf)
        : setSaid.finishing
      : setSaid.states[item.state];
  const close = () => {
    setEditing(false);
    requestAnimationFrame(() => pencil.current?.focus());
  };
  const forWhom = [whom && setSaid.forWhom(whom), by && setSaid.byDay(dates.day(by))].filter(Boolean).join(', ');
  const became = fate ? setSaid.fates[fate] : item.state === 'done' ? setSaid.fates.none : '';
  return (
    <li className="border-b border-rule py-1.5">
      <div className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-5 gap-y-1 sm:grid-cols-[110px_230px_minmax(0,1fr)_auto]">
        <h3 className="text-[17px] font-semibold">{name}</h3>
        <span className="flex items-center gap-3 text-[16px] max-sm:order-3 max-sm:col-span-2">
          <span aria-hidden className="h-3 w-[96px] shrink-0 overflow-hidden rounded-full border border-edge bg-paper">
            <span className="block h-full bg-verdigris" style={{ width: `${(100 * item.done) / item.of}%` }} />
          </span>
          <span className={item.state === 'in hand' ? 'count' : 'text-soft'}>{at}</span>
        </span>
        <span className="min-w-0 text-[16px] wrap-anywhere max-sm:order-4 max-sm:col-span-2">
          {upper([forWhom, became].filter(Boolean).join('; '))}
          {fate === 'sold' && price !== undefined ? (
            <b className="count"> {`${decimal(price, 2)} ${currency}`}</b>
          ) : null}
        </span>
        <button
          ref={pencil}
          type="button"
          aria-label={setSaid.tell(name)}
          aria-expanded={editing}
          title="Change"
          onClick={() => (editing ? close() : setEditing(true))}
          className="flex size-11 shrink-0 items-center justify-center rounded-sm text-soft hover:bg-sheet hover:text-ink"
        >
          <Pencil aria-hidden className="size-4" />
        </button>
      </div>
      {editing ? <TellOfItem work={work} item={item.item} name={name} told={told} onDone={close} /> : null}
    </li>
  );
}
