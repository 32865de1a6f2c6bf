import type { Printed } from '@puntada/core/craft';
import type { PrintedWorking } from '@puntada/core/records';
import { Figure, plain } from './Figure.tsx';
import { Worked } from './Worked.tsx';

interface Props {
  readonly term: string;
  readonly value: string | Pick<Printed, 'text' | 'typical'>;
  readonly working?: PrintedWorking | undefined;
}

/** A figure with its name before it, a line of a list of them. */
export function TermLine({ term, value, working }: Props) {
  return (
    <div className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5">
      <dt className="text-soft">{term}</dt>
      <dd className="text-right">
        <Worked working={working}>
          <Figure of={typeof value === 'string' ? plain(value) : value} />
        </Worked>
      </dd>
    </div>
  );
}
